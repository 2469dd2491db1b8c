import type { HoldKind } from '../decision/hold';
import type { Axis, Point, Tie } from '../restraint/tie';
import { type Convex, rod } from '../solid/convex';
import type { Frame } from '../solid/frame';
import type { Vec } from '../solid/vector';

/** Through dovetails across a corner of a case, as they are laid out from one edge to the other. mm */
export interface DovetailLayout {
  tails: number;
  /** A tail at its end and at its baseline. */
  tail: { wide: number; narrow: number };
  /** A pin at the tails' end, its narrowest; half pins at both edges are as wide there. */
  pin: number;
  /** So far out for so far along: 1 : 8 is 1/8. */
  slope: number;
}

/** A part as its joints see it. */
export interface JointPart {
  id: string;
  name: string;
  frame: Frame;
  /** What of it stands before joints take from it and give to it, in its own axes, mm. */
  body: readonly Convex[];
}

/** Wood taken from a part, in the axes of the piece. */
export interface Cut {
  part: string;
  /** A mortise, a notch, a peg hole: as a maker calls it. */
  what: string;
  solid: Convex;
  /** Outward directions of the faces it comes in by; it must stay inside every other face. */
  open: readonly Vec[];
  /** Taken out of what joints give the part as well: a peg's hole in a tenon. */
  late?: true;
  /** A mortise in axes of its own: the way in, the way its longer side lies, and its true section square to the way in. mm */
  slot?: { along: Vec; wide: Vec; width: number; thickness: number };
  /** Bored round, from one point to another: its solid has sides, the hole has not. mm */
  bore?: { from: Vec; to: Vec; diameter: number };
}

/** A round hole as a cut: its solid and its true size. */
export const bored = (from: Vec, to: Vec, diameter: number): Pick<Cut, 'solid' | 'bore'> => ({
  solid: rod(from, to, diameter),
  bore: { from, to, diameter },
});

/** Wood that stands beyond a part's shoulders. */
export interface Grown {
  part: string;
  solid: Convex;
  /** It is let into its own part too, and is nowhere seen: a spline. */
  inside?: true;
}

/** Two parts joined at one place. */
export interface Joint {
  id: string;
  kind: JointKind;
  name: string;
  /** Ids of the part that takes the other, and of the one that goes in. */
  into: string;
  from: string;
  /** The way a tenon's sides run into the part that takes it, a unit vector. */
  along?: Vec;
  removed: readonly Cut[];
  added: readonly Grown[];
  ties: readonly Tie[];
  /** Parts beside the two that run through what is cut. */
  passes?: readonly string[];
  /** Joints whose cuts it opens into on purpose. */
  meets?: readonly string[];
  /** How the top is held there, where it is the seat of such a fastener. */
  hold?: HoldKind;
  /** Sized and checked by a rule of its own, together with its neighbours. */
  ruled?: 'leg-corner';
  /** Dovetails as they are laid out over the corner, from its one edge. */
  dovetails?: DovetailLayout;
}

export type JointKind =
  | 'mortise-tenon'
  | 'through-tenon'
  | 'twin-tenon'
  | 'loose-tenon'
  | 'stub-tenon'
  | 'dovetail-rail'
  | 'dowels'
  | 'pocket-screws'
  | 'corner-plate'
  | 'corner-block'
  | 'pegs'
  | 'tusk'
  | 'loose-wedge'
  | 'half-lap'
  | 'leg-lap'
  | 'bridle'
  | 'meeting-arms'
  | 'breadboard'
  | 'breadboard-pegs'
  | 'bolted'
  | 'let-in'
  | 'notch'
  | 'screwed'
  | 'shelf-board'
  | 'mechanism'
  | 'set-in'
  | 'frame-mitre'
  | 'panel-groove'
  | 'mitre-spline'
  | 'leg-mitre'
  | 'mitre-dowels'
  | 'leaf-pins'
  | 'draw-bolts'
  | 'end-seam'
  | 'connector'
  | 'slide-key'
  | 'slide-way'
  | 'cast'
  | 'case-dovetails'
  | 'half-blind-dovetails'
  | 'box-joint'
  | 'case-dowels'
  | 'case-loose-tenons'
  | 'case-screws'
  | 'rabbet'
  | 'housing'
  | 'sliding-dovetail'
  | 'back-rabbet'
  | 'glued-edge'
  | 'frame-tenon'
  | 'hinged'
  /** The seat of a fastener of the top. */
  | 'hold';

export const asPoint = ([x, y, z]: Vec): Point => ({ x, y, z });

/** The axis of the piece that a direction lies nearest to. */
export function nearestAxis([x, y, z]: Vec): Axis {
  const [a, b, c] = [Math.abs(x), Math.abs(y), Math.abs(z)];
  return a >= b && a >= c ? 'x' : b >= c ? 'y' : 'z';
}
