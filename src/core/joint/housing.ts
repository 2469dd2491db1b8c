import { type Axis, glued } from '../restraint/tie';
import { box, type Convex } from '../solid/convex';
import { plus, times, type Vec } from '../solid/vector';
import type { Joint } from './joint';

/** A third of the part that takes it deep; common practice. */
export const housingDepth = (thickness: number): number => Math.max(3, Math.round(thickness / 3));

/** Stopped so far from the front edge, mm; common practice 10 to 15. */
export const HOUSING_STOP = 12;

/** The end of a board that is let into the face of another. */
export interface HousedEnd {
  id: string;
  name: string;
  into: string;
  from: string;
  /** Middle of the board's end on the face that takes it, and the way it runs in. */
  at: Vec;
  along: Vec;
  /** From front to back, from the middle of its end; mm. */
  y: readonly [front: number, back: number];
  /** It begins so far behind the front edge of the board; 0 where it runs through. */
  stop: number;
  thickness: number;
  depth: number;
}

/** The joint of a board whose end fills a groove across the face of another, glued over its breadth. */
export function letInto(
  { id, name, into, from, at, along, y, stop }: HousedEnd,
  own: { kind: 'housing' | 'sliding-dovetail'; what: string; solid: Convex },
): Joint {
  const { kind, what, solid } = own;
  const open = [times(along, -1), [0, 1, 0] as Vec, ...(stop > 0 ? [] : [[0, -1, 0] as Vec])];
  const middle = { x: at[0], y: (y[0] + stop + y[1]) / 2, z: at[2] };
  return {
    ...{ id, kind, name, into, from, along },
    removed: [{ part: into, what, solid, open }],
    added: [{ part: from, solid }],
    ties: glued({ id, name, a: into, b: from, at: middle }, { y: y[1] - y[0] - stop }),
  };
}

/** The end of a board let into the face of another over its whole breadth, stopped before the front edge where that is wanted. */
export function housing(end: HousedEnd): Joint {
  const { at, along, y, stop, thickness, depth } = end;
  // The board's thickness is square to its depth and to the way it runs.
  const axis: Axis = Math.abs(along[0]) > 0.5 ? 'z' : 'x';
  const half: Vec = axis === 'z' ? [0, 0, thickness / 2] : [thickness / 2, 0, 0];
  const corners = [
    plus([at[0], y[0] + stop, at[2]], times(half, -1)),
    plus([at[0], y[1], at[2]], plus(half, times(along, depth))),
  ];
  const least = corners.reduce((a, b) => [Math.min(a[0], b[0]), Math.min(a[1], b[1]), Math.min(a[2], b[2])]);
  const most = corners.reduce((a, b) => [Math.max(a[0], b[0]), Math.max(a[1], b[1]), Math.max(a[2], b[2])]);
  return letInto(end, { kind: 'housing', what: 'housing', solid: box(least, most) });
}
