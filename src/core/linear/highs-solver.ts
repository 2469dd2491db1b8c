import type { Highs, Model } from 'highs';
import type { LinearAnswer, LinearProblem, LinearRow, LinearSolver, SolveLimits } from './linear-problem';

/**
 * Seconds after which any solve gives what it has, so that a word to stop is heard. What it has proved by then is true,
 * but only where it strikes can an answer differ from machine to machine.
 */
const LONGEST = 2;

/** Solves linear programmes, with whole numbers or without, by HiGHS, loaded by whoever calls. */
export function highsSolver(highs: Highs, seconds = LONGEST): LinearSolver {
  return (problem, work) =>
    highs.withModel(modelData(problem, highs.infinity), (model) => {
      model.options.set('output_flag', false);
      model.options.set('time_limit', seconds);
      const whole = problem.columns.flatMap((column, i) => (column.whole ? [i] : []));
      let relaxed = false;
      const { integer, continuous } = highs.constants.variableType;
      return work({
        addRow: ({ lower, upper, entries }: LinearRow) => {
          model.addRow(lower, upper, {
            indices: entries.map(([column]) => column),
            values: entries.map(([, factor]) => factor),
          });
        },
        solve: (limits = {}) => {
          if (whole.length > 0 && relaxed !== (limits.relaxed ?? false)) {
            relaxed = limits.relaxed ?? false;
            for (const column of whole) model.changeColIntegrality(column, relaxed ? continuous : integer);
          }
          return solve(model, highs, limits, whole.length > 0 && !relaxed);
        },
      });
    });
}

function modelData({ columns, rows }: LinearProblem, infinity: number) {
  const starts = [0];
  const indices: number[] = [];
  const values: number[] = [];
  for (const { entries } of rows) {
    for (const [column, factor] of entries) {
      indices.push(column);
      values.push(factor);
    }
    starts.push(indices.length);
  }
  const finite = (value: number) => (Number.isFinite(value) ? value : Math.sign(value) * infinity);
  return {
    numCols: columns.length,
    numRows: rows.length,
    colCost: columns.map((c) => c.cost),
    colLower: columns.map((c) => finite(c.lower)),
    colUpper: columns.map((c) => finite(c.upper)),
    rowLower: rows.map((r) => finite(r.lower)),
    rowUpper: rows.map((r) => finite(r.upper)),
    matrix: { format: 'csr', numRows: rows.length, numCols: columns.length, starts, indices, values } as const,
    ...(columns.some((c) => c.whole) ? { integrality: Int32Array.from(columns, (c) => (c.whole ? 1 : 0)) } : {}),
  };
}

function solve(model: Model, highs: Highs, limits: SolveLimits, whole: boolean): LinearAnswer {
  if (whole) {
    model.options.set('mip_max_nodes', limits.nodes ?? 2 ** 31 - 1);
    model.options.set('mip_rel_gap', limits.gap ?? 1e-6);
    // Found by trial on layouts: a bound comes four times as fast without presolving, without cuts below the root and
    // without most of what looks for solutions.
    const bound = limits.boundOnly ?? false;
    model.options.set('presolve', bound ? 'off' : 'choose');
    model.options.set('mip_heuristic_effort', bound ? 0 : 0.05);
    model.options.set('mip_heuristic_run_root_reduced_cost', !bound);
    model.options.set('mip_heuristic_run_feasibility_jump', !bound);
    model.options.set('mip_allow_cut_separation_at_nodes', !bound);
    if (limits.start) model.setSolution({ colValue: limits.start });
  }
  model.zeroAllClocks();
  const { modelStatus } = model.run();
  const status = highs.constants.modelStatus;
  if (modelStatus === status.infeasible) {
    const none = new Float64Array();
    const infinite = Number.POSITIVE_INFINITY;
    return { objective: infinite, bound: infinite, values: none, prices: none, solved: 'impossible' };
  }
  const best = modelStatus === status.optimal;
  const found = model.info.get('primal_solution_status') === 2;
  const solution = found ? model.getSolution() : undefined;
  const objective = found ? model.getObjectiveValue() : Number.POSITIVE_INFINITY;
  return {
    objective,
    bound: whole ? Number(model.info.get('mip_dual_bound')) : best ? objective : Number.NEGATIVE_INFINITY,
    values: solution?.colValue ?? new Float64Array(),
    prices: (whole ? undefined : solution?.rowDual) ?? new Float64Array(),
    solved: best ? 'best' : 'limit',
  };
}
