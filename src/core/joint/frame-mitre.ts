import { fixed } from '../restraint/tie';
import { box, type Convex } from '../solid/convex';
import { type Frame, solidInPiece } from '../solid/frame';
import type { Flat } from '../solid/outline';
import { plus, times, type Vec } from '../solid/vector';
import type { Joint } from './joint';

/** A spline in the mitre of a frame: a quarter of its thickness thick, half of it deep in each side; mm, common practice. */
export const frameSpline = (thickness: number): { thickness: number; deep: number } => ({
  thickness: Math.max(3, Math.round(thickness / 4)),
  deep: Math.max(8, Math.round(thickness / 2)),
});
/** It stays so far from the outer corner, and from the groove at the inner one. */
const FROM_OUTSIDE = 15;
const FROM_GROOVE = 8;

export interface FrameMitreGiven {
  id: string;
  name: string;
  /** Ids of the border along the table and of the one across it. */
  long: string;
  end: string;
  /** The outer corner from above, and the middle of the thickness. */
  outer: Flat;
  z: number;
  border: number;
  thickness: number;
  /** How deep the panel's groove is at the inner corner. */
  clear: number;
}

/** Two borders mitred in their face, with a spline hidden in the mitre, its grain across it. mm */
export function frameMitre(given: FrameMitreGiven): Joint {
  const { id, name, long, end, outer, z, border, thickness, clear } = given;
  const [sx, sy] = [Math.sign(outer[0]), Math.sign(outer[1])];
  const s = Math.SQRT1_2;
  // From the inner corner out along the mitre, and square to it into the border along the table.
  const out: Vec = [sx * s, sy * s, 0];
  const intoLong: Vec = [-sx * s, sy * s, 0];
  const inner: Vec = [outer[0] - sx * border, outer[1] - sy * border, z];
  const whole = border * Math.SQRT2;
  const { thickness: thin, deep } = frameSpline(thickness);
  const [from, to] = [(clear + FROM_GROOVE) * Math.SQRT2, whole - FROM_OUTSIDE * Math.SQRT2];
  const middle = plus(inner, times(out, (from + to) / 2));
  const frame: Frame = { at: middle, length: intoLong, width: out, thickness: [0, 0, 1] };
  const half = Math.max(2, (to - from) / 2);
  const strip = (a: number, b: number): Convex => solidInPiece(frame, box([a, -half, -thin / 2], [b, half, thin / 2]));
  return {
    id,
    kind: 'frame-mitre',
    name,
    into: long,
    from: end,
    removed: [
      { part: long, what: 'slot for a spline', solid: strip(0, deep), open: [times(intoLong, -1)] },
      { part: end, what: 'slot for a spline', solid: strip(-deep, 0), open: [intoLong] },
    ],
    added: [{ part: long, solid: strip(-deep, deep), inside: true }],
    ties: [fixed({ id, name, a: long, b: end, at: { x: middle[0], y: middle[1], z } })],
  };
}
