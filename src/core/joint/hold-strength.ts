/**
 * What it takes to draw a fastener out of wood, N, before anything is divided by a factor. Lengths mm; G is the specific
 * gravity at 12 % moisture. Wood Handbook (USDA Forest Products Laboratory), ch. 8 for screws and ch. 5 for shear, values
 * from memory.
 */

/** A wood screw in side grain: 108.25·G²·D·L, L in the wood that takes its thread. */
export const screwWithdrawal = (gravity: number, diameter: number, bite: number): number =>
  108.25 * gravity ** 2 * diameter * bite;

/** A lag screw, or the screw end of a hanger bolt, in side grain: 125.4·G^1.5·D^0.75·L. */
export const lagWithdrawal = (gravity: number, diameter: number, bite: number): number =>
  125.4 * gravity ** 1.5 * diameter ** 0.75 * bite;

/** Shear along the grain at 12 %, MPa: 21.9·G^1.13 for hardwoods, 16.6·G^0.85 for softwoods. */
export const shearAlongGrain = (gravity: number, kind: 'hardwood' | 'softwood'): number =>
  kind === 'hardwood' ? 21.9 * gravity ** 1.13 : 16.6 * gravity ** 0.85;

/** Pressed across the grain at the proportional limit at 12 %, MPa: 18.5·G^2.48 for hardwoods, 16.5·G^1.57 for softwoods; Wood Handbook ch. 5, from memory. */
export const crushingAcrossGrain = (gravity: number, kind: 'hardwood' | 'softwood'): number =>
  kind === 'hardwood' ? 18.5 * gravity ** 2.48 : 16.5 * gravity ** 1.57;

/**
 * A glued dowel in side grain: half of the wood's shear along the grain over the dowel's surface, since round it half the
 * fibres lie across. Published tests of dowels in furniture come to the same share (Eckelman; value from memory).
 */
export const dowelWithdrawal = (
  gravity: number,
  kind: 'hardwood' | 'softwood',
  diameter: number,
  bite: number,
): number => 0.5 * shearAlongGrain(gravity, kind) * Math.PI * diameter * bite;

/**
 * Fasteners in a row that a moment draws, turning about the edge they press against: the moment over the force in the
 * farthest, Σ d² / d_max with d their distances from that edge. mm
 */
export const drawnReach = (distances: readonly number[]): number =>
  distances.reduce((sum, d) => sum + d ** 2, 0) / Math.max(...distances, 1e-9);
