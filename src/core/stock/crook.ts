import type { Board } from './board';

/** How crooked a board was measured: out of wind at one corner, hollow along it and across it. mm */
export type Crook = NonNullable<Board['crook']>;

/**
 * What flattening both faces of a piece of a crooked board takes of its thickness, mm. The crook is that of a twisted
 * trough, h = t·x·y + 4b(x − ½)² + 4c(y − ½)²: of a piece the twist goes down with its length and width, bow and cup
 * with the square of one. Between two parallel planes h lies closest when they are not tilted, for it is the same from
 * either end; it is highest in a corner, and lowest in the middle, in the other corners or between them on an edge.
 *
 * @param board as it was measured over the whole of it, mm
 * @param piece of it, mm; no larger than the board
 */
export function lostToCrook(
  board: { length: number; width: number; crook: Crook },
  piece: { length: number; width: number },
): number {
  const [l, w] = [Math.min(1, piece.length / board.length), Math.min(1, piece.width / board.width)];
  const twist = board.crook.twist * l * w;
  const bow = board.crook.bow * l * l;
  const cup = board.crook.cup * w * w;
  const alongEdge = (edge: number, across: number) =>
    across > 0 && twist <= 8 * across ? edge - twist ** 2 / (64 * across) : Number.POSITIVE_INFINITY;
  const lowest = Math.min(0, bow + cup - twist / 4, alongEdge(bow, cup), alongEdge(cup, bow));
  return bow + cup + twist / 4 - lowest;
}
