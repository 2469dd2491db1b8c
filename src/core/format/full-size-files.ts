import { Colors, DxfWriter, point2d, point3d, Units } from '@tarikjabiri/dxf';
import { drawnOut, FULL_SIZE_LAYERS, type FullSizeDrawing, type FullSizeMark } from './full-size-drawing';
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
