import type { LayoutOptions, Rectangle } from './layout';
import { type Kinds, type ReadyBoard, stripsFrom } from './ready-boards';

/**
 * The bar relaxation of cutting a board up. Every piece with its kerf is thought of as thin bars: along the board in
 * one direction, across it in the other. A bar at one place of the board can hold no more pieces end to end than fit
 * its clear runs, so no way of cutting the board can hold more of anything, at any prices, than its best bars do.
 * Kerfs, defects, end trim and taper are in it; only that the bars of one piece lie side by side is forgotten.
 *
 * G. Scheithauer, Introduction to Cutting and Packing Optimization, ch. 3 and 5 (relaxations by bars), from memory.
 */
export interface Lanes {
  direction: 'along' | 'across';
  /** mm of one step of {@link best}. */
  step: number;
  /** Steps of the longest run. */
  steps: number;
  items: readonly LaneItem[];
  /** Runs of the board's clear wood, those alike put together. */
  runs: readonly Run[];
}

/** A piece, a strip of a band or an offcut as a bar sees it. */
export interface LaneItem {
  /** Whether the board can give it at all. */
  possible: boolean;
  /** Along the bar with its kerf: fixed, or from–to for strips and offcuts. mm */
  least: number;
  greatest: number;
  /** What it takes beside the size that counts: jointing and kerf. mm */
  beside: number;
  /** It has a size of its own choosing: its worth is per mm, and something for each; otherwise only per piece. */
  free: boolean;
}

interface Run {
  length: number;
  /** mm of board that have this run: over it, the bars are all alike. */
  extent: number;
  /** Which items fit it somewhere, by their use's own defects. */
  fits: readonly boolean[];
  mask: string;
}

const STEPS = 1000;

export function lanesOf(
  ready: ReadyBoard,
  kinds: Kinds,
  options: LayoutOptions,
  direction: Lanes['direction'],
  fixed: readonly Rectangle[],
): Lanes {
  const along = direction === 'along';
  const { kerf, usefulOffcut, endTrim } = options;
  const size = (r: { length: number; width: number }) => (along ? r.length : r.width);
  const items: LaneItem[] = [
    ...kinds.parts.map((kind, i) => {
      const full = (along ? kind.length : ready.widths[i]!) + kerf;
      return { possible: ready.layers[i]! > 0, least: full, greatest: full, beside: 0, free: false };
    }),
    ...kinds.bands.map((band) => {
      const { copies, greatest } = stripsFrom(ready, band);
      const possible = copies > 0;
      const full = band.length + kerf;
      return along
        ? { possible, least: full, greatest: full, beside: 0, free: false }
        : { possible, least: band.least, greatest, beside: band.jointing + kerf, free: true };
    }),
    { possible: true, least: size(usefulOffcut), greatest: Number.POSITIVE_INFINITY, beside: kerf, free: true },
  ];

  // What spoils each item: for parts and strips whatever spoils its use with either face up, for offcuts every defect.
  const { spoiled } = ready;
  const alike = (a: Rectangle, list: readonly Rectangle[]) => list.includes(a);
  const byUse = spoiled.map(({ tagged, under }) => tagged.filter((d) => alike(d, under)));
  const spoilsOf = (item: number): readonly Rectangle[] =>
    item < kinds.parts.length
      ? (byUse[kinds.parts[item]?.use ?? 0] ?? [])
      : item < kinds.parts.length + kinds.bands.length
        ? (byUse[kinds.bands[item - kinds.parts.length]?.use ?? 0] ?? [])
        : ready.board.defects;

  // In a space where every piece carries its kerf on its far sides, a defect loses a kerf on its near ones.
  const shrunk = (r: Rectangle) => ({ x: r.x + kerf, y: r.y + kerf, x1: r.x + r.length, y1: r.y + r.width });
  const { shape } = ready;
  const box = { x: endTrim, x1: ready.board.length - endTrim + kerf, y: shape.near };
  const far = Math.max(shape.far.tagged, shape.far.other) + kerf;
  const blocks = (list: readonly Rectangle[]) =>
    [...list, ...fixed].map(shrunk).filter((b) => b.x < b.x1 && b.y < b.y1);
  const ofItem = items.map((_, i) => blocks(spoilsOf(i)));

  const edges = new Set<number>(along ? [box.y, far] : [box.x, box.x1]);
  for (const list of ofItem) {
    for (const b of list) {
      edges.add(along ? b.y : b.x);
      edges.add(along ? b.y1 : b.x1);
    }
  }
  const [lowest, highest] = along ? [box.y, far] : [box.x, box.x1];
  const tapers = shape.far.tagged !== shape.far.other;
  if (tapers) {
    // A taper is taken in slices, each with the most its bars can have.
    const [from, to] = along ? [Math.min(shape.far.tagged, shape.far.other), far] : [box.x, box.x1];
    for (let i = 0; i <= 16; i += 1) edges.add(from + ((to - from) * i) / 16);
  }
  const sorted = [...edges].filter((e) => e >= lowest && e <= highest).sort((a, b) => a - b);

  const runs = new Map<string, Run & { fits: boolean[] }>();
  for (let e = 0; e + 1 < sorted.length; e += 1) {
    const [from, to] = [sorted[e]!, sorted[e + 1]!];
    if (to - from < 1e-9) continue;
    const middle = (from + to) / 2;
    const whole = along ? lengthAt(ready, box, kerf, from) : widthAt(ready, kerf, from, to);
    if (whole.to <= whole.from) continue;
    const inWay = ofItem.map((list) =>
      list
        .filter((b) => (along ? b.y < middle && middle < b.y1 : b.x < middle && middle < b.x1))
        .map((b) => (along ? [b.x, b.x1] : [b.y, b.y1]) as [number, number]),
    );
    // Runs clear for at least one item: the board less what is in the way of them all.
    const possible = items.flatMap((item, i) => (item.possible ? [i] : []));
    const common = possible.map((i) => inWay[i]!).reduce((a, b) => intersect(a, b), inWay[possible[0] ?? 0]! ?? []);
    for (const [start, end] of gaps(whole, common)) {
      const fits = items.map((item, i) => {
        if (!item.possible) return false;
        const longest = Math.max(0, ...gaps({ from: start, to: end }, inWay[i]!).map(([a, b]) => b - a));
        return longest >= item.least + item.beside - 1e-6;
      });
      if (!fits.includes(true)) continue;
      const mask = fits.map(Number).join('');
      const length = end - start;
      const key = `${length.toFixed(3)} ${mask}`;
      const found = runs.get(key);
      if (found) found.extent += to - from;
      else runs.set(key, { length, extent: to - from, fits, mask });
    }
  }
  const longest = Math.max(1, ...[...runs.values()].map((run) => run.length));
  const step = Math.max(0.2, longest / STEPS);
  return { direction, step, steps: Math.floor(longest / step + 1e-9), items, runs: [...runs.values()] };
}

