import type { Lie } from '../stock/spoils';
import type { LayoutOptions, Rectangle } from './layout';
import { type Kinds, type ReadyBoard, reach, stripsFrom } from './ready-boards';

/** mm of a step: boards are sawn in whole steps. */
export const STEP = 0.1;

/**
 * Which way sizes are rounded to whole steps: `down` so that whatever fits in steps fits the board, `up` so that
 * whatever fits the board fits in steps.
 */
export interface Rounding {
  piece: (mm: number) => number;
  space: (mm: number) => number;
  /** Steps that a space may be larger than it is told. */
  slack: number;
}

const up = (by: number) => (mm: number) => Math.ceil(mm / STEP / by - 1e-6) * by;
const down = (by: number) => (mm: number) => Math.floor(mm / STEP / by + 1e-6) * by;
export const TIGHT: Rounding = { piece: up(1), space: down(1), slack: 0 };
/** @param by steps at a time */
export const roomy = (by: number): Rounding => ({ piece: down(by), space: up(by), slack: by });

/** A board in steps: from its first corner within the end trim; a kerf beyond its far sides, as every piece has one. */
export interface SawingField {
  x: number;
  y: number;
  length: number;
  width: number;
  obstacles: readonly Obstacle[];
}

/** What pieces of some uses, either face up, must keep clear of; steps. */
export interface Obstacle {
  x0: number;
  x1: number;
  y0: number;
  y1: number;
  spoils: (use: number, lie: Lie) => boolean;
}

/** Slices that a taper is taken in: of each the narrower end where the field is tight, the wider where it is roomy. */
const SLICES = { tight: 8, roomy: 4 };

/** @param rounding along the board and across it */
export function sawingField(
  ready: ReadyBoard,
  options: LayoutOptions,
  [along, across]: readonly [Rounding, Rounding],
): SawingField {
  const { board, shape, spoiled } = ready;
  const { kerf, endTrim } = options;
  const tight = along === TIGHT;
  const [x, y] = [endTrim, shape.near];
  const length = along.space(Math.max(0, shape.length - 2 * endTrim + kerf));
  const width = across.space(Math.max(0, Math.max(shape.far.tagged, shape.far.other) - y + kerf));
  // What is in the way grows where pieces do. Every piece carries its kerf on its far sides: a defect loses a kerf on
  // its near ones.
  const at = (r: Rectangle, spoils: Obstacle['spoils']): Obstacle[] => {
    const found = {
      x0: Math.max(0, along.space(r.x - x + kerf)),
      x1: Math.min(length, along.piece(r.x + r.length - x)),
      y0: Math.max(0, across.space(r.y - y + kerf)),
      y1: Math.min(width, across.piece(r.y + r.width - y)),
      spoils,
    };
    return found.x0 < found.x1 && found.y0 < found.y1 ? [found] : [];
  };
  const ofDefects = board.defects.flatMap((defect) =>
    at(defect, (use, lie) => spoiled[use]?.[lie].includes(defect) ?? true),
  );
  const slices = shape.far.tagged === shape.far.other ? 0 : tight ? SLICES.tight : SLICES.roomy;
  const each = shape.length / slices;
  const ofTaper = Array.from({ length: slices }, (_, i) => {
    const [from, to] = [i * each, (i + 1) * each];
    const top = tight ? reach(ready, from, to) : Math.max(reach(ready, from, from), reach(ready, to, to));
    // Pieces that end in one slice have their kerf in the next.
    const start = tight ? from - kerf : from;
    return at({ x: start, y: top, length: to - start, width: 1e4 }, () => true);
  }).flat();
  return { x, y, length, width, obstacles: [...ofDefects, ...ofTaper] };
}

/** Either face that keeps a use clear of what is in the way; null where neither does. */
export function lieIn(inWay: readonly Obstacle[], use: number): Lie | null {
  for (const lie of ['tagged', 'under'] as const) if (!inWay.some((o) => o.spoils(use, lie))) return lie;
  return null;
}

/** Kinds of which the board can give something, those of bands numbered after those of parts. */
export function possibleOn(ready: ReadyBoard, kinds: Kinds): number[] {
  return [
    ...kinds.parts.flatMap((_, i) => (ready.layers[i]! > 0 ? [i] : [])),
    ...kinds.bands.flatMap((band, k) => (stripsFrom(ready, band).copies > 0 ? [kinds.parts.length + k] : [])),
  ];
}
