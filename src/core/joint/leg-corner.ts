import type { Joints } from '../decision/job-document';
import { mm, type Phrase, say } from '../measure/quantity';
import { glued, type Point, type Tie } from '../restraint/tie';

/** Two aprons meeting in one leg at a right angle, seen from above. All mm. */
export interface CornerInput {
  /** Side of the square leg. */
  section: number;
  apronThickness: number;
  apronHeight: number;
  /** Set-back of the apron's face from the leg's outside face. */
  reveal: number;
  choice: Joints;
}

export type Meeting = 'clear' | 'shortened' | 'mitred' | 'staggered';

export interface CornerJoint {
  kind: Joints['corner'];
  meeting: Meeting;
  /** Why the tenons meet this way. */
  reason: Phrase;
  tenon: {
    thickness: number;
    /** Into the leg. */
    length: number;
    /** Height of the tenon, or of each of them. */
    width: number;
    /** How many stand one above the other in an apron's end. */
    count: number;
    /** From the apron's upper edge down to the tenon, filled by a haunch in a mortise-and-tenon. */
    topSet: number;
    /** For loose tenons, how far it goes into the apron; otherwise 0: the tenon grows from the apron. */
    intoApron: number;
  };
  /** Wood between the mortise and the leg's outside face. */
  wallOutside: number;
  /** Wood between the mortise's end and the far face of the leg. */
  wallBehind: number;
  /** Distance between the two tenons inside the leg; below zero they collide. */
  clearance: number;
  /** The length the rule aims at: two thirds of the leg. */
  aim: number;
}

/** Left between two tenons' ends so that neither bottoms on the other. */
export const TENON_GAP = 1;
/** The least wall left behind a mortise. */
export const LEAST_BACK_WALL = 8;

const half = (value: number) => Math.round(value * 2) / 2;
const halfDown = (value: number) => Math.floor(value * 2 + 1e-9) / 2;

/**
 * Tenon thickness by school (common practice): a third of the apron; or, where the leg is at least twice as thick as
 * the apron, half of it.
 */
export function tenonThickness(school: Joints['tenonSchool'], apronThickness: number, section: number): number {
  const much = section >= 2 * apronThickness;
  return half(school === 'half' && much ? apronThickness / 2 : apronThickness / 3);
}

/**
 * Sizes the corner: thickness by school, length towards two thirds of the leg, and how two tenons in one leg keep out
 * of each other's way. With the leg's outside corner at (0, 0), each tenon's middle lies c = reveal + apron/2 from the
 * outside, so a tenon may run in to S − (c + t/2) before it meets the other; mitred it reaches to S − (c − t/2);
 * staggered (each half as high) it passes by and stops at the back wall.
 */
export function legCorner(input: CornerInput): CornerJoint {
  const { section, apronThickness, apronHeight, reveal, choice } = input;
  const loose = choice.corner === 'loose-tenon';
  const thickness = tenonThickness(choice.tenonSchool, apronThickness, section);
  const middle = reveal + apronThickness / 2;
  const beforeMeeting = section - (middle + thickness / 2) - TENON_GAP;
  const untilMitre = section - (middle - thickness / 2) - TENON_GAP;
  const untilBackWall = section - LEAST_BACK_WALL;
  const aim = half((section * 2) / 3);

  const asked = choice.tenonLength;
  const wanted = asked ?? Math.min(aim, untilBackWall);
  const meeting = choice.meeting === 'auto' ? chooseMeeting(wanted, beforeMeeting, untilMitre) : choice.meeting;
  const room = { clear: beforeMeeting, shortened: beforeMeeting, mitred: untilMitre, staggered: untilBackWall }[
    meeting
  ];
  const tenonLength = asked ?? Math.max(0, halfDown(Math.min(wanted, room, untilBackWall)));

  const topSet = half(Math.min(apronHeight / 4, 20));
  const bottomShoulder = Math.min(6, apronHeight / 10);
  const available = apronHeight - topSet - bottomShoulder;
  const staggered = meeting === 'staggered';
  const count = loose && available >= 70 && !staggered ? 2 : 1;
  const width = half(staggered ? available / 2 : count === 2 ? (available - 12) / 2 : available);

  const clearance = staggered ? 0 : (meeting === 'mitred' ? untilMitre : beforeMeeting) + TENON_GAP - tenonLength;
  return {
    kind: choice.corner,
    meeting,
    reason: reasonFor(meeting, { wanted, beforeMeeting, untilMitre, tenonLength, chosen: choice.meeting !== 'auto' }),
    tenon: { thickness, length: tenonLength, width, count, topSet, intoApron: loose ? tenonLength : 0 },
    wallOutside: middle - thickness / 2,
    wallBehind: section - tenonLength,
    clearance,
    aim,
  };
}

function chooseMeeting(wanted: number, beforeMeeting: number, untilMitre: number): Meeting {
  if (wanted <= beforeMeeting) return 'clear';
  // A tenon shortened by less than a tenth of what the rule asks is simpler to cut than a mitred one.
  if (beforeMeeting >= 0.9 * wanted) return 'shortened';
  return untilMitre >= 0.75 * wanted ? 'mitred' : 'staggered';
}

function reasonFor(
  meeting: Meeting,
  at: { wanted: number; beforeMeeting: number; untilMitre: number; tenonLength: number; chosen: boolean },
): Phrase {
  const lead = at.chosen ? 'Chosen by you. ' : '';
  switch (meeting) {
    case 'clear':
      return say`${lead}The tenons end ${mm(at.tenonLength)} into the leg, before they would meet at ${mm(at.beforeMeeting)}.`;
    case 'shortened':
      return say`${lead}Both tenons stop at ${mm(at.tenonLength)}, short of the place where they would meet, ${mm(at.beforeMeeting)} in; the rule asked for ${mm(at.wanted)}.`;
    case 'mitred':
      return say`${lead}Square tenons would meet at ${mm(at.beforeMeeting)}; with their ends mitred each reaches up to ${mm(at.untilMitre)}.`;
    case 'staggered':
      return say`${lead}One tenon passes above the other, each half as high, so that both go in ${mm(at.tenonLength)}.`;
  }
}

/**
 * What the corner ties: the tenon's height is glued across the leg's length, its depth across the leg's section; both are
 * held narrow enough by the rules of size.
 */
export function cornerTies(given: {
  leg: { id: string; name: string };
  apron: { id: string; name: string };
  /** Middle of the glued tenon. */
  at: Point;
  tenonWidth: number;
}): Tie[] {
  const { leg, apron, at, tenonWidth } = given;
  return glued(
    { id: `${leg.id}/${apron.id}`, name: `${apron.name} in ${leg.name.toLowerCase()}`, a: leg.id, b: apron.id, at },
    { z: tenonWidth },
  );
}
