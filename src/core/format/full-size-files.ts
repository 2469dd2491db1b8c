import { Colors, DxfWriter, point2d, point3d, Units } from '@tarikjabiri/dxf';
import { type Flat, polygonOf } from '../solid/outline';
import { FULL_SIZE_LAYERS, type FullSizeDrawing, type FullSizeMark } from './full-size-drawing';
import { type Mark, PAPERS, type Page, type Paper } from './page';
import { escapeXml, round, svgDocument } from './svg';

const BETWEEN = 20;

const COLOURS = [Colors.White, Colors.Blue, Colors.Red, Colors.Green, Colors.Magenta, Colors.Cyan, Colors.White];

/** Drawings one below the other in true millimetres, a layer for each thing that is done; arcs are true arcs. */
export function writeFullSizeDxf(drawings: readonly FullSizeDrawing[]): string {
  const dxf = new DxfWriter();
  dxf.setUnits(Units.Millimeters);
  FULL_SIZE_LAYERS.forEach((layer, i) => {
    dxf.addLayer(layer, COLOURS[i] ?? Colors.White, 'CONTINUOUS');
  });
  let top = 0;
  for (const drawing of drawings) {
    for (const mark of drawing.marks) {
      if (mark.kind === 'text') {
        dxf.addText(point3d(mark.at[0], top - mark.at[1] - mark.size), mark.size, mark.text, { layerName: 'TEXT' });
        continue;
      }
      dxf.addLWPolyline(
        mark.points.map(([x, y], i) => ({ point: point2d(x, top - y), bulge: bulgeOf(mark, i) })),
        { flags: mark.close ? 1 : 0, layerName: mark.layer },
      );
    }
    top -= drawing.height + BETWEEN;
  }
  return dxf.stringify();
}

/** The tangent of a quarter of the arc's angle; above zero where it bulges to the right of the way. */
function bulgeOf(mark: Extract<FullSizeMark, { kind: 'line' }>, i: number): number {
  const sagitta = mark.sagittas?.[i] ?? 0;
  const [a, b] = [mark.points[i], mark.points[(i + 1) % mark.points.length]];
  if (!sagitta || !a || !b) return 0;
  return (2 * sagitta) / Math.hypot(b[0] - a[0], b[1] - a[1]);
}

/** A mark's line with its arcs drawn out. On paper y runs down, so that what bulged right of the way bulges left. */
function drawnOut(mark: Extract<FullSizeMark, { kind: 'line' }>): readonly Flat[] {
  if (!mark.sagittas?.some((s) => s !== 0)) return mark.points;
  const up = mark.points.map(([x, y], i) => ({ at: [x, -y] as Flat, sagitta: mark.sagittas?.[i] ?? 0 }));
  return polygonOf(up, 0.02).map(([x, y]): Flat => [x, -y]);
}

/** One drawing as SVG in true millimetres, a group a layer; lines as heavy as asked, mm. */
export function writeFullSizeSvg(drawing: FullSizeDrawing, weight = 0.25): string {
  const body = FULL_SIZE_LAYERS.flatMap((layer) => {
    const marks = drawing.marks.filter((mark) => mark.layer === layer);
    if (marks.length === 0) return [];
    return [
      `<g id="${layer}" fill="none" stroke="#14201B" stroke-width="${weight}"${layer === 'CENTRE' ? ' stroke-dasharray="6 2 1 2"' : layer === 'TENON' ? ' stroke-dasharray="2 1.2"' : ''}>`,
      ...marks.map((mark) => {
        if (mark.kind === 'text') {
          return `<text x="${round(mark.at[0])}" y="${round(mark.at[1] + mark.size)}" font-family="sans-serif" font-size="${mark.size}" fill="#14201B" stroke="none">${escapeXml(mark.text)}</text>`;
        }
        const points = drawnOut(mark)
          .map(([x, y]) => `${round3(x)},${round3(y)}`)
          .join(' ');
        return mark.close ? `<polygon points="${points}"/>` : `<polyline points="${points}"/>`;
      }),
      '</g>',
    ];
  });
  return svgDocument(drawing.width, drawing.height, drawing.title, body);
}

const round3 = (value: number) => Math.round(value * 1000) / 1000;

const EDGE = 10;
/** How far neighbouring sheets show the same, mm. */
const OVERLAP = 15;
const SQUARE = 100;
const FOOT = 14;

