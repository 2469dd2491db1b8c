import type { Figure } from '../measure/figure';
import { moisture, movement } from '../measure/quantity';
import { cupHeight, cuppedSection } from './cup';
import { movementCoefficient, thicknessCoefficient } from './movement';
import { MOVEMENT_SCHOOLS, type MovementSchool } from './movement-school';
import { type Rings, ringAngleAt } from './rings';
import { type Species, speciesSource } from './species';

export interface CalculatorInput {
  species: Species;
  /** mm */
  width: number;
  thickness: number;
  rings: Rings;
  /** % now; and the driest and the wettest it will come to. */
  now: number;
  driest: number;
  wettest: number;
  school: MovementSchool;
}

export interface CalculatorResult {
  /** mm wide at each moisture. */
  widths: { driest: number; now: number; wettest: number };
  /** Height of a single board's cup at each end, mm; a crown is positive (heart side up). */
  cup: { driest: number; wettest: number };
  figures: Record<
    'swing' | 'grows' | 'shrinks' | 'edge' | 'slot' | 'gap' | 'thickness' | 'coefficient' | MovementSchool,
    Figure
  >;
}

/** A slot is cut by this much longer than the reckoning asks; common practice. */
const SLOT_RESERVE = 1.2;
/** What is left of a gap in the wettest week, mm; common practice. */
const LEFT_OF_GAP = 0.5;

/** Movement, slot and gap of one board or panel between two airs, without a job. */
export function seasonCalculator(input: CalculatorInput): CalculatorResult {
  const { species, width, thickness, rings, now, driest, wettest, school } = input;
  const { change, source, reason } = MOVEMENT_SCHOOLS[school];
  const to = (toMoisture: number, by = change) =>
    by({ dimension: width, species, ringAngle: rings, fromMoisture: now, toMoisture });
  const grows = Math.max(0, to(wettest));
  const shrinks = Math.max(0, -to(driest));
  const swing = to(wettest) - to(driest);
  const edge = Math.max(grows, shrinks) / 2;
  const cup = (toMoisture: number) =>
    cupHeight(cuppedSection({ width, thickness, species, rings, fromMoisture: now, toMoisture, heartUp: true }));
  const common = [
    { label: 'Width now', quantity: movement(width) },
    { label: 'Moisture now', quantity: moisture(now) },
    { label: 'Driest', quantity: moisture(driest) },
    { label: 'Wettest', quantity: moisture(wettest) },
    {
      label: 'Rings to the face, in the middle',
      quantity: { amount: ringAngleAt(rings, 0), unit: 'degrees' as const },
    },
    {
      label: 'Coefficient C',
      quantity: { amount: movementCoefficient(species, rings, width), unit: 'coefficient' as const },
    },
  ];
  const figure = (id: string, label: string, amount: number, formula: string, more: Partial<Figure> = {}): Figure => ({
    id: `calculator-${id}`,
    label,
    quantity: movement(amount),
    formula,
    inputs: common,
    source: `${source}; ${speciesSource(species)}`,
    ...more,
  });
  const moved = 'D·C·(M₂ − M₁) within 6–14 %; D·(M₂ − M₁) / (100·FSP/S − FSP + M₁) outside';
  const formulas: Record<MovementSchool, string> = {
    coefficients: moved,
    swelling: 'D·q·(M₂ − M₁)/100',
    thumb: 'D · 1/96 flat, 1/192 quartered, for every 4 % between two seasons',
  };
  const bySchool = (by: MovementSchool): Figure =>
    figure(
      by,
      MOVEMENT_SCHOOLS[by].name,
      to(wettest, MOVEMENT_SCHOOLS[by].change) - to(driest, MOVEMENT_SCHOOLS[by].change),
      formulas[by],
      { source: MOVEMENT_SCHOOLS[by].source, limits: MOVEMENT_SCHOOLS[by].reason },
    );
  const practice = { source: 'common practice; geometry' };
  return {
    widths: { driest: width + to(driest), now: width, wettest: width + to(wettest) },
    cup: { driest: cup(driest), wettest: cup(wettest) },
    figures: {
      swing: figure('swing', 'Between driest and wettest', swing, `widest − narrowest; each ${formulas[school]}`, {
        limits: reason,
      }),
      grows: figure('grows', 'Grows from now', grows, formulas[school]),
      shrinks: figure('shrinks', 'Shrinks from now', shrinks, formulas[school]),
      edge: figure('edge', 'Each edge, held in the middle', edge, 'greater of growth and shrinkage ÷ 2', practice),
      slot: figure('slot', 'Travel for a slot at the edge, each way', edge * SLOT_RESERVE, 'each edge · 1.2', practice),
      gap: figure(
        'gap',
        'Gap to leave now, both sides together',
        grows + LEFT_OF_GAP,
        'growth + 0.5 mm left in the wettest week',
        practice,
      ),
      thickness: figure(
        'thickness',
        'In thickness, between driest and wettest',
        thickness * thicknessCoefficient(species, rings, width) * (wettest - driest),
        'thickness · C across the face · (M₂ − M₁)',
      ),
      coefficient: {
        ...figure('coefficient', 'Coefficient C', 0, 'C_T·cos²φ + C_R·sin²φ, averaged over the width'),
        quantity: { amount: movementCoefficient(species, rings, width), unit: 'coefficient' },
      },
      coefficients: bySchool('coefficients'),
      swelling: bySchool('swelling'),
      thumb: bySchool('thumb'),
    },
  };
}
