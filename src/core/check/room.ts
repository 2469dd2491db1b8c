import { BEHIND_CHAIR } from '../decision/room-for-people';
import { USE_OF_PIECE } from '../decision/use';
import type { JobDocument } from '../document/job-document';
import { count, mm, say } from '../measure/quantity';
import { freeAround, roomOf, type Standing } from '../room/standing';
import { gapBetween } from '../solid/outline';
import type { Check, TableContext, WayOut } from './check';

/** Behind the chairs of a table that is dined at, where it stands. */
export function roomAround(context: TableContext): Check[] {
  const { document, piece, spot } = context;
  // Chairs are pushed back from what is sat at in company; a desk may stand at a wall.
  if (document.use !== 'dining') return [];
  const { behindChairs } = document.brief;
  const need = BEHIND_CHAIR[behindChairs];
  const room = roomOf(document.brief);
  const { ends, sides } = freeAround(piece, spot, room);
  const least = Math.min(ends, sides);
  const level = least < need - 1e-9 ? (least < 610 ? 'stop' : 'watch') : 'good';
  const where = spot.x === 0 && spot.y === 0 ? 'In the middle of the room' : 'Where it stands';
  return [
    {
      id: 'people.room',
      step: 'brief',
      level,
      sentence: say`${where} the table leaves ${mm(sides)} at its sides and ${mm(ends)} at its ends; a chair wants ${mm(need)}.`,
      value: mm(least),
      limit: mm(need),
      where: piece.top.parts,
      why: 'A chair is pushed back before somebody stands up, and people pass behind.',
      school:
        behindChairs === 'wall' ? 'Behind a chair to a wall, common practice' : 'Where people pass, common practice',
      figure: {
        id: 'room-around',
        label: 'Least to a wall, where the table stands',
        quantity: mm(least),
        formula: 'half the room − the farthest corner of all its parts from the room’s middle, either way',
        inputs: [
          { label: 'Room, long', quantity: mm(room.length) },
          { label: 'Room, wide', quantity: mm(room.width) },
          { label: 'To the walls at its ends', quantity: mm(ends) },
          { label: 'To the walls at its sides', quantity: mm(sides) },
          { label: 'A chair wants', quantity: mm(need) },
        ],
        source: 'geometry; what a chair wants, common practice',
      },
      ...(level === 'good' ? {} : moreRoom(context, need)),
    },
  ];
}

function moreRoom({ document }: TableContext, need: number): Pick<Check, 'wayOut' | 'otherWaysOut'> {
  const room = roomOf(document.brief);
  const fits = {
    length: Math.floor((room.length - 2 * need) / 10) * 10,
    width: Math.floor((room.width - 2 * need) / 10) * 10,
  };
  const { top } = document.form;
  const lower = { length: Math.min(top.length, fits.length), width: Math.min(top.width, fits.width) };
  const changes = [
    ...(lower.length < top.length ? [{ path: 'form.top.length', value: lower.length }] : []),
    ...(lower.width < top.width ? [{ path: 'form.top.width', value: lower.width }] : []),
  ];
  const smaller: WayOut =
    fits.length >= 600 && fits.width >= 500 && changes.length > 0
      ? { say: say`Make the top ${mm(lower.length)} × ${mm(lower.width)}`, changes }
      : { say: say`The room is too small for chairs all round: put one side to the wall`, changes: [] };
  return document.spot
    ? { wayOut: foundAgain([`spots.${document.instance}`]), otherWaysOut: [smaller] }
    : { wayOut: smaller };
}

/** @param paths of spots that the maker has chosen */
const foundAgain = (paths: readonly string[]): WayOut => ({
  say: say`Let a place be found for ${paths.length > 1 ? 'them' : 'it'} in the room`,
  changes: paths.map((path) => ({ path, value: null })),
});

/** Whether all pieces of a job stand within its room, and clear of each other. `where` is empty: it is of no part. */
export function roomChecks({ brief }: Pick<JobDocument, 'brief'>, all: readonly Standing[]): Check[] {
  const standings = all.filter(({ stacked }) => !stacked);
  if (standings.length < 2 && !standings.some(({ chosen }) => chosen)) return [];
  return [withinWalls(brief, standings), ...(standings.length < 2 ? [] : [clearOfEachOther(brief, standings)])];
}

const waysOutOf = (meant: readonly Standing[], advice: WayOut): Pick<Check, 'wayOut' | 'otherWaysOut'> => {
  const chosen = meant
    .filter(({ chosen }) => chosen)
    .map(({ pieceId, instance }) => `pieces.${pieceId}.spots.${instance}`);
  return chosen.length > 0 ? { wayOut: foundAgain(chosen), otherWaysOut: [advice] } : { wayOut: advice };
};

