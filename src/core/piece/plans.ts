import type { Bench } from '../decision/bench';
import type { Hold, HoldKind } from '../decision/hold';
import type { Joints } from '../decision/joints';
import type { AnyTop } from '../decision/top-shapes';
import type { Cut, Joint } from '../joint/joint';
import type { CornerJoint } from '../joint/leg-corner';
import type { Plane } from '../solid/convex';
import type { Flat, Outline } from '../solid/outline';
import type { Draft, Fitting } from './part';
import type { Unbuildable } from './unbuildable';

/** What a kind of base is told beside its own decisions, in the words of every kind of top. */
export interface BuildDecisions {
  form: { top: AnyTop; hold: Hold };
  joints: Joints;
  bench: Bench;
}

/** The sizes of a top that everything under it follows: as decided, or as it was cut. mm */
export interface TopSize {
  length: number;
  width: number;
  thickness: number;
}

/** A hole through the top in the axes of the piece, seen from above. mm */
export interface Hole {
  left: number;
  right: number;
  low: number;
  high: number;
}

/** A kind of top, laid out with its middle over the middle of the piece. */
export interface TopPlan {
  drafts: readonly Draft[];
  joints: readonly Joint[];
  /** Seen from above. */
  outline: Outline;
  size: TopSize;
  /** Id of the part whose width the seasons move most; its width through the year is shown. */
  leading: string;
  /** What that part is called where it is not the whole top: “a slat”. */
  leads?: string;
  /**
   * Parts that lie side by side and move each by itself, and from where to where across the table a fastener finds wood in
   * them; held in the middle of that or `at` a place of its own, or tied to one that is held. mm
   */
  plates?: readonly { id: string; low: number; high: number; held: boolean; at?: number }[];
  /** Its length closed, where it can be drawn out; everything else is drawn out. mm */
  closed?: number;
  /** Its parts are turned and carried one by one. */
  carriedApart?: true;
  /** Between its slats, mm. */
  gap?: number;
  /** Through it, for outlets and cables; and round what runs up through it. */
  holes?: readonly Hole[];
  notches?: readonly Hole[];
  /** Cut-outs that belong to no joint. */
  cuts?: readonly Cut[];
  fittings: readonly Fitting[];
  problems: readonly Unbuildable[];
}

/** A line under the top along which something of the base touches it and can hold it, from one point to another, mm. */
export interface Rest {
  part: string;
  /** Where a part has more than one. */
  id?: string;
  from: Flat;
  to: Flat;
  /** Where along it the top is held and does not move, if anywhere. */
  held: Flat | null;
  /** Fasteners that slide stand along it. */
  slides: boolean;
  /** How it holds the top, where that is not as chosen for the whole piece. */
  hold?: { kind: HoldKind; travel: number };
}

/** What a strip of the top is, as a beam over what it rests on. mm */
export interface TopSpan {
  /** Greatest clear length between rests along the table, and how far the ends stand beyond the last rest. */
  along: number;
  beyond: number;
  /** Between rests that run along the table; null where there are none. */
  across: number | null;
}

/** A part of the base that bends under the top and its load. mm */
export interface BendingPart {
  /** Names it among the checks. */
  id: string;
  part: string;
  /** In a sentence: “The long aprons”. */
  words: string;
  /** Between two ends, or out from one. */
  how: 'span' | 'cantilever';
  span: number;
  breadth: number;
  depth: number;
  /** What share of the top and its load it carries, spread along it. */
  share: number;
  /** Its depth in the decisions; and what of that is hollowed away where it bends. */
  path: string;
  hollowed?: number;
  /** Its thickness in the decisions, where it has one of its own. */
  breadthPath?: string;
  /** Legs that can be set under it, and how many pairs there would then be. */
  legsBetween?: { path: string; pairs: number };
}

/** What takes the moment in a joint: tenons that are bent, or a row of fasteners that are drawn. mm */
export type Resistance =
  /** Section modulus at its root, mm³; and whether it is bent across its grain. */
  | { kind: 'bent'; modulus: number; across?: true }
  /** The moment over the force in the one farthest from the edge they turn about. */
  | { kind: 'drawn'; what: 'dowel' | 'screw' | 'bolt'; reach: number; diameter: number; bite: number };

/** How a base stands against a push at the height of the top. */
export interface Racking {
  way: 'along' | 'across';
  /** Names it among the checks, where another is pushed the same way. */
  of?: string;
  /** In a sentence: “the aprons’ tenons”. */
  joint: string;
  parts: readonly string[];
  /** Moment in one joint over the push, mm. */
  lever: number;
  resists: Resistance;
  /** What the top goes sideways times E over the push, 1/mm: joints taken as stiff, feet as resting; none where another says it. */
  sway?: number;
  /** Of what sways, MPa, where it is not of the job's wood. */
  modulus?: number;
  /** How the lever was found. */
  formula: string;
  /** Where in the decisions the height is that carries the moment, and how much it is, mm; what joint holds most; what else makes it stronger. */
  deepens?: {
    height: string;
    now: number;
    /** In a sentence: “the legs”, “deep”; the rails, high, where nothing is said. */
    words?: { of: string; how: string };
    joint?: { path: string; strongest: string };
    thicker: readonly (readonly { path: string; value: unknown }[])[];
  };
}

/** What a weight on the edge of the top does to a joint right under it. */
export interface Leaned {
  id: string;
  /** In a sentence: “the posts’ tenons”. */
  joint: string;
  parts: readonly string[];
  /** Moment in it over the load, mm; 0 where it is not bent. */
  lever: number;
  /** Section modulus where it is bent, mm³; null where it is not. */
  modulus: number | null;
  /** What of it is sheared, mm²; null where that is not wood. */
  area: number | null;
  /** Screws or bolts that carry it instead: how many, and how far each goes in the part it screws into and in the other. mm */
  pins?: { what: 'screws' | 'bolts'; count: number; diameter: number; main: number; side: number };
  /** How the lever was found. */
  formula: string;
}

/** A kind of base under a top. */
export interface BasePlan {
  drafts: readonly Draft[];
  joints: readonly Joint[];
  rests: readonly Rest[];
  /** Floor to what the top lies on, mm. */
  underside: number;
  /** Planes in which the ends of the top are cut, looking out of it, where the base asks for it. */
  topEnds?: readonly Plane[];
  /** Parts that run up through the top, and the room their notches leave across the grain at both sides, mm. */
  through?: { room: number; legs: readonly string[] } | null;
  /** Half of what is free across under the top, between rails along it; null where there are none. mm */
  clearAcross: number | null;
  /** Outer corners of what stands on the floor, mm. */
  feet: readonly Flat[];
  /** Free for knees: floor to what is lowest along a sitter's side, and the parts it is; the top where none are named. */
  knees: { height: number; parts: readonly string[]; words: string };
  span: TopSpan;
  bending: readonly BendingPart[];
  racking: readonly Racking[];
  leaned: readonly Leaned[];
  corner: CornerJoint | null;
  fittings: readonly Fitting[];
  problems: readonly Unbuildable[];
}

/** What lies between a top and its base and moves with it: slides, a mechanism. */
export interface TopGear {
  drafts: readonly Draft[];
  joints: readonly Joint[];
  /** What the top is screwed to, in place of the base. */
  rests: readonly Rest[] | null;
  bending: readonly BendingPart[];
  fittings: readonly Fitting[];
  problems: readonly Unbuildable[];
}

export const NO_GEAR: TopGear = { drafts: [], joints: [], rests: null, bending: [], fittings: [], problems: [] };
