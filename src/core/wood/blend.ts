import { type Species, speciesSource } from './species';

const DURABILITY = ['low', 'moderate', 'high'] as const;

/** Of so much of a panel’s width, one species. */
export interface Share {
  species: Species;
  /** mm, or any measure of how much of it there is. */
  amount: number;
}

/**
 * Strips of several species glued edge to edge, as if the panel were of one. Widths add up, so what it moves across, its mass
 * and its stiffness along the grain are the means by width; it is as strong, and lasts outdoors, as the weakest of them.
 *
 * @param shares one or more, their amounts greater than nought
 */
export function blend(shares: readonly Share[]): Species {
  const amounts = new Map<Species, number>();
  for (const { species, amount } of shares) amounts.set(species, (amounts.get(species) ?? 0) + amount);
  const parts = [...amounts].map(([species, amount]) => ({ species, amount }));
  const [first] = parts;
  if (!first) throw new Error('a panel of no wood');
  if (parts.length === 1) return first.species;
  const total = parts.reduce((sum, { amount }) => sum + amount, 0);
  const id = parts.map(({ species, amount }) => `${species.id} ${(amount / total).toFixed(4)}`).join(' + ');
  const made = blendOf(id, parts, total);
  blended.set(
    made,
    parts.map(({ species }) => species),
  );
  return made;
}

const blended = new WeakMap<Species, readonly Species[]>();

/** What a species is made of: itself, or the species of its strips. */
export const speciesIn = (species: Species): readonly Species[] => blended.get(species) ?? [species];

function blendOf(id: string, parts: readonly Share[], total: number): Species {
  const mean = (of: (species: Species) => number) =>
    parts.reduce((sum, { species, amount }) => sum + (of(species) * amount) / total, 0);
  const meanOf = (of: (species: Species) => number | null) =>
    parts.some(({ species }) => of(species) === null) ? null : mean((species) => of(species) ?? 0);
  const least = (of: (species: Species) => number) => Math.min(...parts.map(({ species }) => of(species)));
  const names = parts.map(({ species }) => species.commonName);
  const durability = Math.min(...parts.map(({ species }) => DURABILITY.indexOf(species.outdoorDurability)));
  return {
    id,
    commonName: `${names.slice(0, -1).join(', ')} and ${names.at(-1)}`,
    botanicalName: '',
    kind: parts.some(({ species }) => species.kind === 'hardwood') ? 'hardwood' : 'softwood',
    shrinkageRadial: meanOf((species) => species.shrinkageRadial),
    shrinkageTangential: meanOf((species) => species.shrinkageTangential),
    shrinkageVolumetric: meanOf((species) => species.shrinkageVolumetric),
    fibreSaturation: least((species) => species.fibreSaturation),
    coefficientRadial: mean((species) => species.coefficientRadial),
    coefficientTangential: mean((species) => species.coefficientTangential),
    specificGravity: mean((species) => species.specificGravity),
    modulusOfElasticity: mean((species) => species.modulusOfElasticity),
    modulusOfRupture: least((species) => species.modulusOfRupture),
    outdoorDurability: DURABILITY[durability] ?? 'low',
    source: 'own',
    sourceNote: `the mean of its strips by width: ${[...new Set(parts.map(({ species }) => speciesSource(species)))].join('; ')}`,
  };
}
