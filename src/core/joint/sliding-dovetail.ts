import { glued } from '../restraint/tie';
import { type Convex, prism } from '../solid/convex';
import { type Frame, solidInPiece } from '../solid/frame';
import { times, type Vec } from '../solid/vector';
import type { Joint } from './joint';

/** A tail along the end of a board in a groove of its shape across the face of another, stopped before the front edge where that is wanted. mm */
export function slidingDovetail(given: {
  id: string;
  name: string;
  into: string;
  from: string;
  /** Middle of the board's end on the face that takes it, and the way it runs in. */
  at: Vec;
  along: Vec;
  y: readonly [front: number, back: number];
  stop: number;
  thickness: number;
  depth: number;
  /** So far out for so far along. */
  slope: number;
}): Joint {
  const { id, name, into, from, at, along, y, stop, thickness, depth, slope } = given;
  const half = thickness / 2;
  const neck = Math.max(half / 3, half - depth * slope);
  const across: Vec = Math.abs(along[0]) > 0.5 ? [0, 0, 1] : [1, 0, 0];
  const frame: Frame = { at: [at[0], 0, at[2]], length: along, width: across, thickness: [0, 1, 0] };
  const solid: Convex = solidInPiece(
    frame,
    prism(
      [
        [0, -neck],
        [depth, -half],
        [depth, half],
        [0, neck],
      ],
      y[0] + stop,
      y[1],
    ),
  );
  return {
    id,
    kind: 'sliding-dovetail',
    name,
    into,
    from,
    along,
    removed: [
      {
        part: into,
        what: 'dovetailed housing',
        solid,
        open: [times(along, -1), [0, 1, 0], ...(stop > 0 ? [] : [[0, -1, 0] as Vec])],
      },
    ],
    added: [{ part: from, solid }],
    ties: glued(
      { id, name, a: into, b: from, at: { x: at[0], y: (y[0] + stop + y[1]) / 2, z: at[2] } },
      { y: y[1] - y[0] - stop },
    ),
  };
}
