import { clearOf, type LayoutOptions } from './layout';
import type { Kinds, PartKind, ReadyBoard } from './ready-boards';
import { type Sawn, type SawnBoard, uncut, usefulOffcuts } from './sawn-board';

/** What stays the same through a search. */
export interface Problem {
  kinds: Kinds;
  boards: readonly ReadyBoard[];
  options: LayoutOptions;
  /** Each board with nothing cut from it. */
  whole: readonly SawnBoard[];
  /** What a missing mm² counts, in the shop's money: far more than any board. */
  missingPrice: number;
}

/** A whole plan: every board as it is cut up, undefined where it stays on the rack, and what is still to be found. */
export interface CutPlan {
  boards: (SawnBoard | undefined)[];
  /** What each board costs, in the shop's money; 0 where it stays on the rack. */
  costs: number[];
  /** Pieces still to be found of each kind of part. */
  parts: number[];
  /** Width still to be found of each band in blanks, mm. */
  bands: number[];
  /** Strips in each panel. */
  strips: number[];
  cost: number;
}

export function problemOf(kinds: Kinds, boards: readonly ReadyBoard[], options: LayoutOptions): Problem {
  const dearest = Math.max(1e-9, ...boards.map((b) => b.priceOfArea));
  const whole = boards.map((ready) => uncut(ready, true));
  return { kinds, boards, options, whole, missingPrice: 20 * dearest };
}

/** Nothing cut yet but what is fixed. */
export function emptyPlan(problem: Problem): CutPlan {
  const { boards, kinds, whole } = problem;
  const plan: CutPlan = {
    boards: boards.map((ready, i) => (ready.begun ? whole[i] : undefined)),
    costs: boards.map(() => 0),
    parts: kinds.parts.map((kind) => kind.ids.length),
    bands: kinds.bands.map((band) => band.width),
    strips: kinds.panels.map((panel) => panel.fixedStrips),
    cost: 0,
  };
  plan.boards.forEach((state, i) => {
    plan.costs[i] = state ? boardCost(state, problem.options) : 0;
  });
  plan.cost = planCost(problem, plan);
  return plan;
}

export const copyOf = (plan: CutPlan): CutPlan => ({
  boards: plan.boards.slice(),
  costs: plan.costs.slice(),
  parts: plan.parts.slice(),
  bands: plan.bands.slice(),
  strips: plan.strips.slice(),
  cost: plan.cost,
});

/** Its price and its handling, less what its useful offcuts are worth, plus its cuts; in the shop's money. */
export function boardCost(state: SawnBoard, options: LayoutOptions): number {
  const { weights } = options;
  const offcuts = usefulOffcuts(state, options).reduce((sum, offcut) => sum + clearOf(offcut), 0);
  return (
    state.ready.price +
    weights.board -
    weights.offcutWorth * state.ready.priceOfArea * offcuts +
    weights.cut * state.cuts
  );
}

/** All that a plan costs, what is missing at its price included. */
export function planCost({ kinds, options, missingPrice }: Problem, plan: CutPlan): number {
  const { weights } = options;
  let cost = 0;
  for (const one of plan.costs) cost += one;
  kinds.parts.forEach((kind, i) => {
    cost += plan.parts[i]! * kind.length * kind.width * missingPrice;
  });
  kinds.bands.forEach((band, i) => {
    cost += Math.max(0, plan.bands[i]!) * band.length * missingPrice;
  });
  for (const strips of plan.strips) cost += weights.joint * Math.max(0, strips - 1);
  if (weights.lot > 0 || weights.ring > 0) cost += matchCost(kinds, plan, weights);
  return cost;
}

/** What differing lots and rings in the panels count for, and parts that are not sawn from the log as is best. */
export function matchCost(kinds: Kinds, plan: CutPlan, weights: { lot: number; ring: number }): number {
  let cost = 0;
  for (const state of plan.boards) {
    for (const piece of state?.pieces ?? []) {
      if ('part' in piece) cost += piece.copies * ringCost(kinds.parts[piece.part], state?.ready, weights);
    }
  }
  kinds.panels.forEach((panel, index) => {
    const lots = new Set<string>(panel.lot === null ? [] : [panel.lot]);
    const rings = new Set<string>();
    for (const state of plan.boards) {
      if (!state) continue;
      for (const piece of state.pieces) {
        if (!('band' in piece) || kinds.bands[piece.band]?.panel !== index) continue;
        lots.add(state.ready.board.lot);
        rings.add(state.ready.rings);
      }
    }
    cost += weights.lot * Math.max(0, lots.size - 1) + weights.ring * Math.max(0, rings.size - 1);
  });
  return cost;
}

/** What a part counts for that is best sawn otherwise from the log than this board is. */
export const ringCost = (
  kind: PartKind | undefined,
  ready: ReadyBoard | undefined,
  weights: { ring: number },
): number => (kind?.rings && kind.rings !== ready?.rings ? weights.ring : 0);

/** Puts a board back as it was before anything of the plan was cut from it. */
export function clearBoard(problem: Problem, plan: CutPlan, index: number): void {
  const state = plan.boards[index];
  if (!state) return;
  for (const piece of state.pieces) giveBack(problem.kinds, plan, piece);
  const whole = problem.whole[index]!;
  plan.boards[index] = state.ready.begun ? whole : undefined;
  plan.costs[index] = state.ready.begun ? boardCost(whole, problem.options) : 0;
}

function giveBack(kinds: Kinds, plan: CutPlan, piece: Sawn): void {
  if ('part' in piece) {
    plan.parts[piece.part] = plan.parts[piece.part]! + piece.copies;
  } else {
    const band = kinds.bands[piece.band]!;
    plan.bands[piece.band] = plan.bands[piece.band]! + piece.finished * piece.copies;
    plan.strips[band.panel] = plan.strips[band.panel]! - piece.copies;
  }
}

/** The lot a panel's strips come from so far; null while it has none. */
export function lotOf(problem: Problem, plan: CutPlan, panel: number): string | null {
  const fixed = problem.kinds.panels[panel]?.lot;
  if (fixed !== undefined && fixed !== null) return fixed;
  for (const state of plan.boards) {
    const strip = state?.pieces.some((p) => 'band' in p && problem.kinds.bands[p.band]?.panel === panel);
    if (state && strip) return state.ready.board.lot;
  }
  return null;
}
