import { volumeOf } from '../solid/convex';
import { density, type Species } from '../wood/species';
import type { Part } from './part';

/** m³ of a part as it stands in the piece: tenons with it, tapers, mortises and notches taken out. */
export function partVolume(part: Part): number {
  const grown = volumeOf(part.added.map(({ solid }) => solid));
  const taken = volumeOf(part.removed.map(({ solid }) => solid));
  return (volumeOf(part.body) + grown - taken) * 1e-9;
}

/** kg at a moisture of about 12 % or less. */
export function partWeight(part: Part, species: Species, moisturePercent: number): number {
  return partVolume(part) * density(species, moisturePercent);
}
