import type * as v from 'valibot';
import type { Change } from '../../decision/changes';
import type { FormField } from '../../decision/form-field';
import type { Cut, Joint } from '../../joint/joint';
import type { Convex } from '../../solid/convex';
import type { Flat } from '../../solid/outline';
import type { Draft, Fitting } from '../part';
import type { Racking } from '../plans';
import type { Unbuildable } from '../unbuildable';
import type { ShelfSpan } from './case-plan';
import type { Behind, FramedWalls } from './framed-walls';
import type { Cell } from './inside/cells';

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
  /** A board lies over all of it, so that its own top is not seen. */
  covered: boolean;
  /** What its back takes of the depth, and what is free behind that. */
  back: number;
  recess: number;
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

/** Where sides, top and bottom are frames and no boards. */
export interface CarcassOfFrames {
  /** By the ids of the boards that they stand in for. */
  walls: FramedWalls;
  /** Behind what is let into them, so that it can grow. */
  behind: Behind;
  /** They are let into no deeper than boards so thick; ids as above. mm */
  takes: Readonly<Record<string, number>>;
  /** What of it bends under what stands on it, with what share of that, and what else carries it: uprights under it or on it, and a stand that is under all of it. */
  bears: readonly (Omit<ShelfSpan, 'load'> & { share: number; on: 'nothing' | 'uprights' | 'stand' })[];
  /** Its sides when it is pushed at its upper edge. */
  racking: readonly Racking[];
}

/** What a way of making the carcass sees of the rest of a case. mm, N/m */
export interface RestOfCase {
  width: number;
  height: number;
  depth: number;
  carcass: { sides: number; across: number };
  inside: { cells: readonly Cell[]; pins: { diameter: number; fromEdge: number } };
  top: { kind: string };
  front: { kind: string };
  loads: { shelf: number };
  /** What its back takes of the depth, mm, and whether its stand carries its bottom. */
  back: number;
  carried: boolean;
}

export interface CornerPlan extends ShellPlan {
  fittings?: readonly Fitting[];
  frames?: CarcassOfFrames;
}

/** How sides, top and bottom are made and meet; its line is in `corners/kinds.ts`. */
export interface CornerKind<S extends KindSchema> extends Kind<S> {
  /** The only way of opening that it goes with. */
  only?: 'front' | 'above';
  /** Nothing goes on its front edges. */
  plainInFront?: true;
  /** What else of a case is decided anew when it is chosen. */
  brings?(rest: RestOfCase): readonly Change[];
  start(shell: Pick<Shell, 'width' | 'depth' | 'sides' | 'across'>): v.InferOutput<S>;
  plan(own: v.InferOutput<S>, shell: Shell): CornerPlan;
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
  /** It hangs on a wall: nothing of it is on the floor. */
  hung?: true;
  /** It stands on another case. */
  stacked?: boolean;
  /** Between the sides, right through: uprights are cut out for it. */
  through?: { part: string; solid: Convex };
  /** Its corners when it is pushed level at the case's upper edge. */
  racking?: readonly Racking[];
  /** Outer corners of what is on the floor. */
  feet: readonly Flat[];
  fittings: readonly Fitting[];
}

/** What stands on a stand. */
export interface StoodOn {
  width: number;
  depth: number;
  sides: number;
  /** Ids of the boards that lie on it in front and behind. */
  seats: { front: string; back: string };
  /** Its depth moves through the year, while a stand keeps its own. */
  moves: boolean;
  /** Upper face of its bottom and underside of its top, where it stands on nothing, and front face of its back. */
  inside: { low: number; high: number; back: number };
}

/** Where something lies over a carcass: over all of it, how thick its boards are, and its upper edge. mm */
export interface UnderTop {
  width: number;
  depth: number;
  /** Boards at the ends, and those in front and behind, or above and below. */
  sides: number;
  across: number;
  under: number;
  /** Of its upper edge, what is put on: a lipping's thickness. */
  edging: number;
}

/** What lies over it; its line is in `tops/kinds.ts`. */
export interface TopKind<S extends KindSchema> extends Kind<S> {
  /** The only way of opening that it goes with. */
  only?: 'front' | 'above';
  /** The carcass where it is let into that. */
  start(outside: Outside & { carcass?: { sides: number; across: number } }): v.InferOutput<S>;
  /** What of the height it takes, mm. */
  thickness(own: v.InferOutput<S>): number;
  /** Nothing goes on the upper edges under it. */
  plainInFront?: true;
  /** How far down from the upper edge nothing else may stand, mm. */
  reaches?(own: v.InferOutput<S>): number;
  /** Between which heights the glued walls are sawn apart, by that of their upper edge. mm */
  saws?(own: v.InferOutput<S>, upper: number): { from: number; to: number };
  plan(
    own: v.InferOutput<S>,
    place: UnderTop,
  ): ShellPlan & { fittings: readonly Fitting[] /** Taken out of the carcass. */; cuts: readonly Cut[] };
}

/** The front edge of a board, seen from the front. mm */
export interface FrontEdge {
  /** Of the board. */
  id: string;
  name: string;
  upright: boolean;
  left: number;
  right: number;
  low: number;
  high: number;
}

export interface FrontPlace {
  shell: Shell;
  /** The face of what is put on, mm; the carcass begins behind it. */
  front: number;
  edges: readonly FrontEdge[];
}

/** What is on its front edges; its line is in `fronts/kinds.ts`. */
export interface FrontKind<S extends KindSchema> extends Kind<S> {
  /** The only way of opening that it goes with. */
  only?: 'front' | 'above';
  start(): v.InferOutput<S>;
  /** What of the depth it takes before the carcass, mm. */
  depth(own: v.InferOutput<S>): number;
  plan(own: v.InferOutput<S>, place: FrontPlace): ShellPlan & { fittings: readonly Fitting[] };
}

/** What it stands on; its line is in `stands/kinds.ts`. */
export interface StandKind<S extends KindSchema> extends Kind<S> {
  /** The only way of opening that it goes with. */
  only?: 'front' | 'above';
  /** It carries the bottom over its whole width. */
  carries?: true;
  start(outside: Outside): v.InferOutput<S>;
  /** What it needs free behind the back, mm. */
  recess?(own: v.InferOutput<S>): number;
  plan(own: v.InferOutput<S>, outside: StoodOn): StandPlan;
}
