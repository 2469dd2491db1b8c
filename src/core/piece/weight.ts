import { density, type Species } from '../wood/species';
import type { Part } from './part';

/** m³ of a part as it stands in the piece: tenons with it, tapers, mortises and notches taken out. */
export const partVolume = (part: Part): number => part.volume;

/** kg at a moisture of about 12 % or less. */
export function partWeight(part: Part, species: Species, moisturePercent: number): number {
  return partVolume(part) * density(species, moisturePercent);
}
