import type { PieceInJob } from '../document/piece-in-job';
import type { Glue } from '../glueup/glue';
import type { GlueUp } from '../glueup/plan-glue-ups';
import type { TablePiece } from '../piece/piece';

export interface WorkGiven {
  document: PieceInJob;
  piece: TablePiece;
  glueUps: readonly GlueUp[];
  glue: Glue;
  /** How many slots or holes are cut in pairs along the edges of the panel's boards. */
  aligners: number;
}

export interface Operation {
  id: string;
  name: string;
  /** What it is done to, where a job has several pieces. */
  of?: string;
  group: 'Milling' | 'Top' | 'Base' | 'Finish' | 'Delivery';
  /** Hours at the bench. */
  work: number;
  /** Hours that must pass afterwards before what follows. */
  wait: number;
  after: readonly string[];
  /** The usual caution at this operation. */
  caution: string;
  parts: readonly string[];
}
