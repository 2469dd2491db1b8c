/** What may be cut out of a clear rectangle, sizes in whole steps with a kerf on the far sides. */
export interface Cuttable {
  length: number;
  least: number;
  greatest: number;
  /** In the shop's money, by its width in steps. */
  worth: (width: number) => number;
}

/** What a useful offcut is, in steps. */
export interface Offcuts {
  length: number;
  width: number;
  /** In the shop's money, by its sizes. */
  worth: (length: number, width: number) => number;
}

/** Rectangles met beyond which they are left whole: far more than furniture parts make. */
const MOST_MET = 200_000;

export const OFFCUT = -2;
export const WASTE = -1;

/** What is best done with a rectangle: cut in two at a place, or left as the piece it is. Steps. */
export type Doing = { cut: 'across' | 'along'; at: number } | { cut: null; item: number };

/** Clear rectangles, cut in two by straight cuts as often as one likes, for the prices of pieces. */
export interface ClearCutting {
  /** The most it is worth, in the shop's money. */
  worth(length: number, width: number): number;
  /** What makes it worth that. */
  doing(length: number, width: number): Doing;
  /** Nothing shorter or narrower is worth anything; steps. */
  shortest: number;
  narrowest: number;
  /** So many rectangles were met that some were left whole that might have been cut. */
  exhausted(): boolean;
}

/**
 * The first piece set off may be as long, and as wide, as pieces that lie end to end or side by side are together: a
 * cut anywhere else can be moved to such a place and is worth no less, for between them what is left only grows
 * evenly. So every rectangle that can come of it is looked at, once.
 *
 * P. C. Gilmore and R. E. Gomory, Multistage cutting stock problems of two and more dimensions, Operations Research 13
 * (1965), from memory.
 *
 * @param items by their numbers
 * @param cutPrice of each cut
 * @param spare what a piece may lie in that much longer, and wider, than it is and still need no cut: steps
 * @param longest, widest of the rectangles that will be asked for, steps
 * @param most sums of lengths, and of widths, that are looked at; all where it is not given
 */
export function clearCutting(
  items: ReadonlyMap<number, Cuttable>,
  offcuts: Offcuts | null,
  cutPrice: number,
  spare: { length: number; width: number },
  longest: number,
  widest: number,
  most = Number.POSITIVE_INFINITY,
): ClearCutting {
  const useful = [...items].filter(([, item]) => item.worth(item.greatest) > 0 || item.worth(item.least) > 0);
  const all = useful.map(([, item]) => item);
  const along = sideOf(
    [...all.map((item) => item.length), ...(offcuts ? [offcuts.length] : [])],
    longest,
    most,
    cutPrice > 0,
  );
  const across = sideOf(
    [...all.flatMap((item) => [item.least, item.greatest]), ...(offcuts ? [offcuts.width] : [])],
    widest,
    most,
    cutPrice > 0,
  );
  let met = 0;
  /** By the number of the length, then of the width; below nothing where it is not known yet. */
  const rows: Float64Array[] = [];

  const leaf = (l: number, w: number): { worth: number; item: number } => {
    let [worth, item] = [0, WASTE];
    for (const [i, one] of useful) {
      if (l < one.length || w < one.least) continue;
      const wide = Math.min(w, one.greatest);
      const trims = (l > one.length + spare.length ? 1 : 0) + (w > wide + spare.width ? 1 : 0);
      const value = Math.max(one.worth(wide), one.worth(one.least)) - trims * cutPrice;
      if (value > worth) [worth, item] = [value, i];
    }
    if (offcuts && l >= offcuts.length && w >= offcuts.width) {
      const value = offcuts.worth(l, w);
      if (value > worth) [worth, item] = [value, OFFCUT];
    }
    return { worth, item };
  };
  /** What the best cut is worth, or leaving it whole; `told` gets every cut that is better than those before it. */
  const bestOf = (l: number, w: number, told?: (cut: 'across' | 'along', at: number) => void): number => {
    let worth = leaf(along.sizes[l]!, across.sizes[w]!).worth;
    const lengths = along.parted(l);
    for (let i = 0; i < lengths.length; i += 2) {
      const first = worthAt(lengths[i]!, w);
      if (first === 0 && cutPrice === 0) continue;
      const both = first + worthAt(lengths[i + 1]!, w) - cutPrice;
      if (both > worth + 1e-9) {
        worth = both;
        told?.('across', along.sizes[lengths[i]!]!);
      }
    }
    const widths = across.parted(w);
    for (let i = 0; i < widths.length; i += 2) {
      const first = worthAt(l, widths[i]!);
      if (first === 0 && cutPrice === 0) continue;
      const both = first + worthAt(l, widths[i + 1]!) - cutPrice;
      if (both > worth + 1e-9) {
        worth = both;
        told?.('along', across.sizes[widths[i]!]!);
      }
    }
    return worth;
  };
  const worthAt = (l: number, w: number): number => {
    if (l < 0 || w < 0) return 0;
    const before = rows[l]?.[w];
    if (before !== undefined && before >= 0) return before;
    met += 1;
    const worth = met > MOST_MET ? leaf(along.sizes[l]!, across.sizes[w]!).worth : bestOf(l, w);
    let row = rows[l];
    if (!row || row.length <= w) {
      const longer = new Float64Array(Math.max(64, 2 * w)).fill(-1);
      if (row) longer.set(row);
      row = longer;
      rows[l] = row;
    }
    row[w] = worth;
    return worth;
  };
  return {
    worth: (l, w) => worthAt(along.number(l), across.number(w)),
    doing(l, w) {
      const [ln, wn] = [along.number(l), across.number(w)];
      if (ln < 0 || wn < 0) return { cut: null, item: WASTE };
      let doing: Doing = { cut: null, item: leaf(l, w).item };
      const worth = worthAt(ln, wn);
      // Left whole, though cutting it might have been worth more.
      if (met > MOST_MET && worth === leaf(l, w).worth) return doing;
      bestOf(ln, wn, (cut, at) => {
        doing = { cut, at };
      });
      return doing;
    },
    shortest: along.smallest,
    narrowest: across.smallest,
    exhausted: () => met > MOST_MET,
  };
}

