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

/** The same by trying a cut at every whole place. */
function triedOut(pieces: readonly Piece[], offcuts: Offcuts, length: number, width: number): number {
  const known = new Map<string, number>();
  const most = (l: number, w: number): number => {
    const key = `${l} ${w}`;
    const before = known.get(key);
    if (before !== undefined) return before;
    let best = l >= offcuts.length && w >= offcuts.width ? offcuts.worth(l, w) : 0;
    for (const p of pieces) {
      if (l < p.length || w < p.least) continue;
      for (let wide = p.least; wide <= Math.min(w, p.greatest); wide += 1)
        best = Math.max(best, p.price * wide + p.each);
    }
    for (let at = 1; at < l; at += 1) best = Math.max(best, most(at, w) + most(l - at, w));
    for (let at = 1; at < w; at += 1) best = Math.max(best, most(l, at) + most(l, w - at));
    known.set(key, best);
    return best;
  };
  return most(length, width);
}

/** What the cuts that are told add up to. */
function addedUp(table: ClearCutting, pieces: readonly Piece[], offcuts: Offcuts, l: number, w: number): number {
  const doing = table.doing(l, w);
  if (doing.cut === null) {
    const piece = pieces[doing.item];
    if (!piece) return doing.item === -2 ? offcuts.worth(l, w) : 0;
    expect(l).toBeGreaterThanOrEqual(piece.length);
    expect(w).toBeGreaterThanOrEqual(piece.least);
    return Math.max(piece.price * Math.min(w, piece.greatest), piece.price * piece.least) + piece.each;
  }
  if (doing.cut === 'across')
    return addedUp(table, pieces, offcuts, doing.at, w) + addedUp(table, pieces, offcuts, l - doing.at, w);
  return addedUp(table, pieces, offcuts, l, doing.at) + addedUp(table, pieces, offcuts, l, w - doing.at);
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
        fc.integer({ min: 5, max: 26 }),
        fc.integer({ min: 3, max: 17 }),
        (pieces, length, width, price, l, w) => {
          const offcuts = offcutsOf(length, width, price / 20);
          const table = clearCutting(new Map(pieces.map((p, i) => [i, cuttable(p)])), offcuts, 0, 30, 20);
          expect(table.worth(l, w)).toBeCloseTo(triedOut(pieces, offcuts, l, w), 6);
          expect(addedUp(table, pieces, offcuts, l, w)).toBeCloseTo(table.worth(l, w), 6);
        },
      ),
      { numRuns: 150 },
    );
  });

  it('gives up a piece for which the cuts would cost more than it is worth', () => {
    const small: Piece = { length: 4, least: 4, greatest: 4, price: 0, each: 1 };
    const table = (cutPrice: number) => clearCutting(new Map([[0, cuttable(small)]]), null, cutPrice, 20, 20);
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
