import type { HoldKind } from '../decision/hold';
import type { Cut, Grown } from '../joint/joint';
import { box, type Convex } from '../solid/convex';
import { type Frame, solidInPiece } from '../solid/frame';
import type { Flat, Outline } from '../solid/outline';
import { profiled } from '../solid/profile';
import type { Species } from '../wood/species';

/** Kinds that are glued up of strips. */
export const isPanel = (kind: PartKind): boolean => PANELS.has(kind);

const PANELS: ReadonlySet<PartKind> = new Set([
  'top',
  'leaf',
  'side',
  'case-top',
  'case-bottom',
  'upright',
  'case-shelf',
  'back-panel',
  'lid',
  'panel',
]);

export type PartKind =
  | 'top'
  | 'slat'
  | 'slab'
  | 'leaf'
  | 'border'
  | 'sheet'
  | 'side'
  | 'slide'
  /** What fills a channel between slabs. */
  | 'fill'
  | 'breadboard'
  | 'leg'
  | 'apron'
  | 'cross-rail'
  | 'top-rail'
  | 'foot'
  | 'post'
  | 'brace'
  | 'stretcher'
  | 'shelf'
  | 'bearer'
  | 'pad'
  | 'batten'
  | 'block'
  | 'wedge'
  | 'channel'
  | 'steel-leg'
  | 'lift'
  | 'connector'
  /** Of a case: level above and below, upright within, its shelves, boards of its back, what it stands on. */
  | 'case-top'
  | 'case-bottom'
  | 'upright'
  | 'case-shelf'
  | 'case-rail'
  /** At a corner of a case whose sides are frames, from its foot to its top. */
  | 'case-post'
  | 'back'
  | 'back-panel'
  | 'plinth'
  | 'lip'
  /** Of solid wood on the edge of a board. */
  | 'lipping'
  /** Round its upper edge. */
  | 'moulding'
  /** Planed to the wall beside a case that is fitted. */
  | 'scribe'
  | 'lid'
  | 'cleat'
  | 'wall-rail'
  | 'stand-rail'
  /** Of a frame with panels. */
  | 'stile'
  | 'rail'
  | 'muntin'
  | 'panel';

/** What is bought in and not made of the job's wood. */
export type Material = 'steel' | 'glass' | 'resin' | 'sheet';

export interface Size {
  /** Along the grain. */
  length: number;
  /** Across the grain in the face. */
  width: number;
  thickness: number;
}

/** A strip of a panel whose strips are decided and not found, seen from above, from the panel's left end and its front edge. mm */
export interface DesignedStrip {
  id: string;
  name: string;
  /** Which of the woods chosen beside the panel's own it is of. */
  of: 'stripes' | 'block' | null;
  wood?: Species;
  length: number;
  width: number;
  from: number;
  low: number;
  /** How many of its edges are edges of the panel. */
  edges: number;
}

export interface Part {
  id: string;
  letter: string;
  name: string;
  kind: PartKind;
  /** How many of its faces are seen. */
  grade: 'all-faces' | 'one-face' | 'hidden';
  /** Finished; the length is overall, with the tenons. mm */
  size: Size;
  /** Between the shoulders; the same as the length where there are no tenons. */
  shoulderLength: number;
  /** What stands beyond each shoulder, 0 where nothing does. */
  beyond: { start: number; end: number };
  /** Middle between the shoulders, and the part's own axes. x along the piece, y across it, z up from the floor. */
  frame: Frame;
  /** Between its shoulders before joints, in its own axes, mm. */
  body: readonly Convex[];
  /** The same in the axes of the piece. */
  placed: readonly Convex[];
  /** m³ as it stands in the piece: tenons with it, tapers, mortises and notches taken out. */
  volume: number;
  /** What joints take from it and give to it, in the axes of the piece. */
  removed: readonly Cut[];
  added: readonly Grown[];
  /** Outline of its face between its shoulders, in its axes of length and width, where it is curved. mm */
  profile?: Outline;
  /**
   * Tapered legs: the foot's side, the height below which the taper runs, on which faces, and how far its middle lies
   * behind its chord, below nought before it. The body of a curved one is a row of solids from the foot up.
   */
  taper?: { foot: number; from: number; faces: 'inside' | 'all'; hollow?: number };
  /** How its ends are cut where they are not square: degrees, as a saw is set. */
  ends?: EndCuts;
  /** Bought in and not of the job's wood; and what it weighs by its seller, kg. */
  material?: Material;
  weighs?: number;
  /** Of what species it is, where that is not the piece's own. */
  wood?: Species;
  /** What is seen of it is paint. */
  painted?: true;
  /** Id of the part it is glued up with in one panel. */
  oneWith?: string;
  /** Its strips, where they are decided. */
  strips?: readonly DesignedStrip[];
  /** The size the design asked for, before the part's real size was entered. */
  design: Size;
  locked: boolean;
  cut: boolean;
}

