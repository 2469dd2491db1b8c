import { upToStep } from '../measure/length';
import type { Lie } from '../stock/spoils';
import { clearRegions } from './clear-regions';
import type { Sawing } from './cut-sequence';
import type { LayoutOptions, Offcut, Rectangle } from './layout';
import { type ReadyBoard, reach } from './ready-boards';

/** A piece cut from a board in the course of the search. */
export type Sawn = Rectangle & { lie: Lie } & (
    | { part: number; copies: number }
    /** `finished`: its width after jointing, mm; `copies`: strips that are resawn from it. */
    | { band: number; finished: number; copies: number }
  );

/** A board as it is cut up so far. Never changed once it is in a plan: {@link cutOut} gives a new one. */
export interface SawnBoard {
  ready: ReadyBoard;
  /** Rectangles still to be had, parted by straight through cuts; defects may lie in them. */
  free: readonly Rectangle[];
  pieces: readonly Sawn[];
  cuts: number;
  /** Spots looked for before, by kind of part and of band, planed or resawn: null where there is none. */
  found: { parts: (Spot | null)[]; bands: (StripSpot | null)[] };
}

/** A place in a free rectangle. */
export interface Spot {
  /** Which of the free rectangles. */
  rect: number;
  x: number;
  y: number;
  lie: Lie;
  /** mm² that this spot makes useless at a guess: the less the better. */
  waste: number;
}

/** Where strips of a band may be ripped side by side, how many and how wide; the waste is per mm of panel. */
export interface StripSpot extends Spot {
  count: number;
  width: number;
}

const NEAR = 1e-6;

export const placeOf = ({ x, y, length, width }: Rectangle): Rectangle => ({ x, y, length, width });

/**
 * The board with some of its pieces left in the wood.
 *
 * @param keep the piece as it stays, or null
 */
export function keepingPieces(state: SawnBoard, keep: (piece: Sawn) => Sawn | null): SawnBoard {
  const pieces: Sawn[] = [];
  const free: Rectangle[] = [...state.free];
  for (const piece of state.pieces) {
    const kept = keep(piece);
    if (kept) pieces.push(kept);
    else free.push(placeOf(piece));
  }
  return { ...state, pieces, free, found: { parts: [], bands: [] } };
}

/** Where a piece goes first among spots as good: either end of the board, at either edge. */
export const CORNERS = 4;

export function uncut(ready: ReadyBoard, crosscutFirst: boolean): SawnBoard {
  const free = crosscutFirst ? ready.starts.crosscut : ready.starts.rip;
  return { ready, free, pieces: [], cuts: 0, found: { parts: [], bands: [] } };
}

const BOTH: readonly Lie[] = ['tagged', 'under'];
const ONE: readonly Lie[] = ['tagged'];

/** Both faces only where it makes a difference. */
const liesOf = (spoiled: { tagged: readonly Rectangle[]; under: readonly Rectangle[] }) =>
  spoiled.tagged.length === spoiled.under.length && spoiled.tagged.every((d, i) => d === spoiled.under[i]) ? ONE : BOTH;

/** The best spot on this board for a kind of part, clear of what spoils its use, inside a taper; null where there is none. */
export function spotFor(
  state: SawnBoard,
  part: number,
  kind: { length: number; width: number; use: number; live: boolean },
  corner: number,
): Spot | null {
  const place = CORNERS * part + corner;
  const before = state.found.parts[place];
  if (before !== undefined) return before;
  const { ready } = state;
  const spoiled = ready.spoiled[kind.use];
  let best: Spot | null = null;
  if (spoiled) {
    for (let rect = 0; rect < state.free.length; rect += 1) {
      const free = state.free[rect]!;
      if (free.length < kind.length - NEAR || free.width < kind.width - NEAR) continue;
      for (const lie of liesOf(spoiled)) {
        best = spotIn(ready, free, rect, kind, spoiled[lie], lie, corner, best);
      }
    }
  }
  state.found.parts[place] = best;
  return best;
}

/**
 * Where along a free rectangle a piece may begin: at its ends, and before and after what spoils. Not at the far end with
 * less than a kerf before it, where it may as well lie at the near one: nobody saws that off.
 */
function starts(free: Rectangle, length: number, spoiled: readonly Rectangle[], kerf: number): number[] {
  const right = free.x + free.length;
  const found = [free.x];
  if (right - length > free.x + kerf + NEAR) found.push(right - length);
  for (const d of spoiled) {
    if (d.y >= free.y + free.width || free.y >= d.y + d.width) continue;
    for (const x of [d.x + d.length, d.x - length]) if (x > free.x + NEAR && x < right - length - NEAR) found.push(x);
  }
  return found;
}

