import type { Content, TableCell } from 'pdfmake/interfaces';
import {
  boardsUsed,
  type Check,
  type DerivedJob,
  type DerivedPiece,
  type DerivedWood,
  formatLength,
  GLUES,
  type JobDocument,
  jointFamilies,
  type LengthStyle,
  labelsBy,
  type Paper,
  PROPOSAL,
  panelOfTop,
  sayDay,
  sayEnds,
  shoppingList,
  wordsOfJoint,
  writePhrase,
  writeQuantity,
} from '@/core';
import { type AssemblyRow, assembliesOf } from '@/core/format/assemblies';
import { boardOnPaper } from '@/core/format/board-on-paper';
import { hardwareOf } from '@/core/format/hardware';
import { apartOnPaper, viewsOnPaper } from '@/core/format/piece-on-paper';
import type { JointWords } from '@/core/joint/joint-words';
import { CUSTOMARY } from '@/core/measure/customary';
import type { Board } from '@/core/stock/board';
import { drawn } from './drawing';
import { type PaperDocument, pageRoom, titledTable, words } from './print-document';

export interface SheetInput {
  document: JobDocument;
  derived: DerivedJob;
  boards: readonly Board[];
  style: LengthStyle;
  paper: Paper;
}

/** Instances of a piece that are alike in everything that is cut: they are drawn and listed once. */
type Alike = readonly [DerivedPiece, ...DerivedPiece[]];

/** The job on paper, black and white: each piece taken apart and measured, cut list, hardware, boards, gluing, joints, order of work. */
export function composeSheet(input: SheetInput): PaperDocument {
  const { document, derived } = input;
  const groups = alikeOf(derived.pieces);
  const several = derived.pieces.length > 1;
  return {
    title: document.name,
    heading: [document.name, document.client].filter(Boolean).join('  ·  '),
    paper: input.paper,
    content: [
      { ...words(document.name, { bold: true, fontSize: 22 }), margin: [0, 0, 0, 6] },
      ...groups.map((group, i) => face(group, input, { titled: several, first: i === 0 })),
      ...groups.map((group) => cutListOf(group, input, several)),
      hardware(input),
      ...derived.woods.flatMap((wood) => boardsOf(wood, input)),
      ...groups.flatMap((group) => gluing(group, input, several)),
      ...groups.flatMap((group) => joints(group, input, several)),
      work(input),
      {
        ...words(
          'Take care: guards and push sticks, the maker’s own instructions and local codes come first. Strength and stability figures are design figures, not a certification.',
        ),
        fontSize: 8,
      },
    ],
  };
}

function alikeOf(pieces: readonly DerivedPiece[]): Alike[] {
  const groups = new Map<string, [DerivedPiece, ...DerivedPiece[]]>();
  for (const own of pieces) {
    const parts = own.piece.parts.map(({ size, cut, locked }) => [size, cut, locked]);
    const key = JSON.stringify([own.pieceId, parts]);
    const known = groups.get(key);
    if (known) known.push(own);
    else groups.set(key, [own]);
  }
  return [...groups.values()];
}

/** Table 1 to 4, or its name alone. */
function titleOf([first, ...rest]: Alike): string {
  const last = rest.at(-1);
  return last ? `${first.title} to ${last.instance}` : first.title;
}

const sayIn = (style: LengthStyle) => (mm: number) => formatLength(mm, style);

/** A piece at first sight: taken apart, what is to be known of it, its views with their dimensions. */
function face(group: Alike, input: SheetInput, given: { titled: boolean; first: boolean }): Content {
  const [own] = group;
  const say = sayIn(input.style);
  const room = pageRoom(input.paper);
  const apart = apartOnPaper(own.piece, { width: room.width * 0.56, height: room.height * 0.4 });
  const strips = panelOfTop(own)?.laid.map((strip) => strip.width) ?? [];
  const views = viewsOnPaper(own.piece, strips, { width: room.width, height: room.height * 0.42 }, say);
  return {
    unbreakable: true,
    margin: [0, 0, 0, 10],
    stack: [
      ...(given.titled
        ? [
            {
              ...words(titleOf(group), { bold: true, fontSize: 13 }),
              margin: [0, 0, 0, 4] as [number, number, number, number],
            },
          ]
        : []),
      { columns: [drawn(apart), facts(group, input, given.first)], columnGap: 14 },
      { ...(drawn(views) as object), margin: [0, 10, 0, 0] } as Content,
    ],
  };
}

const stopsOf = (checks: readonly Check[]) => checks.filter((check) => check.level === 'stop');

