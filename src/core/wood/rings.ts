/**
 * How a board is sawn, seen from its end: one ring angle for the whole face (degrees between ring tangent and face, 0
 * flat, 90 quarter), or where the pith lies, from which the angle varies across the width. Lengths in mm.
 */
export type Rings = number | RingCentre;

export interface RingCentre {
  /** From the board's mid-thickness plane down to the pith, at right angles to the face. */
  distance: number;
  /** From the middle of the width to the pith, along the face. */
  offset: number;
}

/** The distance from pith to the middle of a board taken where only a ring angle is known, mm; a middling log. */
export const USUAL_RING_RADIUS = 150;

/** A ring centre that gives this angle in the middle of the board. */
export function ringCentreFor(ringAngle: number, radius = USUAL_RING_RADIUS): RingCentre {
  const phi = (ringAngle * Math.PI) / 180;
  return { distance: radius * Math.cos(phi), offset: radius * Math.sin(phi) };
}

/** Angle in degrees between ring tangent and face at `across` mm from the middle of the width, in mid-thickness. */
export function ringAngleAt(rings: Rings, across: number): number {
  if (typeof rings === 'number') return rings;
  return (Math.atan2(Math.abs(across - rings.offset), Math.abs(rings.distance)) * 180) / Math.PI;
}

/**
 * Mean of cos²φ across a width: the share with which the tangential coefficient enters the movement of the face, the
 * radial one entering with the rest. With the pith d below the middle plane and u the distance along the face from the
 * point above it, cos²φ = d²/(d² + u²), whose integral is d·atan(u/d).
 */
export function tangentialShare(rings: Rings, width = 0): number {
  if (typeof rings === 'number') return Math.cos((rings * Math.PI) / 180) ** 2;
  const d = Math.abs(rings.distance);
  if (d < 1e-9) return 0;
  if (width <= 0) return d ** 2 / (d ** 2 + rings.offset ** 2);
  const from = -width / 2 - rings.offset;
  const to = width / 2 - rings.offset;
  return (d * (Math.atan(to / d) - Math.atan(from / d))) / width;
}
