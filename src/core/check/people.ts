import {
  EDGE_ON_BENCH,
  EDGE_PER_CHAIR,
  EDGE_PER_CHAIR_TIGHT,
  edgePerPerson,
  KNEE_HEIGHT,
  KNEE_HEIGHT_GOOD,
  seatsAt,
  seatsOnBench,
} from '../decision/room-for-people';
import { USE_OF_PIECE } from '../decision/use';
import { count, mm, say } from '../measure/quantity';
import { isSatAllRound } from '../piece/table/form';
import { roundOf } from '../solid/outline';
import { type Check, judge, type TableContext, type WayOut } from './check';

/** How many sit at a piece: along the edge of a round top, else along its sides and at its ends. */
export function seatsOf({ document, piece }: Pick<TableContext, 'document' | 'piece'>, edge?: number): number {
  const { top, joined } = document.form;
  if (!isSatAllRound(top)) {
    // Where another table stands at its end nobody sits.
    const all = seatsAt(piece.overall, document.brief.seating, edge);
    return joined && piece.overall.width >= (edge ?? EDGE_PER_CHAIR) - 1e-9 ? all - 1 : all;
  }
  return Math.floor((roundOf(piece.top.polygon) + 1e-6) / (edge ?? EDGE_PER_CHAIR));
}

export function kneeRoom({ document, piece }: TableContext): Check[] {
  const { base } = document.form;
  if (USE_OF_PIECE[document.use].sitting !== 'at') return [];
  const { height, parts, words } = piece.knees;
  const own = document.brief.kneeRoom;
  const least = own ?? KNEE_HEIGHT;
  const wanted = own ?? KNEE_HEIGHT_GOOD;
  const level = judge(height, least, { sense: 'at-least', watchFrom: wanted });
  const missing = Math.max(0, wanted - height);
  const lower = base.kind === 'leg-apron' ? Math.floor(base.apron.height - missing) : 0;
  const higher = Math.ceil(base.height + missing);
  const thinner = Math.floor(piece.top.size.thickness - missing);
  const ways: WayOut[] = [
    ...(lower >= 40
      ? [{ say: say`Make the aprons ${mm(lower)} high`, changes: [{ path: 'form.base.apron.height', value: lower }] }]
      : []),
    ...(own !== null || higher <= HIGHEST
      ? [{ say: say`Make the piece ${mm(higher)} high`, changes: [{ path: 'form.base.height', value: higher }] }]
      : []),
    ...(thinner >= LEAST_TOP
      ? [{ say: say`Make the top ${mm(thinner)} thick`, changes: [{ path: 'form.top.thickness', value: thinner }] }]
      : []),
  ];
  return [
    {
      id: 'people.knees',
      step: 'form',
      level,
      sentence:
        own === null
          ? say`Under ${words} ${mm(height)} are free for knees; ${mm(KNEE_HEIGHT)} is the least, ${mm(KNEE_HEIGHT_GOOD)} better.`
          : say`Under ${words} ${mm(height)} are free for knees; ${mm(own)} are asked for.`,
      value: mm(height),
      limit: mm(least),
      where: parts,
      why: 'Thighs rub on a deep apron, and chairs with arms do not go under.',
      school: own === null ? 'Room for knees by common practice' : 'As the brief asks',
      wayOut: ways[0] ?? { say: say`Make the table higher or the top thinner`, changes: [] },
      otherWaysOut: ways.slice(1),
    },
  ];
}

/** Above this a table is too high for a chair, and a top thinner than that is none, mm; common practice. */
const HIGHEST = 780;
const LEAST_TOP = 18;

/** How many sit on a stool or a bench. */
function seatsOn({ piece }: TableContext, seats: number): Check {
  const on = seatsOnBench(piece.overall.length);
  const longer = Math.ceil((seats * EDGE_ON_BENCH) / 10) * 10;
  return {
    id: 'people.seats',
    step: 'brief',
    level: judge(on, seats, { sense: 'at-least' }),
    sentence: say`${count(on)} sit on it; ${count(seats)} are asked for.`,
    value: count(on),
    limit: count(seats),
    where: piece.top.parts,
    why: 'Who sits side by side needs a width of his own.',
    school: 'Edge a person on a bench, common practice',
    figure: {
      id: 'seats',
      label: 'Seats',
      quantity: count(on),
      formula: 'whole(length ÷ width per person), one at the least',
      inputs: [
        { label: 'Length', quantity: mm(piece.overall.length) },
        { label: 'Width per person', quantity: mm(EDGE_ON_BENCH) },
      ],
      source: 'common practice',
    },
    wayOut: { say: say`Make it ${mm(longer)} long`, changes: [{ path: 'form.top.length', value: longer }] },
  };
}

export function seatCount(context: TableContext): Check[] {
  const { document, piece } = context;
  const { brief, use, seatsAsked } = document;
  const { sitting } = USE_OF_PIECE[use];
  if (seatsAsked === null || sitting === 'none') return [];
  if (sitting === 'on') return [seatsOn(context, seatsAsked)];
  if (use !== 'dining') return [];
  const easy = seatsOf({ document, piece });
  const tight = brief.seating === 'benches' ? easy : seatsOf({ document, piece }, EDGE_PER_CHAIR_TIGHT);
  const level = easy >= brief.seats ? 'good' : tight >= brief.seats ? 'watch' : 'stop';
  const each = edgePerPerson(brief.seating);
  const ends = piece.overall.width >= EDGE_PER_CHAIR ? 2 : 0;
  const longer = Math.ceil((Math.ceil(Math.max(0, brief.seats - ends) / 2) * each) / 10) * 10;
  return [
    {
      id: 'people.seats',
      step: 'brief',
      level,
      sentence:
        level === 'watch'
          ? say`${count(brief.seats)} sit here only tightly; at ease it seats ${count(easy)}.`
          : say`The edge seats ${count(easy)}; ${count(brief.seats)} are asked for.`,
      value: count(easy),
      limit: count(brief.seats),
      where: piece.top.parts,
      why: 'Elbows need their width of edge.',
      school:
        brief.seating === 'benches' ? 'Edge a person on a bench, common practice' : 'Edge a chair, common practice',
      figure: {
        id: 'seats',
        label: 'Seats',
        quantity: count(easy),
        formula: '2 · whole(length ÷ edge per person) + 2 when the width takes a chair',
        inputs: [
          { label: 'Length', quantity: mm(piece.overall.length) },
          { label: 'Width', quantity: mm(piece.overall.width) },
          { label: 'Edge per person', quantity: mm(each) },
        ],
        source: 'common practice',
      },
      ...(level === 'good'
        ? {}
        : {
            wayOut: {
              say: say`Make the top ${mm(longer)} long`,
              changes: [{ path: 'form.top.length', value: longer }],
            },
          }),
    },
  ];
}