function facts(group: Alike, { derived, document, style }: SheetInput, first: boolean): Content {
  const [own] = group;
  const say = sayIn(style);
  const { piece, season, species, glue } = own;
  const weight = own.figures.find(({ id }) => id === 'weight');
  const shared = [...derived.woods.flatMap(({ checks }) => checks), ...derived.checks];
  const stops = [...group.flatMap(({ checks }) => stopsOf(checks)), ...(first ? stopsOf(shared) : [])];
  const sentences = [...new Set(stops.map(({ sentence }) => writePhrase(sentence, style)))];
  const percent = (moisture: number) => `${moisture.toFixed(1)} %`;
  const rows: [string, string][] = [
    ['Size', `${say(piece.overall.length)} × ${say(piece.overall.width)} × ${say(piece.overall.height)}`],
    ['Wood', species.commonName],
    ...(group.length > 1 ? ([['Made', `${group.length} alike`]] as [string, string][]) : []),
    ...(first && own.document.brief.seats ? ([['Seats', `${own.document.brief.seats}`]] as [string, string][]) : []),
    ...(weight ? ([['Weight', writeQuantity(weight.quantity, style)]] as [string, string][]) : []),
    ['Glue', glue.name],
    ['Driest', `top ${say(season.topWidth.driest)} wide at ${percent(season.driest.moisture)}`],
    ['Wettest', `top ${say(season.topWidth.wettest)} wide at ${percent(season.wettest.moisture)}`],
    ...(first ? ([['Glued', sayDay(document.season.gluedOn)]] as [string, string][]) : []),
    ...(first ? ([['Delivered', sayDay(document.season.deliveredOn)]] as [string, string][]) : []),
  ];
  return {
    stack: [
      {
        table: {
          widths: ['auto', '*'],
          body: rows.map(([name, value]) => [
            { ...words(name), color: '#444444' },
            { ...words(value, { bold: true }) },
          ]),
        },
        layout: {
          hLineWidth: () => 0.25,
          vLineWidth: () => 0,
          paddingLeft: () => 0,
          paddingTop: () => 2.5,
          paddingBottom: () => 2,
        },
      },
      {
        margin: [0, 8, 0, 0],
        stack:
          sentences.length > 0
            ? sentences.map((text) => ({
                ...words(`Stop: ${text}`),
                margin: [0, 0, 0, 3] as [number, number, number, number],
              }))
            : [{ ...words('No check says stop.') }],
      },
      {
        ...words('Widths as if the wood followed the air at once.'),
        fontSize: 8,
        margin: [0, 6, 0, 0],
      },
    ],
  };
}

const unitsNote = (style: LengthStyle) =>
  style.system === 'metric' ? 'Millimetres.' : `Inches, to 1/${style.fraction ?? 16}.`;

/** Boxes to tick, one a part, up to as many as are still counted at a glance. */
const MOST_BOXES = 8;

