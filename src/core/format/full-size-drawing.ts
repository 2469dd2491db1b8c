import type { Part } from '../piece/part';
import { type Flat, polygonOf } from '../solid/outline';

/** One layer for each thing that is done along its lines. */
export const FULL_SIZE_LAYERS = ['OUTLINE', 'SHOULDER', 'MORTISE', 'TENON', 'HOLE', 'CENTRE', 'TEXT'] as const;
export type FullSizeLayer = (typeof FULL_SIZE_LAYERS)[number];

/** A line or a word of a drawing at full size: mm, x to the right, y downward. A side with a sagitta bulges outward. */
export type FullSizeMark =
  | { kind: 'line'; layer: FullSizeLayer; points: readonly Flat[]; close?: boolean; sagittas?: readonly number[] }
  | { kind: 'text'; layer: 'TEXT'; at: Flat; text: string; size: number; align?: 'left' | 'right' | 'centre' };

export interface FullSizeDrawing {
  id: string;
  group: 'stick' | 'template' | 'joint';
  title: string;
  /** What it is for, in a sentence. */
  note: string;
  width: number;
  height: number;
  marks: readonly FullSizeMark[];
}

/** Round a drawing, and the height of small words, mm. */
export const MARGIN = 12;
export const SMALL = 4;

/** A part's name without which of several it is. */
export const plainName = (part: Part) => part.name.replace(/,.*$/, '').replace(/ \d+$/, '');

export const line = (layer: FullSizeLayer, from: Flat, to: Flat): FullSizeMark => ({
  kind: 'line',
  layer,
  points: [from, to],
});
export const box = (layer: FullSizeLayer, x0: number, y0: number, x1: number, y1: number): FullSizeMark => ({
  kind: 'line',
  layer,
  close: true,
  points: [
    [x0, y0],
    [x1, y0],
    [x1, y1],
    [x0, y1],
  ],
});
export const text = (x: number, y: number, words: string, size: number): FullSizeMark => ({
  kind: 'text',
  layer: 'TEXT',
  at: [x, y],
  text: words,
  size,
});

/** A mark's line with its arcs drawn out. On paper y runs down, so that what bulged right of the way bulges left. */
export function drawnOut(mark: Extract<FullSizeMark, { kind: 'line' }>): readonly Flat[] {
  if (!mark.sagittas?.some((s) => s !== 0)) return mark.points;
  const up = mark.points.map(([x, y], i) => ({ at: [x, -y] as Flat, sagitta: mark.sagittas?.[i] ?? 0 }));
  return polygonOf(up, 0.02).map(([x, y]): Flat => [x, -y]);
}
