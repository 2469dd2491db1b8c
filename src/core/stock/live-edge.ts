import type { Board } from './board';
import { boardShape, reachAcross } from './board-shape';

export type BoardEdge = 'near' | 'far';

type Edged = Pick<Board, 'length' | 'width' | 'farWidth' | 'liveEdges'>;

/** The edges of a board that are as the tree left them. */
export const liveEdgesOf = ({ liveEdges }: Pick<Board, 'liveEdges'>): BoardEdge[] =>
  (['far', 'near'] as const).filter((edge) => liveEdges[edge] > 0);

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
