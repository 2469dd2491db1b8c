import loadHighs from 'highs';
import { describe, expect, it } from 'vitest';
import { checkLayout, highsSolver, planLayout } from '@/core';
import { aBoard, aPart, demandFor, plainOptions } from '../fixtures/layout-parts';

const solver = highsSolver(await loadHighs());
/** One cut after the other along a stock of one width; only whole stock counts. */
const onlyStock = {
  ...plainOptions,
  kerf: 0,
  endTrim: 0,
  woodPrice: 0,
  weights: { offcutWorth: 0, board: 1, cut: 0, joint: 0, lot: 0, ring: 0 },
};
const stock = (count: number, length: number) =>
  Array.from({ length: count }, (_, i) => aBoard(`b${i + 1}`, length, 50, { price: { amount: 0, per: 'piece' } }));
const pieces = (sizes: readonly (readonly [number, number])[]) =>
  sizes.flatMap(([length, count]) =>
    Array.from({ length: count }, (_, i) => aPart(`${length}-${i}`, length, 50, 20, { resawn: false })),
  );

describe('cutting stock of the books', () => {
  // From the article on first-fit-decreasing bin packing in an open encyclopedia, from memory: in boxes of 61 the rule
  // needs four, the best is three.
  it.each([60, 61])(
    'puts ten pieces into three lengths of %i0 mm, where taking the longest first needs four of 610',
    (size) => {
      const sizes = [44, 24, 24, 22, 21, 17, 8, 8, 6, 6];
      const demand = demandFor(pieces(sizes.map((s, i) => [s * 10 + i * 1e-6, 1] as const)));
      const boards = stock(5, size * 10 + 1e-3);
      const layout = planLayout(demand, boards, { ...onlyStock, effort: 600 }, solver);
      expect(layout.boards).toHaveLength(3);
      expect(checkLayout(demand, boards, onlyStock, layout)).toEqual([]);
      // Only whole lengths count, so more than two is three.
      expect(Math.ceil((layout.bound ?? 0) - 1e-6)).toBe(3);
    },
  );
});
