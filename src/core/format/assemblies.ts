import type { Demand } from '../layout/demand';
import type { Piece } from '../piece/piece';
import { type CutListRow, cutList } from './cut-list';

/** Parts alike in everything, in one row. */
export interface AssemblyRow extends CutListRow {
  /** Of its parts, in their order. */
  letters: readonly string[];
}

/** What is built together, and then with the rest. */
export interface Assembly {
  name: 'Top' | 'Base';
  rows: readonly AssemblyRow[];
}

/** A name without which of several it is: Leg 2, Apron, front. */
const withoutPlace = (name: string) => name.replace(/,.*$/, '').replace(/ \d+$/, '');

/** A cut list by what is built together; parts that are cut alike come in one row with all of their letters. */
export function assembliesOf(piece: Pick<Piece, 'parts' | 'over'>, demand: Demand): Assembly[] {
  const tops = new Set(piece.parts.filter(({ id }) => piece.over.includes(id)).map(({ letter }) => letter));
  const rows = cutList(piece.parts, demand);
  // A blank is called by its part's letter and a number of its own.
  const ofTop = ({ letter }: CutListRow) => tops.has(letter.split('.', 1)[0] ?? letter);
  return [
    { name: 'Top' as const, rows: alike(rows.filter(ofTop)) },
    { name: 'Base' as const, rows: alike(rows.filter((row) => !ofTop(row))) },
  ].filter((own) => own.rows.length > 0);
}

function alike(rows: readonly CutListRow[]): AssemblyRow[] {
  const found = new Map<string, AssemblyRow>();
  for (const row of rows) {
    const { letter, name, count, ...rest } = row;
    const key = JSON.stringify([withoutPlace(name), rest], (_, value) =>
      typeof value === 'number' ? Math.round(value * 100) / 100 : value,
    );
    const known = found.get(key);
    found.set(
      key,
      known
        ? { ...known, name: withoutPlace(name), count: known.count + count, letters: [...known.letters, letter] }
        : { ...row, letters: [letter] },
    );
  }
  return [...found.values()];
}
