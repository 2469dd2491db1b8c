import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { type ClearCutting, type Cuttable, clearCutting, type Offcuts, sumsOf } from './clear-cutting';

interface Piece {
  length: number;
  least: number;
  greatest: number;
  price: number;
  each: number;
}
const cuttable = ({ length, least, greatest, price, each }: Piece): Cuttable => ({
  length,
  least,
  greatest,
  worth: (width) => price * width + each,
});
const offcutsOf = (length: number, width: number, price: number): Offcuts => ({
  length,
  width,
  worth: (l, w) => price * l * w,
});

/** No piece lies in more room than it takes without a cut. */
const NONE = { length: 0, width: 0 };

/** The same by trying a cut at every whole place, until every piece has its size. */
function triedOut(pieces: readonly Piece[], offcuts: Offcuts, cut: number, length: number, width: number): number {
  const known = new Map<string, number>();
  const most = (l: number, w: number): number => {
    const key = `${l} ${w}`;
    const before = known.get(key);
    if (before !== undefined) return before;
    let best = l >= offcuts.length && w >= offcuts.width ? offcuts.worth(l, w) : 0;
    for (const p of pieces) {
      if (l === p.length && w >= p.least && w <= p.greatest) best = Math.max(best, p.price * w + p.each);
    }
    for (let at = 1; at < l; at += 1) best = Math.max(best, most(at, w) + most(l - at, w) - cut);
    for (let at = 1; at < w; at += 1) best = Math.max(best, most(l, at) + most(l, w - at) - cut);
    known.set(key, best);
    return best;
  };
  return most(length, width);
}

/** What the cuts that are told add up to. */
function addedUp(
  table: ClearCutting,
  pieces: readonly Piece[],
  offcuts: Offcuts,
  cut: number,
  l: number,
  w: number,
): number {
  const both = (first: [number, number], second: [number, number]) =>
    addedUp(table, pieces, offcuts, cut, ...first) + addedUp(table, pieces, offcuts, cut, ...second) - cut;
  const doing = table.doing(l, w);
  if (doing.cut === null) {
    const piece = pieces[doing.item];
    if (!piece) return doing.item === -2 ? offcuts.worth(l, w) : 0;
    expect(l).toBeGreaterThanOrEqual(piece.length);
    expect(w).toBeGreaterThanOrEqual(piece.least);
    const trims = (l > piece.length ? 1 : 0) + (w > piece.greatest ? 1 : 0);
    return piece.price * Math.min(w, piece.greatest) + piece.each - trims * cut;
  }
  return doing.cut === 'across' ? both([doing.at, w], [l - doing.at, w]) : both([l, doing.at], [l, w - doing.at]);
}

describe('a clear rectangle cut up', () => {
  const piece = fc
    .record({
      length: fc.integer({ min: 3, max: 14 }),
      least: fc.integer({ min: 2, max: 8 }),
      more: fc.integer({ min: 0, max: 4 }),
      price: fc.integer({ min: 1, max: 9 }),
      each: fc.integer({ min: -6, max: 9 }),
    })
    .map(({ more, ...rest }): Piece => ({ ...rest, greatest: rest.least + more }));

  it('is worth what trying every cut at every place finds', () => {
    fc.assert(
      fc.property(
        fc.array(piece, { minLength: 1, maxLength: 4 }),
        fc.integer({ min: 2, max: 8 }),
        fc.integer({ min: 2, max: 5 }),
        fc.integer({ min: 0, max: 20 }),
        fc.constantFrom(0, 0.5, 4),
        fc.integer({ min: 5, max: 26 }),
        fc.integer({ min: 3, max: 17 }),
        (pieces, length, width, price, cut, l, w) => {
          const offcuts = offcutsOf(length, width, price / 20);
          const table = clearCutting(new Map(pieces.map((p, i) => [i, cuttable(p)])), offcuts, cut, NONE, 30, 20);
          expect(table.worth(l, w)).toBeCloseTo(triedOut(pieces, offcuts, cut, l, w), 6);
          expect(addedUp(table, pieces, offcuts, cut, l, w)).toBeCloseTo(table.worth(l, w), 6);
        },
      ),
      { numRuns: 200 },
    );
  });

  it('gives up a piece for which the cuts would cost more than it is worth', () => {
    const small: Piece = { length: 4, least: 4, greatest: 4, price: 0, each: 1 };
    const table = (cutPrice: number) => clearCutting(new Map([[0, cuttable(small)]]), null, cutPrice, NONE, 20, 20);
    // Two from eight by four: one cut between them.
    expect(table(0.25).worth(8, 4)).toBeCloseTo(1.75, 9);
    // Not trimmed for nothing: one to be had, two cuts.
    expect(table(0.25).worth(7, 5)).toBeCloseTo(0.5, 9);
    expect(table(0.6).worth(7, 5)).toBe(0);
  });

  it('counts sums of sizes, each once, the smallest first', () => {
    expect(sumsOf([3, 5], 12)).toEqual([3, 5, 6, 8, 9, 10, 11, 12]);
    expect(sumsOf([3, 5], 12, 3)).toEqual([3, 5, 6]);
  });
});
