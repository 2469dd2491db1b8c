import { type ChangeOfDimension, dimensionalChange } from './movement';
import { tangentialShare } from './rings';
import type { Species } from './species';

export type MovementSchool = 'coefficients' | 'swelling' | 'thumb';

/**
 * Differential swelling q, % of the dimension per % of moisture, turned to the face. The DIN 68100 rows of the species
 * table are such values; for the others it follows from the shrinkage, S/(FSP·(1 − S/100)), the swelling from oven-dry to
 * fibre saturation shared evenly (common practice), or, where none is published, from the coefficient.
 */
export function differentialSwelling(
  species: Species,
  rings: ChangeOfDimension['ringAngle'],
  width = 0,
): { percent: number; published: boolean } {
  const one = (coefficient: number, shrinkage: number | null) =>
    species.source === 'din-68100' || shrinkage === null
      ? 100 * coefficient
      : shrinkage / (1 - shrinkage / 100) / species.fibreSaturation;
  const share = tangentialShare(rings, width);
  return {
    percent:
      one(species.coefficientTangential, species.shrinkageTangential) * share +
      one(species.coefficientRadial, species.shrinkageRadial) * (1 - share),
    published: species.source === 'din-68100',
  };
}

/** The rule of thumb: an eighth of an inch a foot of flat-sawn width from dry season to wet, half that when quartered. */
export const THUMB = { flat: 1 / 96, quarter: 1 / 192, swing: 4 } as const;

/** What each way of reckoning says, with the words it is shown by. */
export const MOVEMENT_SCHOOLS: Record<
  MovementSchool,
  { name: string; reason: string; source: string; change: (change: ChangeOfDimension) => number }
> = {
  coefficients: {
    name: 'Coefficients',
    reason: 'Dimensional-change coefficients of the handbook between 6 and 14 %, its shrinkages outside. The default.',
    source: 'Wood Handbook ch. 13, from memory',
    change: dimensionalChange,
  },
  swelling: {
    name: 'Swelling',
    reason: 'Differential swelling in % per %, as European practice has it: one straight line up to fibre saturation.',
    source: 'DIN 68100 and similar, from memory',
    change: (change) => {
      const { dimension, species, ringAngle } = change;
      const held = (m: number) => Math.min(Math.max(m, 0), species.fibreSaturation);
      const { percent } = differentialSwelling(species, ringAngle, dimension);
      return (dimension * percent * (held(change.toMoisture) - held(change.fromMoisture))) / 100;
    },
  },
  thumb: {
    name: 'Rule of thumb',
    reason: 'An eighth of an inch a foot from dry season to wet, whatever the wood and the air; half of it quartered.',
    source: 'common practice',
    change: ({ dimension, ringAngle, fromMoisture, toMoisture }) => {
      const share = tangentialShare(ringAngle, dimension);
      // The rule knows two seasons only; they are taken 4 % apart, so that it can be read on any day.
      const perPercent = (THUMB.flat * share + THUMB.quarter * (1 - share)) / THUMB.swing;
      return dimension * perPercent * (toMoisture - fromMoisture);
    },
  },
};
