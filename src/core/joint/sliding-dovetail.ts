import { prism } from '../solid/convex';
import { type Frame, solidInPiece } from '../solid/frame';
import type { Vec } from '../solid/vector';
import { type HousedEnd, letInto } from './housing';
import type { Joint } from './joint';

/**
 * A tail along the end of a board in a groove of its shape across the face of another, stopped before the front edge where that
 * is wanted. mm
 *
 * @param slope so far out for so far along
 */
export function slidingDovetail(end: HousedEnd, slope: number): Joint {
  const { at, along, y, stop, thickness, depth } = end;
  const half = thickness / 2;
  const neck = Math.max(half / 3, half - depth * slope);
  const across: Vec = Math.abs(along[0]) > 0.5 ? [0, 0, 1] : [1, 0, 0];
  const frame: Frame = { at: [at[0], 0, at[2]], length: along, width: across, thickness: [0, 1, 0] };
  const tail = prism(
    [
      [0, -neck],
      [depth, -half],
      [depth, half],
      [0, neck],
    ],
    y[0] + stop,
    y[1],
  );
  return letInto(end, { kind: 'sliding-dovetail', what: 'dovetailed housing', solid: solidInPiece(frame, tail) });
}
