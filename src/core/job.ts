import type { Check } from './check/check';
import { seatsAt } from './check/people';
import { inOrder, runChecks } from './check/run-checks';
import { pieceWeight } from './check/stability';
import type { Place } from './climate/place';
import type { JobDocument } from './decision/job-document';
import type { Shop } from './decision/shop';
import { GLUES, type Glue } from './glueup/glue';
import { type GlueStrip, type GlueUp, planGlueUps } from './glueup/plan-glue-ups';
import { type Demand, demandOf, type Layout, type LayoutOptions, layoutKey } from './layout/layout';
import type { Figure } from './measure/figure';
import type { Problem } from './measure/problem';
import { count, kilogram, mm, movement, percent, say } from './measure/quantity';
import { derivePiece } from './piece/derive-piece';
import { findPart, type Piece } from './piece/piece';
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

export const LAYOUT_EFFORT = 24_000;

/**
 * The whole chain for one job: piece → season → checks → demand → glue-ups → operations → calendar. The layout search
 * is not run here; its result comes in and goes out with its state. Pure, and quick enough for every keystroke.
 *
 * @returns the derived job, or the problems that leave nothing to derive from (an unknown species, no place)
 */
export function deriveJob(inputs: JobInputs): DerivedJob | { problems: Problem[] } {
  const { document, shop, places } = inputs;
  const species = findSpecies(document.form.species);
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
  const season = deriveSeason({ document, piece, species, shopAir, homeAir });
  const leftOut = new Set(document.layout.leaveOut);
  const boards = inputs.boards.filter((b) => b.species === species.id && !leftOut.has(b.tag));

  const demand = demandOf(piece, document, shop);
  const cut = new Set(piece.parts.filter((part) => part.cut).map((part) => part.id));
  const fixed = (inputs.layout?.placements ?? []).filter(
    (placement) => cut.has(placement.part) && boards.some((board) => board.id === placement.board),
  );
  const layoutOptions: LayoutOptions = {
    kerf: shop.tools.kerf,
    endTrim: shop.allowances.endTrim,
    flattening: shop.allowances.flattening,
    usefulOffcut: shop.usefulOffcut,
    seed: 1,
    effort: LAYOUT_EFFORT,
    fixed,
  };
  const key = layoutKey(demand, boards, layoutOptions);
  const layout = inputs.layout;
  const layoutState = !layout ? 'none' : layout.key === key ? 'current' : 'stale';

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

  const context = { document, piece, season, species, shop, boards };
  const checks = inOrder([
    ...runChecks(context),
    ...piece.problems.map(impossibility),
    ...(layoutState === 'current' && layout ? layoutChecks(layout, species) : []),
    ...glueUps.flatMap((glueUp) => glueUp.problems.map((problem) => glueUpCheck(problem))),
    ...planChecks(document, dates),
  ]);
  const figures = collectFigures(season, checks, glueUps, piece, layoutState === 'none' ? null : layout, context);
  return {
    species,
    shopAir,
    homeAir,
    piece,
    season,
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

function glueUpCheck(problem: Problem): Check {
  return {
    id: `glue-up.${problem.where}.${problem.problem.includes('clamps') ? 'clamps' : 'time'}`,
    step: 'glue-up',
    level: 'watch',
    sentence: say`${problem.problem}`,
    ...nothing,
    where: ['top'],
    why: 'Glue that sets before the last joint is home cannot be undone.',
    wayOut: { say: say`${problem.wayOut}`, changes: [] },
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
        ? say`Done on ${dates.finishedOn}; it was promised for ${document.brief.dueOn}.`
        : say`Done on ${dates.finishedOn}, promised for ${document.brief.dueOn}.`,
      ...nothing,
      where: [],
      why: 'Hours are common practice for one person; glue and finish wait by the clock.',
      wayOut: { say: say`Start earlier, or work longer days`, changes: [] },
    },
  ];
}

function collectFigures(
  season: Season,
  checks: readonly Check[],
  glueUps: readonly GlueUp[],
  piece: Piece,
  layout: Layout | null,
  context: Parameters<typeof pieceWeight>[0] & { document: JobDocument },
): Record<string, Figure> {
  const weight = pieceWeight(context);
  const top = findPart(piece, 'top');
  const seats = seatsAt(piece.overall, context.document.brief.seating);
  const own: Figure[] = [
    {
      id: 'weight',
      label: 'Weight of the table',
      quantity: kilogram(weight),
      formula: 'Σ volume · 1000 · G₁₂ · (1 + M/100)',
      inputs: [
        { label: 'Parts', quantity: count(piece.parts.length) },
        { label: 'Specific gravity at 12 %', quantity: { amount: season.species.specificGravity, unit: 'ratio' } },
        { label: 'Moisture', quantity: { amount: season.glued.moisture, unit: 'percent-moisture' } },
      ],
      source: 'Wood Handbook ch. 4; volumes from the parts, tenons included, mortises not taken out',
    },
    {
      id: 'knee-height',
      label: 'Free under the apron',
      quantity: mm(piece.kneeHeight),
      formula: 'leg − apron height',
      inputs: [{ label: 'Underside of the apron above the floor', quantity: mm(piece.kneeHeight) }],
      source: 'geometry',
    },
    {
      id: 'base-length',
      label: 'Base over the legs',
      quantity: mm(piece.base.length),
      formula: 'top − 2 · overhang (or from the aprons that are cut)',
      inputs: [
        { label: 'Top', quantity: mm(top?.size.length ?? 0) },
        { label: 'Overhang at the ends', quantity: mm(piece.overhang.end) },
      ],
      source: 'geometry',
    },
    {
      id: 'seats-at-ease',
      label: 'Seats at ease',
      quantity: count(seats),
      formula: '2 · whole(length ÷ edge per person) + 2 when the width takes a chair',
      inputs: [{ label: 'Top', quantity: mm(piece.overall.length) }],
      source: 'common practice',
    },
  ];
  if (layout) {
    const volume = (id: string, label: string, amount: number) => ({
      id,
      label,
      quantity: { amount, unit: 'cubic-metre' as const },
    });
    own.push(
      {
        id: 'yield',
        label: 'Becomes the piece',
        quantity: percent(layout.yield * 100),
        formula: 'finished volume ÷ (boards used − offcuts back to the rack)',
        inputs: [volume('f', 'Finished', layout.finished), volume('c', 'Consumed', layout.consumed)],
        source: 'the layout; allowances, kerf, end trim and defects count as lost',
      },
      ...(layout.gap === null || layout.yieldBound === null
        ? []
        : [
            {
              id: 'layout-gap',
              label: 'From the best possible, at most',
              quantity: percent(layout.gap * 100),
              formula: 'consumed ÷ least possible − 1',
              inputs: [
                volume('c', 'Consumed', layout.consumed),
                { label: 'Yield no layout can beat', quantity: percent(layout.yieldBound * 100) },
                { label: 'Arrangements tried', quantity: count(layout.tried) },
              ],
              source: 'Bound: linear relaxation by area and thickness, see Methods',
              limits: 'The bound leaves out kerf and shapes, so the true distance is smaller.',
            } satisfies Figure,
          ]),
    );
  }
  const corner = piece.corner;
  own.push({
    id: 'tenon-length',
    label: 'Tenon into the leg',
    quantity: mm(corner.tenon.length),
    formula: 'two thirds of the leg, less where the tenons would meet or the back wall gets thin',
    inputs: [
      { label: 'Aim', quantity: mm(corner.aim) },
      { label: 'Wall left behind', quantity: mm(corner.wallBehind) },
      { label: 'How they meet', quantity: corner.meeting },
    ],
    source: 'common practice; geometry',
  });
  own.push({
    id: 'tenon-thickness-used',
    label: 'Tenon thickness',
    quantity: movement(corner.tenon.thickness),
    formula:
      context.document.joints.tenonSchool === 'third' ? 'apron ÷ 3' : 'apron ÷ 2 in a leg twice as thick, else ÷ 3',
    inputs: [{ label: 'Apron', quantity: mm(findPart(piece, 'apron-front')?.size.thickness ?? 0) }],
    source: 'common practice, the school chosen in the step Joints',
  });
  const all = [
    ...own,
    ...season.figures,
    ...checks.flatMap((check) => check.figure ?? []),
    ...glueUps.flatMap((g) => g.figures),
  ];
  return Object.fromEntries(all.map((figure) => [figure.id, figure]));
}
