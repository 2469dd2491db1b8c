import { describe, expect, it } from 'vitest';
import { aBoard, aPanel, aPart, demandFor, plainOptions } from '../../../tests/fixtures/layout-parts';
import { meritsOf } from './compare-layouts';
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
