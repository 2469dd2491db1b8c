import { mm, type Phrase, say } from '../measure/quantity';
import type { CornerInput } from './corner-joint';

/** Screws from pockets in the aprons' inside faces into the leg, with glue. mm */
export interface CornerScrews {
  kind: 'pocket-screws';
  reason: Phrase;
  screw: {
    length: number;
    diameter: number;
    /** Of the pocket that takes the head. */
    pocket: number;
    /** Degrees to the apron's length. */
    angle: number;
    /** From the apron's end to under the head, along the screw, and from there on into the leg. */
    seat: number;
    bite: number;
    /** Middles down from the apron's upper edge. */
    places: readonly number[];
  };
  /** Wood between the screw's point and the leg's outside face. */
  wallOutside: number;
}

export const POCKET_ANGLE = 15;
const DIAMETER = 4;
const POCKET = 9.5;
/** From an edge to a screw, and from one to the next at most; common practice, mm. */
const FROM_EDGE = 20;
const APART = 60;

/** Screws for a thickness, up to which; common practice. mm */
const LENGTHS = [
  { thickness: 16.5, length: 25 },
  { thickness: 21, length: 32 },
  { thickness: 26, length: 38 },
  { thickness: 34, length: 51 },
  { thickness: Number.POSITIVE_INFINITY, length: 64 },
] as const;

export const pocketScrewLength = (thickness: number): number =>
  LENGTHS.find((own) => thickness <= own.thickness)?.length ?? 64;

/** Sizes a corner of pocket screws: length by the apron's thickness, two and one more every 60 mm; common practice. */
export function cornerScrews({ apronThickness, apronHeight, reveal }: CornerInput): CornerScrews {
  const length = pocketScrewLength(apronThickness);
  // The pocket ends where as much wood is left under the head as four fifths of the apron's thickness.
  const seat = Math.round(apronThickness * 0.8);
  const bite = Math.max(0, length - seat);
  const span = Math.max(0, apronHeight - 2 * FROM_EDGE);
  const count = Math.max(2, Math.ceil(span / APART) + 1);
  const edge = Math.min(FROM_EDGE, apronHeight / 3);
  const each = (apronHeight - 2 * edge) / (count - 1);
  const sine = Math.sin((POCKET_ANGLE * Math.PI) / 180);
  return {
    kind: 'pocket-screws',
    reason: say`${`${count}`} screws of ${mm(length)} an end at 15°; each bites ${mm(bite)} into the leg. Glue alone would hold little: it lies on end grain.`,
    screw: {
      length,
      diameter: DIAMETER,
      pocket: POCKET,
      angle: POCKET_ANGLE,
      seat,
      bite,
      places: Array.from({ length: count }, (_, i) => edge + i * each),
    },
    wallOutside: reveal + apronThickness / 2 - bite * sine - DIAMETER / 2,
  };
}