/** Degrees from square: the mitre turns in the face, the bevel tilts through the thickness. */
export interface EndCuts {
  start: { mitre: number; bevel: number };
  end: { mitre: number; bevel: number };
}

export interface Fastener {
  id: string;
  x: number;
  y: number;
  /** The part it sits on, and the part of the top it holds. */
  on: string;
  holds: string;
  /** The way the part it sits on runs, a unit vector. */
  way: Flat;
  /** Where the top is held and does not move; the others slide. */
  holdsMiddle: boolean;
  /** Of another kind than those chosen for the whole piece. */
  own?: { kind: HoldKind; travel: number };
}

/** A fastener that nobody comes to, for what stands in front of it. */
export interface Unreached {
  fastener: string;
  on: string;
  by: string;
}

export interface Fitting {
  name: string;
  count: number;
  /** mm, as written on the list. */
  size: readonly number[];
}

/** What a kind of top or base says of a part; letter, real size and joints are put on for all of them alike. */
export interface Draft {
  id: string;
  name: string;
  kind: PartKind;
  grade: Part['grade'];
  /** Overall. */
  size: Size;
  beyond?: Part['beyond'];
  frame: Frame;
  /** A block of its size where neither this nor a profile is said. */
  body?: readonly Convex[];
  profile?: Outline;
  taper?: Part['taper'];
  ends?: EndCuts;
  material?: Material;
  weighs?: number;
  /** Glued up in one panel with another part, and crosscut from it. */
  oneWith?: string;
  strips?: Part['strips'];
}

/** The species of a part of a piece that is mostly of another. */
export const woodOf = ({ wood }: Pick<Part, 'wood'>, ofPiece: Species): Species => wood ?? ofPiece;

const NOTHING_BEYOND = { start: 0, end: 0 };

export const shoulderLengthOf = (draft: Draft): number => {
  const { start, end } = draft.beyond ?? NOTHING_BEYOND;
  return draft.size.length - start - end;
};

/** A block of a size about the middle of its own axes. */
export const blockOf = (length: number, width: number, thickness: number): Convex =>
  box([-length / 2, -width / 2, -thickness / 2], [length / 2, width / 2, thickness / 2]);

export const bodyOf = (draft: Draft): readonly Convex[] =>
  draft.body ??
  (draft.profile
    ? [profiled(draft.profile, draft.size.thickness).body]
    : [blockOf(shoulderLengthOf(draft), draft.size.width, draft.size.thickness)]);

/** Corners of what a leg covers on the floor. */
export function footOf(leg: Draft): Flat[] {
  return bodyOf(leg)
    .flatMap((solid) => solidInPiece(leg.frame, solid).corners)
    .filter((p) => p[2] < 1e-4)
    .map((p): Flat => [p[0], p[1]]);
}

/** Its body is a row of solids along it that follows a curve. */
export const isRow = ({ taper }: Pick<Part, 'taper'>): boolean => Boolean(taper?.hollow);

/** What a joint needs to know of a draft. */
export const forJoint = (draft: Draft) => ({
  id: draft.id,
  name: draft.name,
  frame: draft.frame,
  body: bodyOf(draft),
});

/** Letters of the parts in their order: I and O read as one and nought on a board end. */
const LETTERS = 'ABCDEFGHJKLMNPQRSTUVWXYZ';
export const letterOf = (i: number): string =>
  i < LETTERS.length
    ? (LETTERS[i] ?? '')
    : `${LETTERS[Math.floor(i / LETTERS.length) - 1] ?? ''}${LETTERS[i % LETTERS.length] ?? ''}`;

/** Whether a part of the top lies over a point of the plan. */
export function covers(draft: Draft, x: number, y: number): boolean {
  const [mx, my] = draft.frame.at;
  const along = Math.abs(draft.frame.length[0]) > 0.5;
  const [dx, dy] = along ? [draft.size.length, draft.size.width] : [draft.size.width, draft.size.length];
  return Math.abs(x - mx) <= dx / 2 && Math.abs(y - my) <= dy / 2;
}
