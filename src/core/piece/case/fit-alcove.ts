/** An alcove as it is measured, mm. From the floor to the head of what is built in; the walls may lean and the floor may slope. */
export interface Alcove {
  /** Between its walls, at the floor, half way up and at the head. */
  wide: { floor: number; middle: number; head: number };
  /** From the front of its walls to its back, left and right. */
  deep: { left: number; right: number };
  /** How far the left wall leans into it over the height, by a plumb line; below 0 it leans away. */
  lean: number;
  /** How much higher the floor is at the right end than at the left; below 0 lower. */
  rise: number;
  /** Over the floor where that is lowest. */
  ceiling: number;
  /** Along its back wall; null where there is none. */
  skirting: { height: number; thickness: number } | null;
}

export interface FittedCase {
  /** Over its sides: it stands plumb between the walls with room at both. */
  width: number;
  depth: number;
  /** From each side to its wall: where the wall comes nearest, and where it stands farthest off. */
  scribe: { left: Gap; right: Gap };
  /** Its walls at the floor, half way up and at the head, from the middle of the case. */
  walls: { left: readonly number[]; right: readonly number[] };
  /** A scribe strip is ripped so wide, and planed to the wall. */
  strip: { left: number; right: number };
  /** Height of a levelled plinth at its left and its right end. */
  plinth: { left: number; right: number };
  /** Cut out of the back edges of its sides over the skirting; null where nothing is. */
  notch: { height: number; depth: number } | null;
}

interface Gap {
  least: number;
  greatest: number;
}

/** A strip is ripped wider than the widest gap by what is planed off it and what lies behind the case's edge, mm; common practice. */
const STRIP_MORE = 10;

/**
 * The case that stands plumb in an alcove: as wide as the walls leave free over its whole height, less the room it needs to be
 * pushed in, with strips at both sides that are planed to the walls, and a plinth that is high enough where the floor is highest.
 *
 * @param room between case and walls where they come nearest, both sides together; 10 to 20 mm, common practice
 * @param plinth least height of the plinth, mm
 * @returns null where walls and room leave nothing
 */
export function fitAlcove(alcove: Alcove, room: number, plinth: number): FittedCase | null {
  const { wide, deep, lean, rise, skirting } = alcove;
  // Each wall from the floor up: the left one is straight, the right one follows the three widths.
  const left = [0, lean / 2, lean];
  const right = [wide.floor, lean / 2 + wide.middle, lean + wide.head];
  const [from, to] = [Math.max(...left), Math.min(...right)];
  const width = Math.floor(to - from - room);
  if (width <= 0) return null;
  const at = from + (to - from - width) / 2;
  const middle = at + width / 2;
  const gaps = (list: readonly number[]): Gap => ({ least: Math.min(...list), greatest: Math.max(...list) });
  const scribe = { left: gaps(left.map((wall) => at - wall)), right: gaps(right.map((wall) => wall - at - width)) };
  return {
    width,
    depth: Math.floor(Math.min(deep.left, deep.right)),
    scribe,
    walls: { left: left.map((wall) => wall - middle), right: right.map((wall) => wall - middle) },
    strip: {
      left: Math.ceil(scribe.left.greatest) + STRIP_MORE,
      right: Math.ceil(scribe.right.greatest) + STRIP_MORE,
    },
    plinth: { left: plinth + Math.max(0, rise), right: plinth + Math.max(0, -rise) },
    notch: skirting && { height: skirting.height, depth: skirting.thickness },
  };
}

/**
 * Whether a case that is carried in lying can be stood up under a ceiling: on its lower back edge it comes as high as its side
 * is from corner to corner, and then it is lifted on its plinth.
 *
 * @returns mm left under the ceiling at the worst; below 0 it does not go in
 */
export function roomToTilt(given: { height: number; depth: number; plinth: number; ceiling: number }): number {
  const { height, depth, plinth, ceiling } = given;
  return ceiling - Math.max(Math.hypot(height, depth), height + plinth);
}
