import { density, type Species } from '../wood/species';
import { MATERIALS } from './material';
import { type Part, woodOf } from './part';

/** m³ of a part as it is built: tenons with it, tapers, mortises and notches taken out. */
export const partVolume = (part: Part): number => part.volume;

/**
 * kg at a moisture of about 12 % or less; what is bought in as its seller says, else by its material.
 *
 * @param species of the parts that are of no other
 */
export function partWeight(part: Part, species: Species, moisturePercent: number): number {
  if (part.weighs !== undefined) return part.weighs;
  if (part.material) return partVolume(part) * MATERIALS[part.material].density;
  return partVolume(part) * density(woodOf(part, species), moisturePercent);
}

/** m/s² */
export const GRAVITY = 9.81;

/** kg of some parts together, at a moisture. */
export const weightOf = (parts: readonly Part[], species: Species, moisturePercent: number): number =>
  parts.reduce((sum, part) => sum + partWeight(part, species, moisturePercent), 0);
