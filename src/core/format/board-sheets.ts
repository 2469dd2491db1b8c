import { type Blank, blanksOf } from '../layout/blanks';
import { type CutStep, cutSteps } from '../layout/cut-steps';
import type { Demand } from '../layout/demand';
import { blankLabel, type LabelOf } from '../layout/labels';
import { boardsUsed, type Layout, type LayoutOptions } from '../layout/layout';
import { PROPOSAL } from '../layout/shopping-list';
import { formatLength, type LengthStyle, sawStep } from '../measure/length';
import type { Board } from '../stock/board';
import { PAPERS, type Page, PageWriter, type Paper } from './page';
import { sayCut, sayFreed } from './say-cuts';

export interface BoardSheetInput {
  name: string;
  labelOf: LabelOf;
  layout: Layout;
  boards: readonly Board[];
  demand: Demand;
  options: Pick<LayoutOptions, 'kerf' | 'resaw'>;
  style: LengthStyle;
  paper: Paper;
}

/** What is read standing at the saw is at least this large, points. */
const READABLE = 10;
const CUT_COLUMNS = 3;
const CUT_ROW = 5.2;
/** mm of a letter of one point, on the average. */
const LETTER = 0.19;

/**
 * The boards for the saw, on paper lying across: each board a strip of its own, its pieces with their letters, where the
 * crosscuts lie from the tagged end, and its cuts in their order, in words.
 */
export function composeBoardSheets(input: BoardSheetInput): Page[] {
  const { width, height } = PAPERS[input.paper];
  const writer = new PageWriter({ width: height, height: width }, `${input.name}  ·  at the saw  ·  Taller`);
  const used = boardsUsed(input.layout, input.boards);
  const scale = writer.width / Math.max(1, ...used.map((board) => board.length));
  const steps = cutSteps(input.layout, input.boards, input.demand, {
    ...input.options,
    step: sawStep(input.style.system),
  });
  if (input.layout.shortfall.length > 0) writer.text(`${PROPOSAL}.`, { size: 14, bold: true });
  for (const board of used) {
    strip(
      writer,
      input,
      board,
      scale,
      steps.filter((step) => step.board === board.id),
    );
  }
  return writer.pages;
}

function strip(
  writer: PageWriter,
  { labelOf, layout, style }: BoardSheetInput,
  board: Board,
  scale: number,
  steps: readonly CutStep[],
): void {
  const say = (mm: number) => formatLength(mm, style);
  const blanks = blanksOf(layout.placements.filter((p) => p.board === board.id));
  const offcuts = layout.offcuts.filter((offcut) => offcut.board === board.id);
  const wide = Math.max(board.width, board.farWidth ?? 0) * scale;
  const rows = Math.ceil(steps.length / CUT_COLUMNS);
  writer.room(12 + wide + 13 + rows * CUT_ROW + 6);

  writer.text(board.tag, { size: 20, bold: true });
  const facts = [
    `${say(board.length)} × ${say(board.width)} × ${board.quarters ? `${board.quarters}/4` : say(board.thickness)}`,
    board.lot,
    board.storedAt,
  ];
  writer.y += 2.4;
  writer.text(facts.filter(Boolean).join('   '), {
    size: 12,
    x: writer.left + 8 + board.tag.length * 20 * LETTER * 1.1,
  });
  writer.y += 8.6;

  const at = (x: number, y: number) => [writer.left + x * scale, writer.y + y * scale] as const;
  const box = (r: { x: number; y: number; length: number; width: number }) => [
    at(r.x, r.y),
    at(r.x + r.length, r.y),
    at(r.x + r.length, r.y + r.width),
    at(r.x, r.y + r.width),
  ];
  for (const defect of board.defects) {
    const corners = box(defect);
    writer.mark({ kind: 'line', points: corners, close: true, weight: 0.15, fill: '#dddddd' });
    writer.mark({ kind: 'line', points: [corners[0] ?? at(0, 0), corners[2] ?? at(0, 0)], weight: 0.15 });
  }
  for (const offcut of offcuts) {
    writer.mark({ kind: 'line', points: box(offcut), close: true, weight: 0.2, dash: 1.2 });
    label(writer, offcut, scale, '', `rack ${say(offcut.length)} × ${say(offcut.width)}`);
  }
  for (const blank of blanks) {
    writer.mark({ kind: 'line', points: box(blank), close: true, weight: 0.35 });
    const turned = blank.placements[0]?.turned ? ' (turned over)' : '';
    label(writer, blank, scale, blankLabel(labelOf, blank), `${say(blank.length)} × ${say(blank.width)}${turned}`);
  }
  writer.mark({
    kind: 'line',
    points: [at(0, 0), at(board.length, 0), at(board.length, board.farWidth ?? board.width), at(0, board.width)],
    close: true,
    weight: 0.6,
  });

  writer.y += wide + 1.5;
  ruler(writer, [...blanks, ...offcuts], board, scale, say);
  writer.y += 11;
  cutList(writer, steps, labelOf, style);
  writer.y += rows * CUT_ROW + 6;
}

