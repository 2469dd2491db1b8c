import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { dimensionalChange } from './movement';
import { MOVEMENT_SCHOOLS, type MovementSchool } from './movement-school';
import { type CalculatorInput, seasonCalculator } from './season-calculator';
import { findSpecies } from './species';

const oak = findSpecies('oak-white')!;
const given: CalculatorInput = {
  ...{
    species: oak,
    width: 900,
    thickness: 25,
    rings: 0 as const,
    now: 9,
    driest: 6.5,
    wettest: 12,
    school: 'coefficients' as const,
  },
};
const amount = (input: CalculatorInput, id: keyof ReturnType<typeof seasonCalculator>['figures']) =>
  seasonCalculator(input).figures[id].quantity.amount;

describe('the quick season', () => {
  it('is the handbook’s movement, both ways from now', () => {
    const change = (toMoisture: number) =>
      dimensionalChange({ dimension: 900, species: oak, ringAngle: 0, fromMoisture: 9, toMoisture });
    expect(amount(given, 'grows')).toBeCloseTo(change(12), 9);
    expect(amount(given, 'shrinks')).toBeCloseTo(-change(6.5), 9);
    expect(amount(given, 'swing')).toBeCloseTo(change(12) - change(6.5), 9);
    const { widths } = seasonCalculator(given);
    expect(widths.wettest - widths.driest).toBeCloseTo(amount(given, 'swing'), 9);
  });

  it('wood wetter than it will ever be again only shrinks, and needs no gap but the last half millimetre', () => {
    const wet = { ...given, now: 14 };
    expect(amount(wet, 'grows')).toBe(0);
    expect(amount(wet, 'gap')).toBe(0.5);
    expect(amount(wet, 'edge')).toBeCloseTo(amount(wet, 'shrinks') / 2, 9);
  });

  it('a slot is a fifth longer than its edge moves; the thickness moves by the other coefficient', () => {
    expect(amount(given, 'slot')).toBeCloseTo(1.2 * amount(given, 'edge'), 9);
    expect(amount(given, 'thickness')).toBeCloseTo(25 * oak.coefficientRadial * 5.5, 9);
    expect(amount({ ...given, rings: 90 }, 'thickness')).toBeCloseTo(25 * oak.coefficientTangential * 5.5, 9);
  });

  it.each(Object.keys(MOVEMENT_SCHOOLS) as MovementSchool[])('%s in force is what its own figure says', (school) => {
    const { figures } = seasonCalculator({ ...given, school });
    expect(figures.swing.quantity.amount).toBeCloseTo(figures[school].quantity.amount, 9);
    expect(figures[school].source).toBe(MOVEMENT_SCHOOLS[school].source);
  });

  it('every figure has a formula, inputs and a source', () => {
    for (const figure of Object.values(seasonCalculator(given).figures)) {
      expect(figure.formula.length).toBeGreaterThan(3);
      expect(figure.inputs.length).toBeGreaterThan(3);
      expect(figure.source.length).toBeGreaterThan(3);
    }
  });

  it('twice the width moves twice as far, whatever the wood, the rings and the air', () => {
    fc.assert(
      fc.property(
        fc.constantFrom('oak-white', 'walnut-black', 'spruce-norway', 'cedar-western-red'),
        fc.integer({ min: 0, max: 90 }),
        fc.tuple(...[1, 2, 3].map(() => fc.double({ min: 2, max: 24, noNaN: true }))),
        fc.double({ min: 20, max: 2000, noNaN: true }),
        (id, rings, moistures, width) => {
          const [driest, now, wettest] = [...moistures].sort((a, b) => a - b) as [number, number, number];
          const input = { ...given, species: findSpecies(id)!, rings, driest, now, wettest, width };
          expect(amount({ ...input, width: 2 * width }, 'swing')).toBeCloseTo(2 * amount(input, 'swing'), 6);
          expect(amount(input, 'swing')).toBeGreaterThanOrEqual(-1e-9);
        },
      ),
    );
  });
});
