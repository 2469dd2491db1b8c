import { type CornerInput, type InsertedCorner, LEAST_BACK_WALL, TENON_GAP } from './corner-joint';
import { chooseMeeting, reasonFor } from './corner-meeting';

/** Dowels as they are sold, mm. */
export const DOWELS = [6, 8, 10, 12, 16] as const;
/** A hole is bored so much deeper than its dowel goes in, both ends together; glue and air have to go somewhere. mm */
export const UNDER_DOWEL = 2;

const halfDown = (value: number) => Math.floor(value * 2 + 1e-9) / 2;

/** The dowel nearest to two fifths of the thinner part: between a third and a half of it (common practice). mm */
export const dowelDiameter = (thinner: number): number =>
  DOWELS.reduce((best, d) => (Math.abs(d - thinner * 0.4) < Math.abs(best - thinner * 0.4) ? d : best));

/**
 * Sizes a corner of dowels, all common practice: two fifths of the apron thick, three and a half times as deep as thick in
 * both parts, twice their thickness from an edge and no farther apart than four times it. Those of one apron stand
 * between those of the other where they would meet in the leg.
 */
export function cornerDowels(input: CornerInput): InsertedCorner {
  const { section, apronThickness, apronHeight, reveal, choice } = input;
  const diameter = choice.tenonThickness ?? dowelDiameter(apronThickness);
  const middle = reveal + apronThickness / 2;
  const beforeMeeting = section - (middle + diameter / 2) - TENON_GAP;
  const untilBackWall = section - LEAST_BACK_WALL;
  const aim = Math.round(3.5 * diameter);

  const asked = choice.tenonLength;
  const wanted = asked ?? Math.min(aim, untilBackWall);
  const rooms = { wanted, beforeMeeting, untilMitre: null };
  const edge = Math.max(10, 2 * diameter);
  const span = Math.max(0, apronHeight - 2 * edge);
  const fit = Math.max(2, Math.floor(span / (4 * diameter)) + 1);
  const pitch = span / (fit - 1);
  // Between two dowels of the other apron there must be room for one, with a wall on both sides.
  const between = pitch / 2 - diameter;
  const own = choice.meeting === 'auto' ? chooseMeeting(rooms) : choice.meeting;
  const meeting = own === 'mitred' || (own === 'staggered' && between < STAGGER_WALL) ? 'shortened' : own;
  const room = meeting === 'staggered' ? untilBackWall : beforeMeeting;
  const length = asked ?? Math.max(0, halfDown(Math.min(wanted, room, untilBackWall)));
  return {
    kind: 'dowels',
    meeting,
    reason: reasonFor(meeting, {
      ...rooms,
      length,
      kind: 'dowels',
      words: { many: 'dowels' },
      chosen: choice.meeting === meeting,
    }),
    tenon: {
      thickness: diameter,
      length,
      width: diameter,
      count: fit,
      pitch,
      topSet: edge - diameter / 2,
      intoApron: aim,
    },
    haunch: null,
    wallOutside: middle - diameter / 2,
    wallBehind: section - length,
    clearance: meeting === 'staggered' ? between : beforeMeeting + TENON_GAP - length,
    aim,
  };
}

/** Wood between a dowel and those of the other apron that it passes, mm. */
const STAGGER_WALL = 3;
