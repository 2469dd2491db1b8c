import { type Rings, tangentialShare } from './rings';
import type { Species } from './species';

/** The moisture range in which the handbook's straight-line coefficients hold, %. */
export const COEFFICIENT_RANGE = { from: 6, to: 14 } as const;

/**
 * Change along the grain per % of moisture: 0.15 % between green and oven-dry, the middle of the 0.1–0.2 % that the
 * Wood Handbook ch. 4 gives for normal wood (from memory). Too little to allow gaps for, but never quite nothing.
 */
export const LENGTHWISE_COEFFICIENT = 0.0015 / 30;

/**
 * Change of a face dimension per unit of it and per % of moisture, C(φ) = C_T·cos²φ + C_R·sin²φ: the two principal
 * strains turned to the board's axes; from a ring centre the mean of it over the width.
 *
 * @param rings degrees between the ring tangent and the face (0 flat-sawn, 90 quarter-sawn), or where the pith lies
 * @param width of the face in mm, over which a ring centre is averaged
 */
export function movementCoefficient(species: Species, rings: Rings, width = 0): number {
  return turned(species.coefficientTangential, species.coefficientRadial, rings, width);
}

/** The coefficient through the thickness of the same board: the rings stand at right angles to it. */
export function thicknessCoefficient(species: Species, rings: Rings, width = 0): number {
  return turned(species.coefficientRadial, species.coefficientTangential, rings, width);
}

const turned = (tangential: number, radial: number, rings: Rings, width: number) => {
  const share = tangentialShare(rings, width);
  return tangential * share + radial * (1 - share);
};

/** Whether the published shrinkage and coefficient of a species say the same: C = 1 / (100·FSP/S − FSP + 10), to 2 %. */
export function shrinkageAgrees(species: Species): boolean {
  const agrees = (coefficient: number, shrinkage: number | null) =>
    shrinkage !== null &&
    Math.abs(coefficient * ((100 * species.fibreSaturation) / shrinkage - species.fibreSaturation + 10) - 1) < 0.02;
  return (
    agrees(species.coefficientTangential, species.shrinkageTangential) &&
    agrees(species.coefficientRadial, species.shrinkageRadial)
  );
}

/** Shrinkage green to oven-dry, %, turned to the face like the coefficient; undefined where none can be relied on. */
function shrinkageAt(species: Species, rings: Rings, width: number): number | undefined {
  if (species.shrinkageTangential === null || species.shrinkageRadial === null) return undefined;
  if (!shrinkageAgrees(species)) return undefined;
  return turned(species.shrinkageTangential, species.shrinkageRadial, rings, width);
}

export interface ChangeOfDimension {
  /** mm, at the first moisture. */
  dimension: number;
  species: Species;
  /** Degrees, 0 flat and 90 quarter, or where the pith lies. */
  ringAngle: Rings;
  /** %, held between nothing and fibre saturation. */
  fromMoisture: number;
  toMoisture: number;
}

/**
 * How much a dimension across the grain changes between two moistures, mm (positive grows).
 *
 * Between 6 and 14 %: ΔD = D·C·(M₂ − M₁). Outside: ΔD = D·(M₂ − M₁) / (100·FSP/S − FSP + M₁), D being the size at
 * M₁. No change above fibre saturation. Where no shrinkage is published, or it disagrees with the coefficient, the coefficient
 * gives an equivalent one, by C = 1 / (100·FSP/S − FSP + 10), so that the two forms meet. Source: Wood Handbook ch. 13, from memory.
 *
 * @param change dimension mm, ringAngle degrees (0 flat, 90 quarter) or a ring centre, moistures %
 * @example dimensionalChange({ dimension: 232, species: whiteFir, ringAngle: 0, fromMoisture: 8, toMoisture: 11 }) // 1.705
 */
export function dimensionalChange(change: ChangeOfDimension): number {
  const { dimension, species, ringAngle } = change;
  const fsp = species.fibreSaturation;
  const from = Math.min(Math.max(change.fromMoisture, 0), fsp);
  const to = Math.min(Math.max(change.toMoisture, 0), fsp);
  const coefficient = movementCoefficient(species, ringAngle, dimension);
  const inside = (m: number) => m >= COEFFICIENT_RANGE.from && m <= COEFFICIENT_RANGE.to;
  if (inside(from) && inside(to)) return dimension * coefficient * (to - from);

  const shrinkage = shrinkageAt(species, ringAngle, dimension);
  const root = shrinkage !== undefined ? (100 * fsp) / shrinkage - fsp : 1 / coefficient - 10;
  return (dimension * (to - from)) / (root + from);
}
