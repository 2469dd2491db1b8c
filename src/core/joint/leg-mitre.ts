import { fixed } from '../restraint/tie';
import { box, type Convex, type Plane, planeThrough } from '../solid/convex';
import { type Frame, solidInPiece } from '../solid/frame';
import { cross, dot, minus, norm, plus, times, unit, type Vec } from '../solid/vector';
import { frameSpline } from './frame-mitre';
import { asPoint, type Joint, type JointPart } from './joint';

/** The spline is hidden: it stays so far from the inner corner of the mitre and from every face, mm; common practice. */
const FROM_INSIDE = 9;
const WALL = 6;
/** It goes no deeper than a fifth of the mitre's length, or the acute corner leaves it no width; common practice. */
const DEEP = 0.2;

/** A mitre between two parts in one plane: from its inner corner to its outer one. mm */
export interface LegMitre {
  inner: Vec;
  outer: Vec;
  /** Square to the plane that both parts lie in. */
  aside: Vec;
  /** Outward of the arm's upper edge, and of the leg's outer face: both end in the outer corner. */
  upper: Vec;
  outward: Vec;
}

/** The plane of the mitre, looking from the arm into the leg. */
export const legMitrePlane = ({ inner, outer, aside }: LegMitre): Plane =>
  planeThrough(inner, cross(aside, unit(minus(outer, inner))));

/** The spline of a mitre so long between parts so thick: how thick, how deep in both, and how wide along the mitre. mm */
export function legSpline(thickness: number, mitre: LegMitre): { thickness: number; deep: number; wide: number } {
  const { inner, outer, upper, outward } = mitre;
  const whole = norm(minus(outer, inner));
  const along = unit(minus(outer, inner));
  const into = legMitrePlane(mitre).normal;
  const { thickness: thin, deep: most } = frameSpline(thickness);
  const deep = Math.max(4, Math.floor(Math.min(most, whole * DEEP)));
  // Toward the outer corner both parts run out to a point: from there to where a wall is left beside the deepest place.
  const fromOutside = Math.max(
    (WALL - deep * dot(into, upper)) / Math.max(0.1, dot(along, upper)),
    (WALL + deep * dot(into, outward)) / Math.max(0.1, dot(along, outward)),
  );
  return { thickness: thin, deep, wide: Math.max(4, whole - FROM_INSIDE - fromOutside) };
}

/** A leg and its arm mitred in one plane and splined: together they are a leg with a bend in it. */
export function legMitre(given: {
  id: string;
  leg: JointPart;
  arm: JointPart;
  mitre: LegMitre;
  /** Of the thinner of the two. */
  thickness: number;
}): Joint {
  const { id, leg, arm, mitre, thickness } = given;
  const { thickness: thin, deep, wide } = legSpline(thickness, mitre);
  const along = unit(minus(mitre.outer, mitre.inner));
  const into = legMitrePlane(mitre).normal;
  const middle = plus(mitre.inner, times(along, FROM_INSIDE + wide / 2));
  const frame: Frame = { at: middle, length: into, width: along, thickness: cross(into, along) };
  const strip = (from: number, to: number): Convex =>
    solidInPiece(frame, box([from, -wide / 2, -thin / 2], [to, wide / 2, thin / 2]));
  const name = `${arm.name} on ${leg.name.toLowerCase()}`;
  return {
    id,
    kind: 'leg-mitre',
    name,
    into: leg.id,
    from: arm.id,
    removed: [
      { part: leg.id, what: 'slot for a spline', solid: strip(0, deep), open: [times(into, -1)] },
      { part: arm.id, what: 'slot for a spline', solid: strip(-deep, 0), open: [into] },
    ],
    added: [{ part: leg.id, solid: strip(-deep, deep), inside: true }],
    ties: [fixed({ id, name, a: leg.id, b: arm.id, at: asPoint(middle) })],
  };
}
