import type { Board } from '../stock/board';
import { boardShape, reachAcross } from '../stock/board-shape';
import { leftTogether } from './cut-sequence';
import { clearOf, type Offcut, type Placement } from './layout';
import { rectanglesOf } from './ready-boards';
import { aroundAll } from './sawn-board';

/** What is left of one board and useful, with what no cut parts taken as one. */
export function leftovers<O extends Offcut>(
  board: Board,
  placements: readonly Placement[],
  offcuts: readonly O[],
  kerf: number,
): Offcut[] {
  if (offcuts.length < 2) return [...offcuts];
  const whole = { x: 0, y: 0, length: board.length, width: Math.max(board.width, board.farWidth ?? 0) };
  const left = offcuts.map((offcut) => ({ ...offcut, offcut: true }));
  const groups = leftTogether(whole, [...rectanglesOf(placements), ...left], { kerf, step: 0 });
  if (!groups) return [...offcuts];
  return groups.flatMap((group) => {
    const own = offcuts.filter((_, i) => group.includes(left[i]!));
    return own.length > 1 ? [asOne(board, own)] : own;
  });
}

/** The rectangle round several, no wider than a taper lets it be. */
function asOne(board: Board, offcuts: readonly Offcut[]): Offcut {
  const round = aroundAll(offcuts);
  const top = Math.min(round.y + round.width, reachAcross(boardShape(board), round.x, round.x + round.length));
  const width = Math.max(...offcuts.map(({ y, width }) => Math.min(y + width, top))) - round.y;
  const kept = (offcut: Offcut) => {
    const left = Math.max(0, Math.min(offcut.y + offcut.width, round.y + width) - offcut.y);
    return clearOf(offcut) * (left / offcut.width);
  };
  return { ...round, width, clear: offcuts.reduce((sum, offcut) => sum + kept(offcut), 0) };
}
