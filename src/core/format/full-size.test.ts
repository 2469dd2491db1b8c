import DxfParser from 'dxf-parser';
import { describe, expect, it } from 'vitest';
import { CONSTRUCTIONS, derived } from '../../../tests/fixtures/constructions';
import { findPart, type TablePiece } from '../piece/piece';
import { curveTables } from './curve-tables';
import { fullSizeDrawings } from './full-size';
import { FULL_SIZE_LAYERS, type FullSizeDrawing } from './full-size-drawing';
import { writeFullSizeDxf, writeFullSizeSvg } from './full-size-files';
import { fullSizeSheets } from './full-size-sheets';
import { writeOffsetsCsv } from './offsets-csv';

const mm = { system: 'metric' } as const;
const pieceOf = (name: string): TablePiece => derived(CONSTRUCTIONS.find((c) => c.name.includes(name))!.document).piece;
const drawingsOf = (piece: TablePiece) => fullSizeDrawings(piece, mm);
const stickFor = (drawings: readonly FullSizeDrawing[], letter: string) =>
  drawings.find((d) => d.group === 'stick' && d.title.split(':')[0]!.split(' ').includes(letter))!;

interface Vertex {
  x: number;
  y: number;
  bulge?: number;
}
/** By an independent reader. */
const readDxf = (text: string) => {
  const dxf = new DxfParser().parseSync(text)!;
  const lines = dxf.entities.filter((e) => e.type === 'LWPOLYLINE') as unknown as {
    layer: string;
    vertices: Vertex[];
  }[];
  return { layers: Object.keys(dxf.tables.layer.layers), lines, units: dxf.header.$INSUNITS };
};
const extent = (vertices: readonly Vertex[], axis: 'x' | 'y') =>
  Math.max(...vertices.map((v) => v[axis])) - Math.min(...vertices.map((v) => v[axis]));

describe.each(CONSTRUCTIONS.map((c) => [c.name, c] as const))('at full size, %s', (_, { document }) => {
  const { piece } = derived(document);
  const drawings = drawingsOf(piece);

  it('has a story stick for every part that is marked out, as long as the part', () => {
    for (const part of piece.parts) {
      if (part.material) continue;
      if (part.removed.length === 0 && part.beyond.start + part.beyond.end === 0) continue;
      const stick = stickFor(drawings, part.letter);
      expect(stick, part.name).toBeDefined();
      const outline = stick.marks.find((m) => m.kind === 'line' && m.layer === 'OUTLINE');
      const xs = outline?.kind === 'line' ? outline.points.map((p) => p[0]) : [];
      expect(Math.max(...xs) - Math.min(...xs)).toBeCloseTo(part.size.length, 6);
    }
  });

  it('goes out as DXF with every layer, each drawing as large as it is, and comes back so', () => {
    const { layers, lines, units } = readDxf(writeFullSizeDxf(drawings));
    for (const layer of FULL_SIZE_LAYERS) expect(layers).toContain(layer);
    expect(units).toBe(4);
    const sticks = drawings.filter((d) => d.group === 'stick');
    for (const stick of sticks) {
      const length = stick.width - 24;
      expect(lines.some((l) => l.layer === 'OUTLINE' && Math.abs(extent(l.vertices, 'x') - length) < 0.05)).toBe(true);
    }
  });
});

