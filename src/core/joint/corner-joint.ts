import type { Joints } from '../decision/joints';
import type { Phrase } from '../measure/quantity';

/** Two aprons meeting in one leg at a right angle, seen from above. All mm. */
export interface CornerInput {
  /** Side of the square leg. */
  section: number;
  apronThickness: number;
  apronHeight: number;
  /** Set-back of the apron's face from the leg's outside face. */
  reveal: number;
  choice: Joints;
  /** Tenons are neither mitred nor staggered, whatever is chosen: for legs that lean. */
  squareOnly?: boolean;
}

export type Meeting = 'clear' | 'shortened' | 'mitred' | 'staggered';

/** Tenons, loose tenons or dowels let into the leg and glued. */
export interface InsertedCorner {
  kind: 'mortise-tenon' | 'loose-tenon' | 'dowels';
  meeting: Meeting;
  /** Why they meet this way. */
  reason: Phrase;
  /** Each tenon, or each dowel: then its width is its thickness. */
  tenon: {
    thickness: number;
    /** Into the leg. */
    length: number;
    /** Height of the tenon, or of each of them. */
    width: number;
    /** How many stand one above the other in an apron's end. */
    count: number;
    /** From one's middle to the next's; 0 where there is one. */
    pitch: number;
    /** From the apron's upper edge down to the uppermost, filled by a haunch where there is one. */
    topSet: number;
    /** For loose tenons and dowels, how far they go into the apron; otherwise 0: the tenon grows from the apron. */
    intoApron: number;
  };
  /** A short stub above the tenon, so deep into the leg; sloped, it runs out to nothing at the upper edge. */
  haunch: { depth: number; sloped: boolean } | null;
  /** Wood between the mortise and the leg's outside face. */
  wallOutside: number;
  /** Wood between the mortise's end and the far face of the leg. */
  wallBehind: number;
  /** Distance between the two tenons inside the leg; below zero they collide. */
  clearance: number;
  /** The length the rule aims at. */
  aim: number;
}

/** Left between two tenons' ends so that neither bottoms on the other. */
export const TENON_GAP = 1;
/** The least wall left behind a mortise. */
export const LEAST_BACK_WALL = 8;
