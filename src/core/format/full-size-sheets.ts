import { boundsOfFlat, type Flat } from '../solid/outline';
import { drawnOut, type FullSizeDrawing, type FullSizeMark } from './full-size-drawing';
import { type Mark, PAPERS, type Page, type Paper } from './page';

/** Free round what is drawn, and under it for the words at the foot, mm. */
const EDGE = 10;
const FOOT = 11;
/** How far neighbouring sheets show the same, mm. */
const OVERLAP = 15;
/** Between drawings on one sheet, mm. */
const BETWEEN = 4;

/** Paper at full size: as many sheets as it takes, each overlapping the next, with crosses to lay them on one another. */
export interface FullSizeSheet extends Page {
  /** What is written in the free space under the drawing, which begins so far down, mm. */
  foot: string;
  footAt: number;
}

/** Drawings that share sheets: each where it is put on them. */
interface Canvas {
  width: number;
  height: number;
  placed: readonly { drawing: FullSizeDrawing; at: Flat }[];
}

interface Usable {
  width: number;
  height: number;
  lying: boolean;
}

/**
 * Drawings on ordinary paper at full size. Small ones share a sheet, sticks of one length lie under one another, and what
 * is larger than a sheet is tiled the way that takes fewest; sheets on which nothing would be drawn are left out.
 */
export function fullSizeSheets(given: readonly FullSizeDrawing[], paper: Paper, job: string): FullSizeSheet[] {
  const ways = usableOn(paper);
  const drawings = given.map(withoutMargin);
  const small = drawings.filter((own) => ways.some((way) => fits(own, way)));
  const sticks = drawings.filter((own) => !small.includes(own) && own.height <= ways[1].height);
  const large = drawings.filter((own) => !small.includes(own) && !sticks.includes(own));
  return [
    ...stacked(sticks, ways[1]).flatMap((canvas) => tiles(canvas, ways[1], paper, job)),
    ...ways.flatMap((way, i) =>
      shelved(
        small.filter((own) => ways.findIndex((other) => fits(own, other)) === i),
        way,
      ).flatMap((canvas) => tiles(canvas, way, paper, job)),
    ),
    ...large.flatMap((drawing) => {
      const canvas = { ...drawing, placed: [{ drawing, at: [0, 0] as Flat }] };
      const [standing, lying] = ways.map((way) => tiles(canvas, way, paper, job)) as [FullSizeSheet[], FullSizeSheet[]];
      return standing.length < lying.length ? standing : lying;
    }),
  ];
}

/** Round what is drawn, mm: so much of a crosscut line is still seen. */
const CLEAR = 2;

/** A drawing cut down to what is drawn of it: paper has an edge of its own. */
function withoutMargin(drawing: FullSizeDrawing): FullSizeDrawing {
  const points = drawing.marks.flatMap((mark): readonly Flat[] => {
    if (mark.kind === 'line') return drawnOut(mark);
    const [x, y] = mark.at;
    return [mark.at, [x + mark.text.length * mark.size * WIDE, y + mark.size * 1.2]];
  });
  const { left, right, low, high } = boundsOfFlat(points);
  const moved = ([x, y]: Flat): Flat => [x - left + CLEAR, y - low + CLEAR];
  return {
    ...drawing,
    width: right - left + 2 * CLEAR,
    height: high - low + 2 * CLEAR,
    marks: drawing.marks.map((mark) =>
      mark.kind === 'line' ? { ...mark, points: mark.points.map(moved) } : { ...mark, at: moved(mark.at) },
    ),
  };
}

function usableOn(paper: Paper): [standing: Usable, lying: Usable] {
  const { width, height } = PAPERS[paper];
  const usable = (across: number, down: number, lying: boolean) => ({
    width: across - 2 * EDGE,
    height: down - 2 * EDGE - FOOT,
    lying,
  });
  return [usable(width, height, false), usable(height, width, true)];
}

const fits = ({ width, height }: FullSizeDrawing, way: Usable) => width <= way.width && height <= way.height;

const columnsOf = (width: number, usable: Usable) =>
  Math.max(1, Math.ceil((width - OVERLAP) / (usable.width - OVERLAP) - 1e-9));
const rowsOf = (height: number, usable: Usable) =>
  Math.max(1, Math.ceil((height - OVERLAP) / (usable.height - OVERLAP) - 1e-9));

