import type { PieceInJob } from '../document/piece-in-job';
import type { Figure } from '../measure/figure';
import { mm, say } from '../measure/quantity';
import type { Part } from '../piece/part';
import { type TablePiece, topLoads } from '../piece/piece';
import { baseKind } from '../piece/table/form';
import { boundsOf, type Convex, shifted } from '../solid/convex';
import { type Flat, hullOf } from '../solid/outline';
import { narrowest, type Passage, throughOpening } from '../solid/through-opening';
import type { Vec } from '../solid/vector';
import type { Check, TableContext } from './check';

/** Room for hands and a blanket in the width of a door, and in its height, mm; common practice. */
export const HAND_ROOM = 20;
/** How thick the wall round a door is taken to be, mm; common practice. */
export const WALL = 120;

/** How something is carried: which of its axes points up. */
export const POSTURES = [
  { words: 'upright', up: 2 },
  { words: 'on its long edge', up: 1 },
  { words: 'on end', up: 0 },
] as const;
type Posture = (typeof POSTURES)[number];

/** How something is brought through a door, and what of the door it takes. mm */
interface WayIn {
  posture: Posture;
  passage: Passage;
  width: number;
  height: number;
}

const solidsOf = (parts: readonly Part[]): Convex[] =>
  parts.flatMap((part) => [...part.placed, ...part.added.map(({ solid }) => solid)]);

/** The solids of a piece as it is carried: a top that draws out is closed, its leaves are carried by themselves. */
function carried(piece: TablePiece): { tops: Convex[]; base: Convex[] } {
  const { closed } = piece.top;
  const travel = closed === undefined ? 0 : (piece.overall.length - closed) / 2;
  const tops = new Set(piece.top.parts);
  const inward = (part: Part): Convex[] => {
    const draws = travel > 0 && (tops.has(part.id) || part.kind === 'slide') && Math.abs(part.frame.at[0]) > 1;
    const by: Vec = [-Math.sign(part.frame.at[0]) * travel, 0, 0];
    return draws ? solidsOf([part]).map((solid) => shifted(solid, by)) : solidsOf([part]);
  };
  const own = piece.parts.filter(({ kind }) => kind !== 'leaf');
  return {
    tops: own.filter(({ id }) => tops.has(id)).flatMap(inward),
    base: own.filter(({ id }) => !tops.has(id)).flatMap(inward),
  };
}

/** Seen from above in each way of carrying: how narrow and how high the solids are together, and each as a flat shape. */
function outlinesOf(solids: readonly Convex[]) {
  const { from, to } = boundsOf(solids);
  return POSTURES.map((posture) => {
    const [a, b] = [0, 1, 2].filter((axis) => axis !== posture.up) as [0 | 1, 1 | 2];
    const points: Flat[] = [];
    for (const { corners } of solids) for (const p of corners) points.push([p[a], p[b]]);
    return {
      posture,
      height: to[posture.up] - from[posture.up],
      least: narrowest(points),
      shape: () => solids.map(({ corners }) => hullOf(corners.map((p): Flat => [p[a], p[b]]))),
    };
  });
}

/** Ways found last, by outlines and door: they are sought through all turns. */
const known: { key: string; way: WayIn | null }[] = [];
const KEPT = 24;

/** The first way by which some solids together go through a door on the level; straight ways before those that turn. */
export const wayThroughDoor = (solids: readonly Convex[], door: PieceInJob['brief']['door']): WayIn | null =>
  wayOf(outlinesOf(solids), door);

function wayOf(all: ReturnType<typeof outlinesOf>, door: PieceInJob['brief']['door']): WayIn | null {
  const opening = { width: door.width - HAND_ROOM, thickness: WALL };
  const fitting = all.filter(({ height }) => height <= door.height - HAND_ROOM + 1e-9);
  for (const { posture, least, height } of fitting) {
    const { width, turn } = least;
    if (width <= opening.width + 1e-9) return { posture, passage: { kind: 'straight', width, turn }, width, height };
  }
  const outlines = fitting.map((own) => ({ ...own, shape: own.shape() }));
  const key = JSON.stringify([opening.width, outlines.map(({ shape }) => shape.flat(2).map(Math.round))]);
  const before = known.find((own) => own.key === key);
  if (before) return before.way;
  let way: WayIn | null = null;
  for (const { posture, shape, height, least } of outlines) {
    const passage = throughOpening(shape, opening);
    if (!passage) continue;
    way = { posture, passage, width: least.width, height };
    break;
  }
  known.unshift({ key, way });
  known.splice(KEPT);
  return way;
}

