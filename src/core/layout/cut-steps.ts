import type { Board } from '../stock/board';
import type { SawCut } from './cut-sequence';
import { sawCuts } from './describe-layout';
import type { Layout, Placement, Rectangle } from './layout';

/** One cut at the saw, numbered within its board, with what it sets free. */
export interface CutStep extends SawCut {
  board: string;
  tag: string;
  number: number;
  /** Placements and offcuts that need no further cut after this one. */
  frees: { placements: Placement[]; offcut: boolean };
}

/** The cuts of a whole layout, board after board in the order of the layout. */
export function cutSteps(layout: Layout, boards: readonly Board[], kerf: number): CutStep[] {
  return layout.boards.flatMap((id) => {
    const board = boards.find((b) => b.id === id);
    if (!board) return [];
    const cuts = sawCuts(board, layout.placements, layout.offcuts, kerf) ?? [];
    const placements = layout.placements.filter((p) => p.board === id);
    const offcuts = layout.offcuts.filter((o) => o.board === id);
    // The last cut that lies on a piece's border sets it free.
    const last = (piece: Rectangle) => cuts.findLastIndex((cut) => touches(cut, piece, kerf));
    const freed = placements.map(last);
    const freedOffcuts = offcuts.map(last);
    return cuts.map(
      (cut, i): CutStep => ({
        ...cut,
        board: id,
        tag: board.tag,
        number: i + 1,
        frees: {
          placements: placements.filter((_, p) => freed[p] === i),
          offcut: freedOffcuts.includes(i),
        },
      }),
    );
  });
}

const near = (a: number, b: number) => Math.abs(a - b) < 1e-6;

function touches(cut: SawCut, piece: Rectangle, kerf: number): boolean {
  const { from } = cut;
  const within =
    piece.x >= from.x - 1e-6 &&
    piece.y >= from.y - 1e-6 &&
    piece.x + piece.length <= from.x + from.length + 1e-6 &&
    piece.y + piece.width <= from.y + from.width + 1e-6;
  if (!within) return false;
  const [start, end] = cut.kind === 'crosscut' ? [piece.x, piece.x + piece.length] : [piece.y, piece.y + piece.width];
  return near(cut.at, end) || (cut.at <= start + 1e-6 && cut.at + kerf >= start - 1e-6);
}
