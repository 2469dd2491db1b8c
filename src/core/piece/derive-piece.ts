import type { Form } from '../decision/job-document';
import { legApronTable } from './leg-apron';
import type { Piece, PieceDecisions } from './piece';

/** Decisions → parts with their sizes and places. One function a kind of base; a new base is one line here. */
const BASES: Record<Form['base']['kind'], (decisions: PieceDecisions) => Piece> = {
  'leg-apron': legApronTable,
};

export function derivePiece(decisions: PieceDecisions): Piece {
  return BASES[decisions.form.base.kind](decisions);
}
