import fc from 'fast-check';
import loadHighs from 'highs';
import { describe, expect, it } from 'vitest';
import { change, demoJob, derive, shop } from '../../../tests/fixtures/demo';
import { aBoard, aPanel, aPart, demandFor, plainOptions } from '../../../tests/fixtures/layout-parts';
import { highsSolver } from '../linear/highs-solver';
import { MM_PER_INCH } from '../measure/length';
import { blanksOf } from './blanks';
import { checkLayout } from './check-layout';
import { costBound } from './cost-bound';
import { problemOf } from './cut-plan';
import { planLayout } from './plan-layout';
import { kindsOf, readyBoards } from './ready-boards';
import { piecesResawn, resawnFrom } from './resawing';

const solver = highsSolver(await loadHighs());
const options = { ...plainOptions, flattening: 5, resaw: { height: 200, kerf: 1.2, allowance: 3 } };
const noSaw = { ...options, resaw: { ...options.resaw, height: 0 } };
const eightQuarter = (id: string, width = 200) =>
  aBoard(id, 1200, width, { thickness: 2 * MM_PER_INCH, quarters: 8, surface: 'rough' });

describe('what is resawn', () => {
  it('is as many pieces as their blank is thick enough for, and no more', () => {
    const mm = fc.double({ min: 3, max: 120, noNaN: true });
    fc.assert(
      fc.property(mm, mm, (blank, thickness) => {
        const pieces = piecesResawn(blank, thickness, options.resaw);
        if (pieces > 1) expect(resawnFrom(thickness, pieces, options.resaw)).toBeLessThanOrEqual(blank + 1e-6);
        expect(resawnFrom(thickness, Math.max(2, pieces + 1), options.resaw)).toBeGreaterThan(blank - 1e-6);
      }),
    );
  });
});

describe('strips of 19 mm from boards of 8/4', () => {
  const top = demandFor([], [aPanel(1100, 740, 19, { greatestStrip: 190 })]);

  it('are resawn two from a blank: a rough 8/4 gives two of 3/4 in (common practice)', () => {
    const boards = ['a', 'b', 'c', 'd'].map((id) => eightQuarter(id));
    const layout = planLayout(top, boards, options, solver);
    expect(layout.shortfall).toEqual([]);
    expect(layout.boards).toHaveLength(2);
    expect(blanksOf(layout.placements).every(({ placements }) => placements.length === 2)).toBe(true);
    expect(checkLayout(top, boards, options, layout)).toEqual([]);
    // By hand: without a band saw every strip takes a board of its own.
    expect(planLayout(top, boards, noSaw, solver).boards).toHaveLength(4);
    expect(layout.cost.total).toBeGreaterThanOrEqual(layout.bound! - 1e-6);
  });

  it('come one from a blank where no second is wanted, and go no higher than the band saw', () => {
    const one = demandFor([], [aPanel(1100, 60, 19, { greatestStrip: 190 })]);
    const layout = planLayout(one, [eightQuarter('a')], options, solver);
    expect(layout.placements).toHaveLength(1);
    expect(layout.placements[0]!.layer).toBeUndefined();
    const low = { ...options, resaw: { ...options.resaw, height: 100 } };
    const wide = planLayout(
      top,
      ['a', 'b', 'c'].map((id) => eightQuarter(id)),
      low,
      solver,
    );
    for (const { placements, width } of blanksOf(wide.placements))
      if (placements.length > 1) expect(width).toBeLessThanOrEqual(100);
  });

  it('keep both faces of a blank clear that is resawn, for any of its faces may be seen', () => {
    const stain = { kind: 'stain' as const, x: 400, y: 40, length: 60, width: 120, face: 'under' as const };
    const boards = [{ ...eightQuarter('a'), defects: [stain] }, eightQuarter('b')];
    const demand = demandFor([], [aPanel(1100, 370, 19, { greatestStrip: 190 })]);
    const layout = planLayout(demand, boards, options, solver);
    expect(checkLayout(demand, boards, options, layout)).toEqual([]);
    const resawn = layout.placements.filter(({ layer }) => layer !== undefined);
    expect(resawn.every(({ board }) => board === 'b')).toBe(true);
  });

  it('are bounded as they are sawn: no layout costs less than its bound, by resawing either', () => {
    const rack = ['a', 'b', 'c', 'd', 'e'].map((id, i) => ({
      ...eightQuarter(id, 130 + 20 * i),
      thickness: [25, 51, 77][i % 3]!,
      quarters: null,
    }));
    const demand = demandFor([aPart('x', 600, 90, 19)], [aPanel(1000, 500, 19)]);
    const kinds = kindsOf(demand, options, rack);
    const problem = problemOf(kinds, readyBoards(rack, options, kinds), options);
    const bound = costBound(problem, solver, { rounds: 8, sawnRounds: 4, wholeRounds: 0, nodes: 10 })!;
    const layout = planLayout(demand, rack, { ...options, effort: 200 });
    expect(layout.shortfall).toEqual([]);
    expect(checkLayout(demand, rack, options, layout)).toEqual([]);
    expect(bound).toBeGreaterThan(0);
    expect(layout.cost.total).toBeGreaterThanOrEqual(bound - 1e-6);
  });
});

describe('thick boards planed down where the maker wants that', () => {
  it('give one strip a blank, but for pairs', () => {
    const document = change(demoJob('1-square-table'), (draft) => {
      draft.layout.resaw = false;
    });
    expect(derive(document).layoutOptions.resaw.height).toBe(0);
    const paired = change(document, (draft) => {
      draft.layout.pairs = 'book';
    });
    expect(derive(paired).layoutOptions.resaw.height).toBe(shop.tools.resawHeight);
  });
});

describe('the plan of work', () => {
  it('has whatever the layout resaws parted, laid on sticks and rested before its final size', () => {
    const document = change(demoJob('1-square-table'), (draft) => {
      draft.form.base.apron.thickness = 20;
    });
    const first = derive(document);
    const boards = first.demand.parts.map((_, i) => ({
      ...aBoard(`r${i}`, 2600, 180, { thickness: 3 * MM_PER_INCH, species: first.species.id }),
    }));
    const layout = planLayout(first.demand, boards, { ...first.layoutOptions, effort: 40 });
    const resawn = blanksOf(layout.placements).filter(({ placements }) => placements.length > 1);
    expect(layout.shortfall).toEqual([]);
    expect(resawn.length).toBeGreaterThan(0);
    const { operations } = derive(document, { boards, layout });
    const resaw = operations.find(({ id }) => id === 'resaw');
    expect(resaw?.name).toMatch(/Resaw/);
    expect(resaw!.wait).toBeGreaterThan(24);
    expect(resaw!.parts.length).toBeGreaterThan(1);
    expect(operations.find(({ id }) => id === 'final-mill')?.after).toEqual(['resaw']);
  });
});
