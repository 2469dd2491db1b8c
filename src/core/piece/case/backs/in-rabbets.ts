import type { Cut, Joint } from '../../../joint/joint';
import { box } from '../../../solid/convex';
import { minus, plus, times, unit, type Vec } from '../../../solid/vector';
import type { Shell } from '../kind';
import { SHELL } from '../shell';

/** A rabbet is half of the board that it is cut in, and never deeper than this, mm; common practice. */
const GREATEST = 10;

/** Where a back lies that is let into rabbets round the inside of a carcass, mm. Its corners are cut off by the rabbets' depth. */
export interface BackPlace {
  /** Clear inside: half of its width, from the bottom's face up to the top's. */
  half: number;
  low: number;
  high: number;
  /** How far it reaches behind all four boards. */
  over: number;
  front: number;
  back: number;
  /** The rear edges of the boards. */
  rear: number;
}

export function backPlace({ width, depth, sides, across, under, over, recess }: Shell, thickness: number): BackPlace {
  return {
    half: width / 2 - sides,
    low: under + across,
    high: over - across,
    over: Math.min(GREATEST, Math.floor(Math.min(sides, across) / 2)),
    front: depth / 2 - recess - thickness,
    back: depth / 2 - recess,
    rear: depth / 2,
  };
}

/** What of each of the four boards is cut away for the back. */
export function rabbetsRound(place: BackPlace): Record<keyof typeof SHELL, Cut> {
  const { half, low, high, over, front, rear: back } = place;
  const behind: Vec = [0, 1, 0];
  const cut = (part: string, from: Vec, to: Vec, inward: Vec, along: Vec): Cut => ({
    part,
    what: 'rabbet',
    solid: box(from, to),
    // Each runs on into those of the boards beside, through a mitre too.
    open: [inward, behind, along, times(along, -1), unit(plus(inward, along)), unit(minus(inward, along))],
  });
  return {
    left: cut(SHELL.left, [-half - over, front, low], [-half, back, high], [1, 0, 0], [0, 0, 1]),
    right: cut(SHELL.right, [half, front, low], [half + over, back, high], [-1, 0, 0], [0, 0, 1]),
    top: cut(SHELL.top, [-half, front, high], [half, back, high + over], [0, 0, -1], [1, 0, 0]),
    bottom: cut(SHELL.bottom, [-half, front, low - over], [half, back, low], [0, 0, 1], [1, 0, 0]),
  };
}

/** A joint of the back with one of the boards round it. */
export const backJoint = (
  given: Pick<Joint, 'id' | 'name' | 'into' | 'from' | 'removed' | 'ties' | 'passes'>,
): Joint => ({
  ...given,
  kind: 'back-rabbet',
  added: [],
});
