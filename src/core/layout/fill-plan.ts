import { boardCost, type CutPlan, lotOf, type Problem, planCost, ringCost } from './cut-plan';
import { type BandKind, blanksFor, type PartSet, stripsFrom } from './ready-boards';
import { cutOut, type Sawn, type SawnBoard, type Spot, spotFor, stripSpotFor } from './sawn-board';

/** How a plan is filled: what the dice decided for this go. */
export interface Manner {
  random: () => number;
  /** Share of its price that opening another board counts for, 0–1. */
  reluctance: number;
  /** How far the order may stray from longest and widest first, 0–1. */
  stray: number;
  /** Share of boards overlooked at each piece, 0–1. */
  blink: number;
  /** Share of cuts taken the other way round than the rule has it, 0–1. */
  turn: number;
  /** Boards that may be opened. */
  open: readonly number[];
  /** Which corner goes first among spots as good, 0–3. */
  corner: number;
  /** How much dearer or cheaper than it is each board is taken for, so that not only the cheapest is tried first. */
  liking: (board: number) => number;
}

/** Cuts what is still to be found, piece after piece, each from the board where it wastes least; prices the boards it touched. */
export function fill(problem: Problem, plan: CutPlan, manner: Manner): void {
  const { kinds, options } = problem;
  const touched = new Set<number>();
  const order: { size: number; part?: number; band?: number; set?: number }[] = [];
  const stray = () => 1 + manner.stray * (2 * manner.random() - 1);
  kinds.sets.forEach((set, i) => {
    let size = 0;
    for (const part of set.kinds) {
      const kind = kinds.parts[part]!;
      size += plan.parts[part]! * kind.length * kind.width;
    }
    // A set wants a board with room for all of it: before others take that.
    if (size > 0) order.push({ size: 1.2 * size * stray(), set: i });
  });
  kinds.parts.forEach((kind, part) => {
    if (kind.set === null && plan.parts[part]! > 0) order.push({ size: kind.length * kind.width * stray(), part });
  });
  kinds.bands.forEach((band, i) => {
    if (plan.bands[i]! > 1e-6) order.push({ size: 1.6 * band.length * band.greatest * stray(), band: i });
  });
  order.sort((a, b) => b.size - a.size);
  const candidates = manner.open.filter((i) => plan.boards[i] === undefined);
  plan.boards.forEach((state, i) => {
    if (state) candidates.push(i);
  });
  for (const item of order) {
    if (item.set !== undefined) cutSet(problem, plan, item.set, candidates, manner, touched);
    if (item.part !== undefined) while (cutPart(problem, plan, item.part, candidates, manner, touched));
    if (item.band !== undefined) while (cutStrips(problem, plan, item.band, candidates, manner, touched));
  }
  for (const i of touched) {
    const state = plan.boards[i];
    plan.costs[i] = state ? boardCost(state, options) : 0;
  }
  plan.cost = planCost(problem, plan);
}

const stateOf = (problem: Problem, plan: CutPlan, i: number): SawnBoard => plan.boards[i] ?? problem.whole[i]!;

function opening(problem: Problem, plan: CutPlan, i: number, manner: Manner): number {
  if (plan.boards[i]) return 0;
  return problem.boards[i]!.price * manner.reluctance + problem.options.weights.board;
}

function cutPart(
  problem: Problem,
  plan: CutPlan,
  part: number,
  candidates: readonly number[],
  manner: Manner,
  touched: Set<number>,
): boolean {
  const left = plan.parts[part]!;
  const kind = problem.kinds.parts[part];
  if (left <= 0 || !kind) return false;
  let best: { i: number; spot: NonNullable<ReturnType<typeof spotFor>>; copies: number; score: number } | undefined;
  for (const i of candidates) {
    const ready = problem.boards[i]!;
    const layers = ready.layers[part]!;
    if (layers === 0 || (best && manner.random() < manner.blink)) continue;
    const width = ready.widths[part]!;
    const spot = spotFor(stateOf(problem, plan, i), part, { ...kind, width }, manner.corner);
    if (!spot) continue;
    const copies = Math.min(layers, left);
    const score =
      (manner.liking(i) *
        ((spot.waste * 0.5 + kind.length * width) * ready.priceOfArea + opening(problem, plan, i, manner))) /
        copies +
      ringCost(kind, ready, problem.options.weights);
    if (!best || score < best.score) best = { i, spot, copies, score };
  }
  if (!best) return false;
  const { spot, i, copies } = best;
  const block = { length: kind.length, width: problem.boards[i]!.widths[part]! };
  const piece: Sawn = { x: spot.x, y: spot.y, ...block, lie: spot.lie, part, copies };
  cut(problem, plan, i, spot, block, [piece], manner);
  plan.parts[part] = left - copies;
  touched.add(i);
  return true;
}

/** All of a set from one board, or none of it. */
function cutSet(
  problem: Problem,
  plan: CutPlan,
  index: number,
  candidates: readonly number[],
  manner: Manner,
  touched: Set<number>,
): void {
  const set = problem.kinds.sets[index];
  if (!set) return;
  let best: { i: number; state: SawnBoard; score: number } | undefined;
  for (const i of candidates) {
    const ready = problem.boards[i]!;
    if (set.board !== null && ready.board.id !== set.board) continue;
    if (best && manner.random() < manner.blink) continue;
    const found = setInto(problem, plan, set, stateOf(problem, plan, i), manner);
    if (!found) continue;
    const score = manner.liking(i) * (found.waste * ready.priceOfArea + opening(problem, plan, i, manner));
    if (!best || score < best.score) best = { i, state: found.state, score };
  }
  if (!best) return;
  plan.boards[best.i] = best.state;
  for (const part of set.kinds) plan.parts[part] = 0;
  touched.add(best.i);
}

