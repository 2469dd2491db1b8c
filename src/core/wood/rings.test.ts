import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { movementCoefficient, thicknessCoefficient } from './movement';
import { differentialSwelling, MOVEMENT_SCHOOLS } from './movement-school';
import { ringAngleAt, ringCentreFor, tangentialShare } from './rings';
import { findSpecies } from './species';

const oak = findSpecies('oak-white')!;
const beech = findSpecies('beech-european')!;

describe('rings across a board', () => {
  it('a ring centre far away is one ring angle', () => {
    for (const angle of [0, 20, 45, 70, 89]) {
      const far = ringCentreFor(angle, 1e6);
      expect(movementCoefficient(oak, far, 200)).toBeCloseTo(movementCoefficient(oak, angle), 5);
    }
  });

  it('the mean over the width is the integral of the angle’s coefficient', () => {
    fc.assert(
      fc.property(
        fc.record({
          distance: fc.double({ min: 5, max: 400, noNaN: true }),
          offset: fc.double({ min: -300, max: 300, noNaN: true }),
        }),
        fc.double({ min: 20, max: 400, noNaN: true }),
        (centre, width) => {
          const n = 4000;
          let sum = 0;
          for (let i = 0; i < n; i += 1) {
            const angle = ringAngleAt(centre, -width / 2 + ((i + 0.5) * width) / n);
            sum += movementCoefficient(oak, angle) / n;
          }
          expect(movementCoefficient(oak, centre, width)).toBeCloseTo(sum, 7);
        },
      ),
    );
  });

  it('a wide board cut near the pith is flat in its middle and quartered at its edges', () => {
    const centre = { distance: 40, offset: 0 };
    expect(ringAngleAt(centre, 0)).toBe(0);
    expect(ringAngleAt(centre, 150)).toBeGreaterThan(70);
    const wide = movementCoefficient(oak, centre, 300);
    expect(wide).toBeLessThan(movementCoefficient(oak, centre, 60));
    expect(wide).toBeGreaterThan(oak.coefficientRadial);
  });

  it('width and thickness share the two coefficients between them', () => {
    for (const rings of [0, 30, 90, { distance: 60, offset: 25 }]) {
      const sum = movementCoefficient(oak, rings, 120) + thicknessCoefficient(oak, rings, 120);
      expect(sum).toBeCloseTo(oak.coefficientTangential + oak.coefficientRadial, 12);
    }
    expect(tangentialShare({ distance: 0, offset: 40 }, 100)).toBe(0);
  });
});

describe('schools of reckoning', () => {
  const change = { dimension: 900, species: oak, ringAngle: 0, fromMoisture: 8, toMoisture: 12 };

  it('European beech swells 0.41 % per % along the rings and 0.20 across them (DIN 68100, from memory)', () => {
    expect(differentialSwelling(beech, 0)).toEqual({ percent: expect.closeTo(0.41, 9), published: true });
    expect(differentialSwelling(beech, 90).percent).toBeCloseTo(0.2, 9);
    expect(MOVEMENT_SCHOOLS.swelling.change({ ...change, species: beech, dimension: 1000 })).toBeCloseTo(16.4, 9);
  });

  it('coefficients and swelling agree within a tenth in the range of furniture', () => {
    const [a, b] = (['coefficients', 'swelling'] as const).map((school) => MOVEMENT_SCHOOLS[school].change(change));
    expect(Math.abs(a! / b! - 1)).toBeLessThan(0.1);
  });

  it('the rule of thumb: an eighth of an inch a foot between the seasons, half of it quartered (common practice)', () => {
    const foot = { ...change, dimension: 304.8 };
    expect(MOVEMENT_SCHOOLS.thumb.change(foot)).toBeCloseTo(3.175, 9);
    expect(MOVEMENT_SCHOOLS.thumb.change({ ...foot, ringAngle: 90 })).toBeCloseTo(3.175 / 2, 9);
  });
});
