import { type Board, type BoardInput, faceArea, ringsAt } from './board';

/**
 * An offcut as a board of its own, as it goes back to the rack: its rings and its defects where they lie in it, the
 * moisture, lot and look of the board it comes from, its share of a price by the piece. It has yet to be measured anew
 * for crook.
 *
 * @param at the offcut in its board, mm
 */
export function offcutBoard(
  board: Board,
  at: { x: number; y: number; length: number; width: number },
  tag: string,
  storedAt = board.storedAt,
): BoardInput {
  const { id: _, ...own } = board;
  const rings = ringsAt(board, at.y + at.width / 2);
  const share = (at.length * at.width) / faceArea(board);
  return {
    ...own,
    tag,
    storedAt,
    length: at.length,
    width: at.width,
    farWidth: null,
    liveEdges: { near: 0, far: 0 },
    crook: null,
    heights: null,
    ringCentre: typeof rings === 'number' ? null : rings,
    price: board.price?.per === 'piece' ? { ...board.price, amount: board.price.amount * share } : board.price,
    note: '',
    defects: board.defects.flatMap((defect) => {
      const x = Math.max(0, defect.x - at.x);
      const y = Math.max(0, defect.y - at.y);
      const length = Math.min(at.length, defect.x + defect.length - at.x) - x;
      const width = Math.min(at.width, defect.y + defect.width - at.y) - y;
      return length >= 1 && width >= 1 ? [{ ...defect, x, y, length, width }] : [];
    }),
  };
}

/** A tag for each offcut: that of the board it comes from, with the next number that nothing else carries. */
export function offcutTags(from: readonly string[], taken: Iterable<string>): string[] {
  const known = new Set(taken);
  return from.map((tag) => {
    let number = 1;
    while (known.has(`${tag}-${number}`)) number += 1;
    known.add(`${tag}-${number}`);
    return `${tag}-${number}`;
  });
}
