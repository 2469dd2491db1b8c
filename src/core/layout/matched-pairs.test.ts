import loadHighs from 'highs';
import { describe, expect, it } from 'vitest';
import { change, demoJob, derive, level, shop } from '../../../tests/fixtures/demo';
import { aBoard, aPanel, demandFor, plainOptions } from '../../../tests/fixtures/layout-parts';
import { withChanges } from '../document/job-document';
import { highsSolver } from '../linear/highs-solver';
import { blanksOf } from './blanks';
import { checkLayout } from './check-layout';
import { leastCost } from './least-cost';
import { movesTo, standingMoves, wrongOfMoves } from './move-piece';
import { planLayout } from './plan-layout';

const solver = highsSolver(await loadHighs());
const options = { ...plainOptions, resaw: { height: 250, kerf: 1.5, allowance: 3 } };
/** Leaves of 8 mm: their blank planes to 2 × (8 + 3) + 1.5 = 23.5 mm. */
const leaves = (more = {}) => demandFor([], [aPanel(1000, 400, 8, { greatestStrip: 250, pairs: 'book', ...more })]);
/** 4 mm are lost in flattening a rough board. */
const thick = (id: string, width = 210, more = {}) => aBoard(id, 1100, width, { thickness: 27.5, ...more });

describe('strips in matched pairs', () => {
  it('come two by two from one blank, as wide as each other', () => {
    const boards = [thick('a'), thick('b')];
    const layout = planLayout(leaves(), boards, options, solver);
    expect(layout.shortfall).toEqual([]);
    expect(layout.boards).toHaveLength(1);
    expect(layout.placements.map(({ strip, layer }) => [strip, layer])).toEqual([
      [0, 0],
      [1, 1],
    ]);
    expect(layout.strips.map(({ width }) => width)).toEqual([200, 200]);
    expect(checkLayout(leaves(), boards, options, layout)).toEqual([]);
    // Where nothing can be resawn it takes a board for each.
    const unsawn = { ...options, resaw: { ...options.resaw, height: 0 } };
    expect(planLayout(leaves({ pairs: undefined }), boards, unsawn, solver).boards).toHaveLength(2);
  });

  it('want a board that is thick enough for two, and a saw that is high enough', () => {
    const short = (boards: Parameters<typeof planLayout>[1], using = options) =>
      planLayout(leaves(), boards, using, solver).shortfall;
    expect(short([thick('a')])).toEqual([]);
    const [bought] = short([thick('a', 210, { thickness: 27.4 })]);
    expect(bought).toMatchObject({ thickness: 23.5, length: 1000 });
    expect(bought!.width).toBeCloseTo(203, 6);
    // A saw that takes 120 mm: two narrower pairs.
    const low = { ...options, resaw: { ...options.resaw, height: 120 } };
    const narrow = planLayout(leaves(), [thick('a', 220)], low, solver);
    expect(narrow.strips.map(({ width }) => width)).toEqual([100, 100, 100, 100]);
    expect(checkLayout(leaves(), [thick('a', 220)], low, narrow)).toEqual([]);
    expect(checkLayout(leaves(), [thick('a', 220)], { ...low, resaw: { ...low.resaw, height: 102 } }, narrow)).toEqual(
      expect.arrayContaining([expect.stringMatching(/cannot be resawn so wide/)]),
    );
    expect(short([thick('a')], { ...options, resaw: { ...options.resaw, height: 0 } })).toHaveLength(1);
  });

  it('keep both faces of the blank clear, for either may be near what shows', () => {
    const stain = (face: 'tagged' | 'under') => ({
      kind: 'stain' as const,
      x: 300,
      y: 40,
      length: 60,
      width: 90,
      face,
    });
    for (const face of ['tagged', 'under'] as const) {
      const boards = [thick('a', 210, { defects: [stain(face)] })];
      expect(planLayout(leaves(), boards, options, solver).shortfall).toHaveLength(1);
      const single = leaves({ pairs: undefined, greatestStrip: 400 });
      expect(planLayout(single, [thick('a', 420, { defects: [stain(face)] })], options, solver).shortfall).toEqual([]);
    }
  });

  it('count as two towards the most strips there may be', () => {
    const boards = ['a', 'b', 'c'].map((id) => thick(id, 120));
    const four = planLayout(leaves({ mostStrips: 4 }), boards, options, solver);
    expect(four.strips).toHaveLength(4);
    expect(checkLayout(leaves({ mostStrips: 4 }), boards, options, four)).toEqual([]);
    expect(planLayout(leaves({ mostStrips: 3 }), boards, options, solver).shortfall).toHaveLength(1);
  });

  it('are not parted: one leaf alone is told, moved alone it goes back', () => {
    const boards = [thick('a'), thick('b')];
    const demand = leaves();
    const layout = planLayout(demand, boards, options, solver);
    const [first, second] = layout.placements;
    const other = boards.find(({ id }) => id !== first!.board)!;
    const alone = { ...layout, placements: [first!, { ...second!, board: other.id }] };
    expect(checkLayout(demand, boards, options, alone)).toEqual(
      expect.arrayContaining(['top has no other leaf from its blank']),
    );
    const { layer: _, ...single } = first!;
    expect(checkLayout(demand, boards, options, { ...layout, placements: [single, second!] })).not.toEqual([]);
    const [blank] = blanksOf(layout.placements);
    const both = movesTo(blank!, other, { x: 50, y: 0, turned: false });
    expect(wrongOfMoves(demand, boards, options, layout, both)).toEqual([]);
    expect(wrongOfMoves(demand, boards, options, layout, both.slice(0, 1))).not.toEqual([]);
    expect(standingMoves(demand, boards, options, layout, both)).toEqual(both);
    expect(standingMoves(demand, boards, options, layout, both.slice(0, 1))).toEqual([]);
  });

  it('cost no less than any bound says, and a joint line for every leaf but one', () => {
    const priced = { ...options, effort: 600, weights: { ...options.weights, joint: 2, cut: 0.1, board: 1 } };
    const boards = ['a', 'b', 'c', 'd'].map((id, i) => thick(id, 90 + 20 * i));
    const layout = planLayout(leaves(), boards, priced, solver);
    expect(layout.shortfall).toEqual([]);
    expect(layout.cost.joints).toBeCloseTo(2 * (layout.strips.length - 1), 9);
    expect(layout.bound).not.toBeNull();
    expect(layout.bound!).toBeLessThanOrEqual(layout.cost.total + 1e-6);
    expect(leastCost(leaves(), boards, priced)).toBeLessThanOrEqual(layout.cost.total + 1e-6);
    // Half the wood at the most is not in it.
    expect(layout.bound!).toBeGreaterThan(0.8 * layout.cost.total);
  });
});

