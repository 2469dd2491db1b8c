import { type Dimension, drawView, type View, type ViewName } from '../drawing/drawing';
import type { GlueUp } from '../glueup/plan-glue-ups';
import { blanksOf } from '../layout/blanks';
import type { Demand } from '../layout/demand';
import { blankLabel, type LabelOf } from '../layout/labels';
import { boardsUsed, type Layout } from '../layout/layout';
import { PROPOSAL, shoppingList } from '../layout/shopping-list';
import { formatLength, type LengthStyle } from '../measure/length';
import { writePhrase } from '../measure/write-quantity';
import type { Piece } from '../piece/piece';
import type { DatedOperation } from '../plan/schedule';
import type { Board } from '../stock/board';
import { cutList, sayEnds } from './cut-list';
import { PAPERS, type Page, PageWriter, type Paper } from './page';

/** One piece, or several that are alike in everything. */
export interface SheetPiece {
  title: string;
  /** Before the letters of its parts; nothing where it is the only one. */
  mark: string;
  /** Lines of plain words under its title. */
  facts: readonly string[];
  piece: Piece;
  demand: Demand;
  /** The strips of the top as they are laid, mm. */
  strips: readonly number[];
  glueUps: readonly GlueUp[];
  glueName: string;
}

export interface SheetInput {
  name: string;
  client: string;
  pieces: readonly SheetPiece[];
  /** Of every species its layout. */
  layouts: readonly { species: string; layout: Layout | null; labelOf: LabelOf }[];
  boards: readonly Board[];
  dated: readonly DatedOperation[];
  style: LengthStyle;
  paper: Paper;
}

/** The job on paper, black and white: measured views, cut list, boards, glue-up card, order of work. */
export function composeSheet(input: SheetInput): Page[] {
  const { style } = input;
  const say = (mm: number) => formatLength(mm, style);
  const writer = new PageWriter(
    PAPERS[input.paper],
    [input.name, input.client, 'Taller'].filter(Boolean).join('  ·  '),
  );

  writer.text(input.name, { size: 20, bold: true });
  writer.y += 10;
  const alone = input.pieces.length === 1;
  input.pieces.forEach((own, i) => {
    if (i > 0) writer.next();
    if (!alone) writer.title(own.title);
    for (const fact of own.facts) {
      writer.text(fact, { size: 9, width: writer.width });
      // Some hundred letters of this size fill a line; a longer fact takes a second.
      writer.y += 5 * Math.ceil(fact.length / 100);
    }
    writer.y += 4;
    views(writer, own, say);
  });

  input.pieces.forEach((own, i) => {
    if (i === 0) writer.next();
    parts(writer, own, alone ? 'Cut list' : `Cut list · ${own.title}`, style);
  });
  input.layouts.forEach(({ species, layout, labelOf }) => {
    const title = input.layouts.length === 1 ? 'Boards' : `Boards · ${species}`;
    if (layout) boardsOf(writer, { layout, labelOf, title, boards: input.boards, say });
  });
  input.pieces.forEach((own, i) => {
    if (i === 0) writer.next();
    gluing(writer, own, alone ? own.glueName : `${own.title}, ${own.glueName}`, style);
  });
  work(writer, input);
  writer.room(16);
  writer.text(
    'Take care: guards and push sticks, the maker’s own instructions and local codes come first. Strength and stability figures are design figures, not a certification.',
    { size: 7.5, width: writer.width },
  );
  return writer.pages;
}

function parts(writer: PageWriter, { piece, demand, mark }: SheetPiece, title: string, style: LengthStyle): void {
  const say = (mm: number) => formatLength(mm, style);
  writer.title(title);
  writer.text(`Lengths are overall, tenons included; the shoulder length stands beside. ${unitsNote(style)}`, {
    size: 8.5,
    width: writer.width,
  });
  writer.y += 7;
  writer.table(
    [
      { title: '', share: 1 },
      { title: 'Part', share: 4 },
      { title: 'Overall', share: 2.4, right: true },
      { title: 'Shoulder', share: 2.4, right: true },
      { title: 'Width', share: 2.2, right: true },
      { title: 'Thick', share: 2, right: true },
      { title: 'Rough', share: 3.6, right: true },
      { title: 'Done', share: 1.6, right: true },
    ],
    cutList(piece.parts, demand).map((row) => [
      `${mark}${row.letter}`,
      `${row.name}${row.wood ? ` · ${row.wood}` : ''}${row.painted ? ' · painted' : ''}${row.ends ? `: ${sayEnds(row.ends)}` : ''}`,
      say(row.length),
      row.shoulder === row.length ? '–' : say(row.shoulder),
      say(row.width),
      say(row.thickness),
      row.rough ? `${say(row.rough.length)} × ${say(row.rough.width)}` : '',
      row.state === 'to cut' ? '[  ]' : '[x]',
    ]),
  );
}

