import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { describe, expect, it } from 'vitest';
import { bookcase, caseOf, sideboard } from '../../../tests/fixtures/cases';
import { rackingOf } from '../piece/case/corners/frames';
import { startFrames } from '../piece/case/corners/frames-decided';
import type { CaseForm } from '../piece/case/form';
import { frameOfCase } from './case-racking';
import { solveFrame } from './plane-frame';

// Plane stress by CalculiX, run by `npm run finite-elements`; the file holds what came out.
const recorded: { results: Record<string, { value: number }> } = JSON.parse(
  readFileSync(join(import.meta.dirname, '../../../tests/fixtures/finite-elements.json'), 'utf8'),
);

const swayOf = (form: CaseForm) => {
  const made = frameOfCase(caseOf(form), 12_000, 100);
  return made ? (solveFrame(made.frame)?.[made.pushed]?.[0] ?? Number.NaN) : Number.NaN;
};
/** Two sides, top and bottom, nothing between. */
const portal: CaseForm = {
  ...bookcase,
  carcass: { ...bookcase.carcass, across: bookcase.carcass.sides },
  inside: { ...bookcase.inside, cells: [{ id: 'all', of: null, divided: 'not', clear: null, share: 1, loose: 0 }] },
  back: { kind: 'open' },
  stand: { kind: 'sides', lift: 0 },
};

describe('sides of frames pushed from the front', () => {
  it.each([
    ['on a plinth', 0],
    ['on their own posts', 150],
  ])('%s: what a side gives, and what its tenons take, are those of a plane frame', (_, lift) => {
    const own = startFrames({ width: 900, depth: 450 }, 50);
    const shell = { width: 900, depth: 450, sides: 30, across: 22, foot: 0, under: lift, over: 900 + lift };
    const racking = rackingOf(own, 22, { ...shell, covered: true, back: 6, recess: 0 });
    const [low, high, apart] = [lift + own.rail / 2, 900 + lift - own.rail / 2, 450 - own.post];
    const post = { area: 50 * 30, second: (30 * 50 ** 3) / 12, modulus: 10_000 };
    const rail = { area: own.rail * 22, second: (22 * own.rail ** 3) / 12, modulus: 10_000 };
    const feet: [number, number][] = lift > 0 ? [0, apart].map((x) => [x, 0]) : [];
    const nodes: [number, number][] = [[0, low], [apart, low], [0, high], [apart, high], ...feet];
    const members = [
      ...[0, 2].map((from) => ({ from, to: from + 1, ...rail })),
      ...[0, 1].map((from) => ({ from, to: from + 2, ...post })),
      ...feet.map((_, i) => ({ from: 4 + i, to: i, ...post })),
    ];
    const held = lift > 0 ? [4, 5] : [0, 1];
    const moved = solveFrame({ nodes, members, held, loads: [{ node: 2, force: [50, 0] }] })?.[2]?.[0] ?? Number.NaN;
    // Of a push of 100 each side takes half.
    expect(((racking.sway ?? 0) * 100) / 10_000).toBeGreaterThan(moved * 0.95);
    expect(((racking.sway ?? 0) * 100) / 10_000).toBeLessThan(moved * 1.05);
    expect(racking.lever).toBeCloseTo(((high - low) / 2 + (lift > 0 ? low : 0)) / 4, 9);
  });
});

describe('a case as a frame', () => {
  it('four equal boards bend each about its middle: P·h²·(h + b)/(24EI)', () => {
    // Statics: every board is bent the other way beyond its middle, so that each half is a beam held at its corner.
    const [h, b] = [1800 - 20, 900 - 20];
    const second = (300 * 20 ** 3) / 12;
    const bending = (100 * h ** 2 * (h + b)) / (24 * 12_000 * second);
    const sway = swayOf(portal);
    expect(sway).toBeGreaterThan(bending * 0.98);
    expect(sway).toBeLessThan(bending * 1.02);
  });

  it('every shelf that is joined makes it stiffer, loose ones do not', () => {
    const shelves = { ...portal, inside: bookcase.inside };
    expect(swayOf(shelves)).toBeLessThan(swayOf(portal) / 5);
    const loose = { ...portal, inside: { ...portal.inside, cells: [{ ...portal.inside.cells[0]!, loose: 4 }] } };
    expect(swayOf(loose)).toBeCloseTo(swayOf(portal), 9);
  });

  it('uprights help a wide case', () => {
    const [all] = sideboard.inside.cells;
    const open = { ...sideboard, inside: { ...sideboard.inside, cells: [{ ...all!, divided: 'not' as const }] } };
    expect(swayOf(sideboard)).toBeLessThan(swayOf(open) / 2);
  });
});

describe('a case pushed sideways, beside plane stress of its whole front by finite elements', () => {
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
