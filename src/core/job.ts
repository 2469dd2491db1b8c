import type { Check } from './check/check';
import { edgeChecks } from './check/glue-up/edge-checks';
import { glueUpChecks } from './check/glue-up/glue-up-checks';
import { panelChecks } from './check/glue-up/panel-checks';
import { impossibilities } from './check/impossible';
import { layoutChecks, movesGivenUp, ringChecks } from './check/layout/layout-checks';
import { machineChecks } from './check/layout/machine-checks';
import { pairChecks } from './check/layout/pair-checks';
import { sequenceChecks } from './check/layout/sequence-checks';
import { planChecks } from './check/plan-checks';
import { inOrder, runChecks } from './check/run-checks';
import type { Place } from './climate/place';
import type { JobDocument } from './decision/job-document';
import type { Shop } from './decision/shop';
import { collectFigures } from './figures';
import { pieceLabel } from './format/layout-svg';
import { type EdgeJoint, edgeJoints } from './glueup/edge-joints';
import { GLUES, type Glue } from './glueup/glue';
import { type LaidStrip, layPanel } from './glueup/lay-panel';
import { stripsOf } from './glueup/likely-strips';
import { type GlueStrip, type GlueUp, planGlueUps } from './glueup/plan-glue-ups';
import { type PanelTrim, trimLaid, trimPanel } from './glueup/trim-panel';
import { type AlignerSize, alignerSize } from './joint/edge-joint';
import { type Demand, demandOf, type PanelDemand } from './layout/demand';
import { fixedPlacements } from './layout/fixed-placements';
import { type Layout, type LayoutOptions, layoutKey } from './layout/layout';
import { layoutOptionsOf } from './layout/layout-aims';
import { movedLayout, standingMoves } from './layout/move-piece';
import { resawWork } from './layout/resaw-work';
import type { Figure } from './measure/figure';
import type { Problem } from './measure/problem';
import { derivePiece } from './piece/derive-piece';
import type { Piece } from './piece/piece';
import { findPart } from './piece/piece';
import type { Unbuildable } from './piece/unbuildable';
import type { Operation } from './plan/operation';
import { planOperations } from './plan/operations';
import { type Schedule, schedule } from './plan/schedule';
import { type PieceRestraint, restraintOfPiece } from './season/restraint-of-piece';
import { deriveSeason, type Season } from './season/season';
import type { Board } from './stock/board';
import { findSpecies, type Species } from './wood/species';

/** Everything stored that a job is computed from. */
export interface JobInputs {
  document: JobDocument;
  shop: Shop;
  places: readonly Place[];
  /** The whole rack; the job takes the boards of its species that are not left out. Null: not known, nothing is said of it. */
  boards: readonly Board[] | null;
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
  /** The layout is current and nothing is missing; until then it is a proposal, and nothing takes its widths. */
  layoutComplete: boolean;
  glueUps: readonly GlueUp[];
  glue: Glue;
  /** The strips of the top as they lie side by side; none until a layout is current. */
  laid: readonly LaidStrip[];
  /** How the top is taken out of its glued panel; null until a layout is current. */
  trim: PanelTrim | null;
  /** What stands in the edges of its boards to keep them level; null where nothing does. */
  edges: { joints: readonly EdgeJoint[]; size: AlignerSize } | null;
  /** The strips are those of the layout, not yet a guess from the strip widths. */
  stripsFromLayout: boolean;
  operations: readonly Operation[];
  schedule: Schedule;
  checks: readonly Check[];
  figures: Readonly<Record<string, Figure>>;
  problems: readonly Unbuildable[];
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
  const rack = inputs.boards ?? [];
  const boards = rack.filter((b) => b.species === species.id && (b.takenFor || !leftOut.has(b.tag)));

  const demand = demandOf(piece, document, shop);
  const { pinned } = document.layout;
  const plain = layoutOptionsOf(shop, document.layout, { seed: 1, effort: LAYOUT_EFFORT });
  // A layout is only judged beside the rack it was found on.
  const kept = inputs.boards && inputs.layout;
  const layoutState = !kept ? 'none' : kept.key === layoutKey(demand, boards, plain) ? 'current' : 'stale';
  const moved =
    kept && layoutState === 'current'
      ? standingMoves(demand, boards, plain, kept, document.layout.moved)
      : document.layout.moved;
  const layout = kept && movedLayout(demand, boards, plain, kept, moved);
  const fixed = fixedPlacements({ layout, piece, demand, boards, options: plain, pinned, moved });
  const used = new Set(boards.flatMap((board) => (board.takenFor ? board.id : [])));
  const givenBack = layout?.offcuts.filter((offcut) => used.has(offcut.board)) ?? [];
  const layoutOptions = { ...plain, fixed, givenBack };

