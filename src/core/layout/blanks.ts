import type { Placement, Rectangle } from './layout';

/** What is sawn from a board as one rectangle: one piece, or several that are resawn from it. */
export interface Blank extends Rectangle {
  board: string;
  placements: readonly Placement[];
}

/** The blanks that placements are cut from, in their order. */
export function blanksOf(placements: readonly Placement[]): Blank[] {
  const blanks = new Map<string, Blank & { placements: Placement[] }>();
  for (const placement of placements) {
    const { board, x, y, length, width } = placement;
    const key = [board, x, y, length, width].join();
    const found = blanks.get(key);
    if (found) found.placements.push(placement);
    else blanks.set(key, { board, x, y, length, width, placements: [placement] });
  }
  return [...blanks.values()];
}