const unitsNote = (style: LengthStyle) =>
  style.system === 'metric' ? 'Millimetres.' : `Inches to 1/${style.fraction ?? 16}; + a little more, − a little less.`;

function views(writer: PageWriter, input: SheetPiece, say: (mm: number) => string): void {
  const drawn = (['plan', 'front', 'end'] as ViewName[]).map((name) =>
    drawView(input.piece, name, input.strips.length > 0 ? { strips: input.strips } : {}),
  );
  const widest = Math.max(...drawn.map((view) => view.bounds.width));
  const tall = drawn.reduce((sum, view) => sum + view.bounds.height, 0);
  const scale = Math.min((writer.width - 50) / widest, 165 / tall);
  for (const view of drawn) {
    const height = view.bounds.height * scale + 26;
    writer.room(height);
    drawOn(writer, view, scale, say);
    writer.y += height;
  }
}

/** Of strips of another wood, on paper. */
const TONES = { 1: '#e4e4e4', 2: '#cccccc', 3: '#a8a8a8' } as const;
const DASH = {
  seen: undefined,
  edge: undefined,
  cut: undefined,
  hidden: 1.5,
  tenon: 0.8,
  joint: undefined,
  strip: undefined,
} as const;

function drawOn(writer: PageWriter, view: View, scale: number, say: (mm: number) => string): void {
  const { bounds } = view;
  const at = ([u, v]: readonly [number, number]): [number, number] => [
    writer.left + 25 + (u - bounds.left) * scale,
    writer.y + 12 + (v - bounds.top) * scale,
  ];
  for (const shape of view.shapes) {
    const dash = DASH[shape.style];
    writer.mark({
      kind: 'line',
      points: shape.points.map(at),
      close: shape.points.length > 2,
      weight: shape.style === 'seen' ? 0.35 : 0.15,
      // Painted from the farthest to the nearest, what stands in front covers what is behind.
      ...(shape.style === 'seen' ? { fill: '#ffffff' } : {}),
      ...(shape.tone ? { fill: TONES[shape.tone] } : {}),
      ...(dash ? { dash } : {}),
    });
  }
  for (const dimension of view.dimensions) dimensionOn(writer, dimension, at, say(dimension.value));
}

function dimensionOn(
  writer: PageWriter,
  { from, to, side }: Dimension,
  at: (p: readonly [number, number]) => [number, number],
  text: string,
): void {
  const away = { above: [0, -6], below: [0, 6], left: [-7, 0], right: [7, 0] }[side] as [number, number];
  const [a, b] = [at(from), at(to)].map(([x, y]) => [x + away[0], y + away[1]] as [number, number]);
  if (!a || !b) return;
  writer.mark({ kind: 'line', points: [a, b], weight: 0.12 });
  for (const [x, y] of [a, b])
    writer.mark({
      kind: 'line',
      points: [
        [x - 0.8, y + 0.8],
        [x + 0.8, y - 0.8],
      ],
      weight: 0.2,
    });
  const middle = [(a[0] + b[0]) / 2, (a[1] + b[1]) / 2] as const;
  const place = {
    above: { x: middle[0], y: middle[1] - 4, align: 'centre' as const },
    below: { x: middle[0], y: middle[1] + 1, align: 'centre' as const },
    left: { x: middle[0] - 1.5, y: middle[1] - 1.5, align: 'right' as const },
    right: { x: middle[0] + 1.5, y: middle[1] - 1.5, align: 'left' as const },
  }[side];
  writer.mark({ kind: 'text', text, size: 8, ...place });
}

