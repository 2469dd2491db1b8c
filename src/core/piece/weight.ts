import { density, type Species } from '../wood/species';
import type { Part } from './part';

/** m³ of a part as it stands in the piece, tenons included, the taper taken off. */
export function partVolume(part: Part): number {
  const { length, width, thickness } = part.size;
  if (!part.taper) return length * width * thickness * 1e-9;
  const { foot, from } = part.taper;
  const straight = (length - from) * width * thickness;
  // A frustum from the leg's section to the foot.
  const tapered = (from / 3) * (width * thickness + foot * foot + Math.sqrt(width * thickness) * foot);
  return (straight + tapered) * 1e-9;
}

/** kg at a moisture of about 12 % or less. */
export function partWeight(part: Part, species: Species, moisturePercent: number): number {
  return partVolume(part) * density(species, moisturePercent);
}
