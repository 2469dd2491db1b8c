import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { describe, expect, it } from 'vitest';
import { frameOfCase } from '@/core/check/case-racking';
import { solveFrame } from '@/core/check/plane-frame';
import type { CaseForm } from '@/core/piece/case/form';
import { bookcase, caseOf, sideboard } from '../fixtures/cases';
import { CONSTRUCTIONS, derived } from '../fixtures/constructions';

// Finite elements by CalculiX (Debian's calculix-ccx), run by `npm run finite-elements`: frames of quadratic beams with
// stiff joints, and an orthotropic plate of quadratic shells. The file holds what came out.
const recorded: { results: Record<string, { piece: string; value: number }> } = JSON.parse(
  readFileSync(join(import.meta.dirname, '../fixtures/finite-elements.json'), 'utf8'),
);

describe('beside finite elements', () => {
  it.each([
    ['sway-along-legs', 'stiffness.sway-along', 1],
    ['sway-along-tapered', 'stiffness.sway-along', 1],
    ['sway-along-trestle', 'stiffness.sway-along', 1],
    ['sway-along-crossed', 'stiffness.sway-along', 1],
    ['bow-of-apron', 'stiffness.apron-bow', 1],
    // After years: twice what it is at once.
    ['sag-of-top', 'stiffness.top-sag', 2],
  ])('%s is what %s says to within a twentieth', (key, id, creep) => {
    const { piece, value } = recorded.results[key]!;
    const { document } = CONSTRUCTIONS.find((c) => c.name === piece)!;
    const check = derived(document).checks.find((c) => c.id === id)!;
    expect(check.value.amount / creep / value).toBeGreaterThan(0.95);
    expect(check.value.amount / creep / value).toBeLessThan(1.05);
  });

  it('a leaf drawn out gives what bending and the play of its keys come to, to within a twentieth', () => {
    const { piece, value } = recorded.results['leaf-drawn-out']!;
    const { document } = CONSTRUCTIONS.find((c) => c.name === piece)!;
    const { inputs } = derived(document).checks.find((c) => c.id === 'slides.give')!.figure!;
    const part = (label: string) => {
      const quantity = inputs.find((input) => input.label === label)!.quantity;
      return typeof quantity === 'object' ? quantity.amount : Number.NaN;
    };
    const sum = part('Bending') + part('Tilting by it');
    expect(sum / value).toBeGreaterThan(0.95);
    expect(sum / value).toBeLessThan(1.05);
  });
});

describe('a case pushed sideways, beside plane stress of its whole front', () => {
  /** mm, under the push that the elements were given. */
  const sway = (form: CaseForm, brace = 0) => {
    const made = frameOfCase(caseOf(form), 12_000, 150, brace);
    return made ? (solveFrame(made.frame)?.[made.pushed]?.[0] ?? Number.NaN) : Number.NaN;
  };
  const cells = sideboard.inside.cells
    .filter(({ of }) => of === null || of === 'all')
    .map((cell) => (cell.of === null ? cell : { ...cell, divided: 'not' as const, loose: 0 }));
  it.each([
    ['case-without-back', sway({ ...bookcase, back: { kind: 'open' } }), 1.2],
    // 6 mm of a sheet with G 600 MPa, 880 wide, 1 692 high.
    ['case-with-sheet', sway(bookcase, (600 * 6 * 880) / 1692), 1.3],
    ['case-with-uprights', sway({ ...sideboard, inside: { ...sideboard.inside, cells } }), 1.1],
  ])('%s: no less, for its joints have no size, and no more than so many times as much', (key, value, most) => {
    const elements = recorded.results[key]!.value;
    expect(value / elements).toBeGreaterThan(1);
    expect(value / elements).toBeLessThan(most);
  });

  it('a sheet behind makes it some twenty times as stiff', () => {
    const [open, closed] = ['case-without-back', 'case-with-sheet'].map((key) => recorded.results[key]!.value);
    expect(open! / closed!).toBeGreaterThan(20);
    const check = sway({ ...bookcase, back: { kind: 'open' } }) / sway(bookcase, (600 * 6 * 880) / 1692);
    expect(check).toBeGreaterThan(20);
  });
});
