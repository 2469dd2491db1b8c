import { mm, say } from '../measure/quantity';
import { fitOf } from '../piece/case/alcove';
import { roomToTilt } from '../piece/case/fit-alcove';
import type { Part } from '../piece/part';
import { boundsOf } from '../solid/convex';
import { startStandChanges } from '../start/start-case';
import { type CaseContext, type Check, judge } from './check';

/** Under the ceiling while it is stood up, mm; common practice. */
const UNDER_CEILING = 15;
/** A scribe strip wider than this is a board beside the case, and looks it, mm; common practice. */
const WIDEST_STRIP = 60;
/** A floor out of level by more is seen at the doors and shelves, mm over the width; common practice. */
const LEVEL = 2;

/** How a case fits the alcove that was measured for it: its strips, standing it up, its floor, and what must be kept clear. */
export function fittedToAlcove(context: CaseContext): Check[] {
  const { alcove } = context.document.form;
  const fit = fitOf(context.document.form);
  if (!alcove || !fit || context.piece.opens === 'above') return [];
  return [strips(fit), tilted(context, alcove), ...floor(context, alcove), ...keptClear(context, alcove)];
}

type Alcove = NonNullable<CaseContext['document']['form']['alcove']>;

function strips({ strip, scribe, width }: NonNullable<ReturnType<typeof fitOf>>): Check {
  const widest = Math.max(strip.left, strip.right);
  return {
    id: 'fit.strips',
    step: 'form',
    level: judge(widest, Number.POSITIVE_INFINITY, { sense: 'at-most', watchFrom: WIDEST_STRIP }),
    sentence: say`The case is ${mm(width)} wide; its scribe strips are ripped ${mm(strip.left)} wide at the left and ${mm(strip.right)} at the right, and planed to walls ${mm(Math.min(scribe.left.least, scribe.right.least))} to ${mm(Math.max(scribe.left.greatest, scribe.right.greatest))} away.`,
    value: mm(widest),
    limit: mm(WIDEST_STRIP),
    where: ['scribe-left', 'scribe-right'],
    why: 'No wall is plumb, and no two widths of an alcove are alike. A strip is planed to the wall; the case is not.',
    school: 'Scribing, common practice',
    wayOut: { say: say`Measure plumb and widths again, or fill the wider side with a board of its own`, changes: [] },
  };
}

function tilted({ piece, document }: CaseContext, { ceiling }: Alcove): Check {
  const { form } = document;
  const stands = form.stand.kind === 'plinth' ? form.stand.height : 0;
  const body = form.height - stands;
  const left = roomToTilt({ height: body, depth: form.depth, plinth: stands, ceiling });
  const diagonal = Math.hypot(body, form.depth);
  const lower = Math.floor(form.height - (UNDER_CEILING - left));
  return {
    id: 'fit.tilt',
    step: 'form',
    level: judge(left, 0, { sense: 'at-least', watchFrom: UNDER_CEILING }),
    sentence:
      left < 0
        ? say`It cannot be stood up: its side is ${mm(diagonal)} from corner to corner, and the ceiling is ${mm(ceiling)} high.`
        : say`Stood up on its back edge it comes ${mm(diagonal)} high; ${mm(left)} are left under the ceiling.`,
    value: mm(left),
    limit: mm(UNDER_CEILING),
    where: piece.parts.map(({ id }) => id),
    why: 'What is carried in lying must pass the ceiling on its corner before it stands.',
    school: 'Geometry; room for hands, common practice',
    figure: {
      id: 'fit.tilt',
      label: 'Left under the ceiling while it is stood up',
      quantity: mm(left),
      formula: 'ceiling − max(√(height² + depth²), height + plinth)',
      inputs: [
        { label: 'Height without its plinth', quantity: mm(body) },
        { label: 'Depth', quantity: mm(form.depth) },
        { label: 'Plinth', quantity: mm(stands) },
        { label: 'Ceiling', quantity: mm(ceiling) },
      ],
      source: 'geometry',
    },
    wayOut: { say: say`Make it ${mm(lower)} high`, changes: [{ path: 'form.height', value: lower }] },
    otherWaysOut: [
      {
        say: say`Stand it on a plinth of its own, which is brought in first`,
        changes: startStandChanges('plinth', form),
      },
    ],
  };
}

