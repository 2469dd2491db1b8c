import type { Board } from '../stock/board';
import type { Rectangle } from './layout';

/** mm² of a board inside its end trim and outside its defects (overlapping defects counted once). */
export function clearArea(
  board: Pick<Board, 'length' | 'width' | 'farWidth'> & { defects: readonly Rectangle[] },
  endTrim: number,
): number {
  const width = Math.max(board.width, board.farWidth ?? 0);
  const right = board.length - endTrim;
  const cuts = (from: number, to: number, ends: number[]) =>
    [...new Set([from, to, ...ends.filter((end) => end > from && end < to)])].sort((a, b) => a - b);
  const xs = cuts(
    endTrim,
    right,
    board.defects.flatMap((d) => [d.x, d.x + d.length]),
  );
  const ys = cuts(
    0,
    width,
    board.defects.flatMap((d) => [d.y, d.y + d.width]),
  );
  let area = 0;
  for (let i = 0; i + 1 < xs.length; i += 1) {
    for (let j = 0; j + 1 < ys.length; j += 1) {
      const [x0, x1, y0, y1] = [xs[i] ?? 0, xs[i + 1] ?? 0, ys[j] ?? 0, ys[j + 1] ?? 0];
      const [cx, cy] = [(x0 + x1) / 2, (y0 + y1) / 2];
      const spoiled = board.defects.some((d) => cx > d.x && cx < d.x + d.length && cy > d.y && cy < d.y + d.width);
      if (!spoiled) area += (x1 - x0) * (y1 - y0);
    }
  }
  return right > endTrim ? area : 0;
}