describe('a curved part at full size', () => {
  const piece = pieceOf('refectory table');
  const drawings = drawingsOf(piece);

  it('goes out as one line with true arcs: bulge, chord and sagitta belong together', () => {
    const stretcher = findPart(piece, 'stretcher')!;
    const template = drawings.find((d) => d.id === 'template-stretcher-width')!;
    const { lines } = readDxf(writeFullSizeDxf([template]));
    const arcs = lines
      .filter((l) => l.layer === 'OUTLINE')
      .flatMap(({ vertices }) =>
        vertices.flatMap((v, i) => {
          const to = vertices[(i + 1) % vertices.length]!;
          return v.bulge ? [{ sagitta: (v.bulge * Math.hypot(to.x - v.x, to.y - v.y)) / 2 }] : [];
        }),
      );
    expect(arcs).toHaveLength(2);
    // One edge is hollow, the other as much crowned.
    expect(arcs.map((a) => Math.abs(a.sagitta))).toEqual([expect.closeTo(50, 3), expect.closeTo(50, 3)]);
    expect(arcs[0]!.sagitta * arcs[1]!.sagitta).toBeLessThan(0);
    expect(template.width - 24).toBeCloseTo(stretcher.shoulderLength, 6);
    expect(template.height - 34).toBeCloseTo(stretcher.size.width, 1);
  });

  it('has a table of offsets for its hollow and its crown, and the foot’s hollow is on the stick', () => {
    const tables = curveTables(piece);
    const hollow = tables.find((t) => t.name.startsWith('Stretcher') && t.name.endsWith('hollow'))!;
    const middle = hollow.offsets.find(({ along }) => Math.abs(along - hollow.chord / 2) < 1e-6)!;
    expect(middle.off).toBeCloseTo(50, 9);
    // At a quarter of the chord a flat arc stands off by about three quarters of its sagitta.
    const r = hollow.radius;
    const quarter = Math.sqrt(r ** 2 - (hollow.chord / 4) ** 2) - (r - 50);
    expect(quarter / 50).toBeCloseTo(0.75, 2);
    const foot = findPart(piece, 'foot-left')!;
    const stick = stickFor(drawings, foot.letter);
    const words = stick.marks.flatMap((m) => (m.kind === 'text' ? [m.text] : []));
    expect(words.some((text) => text.startsWith('hollow'))).toBe(true);
  });
});

describe('a story stick', () => {
  it('of an apron carries its two shoulders, as far apart as the legs stand', () => {
    const piece = pieceOf('a square table');
    const apron = findPart(piece, 'apron-front')!;
    const stick = stickFor(drawingsOf(piece), apron.letter);
    const shoulders = stick.marks.filter((m) => m.kind === 'line' && m.layer === 'SHOULDER');
    const xs = shoulders.map((m) => (m.kind === 'line' ? m.points[0]![0] : 0)).sort((a, b) => a - b);
    expect(xs).toHaveLength(2);
    expect(xs[1]! - xs[0]!).toBeCloseTo(apron.shoulderLength, 6);
  });

  it('of a bearer carries every slat in its middle', () => {
    const piece = pieceOf('slats on crossed legs');
    const bearer = findPart(piece, 'bearer-left')!;
    const stick = stickFor(drawingsOf(piece), bearer.letter);
    const holes = stick.marks.flatMap((m) => (m.kind === 'line' && m.layer === 'HOLE' ? [m.points[0]![0]] : []));
    const slats = piece.parts.filter((part) => part.kind === 'slat');
    expect(holes).toHaveLength(slats.length);
    const gaps = holes.sort((a, b) => a - b).map((x, i, all) => (i === 0 ? 0 : x - all[i - 1]!));
    for (const gap of gaps.slice(1)) expect(gap).toBeCloseTo(slats[0]!.size.width + piece.top.gap!, 6);
  });

  it('is one for parts alike, also where one is the other turned end for end', () => {
    const piece = pieceOf('a square table');
    const sticks = drawingsOf(piece).filter((d) => d.group === 'stick');
    const legs = piece.parts.filter((part) => part.kind === 'leg').map((part) => part.letter);
    const own = sticks.filter((d) => legs.some((letter) => stickFor([d], letter)));
    expect(own.length).toBeLessThanOrEqual(2);
  });
});