function spotIn(
  ready: ReadyBoard,
  free: Rectangle,
  rect: number,
  { length, width, live }: { length: number; width: number; live: boolean },
  spoiled: readonly Rectangle[],
  lie: Lie,
  corner: number,
  before: Spot | null,
): Spot | null {
  let best = before;
  const right = free.x + free.length;
  // What a corner position leaves narrow.
  const narrow = Math.min((free.length - length) * free.width, (free.width - width) * free.length);
  const from = starts(free, length, spoiled, ready.kerf);
  if (corner & 1) from.reverse();
  for (const x of from) {
    const top = Math.min(free.y + free.width, reach(ready, x, x + length));
    if (top - free.y < width - NEAR) continue;
    const beside = narrow + Math.min(x - free.x, right - x - length) * free.width;
    if (best && beside >= best.waste - 1e-9) continue;
    const levels = live ? atLiveEdge(ready, x, length, width) : [free.y];
    if (!live && top - width > free.y + ready.kerf) levels.push(top - width);
    for (const d of live ? [] : spoiled) {
      if (d.x < x + length && x < d.x + d.length) levels.push(d.y + d.width, d.y - width);
    }
    if (corner & 2) levels.reverse();
    for (const y of levels) {
      if (y < free.y - NEAR || y + width > top + NEAR) continue;
      // What an inner position breaks up.
      const waste = beside + Math.min(y - free.y, top - y - width) * free.length;
      if (best && waste >= best.waste - 1e-9) continue;
      if (isClear(spoiled, x, y, length, width)) best = { rect, x, y, lie, waste };
    }
  }
  return best;
}

/** Position across a board, mm, of a piece that extends into its live edge. */
function atLiveEdge(ready: ReadyBoard, x: number, length: number, width: number): number[] {
  if (!ready.live) return [];
  return [ready.live.edge === 'near' ? ready.shape.near : reach(ready, x, x + length) - width];
}

function isClear(spoiled: readonly Rectangle[], x: number, y: number, length: number, width: number): boolean {
  for (const d of spoiled) {
    if (x < d.x + d.length - NEAR && d.x < x + length - NEAR && y < d.y + d.width - NEAR && d.y < y + width - NEAR)
      return false;
  }
  return true;
}

interface StripKind {
  length: number;
  least: number;
  greatest: number;
  jointing: number;
  use: number;
}

/** The spot for strips that wastes least for the width still needed; null where not even one fits. */
export function stripSpotFor(
  state: SawnBoard,
  index: number,
  resawn: boolean,
  band: StripKind,
  need: number,
  sawing: Sawing,
  corner: number,
): StripSpot | null {
  const place = CORNERS * (2 * index + (resawn ? 1 : 0)) + corner;
  const before = state.found.bands[place];
  // What the need did not limit stands for every need as large.
  if (before === null || (before && need - before.count * before.width > band.least + NEAR)) return before;
  const { ready } = state;
  const spoiled = ready.spoiled[band.use];
  let best: StripSpot | null = null;
  if (spoiled) {
    for (let rect = 0; rect < state.free.length; rect += 1) {
      const free = state.free[rect]!;
      if (free.length < band.length - NEAR || free.width < band.least + band.jointing - NEAR) continue;
      for (const lie of liesOf(spoiled))
        best = stripsInRect(ready, free, rect, band, need, sawing, spoiled[lie], lie, corner, best);
    }
  }
  if (best === null || need - best.count * best.width > band.least + NEAR) state.found.bands[place] = best;
  return best;
}

function stripsInRect(
  ready: ReadyBoard,
  free: Rectangle,
  rect: number,
  band: StripKind,
  need: number,
  sawing: Sawing,
  spoiled: readonly Rectangle[],
  lie: Lie,
  corner: number,
  before: StripSpot | null,
): StripSpot | null {
  let best = before;
  const right = free.x + free.length;
  const narrowest = band.least + band.jointing;
  const ends = starts(free, band.length, spoiled, ready.kerf);
  if (corner & 1) ends.reverse();
  for (const x of ends) {
    const top = Math.min(free.y + free.width, reach(ready, x, x + band.length));
    const inWay = spoiled.filter((d) => d.x < x + band.length - NEAR && x < d.x + d.length - NEAR);
    if (inWay.length > 1) inWay.sort((a, b) => a.y - b.y);
    const beside = Math.min(x - free.x, right - x - band.length) * free.width;
    const endwise = Math.min(free.length - band.length, 200) * free.width * 0.5;
    let from = free.y;
    for (let i = 0; i <= inWay.length; i += 1) {
      const d = inWay[i];
      const clear = (d ? Math.min(d.y, top) : top) - from;
      if (clear >= narrowest - NEAR) {
        const { count, width } = stripsIn(clear, band, need, sawing);
        const used = count * (width + band.jointing + sawing.kerf);
        const waste = (Math.max(0, free.width - used) * band.length * 0.5 + endwise + beside) / (count * width);
        if (!best || waste < best.waste - 1e-9) best = { rect, x, y: from, lie, waste, count, width };
      }
      if (d) from = Math.max(from, d.y + d.width);
    }
  }
  return best;
}

/**
 * How many strips, and how wide after jointing, a clear width gives: as few as the greatest width allows, no more
 * than is needed, never leaving a need narrower than the narrowest strip where that can be helped. mm
 */
