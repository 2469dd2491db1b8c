import { describe, expect, it } from 'vitest';
import { blanketChest, bookcase, caseOf, sideboard } from '../../../../tests/fixtures/cases';
import { demoJob, shop } from '../../../../tests/fixtures/demo';
import { demandOf } from '../../layout/demand';
import type { Species } from '../../wood/species';
import { findSpecies } from '../../wood/species';
import type { CasePiece } from '../piece';
import type { CaseForm } from './form';

const demandFor = (form: CaseForm, piece: CasePiece = caseOf(form)) =>
  demandOf(piece, { ...demoJob('2-long-table'), form }, shop).panels;
const lengths = (form: CaseForm, ids: readonly string[]) =>
  ids.reduce((sum, id) => sum + (caseOf(form).parts.find((part) => part.id === id)?.size.length ?? Number.NaN), 0);
const grained = (form: CaseForm, grain: CaseForm['carcass']['grain']): CaseForm => ({
  ...form,
  carcass: { ...form.carcass, across: form.carcass.sides, grain },
});

describe('grain that runs on from board to board', () => {
  it.each([
    ['over', ['side-left', 'top', 'side-right'], ['A', 'B', 'C']],
    ['round', ['side-left', 'top', 'side-right', 'bottom'], ['A', 'B', 'C', 'D']],
  ] as const)('%s: the boards are one panel, as long as all of them with a cut between', (grain, ids, letters) => {
    const form = grained(sideboard, grain);
    const panels = demandFor(form);
    const [whole] = panels;
    expect(panels.filter(({ id }) => (ids as readonly string[]).includes(id))).toHaveLength(1);
    const more = (whole?.rough.length ?? 0) - lengths(form, ids);
    // What is left at both ends, and a saw's width and a little for every cut between.
    expect(more).toBeGreaterThan(3 * (ids.length - 1));
    expect(more).toBeLessThan(shop.allowances.panelLength + 15 * ids.length);
    // Lettered in the order in which it is crosscut.
    expect(whole?.name).toBe(['Side, left', ...letters.slice(1)].join(' + '));
    expect(ids.map((id) => caseOf(form).parts.find((part) => part.id === id)?.letter)).toEqual(letters);
  });

  it('round the front of a chest: end, front wall, end', () => {
    const form = grained(blanketChest, 'over');
    const [whole] = demandFor(form);
    const more = (whole?.rough.length ?? 0) - lengths(form, ['side-left', 'bottom', 'side-right']);
    expect(more).toBeGreaterThan(6);
    expect(more).toBeLessThan(shop.allowances.panelLength + 45);
  });

  it('a top of another wood is glued up by itself', () => {
    const piece = caseOf(grained(bookcase, 'over'));
    const ash = findSpecies('ash-white', []) as Species;
    const mixed = { ...piece, parts: piece.parts.map((part) => (part.id === 'top' ? { ...part, wood: ash } : part)) };
    const ids = demandFor(bookcase, mixed).map(({ id }) => id);
    expect(ids).toContain('top');
    expect(ids).not.toContain('side-right');
  });

  it('boards of two thicknesses are stopped, and made alike', () => {
    const form = grained(sideboard, 'over');
    const thick = { ...form, carcass: { ...form.carcass, across: form.carcass.sides + 4 } };
    expect(caseOf(thick).problems.map(({ where, mends }) => [where, mends])).toEqual([
      ['form.carcass.across', form.carcass.sides],
    ]);
    expect(caseOf(form).problems).toEqual([]);
  });
});
