import type { Species } from './species';

/** The moisture range in which the handbook's straight-line coefficients hold, %. */
export const COEFFICIENT_RANGE = { from: 6, to: 14 } as const;

/**
 * Change of a face dimension per unit of it and per % of moisture, C(φ) = C_T·cos²φ + C_R·sin²φ: the two principal
 * strains turned to the board's axes.
 *
 * @param ringAngle degrees between the ring tangent and the face: 0 flat-sawn, 90 quarter-sawn
 */
export function movementCoefficient(species: Species, ringAngle: number): number {
  const phi = (ringAngle * Math.PI) / 180;
  return species.coefficientTangential * Math.cos(phi) ** 2 + species.coefficientRadial * Math.sin(phi) ** 2;
}

/** The coefficient through the thickness of the same board: the rings stand at right angles to it. */
export function thicknessCoefficient(species: Species, ringAngle: number): number {
  return movementCoefficient(species, 90 - ringAngle);
}

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
function shrinkageAt(species: Species, ringAngle: number): number | undefined {
  if (species.shrinkageTangential === null || species.shrinkageRadial === null) return undefined;
  if (!shrinkageAgrees(species)) return undefined;
  const phi = (ringAngle * Math.PI) / 180;
  return species.shrinkageTangential * Math.cos(phi) ** 2 + species.shrinkageRadial * Math.sin(phi) ** 2;
}

/**
 * How much a dimension across the grain changes between two moistures, mm (positive grows).
 *
 * Between 6 and 14 %: ΔD = D·C·(M₂ − M₁). Outside: ΔD = D·(M₂ − M₁) / (100·FSP/S − FSP + M₁), D being the size at
 * M₁. No change above fibre saturation. Where no shrinkage is published, or it disagrees with the coefficient, the coefficient
 * gives an equivalent one, by C = 1 / (100·FSP/S − FSP + 10), so that the two forms meet. Source: Wood Handbook ch. 13, from memory.
 *
 * @param change dimension mm, ringAngle degrees (0 flat, 90 quarter), moistures %
 * @example dimensionalChange({ dimension: 232, species: whiteFir, ringAngle: 0, fromMoisture: 8, toMoisture: 11 }) // 1.705
 */
export function dimensionalChange(change: {
  dimension: number;
  species: Species;
  ringAngle: number;
  fromMoisture: number;
  toMoisture: number;
}): number {
  const { dimension, species, ringAngle } = change;
  const fsp = species.fibreSaturation;
  const from = Math.min(Math.max(change.fromMoisture, 0), fsp);
  const to = Math.min(Math.max(change.toMoisture, 0), fsp);
  const coefficient = movementCoefficient(species, ringAngle);
  const inside = (m: number) => m >= COEFFICIENT_RANGE.from && m <= COEFFICIENT_RANGE.to;
  if (inside(from) && inside(to)) return dimension * coefficient * (to - from);

  const shrinkage = shrinkageAt(species, ringAngle);
  const root = shrinkage !== undefined ? (100 * fsp) / shrinkage - fsp : 1 / coefficient - 10;
  return (dimension * (to - from)) / (root + from);
}
