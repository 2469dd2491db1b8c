import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { change, demoJob, derive, sixSeats } from '../../../tests/fixtures/demo';
import type { Board } from '../stock/board';
import { checkLayout, sawable } from './check-layout';
import { clearRegions, overlap } from './clear-regions';
import type { Demand, LayoutOptions } from './layout';
import { clearArea, leastConsumption } from './least-consumption';
import { planLayout, searchLayout } from './plan-layout';

const options: LayoutOptions = {
  kerf: 3,
  endTrim: 20,
  flattening: 4,
  usefulOffcut: { length: 300, width: 50 },
  seed: 1,
  effort: 200,
};
const board = (id: string, length: number, width: number, more: Partial<Board> = {}): Board => ({
  id,
  tag: id,
  species: 'oak-white',
  length,
  width,
  thickness: 30,
  quarters: null,
  surface: 'dressed',
  ringAngle: 10,
  ringCentre: null,
  moisture: null,
  moistureOn: null,
  lot: '',
  note: '',
  defects: [],
  ...more,
});
const part = (id: string, length: number, width: number, thickness = 22) => ({
  id,
  letter: id,
  name: id,
  grade: 'show' as const,
  finished: { length: length - 30, width: width - 5, thickness },
  rough: { length, width },
});
const panel = (length: number, width: number, thickness = 22) => ({
  id: 'top',
  letter: 'A',
  name: 'Top',
  finished: { length: length - 40, width: width - 8, thickness },
  rough: { length, width },
  leastStrip: 60,
  greatestStrip: 150,
  jointing: 3,
});
const demand = (parts: Demand['parts'], panels: Demand['panels'] = []): Demand => ({
  species: 'oak-white',
  parts,
  panels,
});

describe('the clear regions of a board', () => {
  it('are the whole board where there is no defect, and keep clear of every defect otherwise', () => {
    expect(clearRegions({ x: 0, y: 0, length: 1000, width: 200 }, [], 3, () => true)).toHaveLength(1);
    const rectangle = fc.record({
      x: fc.integer({ min: 0, max: 950 }),
      y: fc.integer({ min: 0, max: 180 }),
      length: fc.integer({ min: 1, max: 300 }),
      width: fc.integer({ min: 1, max: 80 }),
    });
    fc.assert(
      fc.property(fc.array(rectangle, { maxLength: 6 }), fc.boolean(), (defects, crosscut) => {
        const regions = clearRegions({ x: 0, y: 0, length: 1000, width: 200 }, defects, 3, () => crosscut);
        for (const [i, r] of regions.entries()) {
          expect(defects.some((d) => overlap(r, d))).toBe(false);
          for (const other of regions.slice(i + 1)) expect(overlap(r, other)).toBe(false);
        }
        expect(sawable(regions, 0)).toBe(true);
      }),
    );
  });
});

