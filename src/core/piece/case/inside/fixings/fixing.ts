import type * as v from 'valibot';
import type { FormField } from '../../../../decision/form-field';
import type { Joint } from '../../../../joint/joint';
import type { Vec } from '../../../../solid/vector';
import type { Draft, Fitting } from '../../../part';
import type { KindSchema } from '../../kind';

/** The end of a board against the face of another. */
export interface BoardEnd {
  id: string;
  name: string;
  /** Ids of the board that takes it, and of its own. */
  into: string;
  from: string;
  /** Middle of the end on that face, and the way into it. */
  at: Vec;
  along: Vec;
  /** From its front edge to its back, mm. */
  y: readonly [front: number, back: number];
  thickness: number;
  /** Of the board that takes it, mm. */
  wall: number;
  /** It lies level; otherwise it stands. */
  level: boolean;
  /** So far it is let in, mm. */
  depth: number;
}

/** What holds it there. */
export interface HeldEnd {
  joints: readonly Joint[];
  drafts: readonly Draft[];
  fittings: readonly Fitting[];
}

/** How shelves and uprights are fixed; its line is in `kinds.ts`. */
export interface FixingKind<S extends KindSchema> {
  name: string;
  reason: string;
  schema: S;
  fields: readonly FormField<v.InferOutput<S>>[];
  start(): v.InferOutput<S>;
  /** How far a board's end is let into one so thick, mm; nought where it only touches it. */
  depth(wall: number, level: boolean, breadth: number): number;
  hold(own: v.InferOutput<S>, end: BoardEnd): HeldEnd;
}
