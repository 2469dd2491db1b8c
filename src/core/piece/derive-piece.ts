import type { Form } from '../decision/job-document';
import { legApronTable } from './leg-apron';
import type { Piece, PieceDecisions } from './piece';

/** Decisions → parts with their sizes and places. One function a kind of base; a new base is one line here. */
const BASES: Record<Form['base']['kind'], (decisions: PieceDecisions) => Piece> = {
  'leg-apron': legApronTable,
};

export function derivePiece(decisions: PieceDecisions): Piece {
  const base = BASES[decisions.form.base.kind];
  const piece = base(decisions);
  if (Object.keys(decisions.bench.locks).length === 0) return piece;
  // What was drawn before anything was cut stays beside what it has become.
  const drawn = base({ ...decisions, bench: { cut: [], locks: {} } });
  const designs = new Map(drawn.parts.map((part) => [part.id, part.size]));
  return { ...piece, parts: piece.parts.map((part) => ({ ...part, design: designs.get(part.id) ?? part.design })) };
}
