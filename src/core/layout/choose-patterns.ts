import type { LinearSolver } from '../linear/linear-problem';
import { boardCost, type CutPlan, emptyPlan, type Problem, planCost } from './cut-plan';
import {
  costOf,
  entriesOf,
  keyOf,
  masterOf,
  ofOneLot,
  type Pattern,
  type Patterns,
  patternOf,
  rowsOf,
} from './patterns';
import { keepingPieces } from './sawn-board';

/** Patterns the last choice is made among. */
const CHOSEN_AMONG = 200;

/**
 * The cheapest choice among patterns that gives every piece and every band its width, each board cut one way. A panel
 * of one lot stays with the lot it has in the best plan; what lots and rings count for is not in the choice.
 *
 * @param best a plan whose patterns are among them, to begin with
 * @returns null where the solver finds none within its limits
 */
export function choosePatterns(
  problem: Problem,
  patterns: Patterns,
  best: CutPlan,
  solver: LinearSolver,
  nodes: number,
): CutPlan | null {
  const all = ofOneLot(problem, patterns, best);
  if (all.length === 0) return null;
  const rows = rowsOf(problem);
  const relaxed = solver(masterOf(problem, all, rows, false), (model) => model.solve());
  if (relaxed.solved !== 'best') return null;
  const prices = relaxed.prices;
  const reduced = all.map((pattern, i) => {
    let cost = costOf(problem, pattern);
    for (const [row, factor] of entriesOf(problem, pattern, rows)) cost -= prices[row]! * factor;
    return { i, cost };
  });
  const own = new Set(
    best.boards.flatMap((state, board) =>
      state && state.pieces.length > 0 ? [keyOf(patternOf(problem, board, state, 0))] : [],
    ),
  );
  const inBest = (pattern: Pattern) => own.has(keyOf(pattern));
  const few = reduced
    .sort((a, b) => a.cost - b.cost || a.i - b.i)
    .map(({ i }) => all[i]!)
    .filter((pattern, place) => place < CHOSEN_AMONG || inBest(pattern));
  const start = Float64Array.from(few, (pattern) => (inBest(pattern) ? 1 : 0));
  const chosen = solver(masterOf(problem, few, rows, true), (model) => model.solve({ nodes, gap: 1e-3, start }));
  if (chosen.values.length === 0) return null;
  return planOf(
    problem,
    few.filter((_, i) => chosen.values[i]! > 0.5),
  );
}

/** The patterns as a plan; pieces beyond those asked for stay in the wood. */
function planOf(problem: Problem, patterns: readonly Pattern[]): CutPlan {
  const { kinds, options } = problem;
  const plan = emptyPlan(problem);
  for (const { board, state } of patterns) {
    const sawn = keepingPieces(state, (piece) => {
      const [left, i] = 'part' in piece ? [plan.parts, piece.part] : [plan.bands, piece.band];
      const before = left[i]!;
      if (before <= 1e-6) return null;
      if ('part' in piece) {
        const copies = Math.min(before, piece.copies);
        left[i] = before - copies;
        return { ...piece, copies };
      }
      const { panel, pairs } = kinds.bands[i]!;
      const copies = pairs ? piece.copies : Math.min(piece.copies, Math.ceil(before / piece.finished - 1e-9));
      left[i] = before - piece.finished * copies;
      plan.strips[panel] = plan.strips[panel]! + copies;
      return { ...piece, copies };
    });
    plan.boards[board] = sawn.pieces.length > 0 || state.ready.begun ? sawn : undefined;
    plan.costs[board] = plan.boards[board] ? boardCost(sawn, options) : 0;
  }
  plan.cost = planCost(problem, plan);
  return plan;
}