function cutListOf(group: Alike, { style }: SheetInput, several: boolean): Content {
  const [own] = group;
  const say = sayIn(style);
  const of = several ? ` · ${titleOf(group)}` : '';
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
  const notes = [row.wood, row.painted ? 'painted' : '', sayEnds(row.ends)].filter(Boolean).join(', ');
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

function hardware({ derived, style }: SheetInput): Content {
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

function boardsOf({ layout, letters, species }: DerivedWood, input: SheetInput): Content[] {
  if (!layout) return [];
  const say = sayIn(input.style);
  const used = boardsUsed(layout, input.boards);
  const title = input.derived.woods.length > 1 ? `Boards · ${species.commonName}` : 'Boards';
  const scale = pageRoom(input.paper).width / Math.max(1, ...used.map((board) => board.length));
  const labelOf = labelsBy(letters);
  const strips = used.map(
    (board, i): Content => ({
      unbreakable: true,
      margin: [0, 0, 0, 6],
      stack: [
        ...(i === 0
          ? [
              {
                ...words(title, { bold: true, fontSize: 13 }),
                margin: [0, 0, 0, 3] as [number, number, number, number],
              },
            ]
          : []),
        {
          ...words(
            [
              board.tag,
              `${say(board.length)} × ${say(board.width)} × ${say(board.thickness)}`,
              board.lot ? `lot ${board.lot}` : '',
              board.storedAt ?? '',
            ]
              .filter(Boolean)
              .join('   '),
            { bold: true },
          ),
          margin: [0, 0, 0, 2],
        },
        drawn(boardOnPaper(board, { layout, labelOf, scale, say, ruler: false })),
      ],
    }),
  );
  if (layout.shortfall.length === 0) return strips;
  return [
    ...strips,
    titledTable(
      `To buy · ${species.commonName}`,
      `${PROPOSAL}.`,
      [
        { title: 'No.', width: 'auto', right: true },
        { title: 'Long and wide', width: 'auto', right: true },
        { title: 'Rough', width: 'auto' },
        { title: 'Rough wood', width: 'auto', right: true },
        { title: 'For', width: '*' },
      ],
      shoppingList(layout.shortfall).map((line) => [
        `${line.count}`,
        `${say(line.length)} × ${say(line.width)}`,
        line.dressed
          ? `dressed ${say(line.thickness)}`
          : line.quarters
            ? `${line.quarters}/4`
            : `over ${say(line.thickness)}`,
        writeQuantity({ amount: line.boardFeet, unit: 'board-foot' }, input.style),
        line.names.join(', '),
      ]),
    ),
  ];
}

function gluing(group: Alike, { style }: SheetInput, several: boolean): Content[] {
  const [own] = group;
  const say = sayIn(style);
  const glue = GLUES[own.document.glueUp.glue].name;
  const of = several ? `${titleOf(group)}, ` : '';
  return own.glueUps.map((glueUp, i): Content => {
    const beside = own.piece.parts.find(({ id }) => id === glueUp.panel)?.name ?? '';
    const watches = glueUp.limits.map((limit) => ({
      ...words(`Watch: ${writePhrase(limit.sentence, style)} ${writePhrase(limit.wayOut, style)}.`),
      margin: [0, 0, 0, 6] as [number, number, number, number],
    }));
    return {
      stack: [
        titledTable(
          `Glue-up · ${of}${beside}`,
          i === 0 ? glue : '',
          [
            { title: 'Go', width: 'auto' },
            { title: 'Pieces', width: '*' },
            { title: 'Width', width: 'auto', right: true },
            { title: 'Clamps', width: 'auto', right: true },
            { title: 'Pressure', width: 'auto', right: true },
            { title: 'Glue', width: 'auto', right: true },
            { title: 'Minutes', width: 'auto', right: true },
          ],
          glueUp.stages.map((stage) => [
            stage.name,
            stage.members.join(' + '),
            say(stage.width),
            `${stage.clamps.count} of ${say(Math.ceil(stage.clamps.leastLength / 10) * 10)}`,
            pressure(stage.clamps, style),
            writeQuantity({ amount: Math.ceil(stage.glue), unit: 'gram' }, style),
            `${Math.ceil(stage.minutes)} of ${stage.closedBy}`,
          ]),
        ),
        ...watches,
      ],
    };
  });
}

const pressure = ({ pressure, asked }: { pressure: number; asked: number }, style: LengthStyle) =>
  style.system === 'metric'
    ? `${pressure.toFixed(2)} of ${asked.toFixed(1)} MPa`
    : `${CUSTOMARY.megapascal.of(pressure).toFixed(0)} of ${CUSTOMARY.megapascal.of(asked).toFixed(0)} psi`;

function joints(group: Alike, { style }: SheetInput, several: boolean): Content[] {
  const [own] = group;
  const families = jointFamilies(own.piece);
  if (families.length === 0) return [];
  const title = several ? `Joints · ${titleOf(group)}` : 'Joints';
  const cards = new Map<JointWords, { names: string[]; count: number }>();
  for (const { joints, words: name } of families) {
    const [first] = joints;
    if (!first) continue;
    const card = wordsOfJoint(first);
    const known = cards.get(card) ?? { names: [], count: 0 };
    cards.set(card, { names: [...known.names, name], count: known.count + joints.length * group.length });
  }
  const line = (text: string) => ({ ...words(text), margin: [0, 1, 0, 0] as [number, number, number, number] });
  const rows = [...cards].map(([card, { names, count }]): TableCell[] => [
    {
      stack: [
        { ...words(card.name, { bold: true }) },
        line(`${count} ${count === 1 ? 'time' : 'times'}`),
        ...names.map((name) => line(name)),
      ],
    },
    {
      stack: [
        line(writePhrase(card.mark, style)),
        ...card.order.map((step, i) => line(`${i + 1}. ${writePhrase(step, style)}`)),
        line(writePhrase(card.caution, style)),
      ],
    },
  ]);
  return [
    titledTable(
      title,
      'Sizes are on the full-size sheets.',
      [
        { title: 'Joint', width: 130 },
        { title: 'Marked, cut, and with what care', width: '*' },
      ],
      rows,
    ),
  ];
}

function work({ derived }: SheetInput): Content {
  return titledTable(
    'Order of work',
    'Hours at the bench, hours that must pass before what follows, the day it begins.',
    [
      { title: '', width: 'auto', right: true },
      { title: 'Operation', width: '*' },
      { title: 'Hours', width: 'auto', right: true },
      { title: 'Wait', width: 'auto', right: true },
      { title: 'From', width: 'auto', right: true },
      { title: 'Done', width: 'auto' },
    ],
    derived.schedule.dated.map(({ operation, start }, i) => [
      `${i + 1}`,
      operation.of ? `${operation.of}: ${operation.name}` : operation.name,
      operation.work.toFixed(1),
      operation.wait ? `${Math.round(operation.wait)}` : '',
      sayDay(start),
      '☐',
    ]),
  );
}
