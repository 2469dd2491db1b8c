import { glued } from '../restraint/tie';
import { box, type Convex } from '../solid/convex';
import type { Vec } from '../solid/vector';
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

/** How many hold a corner so deep. */
export const buttKeys = (depth: number, key: ButtKey): number =>
  Math.max(2, Math.ceil((depth - 2 * FROM_EDGE[key]) / APART[key]) + 1);

/** The end of a level board against the inner face of an upright one, over its whole depth. mm */
export function caseButt(given: {
  id: string;
  name: string;
  into: string;
  from: string;
  key: ButtKey;
  /** Inner and outer face of the upright board. */
  x: readonly [inner: number, outer: number];
  y: readonly [front: number, back: number];
  z: readonly [low: number, high: number];
}): Joint {
  const { id, name, into, from, key, x, y, z } = given;
  const way = Math.sign(x[1] - x[0]) as 1 | -1;
  const [level, thick] = [(z[0] + z[1]) / 2, z[1] - z[0]];
  const breadth = y[1] - y[0];
  const count = buttKeys(breadth, key);
  const [first, last] = [y[0] + FROM_EDGE[key], y[1] - FROM_EDGE[key]];
  const places = Array.from({ length: count }, (_, i) => first + ((last - first) * i) / (count - 1));
  const deep = Math.abs(x[1] - x[0]) * IN_SIDE;
  const out: Vec = [-way, 0, 0];
  const [inside, end] = [x[0] + way * deep, x[0] - way * IN_END];
  const removed: Cut[] = [];
  const added: Grown[] = [];
  for (const at of places) {
    if (key === 'screws') {
      const [outer, face]: [Vec, Vec] = [
        [x[1], at, level],
        [x[0], at, level],
      ];
      removed.push({ part: into, what: 'screw hole', ...bored(outer, face, SCREW.hole), open: [[way, 0, 0], out] });
      continue;
    }
    if (key === 'dowels') {
      const diameter = Math.max(6, Math.round(thick / 3));
      const [a, b, c]: [Vec, Vec, Vec] = [
        [inside, at, level],
        [x[0], at, level],
        [end, at, level],
      ];
      removed.push(
        { part: into, what: 'dowel hole', ...bored(b, a, diameter), open: [out] },
        { part: from, what: 'dowel hole', ...bored(b, c, diameter), open: [[way, 0, 0]] },
      );
      added.push({ part: into, solid: bored(a, c, diameter).solid, inside: true });
      continue;
    }
    const half = Math.max(6, Math.round(thick / 3)) / 2;
    const strip = (p: number, q: number): Convex =>
      box([Math.min(p, q), at - TENON_WIDE / 2, level - half], [Math.max(p, q), at + TENON_WIDE / 2, level + half]);
    removed.push(
      { part: into, what: 'mortise', solid: strip(x[0], inside), open: [out] },
      { part: from, what: 'mortise', solid: strip(x[0], end), open: [[way, 0, 0]] },
    );
    added.push({ part: into, solid: strip(inside, end), inside: true });
  }
  return {
    id,
    kind: KINDS[key],
    name,
    into,
    from,
    along: [way, 0, 0],
    removed,
    added,
    ties: glued({ id, name, a: into, b: from, at: { x: x[0], y: (y[0] + y[1]) / 2, z: level } }, { y: breadth }),
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
