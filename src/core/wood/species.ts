import * as v from 'valibot';
import { SPECIES_ROWS, type Species } from './species-table';

export type { Species };

const SOURCES = {
  'wood-handbook': 'Wood Handbook (USDA Forest Products Laboratory), ch. 4, 5 and 13; values from memory',
  'din-68100': 'DIN 68100, differential swelling; values from memory',
  'panel-products': 'Wood Handbook ch. 12 and general data of makers of sheets; values from memory',
} as const;

/** Where a species' values come from; the workshop's own say it themselves. */
export const speciesSource = (species: Species): string =>
  species.source === 'own' ? (species.sourceNote ?? 'the workshop’s own values') : SOURCES[species.source];

const number = (from: number, to: number, what: string) =>
  v.pipe(
    v.number(`${what} must be a number`),
    v.minValue(from, `${what}: at least ${from}`),
    v.maxValue(to, `${what}: at most ${to}`),
  );
const text = (longest: number) => v.pipe(v.string(), v.trim(), v.maxLength(longest, `at most ${longest} letters`));

/** A wood of the workshop's own, or its own values for one of the table: then it has that one's id. */
export const OwnSpeciesSchema = v.pipe(
  v.object({
    id: v.pipe(
      v.string(),
      v.regex(/^[a-z0-9]+(-[a-z0-9]+)*$/, 'an id has small letters, figures and hyphens'),
      v.maxLength(80),
    ),
    commonName: v.pipe(text(80), v.nonEmpty('a wood needs a name')),
    botanicalName: text(120),
    kind: v.picklist(['hardwood', 'softwood']),
    shrinkageRadial: v.nullable(number(0.5, 20, 'radial shrinkage')),
    shrinkageTangential: v.nullable(number(0.5, 25, 'tangential shrinkage')),
    shrinkageVolumetric: v.nullable(number(1, 35, 'volumetric shrinkage')),
    fibreSaturation: number(15, 40, 'fibre saturation'),
    coefficientRadial: number(0.0002, 0.008, 'the radial coefficient'),
    coefficientTangential: number(0.0003, 0.01, 'the tangential coefficient'),
    specificGravity: number(0.1, 1.4, 'specific gravity'),
    modulusOfElasticity: number(1000, 30000, 'stiffness'),
    modulusOfRupture: number(10, 300, 'strength'),
    outdoorDurability: v.picklist(['low', 'moderate', 'high']),
    source: v.literal('own'),
    sourceNote: v.pipe(text(300), v.nonEmpty('say where the values come from')),
  }),
  v.forward(
    v.partialCheck(
      [['coefficientRadial'], ['coefficientTangential']],
      (s) => s.coefficientTangential >= s.coefficientRadial,
      'wood moves more along its rings than across them: is it the other way round?',
    ),
    ['coefficientTangential'],
  ),
);
export type OwnSpecies = v.InferOutput<typeof OwnSpeciesSchema>;

export const ALL_SPECIES: readonly Species[] = SPECIES_ROWS;

const tables = new WeakMap<readonly OwnSpecies[], { all: readonly Species[]; byId: ReadonlyMap<string, Species> }>();
const NONE: readonly OwnSpecies[] = [];

function tableWith(own: readonly OwnSpecies[]) {
  const known = tables.get(own);
  if (known) return known;
  const byId = new Map<string, Species>(SPECIES_ROWS.map((species) => [species.id, species]));
  for (const species of own) byId.set(species.id, species);
  const all = [...byId.values()];
  const table = { all, byId };
  tables.set(own, table);
  return table;
}

/** The shipped table with the workshop's own woods in it, its own values before the table's. */
export const speciesWith = (own: readonly OwnSpecies[]): readonly Species[] => tableWith(own).all;

/** Of a list of species, those that boards are of, and those that are sold as sheets. */
export const solidWoods = (all: readonly Species[]): Species[] => all.filter(({ sheet }) => !sheet);
export const sheetWoods = (all: readonly Species[]): Species[] => all.filter(({ sheet }) => sheet);

export function findSpecies(id: string, own: readonly OwnSpecies[] = NONE): Species | undefined {
  return tableWith(own).byId.get(id);
}

/** kg/m³ at a moisture of about 12 % or less: 1000·G₁₂·(1 + M/100) (Wood Handbook ch. 4). */
export function density(species: Species, moisturePercent: number): number {
  return 1000 * species.specificGravity * (1 + moisturePercent / 100);
}
