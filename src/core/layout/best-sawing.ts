import { type ClearCutting, type Cuttable, clearCutting, OFFCUT, sumsOf } from './clear-cutting';
import type { LayoutOptions, Rectangle } from './layout';
import { type Kinds, type ReadyBoard, type StripBlanks, stripsFrom } from './ready-boards';
import { type Cell, roundObstacles } from './round-obstacles';
import { lieIn, possibleOn, type Rounding, roomy, type SawingField, STEP, sawingField, TIGHT } from './sawing-field';
import { type Sawn, type SawnBoard, uncut } from './sawn-board';

/** What is paid for what a board gives, in the shop's money. */
export interface Prices {
  /** For one piece of each kind: a blank that is resawn gives several. */
  parts: readonly number[];
  /** For a mm of strip of each band, and for each strip, which may be below nothing: a blank that is resawn gives several. */
  bands: readonly { mm: number; each: number }[];
  /** For a mm² of offcut; null for what it keeps of the board's own price. */
  offcut: number | null;
  /** What each cut takes off. */
  cut: number;
}

/**
 * What a board gives, and what it takes: blanks of each kind, width in mm and number of the blanks of each band, mm² of
 * offcut; cuts.
 */
export interface Gives {
  parts: number[];
  bands: { mm: number; each: number }[];
  offcut: number;
  cuts: number;
}

/** Ways of setting the first piece off in a clear rectangle that are looked at when a sawing is looked for. */
const MOST_SUMS = 40;

/** Places to cut along or across a board beyond which the bound takes larger steps, and these. */
const MOST_PLACES = 120;
const COARSER = [1, 2, 5, 10, 20, 50, 100];

/** Saws single boards for the prices of pieces. What is clear is reckoned once for all boards that are alike in it. */
export interface Sawyer {
  /**
   * The sawing that is worth most among those that crosscut or rip a board where its defects begin and end or where a
   * piece ends, and go on as they like in what is clear. Pieces of a kind may be more than are asked for.
   *
   * @param more what it must be worth more than
   * @returns null where it is not, for certain or for all that was looked at
   */
  saw(ready: ReadyBoard, more: number): SawnBoard | null;
  /**
   * As if the board had no defect and were as wide everywhere as at its widest: no sawing of it by straight through
   * cuts is worth more, sizes being taken to a step in its favour; what trims its ends is not among the cuts.
   *
   * @returns null where its parts are so small that there is no end of ways
   */
  clear(ready: ReadyBoard): { worth: number; gives: Gives } | null;
}

type Roundings = readonly [along: Rounding, across: Rounding];
const EXACT: Roundings = [TIGHT, TIGHT];
/** Steps that the bound of a board takes. */
const steps = new WeakMap<ReadyBoard, Roundings>();

/** What is sawn for, and the tables of clear rectangles reckoned so far. */
interface Sawing {
  kinds: Kinds;
  options: LayoutOptions;
  prices: Prices;
  tables: Map<string, ClearCutting>;
}

export function sawyer(kinds: Kinds, options: LayoutOptions, prices: Prices): Sawyer {
  const sawing: Sawing = { kinds, options, prices, tables: new Map() };
  return {
    saw: (ready, more) => roundDefects(sawing, ready, more),
    clear: (ready) => asIfClear(sawing, ready),
  };
}

function roundDefects(sawing: Sawing, ready: ReadyBoard, more: number): SawnBoard | null {
  const { kinds, options, prices } = sawing;
  const field = sawingField(ready, options, EXACT);
  // Parts with a live edge are left to the search by corners.
  const possible = possibleOn(ready, kinds).filter((i) => !kinds.parts[i]?.live);
  const clear = (allowed: readonly number[], offcuts: boolean) =>
    clearFor(sawing, ready, { allowed, offcuts, field, roundings: EXACT, most: MOST_SUMS });
  const whole = clear(possible, true);
  if (whole.worth(field.length, field.width) <= more) return null;
  const items = possible.map((i) => itemOf(sawing, ready, i, EXACT)).filter((item) => item.worth(item.greatest) > 0);
  const root = roundObstacles(field, {
    whole,
    lengths: [...new Set(items.map((item) => item.length))],
    widths: [...new Set(items.flatMap((item) => [item.least, item.greatest]))],
    cutPrice: prices.cut,
    tolerant: (inWay) => {
      const allowed = possible.filter((i) => lieIn(inWay, ofUse(ready, kinds, i)) !== null);
      return allowed.length > 0 ? clear(allowed, false) : null;
    },
  });
  return root.worth > more ? sawnAs(sawing, root, ready, field) : null;
}

