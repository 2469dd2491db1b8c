import type * as v from 'valibot';
import type { FormField } from '../../decision/form-field';
import type { Joint } from '../../joint/joint';
import type { Flat } from '../../solid/outline';
import type { Draft, Fitting } from '../part';
import type { Unbuildable } from '../unbuildable';

export type KindSchema = v.ObjectSchema<
  { readonly kind: v.LiteralSchema<string, undefined> } & v.ObjectEntries,
  undefined
>;

/** Over all, mm. */
export interface Outside {
  width: number;
  height: number;
  depth: number;
}

/** The carcass as its corners see it; mm, x across, y from front to back, z up. */
export interface Shell {
  /** Outside, from the middle. */
  width: number;
  depth: number;
  /** Of the upright boards and of the level ones. */
  sides: number;
  across: number;
  /** Lower end of the sides, underside of the bottom, upper face of the top. */
  foot: number;
  under: number;
  over: number;
}

export interface ShellPlan {
  drafts: readonly Draft[];
  joints: readonly Joint[];
  problems: readonly Unbuildable[];
}

interface Kind<S extends KindSchema> {
  name: string;
  reason: string;
  schema: S;
  fields: readonly FormField<v.InferOutput<S>>[];
}

/** How sides, top and bottom meet; its line is in `corners/kinds.ts`. */
export interface CornerKind<S extends KindSchema> extends Kind<S> {
  start(shell: Pick<Shell, 'depth' | 'sides' | 'across'>): v.InferOutput<S>;
  plan(own: v.InferOutput<S>, shell: Shell): ShellPlan;
}

/** What closes it behind; its line is in `backs/kinds.ts`. */
export interface BackKind<S extends KindSchema> extends Kind<S> {
  start(outside: Outside): v.InferOutput<S>;
  /** What of the depth it takes from the inside, mm. */
  depth(own: v.InferOutput<S>): number;
  plan(own: v.InferOutput<S>, shell: Shell): ShellPlan & { fittings: readonly Fitting[] };
}

export interface StandPlan extends ShellPlan {
  /** Floor to the underside of the carcass, mm; the sides run down to the floor where they are what it stands on. */
  lift: number;
  sidesDown: boolean;
  /** Outer corners of what is on the floor. */
  feet: readonly Flat[];
  fittings: readonly Fitting[];
}

/** What it stands on; its line is in `stands/kinds.ts`. */
export interface StandKind<S extends KindSchema> extends Kind<S> {
  start(outside: Outside): v.InferOutput<S>;
  plan(own: v.InferOutput<S>, outside: { width: number; depth: number; sides: number }): StandPlan;
}
