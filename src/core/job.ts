import type { Check } from './check/check';
import { inOrder, runChecks } from './check/run-checks';
import type { Place } from './climate/place';
import type { JobDocument } from './decision/job-document';
import type { Shop } from './decision/shop';
import { collectFigures } from './figures';
import { GLUES, type Glue } from './glueup/glue';
import { type LaidStrip, layPanel, type PanelTrim, trimPanel } from './glueup/lay-panel';
import { type GlueLimit, type GlueStrip, type GlueUp, planGlueUps } from './glueup/plan-glue-ups';
import { type Demand, demandOf } from './layout/demand';
import { type Layout, type LayoutOptions, layoutKey, type Placement } from './layout/layout';
import { layoutOptionsOf } from './layout/layout-aims';
import { sayDay } from './measure/calendar';
import type { Figure } from './measure/figure';
import type { Problem } from './measure/problem';
import { count, mm, say } from './measure/quantity';
import { derivePiece } from './piece/derive-piece';
import type { Piece } from './piece/piece';
import { type PieceRestraint, restraintOfPiece } from './piece/restraint-of-piece';
import { deriveSeason, type Season } from './piece/season';
import { type Operation, planOperations } from './plan/operations';
import { type Schedule, schedule } from './plan/schedule';
import type { Board } from './stock/board';
import { findSpecies, type Species } from './wood/species';

/** Everything stored that a job is computed from. */
export interface JobInputs {
  document: JobDocument;
  shop: Shop;
  places: readonly Place[];
  /** The whole rack; the job takes the boards of its species that are not left out. */
  boards: readonly Board[];
  /** A layout found before; used as long as its key still fits, or some of its parts are cut. */
  layout: Layout | null;
}

export interface DerivedJob {
  species: Species;
  shopAir: Place;
  homeAir: Place;
  piece: Piece;
  season: Season;
  /** What ties the parts together, what fights, and how far every sliding tie must go. */
  restraint: PieceRestraint;
  /** Boards of the species, those left out taken away. */
  boards: readonly Board[];
  demand: Demand;
  layoutOptions: LayoutOptions;
  layout: Layout | null;
  layoutState: 'none' | 'current' | 'stale';
  glueUps: readonly GlueUp[];
  glue: Glue;
  /** The strips of the top as they lie side by side; none until a layout is current. */
  laid: readonly LaidStrip[];
  /** How the top is taken out of its glued panel; null until a layout is current. */
  trim: PanelTrim | null;
  /** The strips are those of the layout, not yet a guess from the strip widths. */
  stripsFromLayout: boolean;
  operations: readonly Operation[];
  schedule: Schedule;
  checks: readonly Check[];
  figures: Readonly<Record<string, Figure>>;
  problems: readonly Problem[];
}

export const LAYOUT_EFFORT = 1_600;

/**
 * The whole chain for one job: piece → season → checks → demand → glue-ups → operations → calendar. The layout search
 * is not run here; its result comes in and goes out with its state. Pure, and quick enough for every keystroke.
 *
 * @returns the derived job, or the problems that leave nothing to derive from (an unknown species, no place)
 */
