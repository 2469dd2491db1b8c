import { Colors, DxfWriter, point2d, point3d, Units } from '@tarikjabiri/dxf';
import { blanksOf } from '../layout/blanks';
import { blankLabel, type LabelOf } from '../layout/labels';
import { boardsUsed, type Layout, type Rectangle } from '../layout/layout';
import type { Board } from '../stock/board';
import { boardShape } from '../stock/board-shape';

const GAP = 150;

/** Layers of the drawing: boards, pieces, offcuts, defects, texts. */
export const DXF_LAYERS = ['BOARDS', 'PARTS', 'OFFCUTS', 'DEFECTS', 'LETTERS'] as const;

/** The boards of a layout one below the other as DXF in true millimetres, one layer for each kind of line. */
export function writeLayoutDxf(
  layout: Pick<Layout, 'placements' | 'offcuts' | 'boards'>,
  labelOf: LabelOf,
  boards: readonly Board[],
): string {
  const dxf = new DxfWriter();
  dxf.setUnits(Units.Millimeters);
  const colours = [Colors.White, Colors.Blue, Colors.Green, Colors.Red, Colors.White];
  DXF_LAYERS.forEach((layer, i) => {
    dxf.addLayer(layer, colours[i] ?? Colors.White, 'CONTINUOUS');
  });
  let top = 0;
  for (const board of boardsUsed(layout, boards)) {
    const shape = boardShape(board);
    // The near edge lies below, as it does on the saw.
    const bottom = top - Math.max(board.width, board.farWidth ?? 0);
    const line = (layer: (typeof DXF_LAYERS)[number], points: readonly (readonly [number, number])[]) =>
      dxf.addLWPolyline(
        points.map(([x, y]) => ({ point: point2d(x, bottom + y) })),
        { flags: 1, layerName: layer },
      );
    const box = (layer: (typeof DXF_LAYERS)[number], { x, y, length, width }: Rectangle) =>
      line(layer, [
        [x, y],
        [x + length, y],
        [x + length, y + width],
        [x, y + width],
      ]);
    const write = (text: string, x: number, y: number, height: number) =>
      dxf.addText(point3d(x, bottom + y), height, text, { layerName: 'LETTERS' });
    line('BOARDS', [
      [0, 0],
      [board.length, 0],
      [board.length, shape.far.other + board.liveEdges.far],
      [0, shape.far.tagged + board.liveEdges.far],
    ]);
    write(board.tag, 0, -40, 25);
    for (const offcut of layout.offcuts) if (offcut.board === board.id) box('OFFCUTS', offcut);
    for (const defect of board.defects) box('DEFECTS', defect);
    for (const blank of blanksOf(layout.placements.filter((p) => p.board === board.id))) {
      box('PARTS', blank);
      const height = Math.min(25, blank.width / 3);
      write(blankLabel(labelOf, blank), blank.x + 10, blank.y + (blank.width - height) / 2, height);
    }
    top = bottom - GAP;
  }
  return dxf.stringify();
}