/** The board's length at a distance across it, from a slice's near side: a taper may leave only a part. */
function lengthAt(ready: ReadyBoard, box: { x: number; x1: number }, kerf: number, y: number) {
  const { tagged, other } = ready.shape.far;
  const [least, most] = [Math.min(tagged, other) + kerf, Math.max(tagged, other) + kerf];
  if (y <= least || most === least) return { from: box.x, to: box.x1 };
  // Pieces end a kerf below the bar at the most: where the board reaches y − kerf.
  const share = Math.max(0, Math.min(1, (most - y) / (most - least)));
  const length = share * ready.shape.length + kerf;
  return tagged > other
    ? { from: box.x, to: Math.min(box.x1, length) }
    : { from: Math.max(box.x, ready.shape.length - length), to: box.x1 };
}

function widthAt(ready: ReadyBoard, kerf: number, x0: number, x1: number) {
  const { tagged, other } = ready.shape.far;
  const at = (x: number) =>
    tagged + ((other - tagged) * Math.max(0, Math.min(x, ready.shape.length))) / ready.shape.length;
  // A bar may belong to the kerf of a piece that ends a kerf before it.
  return { from: ready.shape.near, to: Math.max(at(x0 - kerf), at(x1)) + kerf };
}

function gaps(whole: { from: number; to: number }, inWay: readonly [number, number][]): [number, number][] {
  const found: [number, number][] = [];
  let from = whole.from;
  for (const [a, b] of [...inWay].sort((p, q) => p[0] - q[0])) {
    if (a > from) found.push([from, Math.min(a, whole.to)]);
    from = Math.max(from, b);
    if (from >= whole.to) break;
  }
  if (from < whole.to) found.push([from, whole.to]);
  return found.filter(([a, b]) => b - a > 1e-9);
}

function intersect(a: readonly [number, number][], b: readonly [number, number][]): [number, number][] {
  return a.flatMap(([a0, a1]) =>
    b.flatMap(([b0, b1]): [number, number][] => {
      const [from, to] = [Math.max(a0, b0), Math.min(a1, b1)];
      return to > from ? [[from, to]] : [];
    }),
  );
}

/** What the best bars of a board hold at given prices. */
export interface BestBars {
  /** Σ extent × worth of the best bar: nothing cut from the board is worth more. */
  worth: number;
  /** How much of each item those bars hold, pieces or mm, × mm of extent; then how many of those of free size. */
  held: Float64Array;
}

/**
 * @param prices for 1 mm of extent: of each item per piece or per mm, then of each item of free size per piece, which
 *   may be below nothing
 */
export function bestBars(lanes: Lanes, prices: Float64Array): BestBars {
  const { items, runs, step, steps } = lanes;
  const held = new Float64Array(2 * items.length);
  let worth = 0;
  const tables = new Map<string, Table>();
  for (const run of runs) {
    let table = tables.get(run.mask);
    if (!table) {
      table = tableOf(items, run.fits, prices, step, steps);
      tables.set(run.mask, table);
    }
    worth += run.extent * bestOf(table, lanes, run, prices, held);
  }
  return { worth, held };
}