describe('a layout', () => {
  it('puts four 500 mm parts on a board just long enough for them, and not on one a millimetre shorter', () => {
    const parts = [1, 2, 3, 4].map((i) => part(`p${i}`, 500, 90));
    const needed = 4 * 500 + 3 * 3 + 2 * 20;
    expect(planLayout(demand(parts), [board('b', needed, 92)], options).shortfall).toEqual([]);
    expect(planLayout(demand(parts), [board('b', needed - 1, 92)], options).shortfall).toHaveLength(1);
  });

  it('makes a panel of strips that add up to its width, none narrower or wider than allowed', () => {
    const wanted = demand([], [panel(1200, 600)]);
    const boards = [board('a', 1300, 180), board('b', 1300, 210), board('c', 1300, 260), board('d', 2600, 140)];
    const layout = planLayout(wanted, boards, options);
    expect(layout.shortfall).toEqual([]);
    expect(layout.strips.reduce((sum, s) => sum + s.width, 0)).toBeCloseTo(600, 6);
    expect(checkLayout(wanted, boards, options, layout)).toEqual([]);
  });

  it('never lays a part on a knot, though there is room beside it', () => {
    const boards = [board('b', 1040, 100, { defects: [{ kind: 'knot', x: 480, y: 30, length: 40, width: 40 }] })];
    const layout = planLayout(demand([part('p1', 450, 95), part('p2', 450, 95)]), boards, options);
    expect(layout.shortfall).toEqual([]);
    expect(checkLayout(demand([part('p1', 450, 95), part('p2', 450, 95)]), boards, options, layout)).toEqual([]);
    expect(planLayout(demand([part('p', 600, 95)]), boards, options).shortfall).toHaveLength(1);
  });

  it('asks to buy what no board is thick, long or wide enough for, in the trade’s own thickness', () => {
    const [missing] = planLayout(demand([part('leg', 750, 70, 65)]), [board('b', 3000, 300)], options).shortfall;
    expect(missing).toMatchObject({ part: 'leg', quarters: 12, length: 750, width: 70 });
    expect(missing!.boardFeet).toBeCloseTo((750 * 70 * 76.2) / 25.4 ** 3 / 144, 9);
  });

  it('takes thin stock for thin parts', () => {
    const layout = planLayout(
      demand([part('p', 500, 90)]),
      [board('thick', 600, 100, { thickness: 80 }), board('thin', 600, 100)],
      options,
    );
    expect(layout.boards).toEqual(['thin']);
  });

  it('is the same for the same seed and effort', () => {
    const { demand: wanted, boards, layoutOptions } = derive(sixSeats());
    const run = () => planLayout(wanted, boards, { ...layoutOptions, effort: 400 });
    expect(run()).toEqual(run());
  });

  it('gets no worse with more effort, tells its progress, and can be stopped with the best so far', () => {
    const { demand: wanted, boards, layoutOptions } = derive(demoJob('2-long-table'));
    const search = searchLayout(wanted, boards, { ...layoutOptions, effort: 1000 });
    const first = search.next();
    if (first.done) throw new Error('it ended at once');
    expect(first.value.share).toBeCloseTo(0.05, 6);
    const stopped = first.value.best;
    expect(checkLayout(wanted, boards, layoutOptions, stopped)).toEqual([]);
    const whole = planLayout(wanted, boards, { ...layoutOptions, effort: 1000 });
    const missing = (layout: typeof whole) => layout.shortfall.reduce((sum, s) => sum + s.boardFeet, 0);
    expect(missing(whole)).toBeLessThanOrEqual(missing(stopped));
    const { demand: small, boards: ash, layoutOptions: as } = derive(demoJob('1-square-table'));
    const [little, much] = [50, 1500].map((effort) => planLayout(small, ash, { ...as, effort }));
    expect(much!.shortfall).toEqual([]);
    expect(much!.consumed).toBeLessThanOrEqual(little!.consumed + 1e-3);
  });

  it('leaves sawn parts where they are and works round them', () => {
    const job = derive(demoJob('1-square-table'));
    const layout = planLayout(job.demand, job.boards, { ...job.layoutOptions, effort: 300 });
    const sawn = change(demoJob('1-square-table'), (d) => {
      d.bench.cut = ['leg-front-left', 'top'];
      d.form.base.apron.height = 80;
    });
    const next = derive(sawn, { layout });
    expect(next.layoutState).toBe('stale');
    expect(next.layoutOptions.fixed!.length).toBe(1 + layout.strips.length);
    const again = planLayout(next.demand, next.boards, { ...next.layoutOptions, effort: 300 });
    for (const placed of next.layoutOptions.fixed!) expect(again.placements).toContainEqual(placed);
    expect(checkLayout(next.demand, next.boards, next.layoutOptions, again)).toEqual([]);
  });
});

