import type { LinearColumn, LinearRow, LinearSolver } from '../linear/linear-problem';
import { type CutPlan, emptyPlan, lotOf, type Problem, planCost } from './cut-plan';
import type { SawnBoard } from './sawn-board';

/** Ways of cutting single boards, met in the course of a search; of those that give the same, the cheapest. */
export interface Patterns {
  byWhat: Map<string, Pattern>;
}

interface Pattern {
  board: number;
  state: SawnBoard;
  cost: number;
  parts: readonly number[];
  bands: readonly number[];
  strips: readonly number[];
}

/** Patterns beyond this many of one search are not kept. */
const MOST = 6000;
/** Patterns the last choice is made among. */
const CHOSEN_AMONG = 200;

export const noPatterns = (): Patterns => ({ byWhat: new Map() });

export function collect(patterns: Patterns, problem: Problem, plan: CutPlan): void {
  const { byWhat } = patterns;
  for (const pattern of patternsOf(problem, plan)) {
    const key = keyOf(pattern);
    const before = byWhat.get(key);
    if (before ? pattern.cost < before.cost - 1e-9 : byWhat.size < MOST) byWhat.set(key, pattern);
  }
}

function patternsOf({ kinds }: Problem, plan: CutPlan): Pattern[] {
  return plan.boards.flatMap((state, board) => {
    if (!state || state.pieces.length === 0) return [];
    const parts = new Array<number>(kinds.parts.length).fill(0);
    const bands = new Array<number>(kinds.bands.length).fill(0);
    const strips = new Array<number>(kinds.bands.length).fill(0);
    for (const piece of state.pieces) {
      if ('part' in piece) parts[piece.part] = (parts[piece.part] as number) + piece.copies;
      else {
        bands[piece.band] = (bands[piece.band] as number) + piece.finished;
        strips[piece.band] = (strips[piece.band] as number) + 1;
      }
    }
    return [{ board, state, cost: plan.costs[board] as number, parts, bands, strips }];
  });
}

const keyOf = ({ board, parts, bands, strips }: Pattern) =>
  `${board} ${parts.join()} ${strips.join()} ${bands.map((width) => Math.round(width * 10)).join()}`;

/**
 * The cheapest choice among patterns that gives every piece once and every band its width, each board cut one way.
 * A panel of one lot stays with the lot it has in the best plan; what lots and rings count for is not in the choice.
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
  const lots = problem.kinds.panels.map((panel, i) => (panel.oneLot ? lotOf(problem, best, i) : null));
  const all = [...patterns.byWhat.values()].filter((pattern) =>
    pattern.strips.every((count, k) => {
      const lot = lots[problem.kinds.bands[k]?.panel ?? 0] ?? null;
      return count === 0 || lot === null || problem.boards[pattern.board]?.board.lot === lot;
    }),
  );
  if (all.length === 0) return null;
  const relaxed = solver(masterOf(problem, all, false), (model) => model.solve());
  if (relaxed.solved !== 'best') return null;
  const rows = rowsOf(problem);
  const prices = relaxed.prices;
  const reduced = all.map((pattern, i) => {
    let cost = columnOf(problem, pattern, false).cost;
    for (const [row, factor] of entriesOf(problem, pattern, rows)) cost -= (prices[row] as number) * factor;
    return { i, cost };
  });
  const own = new Set(patternsOf(problem, best).map(keyOf));
  const inBest = (pattern: Pattern) => own.has(keyOf(pattern));
  const few = reduced
    .sort((a, b) => a.cost - b.cost || a.i - b.i)
    .map(({ i }) => all[i] as Pattern)
    .filter((pattern, place) => place < CHOSEN_AMONG || inBest(pattern));
  const start = Float64Array.from(few, (pattern) => (inBest(pattern) ? 1 : 0));
  const chosen = solver(masterOf(problem, few, true), (model) => model.solve({ nodes, gap: 1e-3, start }));
  if (chosen.values.length === 0) return null;
  const plan = emptyPlan(problem);
  few.forEach((pattern, i) => {
    if ((chosen.values[i] as number) < 0.5) return;
    plan.boards[pattern.board] = pattern.state;
    plan.costs[pattern.board] = pattern.cost;
    pattern.parts.forEach((n, k) => {
      plan.parts[k] = (plan.parts[k] as number) - n;
    });
    pattern.bands.forEach((width, k) => {
      const panel = problem.kinds.bands[k]?.panel ?? 0;
      plan.bands[k] = (plan.bands[k] as number) - width;
      plan.strips[panel] = (plan.strips[panel] as number) + (pattern.strips[k] as number);
    });
  });
  plan.cost = planCost(problem, plan);
  return plan;
}

/** Rows of the master: pieces of each kind, width of each band, each board, strips of each panel. */
const rowsOf = ({ kinds, boards }: Problem) => ({
  band: (k: number) => kinds.parts.length + k,
  board: (b: number) => kinds.parts.length + kinds.bands.length + b,
  panel: (p: number) => kinds.parts.length + kinds.bands.length + boards.length + p,
  count: kinds.parts.length + kinds.bands.length + boards.length + kinds.panels.length,
});

function entriesOf(problem: Problem, pattern: Pattern, rows: ReturnType<typeof rowsOf>): [number, number][] {
  return [
    ...pattern.parts.flatMap((n, k): [number, number][] => (n > 0 ? [[k, n]] : [])),
    ...pattern.bands.flatMap((width, k): [number, number][] =>
      width > 0 ? [[rows.band(k), width / (problem.kinds.bands[k]?.width ?? 1)]] : [],
    ),
    [rows.board(pattern.board), 1],
    ...problem.kinds.panels.flatMap((_, panel): [number, number][] => {
      const count = pattern.strips.reduce((sum, n, k) => sum + (problem.kinds.bands[k]?.panel === panel ? n : 0), 0);
      return count > 0 ? [[rows.panel(panel), count]] : [];
    }),
  ];
}

function columnOf({ options, boards, whole }: Problem, pattern: Pattern, wholeNumber: boolean): LinearColumn {
  const strips = pattern.strips.reduce((a, b) => a + b, 0);
  // A board already begun costs something even if nothing more is cut from it.
  const begun = boards[pattern.board]?.begun && whole[pattern.board] ? pattern.state.ready.price : 0;
  return { cost: pattern.cost - begun + options.weights.joint * strips, lower: 0, upper: 1, whole: wholeNumber };
}

function masterOf(problem: Problem, patterns: readonly Pattern[], wholeNumber: boolean) {
  const { kinds, boards } = problem;
  const rows = rowsOf(problem);
  const entries: [number, number][][] = Array.from({ length: rows.count }, () => []);
  patterns.forEach((pattern, column) => {
    for (const [row, factor] of entriesOf(problem, pattern, rows)) entries[row]?.push([column, factor]);
  });
  const infinite = Number.POSITIVE_INFINITY;
  const limits: { lower: number; upper: number }[] = [
    ...kinds.parts.map((kind) => ({ lower: kind.ids.length, upper: kind.ids.length })),
    ...kinds.bands.map(() => ({ lower: 1, upper: infinite })),
    ...boards.map(() => ({ lower: 0, upper: 1 })),
    ...kinds.panels.map((panel) => ({ lower: 0, upper: panel.mostStrips })),
  ];
  return {
    columns: patterns.map((pattern) => columnOf(problem, pattern, wholeNumber)),
    rows: limits.map((limit, row): LinearRow => ({ ...limit, entries: entries[row] ?? [] })),
  };
}
