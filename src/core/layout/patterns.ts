import type { LinearColumn, LinearProblem, LinearRow } from '../linear/linear-problem';
import { type CutPlan, lotOf, type Problem } from './cut-plan';
import type { SawnBoard } from './sawn-board';

/** Ways of cutting single boards, met in the course of a search; of those that give the same, the cheapest. */
export interface Patterns {
  byWhat: Map<string, Pattern>;
}

/** One board cut one way. */
export interface Pattern {
  board: number;
  state: SawnBoard;
  cost: number;
  /** Pieces of each kind, no more than are asked for. */
  parts: readonly number[];
  /** Width of the strips of each band together, and their number. */
  bands: readonly number[];
  strips: readonly number[];
}

/** Patterns beyond this many of one search are not kept. */
const MOST = 6000;

export const noPatterns = (): Patterns => ({ byWhat: new Map() });

export function collect(patterns: Patterns, problem: Problem, plan: CutPlan): void {
  plan.boards.forEach((state, board) => {
    if (state && state.pieces.length > 0) keep(patterns, patternOf(problem, board, state, plan.costs[board]!));
  });
}

/** @returns whether it is new, or cheaper than the one that gives the same */
export function keep({ byWhat }: Patterns, pattern: Pattern): boolean {
  const key = keyOf(pattern);
  const before = byWhat.get(key);
  if (before ? pattern.cost >= before.cost - 1e-9 : byWhat.size >= MOST) return false;
  byWhat.set(key, pattern);
  return true;
}

export function patternOf({ kinds }: Problem, board: number, state: SawnBoard, cost: number): Pattern {
  const parts = new Array<number>(kinds.parts.length).fill(0);
  const bands = new Array<number>(kinds.bands.length).fill(0);
  const strips = new Array<number>(kinds.bands.length).fill(0);
  for (const piece of state.pieces) {
    if ('part' in piece) {
      const asked = kinds.parts[piece.part]?.ids.length ?? 0;
      parts[piece.part] = Math.min(asked, parts[piece.part]! + piece.copies);
    } else {
      bands[piece.band] = bands[piece.band]! + piece.finished * piece.copies;
      strips[piece.band] = strips[piece.band]! + piece.copies;
    }
  }
  return { board, state, cost, parts, bands, strips };
}

export const keyOf = ({ board, parts, bands, strips }: Pattern) =>
  `${board} ${parts.join()} ${strips.join()} ${bands.map((width) => Math.round(width * 10)).join()}`;

/** Those of the patterns that leave every panel of one lot the lot it has in a plan. */
export function ofOneLot(problem: Problem, patterns: Patterns, plan: CutPlan): Pattern[] {
  const lots = problem.kinds.panels.map((panel, i) => (panel.oneLot ? lotOf(problem, plan, i) : null));
  return [...patterns.byWhat.values()].filter((pattern) =>
    pattern.strips.every((count, k) => {
      const lot = lots[problem.kinds.bands[k]?.panel ?? 0] ?? null;
      return count === 0 || lot === null || problem.boards[pattern.board]?.board.lot === lot;
    }),
  );
}

/** The master programme of the choice among patterns: what its rows are, in their order. */
export interface Rows {
  part(kind: number): number;
  band(k: number): number;
  board(b: number): number;
  /** Strips of a panel. */
  panel(p: number): number;
  limits: readonly { lower: number; upper: number }[];
}

export function rowsOf({ kinds, boards }: Problem): Rows {
  const [P, B] = [kinds.parts.length, kinds.bands.length];
  const infinite = Number.POSITIVE_INFINITY;
  return {
    part: (kind) => kind,
    band: (k) => P + k,
    board: (b) => P + B + b,
    panel: (p) => P + B + boards.length + p,
    limits: [
      ...kinds.parts.map((kind) => ({ lower: kind.ids.length, upper: infinite })),
      ...kinds.bands.map(() => ({ lower: 1, upper: infinite })),
      ...boards.map(() => ({ lower: 0, upper: 1 })),
      ...kinds.panels.map((panel) => ({ lower: 0, upper: panel.mostStrips })),
    ],
  };
}

/** Which rows a pattern stands in, and with what. */
export function entriesOf({ kinds }: Problem, pattern: Pattern, rows: Rows): [number, number][] {
  return [
    ...pattern.parts.flatMap((n, k): [number, number][] => (n > 0 ? [[rows.part(k), n]] : [])),
    ...pattern.bands.flatMap((width, k): [number, number][] =>
      width > 0 ? [[rows.band(k), width / (kinds.bands[k]?.width ?? 1)]] : [],
    ),
    ...kinds.panels.flatMap((_, panel): [number, number][] => {
      const count = pattern.strips.reduce((sum, n, k) => sum + (kinds.bands[k]?.panel === panel ? n : 0), 0);
      return count > 0 ? [[rows.panel(panel), count]] : [];
    }),
    [rows.board(pattern.board), 1],
  ];
}

/** What a pattern costs in the choice, its strips' joint lines counted; in the shop's money. */
export function costOf({ options, boards }: Problem, pattern: Pattern): number {
  const strips = pattern.strips.reduce((a, b) => a + b, 0);
  // A board already begun costs something even if nothing more is cut from it.
  const begun = boards[pattern.board]?.begun ? pattern.state.ready.price : 0;
  return pattern.cost - begun + options.weights.joint * strips;
}

export function masterOf(problem: Problem, patterns: readonly Pattern[], rows: Rows, whole: boolean): LinearProblem {
  const entries: [number, number][][] = rows.limits.map(() => []);
  patterns.forEach((pattern, column) => {
    for (const [row, factor] of entriesOf(problem, pattern, rows)) entries[row]?.push([column, factor]);
  });
  return {
    columns: patterns.map((pattern): LinearColumn => ({ cost: costOf(problem, pattern), lower: 0, upper: 1, whole })),
    rows: rows.limits.map((limit, row): LinearRow => ({ ...limit, entries: entries[row] ?? [] })),
  };
}
