import type { Board } from './board';
import { boardShape, reachAcross } from './board-shape';

export type BoardEdge = 'near' | 'far';

type Edged = Pick<Board, 'length' | 'width' | 'farWidth' | 'liveEdges'>;

/** The live edge that a part may take from a board, and how deep it is, mm; the far one where both are live. */
export function liveEdgeToTake({ liveEdges }: Pick<Board, 'liveEdges'>): { edge: BoardEdge; depth: number } | null {
  const edge = (['far', 'near'] as const).find((own) => liveEdges[own] > 0);
  return edge === undefined ? null : { edge, depth: liveEdges[edge] };
}

/** The live edge that a piece takes with it: it reaches the board's outline there. Null where it reaches neither. */
export function liveEdgeOf(
  board: Edged,
  piece: { x: number; y: number; length: number; width: number },
): BoardEdge | null {
  const near = (a: number, b: number) => Math.abs(a - b) < 1e-6;
  const { liveEdges } = board;
  const outline = reachAcross(boardShape(board), piece.x, piece.x + piece.length) + liveEdges.far;
  if (liveEdges.far > 0 && near(piece.y + piece.width, outline)) return 'far';
  return liveEdges.near > 0 && near(piece.y, 0) ? 'near' : null;
}