/** Sticks under one another as long as there is room, the longest first. */
function stacked(sticks: readonly FullSizeDrawing[], usable: Usable): Canvas[] {
  const open: { canvas: Canvas & { placed: Canvas['placed'][number][] } }[] = [];
  for (const drawing of [...sticks].sort((a, b) => b.width - a.width)) {
    const known = open.find(({ canvas }) => canvas.height + BETWEEN + drawing.height <= usable.height);
    if (known) {
      known.canvas.placed.push({ drawing, at: [0, known.canvas.height + BETWEEN] });
      known.canvas.height += BETWEEN + drawing.height;
      known.canvas.width = Math.max(known.canvas.width, drawing.width);
    } else {
      const { width, height } = drawing;
      open.push({ canvas: { width, height, placed: [{ drawing, at: [0, 0] }] } });
    }
  }
  return open.map(({ canvas }) => canvas);
}

/** Small drawings side by side and in rows, as on shelves. */
function shelved(drawings: readonly FullSizeDrawing[], usable: Usable): Canvas[] {
  const sheets: { shelves: { y: number; height: number; end: number }[]; placed: Canvas['placed'][number][] }[] = [];
  for (const drawing of [...drawings].sort((a, b) => b.height - a.height)) {
    const put = sheets.some((sheet) => {
      const shelf = sheet.shelves.find(
        (own) => own.height >= drawing.height && own.end + drawing.width <= usable.width,
      );
      if (shelf) {
        sheet.placed.push({ drawing, at: [shelf.end, shelf.y] });
        shelf.end += drawing.width + BETWEEN;
        return true;
      }
      const last = sheet.shelves.at(-1);
      const y = last ? last.y + last.height + BETWEEN : 0;
      if (y + drawing.height > usable.height) return false;
      sheet.shelves.push({ y, height: drawing.height, end: drawing.width + BETWEEN });
      sheet.placed.push({ drawing, at: [0, y] });
      return true;
    });
    if (put) continue;
    sheets.push({
      shelves: [{ y: 0, height: drawing.height, end: drawing.width + BETWEEN }],
      placed: [{ drawing, at: [0, 0] }],
    });
  }
  return sheets.map(({ placed }) => ({ width: usable.width, height: usable.height, placed }));
}

function tiles(canvas: Canvas, usable: Usable, paper: Paper, job: string): FullSizeSheet[] {
  const sheet = PAPERS[paper];
  const page = usable.lying ? { width: sheet.height, height: sheet.width } : sheet;
  const step = { x: usable.width - OVERLAP, y: usable.height - OVERLAP };
  const [columns, rows] = [columnsOf(canvas.width, usable), rowsOf(canvas.height, usable)];
  const titles = [...new Set(canvas.placed.map(({ drawing }) => drawing.title))].join('; ');
  const sheets: FullSizeSheet[] = [];
  for (let row = 0; row < rows; row += 1) {
    for (let column = 0; column < columns; column += 1) {
      const drawn = canvas.placed.flatMap(({ drawing, at }) => {
        const origin: Flat = [column * step.x - at[0], row * step.y - at[1]];
        return drawing.marks.map((mark) => onTile(mark, origin, usable));
      });
      if (drawn.every(({ lines, words }) => lines.length + words.length === 0)) continue;
      const which = rows * columns > 1 ? `  ·  sheet ${letter(row)}${column + 1} of ${letter(rows - 1)}${columns}` : '';
      const foot = `${job}  ·  ${titles}${which}`;
      sheets.push({
        ...page,
        foot,
        footAt: page.height - EDGE - FOOT + 2,
        marks: [
          ...drawn.flatMap(({ lines }) => lines),
          ...wordsApart(
            drawn.flatMap(({ words }) => words),
            usable,
          ),
          ...registers(canvas, { row, column, rows, columns }, step, usable),
        ],
      });
    }
  }
  return sheets;
}

const letter = (row: number) => String.fromCharCode(65 + (row % 26));

type Words = Extract<Mark, { kind: 'text' }>;
const PT_PER_MM = 72 / 25.4;
/** How wide a letter is, of its height. */
const WIDE = 0.5;

