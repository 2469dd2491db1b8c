import type { PieceInJob, TableInJob } from '../document/piece-in-job';
import type { Glue } from '../glueup/glue';
import type { GlueUp } from '../glueup/plan-glue-ups';
import type { ResawWork } from '../layout/resaw-work';
import type { Piece, TablePiece } from '../piece/piece';

/** What the order of work of a piece follows from. */
export interface PlanGiven {
  document: PieceInJob;
  piece: Piece;
  glueUps: readonly GlueUp[];
  glue: Glue;
  aligners: number;
  /** How many boards are cut, and what is resawn of them. */
  boards: number;
  resaw: ResawWork;
}

/** The same of a table's top and base. */
export interface WorkGiven {
  document: TableInJob;
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
  group: 'Milling' | 'Top' | 'Base' | 'Case' | 'Finish' | 'Delivery';
  /** Hours at the bench. */
  work: number;
  /** Hours that must pass afterwards before what follows. */
  wait: number;
  after: readonly string[];
  /** The usual caution at this operation. */
  caution: string;
  parts: readonly string[];
}

/** Operations as they are put down, one after another. */
export function operationList() {
  const operations: Operation[] = [];
  const add = (
    id: string,
    name: string,
    group: Operation['group'],
    work: number,
    wait: number,
    after: readonly string[],
    caution: string,
    parts: readonly string[],
  ) => {
    operations.push({ id, name, group, work, wait, after, caution, parts });
  };
  return { operations, add };
}
