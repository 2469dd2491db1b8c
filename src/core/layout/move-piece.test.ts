import { describe, expect, it } from 'vitest';
import { aBoard, aPanel, aPart, demandFor, plainOptions } from '../../../tests/fixtures/layout-parts';
import type { Move } from '../document/job-document';
import type { Board } from '../stock/board';
import { blanksOf } from './blanks';
import { checkLayout } from './check-layout';
import type { Demand } from './demand';
import { movedLayout, offcutsOf, placeOn, snapPiece, standingMoves, swapMoves, wrongOfMoves } from './move-piece';
import { planLayout } from './plan-layout';

const wide = aBoard('W', 1200, 200);
const spare = aBoard('S', 1500, 160, {
  defects: [{ kind: 'knot', face: 'through', x: 700, y: 40, length: 60, width: 60 }],
});
const boards = [wide, spare];
const demand = demandFor([aPart('rail', 600, 90), aPart('stile', 500, 90)]);
const options = { ...plainOptions, weights: { ...plainOptions.weights, board: 50 } };
const layout = planLayout(demand, boards, options);
const put = (part: string, board: string, x: number, y: number, turned = false, strip: number | null = null): Move => ({
  part,
  strip,
  board,
  x,
  y,
  turned,
});

describe('moving a piece', () => {
  it('starts from one board', () => {
    expect(layout.boards).toEqual(['W']);
  });

  it('puts it on another board, gives both boards new offcuts, and reckons the money anew', () => {
    const moved = movedLayout(demand, boards, options, layout, [put('rail', 'S', 20, 0)]);
    expect(moved.placements.find((p) => p.part === 'rail')).toMatchObject({ board: 'S', x: 20, y: 0 });
    expect(moved.boards).toEqual(['W', 'S']);
    expect(moved.cost.total).toBeGreaterThan(layout.cost.total + 40);
    expect(moved.offcuts.some((o) => o.board === 'S')).toBe(true);
    expect(checkLayout(demand, boards, options, moved)).toEqual([]);
    expect(moved.bound).toBe(layout.bound);
    expect(moved.gap).toBeGreaterThan(layout.gap ?? 0);
  });

  it('leaves the layout alone where nothing moves', () => {
    const rail = layout.placements.find((p) => p.part === 'rail');
    expect(movedLayout(demand, boards, options, layout, [])).toBe(layout);
    expect(movedLayout(demand, boards, options, layout, [put('rail', 'gone', 20, 0)])).toBe(layout);
    expect(movedLayout(demand, boards, options, layout, [put('rail', 'W', rail?.x ?? 0, rail?.y ?? 0)])).toBe(layout);
  });

  it('says what stands in the way, in the names the maker knows', () => {
    const name = () => 'B1';
    expect(wrongOfMoves(demand, boards, options, layout, [put('rail', 'S', 400, 20)], name)).toEqual([
      'B1 lies on a knot of S',
    ]);
    expect(wrongOfMoves(demand, boards, options, layout, [put('rail', 'S', 1000, 0)], name)).toContain(
      'B1 lies outside S',
    );
    expect(wrongOfMoves(demand, boards, options, layout, [put('rail', 'S', 5, 0)], name)).toEqual([
      'B1 lies outside what is kept of S, in its end trim',
    ]);
    expect(wrongOfMoves(demand, boards, options, layout, [put('rail', 'S', 20, 0)], name)).toEqual([]);
  });

  it('refuses what straight cuts cannot reach', () => {
    const big = aBoard('P', 640, 640);
    const four = demandFor(['a', 'b', 'c', 'd'].map((id) => aPart(id, 360, 200)));
    const far = aBoard('Q', 2000, 420);
    const first = planLayout(four, [big, far], { ...plainOptions, endTrim: 0 });
    // A pinwheel: no cut runs through from edge to edge.
    const turns = demandFor([aPart('a', 400, 200), aPart('b', 200, 400), aPart('c', 400, 200), aPart('d', 200, 400)]);
    const base = {
      ...first,
      placements: turns.parts.map((p, i) => ({ board: 'Q', part: p.id, x: 420 * i, y: 0, ...p.rough })),
    };
    const pinwheel = [put('a', 'P', 0, 0), put('b', 'P', 403, 0), put('c', 'P', 203, 403), put('d', 'P', 0, 203)];
    expect(wrongOfMoves(turns, [big, far], { ...plainOptions, endTrim: 0 }, base, pinwheel)).toContain(
      'P cannot be cut up by straight through cuts',
    );
  });

  it('lets two pieces change places in one go, though neither could go alone', () => {
    const tight = [aBoard('A', 660, 100), aBoard('B', 660, 100)];
    const pair = demandFor([aPart('one', 600, 90), aPart('two', 600, 90)]);
    const start = planLayout(pair, tight, plainOptions);
    const at = (part: string) => start.placements.find((p) => p.part === part) ?? start.placements[0]!;
    const swap = [
      put('one', at('two').board, at('two').x, at('two').y),
      put('two', at('one').board, at('one').x, at('one').y),
    ];
    expect(standingMoves(pair, tight, plainOptions, start, swap)).toEqual(swap);
    const ground = { demand: pair, boards: tight, options: plainOptions, layout: start };
    const [one, two] = blanksOf(start.placements);
    expect(swapMoves(ground, one!, two!)).toEqual(expect.arrayContaining(swap));
    // A board too short for one of them: no changing places.
    const shorter = tight.map((b) => (b.id === one!.board ? { ...b, length: 300 } : b));
    expect(swapMoves({ ...ground, boards: shorter }, one!, two!)).toBeNull();
    expect(standingMoves(pair, tight, plainOptions, start, swap.slice(0, 1))).toEqual([]);
    const swapped = movedLayout(pair, tight, plainOptions, start, swap);
    expect(swapped.placements.find((p) => p.part === 'one')?.board).toBe(at('two').board);
    expect(swapped.cost.total).toBeCloseTo(start.cost.total, 9);
  });

  it('drops the moves of a board that no longer takes them, and keeps the others', () => {
    const three = [wide, spare, aBoard('T', 900, 200)];
    const both = [put('rail', 'S', 20, 0), put('stile', 'T', 20, 0)];
    expect(standingMoves(demand, three, options, layout, both)).toEqual(both);
    const knotted = three.map((b) =>
      b.id === 'S'
        ? {
            ...b,
            defects: [{ kind: 'knot' as const, face: 'through' as const, x: 100, y: 10, length: 30, width: 30 }],
          }
        : b,
    );
    expect(standingMoves(demand, knotted, options, layout, both)).toEqual([put('stile', 'T', 20, 0)]);
  });

  it('holds through a new search', () => {
    const moved = movedLayout(demand, boards, options, layout, [put('stile', 'S', 900, 30)]);
    const fixed = moved.placements.filter((p) => p.part === 'stile');
    const again = planLayout(demand, boards, { ...options, fixed });
    expect(again.placements.find((p) => p.part === 'stile')).toMatchObject({ board: 'S', x: 900, y: 30 });
    expect(checkLayout(demand, boards, options, again)).toEqual([]);
    expect(movedLayout(demand, boards, options, again, [put('stile', 'S', 900, 30)])).toBe(again);
  });

  it('moves a strip of a panel by its number', () => {
    const panel = demandFor([], [aPanel(700, 280)]);
    const stock = [aBoard('W', 1600, 160), aBoard('S', 800, 160)];
    const start = planLayout(panel, stock, plainOptions);
    const strip = start.placements.find((p) => p.board === 'W')!;
    const to = put('top', 'S', 20, 0, false, strip.strip ?? null);
    const moved = movedLayout(panel, stock, plainOptions, start, [to]);
    expect(moved.strips[strip.strip ?? 0]?.board).toBe('S');
    expect(checkLayout(panel, stock, plainOptions, moved)).toEqual([]);
  });

  it('does not take a strip to another lot where one lot was asked for', () => {
    const panel = demandFor([], [aPanel(700, 280, 22, { oneLot: true })]);
    const stock = [aBoard('W', 1600, 160, { lot: 'x' }), aBoard('S', 800, 160, { lot: 'y' })];
    const start = planLayout(panel, stock, plainOptions);
    expect(start.boards).toEqual(['W']);
    const to = put('top', 'S', 20, 0, false, 0);
    expect(wrongOfMoves(panel, stock, plainOptions, start, [to])).toEqual(['Top is to come from one lot']);
    expect(standingMoves(panel, stock, plainOptions, start, [to])).toEqual([]);
    // To another board of the same lot it may go.
    const same = [stock[0]!, { ...stock[1]!, lot: 'x' }];
    const ground = { demand: panel, boards: same, options: plainOptions, layout: start };
    expect(placeOn(ground, blanksOf(start.placements)[0]!, same[1]!)).toHaveLength(1);
  });

  it('is not held against what was apart before', () => {
    const set = demandFor(
      ['one', 'two', 'free'].map((id) => aPart(id, 300, 60, 22, id === 'free' ? {} : { together: 'x' })),
    );
    const stock = [aBoard('W', 800, 160), aBoard('S', 800, 160)];
    const placements = ['one', 'two', 'free'].map((part, i) => ({
      board: i === 1 ? 'S' : 'W',
      part,
      x: i === 2 ? 400 : 20,
      y: 0,
      length: 300,
      width: 60,
    }));
    expect(wrongOfMoves(set, stock, plainOptions, { placements }, [put('free', 'S', 400, 0)])).toEqual([]);
  });

  it('keeps pieces resawn from one blank together, and parts them when one goes alone', () => {
    const thick = [aBoard('K', 700, 100, { thickness: 60 }), aBoard('L', 700, 100, { thickness: 60 })];
    const thin = {
      ...plainOptions,
      resaw: { height: 150, kerf: 1.5, allowance: 3 },
      weights: { ...plainOptions.weights, board: 20 },
    };
    const pair = demandFor([aPart('one', 600, 90, 20), aPart('two', 600, 90, 20)]);
    const start = planLayout(pair, thick, thin);
    expect(start.boards).toHaveLength(1);
    const other = start.boards[0] === 'K' ? 'L' : 'K';
    const both = movedLayout(pair, thick, thin, start, [put('one', other, 20, 0), put('two', other, 20, 0)]);
    expect(both.placements.map((p) => p.layer)).toEqual(start.placements.map((p) => p.layer));
    expect(checkLayout(pair, thick, thin, both)).toEqual([]);
    const one = movedLayout(pair, thick, thin, start, [put('one', other, 20, 0)]);
    expect(checkLayout(pair, thick, thin, one)).toEqual([]);
  });
});

