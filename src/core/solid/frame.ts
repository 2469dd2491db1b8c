import { type Convex, mapped, type Plane } from './convex';
import { cross, dot, minus, times, unit, type Vec } from './vector';

/** Where a part lies in the piece: its middle, and its own axes as unit vectors at right angles to one another. */
export interface Frame {
  at: Vec;
  length: Vec;
  width: Vec;
  thickness: Vec;
}

const ALONG = { x: [1, 0, 0], y: [0, 1, 0], z: [0, 0, 1] } as const;
export type AxisName = keyof typeof ALONG;

/** A part whose axes lie along those of the piece. */
export const squareFrame = (at: Vec, axes: { length: AxisName; width: AxisName; thickness: AxisName }): Frame => ({
  at,
  length: ALONG[axes.length],
  width: ALONG[axes.width],
  thickness: ALONG[axes.thickness],
});

/**
 * A part whose length runs along a direction, its width as near as can be along another; its thickness stands square to both.
 *
 * @param toward need not be square to `along`, only not parallel to it
 */
export function leaningFrame(at: Vec, along: Vec, toward: Vec): Frame {
  const length = unit(along);
  const width = unit(minus(toward, times(length, dot(toward, length))));
  return { at, length, width, thickness: cross(length, width) };
}

/** A point given along a part's length, width and thickness from its middle, in the axes of the piece. */
export function inPiece({ at, length, width, thickness }: Frame, p: Vec): Vec {
  const l = p[0];
  const w = p[1];
  const t = p[2];
  return [
    at[0] + length[0] * l + width[0] * w + thickness[0] * t,
    at[1] + length[1] * l + width[1] * w + thickness[1] * t,
    at[2] + length[2] * l + width[2] * w + thickness[2] * t,
  ];
}

/** A point of the piece along a part's own axes from its middle. */
export const inPart = (frame: Frame, point: Vec): Vec => directionInPart(frame, minus(point, frame.at));

export const directionInPart = (frame: Frame, v: Vec): Vec => [
  dot(v, frame.length),
  dot(v, frame.width),
  dot(v, frame.thickness),
];

/** A plane of the piece in a part's own axes. */
export const planeInPart = (frame: Frame, { normal, offset }: Plane): Plane => ({
  normal: directionInPart(frame, normal),
  offset: offset - dot(normal, frame.at),
});

/** −1 where the axes are left-handed, so that faces must be read the other way round. */
const handedness = ({ length, width, thickness }: Frame) => dot(cross(length, width), thickness);

export const solidInPiece = (frame: Frame, solid: Convex): Convex =>
  mapped(solid, (v) => inPiece(frame, v), handedness(frame) < 0);

export const solidInPart = (frame: Frame, solid: Convex): Convex =>
  mapped(solid, (v) => inPart(frame, v), handedness(frame) < 0);

/** A solid stretched along its own axes. */
export const stretched = (solid: Convex, [l, w, t]: Vec): Convex =>
  l === 1 && w === 1 && t === 1 ? solid : mapped(solid, (v) => [v[0] * l, v[1] * w, v[2] * t]);
