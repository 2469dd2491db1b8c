import type { Move } from '../document/job-document';
import { ownerOf } from '../piece/table/bases/leg-apron/making';
import type { Board } from '../stock/board';
import { checkBoard, hasSizeOf } from './check-layout';
import type { Demand } from './demand';
import type { Layout, LayoutOptions, Placement } from './layout';
import { isMoved } from './move-piece';

/**
 * What the search leaves where it is: parts that are cut, and what the maker has moved or pinned as far as it is still of
 * the asked size and the board as it now is still gives it.
 */
export function fixedPlacements(given: {
  layout: Layout | null;
  /** Names of the parts that are cut. */
  cut: ReadonlySet<string>;
  demand: Demand;
  boards: readonly Board[];
  options: LayoutOptions;
  pinned: readonly string[];
  moved: readonly Move[];
}): Placement[] {
  const { layout, cut, demand, boards, options, pinned, moved } = given;
  if (!layout) return [];
  return boards.flatMap((board) => {
    const here = layout.placements.filter((placement) => placement.board === board.id);
    const sawn = here.filter((placement) => board.takenFor || cut.has(ownerOf(placement.part)));
    const kept = here.filter(
      (placement) =>
        !sawn.includes(placement) &&
        (pinned.includes(board.tag) || moved.some((move) => isMoved(placement, move))) &&
        asAsked(placement, demand, boards, options.skim),
    );
    if (kept.length === 0) return sawn;
    const placements = [...sawn, ...kept];
    const wrong = checkBoard(board, demand, options, { placements, offcuts: [], shortfall: [] });
    return wrong.length === 0 ? placements : sawn;
  });
}

/** Whether a piece of the layout still has the size that is asked for. */
function asAsked(placement: Placement, demand: Demand, boards: readonly Board[], skim: number): boolean {
  const near = (a: number, b: number) => Math.abs(a - b) < 1e-6;
  const part = demand.parts.find((p) => p.id === placement.part);
  if (part) return hasSizeOf(part, placement, boards, skim);
  const panel = demand.panels.find((p) => p.id === placement.part);
  const band = panel?.bands[placement.band ?? 0];
  const width = placement.width - (panel?.jointing ?? 0);
  return (
    panel !== undefined &&
    (panel.pairs === undefined || placement.layer !== undefined) &&
    near(band?.length ?? 0, placement.length) &&
    width >= panel.leastStrip - 1e-6 &&
    width <= panel.greatestStrip + 1e-6
  );
}
