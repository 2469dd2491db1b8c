import fc from 'fast-check';
import loadHighs from 'highs';
import { describe, expect, it } from 'vitest';
import { layoutInstances } from '../../../tests/fixtures/layout-instances';
import { randomLayouts } from '../../../tests/fixtures/random-layouts';
import { highsSolver } from '../linear/highs-solver';
import { checkLayout } from './check-layout';
import { costBound } from './cost-bound';
import { problemOf } from './cut-plan';
import { leastCost } from './least-cost';
import { planLayout, searchLayout } from './plan-layout';
import { kindsOf, readyBoards } from './ready-boards';

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

  it('costs no less than the bound of bars and of whole sawings', { timeout: 600_000 }, () => {
    // Without whole numbers: then the bound is proved in our own arithmetic, not by the word of the solver.
    let bounded = 0;
    fc.assert(
      fc.property(randomLayouts, ({ demand, boards, options }) => {
        const using = { ...options, effort: 450 };
        const layout = planLayout(demand, boards, using, solver);
        expect(checkLayout(demand, boards, using, layout)).toEqual([]);
        if (layout.shortfall.length > 0) return;
        const kinds = kindsOf(demand, using, boards);
        const problem = problemOf(kinds, readyBoards(boards, using, kinds), using);
        const bound = costBound(problem, solver, { rounds: 4, sawnRounds: 9, wholeRounds: 0, nodes: 0 });
        if (bound === null) return;
        bounded += 1;
        expect(bound).toBeLessThanOrEqual(layout.cost.total + 1e-6);
      }),
      { numRuns: Math.ceil(RUNS / 20), endOnFailure: true },
    );
    expect(bounded).toBeGreaterThan(RUNS / 320);
  });

  it('is bounded more closely by whole sawings than by bars alone', { timeout: 60_000 }, () => {
    const rails = layoutInstances().find(({ name }) => name === 'six rails from four boards');
    if (!rails) throw new Error('no such task');
    const { demand, boards, options } = rails;
    const kinds = kindsOf(demand, options, boards);
    const problem = problemOf(kinds, readyBoards(boards, options, kinds), options);
    const told = (sawnRounds: number) =>
      costBound(problem, solver, { rounds: 15, sawnRounds, wholeRounds: sawnRounds > 0 ? 6 : 1, nodes: 40 }) ?? 0;
    expect(told(12)).toBeGreaterThan(1.005 * told(0));
    // Told by a short search as well as by a long one.
    for (const effort of [700, 3000]) {
      const { bound } = planLayout(demand, boards, { ...options, effort }, solver);
      expect(bound).toBeGreaterThan(1.005 * told(0));
    }
  });

  it('keeps what was proved of the same task before, and not what was proved under other pins', () => {
    const rails = layoutInstances().find(({ name }) => name === 'six rails from four boards');
    if (!rails) throw new Error('no such task');
    const { demand, boards, options } = rails;
    const found = planLayout(demand, boards, { ...options, effort: 700 }, solver);
    /** Of a search that is stopped at its first word. */
    const atOnce = (more: Partial<typeof options>) => {
      const first = searchLayout(demand, boards, { ...options, ...more }, solver, found).next();
      return first.done ? first.value.bound : first.value.best.bound;
    };
    expect(atOnce({ seed: 2 })).toBe(found.bound);
    expect(atOnce({ kerf: options.kerf + 1 })).toBeLessThan(found.bound as number);
    const pinned = found.placements.filter(({ board }) => board === found.boards[0]);
    expect(atOnce({ fixed: pinned })).not.toBe(found.bound);
  });
});
