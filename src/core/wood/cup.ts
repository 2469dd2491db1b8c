import { type RingCentre, type Rings, ringCentreFor } from './rings';
import type { Species } from './species';

/** A point of a cross-section, mm: across the board and up. */
export type SectionPoint = readonly [across: number, up: number];

export interface CupInput {
  width: number;
  thickness: number;
  species: Species;
  rings: Rings;
  /** % */
  fromMoisture: number;
  toMoisture: number;
  /** The heart side is the upper face. */
  heartUp: boolean;
  /** Slope of the moisture through the thickness, % per mm, the upper face wetter positive; adds its own bow. */
  moistureSlope?: number;
}

const POINTS = 16;

/**
 * The cross-section of a board that moves freely. Rings are circles about the pith; wood that swells by ε_r across them
 * and by ε_t along them stays free of stress when every point (r, θ) goes to (r·(1 + ε_r), θ·(1 + ε_t − ε_r)): the
 * displacements u_r = ε_r·r, u_θ = (ε_t − ε_r)·r·θ give exactly these strains and no shear. From this the cup follows without a further
 * assumption. A slope of moisture through the thickness bends the board to the curvature C·dM/dz besides.
 * Strains are the handbook's coefficients times the change of moisture, held at fibre saturation.
 *
 * @returns the upper face, mid-plane and lower face from left to right, the mid-plane's ends on the level line
 */
export function cuppedSection(input: CupInput): {
  upper: SectionPoint[];
  middle: SectionPoint[];
  lower: SectionPoint[];
} {
  const { width, thickness, species } = input;
  const held = (m: number) => Math.min(Math.max(m, 0), species.fibreSaturation);
  const change = held(input.toMoisture) - held(input.fromMoisture);
  const radial = species.coefficientRadial * change;
  const turn = (species.coefficientTangential - species.coefficientRadial) * change;
  const centre: RingCentre = typeof input.rings === 'number' ? ringCentreFor(input.rings) : input.rings;
  // Drawn with the pith below, that is heart side down; turned over at the end where it is up.
  const flat = (level: number): SectionPoint[] =>
    Array.from({ length: POINTS + 1 }, (_, i) => {
      const y = -width / 2 + (width * i) / POINTS;
      const [u, w] = [y - centre.offset, level + Math.abs(centre.distance)];
      const [r, theta] = [Math.hypot(u, w) * (1 + radial), Math.atan2(u, w) * (1 + turn)];
      return [r * Math.sin(theta) + centre.offset, r * Math.cos(theta) - Math.abs(centre.distance)];
    });
  const bend = bowOf(species, input);
  const faces = [thickness / 2, 0, -thickness / 2].map((level) => {
    const points = flat(level).map(([y, z]): SectionPoint => [y, input.heartUp ? -z : z]);
    return points.map(([y, z]): SectionPoint => [y, z - (bend * y * y) / 2]);
  });
  const [first, middle, last] = faces as [SectionPoint[], SectionPoint[], SectionPoint[]];
  const [upper, lower] = input.heartUp ? [last, first] : [first, last];
  const level = levelling(middle);
  return { upper: upper.map(level), middle: middle.map(level), lower: lower.map(level) };
}

/** Curvature, 1/mm, from a slope of moisture: the wetter upper side is longer and the board crowns. */
function bowOf(species: Species, input: CupInput): number {
  const coefficient = (species.coefficientTangential + species.coefficientRadial) / 2;
  return coefficient * (input.moistureSlope ?? 0);
}

/** Turns and shifts a section so that the ends of this line are level and in the middle. */
function levelling(line: readonly SectionPoint[]): (point: SectionPoint) => SectionPoint {
  const [a, b] = [line[0] ?? [0, 0], line.at(-1) ?? [0, 0]];
  const angle = Math.atan2(b[1] - a[1], b[0] - a[0]);
  const [cos, sin] = [Math.cos(-angle), Math.sin(-angle)];
  const middle = [(a[0] + b[0]) / 2, (a[1] + b[1]) / 2] as const;
  return ([y, z]) => {
    const [u, w] = [y - middle[0], z - middle[1]];
    return [u * cos - w * sin, u * sin + w * cos];
  };
}

/** How far the mid-line leaves its chord, mm; a crown (middle high) is positive, a hollow negative. */
export function cupHeight(section: { middle: readonly SectionPoint[] }): number {
  const heights = section.middle.map(([, z]) => z);
  const [high, low] = [Math.max(...heights), Math.min(...heights)];
  return high >= -low ? high : low;
}
