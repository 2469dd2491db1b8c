import fc from 'fast-check';
import loadHighs from 'highs';
import { describe, expect, it } from 'vitest';
import { randomLayouts } from '../../../tests/fixtures/random-layouts';
import { highsSolver } from '../linear/highs-solver';
import { checkLayout } from './check-layout';
import { leastCost } from './least-cost';
import { planLayout } from './plan-layout';

/** How many a run can afford; `npm run layouts:random` takes ten thousand. */
const RUNS = Number(process.env.RANDOM_LAYOUTS ?? 400);
const solver = highsSolver(await loadHighs());

describe('whatever the rack and the parts', () => {
  it(`lays nothing out wrongly, and costs no less than the bound of areas (${RUNS} of them)`, {
    timeout: 600_000,
  }, () => {
    fc.assert(
      fc.property(randomLayouts, ({ demand, boards, options }) => {
        const layout = planLayout(demand, boards, options);
        expect(checkLayout(demand, boards, options, layout)).toEqual([]);
        if (layout.shortfall.length === 0) {
          expect(leastCost(demand, boards, options)).toBeLessThanOrEqual(layout.cost.total + 1e-6);
        }
      }),
      { numRuns: RUNS, endOnFailure: true },
    );
  });

  it('costs no less than the bound of bars', { timeout: 600_000 }, () => {
    fc.assert(
      fc.property(randomLayouts, ({ demand, boards, options }) => {
        const using = { ...options, effort: 450 };
        const layout = planLayout(demand, boards, using, solver);
        expect(checkLayout(demand, boards, using, layout)).toEqual([]);
        if (layout.bound !== null) expect(layout.bound).toBeLessThanOrEqual(layout.cost.total + 1e-6);
      }),
      { numRuns: Math.ceil(RUNS / 20), endOnFailure: true },
    );
  });
});
