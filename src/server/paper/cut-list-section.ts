import type { Content, TableCell } from 'pdfmake/interfaces';
import { type DerivedPiece, sayEnds, sayFaces, writeQuantity } from '@/core';
import { type AssemblyRow, assembliesOf } from '@/core/format/assemblies';
import { hardwareOf } from '@/core/format/hardware';
import { titleOfAlike } from '@/core/job/alike-pieces';
import { sayIn, titledTable, unitsNote, words } from './blocks';
import type { Alike, SheetGiven } from './sheet-given';

/** Boxes to tick, one a part, up to as many as are still counted at a glance. */
const MOST_BOXES = 8;

export function cutListSection(group: Alike, { style }: SheetGiven, several: boolean): Content {
  const [own] = group;
  const say = sayIn(style);
  const of = several ? ` · ${titleOfAlike(group)}` : '';
  const marks = group.map(({ mark }) => mark).filter(Boolean);
  const before = marks.length === 0 ? '' : ` On the wood each letter follows ${marks.join(', ')}.`;
  const assemblies = assembliesOf(own.piece, own.demand);
  const rows = assemblies.flatMap(({ name, rows }): (string | TableCell)[][] => [
    [{ ...words(name, { bold: true }), colSpan: 9 }],
    ...rows.flatMap((row) => [
      partRow(row, group.length, say),
      ...group.flatMap((one) => stripsOf(one, row, several, say)),
    ]),
  ]);
  return titledTable(
    `Cut list${of}`,
    `Lengths are overall, tenons included. ${unitsNote(style)}${before}`,
    [
      { title: '', width: 44 },
      { title: 'Part', width: '*' },
      { title: 'No.', width: 'auto', right: true },
      { title: 'Length', width: 'auto', right: true },
      { title: 'Shoulders', width: 'auto', right: true },
      { title: 'Width', width: 'auto', right: true },
      { title: 'Thick', width: 'auto', right: true },
      { title: 'Rough', width: 'auto', right: true },
      { title: 'Done', width: 'auto' },
    ],
    rows,
  );
}

function partRow(row: AssemblyRow, times: number, say: (mm: number) => string): (string | TableCell)[] {
  const notes = [
    row.wood,
    row.painted ? 'painted' : '',
    sayFaces(row.grade),
    row.lipped === null ? '' : `front edge lipped ${say(row.lipped)}`,
    sayEnds(row.ends),
  ]
    .filter(Boolean)
    .join(', ');
  const count = row.count * times;
  const box = row.state === 'to cut' ? '☐' : '☑';
  return [
    { ...words(row.letters.join(' '), { face: 'narrow', bold: true }) },
    notes ? `${row.name}: ${notes}` : row.name,
    `${count}`,
    say(row.length),
    Math.abs(row.shoulder - row.length) < 0.01 ? '–' : say(row.shoulder),
    say(row.width),
    say(row.thickness),
    row.rough ? `${say(row.rough.length)} × ${say(row.rough.width)}` : '',
    count <= MOST_BOXES ? box.repeat(count) : `${box} ${count}`,
  ];
}

/** Under a panel the strips that it is glued from, from its left edge, as they lie on the boards. */
function stripsOf(own: DerivedPiece, row: AssemblyRow, several: boolean, say: (mm: number) => string): TableCell[][] {
  const panel = own.panels.find(({ demand }) => row.letters.includes(demand.letter));
  if (!panel || panel.strips.length === 0) return [];
  const tags = new Map(panel.laid.map(({ board, placement }) => [placement.strip, board.tag]));
  const list = panel.strips.map(({ label, width }, i) => {
    const tag = panel.laid[i] ? tags.get(panel.laid[i].placement.strip) : undefined;
    return `${label} ${say(width)}${tag ? ` (${tag})` : ''}`;
  });
  const of = several && own.mark ? ` of ${own.mark}` : '';
  const laid = panel.laid.length > 0 ? '' : ', as they are likely to be';
  return [[{ text: '' }, { ...words(`Strips${of}${laid}: ${list.join(', ')}`, { face: 'narrow' }), colSpan: 8 }]];
}

export function hardwareSection({ derived, style }: SheetGiven): Content {
  const say = sayIn(style);
  const lines = hardwareOf(derived.pieces.map(({ piece }) => piece));
  const grams = derived.pieces
    .flatMap(({ glueUps, glue }) =>
      glueUps.flatMap(({ stages }) => stages.map((own) => ({ name: glue.name, amount: own.glue }))),
    )
    .reduce((sum, { name, amount }) => sum.set(name, (sum.get(name) ?? 0) + amount), new Map<string, number>());
  const rows = [
    ...lines.map(({ name, count, size }) => [`${count}`, name, size.map(say).join(' × ')]),
    ...[...grams].map(([name, amount]) => [
      '',
      `${name}, for the panels`,
      writeQuantity({ amount: Math.ceil(amount), unit: 'gram' }, style),
    ]),
  ];
  if (rows.length === 0) return [];
  return titledTable(
    'Hardware, screws, glue',
    '',
    [
      { title: 'No.', width: 40, right: true },
      { title: 'What', width: '*' },
      { title: 'Size', width: 'auto', right: true },
    ],
    rows,
  );
}
