import { glued } from '../restraint/tie';
import { box, type Convex } from '../solid/convex';
import { times, type Vec } from '../solid/vector';
import { bored, type Cut, type Grown, type Joint } from './joint';

/** What holds the end of a board against the face of another. */
export const BUTT_KEYS = {
  dowels: {
    name: 'Dowels',
    reason: 'Bored with a jig from one reference edge; nothing is seen.',
  },
  'loose-tenons': {
    name: 'Loose tenons',
    reason:
      'Mortises of the same cutter in both boards, strips glued into them; nothing is seen, and long grain holds.',
  },
  screws: {
    name: 'Screws and plugs',
    reason: 'Through the side into end grain, plugged: quick, and it can be taken apart before it is glued.',
  },
} as const;
export type ButtKey = keyof typeof BUTT_KEYS;

/** mm; common practice: a third of the board thick, so far from the edges and from one to the next. */
const APART: Readonly<Record<ButtKey, number>> = { dowels: 70, 'loose-tenons': 120, screws: 110 };
const FROM_EDGE: Readonly<Record<ButtKey, number>> = { dowels: 25, 'loose-tenons': 45, screws: 35 };
/** Of the side's thickness a key goes in, and into the end of the other board, mm. */
const IN_SIDE = 0.6;
const IN_END = 28;
const TENON_WIDE = 40;
const SCREW = { hole: 4.5, long: 50 };

/** How many hold a corner so deep; a narrow board has one in its middle, or two dowels. */
export const buttKeys = (depth: number, key: ButtKey): number => {
  const room = depth - 2 * FROM_EDGE[key];
  if (room >= APART[key] / 2) return Math.max(2, Math.ceil(room / APART[key]) + 1);
  return key !== 'loose-tenons' && depth >= LEAST_FOR_TWO ? 2 : 1;
};
const LEAST_FOR_TWO = 40;

/** Where along a board's breadth they stand. mm */
function placesOf([front, back]: readonly [front: number, back: number], key: ButtKey): number[] {
  const [depth, count] = [back - front, buttKeys(back - front, key)];
  if (count === 1) return [(front + back) / 2];
  const edge = Math.min(FROM_EDGE[key], depth / 4);
  return Array.from({ length: count }, (_, i) => front + edge + ((depth - 2 * edge) * i) / (count - 1));
}

/**
 * The end of a board against the face of another, over its whole depth. mm
 *
 * @param share of the other board's thickness that a key enters
 */
export function caseButt(given: {
  id: string;
  name: string;
  into: string;
  from: string;
  key: ButtKey;
  /** Middle of the end on that face, and the way into the other board: across or upright. */
  at: Vec;
  along: Vec;
  y: readonly [front: number, back: number];
  /** Of the board, and of the one that takes it. */
  thickness: number;
  wall: number;
  share?: number;
}): Joint {
  const { id, name, into, from, key, at, along, y, thickness, wall, share = IN_SIDE } = given;
  const breadth = y[1] - y[0];
  const deep = wall * share;
  const out = times(along, -1);
  const point = (place: number, inward: number): Vec => [at[0] + along[0] * inward, place, at[2] + along[2] * inward];
  const removed: Cut[] = [];
  const added: Grown[] = [];
  for (const place of placesOf(y, key)) {
    if (key === 'screws') {
      const [outer, face] = [point(place, wall), point(place, 0)];
      removed.push({ part: into, what: 'screw hole', ...bored(outer, face, SCREW.hole), open: [along, out] });
      continue;
    }
    const [inside, face, end] = [point(place, deep), point(place, 0), point(place, -IN_END)];
    if (key === 'dowels') {
      const diameter = Math.max(6, Math.round(thickness / 3));
      removed.push(
        { part: into, what: 'dowel hole', ...bored(face, inside, diameter), open: [out] },
        { part: from, what: 'dowel hole', ...bored(face, end, diameter), open: [along] },
      );
      added.push({ part: into, solid: bored(inside, end, diameter).solid, inside: true });
      continue;
    }
    const half = Math.max(6, Math.round(thickness / 3)) / 2;
    const wide = Math.min(TENON_WIDE, breadth - 16);
    const strip = (p: Vec, q: Vec): Convex => {
      const upright = Math.abs(along[2]) > 0.5;
      const [x, z] = upright ? [half, 0] : [0, half];
      return box(
        [Math.min(p[0], q[0]) - x, place - wide / 2, Math.min(p[2], q[2]) - z],
        [Math.max(p[0], q[0]) + x, place + wide / 2, Math.max(p[2], q[2]) + z],
      );
    };
    removed.push(
      { part: into, what: 'mortise', solid: strip(face, inside), open: [out] },
      { part: from, what: 'mortise', solid: strip(face, end), open: [along] },
    );
    added.push({ part: into, solid: strip(inside, end), inside: true });
  }
  const middle = { x: at[0], y: (y[0] + y[1]) / 2, z: at[2] };
  return {
    ...{ id, kind: KINDS[key], name, into, from, along, removed, added },
    ties: glued({ id, name, a: into, b: from, at: middle }, { y: breadth }),
  };
}

const KINDS = { dowels: 'case-dowels', 'loose-tenons': 'case-loose-tenons', screws: 'case-screws' } as const;

/** What is bought for so many corners. */
export function buttFittings(key: ButtKey, depth: number, corners: number) {
  if (key !== 'screws') return [];
  const count = corners * buttKeys(depth, key);
  return [
    { name: 'Screws for the corners', count, size: [SCREW.hole, SCREW.long] },
    { name: 'Plugs of the same wood', count, size: [10] },
  ];
}