  const layoutComplete = layout !== null && layoutState === 'current' && layout.shortfall.length === 0;
  const panel = demand.panels[0];
  const layOut = (own: PanelDemand): LaidStrip[] =>
    layout && layoutComplete
      ? layPanel({
          panel: own,
          layout,
          boards: rack,
          school: document.season.ringSchool,
          choices: document.layout.laid,
        })
      : [];
  const laid = panel ? layOut(panel) : [];
  const trim =
    panel && laid.length > 0 ? trimLaid(panel, laid, keptOffJoints(piece), document.layout.jointMargin) : null;
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
  const strips: readonly GlueStrip[] = panel ? stripsOf(panel, laid) : [];
  const stripsOfPanel = demand.panels.map((own, i) => (i === 0 ? strips : stripsOf(own, layOut(own))));
  const glueUps = demand.panels.map((own, i) =>
    planGlueUps({
      panel: own.id,
      ...(i === 0 ? {} : { beside: own.name.toLowerCase() }),
      strips: stripsOfPanel[i] ?? [],
      length: own.rough.length,
      thickness: own.finished.thickness,
      staging: document.glueUp.staging,
      glue,
      shop,
      species,
    }),
  );
  const aligner = document.glueUp.level;
  const alignerOf = panel ? alignerSize(aligner, panel.finished.thickness, shop.tools) : null;
  // In a panel that is crosscut later nobody knows yet where they may stand.
  const edges = panel && alignerOf && demand.panels.length === 1 ? edgesOf(piece, strips, trim, alignerOf) : [];
  const operations = planOperations({
    document,
    piece,
    glueUps,
    glue,
    aligners: edges.reduce((sum, { places }) => sum + places.length, 0),
    boards: layout && layoutComplete ? layout.boards.length : Math.ceil(demand.parts.length / 3) + strips.length,
    resaw: resawWork(
      demand,
      layoutComplete ? layout : null,
      stripsOfPanel.map((own) => own.length),
      shop,
      species,
    ),
  });
  const dates = schedule(operations, document.plan, document.plan.startOn);

  const cutFrom = layout && layoutState === 'current' ? layout.boards : null;
  const context = {
    document,
    piece,
    season,
    restraint,
    species,
    shop,
    boards: inputs.boards && boards,
    used: cutFrom,
    shopAir,
  };
  const checks = inOrder([
    ...runChecks(context),
    ...impossibilities(piece.problems, document),
    ...(layoutState === 'current' && layout
      ? [
          ...layoutChecks(layout, demand, piece, species, document.layout),
          ...sequenceChecks(demand, layout, layoutOptions.kerf),
          ...ringChecks(layout, demand, boards, document.layout.aim),
        ]
      : []),
    ...(layoutState === 'current' && layout
      ? machineChecks({ layout, boards, shop, species, nameOf: (placement) => pieceLabel(piece, placement) })
      : []),
    ...(inputs.boards ? pairChecks(demand, document.layout, shop, boards, layoutOptions) : []),
    ...movesGivenUp(piece, document.layout.moved, moved),
    ...(trim && panel ? panelChecks(panel, laid, trim, document.layout.jointMargin) : []),
    ...(panel && alignerOf && edges.length > 0
      ? edgeChecks({
          panel: panel.id,
          kind: aligner,
          size: alignerOf,
          tools: shop.tools,
          joints: edges,
          strips,
          thickness: panel.finished.thickness,
          edge: 'edge' in document.form.top ? document.form.top.edge : { kind: 'square' },
          polygon: piece.top.polygon,
        })
      : []),
    ...glueUps.flatMap((glueUp, i) => glueUpChecks(glueUp, demand.panels[i]?.id ?? '', i === 0)),
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
    layoutComplete,
    glueUps,
    glue,
    laid,
    trim,
    edges: edges.length > 0 && alignerOf ? { joints: edges, size: alignerOf } : null,
    stripsFromLayout,
    operations,
    schedule: dates,
    checks,
    figures,
    problems: piece.problems,
  };
}

/** Of everything driven into the top, mm from its middle to the right, as the panel is looked along. */
export const keptOffJoints = (piece: Piece): number[] => {
  const middle = findPart(piece, piece.top.leading)?.frame.at[1] ?? 0;
  return [
    ...piece.fasteners.filter(({ holds }) => holds === piece.top.leading).map((fastener) => middle - fastener.y),
    ...[...(piece.top.holes ?? []), ...(piece.top.notches ?? [])].flatMap(({ low, high }) => [
      middle - low,
      middle - high,
    ]),
  ];
};

/** A screw's or a bolt's half thickness, with the hole it is bored for, mm. */
const FASTENER = 5;

/** Aligners along the joints of the panel, clear of all that is driven and cut into it. */
function edgesOf(piece: Piece, strips: readonly GlueStrip[], trim: PanelTrim | null, size: AlignerSize): EdgeJoint[] {
  const panel = findPart(piece, piece.top.leading);
  const middle = panel?.frame.at[1] ?? 0;
  // Looked along from its near end, the panel's right is the front of the piece.
  const lines = (
    trim ??
    trimPanel(
      strips.map(({ width }) => width),
      panel?.size.width ?? piece.top.size.width,
      [],
      0,
    )
  ).joints.map((line) => middle - line);
  const { holes = [], notches = [] } = piece.top;
  const cuts = piece.joints
    .flatMap((joint) => joint.removed)
    .filter((cut) => cut.part === panel?.id && cut.what === 'groove')
    .map((cut) => cut.solid.bounds)
    .map(({ from, to }) => ({ left: from[0], right: to[0], low: from[1], high: to[1] }));
  const driven = piece.fasteners.map(({ x, y }) => ({
    left: x - FASTENER,
    right: x + FASTENER,
    low: y - FASTENER,
    high: y + FASTENER,
  }));
  return edgeJoints({
    labels: strips.map(({ label }) => label),
    lines,
    polygon: piece.top.polygon,
    half: (panel?.shoulderLength ?? piece.top.size.length) / 2,
    size,
    taken: [...holes, ...notches, ...cuts, ...driven],
  });
}