function withinWalls(brief: JobDocument['brief'], standings: readonly Standing[]): Check {
  const { length, width } = roomOf(brief);
  const out = standings.map((own) => ({
    own,
    by: Math.max(...own.outline.map(([x, y]) => Math.max(Math.abs(x) - length / 2, Math.abs(y) - width / 2))),
  }));
  const [worst] = out.sort((a, b) => b.by - a.by);
  const by = worst?.by ?? 0;
  const bad = by > 0.5;
  return {
    id: 'room.walls',
    step: 'brief',
    level: bad ? 'watch' : 'good',
    sentence: bad
      ? say`${worst?.own.title ?? ''} stands ${mm(by)} beyond the walls of the room.`
      : say`All pieces stand within the room of ${mm(length)} × ${mm(width)}.`,
    value: mm(Math.max(0, by)),
    limit: mm(0),
    where: [],
    why: 'What does not stand in the room is seen on the day it is delivered.',
    school: 'Room for people, common practice',
    figure: {
      id: 'room-walls',
      label: 'Farthest beyond a wall',
      quantity: mm(Math.max(0, by)),
      formula: 'the farthest point of an outline from the room’s middle − half the room, either way',
      inputs: [
        { label: 'Room, long', quantity: mm(length) },
        { label: 'Room, wide', quantity: mm(width) },
        { label: 'Pieces', quantity: count(standings.length) },
      ],
      source: 'geometry of the outlines seen from above, feet with them',
    },
    ...waysOutOf(worst ? [worst.own] : [], {
      say: say`Move it in the drawing of the room, or make it smaller`,
      changes: [],
    }),
  };
}

/** What is sat on is pushed under a table, or stands beside it. */
const satOn = ({ use }: Standing) => USE_OF_PIECE[use].sitting === 'on';

/** What two pieces leave between them, and what they should: nothing where one may be pushed under the other. */
function between(brief: JobDocument['brief'], a: Standing, b: Standing): { gap: number; need: number } | null {
  if (a.height <= b.under || b.height <= a.under) return null;
  const dined = [a, b].some(({ use }) => use === 'dining') && !satOn(a) && !satOn(b);
  return { gap: gapBetween(a.outline, b.outline), need: dined ? BEHIND_CHAIR[brief.behindChairs] : 0 };
}

/** The rectangle round an outline, along the room. mm */
const boxOf = ({ outline }: Standing) => {
  const [xs, ys] = [outline.map(([x]) => x), outline.map(([, y]) => y)];
  return { left: Math.min(...xs), right: Math.max(...xs), low: Math.min(...ys), high: Math.max(...ys) };
};

/** Those two that lack most of what should be between them; only of those whose rectangles are so near is the distance computed. */
function nearestPair(brief: JobDocument['brief'], standings: readonly Standing[]) {
  const boxes = standings.map(boxOf);
  let worst: { a: Standing; b: Standing; gap: number; need: number; lacks: number } | undefined;
  let pairs = 0;
  standings.forEach((a, i) => {
    standings.slice(i + 1).forEach((b, k) => {
      const [p, q] = [boxes[i], boxes[i + 1 + k]] as [ReturnType<typeof boxOf>, ReturnType<typeof boxOf>];
      pairs += 1;
      const [dx, dy] = [Math.max(p.left - q.right, q.left - p.right), Math.max(p.low - q.high, q.low - p.high)];
      // So far apart at the least, where their rectangles do not meet.
      const least = Math.hypot(Math.max(0, dx), Math.max(0, dy));
      if (worst && least > 0 && BEHIND_CHAIR[brief.behindChairs] - least <= worst.lacks) return;
      const found = between(brief, a, b);
      if (!found) return;
      const lacks = found.need - found.gap;
      if (!worst || lacks > worst.lacks) worst = { a, b, ...found, lacks };
    });
  });
  return { worst, pairs };
}

function clearOfEachOther(brief: JobDocument['brief'], standings: readonly Standing[]): Check {
  const { worst, pairs } = nearestPair(brief, standings);
  const bad = worst !== undefined && worst.lacks > 0.5;
  const { a, b, gap = 0, need = 0 } = worst ?? {};
  return {
    id: 'room.between',
    step: 'brief',
    level: bad ? 'watch' : 'good',
    sentence: !bad
      ? say`No piece stands in the way of another.`
      : gap < 0
        ? say`${a?.title ?? ''} and ${b?.title ?? ''} stand ${mm(-gap)} in one another.`
        : say`Between ${a?.title ?? ''} and ${b?.title ?? ''} ${mm(gap)} stay; a chair wants ${mm(need)}.`,
    value: mm(gap),
    limit: mm(need),
    where: [],
    why: 'A chair is pushed back before somebody stands up; what is lower is pushed under a table, and not counted.',
    school: 'Room for people, common practice',
    figure: {
      id: 'room-between',
      label: 'Between two pieces, where it matters most',
      quantity: mm(gap),
      formula: 'least distance between their outlines seen from above; below 0 how deep they are in one another',
      inputs: [
        ...(a && b ? [{ label: 'The two', quantity: `${a.title}, ${b.title}` }] : []),
        { label: 'Wanted between them', quantity: mm(need) },
        { label: 'Pairs looked at', quantity: count(pairs) },
      ],
      source: 'geometry of the outlines; what a chair wants, common practice',
    },
    ...waysOutOf(a && b ? [a, b] : [], {
      say: say`Move one of them in the drawing of the room`,
      changes: [],
    }),
  };
}
