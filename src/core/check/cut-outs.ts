import { mm, percent, say } from '../measure/quantity';
import { findPart, type Hole } from '../piece/piece';
import { box } from '../solid/convex';
import { distance } from '../solid/distance';
import { type Flat, insideBy } from '../solid/outline';
import { type Check, judge, type TableContext } from './check';

/** Wood between a cut-out and the edge, or another; mm, common practice. */
const LEAST_TO_EDGE = 25;
const GOOD_TO_EDGE = 50;
/** Between a cut-out and anything under the top or driven into it, mm; common practice. */
const LEAST_BESIDE = 10;
/** How deep under the top an outlet or cables want room, mm; common practice. */
const ROOM_BELOW = 40;
/** Of the top's width beside a cut-out, %; common practice. */
const LEAST_LEFT = 50;

const cornersOf = ({ left, right, low, high }: Hole): Flat[] => [
  [left, low],
  [right, low],
  [right, high],
  [left, high],
];

/** Between two of them, seen from above; below zero they overlap. */
const apart = (a: Hole, b: Hole) => Math.max(a.left - b.right, b.left - a.right, a.low - b.high, b.low - a.high);

/** Holes through the top against its edge, one another, what runs under it and what is driven into it. */
export function cutOuts(context: TableContext): Check[] {
  const { holes = [] } = context.piece.top;
  if (holes.length === 0) return [];
  return [...edges(context, holes), ...under(context, holes), ...leftBeside(context, holes), byTheCutter(context)];
}

function edges({ piece }: TableContext, holes: readonly Hole[]): Check[] {
  // A panel between breadboard ends is shorter than the top.
  const panel = (findPart(piece, piece.top.leading)?.shoulderLength ?? piece.top.size.length) / 2;
  const toEdge = holes.map((hole) =>
    Math.min(
      ...cornersOf(hole).map((corner) => Math.min(panel - Math.abs(corner[0]), insideBy(piece.top.polygon, corner))),
    ),
  );
  const between = holes.flatMap((a, i) => holes.slice(i + 1).map((b) => apart(a, b)));
  const least = Math.min(...toEdge, ...between);
  const level = judge(least, LEAST_TO_EDGE, { sense: 'at-least', watchFrom: GOOD_TO_EDGE });
  return [
    {
      id: 'form.cut-out-edge',
      step: 'form',
      level,
      sentence: say`Beside a cut-out at least ${mm(least)} of wood are left to the edge or the next one.`,
      value: mm(least),
      limit: mm(level === 'stop' ? LEAST_TO_EDGE : GOOD_TO_EDGE),
      where: piece.top.parts,
      why: 'A narrow strip beside a hole breaks when the outlet is pulled, and end grain there splits in the dry season.',
      school: 'common practice',
      wayOut: { say: say`Move it farther in, or make it smaller`, changes: [] },
    },
  ];
}

function under({ piece }: TableContext, holes: readonly Hole[]): Check[] {
  const underside = piece.overall.height - piece.top.size.thickness;
  const base = piece.parts.filter((part) => !piece.top.parts.includes(part.id));
  const found = holes.flatMap((hole) => {
    const room = box([hole.left, hole.low, underside - ROOM_BELOW], [hole.right, hole.high, underside]);
    return [
      ...base.map((part) => ({
        id: part.id,
        name: part.name,
        apart: Math.min(...part.placed.map((solid) => distance(solid, room))),
      })),
      ...piece.fasteners.map((fastener) => ({
        id: fastener.id,
        name: 'A fastener',
        apart: -insideBy(cornersOf(hole), [fastener.x, fastener.y]),
      })),
    ];
  });
  const worst = found.reduce<(typeof found)[number] | null>((a, b) => (!a || b.apart < a.apart ? b : a), null);
  if (!worst) return [];
  const level = judge(worst.apart, 0, { sense: 'at-least', watchFrom: LEAST_BESIDE });
  return [
    {
      id: 'form.cut-out-under',
      step: 'form',
      level,
      sentence:
        level === 'stop'
          ? say`${worst.name} stands in the way of a cut-out, by ${mm(-worst.apart)}.`
          : say`What stands under the top keeps ${mm(worst.apart)} off its cut-outs.`,
      value: mm(worst.apart),
      limit: mm(level === 'stop' ? 0 : LEAST_BESIDE),
      where: [worst.id, ...piece.top.parts],
      why: 'An outlet’s body and its cable want room under the top. Wiring is work for a licensed electrician, by local code.',
      school: 'common practice',
      wayOut: { say: say`Move the cut-out, or what runs under it`, changes: [] },
    },
  ];
}

/** Whether a straight cutter of the shop comes through the top, from one face or from both. */
function byTheCutter({ piece, shop }: TableContext): Check {
  const { thickness } = piece.top.size;
  const reach = Math.max(0, ...shop.tools.cutters.map((cutter) => cutter.reach));
  const fits = thickness <= reach + 1e-9;
  return {
    id: 'machines.cut-out',
    step: 'form',
    level: fits ? 'good' : 'watch',
    sentence: fits
      ? say`A cutter of the shop comes through the ${mm(thickness)} of the top at its cut-outs.`
      : say`The cut-outs go through ${mm(thickness)}; the longest cutter reaches ${mm(reach)}.`,
    value: mm(thickness),
    limit: mm(reach),
    where: piece.top.parts,
    why: 'A cutter that does not come through leaves a step, or is run with its shank in the wood and burns.',
    school: 'common practice',
    ...(fits
      ? {}
      : {
          wayOut: {
            say:
              thickness <= 2 * reach
                ? say`Bore the corners through, and rout it along a template from both faces`
                : say`Bore the corners through, saw it out and pare the walls to the line`,
            changes: [],
          },
        }),
  };
}

/** How much of the top's width is left where it is cut most. */
function leftBeside({ piece }: TableContext, holes: readonly Hole[]): Check[] {
  const { width } = piece.top.size;
  const shares = holes.map((hole) => {
    const beside = holes.filter((other) => other.left < hole.right && other.right > hole.left);
    return 100 * (1 - beside.reduce((sum, { low, high }) => sum + high - low, 0) / width);
  });
  const least = Math.min(...shares);
  return [
    {
      id: 'form.cut-out-left',
      step: 'form',
      level: judge(least, LEAST_LEFT, { sense: 'at-least' }) === 'good' ? 'good' : 'watch',
      sentence: say`Beside its cut-outs ${percent(least)} of the top’s width run through.`,
      value: percent(least),
      limit: percent(LEAST_LEFT),
      where: piece.top.parts,
      why: 'Where half of a top is cut away it carries half as much, and sags twice as far.',
      school: 'common practice',
      wayOut: { say: say`Set them one behind the other along the grain, or put something under them`, changes: [] },
    },
  ];
}
