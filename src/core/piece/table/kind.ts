import type * as v from 'valibot';
import type { Bench } from '../../decision/bench';
import type { FormField } from '../../decision/form-field';
import type { HoldKind } from '../../decision/hold';
import type { AnyTop, SizeOfTop } from '../../decision/top-shapes';
import type { PartKind } from '../part';
import type { BasePlan, BuildDecisions, TopPlan, TopSize } from '../plans';
import type { Making } from './bases/leg-apron/making';

/** The decisions of a kind: an object that says which kind it is. */
export type KindSchema = v.ObjectSchema<
  { readonly kind: v.LiteralSchema<string, undefined> } & v.ObjectEntries,
  undefined
>;

type Own<S extends KindSchema> = v.InferOutput<S>;

interface Kind<S extends KindSchema> {
  /** What it is called, and why it is taken. */
  name: string;
  reason: string;
  schema: S;
  /** What is asked of it beside the sizes that every kind has. */
  fields: readonly FormField<Own<S>>[];
}

/**
 * Everything of one kind of top: what is decided of it, how it is asked, what it begins with, and what it is made of. One
 * more kind is a file with this in it, and its line in `tops/kinds.ts`.
 */
export interface TopKind<S extends KindSchema> extends Kind<S> {
  /** What is asked before its sizes, as they depend on it. */
  shape?: readonly FormField<Own<S>>[];
  /** What its length is called where that is not simply its length. */
  lengthIs?: string;
  /** Its halves are drawn apart while the base stays where it stands. */
  drawsOut?: true;
  /** Sound first decisions beside its sizes, for a top that is now as `from` (common practice). */
  start(from: AnyTop): Omit<Own<S>, 'kind' | SizeOfTop>;
  /** The sizes that everything under it follows: as decided, or as it was cut. mm */
  size(form: Own<S>, bench: Bench): TopSize;
  /** Its parts and joints, at a height of its underside in mm. */
  plan(form: Own<S>, size: TopSize, underside: number, bench: Bench): TopPlan;
}

/** Everything of one kind of base; its line is in `bases/kinds.ts`. */
export interface BaseKind<S extends KindSchema> extends Kind<S> {
  /** It carries the top on two frames across it, which stand on lines of their own. */
  onFrames?: true;
  /** The only kind of top it goes with. */
  onlyUnder?: string;
  /** It stands where its own sizes put it, whatever the top overhangs. */
  standsByItself?: true;
  /** It is mitred to the top: cut and glued with it, it does not come off. */
  foldedWithTop?: true;
  /** It comes ready made. */
  boughtIn?: true;
  /** All that holds a top on it; whatever there is, where it is not said. */
  heldBy?: readonly HoldKind[];
  /** How the blanks of its parts come about, where they are not each of one board. */
  making?(form: Own<S>, kind: PartKind): Making | undefined;
  /** Sound first decisions under a top, at a height in mm (common practice). */
  start(top: AnyTop, height: number): Omit<Own<S>, 'kind' | 'height'> & { height?: number };
  plan(form: Own<S>, decisions: BuildDecisions, top: TopSize): BasePlan;
}