function asIfClear(sawing: Sawing, ready: ReadyBoard): { worth: number; gives: Gives } | null {
  const { kinds, options } = sawing;
  const { kerf, usefulOffcut } = options;
  const P = kinds.parts.length;
  const roundings = roomyFor(sawing, ready);
  const [along, across] = roundings;
  const field = sawingField(ready, options, roundings);
  const possible = possibleOn(ready, kinds);
  const sizes = [
    along.piece(usefulOffcut.length + kerf),
    across.piece(usefulOffcut.width + kerf),
    ...possible.flatMap((i) => {
      const { length, least } = itemOf(sawing, ready, i, roundings);
      return [length, least];
    }),
  ];
  // What is smaller than a step would cost no room at all.
  if (sizes.some((size) => size <= 0)) return null;
  const table = clearFor(sawing, ready, { allowed: possible, offcuts: true, field, roundings });
  const worth = table.worth(field.length, field.width);
  if (table.exhausted()) return null;
  const gives: Gives = {
    parts: kinds.parts.map(() => 0),
    bands: kinds.bands.map(() => ({ mm: 0, each: 0 })),
    offcut: 0,
    cuts: 0,
  };
  const spare = spareOf(sawing, ready, possible, field, roundings);
  gives.cuts += eachPiece(table, field.length, field.width, 0, 0, (item, _x, _y, l, w) => {
    if (item >= 0) {
      const { length, greatest } = itemOf(sawing, ready, item, roundings);
      gives.cuts += (l > length + spare.length ? 1 : 0) + (w > greatest + spare.width ? 1 : 0);
    }
    if (item === OFFCUT) gives.offcut += ((l + along.slack) * STEP - kerf) * ((w + across.slack) * STEP - kerf);
    else if (item >= P) {
      const band = gives.bands[item - P]!;
      band.mm += widthOf(sawing, ready, item - P, across, w);
      band.each += 1;
    } else if (item >= 0) gives.parts[item] = gives.parts[item]! + 1;
  });
  return { worth, gives };
}

/** A kind of part or, numbered after those, a band as something to be cut from a board. */
function itemOf(
  { kinds, options, prices }: Sawing,
  ready: ReadyBoard,
  i: number,
  [along, across]: Roundings,
): Cuttable {
  const { kerf } = options;
  const P = kinds.parts.length;
  const kind = kinds.parts[i];
  if (kind) {
    const width = across.piece(ready.widths[i]! + kerf);
    const worth = prices.parts[i]! * ready.layers[i]!;
    return { length: along.piece(kind.length + kerf), least: width, greatest: width, worth: () => worth };
  }
  const band = kinds.bands[i - P]!;
  const { mm, each } = prices.bands[i - P]!;
  const beside = band.jointing + kerf;
  const blanks = stripsFrom(ready, band);
  const greatest = across.slack > 0 ? blanks.greatest : widest(band, blanks);
  return {
    length: along.piece(band.length + kerf),
    least: across.piece(band.least + beside),
    greatest: across.piece(greatest + beside),
    worth: (width) =>
      blanks.copies * (mm * Math.max(band.least, Math.min(greatest, (width + across.slack) * STEP - beside)) + each),
  };
}

/** What may be cut from a clear rectangle, and how closely it is looked at. */
interface Clear {
  /** Kinds that may be cut, those of bands numbered after those of parts. */
  allowed: readonly number[];
  offcuts: boolean;
  field: SawingField;
  roundings: Roundings;
  /** Ways of setting the first piece off that are looked at; all where it is not said. */
  most?: number;
}

