import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { change, demoJob, derive, sixSeats } from '../../../tests/fixtures/demo';
import { aBoard, aPanel, aPart, demandFor, plainOptions as options } from '../../../tests/fixtures/layout-parts';
import { ringChecks } from '../check/layout/layout-checks';
import type { Board } from '../stock/board';
import { checkLayout } from './check-layout';
import { clearArea } from './clear-area';
import { clearRegions, overlap } from './clear-regions';
import { cutSequence } from './cut-sequence';
import { type LayoutOptions, layoutKey } from './layout';
import { leastCost } from './least-cost';
import { standingMoves, wrongOfMoves } from './move-piece';
import { planLayout, searchLayout } from './plan-layout';

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
        expect(cutSequence({ x: 0, y: 0, length: 1000, width: 200 }, regions, { kerf: 0, step: 0 })).not.toBeNull();
      }),
    );
  });
});

describe('a layout', () => {
  it('puts four 500 mm parts on a board just long enough for them, and not on one a millimetre shorter', () => {
    const parts = [1, 2, 3, 4].map((i) => aPart(`p${i}`, 500, 90));
    const needed = 4 * 500 + 3 * 3 + 2 * 20;
    expect(planLayout(demandFor(parts), [aBoard('b', needed, 92)], options).shortfall).toEqual([]);
    expect(planLayout(demandFor(parts), [aBoard('b', needed - 1, 92)], options).shortfall).toHaveLength(1);
  });

  it('makes a panel of strips that add up to its width, none narrower or wider than allowed', () => {
    const wanted = demandFor([], [aPanel(1200, 600)]);
    const boards = [aBoard('a', 1300, 180), aBoard('b', 1300, 210), aBoard('c', 1300, 260), aBoard('d', 2600, 140)];
    const layout = planLayout(wanted, boards, options);
    expect(layout.shortfall).toEqual([]);
    expect(layout.strips.reduce((sum, s) => sum + s.width, 0)).toBeCloseTo(600, 6);
    expect(checkLayout(wanted, boards, options, layout)).toEqual([]);
  });

  it('never lays a part on a knot, though there is room beside it', () => {
    const boards = [
      aBoard('b', 1040, 100, { defects: [{ kind: 'knot', x: 480, y: 30, length: 40, width: 40, face: 'through' }] }),
    ];
    const layout = planLayout(demandFor([aPart('p1', 450, 95), aPart('p2', 450, 95)]), boards, options);
    expect(layout.shortfall).toEqual([]);
    expect(checkLayout(demandFor([aPart('p1', 450, 95), aPart('p2', 450, 95)]), boards, options, layout)).toEqual([]);
    expect(planLayout(demandFor([aPart('p', 600, 95)]), boards, options).shortfall).toHaveLength(1);
  });

  it('asks to buy what no board is thick, long or wide enough for, in the trade’s own thickness', () => {
    const [missing] = planLayout(demandFor([aPart('leg', 750, 70, 65)]), [aBoard('b', 3000, 300)], options).shortfall;
    expect(missing).toMatchObject({ part: 'leg', quarters: 12, length: 750, width: 70 });
    expect(missing!.boardFeet).toBeCloseTo((750 * 70 * 76.2) / 25.4 ** 3 / 144, 9);
  });

  it('takes thin stock for thin parts', () => {
    const layout = planLayout(
      demandFor([aPart('p', 500, 90)]),
      [aBoard('thick', 600, 100, { thickness: 80 }), aBoard('thin', 600, 100)],
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
    expect(first.value.share).toBeLessThan(0.05);
    const stopped = first.value.best;
    expect(checkLayout(wanted, boards, layoutOptions, stopped)).toEqual([]);
    const whole = planLayout(wanted, boards, { ...layoutOptions, effort: 1000 });
    const missing = (layout: typeof whole) => layout.shortfall.reduce((sum, s) => sum + s.boardFeet, 0);
    expect(missing(whole)).toBeLessThanOrEqual(missing(stopped));
    const { demand: small, boards: ash, layoutOptions: as } = derive(demoJob('1-square-table'));
    const [little, much] = [50, 1500].map((effort) => planLayout(small, ash, { ...as, effort }));
    expect(much!.shortfall).toEqual([]);
    expect(much!.cost.total).toBeLessThanOrEqual(little!.cost.total + 1e-6);
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

describe('the bound of areas', () => {
  it('is the price of the area of the parts on clear boards, exactly', () => {
    const wanted = demandFor([aPart('p1', 500, 90), aPart('p2', 400, 60)]);
    expect(leastCost(wanted, [aBoard('b', 2000, 200)], { ...options, endTrim: 0 })).toBeCloseTo(
      (500 * 90 + 400 * 60) * 30e-9 * options.woodPrice,
      9,
    );
  });

  it('counts a clear area with overlapping defects once', () => {
    const spoiled = aBoard('b', 1000, 100, {
      defects: [
        { kind: 'knot', x: 100, y: 0, length: 100, width: 50, face: 'through' },
        { kind: 'stain', x: 150, y: 25, length: 100, width: 50, face: 'through' },
      ],
    });
    expect(clearArea(spoiled, 0)).toBe(100_000 - 5000 - 5000 + 50 * 25);
  });
});

describe('what spoils a piece', () => {
  const stained = (face: 'through' | 'tagged' | 'under') =>
    aBoard('b', 700, 100, { defects: [{ kind: 'stain', x: 300, y: 20, length: 60, width: 60, face }] });
  const fits = (board: ReturnType<typeof stained>, shows: 'all' | 'face' | 'none') =>
    planLayout(demandFor([aPart('p', 600, 90, 22, { shows })]), [board], options);

  it('is a stain on a seen face: a leg cannot have it, a rail turns it in, a batten does not mind', () => {
    expect(fits(stained('tagged'), 'all').shortfall).toHaveLength(1);
    expect(fits(stained('tagged'), 'face').placements[0]).toMatchObject({ turned: true });
    expect(fits(stained('under'), 'face').placements[0]?.turned).toBeUndefined();
    expect(fits(stained('through'), 'face').shortfall).toHaveLength(1);
    expect(fits(stained('through'), 'none').shortfall).toEqual([]);
  });

  it('is a knot in every part, for its tenons, but a strip may hide one that does not go through', () => {
    const knotty = aBoard('b', 700, 100, {
      defects: [{ kind: 'knot', x: 300, y: 20, length: 60, width: 60, face: 'under' }],
    });
    expect(
      planLayout(demandFor([aPart('p', 600, 90, 22, { shows: 'none' })]), [knotty], options).shortfall,
    ).toHaveLength(1);
    const strip = demandFor([], [aPanel(600, 90)]);
    expect(planLayout(strip, [knotty], options).shortfall).toEqual([]);
  });
});

describe('the shape of a board', () => {
  it('lets a piece lie only as far across as the taper and the live edges reach at both its ends', () => {
    const wanted = demandFor([aPart('p', 500, 100)]);
    const tapered = aBoard('b', 1040, 120, { farWidth: 80 });
    const [placed] = planLayout(wanted, [tapered], options).placements;
    // At x the board is 120 − 40·x/1040 wide: 100 at 520, so the piece must end there.
    expect(placed!.x + placed!.length).toBeLessThanOrEqual(520 + 1e-6);
    expect(planLayout(wanted, [aBoard('b', 1040, 119, { farWidth: 80 })], options).shortfall).toHaveLength(1);
    const live = aBoard('b', 600, 130, { liveEdges: { near: 12, far: 17 } });
    expect(planLayout(wanted, [live], options).placements[0]!.y).toBeCloseTo(12, 9);
    expect(
      planLayout(wanted, [aBoard('b', 600, 130, { liveEdges: { near: 12, far: 19 } })], options).shortfall,
    ).toHaveLength(1);
  });

  it('gives short pieces of a bowed board where it would be too thin for long ones, and wide ones of a flat one', () => {
    // 30 mm rough, 4 lost as usual; 8 hollow along 2 m come to 8 over the whole, and to 1.7 over 0.92 m.
    const bowed = aBoard('b', 2000, 130, { thickness: 30, crook: { twist: 0, bow: 8, cup: 0 } });
    const long = demandFor([aPart('long', 1900, 60, 24)]);
    const short = demandFor([aPart('s1', 920, 60, 24), aPart('s2', 920, 60, 24)]);
    expect(planLayout(long, [bowed], options).shortfall).toHaveLength(1);
    expect(planLayout(long, [{ ...bowed, crook: null }], options).shortfall).toEqual([]);
    const laid = planLayout(short, [bowed], options);
    expect(laid.shortfall).toEqual([]);
    expect(checkLayout(short, [bowed], options, laid)).toEqual([]);
    const worse = { ...bowed, crook: { twist: 0, bow: 40, cup: 0 } };
    expect(checkLayout(short, [worse], options, laid)[0]).toBe('b, crooked as it is, is too thin for s1');
    // Strips are planed as wide as they may be.
    const cupped = aBoard('c', 1100, 160, { thickness: 30, crook: { twist: 0, bow: 0, cup: 8 } });
    const panel = (greatestStrip: number) => demandFor([], [aPanel(1000, 140, 24, { greatestStrip })]);
    expect(planLayout(panel(150), [cupped], options).shortfall).toHaveLength(1);
    expect(planLayout(panel(75), [cupped], options).shortfall).toEqual([]);
    expect(layoutKey(short, [bowed], options)).not.toBe(layoutKey(short, [worse], options));
  });

  it('gives a core of a quarter-sawn board where rings count, though another is cheaper, and counts it where none is', () => {
    const cores = demandFor(['c1', 'c2'].map((id) => aPart(id, 740, 60, 40, { shows: 'none', rings: 'quarter' })));
    const flat = aBoard('flat', 800, 140, { thickness: 50, ringAngle: 10 });
    const quarter = aBoard('quarter', 1700, 200, { thickness: 50, ringAngle: 85 });
    const with_ = (ring: number) => ({ ...options, weights: { ...options.weights, ring } });
    const from = (ring: number, rack = [flat, quarter]) => planLayout(cores, rack, with_(ring));
    expect(from(0).boards).toEqual(['flat']);
    expect(from(500).boards).toEqual(['quarter']);
    expect(from(500).cost.match).toBe(0);
    expect(from(500, [flat]).cost.match).toBe(1000);
    const told = (boards: (typeof flat)[], aim: 'save-wood' | 'best-match') =>
      ringChecks(from(500, boards), cores, boards, aim).map(({ level, wayOut }) => [level, wayOut?.changes.length]);
    expect(told([quarter], 'save-wood')).toEqual([['good', undefined]]);
    expect(told([flat], 'save-wood')).toEqual([['watch', 1]]);
    expect(told([flat], 'best-match')).toEqual([['watch', 0]]);
  });

  it('gives four 6 mm veneers from one blank of 12/4 on a band saw that reaches, and one where there is none', () => {
    const veneers = demandFor(['v1', 'v2', 'v3', 'v4'].map((id) => aPart(id, 740, 85, 6)));
    const thick = aBoard('b', 800, 90, { thickness: 52 });
    const resawn = { ...options, resaw: { height: 250, kerf: 1.5, allowance: 3 } };
    // 48 mm flat gives (48 + 1.5) ÷ (9 + 1.5) = 4.7 pieces.
    const layout = planLayout(veneers, [thick], resawn);
    expect(layout.placements.map((p) => p.layer)).toEqual([0, 1, 2, 3]);
    expect(checkLayout(veneers, [thick], resawn, layout)).toEqual([]);
    expect(checkLayout(veneers, [{ ...thick, thickness: 41 }], resawn, layout)[0]).toMatch(/too thin/);
    expect(planLayout(veneers, [thick], options).shortfall).toHaveLength(3);
  });
});

describe('a panel', () => {
  it('takes no more strips than asked, and all from one lot where asked', () => {
    const boards = [
      aBoard('a', 1300, 170, { lot: 'x' }),
      ...['b', 'c', 'd', 'e'].map((id) => aBoard(id, 1300, 150, { lot: 'y' })),
    ];
    const few = planLayout(demandFor([], [aPanel(1200, 440, 22, { mostStrips: 3 })]), boards, options);
    expect(few.strips).toHaveLength(3);
    expect(
      planLayout(demandFor([], [aPanel(1200, 440, 22, { mostStrips: 2 })]), boards, options).shortfall,
    ).toHaveLength(1);
    const oneLot = demandFor([], [aPanel(1200, 500, 22, { oneLot: true })]);
    const layout = planLayout(oneLot, boards, options);
    expect(layout.boards).toEqual(['b', 'c', 'd', 'e']);
    expect(checkLayout(oneLot, boards, options, layout)).toEqual([]);
  });

  it('is made of shorter strips toward the sides where it is round', () => {
    const bands = [
      { length: 700, width: 200 },
      { length: 1000, width: 400 },
      { length: 700, width: 200 },
    ];
    const round = demandFor([], [aPanel(1000, 800, 22, { bands })]);
    const boards = [aBoard('a', 2200, 210), aBoard('b', 2200, 210), aBoard('c', 800, 220), aBoard('d', 800, 220)];
    const layout = planLayout(round, boards, { ...options, effort: 800 });
    expect(layout.shortfall).toEqual([]);
    expect(checkLayout(round, boards, options, layout)).toEqual([]);
    const sides = layout.placements.filter((p) => p.band !== 1);
    expect(sides.every((p) => p.length === 700)).toBe(true);
    // In their order from one side to the other.
    const order = [...layout.placements].sort((p, q) => p.strip! - q.strip!).map((p) => p.band!);
    expect(order).toEqual([...order].sort());
  });
});

describe('the checker', () => {
  const wanted = demandFor([aPart('p', 500, 90)], [aPanel(500, 200)]);
  const boards = [aBoard('a', 600, 340), aBoard('b', 600, 120)];
  const good = planLayout(wanted, boards, options);
  const broken = (edit: (draft: typeof good) => void) => {
    const draft = structuredClone(good);
    edit(draft);
    return checkLayout(wanted, boards, options, draft).join('; ');
  };
  const part = (draft: typeof good) => draft.placements.find((p) => p.part === 'p')!;

  it('finds nothing wrong with a sound layout, and each thing done to it', () => {
    expect(checkLayout(wanted, boards, options, good)).toEqual([]);
    expect(broken((d) => (part(d).x = 0))).toMatch(/outside/);
    expect(broken((d) => (part(d).x = 90))).toMatch(/outside/);
    expect(broken((d) => (part(d).width -= 1))).toMatch(/wrong size/);
    expect(broken((d) => d.placements.splice(d.placements.indexOf(part(d)), 1))).toMatch(/placed 0 times/);
    expect(broken((d) => d.placements.push({ ...part(d) }))).toMatch(/placed 2 times|lie on one another/);
    expect(broken((d) => (part(d).board = 'nowhere'))).toMatch(/not there/);
    expect(broken((d) => (d.placements.find((p) => p.strip === 0)!.width -= 5))).toMatch(/too narrow/);
    expect(broken((d) => (d.placements.find((p) => p.strip === 1)!.strip = 0))).toMatch(/share a number/);
    expect(broken((d) => Object.assign(d, { placements: d.placements.map((p) => ({ ...p, y: 0 })) }))).toMatch(
      /no kerf|lie on one another/,
    );
  });

  it('wants the whole to come apart by straight through cuts', () => {
    // Five pieces round a middle one, like a pinwheel: no cut goes through.
    const pinwheel = [
      { x: 0, y: 0, length: 60, width: 30 },
      { x: 63, y: 0, length: 30, width: 60 },
      { x: 33, y: 63, length: 60, width: 30 },
      { x: 0, y: 33, length: 30, width: 60 },
      { x: 33, y: 33, length: 27, width: 27 },
    ];
    const board = { x: 0, y: 0, length: 93, width: 93 };
    expect(cutSequence(board, pinwheel, { kerf: 3, step: 0 })).toBeNull();
    expect(cutSequence(board, pinwheel.slice(0, 4), { kerf: 3, step: 0 })).toBeNull();
    expect(cutSequence(board, pinwheel.slice(0, 3), { kerf: 3, step: 0 })).not.toBeNull();
  });
});

describe('a set of parts', () => {
  const set = (count: number, length = 500) =>
    Array.from({ length: count }, (_, i) => aPart(`s${i}`, length, 90, 22, { together: 'fronts' }));
  // Room for two on each small board, for four only on the large and dear one.
  const boards = [
    aBoard('a', 1100, 100),
    aBoard('b', 1100, 100),
    aBoard('c', 2200, 120, { price: { amount: 500, per: 'piece' } }),
  ];

  it('comes from one board, though two would be cheaper', () => {
    const wanted = demandFor(set(4));
    const layout = planLayout(wanted, boards, options);
    expect(layout.shortfall).toEqual([]);
    expect(layout.boards).toEqual(['c']);
    expect(checkLayout(wanted, boards, options, layout)).toEqual([]);
    const anyBoard = planLayout(demandFor(set(4).map(({ together: _, ...part }) => part)), boards, options);
    expect(anyBoard.boards).toEqual(['a', 'b']);
    expect(checkLayout(wanted, boards, options, anyBoard)).toEqual(['s0, s1, s2, s3 are to come from one board']);
  });

  it('is short as a whole where no board has room for all of it', () => {
    const layout = planLayout(demandFor([...set(5), aPart('other', 700, 90)]), boards, options);
    expect(layout.shortfall.map((s) => s.part).sort()).toEqual(['s0', 's1', 's2', 's3', 's4']);
    expect(layout.placements.map((p) => p.part)).toEqual(['other']);
  });

  it('stays with the board that some of it is sawn from', () => {
    const fixed = [{ board: 'c', part: 's1', x: 800, y: 0, length: 500, width: 90 }];
    const layout = planLayout(demandFor(set(3)), boards, { ...options, fixed });
    expect(layout.boards).toEqual(['c']);
    expect(checkLayout(demandFor(set(3)), boards, options, layout)).toEqual([]);
  });

  it('may not be torn apart by hand', () => {
    const wanted = demandFor(set(2, 300));
    const layout = planLayout(wanted, boards, options);
    const other = layout.boards[0] === 'a' ? 'b' : 'a';
    const move = { part: 's0', strip: null, board: other, x: 20, y: 0, turned: false };
    expect(wrongOfMoves(wanted, boards, options, layout, [move])).toEqual(['s0, s1 are to come from one board']);
    expect(standingMoves(wanted, boards, options, layout, [move])).toEqual([]);
    const both = [move, { ...move, part: 's1', x: 400 }];
    expect(standingMoves(wanted, boards, options, layout, both)).toEqual(both);
  });
});

describe('the key that tells whether a layout is still that of its piece', () => {
  const boards = [aBoard('a', 2200, 210)];
  const key = (length: number) => layoutKey(demandFor([aPart('p', length, 90)]), boards, options);

  it('is the same where two engines differ in the last digits, and another where a maker would saw another', () => {
    const length = 500 * Math.cos(Math.PI / 7);
    expect(key(length * (1 + 1e-14))).toBe(key(length));
    expect(key(length + 0.01)).not.toBe(key(length));
  });

  it('asks for nothing of the shop that does not bear on it', () => {
    const demand = demandFor([aPart('p', 500, 90)]);
    const of = (board: Partial<Board>, more: Partial<LayoutOptions>) =>
      layoutKey(demand, [{ ...aBoard('a', 2200, 210), ...board }], { ...options, ...more });
    const price = { amount: 40, per: 'piece' as const };
    expect(of({ price }, { woodPrice: 900 })).toBe(of({ price }, { woodPrice: 1000 }));
    expect(of({ price: null }, { woodPrice: 900 })).not.toBe(of({ price: null }, { woodPrice: 1000 }));
    const saw = (height: number, kerf: number) => of({}, { resaw: { height, kerf, allowance: 3 } });
    expect(saw(0, 1)).toBe(saw(0, 2));
    expect(saw(200, 1)).not.toBe(saw(200, 2));
  });
});
