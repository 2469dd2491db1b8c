import { type Board, boardVolume, faceArea } from './board';
import { boardFeet } from './board-foot';

/**
 * What a board is worth, in the shop's money. Board feet are counted on the rough thickness it was bought at, or on
 * the thickness it has.
 *
 * @param perCubicMetre the shop's own price, for a board that carries none
 */
export function boardPrice(
  board: Pick<Board, 'length' | 'width' | 'farWidth' | 'thickness' | 'quarters' | 'price'>,
  perCubicMetre: number,
): number {
  const { price } = board;
  if (!price) return boardVolume(board) * perCubicMetre;
  switch (price.per) {
    case 'board-foot':
      return price.amount * boardFeetOf(board);
    case 'm3':
      return price.amount * boardVolume(board);
    case 'm2':
      return price.amount * faceArea(board) * 1e-6;
    case 'metre':
      return (price.amount * board.length) / 1000;
    case 'piece':
      return price.amount;
  }
}

/** Board feet of a whole board: its mean width, and the quarters it was bought at where it was. */
export function boardFeetOf(board: Pick<Board, 'length' | 'width' | 'farWidth' | 'thickness' | 'quarters'>): number {
  const roughThickness = board.quarters === null ? board.thickness : (board.quarters / 4) * 25.4;
  return boardFeet({ length: board.length, width: faceArea(board) / board.length, roughThickness });
}