export function stripsIn(
  clear: number,
  band: { least: number; greatest: number; jointing: number },
  need: number,
  { kerf, step }: Sawing,
): { count: number; width: number } {
  const { least, greatest, jointing } = band;
  const room = (n: number) => (clear - (n - 1) * kerf) / n - jointing;
  let count = Math.max(1, Math.ceil((clear + kerf) / (greatest + jointing + kerf) - 1e-9));
  while (count > 1 && room(count) < least) count -= 1;
  const most = Math.min(room(count), greatest);
  count = Math.min(count, Math.max(1, Math.ceil(need / Math.min(room(count), greatest) - 1e-9)));
  let width = Math.max(least, Math.min(most, need / count));
  const left = need - count * width;
  if (left > 1e-6 && left < least) width = Math.max(least, (need - least) / count);
  return { count, width: toStep(width, { least, most, jointing }, step) };
}

/** A strip's width so that it is sawn to a whole step: a little wider, or narrower where there is no room. mm */
function toStep(width: number, { least, most, jointing }: Record<'least' | 'most' | 'jointing', number>, step: number) {
  if (step === 0) return width;
  const wider = upToStep(width + jointing, step) - jointing;
  if (wider <= most + 1e-9) return wider;
  const narrower = Math.floor((width + jointing) / step + 1e-6) * step - jointing;
  return narrower >= least ? narrower : width;
}

/**
 * The board with a rectangle cut out of one of its free rectangles by straight through cuts: crosscuts on either side
 * first and rips after, or the other way round. What is left on each side stays free.
 */
export function cutOut(
  state: SawnBoard,
  spot: Spot,
  block: { length: number; width: number },
  pieces: readonly Sawn[],
  crosscutFirst: boolean,
  kerf: number,
): SawnBoard {
  const free = state.free[spot.rect]!;
  const next = state.free.filter((_, i) => i !== spot.rect);
  const { x, y } = spot;
  const { length, width } = block;
  const [right, top] = [free.x + free.length, free.y + free.width];
  const [xEnd, yEnd] = [x + length + kerf, y + width + kerf];
  const [lengthwise, crosswise] = crosscutFirst
    ? [
        { x, length },
        { y: free.y, width: free.width },
      ]
    : [
        { x: free.x, length: free.length },
        { y, width },
      ];
  let cuts = pieces.length - 1;
  const add = (r: Rectangle) => {
    if (r.length > NEAR && r.width > NEAR) next.push(r);
  };
  if (x - free.x > NEAR) {
    add({ x: free.x, length: x - kerf - free.x, ...crosswise });
    cuts += 1;
  }
  if (right - x - length > NEAR) {
    add({ x: xEnd, length: right - xEnd, ...crosswise });
    cuts += 1;
  }
  if (y - free.y > NEAR) {
    add({ y: free.y, width: y - kerf - free.y, ...lengthwise });
    cuts += 1;
  }
  if (top - y - width > NEAR) {
    add({ y: yEnd, width: top - yEnd, ...lengthwise });
    cuts += 1;
  }
  return {
    ready: state.ready,
    free: next,
    pieces: [...state.pieces, ...pieces],
    cuts: state.cuts + cuts,
    found: { parts: [], bands: [] },
  };
}

/** What is left of a board and is useful; where there are defects in it, with what is clear and useful round them. */
export function usefulOffcuts(state: SawnBoard, options: LayoutOptions): Offcut[] {
  const { ready } = state;
  const { length, width } = options.usefulOffcut;
  const useful = (r: Rectangle) => r.length >= length - NEAR && r.width >= width - NEAR;
  const area = (list: readonly Rectangle[]) => list.reduce((sum, r) => sum + r.length * r.width, 0);
  const found: Offcut[] = [];
  for (const free of state.free) {
    const inside = withinTaper(ready, free);
    if (!inside || !useful(inside)) continue;
    const defects = ready.board.defects;
    if (!defects.some((d) => meets(d, inside))) {
      found.push(inside);
      continue;
    }
    const byCrosscut = clearRegions(inside, defects, options.kerf, () => true).filter(useful);
    const byRip = clearRegions(inside, defects, options.kerf, () => false).filter(useful);
    const round = area(byCrosscut) >= area(byRip) ? byCrosscut : byRip;
    if (round.length > 0) found.push({ ...aroundAll(round), clear: area(round) });
  }
  return found;
}

/** The rectangle round them all. */
export function aroundAll(list: readonly Rectangle[]): Rectangle {
  const [x, y] = [Math.min(...list.map((r) => r.x)), Math.min(...list.map((r) => r.y))];
  const [right, top] = [Math.max(...list.map((r) => r.x + r.length)), Math.max(...list.map((r) => r.y + r.width))];
  return { x, y, length: right - x, width: top - y };
}

const meets = (a: Rectangle, b: Rectangle) =>
  a.x < b.x + b.length && b.x < a.x + a.length && a.y < b.y + b.width && b.y < a.y + a.width;

/** A rectangle narrowed to what the taper leaves of it. */
function withinTaper(ready: ReadyBoard, r: Rectangle): Rectangle | undefined {
  const top = Math.min(r.y + r.width, reach(ready, r.x, r.x + r.length));
  return top > r.y ? { ...r, width: top - r.y } : undefined;
}
