import loadHighs from 'highs';
import { describe, expect, it } from 'vitest';
import { checkLayout, highsSolver, planLayout, seededRandom } from '@/core';
import { exactLeastPrice } from '../fixtures/exact-layout';
import { aBoard, aPart, demandFor, plainOptions } from '../fixtures/layout-parts';

const highs = await loadHighs();
const solver = highsSolver(highs);
const patient = highsSolver(highs, 60);
/** Only whole boards count: then an exact model of places is small enough to be solved to the end. */
const options = { ...plainOptions, effort: 1000, weights: { ...plainOptions.weights, offcutWorth: 0 } };

const small = (seed: number) => {
  const random = seededRandom(seed);
  const between = (from: number, to: number) => Math.round(from + random() * (to - from));
  const boards = Array.from({ length: 3 }, (_, i) =>
    aBoard(`b${i}`, between(900, 1600), between(110, 190), {
      defects:
        random() < 0.5
          ? [{ kind: 'knot', x: between(200, 700), y: between(10, 60), length: 40, width: 40, face: 'through' }]
          : [],
    }),
  );
  const parts = Array.from({ length: 5 }, (_, i) => aPart(`p${i}`, between(300, 700), between(40, 90)));
  return { boards, demand: demandFor(parts) };
};

describe('small layouts against an exact model (HiGHS, mixed integers solved to the end)', () => {
  it('cost what the exact model says, all eight of them', { timeout: 240_000 }, () => {
    let same = 0;
    for (let seed = 1; seed <= 8; seed += 1) {
      const { boards, demand } = small(seed);
      const layout = planLayout(demand, boards, options, solver);
      expect(checkLayout(demand, boards, options, layout)).toEqual([]);
      const exact = exactLeastPrice(demand.parts, boards, options, patient);
      if (exact === null) {
        expect(layout.shortfall.length).toBeGreaterThan(0);
        same += 1;
        continue;
      }
      expect(layout.cost.total).toBeGreaterThanOrEqual(exact - 1e-6);
      if (layout.bound !== null) expect(layout.bound).toBeLessThanOrEqual(exact + 1e-6);
      if (layout.shortfall.length === 0 && layout.cost.total < exact + 1e-6) same += 1;
    }
    expect(same).toBe(8);
  });
});
