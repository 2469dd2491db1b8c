import type { Bench, Form, Joints } from '../decision/job-document';
import type { CornerJoint } from '../joint/leg-corner';
import type { Problem } from '../measure/problem';
import { legApronTable } from './leg-apron';
import type { Fastener, Fitting, Part } from './part';

export interface PieceDecisions {
  form: Form;
  joints: Joints;
  bench: Bench;
}

export interface Piece {
  parts: readonly Part[];
  /** The joint that stands in every corner of the base. */
  corner: CornerJoint;
  fasteners: readonly Fastener[];
  fittings: readonly Fitting[];
  /** Of the whole piece, mm. */
  overall: { length: number; width: number; height: number };
  base: { length: number; width: number };
  overhang: { end: number; side: number };
  /** Floor to the underside of the apron, mm. */
  kneeHeight: number;
  /** Number of single joints in the piece. */
  jointCount: number;
  problems: readonly Problem[];
}

/** Decisions → parts with their sizes and places. One function a kind of base; a new base is one line here. */
const BASES: Record<Form['base']['kind'], (decisions: PieceDecisions) => Piece> = {
  'leg-apron': legApronTable,
};

export function derivePiece(decisions: PieceDecisions): Piece {
  return BASES[decisions.form.base.kind](decisions);
}

export function findPart(piece: Piece, id: string): Part | undefined {
  return piece.parts.find((part) => part.id === id);
}
