import { isInserted } from '../joint/leg-corner';
import { legPeg, pegSetBack } from '../joint/pegs';
import { mm, movement, say } from '../measure/quantity';
import { partsOfKind } from '../piece/piece';
import { type Check, judge, type TableContext } from './check';

/** Wood between a screw's or bolt's point and the outside of the leg, mm; common practice. */
const LEAST_BEFORE_OUTSIDE = 6;
/** Less of a screw than this many times its thickness holds nothing for long; common practice. */
const LEAST_BITE = 4;

/** Screws and bolts that hold aprons to legs: what they bite, and what is left before they come out. */
export function cornerFasteners({ piece }: TableContext): Check[] {
  const { corner } = piece;
  if (!corner || isInserted(corner)) return [];
  const legs = partsOfKind(piece, 'leg').map((part) => part.id);
  const { bite, diameter } = corner.kind === 'pocket-screws' ? corner.screw : corner.bolt;
  const what = corner.kind === 'pocket-screws' ? 'screws' : 'bolts';
  const least = LEAST_BITE * diameter;
  const outside = judge(corner.wallOutside, LEAST_BEFORE_OUTSIDE, { sense: 'at-least', watchFrom: 8 });
  const deep = judge(bite, least, { sense: 'at-least' });
  return [
    {
      id: 'joints.fastener-outside',
      step: 'joints',
      level: outside,
      sentence: say`Between the ${what} and the outside of the leg ${mm(corner.wallOutside)} are left.`,
      value: mm(corner.wallOutside),
      limit: mm(LEAST_BEFORE_OUTSIDE),
      where: legs,
      why: 'A point that comes near a show face bulges it, and shows through the finish.',
      school: 'common practice',
      wayOut: { say: say`Set the apron farther back, or make the leg thicker`, changes: [] },
    },
    {
      id: 'joints.fastener-bite',
      step: 'joints',
      level: deep === 'good' ? 'good' : 'watch',
      sentence: say`The ${what} bite ${mm(bite)} into the leg; four times their thickness is ${mm(least)}.`,
      value: mm(bite),
      limit: mm(least),
      where: legs,
      why: 'What bites little strips its thread when it is tightened again.',
      school: 'Four times as deep as thick, common practice',
      wayOut: { say: say`Make the leg thicker, or take mortise and tenon`, changes: [] },
    },
  ];
}

/** Pegs through a leg's tenons: what is left of the tenon beyond them, and of the leg's edge before them. */
export function pegsInLegs({ document, piece }: TableContext): Check[] {
  const { corner } = piece;
  const { pegs } = document.joints;
  if (!isInserted(corner) || corner.kind === 'dowels' || pegs === 'none') return [];
  if (!piece.joints.some((joint) => joint.kind === 'pegs')) return [];
  const legs = partsOfKind(piece, 'leg');
  const diameter = legPeg(legs[0]?.size.width ?? 0);
  const back = pegSetBack(corner.tenon.length, diameter);
  const relish = corner.tenon.length - back - diameter / 2;
  const level = judge(relish, diameter, { sense: 'at-least', watchFrom: 1.5 * diameter });
  return [
    {
      id: 'joints.peg-relish',
      step: 'joints',
      level,
      sentence: say`Beyond its pegs a tenon has ${mm(relish)} left; a peg is ${mm(diameter)} thick.`,
      value: mm(relish),
      limit: mm(diameter),
      where: [...legs.map((part) => part.id), ...partsOfKind(piece, 'apron').map((part) => part.id)],
      why: 'Short grain beyond a peg shears out when it draws: then the peg holds nothing.',
      school: 'As much as the peg is thick, and better half as much again; common practice',
      figure: {
        id: 'peg-relish',
        label: 'Tenon beyond its pegs',
        quantity: movement(relish),
        formula: 'tenon − set back − peg ÷ 2',
        inputs: [
          { label: 'Tenon', quantity: mm(corner.tenon.length) },
          { label: 'Set back from the shoulder', quantity: mm(back) },
          { label: 'Peg, an eighth of the leg', quantity: mm(diameter) },
        ],
        source: 'common practice',
      },
      wayOut: {
        say: say`Leave the pegs away: so short a tenon is held by its glue`,
        changes: [{ path: 'joints.pegs', value: 'none' }],
      },
    },
  ];
}

/** A haunch that is chosen and for which there is no room, or no place between legs that lean. */
export function haunchLeftOut({ document, piece }: TableContext): Check[] {
  const { corner } = piece;
  const { haunch } = document.joints;
  if (corner?.kind !== 'mortise-tenon' || haunch === 'none' || corner.haunch) return [];
  return [
    {
      id: 'joints.haunch',
      step: 'joints',
      level: 'watch',
      sentence: say`The haunch that is chosen is left away: legs that lean, or tenons that short, have no room for it.`,
      value: mm(0),
      limit: mm(0),
      where: partsOfKind(piece, 'apron').map((part) => part.id),
      why: 'What is chosen and not cut is looked for at the bench.',
      school: 'common practice',
      wayOut: { say: say`Choose none`, changes: [{ path: 'joints.haunch', value: 'none' }] },
    },
  ];
}
