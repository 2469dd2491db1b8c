import { describe, expect, it } from 'vitest';
import { type CaseForm, findSpecies, housingDepth, judgeRestraint, shelfSag, shelfSecondMoment } from '@/core';
import { bookcase, caseInSeason, caseOf, sideboard } from '../fixtures/cases';

const INCH = 25.4;
/** N/mm of a pound on a foot. */
const POUND_PER_FOOT = 4.4482216 / 304.8;

describe('shelves: 3/4 × 10 in, 36 in between pins, 30 lb a foot (5wL⁴/384EI, Roark; worked by hand)', () => {
  const shelf = { span: 36 * INCH, breadth: 10 * INCH, thickness: 0.75 * INCH, lip: null };
  const psi = (million: number) => million * 1e6 * 0.0068947573;

  it.each([
    // Moduli of the Wood Handbook, table 5–3, from memory.
    ['red oak', 1.82, 0.085],
    ['eastern white pine', 1.24, 0.125],
  ])('%s sags %f → %f in', (_, modulus, inches) => {
    // Shear, which the worked figure leaves out, adds about one in a hundred.
    const sag = shelfSag(shelf, psi(modulus), 30 * POUND_PER_FOOT) / INCH;
    expect(sag).toBeGreaterThan(inches * 0.99);
    expect(sag).toBeLessThan(inches * 1.03);
  });

  it('its second moment is 0.352 in⁴, with a lip 3/4 × 1 1/2 in glued under it 1.80 in⁴: about a fifth of the sag', () => {
    const lipped = { ...shelf, lip: { depth: 1.5 * INCH, thickness: 0.75 * INCH } };
    expect(shelfSecondMoment(shelf) / INCH ** 4).toBeCloseTo(0.352, 3);
    expect(shelfSecondMoment(lipped) / INCH ** 4).toBeCloseTo(1.8, 2);
    const share = shelfSag(lipped, psi(1.82), 1) / shelfSag(shelf, psi(1.82), 1);
    expect(share).toBeGreaterThan(0.19);
    expect(share).toBeLessThan(0.22);
  });
});

describe('a case of solid wood moves in its depth', () => {
  it('a plinth fixed in front and slotted behind must let go as much as the wood between moves: 0.00376 a per cent in white oak', () => {
    // Wood Handbook, table 13–5, flat-sawn white oak; 450 mm move 10.2 mm between 6 and 12 %.
    const coefficient = findSpecies('oak-white')?.coefficientTangential ?? 0;
    expect(coefficient).toBeCloseTo(0.00376, 5);
    const strain = 0.00376 * 6;
    const piece = caseOf(sideboard);
    const bodies = piece.parts.map(({ id, name, frame: { at } }) => ({
      id,
      name,
      at: { x: at[0], y: at[1], z: at[2] },
    }));
    const across = new Set(['side-left', 'side-right', 'top', 'bottom', 'upright-1', 'upright-2']);
    const { ledger } = judgeRestraint(
      bodies,
      piece.joints.flatMap(({ ties }) => ties),
      [{ day: 1, strain: (body, axis) => (axis === 'y' && across.has(body) ? strain : 0) }],
    );
    const line = ledger.find(({ tie }) => tie === 'plinth-back/bottom');
    // From screw to screw: 450 less 20 of set-back less half a board at either end. What the corners of the plinth give is aside.
    const between = 450 - 20 - 20;
    expect(Math.max(line?.plus.need ?? 0, line?.minus.need ?? 0)).toBeCloseTo(strain * between, 1);
    expect(strain * 450).toBeCloseTo(10.2, 1);
  });

  const back = (own: CaseForm['back']): CaseForm => ({ ...bookcase, back: own });
  const plinth = (travel: number, depth = 450): CaseForm => ({
    ...sideboard,
    depth,
    stand: { kind: 'plinth', height: 90, thickness: 20, setBack: 20, travel },
  });
  const boards = { kind: 'boards', count: 8, thickness: 12, edges: 'lapped', lap: 8, gap: 2 } as const;
  const panel = { kind: 'panel', thickness: 12, hold: 'middle', room: 5 } as const;
  const narrow = { ...bookcase, width: 300 };

  // Common practice: what is fixed along the grain or in its middle lives, what is fixed across it does not.
  it.each<[string, string, CaseForm, 'lives' | 'fights']>([
    ['a sheet behind, glued all round', 'oak-white', back({ kind: 'sheet', thickness: 6 }), 'lives'],
    ['lapped boards, each in its middle', 'oak-white', back(boards), 'lives'],
    ['nothing behind', 'oak-white', back({ kind: 'open' }), 'lives'],
    ['a solid panel behind, glued all round', 'oak-white', back({ ...panel, hold: 'all-round' }), 'fights'],
    [
      'a solid panel behind, glued all round, of a wood that moves little',
      'mahogany-true',
      back({ ...panel, hold: 'all-round' }),
      'fights',
    ],
    ['a narrow solid panel in its middle with room', 'oak-white', { ...narrow, back: panel }, 'lives'],
    [
      'a narrow solid panel in its middle without room',
      'oak-white',
      { ...narrow, back: { ...panel, room: 0 } },
      'fights',
    ],
    ['a wide solid panel in its middle, of more than its rabbets can hide', 'beech-american', back(panel), 'fights'],
    ['a plinth with long slots', 'oak-white', plinth(14), 'lives'],
    ['a plinth with short slots', 'oak-white', plinth(3), 'fights'],
    ['a plinth screwed fast before and behind', 'oak-white', plinth(0), 'fights'],
    ['a deep case on a plinth whose slots were right for a shallow one', 'oak-white', plinth(12, 700), 'fights'],
    ['a shallow case on a plinth with short slots', 'oak-white', plinth(6, 200), 'lives'],
    [
      'dovetails all round',
      'beech-american',
      { ...sideboard, back: { kind: 'open' }, stand: { kind: 'sides', lift: 0 } },
      'lives',
    ],
  ])('%s (%s)', (_, species, form, outcome) => {
    const { traps } = caseInSeason(form, species).restraint;
    expect(traps.length > 0 ? 'fights' : 'lives').toBe(outcome);
  });
});

describe('common practice', () => {
  it('a housing is a third of the side deep', () => {
    expect(housingDepth(20)).toBe(7);
    expect(housingDepth(24)).toBe(8);
  });
});
