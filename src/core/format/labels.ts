import { encode } from 'uqr';
import { sayDay } from '../measure/calendar';
import { formatLength, type LengthStyle } from '../measure/length';
import type { Board } from '../stock/board';
import { type Mark, PAPERS, type Page, type Paper } from './page';

const COLUMNS = 2;
const ROWS = 7;
const QR = 27;
const PAD = 5;

type Given = {
  paper: Paper;
  style: LengthStyle;
  woodOf: (species: string) => string;
  address: (board: Board) => string;
};

/**
 * Labels to be cut apart and stapled to the boards: tag, wood, size, what was last read, and a code that opens the board
 * in Taller (QR, ISO/IEC 18004, at level M, which is still read with a smudge).
 *
 * @param address of a board's own page
 * @returns the pages one after the other, so that a whole rack's are never held at once; true millimetres
 */
export function* composeLabels(boards: readonly Board[], given: Given): Generator<Page> {
  const paper = PAPERS[given.paper];
  const [width, height] = [(paper.width - 20) / COLUMNS, (paper.height - 20) / ROWS];
  for (let first = 0; first < boards.length; first += COLUMNS * ROWS) {
    const marks = boards.slice(first, first + COLUMNS * ROWS).flatMap((board, place) => {
      const x = 10 + (place % COLUMNS) * width;
      const y = 10 + Math.floor(place / COLUMNS) * height;
      return label(board, { x, y, width, height }, given);
    });
    yield { ...paper, marks };
  }
}

function label(
  board: Board,
  at: { x: number; y: number; width: number; height: number },
  { style, woodOf, address }: Given,
): Mark[] {
  const say = (mm: number) => formatLength(mm, style);
  const [left, top] = [at.x + QR + 2 * PAD, at.y + 3];
  const room = at.width - QR - 3 * PAD;
  const lines = [
    woodOf(board.species),
    `${say(board.length)} × ${say(board.width)} × ${board.quarters ? `${board.quarters}/4` : say(board.thickness)}`,
    board.lot,
    board.moisture === null
      ? ''
      : `${board.moisture.toFixed(1)} %${board.moistureOn ? `, ${sayDay(board.moistureOn)}` : ''}`,
    board.storedAt,
  ].filter(Boolean);
  return [
    {
      kind: 'line',
      points: [
        [at.x, at.y],
        [at.x + at.width, at.y],
        [at.x + at.width, at.y + at.height],
        [at.x, at.y + at.height],
      ],
      weight: 0.1,
      dash: 1,
      close: true,
    },
    ...qrMarks(address(board), at.x + PAD, at.y + (at.height - QR) / 2, QR),
    { kind: 'text', x: left, y: top, text: board.tag, size: 20, bold: true, width: room },
    ...lines.map((text, i): Mark => ({ kind: 'text', x: left, y: top + 9.5 + i * 4.6, text, size: 9, width: room })),
  ];
}

/** A code's dark modules, each row's runs drawn as one. mm */
function qrMarks(text: string, x: number, y: number, side: number): Mark[] {
  const { data, size } = encode(text, { ecc: 'M', border: 0 });
  const module = side / size;
  return data.flatMap((row, r) => {
    const marks: Mark[] = [];
    for (let from = 0; from < size; from += 1) {
      if (!row[from]) continue;
      let to = from;
      while (to < size && row[to]) to += 1;
      const [x0, x1, y0, y1] = [x + from * module, x + to * module, y + r * module, y + (r + 1) * module];
      marks.push({
        kind: 'line',
        points: [
          [x0, y0],
          [x1, y0],
          [x1, y1],
          [x0, y1],
        ],
        weight: 0.01,
        close: true,
        fill: '#000000',
      });
      from = to;
    }
    return marks;
  });
}
