import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { type CornerInput, isInserted, LEAST_BACK_WALL, legCorner } from './leg-corner';

const plain = { tenonLength: null, tenonThickness: null, haunch: 'none', angled: 'in-line', pegs: 'none' } as const;
/** What is let into the leg, for those that are. */
const inserted = (input: CornerInput) => {
  const corner = legCorner(input);
  if (!isInserted(corner)) throw new Error(corner.kind);
  return corner;
};

const by = (given: Partial<Omit<CornerInput, 'choice'>> & { choice?: Partial<CornerInput['choice']> }) =>
  inserted({
    section: 65,
    apronThickness: 22,
    apronHeight: 90,
    reveal: 5,
    ...given,
    choice: { ...plain, corner: 'mortise-tenon', tenonSchool: 'third', meeting: 'auto', ...given.choice },
  });

describe('two tenons in one leg', () => {
  it('in a thick leg end before they would meet, at two thirds of it', () => {
    const corner = by({});
    expect(corner.meeting).toBe('clear');
    expect(corner.tenon.length).toBe(43.5);
    expect(corner.clearance).toBeGreaterThan(0);
  });

  it('in a thinner leg are shortened, in a thin one mitred, and say why', () => {
    expect(by({ section: 55 }).meeting).toBe('shortened');
    const thin = by({ section: 45, apronThickness: 25 });
    expect(thin.meeting).toBe('mitred');
    expect(thin.reason.join('')).toMatch(/mitred/);
    expect(thin.tenon.length).toBeGreaterThan(
      by({ section: 45, apronThickness: 25, choice: { meeting: 'shortened' } }).tenon.length,
    );
  });

  it('staggered, each is half as high and goes to the back wall', () => {
    const one = by({ choice: { meeting: 'staggered', tenonLength: null } });
    expect(one.tenon.width).toBeLessThan(by({}).tenon.width * 0.55);
    expect(one.clearance).toBe(0);
  });

  it('a length of the maker’s own is kept, and the collision is measured', () => {
    const corner = by({ section: 55, choice: { meeting: 'shortened', tenonLength: 45 } });
    expect(corner.tenon.length).toBe(45);
    // c + t/2 = 5 + 11 + 3.75 = 19.75: square tenons may go 55 − 19.75 = 35.25 in.
    expect(corner.clearance).toBeCloseTo(35.25 - 45, 9);
  });

  it('by rule never collide, whatever the sizes, and never run out of the leg', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 35, max: 150, noNaN: true }),
        fc.double({ min: 16, max: 40, noNaN: true }),
        fc.double({ min: 40, max: 200, noNaN: true }),
        fc.double({ min: 0, max: 12, noNaN: true }),
        fc.constantFrom('third', 'half'),
        fc.constantFrom('mortise-tenon', 'loose-tenon'),
        (section, apronThickness, apronHeight, reveal, tenonSchool, corner) => {
          fc.pre(reveal + apronThickness < section - LEAST_BACK_WALL);
          const joint = inserted({
            section,
            apronThickness,
            apronHeight,
            reveal,
            choice: {
              corner: corner as 'mortise-tenon',
              tenonSchool: tenonSchool as 'third',
              meeting: 'auto',
              ...plain,
            },
          });
          expect(joint.clearance).toBeGreaterThanOrEqual(-1e-9);
          expect(joint.wallBehind).toBeGreaterThanOrEqual(LEAST_BACK_WALL - 1e-9);
          expect(joint.tenon.topSet + joint.tenon.width * joint.tenon.count).toBeLessThanOrEqual(apronHeight);
          expect(joint.tenon.thickness).toBeLessThan(apronThickness);
        },
      ),
    );
  });
});
