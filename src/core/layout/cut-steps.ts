import type { Board } from '../stock/board';
import { blanksOf } from './blanks';
import { isOf, type SawCut } from './cut-sequence';
import type { Demand } from './demand';
import { sawCuts } from './describe-layout';
import type { Layout, LayoutOptions, Placement, Rectangle } from './layout';

/** One cut at the saw, numbered within its board, with what it sets free. */
export interface CutStep extends Omit<SawCut, 'kind'> {
  /** Resawn: the blank is parted through its thickness, `set` and `at` from its flat face, once fewer than it gives pieces. */
  kind: SawCut['kind'] | 'resaw';
  board: string;
  tag: string;
  number: number;
  /** Placements and offcuts that need no further cut after this one. */
  frees: { placements: Placement[]; offcut: boolean };
}

/**
 * The cuts of a whole layout, board after board in the order of the layout; after those that go straight through a
 * board come those that part its blanks into leaves. What is resawn is freed twice: as a blank, then piece by piece.
 */
export function cutSteps(
  layout: Pick<Layout, 'boards' | 'placements' | 'offcuts'>,
  boards: readonly Board[],
  demand: Demand,
  { kerf, step, resaw }: Pick<LayoutOptions, 'kerf' | 'step' | 'resaw'>,
): CutStep[] {
  const thicknessOf = (part: string) =>
    [...demand.parts, ...demand.panels].find((wanted) => wanted.id === part)?.finished.thickness ?? 0;
  const spareOf = ({ part, length, width }: Placement) => {
    const own = demand.parts.find(({ id }) => id === part);
    const panel = demand.panels.find(({ id }) => id === part);
    if (panel) return { length: panel.rough.length - panel.finished.length, width: panel.jointing };
    return own && { length: length - own.finished.length, width: width - own.finished.width };
  };
  return layout.boards.flatMap((id) => {
    const board = boards.find((b) => b.id === id);
    if (!board) return [];
    const cuts = sawCuts(board, layout.placements, layout.offcuts, { kerf, step }, spareOf) ?? [];
    const placements = layout.placements.filter((p) => p.board === id);
    const offcuts = layout.offcuts.filter((o) => o.board === id);
    // The last cut of the wood that a piece is in sets it free.
    const last = (piece: Rectangle) => cuts.findLastIndex((cut) => isOf(piece, cut.from, kerf + 2 * step));
    const freed = placements.map(last);
    const freedOffcuts = offcuts.map(last);
    const through = cuts.map(
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
    const resawn = blanksOf(placements)
      .filter((blank) => blank.placements.length > 1)
      .map((blank, i): CutStep => {
        const { x, y, length, width } = blank;
        const sawn = thicknessOf(blank.placements[0]?.part ?? '') + resaw.allowance;
        return {
          kind: 'resaw',
          board: id,
          tag: board.tag,
          number: through.length + i + 1,
          from: { x, y, length, width },
          at: sawn,
          set: sawn,
          side: 'near',
          trims: false,
          frees: { placements: [...blank.placements], offcut: false },
        };
      });
    return [...through, ...resawn];
  });
}
