import type { PieceInJob } from '../document/piece-in-job';
import type { Piece } from '../piece/piece';

/** A piece as far as it matters where it stands. */
export interface InRoom {
  pieceId: string;
  instance: number;
  title: string;
  document: PieceInJob;
  piece: Piece;
}

/** Another piece of the job: how far up it stands, and how far back. mm, in the axes of the one that is drawn */
export interface OtherPiece {
  piece: Piece;
  up: number;
  back: number;
  /** And how far to the right. */
  aside: number;
}