/** How narrow a piece is as it is carried, mm. */
export const doorFigure = (narrowest: number, door: PieceInJob['brief']['door']): Figure => ({
  id: 'door',
  label: 'At its narrowest, as it is carried',
  quantity: mm(narrowest),
  formula:
    'least width of its outline seen from above, upright, on edge or on end; or a way through found by turning it',
  inputs: [
    { label: 'Door, wide', quantity: mm(door.width) },
    { label: 'Door, high', quantity: mm(door.height) },
    { label: 'Room for hands, in width and height', quantity: mm(HAND_ROOM) },
    { label: 'Wall, thick', quantity: mm(WALL) },
  ],
  source: 'geometry of all its parts',
});

/** What of a table is carried: all of it, or its top and its base by themselves where they come apart. */
export function loadsOfTable(piece: TablePiece) {
  const { tops, base } = carried(piece);
  const comesApart = !baseKind(piece.kind.base).foldedWithTop;
  return { whole: [...tops, ...base], apart: comesApart ? [...topLoads(piece).map(solidsOf), base] : null };
}

/** Whether the piece goes through the door, whole or with the top taken off. */
export function throughTheDoor({ document, piece }: TableContext): Check[] {
  const { door } = document.brief;
  const { tops, base } = carried(piece);
  const outlines = outlinesOf([...tops, ...base]);
  const whole = wayOf(outlines, door);
  // Sides mitred to a top do not come off it.
  const comesApart = !baseKind(piece.kind.base).foldedWithTop;
  const apart = whole || !comesApart ? null : wayApart(piece, base, door);
  const smallest = Math.min(...outlines.map(({ least }) => least.width));
  const straight = whole?.passage.kind === 'straight';
  const room = say`with ${mm(HAND_ROOM)} of room in its width and its height`;
  return [
    {
      id: 'people.door',
      step: 'brief',
      level: straight ? 'good' : whole || apart ? 'watch' : 'stop',
      sentence: whole
        ? straight
          ? say`The table goes through the door of ${mm(door.width)} ${whole.posture.words}, ${mm(whole.width)} wide and ${mm(whole.height)} high.`
          : say`The table, ${mm(whole.width)} at its narrowest, goes through the door of ${mm(door.width)} ${whole.posture.words}, turned round the jamb as it goes.`
        : apart
          ? say`The table does not go through the door of ${mm(door.width)} in one piece; with the top taken off it does.`
          : comesApart
            ? say`The table does not go through the door of ${mm(door.width)} × ${mm(door.height)}, with its top taken off neither.`
            : say`It does not go through the door of ${mm(door.width)} × ${mm(door.height)}.`,
      value: mm(smallest),
      limit: mm(door.width - HAND_ROOM),
      where: piece.parts.map(({ id }) => id),
      why: 'Feet, ends and all that stands out beyond the top count. On the level, through a wall of 120 mm, the floor free on both sides; stairs are not counted.',
      school: 'Room for hands, common practice',
      figure: doorFigure(whole?.width ?? smallest, door),
      wayOut: whole
        ? { say: [...say`Carry it `, whole.posture.words, ', one end first and then round, ', ...room], changes: [] }
        : apart
          ? { say: say`Deliver the top and the base apart, and fasten it there`, changes: [] }
          : { say: say`Make the base come apart, or bring the parts in and glue up there`, changes: [] },
    },
  ];
}

/** The top by itself, or each part of it that is carried alone, and the base by itself. */
function wayApart(piece: TablePiece, base: readonly Convex[], door: PieceInJob['brief']['door']) {
  const ways = [...topLoads(piece).map(solidsOf), base].map((solids) => wayThroughDoor(solids, door));
  return ways.every(Boolean) ? ways : null;
}