interface Table {
  best: Float64Array;
  /** The last thing put in at each length: 2 × item for the least size, + 1 for the greatest; −1 for nothing. */
  last: Int32Array;
  /** Steps each of those takes. */
  sizes: Int32Array;
}

function tableOf(
  items: readonly LaneItem[],
  fits: readonly boolean[],
  prices: Float64Array,
  step: number,
  steps: number,
): Table {
  const best = new Float64Array(steps + 1);
  const last = new Int32Array(steps + 1).fill(-1);
  const sizes = new Int32Array(2 * items.length);
  const choices: number[] = [];
  const worths = new Float64Array(2 * items.length);
  items.forEach((item, i) => {
    const price = prices[i]!;
    if (!fits[i]) return;
    for (const end of [0, 1]) {
      const size = end === 0 ? item.least : item.greatest;
      if (!Number.isFinite(size) || (end === 1 && item.greatest === item.least)) continue;
      const choice = 2 * i + end;
      sizes[choice] = Math.floor((size + item.beside) / step + 1e-9);
      worths[choice] = item.free ? price * size + prices[items.length + i]! : price;
      if ((worths[choice] as number) > 0 && (sizes[choice] as number) <= steps) choices.push(choice);
    }
  });
  for (let c = 1; c <= steps; c += 1) {
    let most = best[c - 1]!;
    let what = -1;
    for (const choice of choices) {
      const rest = c - Math.max(1, sizes[choice]!);
      if (rest < 0) continue;
      const worth = best[rest]! + worths[choice]!;
      if (worth > most) {
        most = worth;
        what = choice;
      }
    }
    best[c] = most;
    last[c] = what;
  }
  return { best, last, sizes };
}

function bestOf(table: Table, lanes: Lanes, run: Run, prices: Float64Array, held: Float64Array): number {
  const { items, step, steps } = lanes;
  const { best } = table;
  const most = Math.min(steps, Math.floor(run.length / step + 1e-9));
  let worth = best[most]!;
  let [at, filler, fillerSize] = [most, -1, 0];
  // One thing at the most has a size between its least and its greatest: it fills what the others leave.
  items.forEach((item, i) => {
    const price = prices[i]!;
    if (!item.free || !run.fits[i] || price <= 0) return;
    const each = prices[items.length + i]!;
    for (let c = 0; c <= most; c += 1) {
      const size = Math.min(item.greatest, run.length - c * step - item.beside);
      if (size < item.least - 1e-9) break;
      const all = best[c]! + price * size + each;
      if (all > worth) {
        worth = all;
        at = c;
        filler = i;
        fillerSize = size;
      }
    }
  });
  if (filler >= 0) {
    held[filler] = held[filler]! + run.extent * fillerSize;
    held[items.length + filler] = held[items.length + filler]! + run.extent;
  }
  for (let c = at; c > 0; ) {
    const choice = table.last[c]!;
    if (choice < 0) {
      c -= 1;
      continue;
    }
    const i = choice >> 1;
    const item = items[i]!;
    const size = choice & 1 ? item.greatest : item.least;
    held[i] = held[i]! + run.extent * (item.free ? size : 1);
    if (item.free) held[items.length + i] = held[items.length + i]! + run.extent;
    c -= Math.max(1, table.sizes[choice]!);
  }
  return worth;
}

const TRIES = 16;

/** Prices at which a board's bars cannot hold what a solution asks of it, if a few steps find any. */
export function brokenBars(
  lanes: Lanes,
  amounts: Float64Array,
  used: number,
  start: Float64Array,
): { prices: Float64Array; worth: number } | undefined {
  let prices = start;
  let best: { prices: Float64Array; worth: number; ratio: number } | undefined;
  for (let i = 0; i < TRIES; i += 1) {
    const { worth, held } = bestBars(lanes, prices);
    if (worth <= 1e-9) return undefined;
    let asked = 0;
    for (let k = 0; k < prices.length; k += 1) asked += prices[k]! * amounts[k]!;
    const ratio = asked / (worth * used);
    if (!best || ratio > best.ratio) best = { prices, worth, ratio };
    const step = 0.6 / (1 + i * 0.25);
    const items = prices.length / 2;
    const next = prices.slice();
    for (let k = 0; k < items; k += 1) {
      const [want, have] = [amounts[k]!, held[k]! * used];
      const scale = Math.max(want, have);
      const price = prices[k]!;
      next[k] = scale > 0 ? Math.max(price, 1e-9) * Math.exp((step * (want - have)) / scale) : price * 0.7;
      // What each of a free size counts for goes up and down by the price of a middling one.
      const [pieces, got] = [amounts[items + k]!, held[items + k]! * used];
      const most = Math.max(pieces, got);
      if (most > 0 && pieces > 0) {
        const middling = (want / pieces) * price;
        next[items + k] = prices[items + k]! + (0.5 * step * middling * (pieces - got)) / most;
      }
    }
    prices = next;
  }
  return best && best.ratio > 1.0005 ? best : undefined;
}