describe('the bound', () => {
  it('is the area of the parts on clear boards, exactly', () => {
    const wanted = demand([part('p1', 500, 90), part('p2', 400, 60)]);
    expect(leastConsumption(wanted, [board('b', 2000, 200)], { ...options, endTrim: 0 })).toBeCloseTo(
      (500 * 90 + 400 * 60) * 30e-9,
      12,
    );
  });

  it('counts a clear area with overlapping defects once', () => {
    const spoiled = board('b', 1000, 100, {
      defects: [
        { kind: 'knot', x: 100, y: 0, length: 100, width: 50 },
        { kind: 'stain', x: 150, y: 25, length: 100, width: 50 },
      ],
    });
    expect(clearArea(spoiled, 0)).toBe(100_000 - 5000 - 5000 + 50 * 25);
  });

  it('is not broken, and the layout never invalid, for random racks and parts', () => {
    const boards = fc.array(
      fc.record({
        length: fc.integer({ min: 600, max: 3000 }),
        width: fc.integer({ min: 80, max: 300 }),
        thickness: fc.constantFrom(26, 30, 40, 70),
        knots: fc.array(
          fc.record({
            x: fc.integer({ min: 0, max: 550 }),
            y: fc.integer({ min: 0, max: 70 }),
            length: fc.integer({ min: 5, max: 300 }),
            width: fc.integer({ min: 5, max: 90 }),
          }),
          { maxLength: 3 },
        ),
      }),
      { minLength: 1, maxLength: 8 },
    );
    const parts = fc.array(
      fc.record({
        length: fc.integer({ min: 150, max: 1500 }),
        width: fc.integer({ min: 30, max: 150 }),
        thickness: fc.constantFrom(18, 22, 34, 60),
      }),
      { maxLength: 8 },
    );
    fc.assert(
      fc.property(
        boards,
        parts,
        fc.option(fc.tuple(fc.integer({ min: 300, max: 1800 }), fc.integer({ min: 200, max: 900 }))),
        fc.integer(),
        (rack, wanted, top, seed) => {
          const stock = rack.map((r, i) =>
            board(`b${i}`, r.length, r.width, {
              thickness: r.thickness,
              defects: r.knots.map((k) => ({ kind: 'knot' as const, ...k })),
            }),
          );
          const asked = demand(
            wanted.map((p, i) => part(`p${i}`, p.length, p.width, p.thickness)),
            top ? [panel(top[0], top[1])] : [],
          );
          const using = { ...options, seed, effort: 30 };
          const layout = planLayout(asked, stock, using);
          expect(checkLayout(asked, stock, using, layout)).toEqual([]);
          if (layout.shortfall.length === 0) {
            expect(leastConsumption(asked, stock, using)).toBeLessThanOrEqual(layout.consumed + 1e-12);
            expect(layout.yield).toBeLessThanOrEqual((layout.yieldBound ?? 0) + 1e-9);
          }
        },
      ),
      { numRuns: 300 },
    );
  });
});

describe('the checker', () => {
  const wanted = demand([part('p1', 500, 90)]);
  const boards = [board('b', 1000, 200)];
  const sound = planLayout(wanted, boards, options);
  const placed = sound.placements[0]!;
  it.each([
    ['outside the board', { x: 900 }],
    ['over the end trim', { x: 0 }],
    ['of another size', { length: 480 }],
  ])('sees a part %s', (_, moved) => {
    expect(
      checkLayout(wanted, boards, options, { ...sound, offcuts: [], placements: [{ ...placed, ...moved }] }),
    ).not.toEqual([]);
  });
  it('sees a missing kerf, a part placed twice, and one left out', () => {
    const twin = { ...placed, y: placed.y + placed.width + 1 };
    const faults = checkLayout(wanted, boards, options, { ...sound, offcuts: [], placements: [placed, twin] });
    expect(faults.join()).toMatch(/kerf/);
    expect(faults.join()).toMatch(/placed 2 times/);
    expect(checkLayout(wanted, boards, options, { ...sound, placements: [] }).join()).toMatch(/placed 0 times/);
  });
  it('sees a pinwheel that no straight through cut can part', () => {
    const wheel = [
      { x: 0, y: 0, length: 60, width: 30 },
      { x: 63, y: 0, length: 30, width: 60 },
      { x: 33, y: 63, length: 60, width: 30 },
      { x: 0, y: 33, length: 30, width: 60 },
    ];
    expect(sawable(wheel, 3)).toBe(false);
    expect(sawable(wheel.slice(0, 3), 3)).toBe(true);
  });
});
