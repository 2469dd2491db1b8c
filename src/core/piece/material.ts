import type { Material, Part } from './part';

/** Density, kg/m³, and how stiff it is along itself, MPa; handbook values, from memory. */
export const MATERIALS: Readonly<Record<Material, { name: string; density: number; modulus: number }>> = {
  steel: { name: 'Steel', density: 7850, modulus: 200_000 },
  glass: { name: 'Glass', density: 2500, modulus: 70_000 },
  sheet: { name: 'Veneered sheet', density: 680, modulus: 4_500 },
  resin: { name: 'Resin', density: 1120, modulus: 3_000 },
};

/** A part that the shop makes of wood; it moves with the seasons, is cut from boards and is on the cut list. */
export const isMade = (part: Pick<Part, 'material'>): boolean => part.material === undefined;

export const madeParts = ({ parts }: { parts: readonly Part[] }): readonly Part[] => parts.filter(isMade);
