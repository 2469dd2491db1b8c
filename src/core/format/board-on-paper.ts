import { type Blank, blanksOf } from '../layout/blanks';
import { blankLabel, type LabelOf } from '../layout/labels';
import type { Layout } from '../layout/layout';
import type { Board } from '../stock/board';
import type { Mark, PaperDrawing } from './page';

/** What is read standing at the saw is at least this large, points. */
export const READABLE = 10;
/** mm of a letter of one point, on the average, and of a figure. */
const LETTER = 0.17;
const BOLD = 0.21;
/** mm that half a letter of one point is high. */
const HALF = 0.2;
/** Points. */
const SMALLEST = 4;
/** Under the board: a tick, and two rows of figures. mm */
const RULER = 11;

interface Given {
  layout: Pick<Layout, 'placements' | 'offcuts'>;
  labelOf: LabelOf;
  /** mm of paper for a mm of board. */
  scale: number;
  say: (mm: number) => string;
  /** Where the crosscuts lie, under the board. */
  ruler: boolean;
}

/** A board from above with what is cut from it: letters and sizes of its pieces, defects, offcuts that go back to the rack. */
export function boardOnPaper(board: Board, { layout, labelOf, scale, say, ruler }: Given): PaperDrawing {
  const blanks = blanksOf(layout.placements.filter((p) => p.board === board.id));
  const offcuts = layout.offcuts.filter((offcut) => offcut.board === board.id);
  const wide = Math.max(board.width, board.farWidth ?? 0) * scale;
  const at = (x: number, y: number) => [x * scale, y * scale] as const;
  const box = (r: { x: number; y: number; length: number; width: number }) => [
    at(r.x, r.y),
    at(r.x + r.length, r.y),
    at(r.x + r.length, r.y + r.width),
    at(r.x, r.y + r.width),
  ];
  const marks: Mark[] = [];
  for (const defect of board.defects) {
    const corners = box(defect);
    marks.push({ kind: 'line', points: corners, close: true, weight: 0.15, fill: '#dddddd' });
    marks.push({ kind: 'line', points: [corners[0] ?? at(0, 0), corners[2] ?? at(0, 0)], weight: 0.15 });
  }
  for (const offcut of offcuts) {
    marks.push({ kind: 'line', points: box(offcut), close: true, weight: 0.2, dash: 1.2 });
    marks.push(...label(offcut, scale, '', `rack ${say(offcut.length)} × ${say(offcut.width)}`));
  }
  for (const blank of blanks) {
    marks.push({ kind: 'line', points: box(blank), close: true, weight: 0.35 });
    const turned = blank.placements[0]?.turned ? ' (turned over)' : '';
    marks.push(
      ...label(blank, scale, blankLabel(labelOf, blank), `${say(blank.length)} × ${say(blank.width)}${turned}`),
    );
  }
  marks.push({
    kind: 'line',
    points: [at(0, 0), at(board.length, 0), at(board.length, board.farWidth ?? board.width), at(0, board.width)],
    close: true,
    weight: 0.5,
  });
  if (ruler) marks.push(...rulerMarks([...blanks, ...offcuts], board, scale, wide + 1.5, say));
  return { width: board.length * scale, height: wide + (ruler ? RULER : 0), marks };
}

/** Its letter, and its size where there is room for both, in the middle of a rectangle's height. */
function label(at: Pick<Blank, 'x' | 'y' | 'length' | 'width'>, scale: number, letter: string, words: string): Mark[] {
  const long = at.length * scale - 2;
  const tall = at.width * scale;
  const high = tall > 7 ? 14 : tall > 4.4 ? READABLE : Math.max(SMALLEST, tall * 2.2);
  const size = Math.min(high, long / Math.max(1e-9, letter.length * BOLD));
  const middle = (at.y + at.width / 2) * scale;
  const x = at.x * scale + 1.2;
  const wide = letter ? letter.length * size * BOLD + 1.5 : 0;
  // What is too small to read is in the list of cuts alone.
  const marks: Mark[] =
    letter && size >= SMALLEST ? [{ kind: 'text', x, y: middle - size * HALF, size, bold: true, text: letter }] : [];
  const small = Math.min(high, READABLE);
  if (wide + words.length * small * LETTER > long) return marks;
  return [...marks, { kind: 'text', x: x + wide, y: middle - small * HALF, size: small, text: words }];
}

/** Where pieces begin and end along the board, from its tagged end; figures that would meet are set in two rows. */
function rulerMarks(
  pieces: readonly Pick<Blank, 'x' | 'length'>[],
  board: Board,
  scale: number,
  y: number,
  say: (mm: number) => string,
): Mark[] {
  const places = [...new Set(pieces.flatMap(({ x, length }) => [x, x + length]).map((x) => Math.round(x * 10) / 10))];
  const free: [number, number] = [-1e9, -1e9];
  return [...places, board.length]
    .sort((a, b) => a - b)
    .flatMap((x): Mark[] => {
      const text = say(x);
      const half = (text.length * READABLE * LETTER) / 2;
      const middle = Math.min(board.length * scale - half, Math.max(half, x * scale));
      const row = free.findIndex((end) => middle - half > end + 1);
      const tick: Mark = {
        kind: 'line',
        points: [
          [x * scale, y - 1.5],
          [x * scale, y + (row === 1 ? 4 : 0.5)],
        ],
        weight: 0.2,
      };
      if (row < 0) return [tick];
      free[row] = middle + half;
      return [tick, { kind: 'text', x: middle, y: y + 0.8 + row * 4.2, size: READABLE, text, align: 'centre' }];
    });
}
