import type { DerivedJob, DerivedPiece, JobDocument, LengthStyle, Paper } from '@/core';
import type { AlikePieces } from '@/core/job/alike-pieces';
import type { Board } from '@/core/stock/board';

/** What a job's sheet is made of. */
export interface SheetGiven {
  document: JobDocument;
  derived: DerivedJob;
  boards: readonly Board[];
  style: LengthStyle;
  paper: Paper;
}

/** Pieces that are drawn and listed once. */
export type Alike = AlikePieces<DerivedPiece>;