describe('a place on another board', () => {
  const blank = (part: string) => {
    const own = layout.placements.filter((p) => p.part === part);
    const [at] = own;
    if (!at) throw new Error(`${part} is not laid out`);
    return { ...at, placements: own };
  };
  const on = (board: Board, wanted: Demand) => ({ demand: wanted, boards: [wide, board], options, layout });
  it('is the first one from the tagged end that the checker takes', () => {
    expect(placeOn(on(spare, demand), blank('rail'), spare)).toEqual([put('rail', 'S', 20, 0)]);
    const knotted = {
      ...spare,
      defects: [{ kind: 'knot' as const, face: 'through' as const, x: 300, y: 40, length: 60, width: 60 }],
    };
    expect(placeOn(on(knotted, demand), blank('rail'), knotted)).toEqual([put('rail', 'S', 360, 0)]);
  });
  it('turns the piece over where only its other face is clear', () => {
    const marked = aBoard('M', 640, 90, {
      defects: [{ kind: 'stain', face: 'tagged', x: 300, y: 0, length: 60, width: 90 }],
    });
    const shown = demandFor([aPart('rail', 600, 90, 22, { shows: 'face' }), aPart('stile', 500, 90)]);
    expect(placeOn(on(marked, shown), blank('rail'), marked)).toEqual([put('rail', 'M', 20, 0, true)]);
  });
  it('is none where the board is too short or taken', () => {
    const short = aBoard('short', 620, 200);
    expect(placeOn(on(short, demand), blank('rail'), short)).toBeNull();
  });
});

