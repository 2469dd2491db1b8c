import { describe, expect, it } from 'vitest';
import { aBoard, aPanel, aPart, demandFor, plainOptions } from '../../../tests/fixtures/layout-parts';
import { type LayoutMerits, MORE_IS_BETTER, meritFigure, meritsOf } from './compare-layouts';
import { planLayout } from './plan-layout';

const boards = [aBoard('a', 1700, 220, { lot: 'one' }), aBoard('b', 1700, 190, { lot: 'two' }), aBoard('c', 900, 130)];
const demand = demandFor([aPart('rail', 700, 60)], [aPanel(800, 400)]);
const layout = planLayout(demand, boards, plainOptions);

describe('what a layout comes to', () => {
  it('is what the layout itself says, by its own weights', () => {
    const merits = meritsOf(demand, boards, plainOptions, layout, plainOptions.weights);
    expect(merits.counts).toBeCloseTo(layout.cost.total, 9);
    expect(merits.boards).toBe(layout.boards.length);
    expect(merits.cuts).toBe(layout.cuts);
    expect(merits.yield).toBeCloseTo(layout.yield, 12);
    expect(merits.jointLines).toBe(layout.strips.length - 1);
  });
  it('stands on one scale whatever it was searched for', () => {
    const weights = { ...plainOptions.weights, board: 100 };
    const other = planLayout(demand, boards, { ...plainOptions, weights });
    const [a, b] = [layout, other].map((one) => meritsOf(demand, boards, plainOptions, one, weights));
    expect(b?.counts).toBeCloseTo(other.cost.total, 9);
    expect(a!.counts).toBeCloseTo(layout.cost.total + 100 * layout.boards.length, 9);
    expect(a!.counts).toBeGreaterThanOrEqual(b!.counts - 1e-9);
  });
  it('measures what goes back', () => {
    const merits = meritsOf(demand, boards, plainOptions, layout, plainOptions.weights);
    const area = layout.offcuts.reduce((sum, o) => sum + (o.length / 1000) * (o.width / 1000), 0);
    expect(merits.leftoverArea).toBeCloseTo(area, 9);
    expect(merits.longest).toBe(Math.max(...layout.offcuts.map((o) => o.length)));
  });
});

describe('what a merit comes from', () => {
  const merits: LayoutMerits = {
    counts: 120.5,
    wood: 90,
    boards: 4,
    yield: 0.62,
    leftover: 3,
    leftoverArea: 0.8,
    longest: 1400,
    cuts: 31,
    jointLines: 5,
    lots: 2,
  };

  it('is told for every one of them, in its own unit, with a formula and a source', () => {
    for (const key of Object.keys(MORE_IS_BETTER) as (keyof LayoutMerits)[]) {
      const figure = meritFigure(key, merits, 'EUR');
      expect(figure.quantity.amount).toBeCloseTo(key === 'yield' ? 62 : merits[key], 9);
      expect(figure.formula.length).toBeGreaterThan(8);
      expect(figure.source).not.toBe('');
    }
    expect(meritFigure('counts', merits, 'EUR').inputs).toContainEqual({ label: 'In', quantity: 'EUR' });
  });
});
