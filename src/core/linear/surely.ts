import type { LinearProblem } from './linear-problem';

/**
 * What the rows' prices prove by themselves, in our own arithmetic: Σ price × the end of its row it presses on, plus
 * for every column the least its reduced cost can come to. True whatever the solver says of its answer.
 */
export function surely({ columns, rows }: LinearProblem, prices: Float64Array): number {
  const reduced = columns.map((column) => column.cost);
  let bound = 0;
  rows.forEach((row, i) => {
    let price = prices[i]!;
    if ((price > 0 && !Number.isFinite(row.lower)) || (price < 0 && !Number.isFinite(row.upper))) price = 0;
    if (price === 0) return;
    bound += price * (price > 0 ? row.lower : row.upper);
    for (const [column, factor] of row.entries) reduced[column] = reduced[column]! - price * factor;
  });
  columns.forEach((column, i) => {
    const cost = reduced[i]!;
    if (cost >= 0) bound += cost * column.lower;
    // A column without an upper end can only be priced to a rounding error below nothing.
    else if (Number.isFinite(column.upper)) bound += cost * column.upper;
    else if (cost < -1e-7) bound = Number.NEGATIVE_INFINITY;
  });
  return bound;
}