/** A board with a whole set cut from it, and what that takes of it, mm²; null where it has no room for it. */
function setInto(
  problem: Problem,
  plan: CutPlan,
  set: PartSet,
  board: SawnBoard,
  manner: Manner,
): { state: SawnBoard; waste: number } | null {
  let state = board;
  let waste = 0;
  for (const part of set.kinds) {
    const kind = problem.kinds.parts[part]!;
    const layers = state.ready.layers[part]!;
    let left = plan.parts[part]!;
    const block = { length: kind.length, width: state.ready.widths[part]! };
    while (left > 0) {
      const spot = layers > 0 ? spotFor(state, part, { ...kind, ...block }, manner.corner) : null;
      if (!spot) return null;
      const copies = Math.min(layers, left);
      const piece: Sawn = { x: spot.x, y: spot.y, ...block, lie: spot.lie, part, copies };
      state = sawn(problem, state, spot, block, [piece], manner);
      waste += spot.waste * 0.5 + block.length * block.width;
      left -= copies;
    }
  }
  return { state, waste };
}

function cutStrips(
  problem: Problem,
  plan: CutPlan,
  index: number,
  candidates: readonly number[],
  manner: Manner,
  touched: Set<number>,
): boolean {
  const { kinds, options } = problem;
  const need = plan.bands[index]!;
  const band = kinds.bands[index];
  const panel = band && kinds.panels[band.panel];
  if (need <= 1e-6 || !band || !panel) return false;
  const more = panel.mostStrips + panel.fixedStrips - plan.strips[band.panel]!;
  if (more < (band.pairs ? 2 : 1)) return false;
  const lot = panel.oneLot ? lotOf(problem, plan, band.panel) : null;
  let best:
    | { i: number; spot: NonNullable<ReturnType<typeof stripSpotFor>>; copies: number; score: number }
    | undefined;
  for (const i of candidates) {
    const ready = problem.boards[i]!;
    const blanks = stripsFrom(ready, band);
    if (blanks.copies === 0 || (best && manner.random() < manner.blink)) continue;
    if (lot !== null && ready.board.lot !== lot) continue;
    const copies = asManyAsAreWanted(blanks.copies, band, need, more);
    const asked = blanksFor(band, blanks, copies);
    const spot = stripSpotFor(
      stateOf(problem, plan, i),
      index,
      copies > 1,
      asked,
      need / copies,
      options,
      manner.corner,
    );
    if (!spot) continue;
    const { count, width } = spot;
    const score =
      (manner.liking(i) *
        ((spot.waste + band.length) * ready.priceOfArea +
          (opening(problem, plan, i, manner) + options.weights.joint * copies * count) / (count * width))) /
      copies;
    if (!best || score < best.score) best = { i, spot, copies, score };
  }
  if (!best) return false;
  const { i, spot, copies } = best;
  const count = Math.min(spot.count, Math.floor(more / copies));
  const sawn = spot.width + band.jointing;
  const pieces = Array.from(
    { length: count },
    (_, n): Sawn => ({
      x: spot.x,
      y: spot.y + n * (sawn + options.kerf),
      length: band.length,
      width: sawn,
      lie: spot.lie,
      band: index,
      finished: spot.width,
      copies,
    }),
  );
  cut(
    problem,
    plan,
    i,
    spot,
    { length: band.length, width: count * (sawn + options.kerf) - options.kerf },
    pieces,
    manner,
  );
  plan.bands[index] = need - count * spot.width * copies;
  plan.strips[band.panel] = plan.strips[band.panel]! + count * copies;
  touched.add(i);
  return true;
}

/** Strips that are taken of those a blank gives: none that nobody needs, each at least as wide as the narrowest. */
function asManyAsAreWanted(copies: number, { pairs, least }: BandKind, need: number, more: number): number {
  return pairs ? copies : Math.max(1, Math.min(copies, more, Math.floor(need / least + 1e-9)));
}

function cut(
  problem: Problem,
  plan: CutPlan,
  i: number,
  spot: Spot,
  block: { length: number; width: number },
  pieces: readonly Sawn[],
  manner: Manner,
): void {
  plan.boards[i] = sawn(problem, stateOf(problem, plan, i), spot, block, pieces, manner);
}

function sawn(
  problem: Problem,
  state: SawnBoard,
  spot: Spot,
  block: { length: number; width: number },
  pieces: readonly Sawn[],
  manner: Manner,
): SawnBoard {
  const free = state.free[spot.rect]!;
  // The cut that leaves the larger rest whole comes first.
  const endArea = (free.length - block.length) * free.width;
  const sideArea = (free.width - block.width) * free.length;
  const crosscutFirst = endArea >= sideArea !== manner.random() < manner.turn;
  return cutOut(state, spot, block, pieces, crosscutFirst, problem.options.kerf);
}