/** The table of a board's clear rectangles: one for all boards that are much the same. */
function clearFor(
  sawing: Sawing,
  ready: ReadyBoard,
  { allowed, offcuts, field, roundings, most }: Clear,
): ClearCutting {
  const { kinds, options, prices, tables } = sawing;
  const { kerf, weights, usefulOffcut } = options;
  const P = kinds.parts.length;
  const [along, across] = roundings;
  const price = offcuts ? (prices.offcut ?? weights.offcutWorth * ready.priceOfArea) : 0;
  // Tables reach far enough for any board that is much the same.
  const [longest, broadest] = [Math.ceil(field.length / 5000) * 5000, Math.ceil(field.width / 1000) * 1000];
  const copies = allowed.map((i) => {
    if (i < P) return `${ready.layers[i]} ${ready.widths[i]}`;
    const { copies, greatest } = stripsFrom(ready, kinds.bands[i - P]!);
    return `${copies} ${greatest}`;
  });
  const key = `${allowed.join()} ${copies.join()} ${price} ${along.slack} ${across.slack} ${longest} ${broadest}`;
  const found = tables.get(key);
  if (found) return found;
  const area = (l: number, w: number) => ((l + along.slack) * STEP - kerf) * ((w + across.slack) * STEP - kerf);
  const table = clearCutting(
    new Map(allowed.map((i) => [i, itemOf(sawing, ready, i, roundings)])),
    price > 0
      ? {
          length: along.piece(usefulOffcut.length + kerf),
          width: across.piece(usefulOffcut.width + kerf),
          worth: (l, w) => price * area(l, w),
        }
      : null,
    prices.cut,
    spareOf(sawing, ready, allowed, field, roundings),
    longest,
    broadest,
    most,
  );
  tables.set(key, table);
  return table;
}

/** What steps in a board's favour may come to, piece after piece: nobody makes a cut for it. */
function spareOf(
  sawing: Sawing,
  ready: ReadyBoard,
  allowed: readonly number[],
  field: SawingField,
  roundings: Roundings,
) {
  const { usefulOffcut } = sawing.options;
  const items = allowed.map((i) => itemOf(sawing, ready, i, roundings));
  const most = (space: number, sizes: readonly number[]) => Math.ceil(space / Math.max(1, Math.min(...sizes))) + 2;
  const [along, across] = roundings;
  return {
    length: along.slack * most(field.length, [usefulOffcut.length / STEP, ...items.map((item) => item.length)]),
    width: across.slack * most(field.width, [usefulOffcut.width / STEP, ...items.map((item) => item.least)]),
  };
}

/** The finest steps with which there are not too many places to cut: the same for a board at all prices. */
function roomyFor(sawing: Sawing, ready: ReadyBoard): Roundings {
  const { kinds, options } = sawing;
  const { kerf, usefulOffcut } = options;
  const found = steps.get(ready);
  if (found) return found;
  const possible = possibleOn(ready, kinds);
  const finest = (axis: 0 | 1): Rounding => {
    for (const by of COARSER) {
      const rounding = roomy(by);
      const both = [rounding, rounding] as const;
      const field = sawingField(ready, options, both);
      const items = possible.map((i) => itemOf(sawing, ready, i, both));
      const sizes =
        axis === 0
          ? [rounding.piece(usefulOffcut.length + kerf), ...items.map((item) => item.length)]
          : [rounding.piece(usefulOffcut.width + kerf), ...items.flatMap((item) => [item.least, item.greatest])];
      const sums = sumsOf(sizes, axis === 0 ? field.length : field.width, MOST_PLACES + 1);
      if (sums.length <= MOST_PLACES) return rounding;
    }
    return roomy(COARSER.at(-1) as number);
  };
  const roundings = [finest(0), finest(1)] as const;
  steps.set(ready, roundings);
  return roundings;
}

/** Finished width of a strip in a space so wide, as it is worth most; mm. */
function widthOf(
  { kinds, options, prices }: Sawing,
  ready: ReadyBoard,
  k: number,
  across: Rounding,
  w: number,
): number {
  const band = kinds.bands[k]!;
  if ((prices.bands[k]?.mm ?? 0) < 0) return band.least;
  const blanks = stripsFrom(ready, band);
  const greatest = across.slack > 0 ? blanks.greatest : widest(band, blanks);
  return Math.max(band.least, Math.min(greatest, (w + across.slack) * STEP - band.jointing - options.kerf));
}