describe('templates', () => {
  it('of a round top are two true arcs of its radius', () => {
    const piece = pieceOf('a round table on three');
    const outline = drawingsOf(piece).find((d) => d.id === 'template-top')!;
    const { lines } = readDxf(writeFullSizeDxf([outline]));
    const round = lines.find((l) => l.layer === 'OUTLINE')!;
    expect(round.vertices.map((v) => v.bulge)).toEqual([1, 1]);
    expect(extent(round.vertices, 'x')).toBeCloseTo(700, 6);
  });

  it('of curved sides have the bulge of their sagitta, outward on all four', () => {
    const piece = pieceOf('curved sides');
    const outline = drawingsOf(piece).find((d) => d.id === 'template-top')!;
    const { vertices } = readDxf(writeFullSizeDxf([outline])).lines.find((l) => l.layer === 'OUTLINE')!;
    for (const [i, from] of vertices.entries()) {
      const to = vertices[(i + 1) % vertices.length]!;
      const chord = Math.hypot(to.x - from.x, to.y - from.y);
      // A DXF bulge is the tangent of a quarter of the arc’s angle: sagitta = bulge · chord / 2, to the right when above zero.
      const sagitta = (from.bulge! * chord) / 2;
      expect(sagitta).toBeCloseTo(Math.abs(to.x - from.x) > Math.abs(to.y - from.y) ? 25 : 15, 3);
    }
    const svg = writeFullSizeSvg(outline);
    const [, points] = /<polygon points="([^"]+)"/.exec(svg)!;
    const ys = points!.split(' ').map((p) => Number(p.split(',')[1]));
    expect(Math.max(...ys) - Math.min(...ys)).toBeCloseTo(760, 1);
    expect(svg).toContain(`width="${outline.width}mm"`);
  });

  it('of crossing legs show the lap, and say the mitre of their ends', () => {
    const drawings = drawingsOf(pieceOf('slats on crossed legs'));
    const leg = drawings.find((d) => d.group === 'template')!;
    expect(leg.marks.filter((m) => m.layer === 'MORTISE').length).toBeGreaterThanOrEqual(2);
    expect(leg.note).toMatch(/\d+\.\d° mitre/);
  });

  it('are not made of what is a plain block', () => {
    const titles = (name: string) =>
      drawingsOf(pieceOf(name)).flatMap((d) =>
        d.group === 'template' ? [d.title.replace(/^Template [A-Z ]+: /, '')] : [],
      );
    expect(titles('kept flat by battens')).toEqual([]);
    expect(titles('drawn by tusks')).toEqual(['Tusk, face']);
  });
});

describe('tables of curves', () => {
  it('of an arc keep R² = (R − s + off)² + (c/2 − along)², and are nought at both ends', () => {
    const [side] = curveTables(pieceOf('curved sides'));
    const { chord, sagitta, radius, offsets } = side!;
    expect(sagitta).toBe(25);
    for (const { along, off } of offsets) {
      expect((radius - sagitta + off) ** 2 + (chord / 2 - along) ** 2).toBeCloseTo(radius ** 2, 3);
    }
    expect(offsets[0]!.off).toBeCloseTo(0, 6);
    expect(offsets.at(-1)!.off).toBeCloseTo(0, 6);
    expect(Math.max(...offsets.map((o) => o.off))).toBeCloseTo(25, 9);
  });

  it('of an oval lie on the ellipse', () => {
    const [oval] = curveTables(pieceOf('an oval table'));
    for (const { along, off } of oval!.offsets) {
      expect(((along - 575) / 575) ** 2 + (off / 425) ** 2).toBeCloseTo(1, 9);
    }
    expect(writeOffsetsCsv([oval!], { length: mm, decimal: 'point' }).split('\n')).toHaveLength(
      oval!.offsets.length + 2,
    );
  });
});

describe('on ordinary paper', () => {
  const piece = pieceOf('an oval table');
  const drawings = drawingsOf(piece);
  it('nothing of a drawing is lost between two sheets: their lines add up to it, overlaps counted once', () => {
    const outline = drawings.find((d) => d.id === 'template-top')!;
    const tiles = fullSizeSheets([outline], 'a4', 'Job');
    expect(tiles.length).toBeGreaterThan(12);
    // The outline’s lines are the heaviest; with overlaps their sum is more than the way round, and less than twice it.
    const long = tiles.flatMap((page) =>
      page.marks.flatMap((m) =>
        m.kind === 'line' && m.weight === 0.3
          ? [Math.hypot(m.points[1]![0] - m.points[0]![0], m.points[1]![1] - m.points[0]![1])]
          : [],
      ),
    );
    const sum = long.reduce((a, b) => a + b, 0);
    const round = piece.top.polygon.reduce((s, [x, y], i, all) => {
      const [nx, ny] = all[(i + 1) % all.length]!;
      return s + Math.hypot(nx - x, ny - y);
    }, 0);
    expect(sum).toBeGreaterThan(round - 0.01);
    expect(sum).toBeLessThan(1.25 * round);
    for (const page of tiles) {
      for (const m of page.marks) {
        if (m.kind !== 'line') continue;
        for (const [x, y] of m.points) {
          expect(x).toBeGreaterThan(3);
          expect(y).toBeGreaterThan(3);
          expect(x).toBeLessThan(page.width - 3);
          expect(y).toBeLessThan(page.height - 3);
        }
      }
    }
  });
});