describe('what is left of a board', () => {
  it('can be sawn out beside its pieces', () => {
    const placements = [{ board: 'S', part: 'rail', x: 300, y: 30, length: 390, width: 90 }];
    const one = demandFor([aPart('rail', 390, 90)]);
    const rest = offcutsOf(spare, one, plainOptions, placements);
    expect(rest.length).toBeGreaterThan(0);
    expect(checkLayout(one, [spare], plainOptions, { placements, offcuts: rest, shortfall: [] })).toEqual([]);
  });
});

describe('a piece drawn into its place', () => {
  const piece = { length: 300, width: 60 };
  const options = { kerf: 3, endTrim: 20 };
  it('goes to the end trim and the edge', () => {
    expect(snapPiece(wide, [], piece, { x: 31, y: 7 }, options)).toEqual({ x: 20, y: 0 });
    expect(snapPiece(wide, [], piece, { x: 890, y: 133 }, options)).toEqual({ x: 880, y: 140 });
  });
  it('goes a kerf beside its neighbour, and in line with it', () => {
    const other = { x: 20, y: 0, length: 400, width: 80 };
    expect(snapPiece(wide, [other], piece, { x: 430, y: 6 }, options)).toEqual({ x: 423, y: 0 });
    expect(snapPiece(wide, [other], piece, { x: 24, y: 90 }, options)).toEqual({ x: 20, y: 83 });
  });
  it('clears a defect', () => {
    expect(snapPiece(spare, [], piece, { x: 752, y: 90 }, options).x).toBe(760);
  });
  it('keeps to whole millimetres where nothing is near', () => {
    expect(snapPiece(wide, [], piece, { x: 400.4, y: 61.7 }, options)).toEqual({ x: 400, y: 62 });
  });
});