export function deriveJob(inputs: JobInputs): DerivedJob | { problems: Problem[] } {
  const { document, shop, places } = inputs;
  const species = findSpecies(document.form.species, shop.species);
  const shopAir = places.find((p) => p.id === document.season.shopPlaceId) ?? places.find((p) => p.kind === 'shop');
  const homeAir =
    places.find((p) => p.id === document.season.homePlaceId) ?? places.find((p) => p.kind === 'home') ?? shopAir;
  if (!species || !shopAir || !homeAir) {
    return {
      problems: [
        ...(species
          ? []
          : [
              {
                problem: `There is no species “${document.form.species}”.`,
                where: 'form.species',
                wayOut: 'Choose another species in the step Form.',
              },
            ]),
        ...(shopAir
          ? []
          : [
              {
                problem: 'No place is known, so there is no air to reckon with.',
                where: 'season',
                wayOut: 'Add the shop and the home on the Shop page.',
              },
            ]),
      ],
    };
  }

  const piece = derivePiece({ form: document.form, joints: document.joints, bench: document.bench });
  const leftOut = new Set(document.layout.leaveOut);
  const boards = inputs.boards.filter((b) => b.species === species.id && !leftOut.has(b.tag));

  const demand = demandOf(piece, document, shop);
  const fixed = fixedPlacements({ layout: inputs.layout, piece, demand, boards, pinned: document.layout.pinned });
  const layoutOptions = layoutOptionsOf(shop, document.layout, { seed: 1, effort: LAYOUT_EFFORT, fixed });
  const key = layoutKey(demand, boards, layoutOptions);
  const layout = inputs.layout;
  const layoutState = !layout ? 'none' : layout.key === key ? 'current' : 'stale';

  const panel = demand.panels[0];
  const laid =
    panel && layout && layoutState === 'current'
      ? layPanel({
          panel,
          layout,
          boards: inputs.boards,
          school: document.season.ringSchool,
          choices: document.layout.laid,
        })
      : [];
  const trim =
    panel && laid.length > 0
      ? trimPanel(
          laid.map((strip) => strip.width),
          panel.finished.width,
          fastenersAcross(piece),
          document.layout.jointMargin,
        )
      : null;
  const season = deriveSeason({
    document,
    piece,
    species,
    shopAir,
    homeAir,
    strips: laid.map(({ board, placement, width, rings, heartUp }) => ({
      width,
      rings,
      heartUp,
      bestHeartUp: placement.turned ?? false,
      thickness: board.thickness,
      moisture: board.moisture,
      moistureOn: board.moistureOn,
    })),
  });
  const restraint = restraintOfPiece(piece, season, document.form);

  const glue = GLUES[document.glueUp.glue];
  const stripsFromLayout = laid.length > 0;
  const strips: readonly GlueStrip[] =
    laid.length > 0 ? laid : panel ? likelyStrips(panel.rough.width, panel.greatestStrip, panel.letter) : [];
  const glueUps = panel
    ? [
        planGlueUps({
          panel: panel.id,
          strips,
          length: panel.rough.length,
          thickness: panel.finished.thickness,
          staging: document.glueUp.staging,
          glue,
          shop,
          species,
        }),
      ]
    : [];
  const operations = planOperations({
    document,
    piece,
    glueUps,
    glue,
    boards:
      layout && layoutState === 'current' ? layout.boards.length : Math.ceil(demand.parts.length / 3) + strips.length,
  });
  const dates = schedule(operations, document.plan, document.plan.startOn);

  const context = { document, piece, season, restraint, species, shop, boards };
  const checks = inOrder([
    ...runChecks(context),
    ...piece.problems.map(impossibility),
    ...(layoutState === 'current' && layout ? layoutChecks(layout, species) : []),
    ...(trim ? panelChecks(laid, trim, document.layout.jointMargin) : []),
    ...glueUps.flatMap((glueUp) => glueUp.limits.map(glueUpCheck)),
    ...planChecks(document, dates),
  ]);
  const figures = collectFigures({
    context,
    checks,
    glueUps,
    glue,
    laid,
    dates,
    layout: layoutState === 'none' ? null : layout,
  });
  return {
    species,
    shopAir,
    homeAir,
    piece,
    season,
    restraint,
    boards,
    demand,
    layoutOptions,
    layout,
    layoutState,
    glueUps,
    glue,
    laid,
    trim,
    stripsFromLayout,
    operations,
    schedule: dates,
    checks,
    figures,
    problems: piece.problems,
  };
}

/** What the search leaves where it is: parts that are cut, and whatever of a pinned board is still of the asked size. */
function fixedPlacements(given: {
  layout: Layout | null;
  piece: Piece;
  demand: Demand;
  boards: readonly Board[];
  pinned: readonly string[];
}): Placement[] {
  const { layout, piece, demand, boards, pinned } = given;
  const cut = new Set(piece.parts.filter((part) => part.cut).map((part) => part.id));
  const tags = new Map(boards.map((board) => [board.id, board.tag]));
  const near = (a: number, b: number) => Math.abs(a - b) < 1e-6;
  return (layout?.placements ?? []).filter((placement) => {
    const tag = tags.get(placement.board);
    if (tag === undefined) return false;
    if (cut.has(placement.part)) return true;
    if (!pinned.includes(tag)) return false;
    const part = demand.parts.find((p) => p.id === placement.part);
    if (part) return near(part.rough.length, placement.length) && near(part.rough.width, placement.width);
    const panel = demand.panels.find((p) => p.id === placement.part);
    const band = panel?.bands[placement.band ?? 0];
    const width = placement.width - (panel?.jointing ?? 0);
    return (
      panel !== undefined &&
      near(band?.length ?? 0, placement.length) &&
      width >= panel.leastStrip - 1e-6 &&
      width <= panel.greatestStrip + 1e-6
    );
  });
}

/** Of everything driven into the top, mm from its middle to the right, as the panel is looked along. */
export const fastenersAcross = (piece: Piece): number[] => piece.fasteners.map((fastener) => -fastener.y);