/** Its letter, and its size where there is room for both, in the middle of a rectangle. */
function label(
  writer: PageWriter,
  at: Pick<Blank, 'x' | 'y' | 'length' | 'width'>,
  scale: number,
  letter: string,
  words: string,
): void {
  const room = at.length * scale - 3;
  const tall = at.width * scale;
  const size = tall > 7 ? 14 : tall > 4.4 ? READABLE : Math.max(5, tall * 2.2);
  const y = writer.y + (at.y + at.width / 2) * scale - size * 0.19;
  const wide = letter.length * size * LETTER * 1.15;
  if (letter) writer.mark({ kind: 'text', x: writer.left + at.x * scale + 1.5, y, size, bold: true, text: letter });
  const small = Math.min(size, READABLE + 1);
  const left = letter ? wide + 3 : 0;
  if (left + words.length * small * LETTER > room) return;
  writer.mark({
    kind: 'text',
    x: writer.left + at.x * scale + 1.5 + left,
    y: y + (size - small) * 0.19,
    size: small,
    text: words,
  });
}

/** Where pieces begin and end along the board, from its tagged end; figures that would meet stand in two rows. */
function ruler(
  writer: PageWriter,
  pieces: readonly Pick<Blank, 'x' | 'length'>[],
  board: Board,
  scale: number,
  say: (mm: number) => string,
): void {
  const places = [...new Set(pieces.flatMap(({ x, length }) => [x, x + length]).map((x) => Math.round(x * 10) / 10))];
  const free = [-1e9, -1e9];
  for (const x of [...places, board.length].sort((a, b) => a - b)) {
    const text = say(x);
    const half = (text.length * READABLE * LETTER) / 2;
    const middle = Math.min(writer.width - half, Math.max(half, x * scale));
    const row = middle - half > (free[0] ?? 0) + 1 ? 0 : middle - half > (free[1] ?? 0) + 1 ? 1 : -1;
    writer.mark({
      kind: 'line',
      points: [
        [writer.left + x * scale, writer.y - 1.5],
        [writer.left + x * scale, writer.y + (row === 1 ? 4 : 0.5)],
      ],
      weight: 0.2,
    });
    if (row < 0) continue;
    free[row] = middle + half;
    writer.mark({
      kind: 'text',
      x: writer.left + middle,
      y: writer.y + 0.8 + row * 4.2,
      size: READABLE,
      text,
      align: 'centre',
    });
  }
}

function cutList(writer: PageWriter, steps: readonly CutStep[], labelOf: LabelOf, style: LengthStyle): void {
  const rows = Math.ceil(steps.length / CUT_COLUMNS);
  const column = writer.width / CUT_COLUMNS;
  steps.forEach((step, i) => {
    const x = writer.left + Math.floor(i / rows) * column;
    const y = writer.y + (i % rows) * CUT_ROW;
    const frees = sayFreed(step, labelOf);
    writer.mark({ kind: 'text', x, y, size: READABLE, bold: true, text: `${step.number}` });
    writer.mark({
      kind: 'text',
      x: x + 7,
      y,
      size: READABLE,
      text: `${sayCut(step, style)}${frees ? ` → ${frees}` : ''}`,
      width: column - 10,
    });
  });
}
