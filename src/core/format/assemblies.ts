import type { Demand } from '../layout/demand';
import type { Part, PartKind } from '../piece/part';
import type { Piece } from '../piece/piece';
import { type CutListRow, cutList } from './cut-list';

/** Parts alike in everything, in one row. */
export interface AssemblyRow extends CutListRow {
  /** Of its parts, in their order. */
  letters: readonly string[];
}

/** What is built together, and then with the rest. */
export interface Assembly {
  name: string;
  rows: readonly AssemblyRow[];
}

/** A name without which of several it is: Leg 2, Apron, front. */
const withoutPlace = (name: string) => name.replace(/,.*$/, '').replace(/ \d+$/, '');

/** A cut list by what is built together; parts that are cut alike come in one row with all of their letters. */
export function assembliesOf(piece: Pick<Piece, 'build' | 'parts' | 'over'>, demand: Demand): Assembly[] {
  const rows = cutList(piece.parts, demand);
  const byLetter = new Map(piece.parts.map((part) => [part.letter, assemblyOf(part, piece)]));
  // A blank is called by its part's letter and a number of its own.
  const of = ({ letter }: CutListRow) => byLetter.get(letter.split('.', 1)[0] ?? letter) ?? 'Base';
  return IN_ORDER.map((name) => ({ name, rows: alike(rows.filter((row) => of(row) === name)) })).filter(
    (own) => own.rows.length > 0,
  );
}

const IN_ORDER = ['Top', 'Base', 'Carcass', 'Inside', 'Front', 'Back', 'Lid', 'Stand', 'Scribes'] as const;

/** What of a case each kind of part belongs to; a table is its top and its base. */
const OF_CASE: Partial<Record<PartKind, (typeof IN_ORDER)[number]>> = {
  side: 'Carcass',
  'case-top': 'Carcass',
  'case-bottom': 'Carcass',
  'case-post': 'Carcass',
  upright: 'Inside',
  'case-shelf': 'Inside',
  'case-rail': 'Inside',
  lip: 'Inside',
  lipping: 'Front',
  moulding: 'Front',
  stile: 'Front',
  rail: 'Front',
  muntin: 'Front',
  cleat: 'Inside',
  lid: 'Lid',
  breadboard: 'Lid',
  batten: 'Lid',
  foot: 'Stand',
  leg: 'Stand',
  'stand-rail': 'Stand',
  stretcher: 'Stand',
  'wall-rail': 'Stand',
  plinth: 'Stand',
  scribe: 'Scribes',
};

/** Bars and panels of its sides, its top and its bottom. */
const OF_CARCASS = /^(side-left|side-right|top|bottom)-/;

function assemblyOf({ id, kind }: Part, { build, over }: Pick<Piece, 'build' | 'over'>): (typeof IN_ORDER)[number] {
  if (build === 'table') return over.includes(id) ? 'Top' : 'Base';
  if (OF_CARCASS.test(id)) return 'Carcass';
  return id.startsWith('back') ? 'Back' : (OF_CASE[kind] ?? 'Carcass');
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
