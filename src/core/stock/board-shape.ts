import type { Board } from './board';

/** What of a board is full thickness: from the near edge to a straight far edge, both cleared of live edge. mm. */
export interface BoardShape {
  length: number;
  /** Where the usable width begins, along the whole board. */
  near: number;
  /** Where it ends, at the tagged end and at the other. */
  far: { tagged: number; other: number };
}

export function boardShape(board: Pick<Board, 'length' | 'width' | 'farWidth' | 'liveEdges'>): BoardShape {
  const { near, far } = board.liveEdges;
  return {
    length: board.length,
    near,
    far: { tagged: board.width - far, other: (board.farWidth ?? board.width) - far },
  };
}

/** How far across the board a piece lying from x0 to x1 may reach, mm from the near edge: the lesser of its ends. */
export function reachAcross(shape: BoardShape, x0: number, x1: number): number {
  const at = (x: number) => shape.far.tagged + ((shape.far.other - shape.far.tagged) * x) / shape.length;
  return Math.min(at(x0), at(x1));
}
