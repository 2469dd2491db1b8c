/** A linear programme: least Σ cost·x, every x between its ends, every row's sum between its ends. */
export interface LinearProblem {
  columns: readonly LinearColumn[];
  rows: readonly LinearRow[];
}

export interface LinearColumn {
  cost: number;
  lower: number;
  upper: number;
  /** Whole numbers only. */
  whole?: boolean;
}

export interface LinearRow {
  lower: number;
  upper: number;
  /** Column and its factor. */
  entries: readonly (readonly [number, number])[];
}

export interface LinearAnswer {
  /** Of the values found; infinite when none are. */
  objective: number;
  /** No solution costs less; the same as the objective when it was solved to the end. */
  bound: number;
  /** One for each column; empty when none were found. */
  values: Float64Array;
  /** Shadow price of each row, for problems without whole numbers. */
  prices: Float64Array;
  solved: 'best' | 'limit' | 'impossible';
}

export interface SolveLimits {
  /** Nodes of the search tree, for problems with whole numbers. */
  nodes?: number;
  /** A solution this near the bound, as a share, is good enough. */
  gap?: number;
  /** A solution known before, to begin with. */
  start?: Float64Array;
  /** Only the bound is wanted: no time is spent on finding solutions. */
  boundOnly?: boolean;
}

/** A problem that can grow by rows and be solved again from where it stood. */
export interface LinearModel {
  addRow(row: LinearRow): void;
  /** Without the whole numbers asked for in the columns where `relaxed`. */
  solve(limits?: SolveLimits & { relaxed?: boolean }): LinearAnswer;
}

/** Opens a model for as long as the work with it lasts. */
export type LinearSolver = <Result>(problem: LinearProblem, work: (model: LinearModel) => Result) => Result;