describe('a top in pairs', () => {
  const paired = (with_: Record<string, unknown> = {}) =>
    change(demoJob('2-long-table'), (d) => {
      d.layout.pairs = 'book';
      Object.assign(d.layout, with_);
    });

  it('is stopped where the shop cannot resaw its strips, and offers to do without pairs', () => {
    const job = derive(paired(), { shop: { ...shop, tools: { ...shop.tools, resawHeight: 0 } } });
    expect(level(job, 'layout.pairs-resawn')).toBe('stop');
    const way = job.checks.find(({ id }) => id === 'layout.pairs-resawn')?.wayOut;
    const after = derive(withChanges(paired(), way!.changes), {
      shop: { ...shop, tools: { ...shop.tools, resawHeight: 0 } },
    });
    expect(level(after, 'layout.pairs-resawn')).toBeUndefined();
    expect(
      level(derive(paired(), { shop: { ...shop, tools: { ...shop.tools, resawHeight: 200 } } }), 'layout.pairs-resawn'),
    ).toBe('good');
  });

  it('says what boards it wants, with where that comes from, and is stopped where none is thick enough', () => {
    const job = derive(paired());
    const check = job.checks.find(({ id }) => id === 'layout.pairs-thickness')!;
    // 2 × (30 + 3) + 1.2: the demo's oak has two boards of 12/4.
    expect(check.limit.amount).toBeCloseTo(67.2, 9);
    expect(job.figures['pair-blank']!.quantity.amount).toBeCloseTo(67.2, 9);
    expect(check.level).toBe('good');
    const thicker = derive(
      change(paired(), (d) => {
        d.form.top.thickness = 40;
      }),
    );
    expect(level(thicker, 'layout.pairs-thickness')).toBe('stop');
  });

  it('says that an odd number of strips is no pairs, lays out one more, and takes it as the way out', () => {
    const odd = derive(paired({ equalStrips: 7 }));
    expect(level(odd, 'layout.pairs-even')).toBe('stop');
    expect(odd.demand.panels[0]).toMatchObject({ mostStrips: 8, pairs: 'book' });
    const way = odd.checks.find(({ id }) => id === 'layout.pairs-even')!.wayOut!;
    const even = withChanges(paired({ equalStrips: 7 }), way.changes);
    expect(even.layout.equalStrips).toBe(8);
    expect(level(derive(even), 'layout.pairs-even')).toBeUndefined();
    expect(derive(paired({ mostStrips: 5 })).demand.panels[0]?.mostStrips).toBe(4);
    expect(level(derive(paired({ mostStrips: 1 })), 'layout.pairs-even')).toBe('stop');
  });

  it('has its blanks resawn, and the leaves rested, before they come to their thickness', () => {
    const plain = derive(demoJob('2-long-table')).operations;
    const { operations } = derive(paired());
    expect(plain.some(({ id }) => id === 'resaw')).toBe(false);
    const resaw = operations.find(({ id }) => id === 'resaw')!;
    expect(resaw.after).toEqual(['rough-mill']);
    expect(resaw.wait).toBeGreaterThan(24);
    expect(operations.find(({ id }) => id === 'final-mill')?.after).toEqual(['resaw']);
  });
});
