import { mm, type Phrase, say } from '../measure/quantity';
import type { CornerInput } from './corner-joint';

/** A metal plate across the corner, its flanges in a kerf of both aprons, drawing the leg in by bolts. mm */
export interface CornerPlate {
  kind: 'corner-plate';
  reason: Phrase;
  plate: {
    /** From the apron's end to the near side of the kerf; how wide and deep the kerf is. */
    kerfAt: number;
    kerfWide: number;
    kerfDeep: number;
    height: number;
    /** Between the two inside faces, along the plate. */
    long: number;
  };
  bolt: {
    diameter: number;
    /** Into the leg along its diagonal, from the flat. */
    bite: number;
    /** Middles down from the apron's upper edge. */
    places: readonly number[];
    /** The flat on the leg's inner corner, wide. */
    flat: number;
  };
  /** Wood between the bolt's end and the leg's outer corner. */
  wallOutside: number;
}

const KERF = 3;
const FLAT = 18;
const BOLT = 8;
/** Beyond the leg's inner corner the plate stands so far off, so that the nut can draw; mm, common practice. */
const DRAW = 8;
/** Wood left before the leg's outer corner, mm. */
const BEFORE_CORNER = 15;
/** From here on two bolts one above the other, apron height in mm; common practice. */
const TWO_BOLTS = 80;

/** Sizes a corner plate: it stands clear of the leg, its kerf a third of the apron deep; common practice. */
export function cornerPlate({ section, apronThickness, apronHeight, reveal }: CornerInput): CornerPlate {
  // Of the leg's inner corner beyond both inside faces.
  const out = Math.max(0, section - reveal - apronThickness);
  const kerfAt = Math.round(out + DRAW * Math.SQRT2);
  const kerfDeep = Math.max(3, Math.round(apronThickness / 3));
  const height = Math.max(20, Math.floor((apronHeight - 16) / 5) * 5);
  const two = apronHeight >= TWO_BOLTS;
  const room = section * Math.SQRT2 - FLAT / 2 - BEFORE_CORNER;
  const bite = Math.max(10, Math.floor(Math.min(50, room)));
  return {
    kind: 'corner-plate',
    reason: say`Its kerfs lie ${mm(kerfAt)} from the aprons’ ends, ${mm(kerfDeep)} deep; ${two ? 'two bolts screw' : 'one bolt screws'} ${mm(bite)} into the leg’s inner corner.`,
    plate: { kerfAt, kerfWide: KERF, kerfDeep, height, long: Math.SQRT2 * (out + kerfAt) },
    bolt: {
      diameter: BOLT,
      bite,
      places: two ? [apronHeight * 0.3, apronHeight * 0.7] : [apronHeight / 2],
      flat: FLAT,
    },
    wallOutside: room + BEFORE_CORNER - bite,
  };
}
