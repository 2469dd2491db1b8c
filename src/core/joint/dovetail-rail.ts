import { fixed } from '../restraint/tie';
import { type Convex, prism } from '../solid/convex';
import { type Frame, solidInPiece } from '../solid/frame';
import { cross, times, type Vec } from '../solid/vector';
import { asPoint, type Joint, type JointPart } from './joint';

/** One in seven: between soft wood's 1 : 6 and hard wood's 1 : 8; common practice. */
const SLOPE = 1 / 7;
/** Into two thirds of the other part, and left behind it at least so much, mm; common practice. */
const SHARE = 2 / 3;
const LEAST_BEHIND = 6;
/** Shoulders at both sides of the neck, and the lap's height as a share of the rail's; common practice. */
const SHOULDER = 3;
const LAP = 0.5;
const GREATEST_LAP = 30;

/** How far a rail's dovetail goes into a part so thick, mm. */
export const dovetailLength = (intoThickness: number): number =>
  Math.max(4, Math.floor(Math.min(intoThickness * SHARE, intoThickness - LEAST_BEHIND)));

/** A dovetail on a rail's end: its neck and its far end, and how high its lap is. mm */
export function dovetailSize(
  rail: { thickness: number; height: number },
  length: number,
): { neck: number; end: number; lap: number } {
  const neck = Math.max(6, rail.thickness - 2 * SHOULDER - 2 * length * SLOPE);
  return {
    neck,
    end: neck + 2 * length * SLOPE,
    lap: Math.min(GREATEST_LAP, Math.round(rail.height * LAP)),
  };
}

/** A rail let into the upper edge of another part from above by a lapped dovetail: it cannot draw out along itself. */
export function dovetailRail(given: {
  id: string;
  into: JointPart;
  from: JointPart;
  /** Middle of the shoulder at the upper edge, and the way the rail runs into the other part, level. */
  at: Vec;
  along: Vec;
  length: number;
  rail: { thickness: number; height: number };
}): Joint {
  const { id, into, from, at, along, length, rail } = given;
  const { neck, end, lap } = dovetailSize(rail, length);
  const frame: Frame = { at, length: along, width: cross([0, 0, 1], along), thickness: [0, 0, 1] };
  const solid: Convex = solidInPiece(
    frame,
    prism(
      [
        [0, -neck / 2],
        [length, -end / 2],
        [length, end / 2],
        [0, neck / 2],
      ],
      -lap,
      0,
    ),
  );
  const name = `${from.name} in ${into.name.toLowerCase()}`;
  return {
    id,
    kind: 'dovetail-rail',
    name,
    into: into.id,
    from: from.id,
    removed: [{ part: into.id, what: 'dovetail socket', solid, open: [times(along, -1), [0, 0, 1]] }],
    added: [{ part: from.id, solid }],
    ties: [fixed({ id, name, a: into.id, b: from.id, at: asPoint(at) })],
  };
}
