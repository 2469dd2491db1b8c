import { SPECIES_ROWS, type Species } from './species-table';

export type { Species };

export const SPECIES_SOURCE: Record<Species['source'], string> = {
  'wood-handbook': 'Wood Handbook (USDA Forest Products Laboratory), ch. 4, 5 and 13; values from memory',
  'din-68100': 'DIN 68100, differential swelling; values from memory',
};

const byId = new Map(SPECIES_ROWS.map((species) => [species.id, species]));

export const ALL_SPECIES: readonly Species[] = SPECIES_ROWS;

export function findSpecies(id: string): Species | undefined {
  return byId.get(id);
}

/** kg/m³ at a moisture of about 12 % or less: 1000·G₁₂·(1 + M/100) (Wood Handbook ch. 4). */
export function density(species: Species, moisturePercent: number): number {
  return 1000 * species.specificGravity * (1 + moisturePercent / 100);
}
