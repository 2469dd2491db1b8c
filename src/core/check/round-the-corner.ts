import { mm, say } from '../measure/quantity';
import { boundsOf, type Convex } from '../solid/convex';
import { type Flat, hullOf } from '../solid/outline';
import { type Corner, roundCorner } from '../solid/round-corner';
import { loadsOfCase } from './case-carried';
import { type Check, type CheckContext, isOfCase, isOfTable } from './check';
import { HAND_ROOM, loadsOfTable, POSTURES } from './door';

/** What is carried: all of it, or what it comes apart into. */
export interface Loads {
  whole: readonly Convex[];
  apart: readonly (readonly Convex[])[] | null;
}

type Way = { words: string; room: number } | null;

/** Whether a piece can be carried round the corner on the way to its room, whole or taken apart. */
export function roundTheCorner(context: CheckContext): Check[] {
  const { corner } = context.document.brief;
  if (!corner) return [];
  const loads = isOfTable(context)
    ? loadsOfTable(context.piece)
    : isOfCase(context)
      ? loadsOfCase(context.piece)
      : null;
  if (!loads) return [];
  const whole = wayOf(loads.whole, corner);
  const apart = whole || !loads.apart ? null : loads.apart.map((own) => wayOf(own, corner));
  const inParts = apart?.every(Boolean) ?? false;
  const what = context.piece.build === 'case' ? 'case' : 'table';
  const room = whole?.room ?? 0;
  return [
    {
      id: 'people.corner',
      step: 'brief',
      level: whole ? 'good' : inParts ? 'watch' : 'stop',
      sentence: whole
        ? say`The ${what} goes round the corner on the way, ${whole.words}, ${mm(whole.room)} beside the inner corner.`
        : inParts
          ? say`The ${what} goes round the corner on the way only where it is taken apart.`
          : say`The ${what} does not go round the corner on the way, from ${mm(corner.before)} into ${mm(corner.after)}.`,
      value: mm(room),
      limit: mm(0),
      where: context.piece.parts.map(({ id }) => id),
      why: 'On a landing or between two passages, at a right angle and on the level. Slopes of stairs, rails and lamps are not counted: go and measure with a lath as long as it is.',
      school: 'Room for hands, common practice',
      figure: {
        id: 'corner',
        label: 'Room at the inner corner, as it is carried',
        quantity: mm(room),
        formula:
          'its hull seen from above, upright, on edge or on end, against both outer walls, at every turn of a degree',
        inputs: [
          { label: 'Before the corner, wide', quantity: mm(corner.before) },
          { label: 'After it, wide', quantity: mm(corner.after) },
          { label: 'High', quantity: mm(corner.high) },
          { label: 'Room for hands in each', quantity: mm(HAND_ROOM) },
        ],
        source: 'geometry; for a rod the ladder round a corner, (a^⅔ + b^⅔)^1.5',
      },
      wayOut: inParts
        ? { say: say`Deliver it apart, and put it together there`, changes: [] }
        : { say: say`Make it come apart, in two, or glue it up where it is to stand`, changes: [] },
    },
  ];
}

/** Ways found last, by outline and corner: they are sought through all turns. */
const known: { key: string; room: number | null }[] = [];
const KEPT = 24;

function roomFor(hull: readonly Flat[], corner: Corner): number | null {
  const key = JSON.stringify([corner, hull.map((point) => point.map(Math.round))]);
  const before = known.find((own) => own.key === key);
  if (before) return before.room;
  const room = roundCorner(hull, corner);
  known.unshift({ key, room });
  known.splice(KEPT);
  return room;
}

/** The posture in which solids together go round with most room; null where they do in none. */
function wayOf(solids: readonly Convex[], corner: NonNullable<CheckContext['document']['brief']['corner']>): Way {
  const { from, to } = boundsOf(solids);
  const inside = { before: corner.before - HAND_ROOM, after: corner.after - HAND_ROOM };
  const ways = POSTURES.flatMap(({ words, up }) => {
    if (to[up] - from[up] > corner.high - HAND_ROOM) return [];
    const [a, b] = [0, 1, 2].filter((axis) => axis !== up) as [0 | 1, 1 | 2];
    const room = roomFor(hullOf(solids.flatMap(({ corners }) => corners.map((p): Flat => [p[a], p[b]]))), inside);
    return room === null ? [] : [{ words, room }];
  });
  return ways.reduce<Way>((best, way) => (best && best.room >= way.room ? best : way), null);
}