function floor({ document: { form } }: CaseContext, { rise }: Alcove): Check[] {
  if (form.stand.kind === 'plinth') {
    const low = form.stand.height - Math.abs(rise);
    return [
      {
        id: 'fit.floor',
        step: 'form',
        level: 'good',
        sentence: say`The plinth is ripped ${mm(form.stand.height)} high and planed to the floor: at the ${rise < 0 ? 'left' : 'right'} ${mm(low)} are left.`,
        value: mm(low),
        limit: mm(0),
        where: [],
        why: 'A case is levelled on its plinth before anything is fixed to it.',
        school: 'Scribing, common practice',
      },
    ];
  }
  return [
    {
      id: 'fit.floor',
      step: 'form',
      level: Math.abs(rise) > LEVEL ? 'watch' : 'good',
      sentence:
        Math.abs(rise) > LEVEL
          ? say`The floor rises ${mm(Math.abs(rise))} to the ${rise > 0 ? 'right' : 'left'}: what stands on its own sides leans with it.`
          : say`The floor is level within ${mm(LEVEL)}.`,
      value: mm(Math.abs(rise)),
      limit: mm(LEVEL),
      where: [],
      why: 'Out of level, doors hang open and a case leans from its scribed walls.',
      school: 'Scribing, common practice',
      wayOut: {
        say: say`Stand it on a plinth that is planed to the floor`,
        changes: startStandChanges('plinth', form),
      },
    },
  ];
}

/** What runs across a socket or a pipe, or closes it. */
function keptClear({ piece, document: { form } }: CaseContext, alcove: Alcove): Check[] {
  const fit = fitOf(form);
  if (!fit) return [];
  // The left wall at the floor, as the case sees it.
  const wall = fit.walls.left[0] ?? -form.width / 2;
  return alcove.clear.map((own): Check => {
    const [left, right] = [wall + own.fromLeft, wall + own.fromLeft + own.width];
    const [low, high] = [own.fromFloor, own.fromFloor + own.height];
    const before = piece.parts.filter(({ id, kind, placed }) => {
      if (
        !(ACROSS.includes(kind) || (id.startsWith('back-') && BARS.includes(kind))) ||
        piece.spans.some(({ part, onPins }) => part === id && onPins)
      )
        return false;
      const { from, to } = boundsOf(placed);
      return from[0] < right && left < to[0] && from[2] < high && low < to[2];
    });
    const closed = form.back.kind !== 'open';
    const names = before.map(({ name }) => name.toLowerCase()).join(' and ');
    const what = own.name.toLowerCase();
    return {
      id: `fit.clear-${own.id}`,
      step: 'form',
      level: before.length > 0 ? 'stop' : 'good',
      sentence:
        before.length > 0
          ? say`Before the ${what} stands ${names}.`
          : closed
            ? say`For the ${what} an opening of ${mm(own.width)} × ${mm(own.height)} is cut in the back, ${mm(own.fromFloor)} over the floor and ${mm(left + form.width / 2)} from the outside of the left side.`
            : say`Nothing stands before the ${what}.`,
      value: mm(0),
      limit: mm(0),
      where: before.map(({ id }) => id),
      why: 'Sockets, switches and valves are reached for the life of the house. What is moved or extended is work for who is licensed, by local code.',
      school: 'Access, common practice',
      wayOut: { say: say`Move the board in the drawing`, changes: [] },
    };
  });
}

/** Boards that reach to the wall. */
const ACROSS: readonly Part['kind'][] = [
  ...(['upright', 'case-shelf', 'case-rail', 'case-top', 'case-bottom', 'side', 'case-post'] as const),
];
/** Of a back with panels. */
const BARS: readonly Part['kind'][] = ['stile', 'rail', 'muntin'];
