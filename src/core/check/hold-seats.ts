import { count, mm, movement, say } from '../measure/quantity';
import { findPart, type TablePiece } from '../piece/piece';
import { topKind } from '../piece/table/form';
import { HOLDS, travelOf } from '../piece/table/holds/hold';
import { LEAST_BEHIND_SEAT, railThickness, travelInRail } from '../piece/table/holds/hold-seats';
import { travelOfTop } from '../season/restraint-of-piece';
import { type Check, judge, type TableContext } from './check';
import { thinnestWall } from './collisions';
import { otherHolds } from './hold-changes';

/** Fasteners that let the top go and are of the kind chosen for the piece. */
export const slidingFasteners = (piece: TablePiece) =>
  piece.fasteners.filter((fastener) => !fastener.holdsMiddle && !fastener.own);

/** How far the top must go at the outer one of them, either way, mm. */
export function travelNeeded({ piece, restraint }: Pick<TableContext, 'piece' | 'restraint'>): {
  outward: number;
  inward: number;
} {
  const sliding = new Set(slidingFasteners(piece).map(({ id }) => id));
  const ways = travelOfTop(piece, restraint).filter(({ tie }) => sliding.has(tie));
  return {
    outward: Math.max(0, ...ways.map((way) => way.outward.need)),
    inward: Math.max(0, ...ways.map((way) => way.inward.need)),
  };
}

/** The most that every rail of the piece has room for, outward and inward together, mm. */
export const travelInRails = ({ document, piece }: Pick<TableContext, 'document' | 'piece'>): number => {
  const { kind } = document.form.hold;
  return Math.min(
    2 * HOLDS[kind].greatestTravel,
    ...slidingFasteners(piece).flatMap(({ on, way }) => {
      const rail = findPart(piece, on);
      return !rail || rail.material ? [] : [travelInRail(kind, railThickness(rail), Math.abs(way[1]))];
    }),
  );
};

/** What to give outward and inward, a quarter more than the season asks; null where kind or rails have not the room. mm */
export function enoughTravel(context: TableContext): { outward: number; inward: number } | null {
  const { kind } = context.document.form.hold;
  const { greatestTravel, slots } = HOLDS[kind];
  const need = travelNeeded(context);
  const more = (mm: number) => Math.max(1, Math.ceil(mm * 1.25));
  const [out, back] = [more(need.outward), more(need.inward)];
  const [outward, inward] = slots ? [out, back] : [Math.max(out, back), Math.max(out, back)];
  const fits = Math.max(outward, inward) <= greatestTravel && outward + inward <= travelInRails(context) + 1e-9;
  return fits ? { outward, inward } : null;
}

export const letItGo = ({ outward, inward }: { outward: number; inward: number }): NonNullable<Check['wayOut']> =>
  outward === inward
    ? {
        say: say`Give ${movement(outward)} each way`,
        changes: [
          { path: 'form.hold.travel', value: outward },
          { path: 'form.hold.inward', value: null },
        ],
      }
    : {
        say: say`Give ${movement(outward)} outward and ${movement(inward)} inward`,
        changes: [
          { path: 'form.hold.travel', value: outward },
          { path: 'form.hold.inward', value: inward },
        ],
      };

/** What the fasteners of the top want cut into their rails, against what is left of these. */
export function seatsInRails(context: TableContext): Check[] {
  const { document, piece } = context;
  const wall = thinnestWall(piece, piece.seats);
  if (!wall) return [];
  const { hold } = document.form;
  const level = judge(wall.left, LEAST_WALL, { sense: 'at-least', watchFrom: LEAST_BEHIND_SEAT });
  const name = findPart(piece, wall.part)?.name.toLowerCase() ?? wall.part;
  const room = travelInRails(context);
  const enough = enoughTravel(context);
  const given = travelOf(hold);
  const ways = [
    ...(enough && given.outward + given.inward > enough.outward + enough.inward ? [letItGo(enough)] : []),
    ...otherHolds(context),
  ];
  return [
    {
      id: 'fasteners.seats',
      step: 'joints',
      level,
      sentence:
        wall.left < 0
          ? say`In ${name} the ${wall.cut.what} comes ${mm(-wall.left)} through its other side.`
          : say`In ${name} the ${wall.cut.what} leaves ${mm(wall.left)} of wood.`,
      value: mm(wall.left),
      limit: mm(level === 'stop' ? LEAST_WALL : LEAST_BEHIND_SEAT),
      where: [wall.part, wall.joint.id.replace('hold/', '')],
      why: 'The more a fastener lets the top go, the more it wants cut out of its rail.',
      school: 'Wood left behind a slot or beside a counterbore, common practice',
      wayOut: ways[0] ?? { say: say`Make the rails thicker, or hold the top from elsewhere`, changes: [] },
      otherWaysOut: ways.slice(1),
      figure: {
        id: 'hold-seat',
        label: `Wood left at the ${wall.cut.what}`,
        quantity: mm(wall.left),
        formula: 'rail − what the fastener and its travel want cut out of it',
        inputs: [
          { label: 'Travel outward', quantity: movement(given.outward) },
          { label: 'Travel inward', quantity: movement(given.inward) },
          { label: 'The rails have room for, both together', quantity: movement(room) },
        ],
        source: 'geometry; sizes of fasteners, common practice',
      },
    },
  ];
}

/** mm */
const LEAST_WALL = 3;

/** Whether a hand or a driver comes to every fastener. */
export function fastenersInReach(context: TableContext): Check[] {
  const { document, piece } = context;
  const [first] = piece.unreached;
  if (piece.fasteners.length === 0) return [];
  const name = (id: string) => findPart(piece, id)?.name.toLowerCase() ?? id;
  const many = piece.unreached.length;
  // On runners everything is set from below; elsewhere a cleat is screwed on before the base is glued.
  const drawn = topKind(document.form.top.kind).drawsOut;
  const thickness = piece.top.size.thickness;
  return [
    {
      id: 'fasteners.access',
      step: 'joints',
      level: first ? 'stop' : 'good',
      sentence: first
        ? say`${`${many}`} of the fasteners cannot be reached: in front of one on ${name(first.on)} stands ${name(first.by)}.`
        : say`A hand or a driver comes to every fastener.`,
      value: count(many),
      limit: count(0),
      where: piece.unreached.flatMap(({ fastener, by }) => [fastener, by]),
      why: 'What cannot be reached when the base is glued is not fastened, or not fastened again after the first dry season.',
      school: 'common practice',
      wayOut: drawn
        ? {
            say: say`Bolt it on from below, into threaded inserts`,
            changes: [
              {
                path: 'form.hold',
                value: {
                  kind: 'inserts',
                  travel: 5,
                  inward: null,
                  screwLength: Math.max(5, 5 * Math.floor((thickness - 8) / 5)),
                },
              },
            ],
          }
        : (otherHolds(context)[0] ?? { say: say`Set apart what stands in the way`, changes: [] }),
      otherWaysOut: otherHolds(context).slice(1),
    },
  ];
}
