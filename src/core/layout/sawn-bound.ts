import type { LinearColumn, LinearRow, LinearSolver } from '../linear/linear-problem';
import { faceArea } from '../stock/board';
import { type Gives, sawyer } from './best-sawing';
import type { LayoutOptions } from './layout';
import { type Kinds, type ReadyBoard, stripsFrom } from './ready-boards';

/** Sawings of one board met in the search for prices, kept from one time to the next. */
export type Sawings = Gives[];

/** At these prices no way of sawing the board is worth more than `worth`, what its cuts cost taken off. */
export interface SawnLimit {
  prices: Gives;
  worth: number;
  /** What is asked, as a share of it. */
  ratio: number;
}

/** Sawings asked for in one search for prices, at most. */
const MOST_TRIES = 25;
/** How far a limit must be broken to be told, as a share. */
const BROKEN = 5e-4;
/** No price is so many times what the piece would cost by its area. */
const DEAREST = 20;
/** The same of cuts, by what a cut costs. */
const CUTS_DEAREST = 2;

/**
 * Prices at which a board cannot be worth what is asked of it, however it is sawn by straight through cuts: those that
 * make what is asked worth most, while every sawing met so far is worth one at the most; the best sawing at these
 * prices is met next, until there are prices that hold for all of them.
 *
 * Defects and taper are left out of it (they are in the bars of {@link bestBars}), so it is true of every board as long
 * and wide.
 *
 * J. F. Benders, E. A. Boyd and others (separation by generating the points of a polytope), from memory.
 *
 * @param asked of one board: blanks, strips, offcut and cuts, as a share where the board is only used in part
 * @param met grows by what is met
 * @param cutsToo whether cuts have a price as well: closer, and slower
 */
export function sawnLimit(
  ready: ReadyBoard,
  kinds: Kinds,
  options: LayoutOptions,
  asked: Gives,
  met: Sawings,
  solver: LinearSolver,
  cutsToo: boolean,
): SawnLimit | undefined {
  const area = faceArea(ready.board);
  const { kerf, weights } = options;
  const worthOfBoard = ready.price + weights.board;
  /** What each price counts for when the board's area is worth one. */
  const scale: Gives = {
    parts: kinds.parts.map((kind) => ((kind.length + kerf) * (kind.width + kerf)) / area),
    bands: kinds.bands.map((band) => ({
      mm: (band.length + kerf) / area,
      each: ((band.length + kerf) * band.least) / area,
    })),
    offcut: 1 / area,
    cuts: worthOfBoard > 0 ? weights.cut / worthOfBoard : 0,
  };
  const scales = flat(scale).map(Math.abs);
  // What one more strip is worth may be below nothing: narrow ones give less.
  const isEach = flat({
    parts: kinds.parts.map(() => 0),
    bands: kinds.bands.map(() => ({ mm: 0, each: 1 })),
    offcut: 0,
    cuts: 0,
  });
  const last = scales.length - 1;
  const columns = flat(asked).map(
    (amount, i): LinearColumn => ({
      cost: -amount * scales[i]!,
      lower: isEach[i] ? -DEAREST : 0,
      upper: i < last ? DEAREST : cutsToo ? CUTS_DEAREST : 0,
    }),
  );
  const rowOf = (gives: Gives): LinearRow => ({
    lower: Number.NEGATIVE_INFINITY,
    upper: 1,
    entries: flat(gives).flatMap((amount, i) => (amount === 0 ? [] : [[i, amount * scales[i]!] as const])),
  });
  return solver({ columns, rows: met.map(rowOf) }, (model) => {
    let best: SawnLimit | undefined;
    for (let i = 0; i < MOST_TRIES; i += 1) {
      const { solved, values, objective } = model.solve();
      // Even at the best of prices the sawings met give all that is asked.
      if (solved !== 'best' || -objective <= 1 + BROKEN) return undefined;
      const prices = unflat(
        Array.from(values, (value, k) => value * scales[k]!),
        kinds,
      );
      const found = sawyer(kinds, options, {
        ...eachOf(ready, kinds, prices),
        offcut: prices.offcut,
        cut: prices.cuts,
      }).clear(ready);
      if (found === null || found.worth <= 1e-9) return undefined;
      const { worth, gives } = found;
      const ratio = -objective / worth;
      if (!best || ratio > best.ratio) best = { prices, worth, ratio };
      if (worth <= 1 + BROKEN) break;
      met.push(gives);
      model.addRow(rowOf(gives));
    }
    return best && best.ratio > 1 + BROKEN ? best : undefined;
  });
}

/** Prices of blanks as prices of the pieces that a board's blanks give. */
export const eachOf = (ready: ReadyBoard, kinds: Kinds, { parts, bands }: Gives): Pick<Gives, 'parts' | 'bands'> => ({
  parts: parts.map((price, i) => price / Math.max(1, ready.layers[i]!)),
  bands: bands.map(({ mm, each }, k) => {
    const copies = Math.max(1, copiesOf(ready, kinds, k));
    return { mm: mm / copies, each: each / copies };
  }),
});

/** The other way round. */
export const blankPrices = (
  ready: ReadyBoard,
  kinds: Kinds,
  { parts, bands }: Pick<Gives, 'parts' | 'bands'>,
): Pick<Gives, 'parts' | 'bands'> => ({
  parts: parts.map((price, i) => price * ready.layers[i]!),
  bands: bands.map(({ mm, each }, k) => {
    const copies = copiesOf(ready, kinds, k);
    return { mm: mm * copies, each: each * copies };
  }),
});

const copiesOf = (ready: ReadyBoard, kinds: Kinds, k: number): number => stripsFrom(ready, kinds.bands[k]!).copies;

/** Cuts count against the others. */
const flat = ({ parts, bands, offcut, cuts }: Gives): number[] => [
  ...parts,
  ...bands.map((band) => band.mm),
  offcut,
  ...bands.map((band) => band.each),
  -cuts,
];

function unflat(values: readonly number[], kinds: Kinds): Gives {
  const [P, B] = [kinds.parts.length, kinds.bands.length];
  return {
    parts: values.slice(0, P),
    bands: kinds.bands.map((_, k) => ({ mm: values[P + k]!, each: values[P + B + 1 + k]! })),
    offcut: values[P + B]!,
    cuts: values[P + 2 * B + 1]!,
  };
}