function onTile(mark: FullSizeMark, origin: Flat, usable: Usable): { lines: Mark[]; words: Words[] } {
  const at = ([x, y]: Flat): Flat => [x - origin[0], y - origin[1]];
  if (mark.kind === 'text') {
    const [x, y] = at(mark.at);
    if (x < -1 || y < -1 || x > usable.width - 5 || y > usable.height - mark.size) return { lines: [], words: [] };
    return {
      lines: [],
      words: [
        {
          kind: 'text',
          x: EDGE + Math.max(0, x),
          y: EDGE + Math.max(0, y),
          text: mark.text,
          size: mark.size * PT_PER_MM,
        },
      ],
    };
  }
  const points = drawnOut(mark);
  const closed = mark.close ? [...points, points[0] as Flat] : points;
  const dash = mark.layer === 'TENON' ? { dash: 1.2 } : mark.layer === 'CENTRE' ? { dash: 2.5 } : {};
  const lines = closed.slice(1).flatMap((to, i): Mark[] => {
    const piece = within(at(closed[i] as Flat), at(to), usable);
    if (!piece) return [];
    const [a, b] = piece;
    return [
      {
        kind: 'line',
        points: [
          [EDGE + a[0], EDGE + a[1]],
          [EDGE + b[0], EDGE + b[1]],
        ],
        weight: mark.layer === 'OUTLINE' ? 0.3 : 0.2,
        ...dash,
      },
    ];
  });
  return { lines, words: [] };
}

/** Words that would run over the edge of the paper end at it; those that would lie on others go under them. */
function wordsApart(words: readonly Words[], usable: Usable): Words[] {
  const taken: { left: number; right: number; top: number; bottom: number }[] = [];
  return words.map((own) => {
    const high = own.size / PT_PER_MM;
    const wide = own.text.length * high * WIDE;
    const left = Math.max(EDGE, Math.min(own.x, EDGE + usable.width - wide));
    let top = own.y;
    const lies = () =>
      taken.some((o) => o.left < left + wide && left < o.right && o.top < top + high * 1.2 && top < o.bottom);
    while (lies() && top < EDGE + usable.height) top += high * 1.2;
    taken.push({ left, right: left + wide, top, bottom: top + high * 1.2 });
    return { ...own, x: left, y: top };
  });
}

/** What of a line lies on a sheet (Y.-D. Liang, B. Barsky, 1984). */
function within(from: Flat, to: Flat, { width, height }: { width: number; height: number }): [Flat, Flat] | null {
  const [dx, dy] = [to[0] - from[0], to[1] - from[1]];
  let [enter, leave] = [0, 1];
  for (const [p, q] of [
    [-dx, from[0]],
    [dx, width - from[0]],
    [-dy, from[1]],
    [dy, height - from[1]],
  ] as const) {
    if (Math.abs(p) < 1e-12) {
      if (q < 0) return null;
      continue;
    }
    const r = q / p;
    if (p < 0) enter = Math.max(enter, r);
    else leave = Math.min(leave, r);
  }
  if (enter > leave) return null;
  const at = (t: number): Flat => [from[0] + t * dx, from[1] + t * dy];
  return [at(enter), at(leave)];
}

/** Crosses at the same places of the drawing on every sheet that shows them, and the line along which the next sheet is laid. */
function registers(
  canvas: Canvas,
  tile: { row: number; column: number; rows: number; columns: number },
  step: { x: number; y: number },
  usable: { width: number; height: number },
): Mark[] {
  const marks: Mark[] = [];
  const cross = (x: number, y: number) => {
    if (x < 0 || y < 0 || x > usable.width || y > usable.height) return;
    for (const [dx, dy] of [
      [3, 0],
      [0, 3],
    ] as const) {
      marks.push({
        kind: 'line',
        weight: 0.15,
        points: [
          [EDGE + x - dx, EDGE + y - dy],
          [EDGE + x + dx, EDGE + y + dy],
        ],
      });
    }
  };
  const across = Math.min(usable.height, canvas.height - tile.row * step.y);
  const along = Math.min(usable.width, canvas.width - tile.column * step.x);
  const seams = {
    x: [...(tile.column > 0 ? [OVERLAP / 2] : []), ...(tile.column < tile.columns - 1 ? [step.x + OVERLAP / 2] : [])],
    y: [...(tile.row > 0 ? [OVERLAP / 2] : []), ...(tile.row < tile.rows - 1 ? [step.y + OVERLAP / 2] : [])],
  };
  for (const x of seams.x) {
    cross(x, 5);
    cross(x, Math.max(10, across - 5));
    marks.push({
      kind: 'line',
      weight: 0.1,
      dash: 0.8,
      points: [
        [EDGE + x, EDGE],
        [EDGE + x, EDGE + across],
      ],
    });
  }
  for (const y of seams.y) {
    cross(5, y);
    cross(Math.max(10, along - 5), y);
    marks.push({
      kind: 'line',
      weight: 0.1,
      dash: 0.8,
      points: [
        [EDGE, EDGE + y],
        [EDGE + along, EDGE + y],
      ],
    });
  }
  return marks;
}