/** The board with its pieces where the cells have them. */
function sawnAs(sawing: Sawing, root: Cell, ready: ReadyBoard, field: SawingField): SawnBoard {
  const { kinds } = sawing;
  const { kerf } = sawing.options;
  const P = kinds.parts.length;
  const pieces: Sawn[] = [];
  const free: Rectangle[] = [];
  let cuts = 0;
  const leave = (x: number, y: number, l: number, w: number) => {
    const [length, width] = [l * STEP - kerf, w * STEP - kerf];
    if (length > 0 && width > 0) free.push({ x: field.x + x * STEP, y: field.y + y * STEP, length, width });
  };
  const place = (i: number, x: number, y: number, l: number, w: number): void => {
    if (i < 0) {
      leave(x, y, l, w);
      return;
    }
    const item = itemOf(sawing, ready, i, EXACT);
    const wide = Math.min(w, item.greatest);
    const inWay = field.obstacles.filter((o) => o.x0 < x + item.length && x < o.x1 && o.y0 < y + wide && y < o.y1);
    const lie = lieIn(inWay, ofUse(ready, kinds, i)) ?? 'tagged';
    const at = { x: field.x + x * STEP, y: field.y + y * STEP, lie };
    const kind = kinds.parts[i];
    if (kind) {
      const width = ready.widths[i]!;
      pieces.push({ ...at, length: kind.length, width, part: i, copies: ready.layers[i]! });
    } else {
      const band = kinds.bands[i - P]!;
      const finished = widthOf(sawing, ready, i - P, TIGHT, wide);
      const { copies } = stripsFrom(ready, band);
      pieces.push({ ...at, length: band.length, width: finished + band.jointing, band: i - P, finished, copies });
    }
    if (l > item.length) {
      cuts += 1;
      leave(x + item.length, y, l - item.length, w);
    }
    if (w > wide) {
      cuts += 1;
      leave(x, y + wide, item.length, w - wide);
    }
  };
  const give = (cell: Cell, x: number, y: number): void => {
    if (cell.cut) cuts += 1;
    if (cell.cut === 'across') {
      give(cell.first as Cell, x, y);
      give(cell.second as Cell, x + cell.at, y);
    } else if (cell.cut === 'along') {
      give(cell.first as Cell, x, y);
      give(cell.second as Cell, x, y + cell.at);
    } else if (cell.table) cuts += eachPiece(cell.table, cell.length, cell.width, x, y, place);
    else leave(x, y, cell.length, cell.width);
  };
  give(root, 0, 0);
  return { ...uncut(ready, true), free, pieces, cuts };
}

/** Goes through the pieces of a clear rectangle, and what is left beside them, where they lie. @returns number of cuts */
function eachPiece(
  table: ClearCutting,
  length: number,
  width: number,
  x: number,
  y: number,
  piece: (item: number, x: number, y: number, length: number, width: number) => void,
): number {
  const doing = table.doing(length, width);
  if (doing.cut === null) {
    piece(doing.item, x, y, length, width);
    return 0;
  }
  const { cut, at } = doing;
  return (
    1 +
    (cut === 'across'
      ? eachPiece(table, at, width, x, y, piece) + eachPiece(table, length - at, width, x + at, y, piece)
      : eachPiece(table, length, at, x, y, piece) + eachPiece(table, length, width - at, x, y + at, piece))
  );
}

function ofUse(ready: ReadyBoard, kinds: Kinds, i: number): number {
  const part = kinds.parts[i];
  if (part) return part.use;
  const band = kinds.bands[i - kinds.parts.length]!;
  return stripsFrom(ready, band).copies > 1 ? band.resawnUse : band.use;
}

/** As wide as blanks of one width are that fill a band, as few as may be. */
function widest(band: Kinds['bands'][number], { copies, greatest }: StripBlanks): number {
  const width = band.width / Math.max(1, copies);
  return Math.max(band.least, width / Math.ceil(width / greatest - 1e-9));
}