/**
 * Drawings on ordinary paper at full size: as many sheets as it takes, each overlapping the next, with crosses to lay them
 * on one another, and on the first sheet of all a square to be measured.
 */
export function composeFullSize(drawings: readonly FullSizeDrawing[], paper: Paper, job: string): Page[] {
  return [testPage(paper, job, drawings), ...drawings.flatMap((drawing) => tiles(drawing, paper, job))];
}

function testPage(paper: Paper, job: string, drawings: readonly FullSizeDrawing[]): Page {
  const { width, height } = PAPERS[paper];
  const [x, y] = [EDGE + 10, 40];
  const corner = (dx: number, dy: number): Flat => [x + dx, y + dy];
  const say = (text: string, at: number, size = 9, bold = false): Mark => ({
    kind: 'text',
    x: EDGE + 10,
    y: at,
    text,
    size,
    bold,
    width: width - 2 * EDGE - 20,
  });
  return {
    width,
    height,
    marks: [
      say(`${job}  ·  full size`, 16, 14, true),
      say(
        'Print at 100 %, nothing fitted to the page. Measure the square before anything is cut: it is 100 mm a side.',
        26,
      ),
      {
        kind: 'line',
        points: [corner(0, 0), corner(SQUARE, 0), corner(SQUARE, SQUARE), corner(0, SQUARE)],
        close: true,
        weight: 0.2,
      },
      { kind: 'text', x: x + SQUARE / 2, y: y + SQUARE / 2, text: '100 × 100 mm', size: 10, align: 'centre' },
      ...drawings
        .slice(0, Math.floor((height - 20 - (y + SQUARE + 12)) / 6))
        .map((drawing, i) => say(`${i + 1}.  ${drawing.title}`, y + SQUARE + 12 + i * 6)),
    ],
  };
}

function tiles(drawing: FullSizeDrawing, paper: Paper, job: string): Page[] {
  const sheet = PAPERS[paper];
  // Long sticks lie along the paper.
  const lying = drawing.width > drawing.height;
  const page = lying ? { width: sheet.height, height: sheet.width } : sheet;
  const usable = { width: page.width - 2 * EDGE, height: page.height - 2 * EDGE - FOOT };
  const step = { x: usable.width - OVERLAP, y: usable.height - OVERLAP };
  const columns = Math.max(1, Math.ceil((drawing.width - OVERLAP) / step.x));
  const rows = Math.max(1, Math.ceil((drawing.height - OVERLAP) / step.y));
  const pages: Page[] = [];
  for (let row = 0; row < rows; row += 1) {
    for (let column = 0; column < columns; column += 1) {
      const origin: Flat = [column * step.x, row * step.y];
      const marks: Mark[] = [
        ...drawing.marks.flatMap((mark) => onTile(mark, origin, usable)),
        ...registers(drawing, { row, column, rows, columns }, step, usable),
        {
          kind: 'text',
          x: EDGE,
          y: page.height - EDGE - 8,
          text: `${job}  ·  ${drawing.title}  ·  sheet ${letter(row)}${column + 1} of ${letter(rows - 1)}${columns}`,
          size: 8,
          width: usable.width,
        },
        { kind: 'text', x: EDGE, y: page.height - EDGE - 4, text: drawing.note, size: 6.5, width: usable.width },
      ];
      pages.push({ ...page, marks });
    }
  }
  return pages;
}

const letter = (row: number) => String.fromCharCode(65 + (row % 26));

function onTile(mark: FullSizeMark, origin: Flat, usable: { width: number; height: number }): Mark[] {
  const at = ([x, y]: Flat): Flat => [x - origin[0], y - origin[1]];
  if (mark.kind === 'text') {
    const [x, y] = at(mark.at);
    if (x < -1 || y < -1 || x > usable.width - 5 || y > usable.height - mark.size) return [];
    return [{ kind: 'text', x: EDGE + x, y: EDGE + y, text: mark.text, size: mark.size * 2.83 }];
  }
  const points = drawnOut(mark);
  const closed = mark.close ? [...points, points[0] as Flat] : points;
  const dash = mark.layer === 'TENON' ? { dash: 1.2 } : mark.layer === 'CENTRE' ? { dash: 2.5 } : {};
  return closed.slice(1).flatMap((to, i): Mark[] => {
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
  drawing: FullSizeDrawing,
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
  const across = Math.min(usable.height, drawing.height - tile.row * step.y);
  const along = Math.min(usable.width, drawing.width - tile.column * step.x);
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
