import type { Bench, Form, Joints } from '../decision/job-document';
import type { CornerJoint } from '../joint/leg-corner';
import type { Problem } from '../measure/problem';
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

export function findPart(piece: Piece, id: string): Part | undefined {
  return piece.parts.find((part) => part.id === id);
}
