import type { Check } from './check/check';
import { inOrder, runChecks } from './check/run-checks';
import type { Place } from './climate/place';
import type { JobDocument } from './decision/job-document';
import type { Shop } from './decision/shop';
import { collectFigures } from './figures';
import { GLUES, type Glue } from './glueup/glue';
import { type GlueLimit, type GlueStrip, type GlueUp, planGlueUps } from './glueup/plan-glue-ups';
import { type Demand, demandOf } from './layout/demand';
import { type Layout, type LayoutOptions, layoutKey, type Placement } from './layout/layout';
import { layoutOptionsOf } from './layout/layout-aims';
import { sayDay } from './measure/calendar';
import type { Figure } from './measure/figure';
import type { Problem } from './measure/problem';
import { count, say } from './measure/quantity';
import { derivePiece } from './piece/derive-piece';
import type { Piece } from './piece/piece';
import { type PieceRestraint, restraintOfPiece } from './piece/restraint-of-piece';
import { deriveSeason, type Season, type StripOfLayout } from './piece/season';
import { type Operation, planOperations } from './plan/operations';
import { type Schedule, schedule } from './plan/schedule';
import { type Board, ringsAt } from './stock/board';
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

  const season = deriveSeason({
    document,
    piece,
    species,
    shopAir,
    homeAir,
    strips: layoutState === 'current' && layout ? stripsAsSawn(layout, inputs.boards) : [],
  });
  const restraint = restraintOfPiece(piece, season, document.form);

  const glue = GLUES[document.glueUp.glue];
  const panel = demand.panels[0];
  const stripsFromLayout = layoutState === 'current' && (layout?.strips.length ?? 0) > 0;
  const strips =
    stripsFromLayout && layout
      ? layout.strips
      : panel
        ? likelyStrips(panel.rough.width, panel.greatestStrip, panel.letter)
        : [];
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
    ...glueUps.flatMap((glueUp) => glueUp.limits.map(glueUpCheck)),
    ...planChecks(document, dates),
  ]);
  const figures = collectFigures({
    context,
    checks,
    glueUps,
    glue,
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

/** The strips of the top with what their boards tell of them. */
function stripsAsSawn(layout: Layout, boards: readonly Board[]): StripOfLayout[] {
  const byId = new Map(boards.map((board) => [board.id, board]));
  const places = layout.placements.filter((placement) => placement.part === 'top' && placement.strip !== undefined);
  return layout.strips.flatMap((strip, i) => {
    const board = strip.panel === 'top' ? byId.get(strip.board) : undefined;
    const sawn = places.find((placement) => placement.strip === i);
    return board
      ? [
          {
            width: strip.width,
            rings: ringsAt(board, sawn ? sawn.y + sawn.width / 2 : board.width / 2),
            thickness: board.thickness,
            moisture: board.moisture,
            moistureOn: board.moistureOn,
          },
        ]
      : [];
  });
}

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
