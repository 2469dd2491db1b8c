import { describe, expect, it } from 'vitest';
import { CONSTRUCTIONS, derived } from '../../../tests/fixtures/constructions';
import { assembliesOf } from './assemblies';
import { cutList } from './cut-list';
import { hardwareOf } from './hardware';

describe.each(CONSTRUCTIONS.map(({ name, document }) => [name, document] as const))('%s', (_, document) => {
  const { piece, demand } = derived(document);
  const assemblies = assembliesOf(piece, demand);
  const rows = assemblies.flatMap((own) => own.rows);

  it('has each part on its cut list once, whatever is put into one row', () => {
    const letters = cutList(piece.parts, demand).map(({ letter }) => letter);
    expect(rows.flatMap((row) => row.letters).sort()).toEqual(letters.sort());
    for (const row of rows) expect(row.letters).toHaveLength(row.count);
  });

  it('puts only what is cut alike into one row', () => {
    const sizes = new Map(cutList(piece.parts, demand).map((row) => [row.letter, row]));
    for (const row of rows) {
      for (const letter of row.letters) {
        const part = sizes.get(letter)!;
        expect(part.length).toBeCloseTo(row.length, 1);
        expect(part.width).toBeCloseTo(row.width, 1);
        expect(part.thickness).toBeCloseTo(row.thickness, 1);
        expect(part.state).toBe(row.state);
      }
    }
  });

  it('has the parts of its top in the top', () => {
    const tops = piece.parts.filter(({ id }) => piece.top.parts.includes(id)).map(({ letter }) => letter);
    const listed = assemblies.find(({ name }) => name === 'Top')?.rows.flatMap((row) => row.letters) ?? [];
    for (const letter of listed) expect(tops).toContain(letter.split('.', 1)[0]);
  });

  it('lists its hardware for as many pieces as are made', () => {
    const sum = (lines: readonly { count: number }[]) => lines.reduce((total, { count }) => total + count, 0);
    expect(sum(hardwareOf([piece, piece]))).toBe(2 * sum(piece.fittings));
    expect(hardwareOf([piece, piece])).toHaveLength(hardwareOf([piece]).length);
  });
});