/** Before a layout is there: as few equal strips as the greatest width allows. */
function likelyStrips(width: number, greatest: number, letter: string): GlueStrip[] {
  const n = Math.max(1, Math.ceil(width / greatest - 1e-9));
  return Array.from({ length: n }, (_, i) => ({ label: `${letter}${i + 1}`, width: width / n }));
}

const nothing = { value: count(0), limit: count(0) };

function impossibility(problem: Problem): Check {
  return {
    id: `form.impossible.${problem.where}`,
    step: 'form',
    level: 'stop',
    sentence: say`${problem.problem}`,
    ...nothing,
    where: [],
    why: 'It cannot be built as it is drawn.',
    wayOut: { say: say`${problem.wayOut}`, changes: [] },
  };
}

function glueUpCheck({ stage, kind, sentence, value, limit, wayOut }: GlueLimit): Check {
  return {
    id: `glue-up.${stage}.${kind}`,
    step: 'glue-up',
    level: 'watch',
    sentence,
    value,
    limit,
    where: ['top'],
    why:
      kind === 'clamps'
        ? 'A joint that is not pressed along its whole length opens there first.'
        : 'Glue that sets before the last joint is home cannot be undone.',
    wayOut: { say: wayOut, changes: [] },
  };
}

function layoutChecks(layout: Layout, species: Species): Check[] {
  if (layout.shortfall.length === 0) {
    return [
      {
        id: 'layout.complete',
        step: 'layout',
        level: 'good',
        sentence: say`Everything comes out of ${count(layout.boards.length)} boards of the rack.`,
        value: count(0),
        limit: count(0),
        where: [],
        why: 'A trip to the yard in the middle of a job costs a day.',
      },
    ];
  }
  const feet = layout.shortfall.reduce((sum, s) => sum + s.boardFeet, 0);
  const names = [...new Set(layout.shortfall.map((s) => s.name.toLowerCase().split(',')[0]))].join(', ');
  return [
    {
      id: 'layout.shortfall',
      step: 'layout',
      level: 'stop',
      sentence: say`The rack does not give everything: ${feet.toFixed(1)} board feet of ${species.commonName} are to be bought (${names}).`,
      value: count(layout.shortfall.length),
      limit: count(0),
      where: layout.shortfall.map((s) => s.part),
      why: 'Boards too short, too narrow, too thin or too few, found out before the first cut.',
      wayOut: { say: say`Add boards to the rack, or change sizes or species in the step Form`, changes: [] },
    },
  ];
}

function panelChecks(laid: readonly LaidStrip[], trim: PanelTrim, margin: number): Check[] {
  const showing = laid.filter((strip) => strip.showing.length > 0);
  const checks: Check[] = [];
  if (trim.clearance !== null) {
    const near = trim.clearance < margin - 1e-6;
    checks.push({
      id: 'panel.joint-at-fastener',
      step: 'layout',
      level: near ? 'watch' : 'good',
      sentence: near
        ? say`A joint line of the top runs ${mm(trim.clearance)} from a fastener.`
        : say`The joint lines keep ${mm(trim.clearance)} off the fasteners.`,
      value: mm(trim.clearance),
      limit: mm(margin),
      where: ['top'],
      why: 'A screw in a joint line wedges the joint apart, and holds in half of it only.',
      school: 'common practice',
      wayOut: { say: say`Lay the strips in another order, or search for the best one in the tab Panel`, changes: [] },
    });
  }
  if (showing.length > 0) {
    const kinds = [...new Set(showing.flatMap((strip) => strip.showing.map((d) => d.kind)))].join(' and ');
    checks.push({
      id: 'panel.shows',
      step: 'layout',
      level: 'watch',
      sentence: say`As it is laid, ${showing.map((strip) => strip.label).join(', ')} shows a ${kinds}.`,
      value: count(showing.length),
      limit: count(0),
      where: ['top'],
      why: 'The strip was taken from that board with its other face up.',
      wayOut: { say: say`Turn it over in the tab Panel, or take the school that puts the best face up`, changes: [] },
    });
  }
  return checks;
}

function planChecks(document: JobDocument, dates: Schedule): Check[] {
  const late = dates.finishedOn > document.brief.dueOn;
  return [
    {
      id: 'plan.due',
      step: 'plan',
      level: late ? 'watch' : 'good',
      sentence: late
        ? say`Done on ${sayDay(dates.finishedOn)}; it was promised for ${sayDay(document.brief.dueOn)}.`
        : say`Done on ${sayDay(dates.finishedOn)}, promised for ${sayDay(document.brief.dueOn)}.`,
      ...nothing,
      where: [],
      why: 'Hours are common practice for one person; glue and finish wait by the clock.',
      wayOut: { say: say`Start earlier, or work longer days`, changes: [] },
    },
  ];
}