/**
 * The sizes met on one side of rectangles, numbered, and where each may be parted.
 *
 * @param trimming also where only waste comes off: one cut may trim many pieces
 */
function sideOf(steps: readonly number[], greatest: number, most: number, trimming: boolean) {
  const sums = sumsOf(steps, greatest, most);
  const isSum = new Set(sums);
  const smallest = sums[0] ?? greatest + 1;
  const sizes: number[] = [];
  const numbers = new Map<number, number>();
  const partings: (Int32Array | undefined)[] = [];
  /** −1 for what is too small to be worth anything. */
  const number = (size: number): number => {
    if (size < smallest) return -1;
    const known = numbers.get(size);
    if (known !== undefined) return known;
    numbers.set(size, sizes.length);
    return sizes.push(size) - 1;
  };
  /** Numbers of the two sizes that a size may be parted into, pair after pair. */
  const parted = (n: number): Int32Array => {
    const known = partings[n];
    if (known) return known;
    const size = sizes[n]!;
    const pairs: number[] = [];
    for (const at of sums) {
      const rest = size - at;
      if (rest <= 0 || (rest < smallest && !trimming)) break;
      // The same two the other way round.
      if (rest < at && isSum.has(rest)) continue;
      pairs.push(number(at), number(rest));
    }
    const found = Int32Array.from(pairs);
    partings[n] = found;
    return found;
  };
  return { sizes, smallest, number, parted };
}

/** Sums of sizes up to a greatest, the smallest first. */
export function sumsOf(sizes: readonly number[], greatest: number, most = Number.POSITIVE_INFINITY): number[] {
  const steps = [...new Set(sizes)].filter((size) => size > 0);
  const reached = new Uint8Array(greatest + 1);
  reached[0] = 1;
  const sums: number[] = [];
  for (let sum = 0; sum <= greatest && sums.length < most; sum += 1) {
    if (!reached[sum]) continue;
    if (sum > 0) sums.push(sum);
    for (const size of steps) if (sum + size <= greatest) reached[sum + size] = 1;
  }
  return sums;
}
