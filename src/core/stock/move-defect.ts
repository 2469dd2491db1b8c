import type { Board, Defect } from './board';

type Outline = Pick<Board, 'length' | 'width' | 'farWidth'>;

const within = (value: number, least: number, most: number) => Math.max(least, Math.min(most, value));
const widest = ({ width, farWidth }: Outline) => Math.max(width, farWidth ?? 0);

/** Where a defect comes to lie that is pushed along the board and across it, mm: to a whole one, and never off the board. */
export const defectMoved = (board: Outline, { x, y, length, width }: Defect, along: number, across: number) => ({
  x: within(Math.round(x + along), 0, board.length - length),
  y: within(Math.round(y + across), 0, widest(board) - width),
});

/** How large a defect comes to be whose far corner is pulled, mm: at least 1, and never off the board. */
export const defectSized = (board: Outline, { x, y, length, width }: Defect, along: number, across: number) => ({
  length: within(Math.round(length + along), 1, board.length - x),
  width: within(Math.round(width + across), 1, widest(board) - y),
});
