import type { Joints } from '../decision/joints';
import { type CornerInput, type InsertedCorner, LEAST_BACK_WALL, TENON_GAP } from './corner-joint';
import { chooseMeeting, reasonFor } from './corner-meeting';

const half = (value: number) => Math.round(value * 2) / 2;
const halfDown = (value: number) => Math.floor(value * 2 + 1e-9) / 2;

/** Between the two loose tenons of one end, mm. */
const BETWEEN_LOOSE = 12;

/**
 * Tenon thickness by school (common practice): a third of the apron; or, where the leg is at least twice as thick as
 * the apron, half of it.
 */
export function tenonThickness(school: Joints['tenonSchool'], apronThickness: number, section: number): number {
  const much = section >= 2 * apronThickness;
  return half(school === 'half' && much ? apronThickness / 2 : apronThickness / 3);
}

/**
 * Sizes a corner of tenons: thickness by school or as decided, length towards two thirds of the leg, and how two tenons in
 * one leg keep out of each other's way. With the leg's outside corner at (0, 0), each tenon's middle lies
 * c = reveal + apron/2 from the outside, so a tenon may run in to S − (c + t/2) before it meets the other; mitred it
 * reaches to S − (c − t/2); staggered (each half as high) it passes by and stops at the back wall. A haunch is as deep as
 * the tenon is thick.
 */
export function cornerTenons(input: CornerInput): InsertedCorner {
  const { section, apronThickness, apronHeight, reveal, choice } = input;
  const kind = choice.corner === 'loose-tenon' ? 'loose-tenon' : 'mortise-tenon';
  const loose = kind === 'loose-tenon';
  const thickness = choice.tenonThickness ?? tenonThickness(choice.tenonSchool, apronThickness, section);
  const middle = reveal + apronThickness / 2;
  const beforeMeeting = section - (middle + thickness / 2) - TENON_GAP;
  const untilMitre = section - (middle - thickness / 2) - TENON_GAP;
  const untilBackWall = section - LEAST_BACK_WALL;
  const aim = half((section * 2) / 3);

  const asked = choice.tenonLength;
  const wanted = asked ?? Math.min(aim, untilBackWall);
  const rooms = { wanted, beforeMeeting, untilMitre };
  const plain = wanted <= beforeMeeting ? 'clear' : 'shortened';
  const meeting = input.squareOnly ? plain : choice.meeting === 'auto' ? chooseMeeting(rooms) : choice.meeting;
  const room = { clear: beforeMeeting, shortened: beforeMeeting, mitred: untilMitre, staggered: untilBackWall }[
    meeting
  ];
  const length = asked ?? Math.max(0, halfDown(Math.min(wanted, room, untilBackWall)));

  const topSet = half(Math.min(apronHeight / 4, 20));
  const bottomShoulder = Math.min(6, apronHeight / 10);
  const available = apronHeight - topSet - bottomShoulder;
  const staggered = meeting === 'staggered';
  const count = loose && available >= 70 && !staggered ? 2 : 1;
  const width = half(staggered ? available / 2 : count === 2 ? (available - BETWEEN_LOOSE) / 2 : available);

  const clearance = staggered ? 0 : (meeting === 'mitred' ? untilMitre : beforeMeeting) + TENON_GAP - length;
  // The neighbour's haunch stands at the same height: neither reaches the other's cheek.
  const depth = halfDown(Math.min(thickness, beforeMeeting, length));
  return {
    kind,
    meeting,
    reason: reasonFor(meeting, {
      ...rooms,
      length,
      kind,
      words: { many: 'tenons' },
      chosen: choice.meeting === meeting,
    }),
    tenon: {
      thickness,
      length,
      width,
      count,
      pitch: count > 1 ? width + BETWEEN_LOOSE : 0,
      topSet,
      intoApron: loose ? length : 0,
    },
    haunch: loose || choice.haunch === 'none' || depth < 3 ? null : { depth, sloped: choice.haunch === 'sloped' },
    wallOutside: middle - thickness / 2,
    wallBehind: section - length,
    clearance,
    aim,
  };
}
