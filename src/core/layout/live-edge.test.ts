import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { CONSTRUCTIONS, derived } from '../../../tests/fixtures/constructions';
import { derive } from '../../../tests/fixtures/demo';
import { aBoard, aPart, demandFor, plainOptions } from '../../../tests/fixtures/layout-parts';
import { checkLayout } from './check-layout';
import { cutSteps } from './cut-steps';
import { planLayout } from './plan-layout';

const slab = (id: string, length = 1800, width = 300) => aPart(id, length, width, 22, { live: true });
const natural = (id: string, width: number, edges: { near: number; far: number }, more = {}) =>
  aBoard(id, 2000, width, { liveEdges: edges, ...more });

describe('a part with a live edge', () => {
  it('takes that of its board: the sawn edge is ripped, the other is left as the tree had it', () => {
    const boards = [natural('a', 420, { near: 0, far: 35 })];
    const demand = demandFor([slab('s')]);
    const layout = planLayout(demand, boards, plainOptions);
    expect(layout.shortfall).toEqual([]);
    expect(checkLayout(demand, boards, plainOptions, layout)).toEqual([]);
    // Its far edge is the board's outline, live depth and all.
    expect(layout.placements[0]!.y + layout.placements[0]!.width).toBe(420);
    const rips = cutSteps(layout, boards, demand, plainOptions).filter(({ kind }) => kind === 'rip');
    expect(rips).toHaveLength(1);
    expect(rips[0]!.at).toBeCloseTo(420 - 300 - plainOptions.kerf, 9);
    for (const offcut of layout.offcuts) expect(offcut.y + offcut.width).toBeLessThan(layout.placements[0]!.y);
  });

  it('is cut from the near edge where that is the live one', () => {
    const boards = [natural('a', 420, { near: 35, far: 0 })];
    const demand = demandFor([slab('s')]);
    const layout = planLayout(demand, boards, plainOptions);
    expect(layout.shortfall).toEqual([]);
    expect(layout.placements[0]).toMatchObject({ y: 0, width: 300 });
    expect(checkLayout(demand, boards, plainOptions, layout)).toEqual([]);
  });

  it('is to be bought where every edge on the rack is sawn, and the reason is told', () => {
    const layout = planLayout(demandFor([slab('s')]), [aBoard('a', 2000, 420)], plainOptions);
    expect(layout.shortfall).toMatchObject([{ part: 's', live: true, noBoard: true }]);
  });

  it('may not lie elsewhere on its board, and what is sawn all round may not lie in a live edge', () => {
    const boards = [natural('a', 420, { near: 0, far: 35 })];
    const demand = demandFor([slab('s')]);
    const at = { board: 'a', x: 20, length: 1800, width: 300 };
    const wrong = (y: number, live = true) =>
      checkLayout(live ? demand : demandFor([{ ...slab('s'), live: false }]), boards, plainOptions, {
        placements: [{ ...at, part: 's', y }],
        offcuts: [],
        shortfall: [],
      });
    expect(wrong(120)).toEqual([]);
    expect(wrong(0)).toEqual([expect.stringMatching(/takes no live edge of a/)]);
    expect(wrong(120, false)).toEqual([expect.stringMatching(/lies outside a/)]);
  });

  it('lies right on any board with a live edge, tapered or not, with other parts beside it', () => {
    const size = fc.integer({ min: 0, max: 60 });
    fc.assert(
      fc.property(fc.integer({ min: 330, max: 520 }), size, size, fc.boolean(), (width, taper, depth, near) => {
        const edges = near ? { near: depth, far: 0 } : { near: 0, far: depth };
        const boards = [natural('a', width, edges, { farWidth: width - taper }), aBoard('b', 1500, 200)];
        const demand = demandFor([slab('s', 1500, 260), aPart('x', 700, 60), aPart('y', 400, 50)]);
        const layout = planLayout(demand, boards, { ...plainOptions, effort: 40 });
        expect(checkLayout(demand, boards, plainOptions, layout)).toEqual([]);
        const placed = layout.placements.find(({ part }) => part === 's');
        expect(placed !== undefined).toBe(depth > 0);
        if (placed && !near && taper === 0) expect(placed.y + placed.width).toBe(width);
      }),
      { numRuns: 80 },
    );
  });
});

describe('a top of two slabs', () => {
  it('asks for two live edges, and finds them on boards that have one', () => {
    const { document } = CONSTRUCTIONS.find(({ name }) => name.includes('with glass between'))!;
    const first = derived(document);
    const slabs = first.demand.parts.filter(({ live }) => live);
    expect(slabs).toHaveLength(2);
    const wide = Math.max(...slabs.map(({ rough }) => rough.width));
    const boards = ['p', 'q'].map((id) =>
      aBoard(id, 3200, wide + 30, {
        species: first.species.id,
        thickness: 80,
        liveEdges: { near: 0, far: 40 },
      }),
    );
    const layout = planLayout({ ...first.demand, parts: slabs, panels: [] }, boards, first.layoutOptions);
    expect(layout.shortfall).toEqual([]);
    const square = derive(document, { boards: [] });
    expect(square.demand.parts.filter(({ live }) => live)).toHaveLength(2);
  });
});