function boardsOf(
  writer: PageWriter,
  given: {
    layout: Layout;
    labelOf: LabelOf;
    title: string;
    boards: readonly Board[];
    say: (mm: number) => string;
  },
): void {
  const { layout, labelOf, say } = given;
  const used = boardsUsed(layout, given.boards);
  if (used.length === 0) return;
  writer.next();
  writer.title(given.title);
  const scale = writer.width / Math.max(...used.map((board) => board.length));
  for (const board of used) {
    const height = Math.max(board.width, board.farWidth ?? 0) * scale;
    writer.room(height + 14);
    writer.text(
      `${board.tag}   ${say(board.length)} × ${say(board.width)} × ${say(board.thickness)}${board.lot ? `   lot ${board.lot}` : ''}`,
      { size: 9, bold: true },
    );
    writer.y += 5.5;
    const box = (r: { x: number; y: number; length: number; width: number }) => {
      const [x, y] = [writer.left + r.x * scale, writer.y + r.y * scale];
      return [
        [x, y],
        [x + r.length * scale, y],
        [x + r.length * scale, y + r.width * scale],
        [x, y + r.width * scale],
      ] as [number, number][];
    };
    writer.mark({
      kind: 'line',
      points: [
        [0, 0],
        [board.length, 0],
        [board.length, board.farWidth ?? board.width],
        [0, board.width],
      ].map(([x = 0, y = 0]) => [writer.left + x * scale, writer.y + y * scale] as const),
      close: true,
      weight: 0.35,
    });
    for (const defect of board.defects) {
      const corners = box(defect);
      writer.mark({ kind: 'line', points: corners, close: true, weight: 0.15, fill: '#dddddd' });
      writer.mark({ kind: 'line', points: [corners[0] ?? [0, 0], corners[2] ?? [0, 0]], weight: 0.15 });
    }
    for (const blank of blanksOf(layout.placements.filter((p) => p.board === board.id))) {
      const corners = box(blank);
      writer.mark({ kind: 'line', points: corners, close: true, weight: 0.25 });
      const [x, y] = corners[0] ?? [0, 0];
      writer.mark({
        kind: 'text',
        x: x + 1.2,
        y: y + Math.max(0.3, (blank.width * scale) / 2 - 1.7),
        size: 8,
        bold: true,
        text: `${blankLabel(labelOf, blank)}  ${say(blank.length)} × ${say(blank.width)}`,
      });
    }
    writer.y += height + 6;
  }
  if (layout.shortfall.length > 0) {
    writer.title('To buy');
    writer.text(`${PROPOSAL}.`, { size: 9 });
    writer.table(
      [
        { title: 'Pieces', share: 1.2, right: true },
        { title: 'Long and wide', share: 3 },
        { title: 'Rough', share: 2 },
        { title: 'Board feet', share: 1.6, right: true },
        { title: 'For', share: 6 },
      ],
      shoppingList(layout.shortfall).map((line) => [
        `${line.count}`,
        `${say(line.length)} × ${say(line.width)}`,
        line.dressed
          ? `dressed ${say(line.thickness)}`
          : line.quarters
            ? `${line.quarters}/4`
            : `over ${say(line.thickness)}`,
        line.boardFeet.toFixed(1),
        line.names.join(', '),
      ]),
    );
  }
}

function gluing(writer: PageWriter, input: SheetPiece, title: string, style: LengthStyle): void {
  const say = (mm: number) => formatLength(mm, style);
  writer.title(`Glue-up card · ${title}`);
  for (const glueUp of input.glueUps) {
    writer.table(
      [
        { title: 'Go', share: 3.4 },
        { title: 'Pieces', share: 4 },
        { title: 'Width', share: 2, right: true },
        { title: 'Clamps', share: 3.4, right: true },
        { title: 'Pressure, MPa', share: 2.4, right: true },
        { title: 'Glue', share: 1.6, right: true },
        { title: 'Minutes', share: 2.6, right: true },
      ],
      glueUp.stages.map((s) => [
        s.name,
        s.members.join(' + '),
        say(s.width),
        `${s.clamps.count} of ${say(Math.ceil(s.clamps.leastLength / 10) * 10)}`,
        `${s.clamps.pressure.toFixed(2)} of ${s.clamps.asked.toFixed(1)}`,
        `${Math.ceil(s.glue)} g`,
        `${Math.ceil(s.minutes)} of ${s.closedBy}`,
      ]),
    );
    for (const limit of glueUp.limits) {
      writer.room(12);
      writer.text(`Watch: ${writePhrase(limit.sentence, style)} ${writePhrase(limit.wayOut, style)}.`, {
        size: 8.5,
        width: writer.width,
      });
      writer.y += 10;
    }
  }
}

function work(writer: PageWriter, input: SheetInput): void {
  writer.title('Order of work');
  writer.table(
    [
      { title: '', share: 0.8 },
      { title: 'Operation', share: 7.4 },
      { title: 'Hours', share: 1.2, right: true },
      { title: 'Wait', share: 1.2, right: true },
      { title: 'From', share: 2, right: true },
    ],
    input.dated.map(({ operation, start }, i) => [
      `${i + 1}`,
      operation.of ? `${operation.of}: ${operation.name}` : operation.name,
      operation.work.toFixed(1),
      operation.wait ? `${Math.round(operation.wait)}` : '',
      start,
    ]),
  );
}
