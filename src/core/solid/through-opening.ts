import { type Flat, hullOf, insideBy } from './outline';

/** A gap in a straight wall, seen from above. mm */
export interface Opening {
  width: number;
  /** Of the wall. */
  thickness: number;
}

/** Where the middle of a shape is on its way, x through the wall and y along it, and how far it is turned, degrees. mm */
export interface Pose {
  x: number;
  y: number;
  turn: number;
}

/** How a shape goes through: as it is turned, or turning on its way. */
export type Passage = { kind: 'straight'; width: number; turn: number } | { kind: 'turning'; way: readonly Pose[] };

/** Turns that are tried, an even number: one every degree and a half. */
const TURNS = 240;
/** Places on the way are so far apart, and the shape is looked at in strips so wide, mm. */
const STRIP = 8;
/** Half-way to the next turn a point beside the opening comes on by as much as this, mm: what stands so near the wall counts. */
const BETWEEN = 12;

/**
 * Whether a shape in plan can be carried through an opening on the level: straight, at the turn in which it is narrowest,
 * or turning as it goes, as an L goes round a jamb. All turns and places along the way are looked at on a grid, strip by
 * strip of the shape, and a way is sought from one side of the wall to the other (breadth first). What the grid leaves out
 * is taken to the shape's disadvantage.
 *
 * @param shape the shape as convex polygons that may overlap, mm
 */
export function throughOpening(shape: readonly (readonly Flat[])[], opening: Opening): Passage | null {
  const straight = narrowest(shape.flat());
  if (straight.width <= opening.width + 1e-9) return { kind: 'straight', ...straight };
  // No turning helps a convex body through a gap narrower than it is (G. Strang, The width of a chair, from memory), nor
  // anything that has such a body in it.
  if (shape.some((polygon) => narrowest(polygon).width > opening.width + 1e-9)) return null;
  const way = wayThrough(outermost(shape), opening);
  return way && { kind: 'turning', way };
}

/** Of the rectangle round a polygon, mm²: what holds another is larger. */
function reachOf(polygon: readonly Flat[]): number {
  const span = (axis: 0 | 1) => Math.max(...polygon.map((p) => p[axis])) - Math.min(...polygon.map((p) => p[axis]));
  return span(0) * span(1);
}

/** Those polygons that lie in no other one. */
function outermost(shape: readonly (readonly Flat[])[]): (readonly Flat[])[] {
  const kept: (readonly Flat[])[] = [];
  for (const own of [...shape].sort((a, b) => reachOf(b) - reachOf(a)))
    if (!kept.some((other) => own.every((point) => insideBy(other, point) >= -1e-9))) kept.push(own);
  return kept;
}

/** The least width of some points between two parallel lines, mm, and the turn that lays it along the wall, degrees. */
export function narrowest(points: readonly Flat[]): { width: number; turn: number } {
  const hull = hullOf(points);
  let best = { width: Number.POSITIVE_INFINITY, turn: 0 };
  hull.forEach(([x0, y0], i) => {
    const [x1, y1] = hull[(i + 1) % hull.length] ?? [x0, y0];
    const long = Math.hypot(x1 - x0, y1 - y0);
    if (long < 1e-9) return;
    const [nx, ny] = [-(y1 - y0) / long, (x1 - x0) / long];
    const far = Math.max(...hull.map(([x, y]) => (x - x0) * nx + (y - y0) * ny));
    // Turned back by its own angle the edge lies along x, the way through.
    if (far < best.width) best = { width: far, turn: (-Math.atan2(y1 - y0, x1 - x0) * 180) / Math.PI };
  });
  return best;
}

function wayThrough(shape: readonly (readonly Flat[])[], { width, thickness }: Opening): Pose[] | null {
  const all = shape.flat();
  const [cx, cy] = middleOf(all);
  const radius = Math.max(...all.map(([x, y]) => Math.hypot(x - cx, y - cy)));
  const strips = 2 * Math.ceil(radius / STRIP) + 2;
  const half = strips / 2;
  // Strips of the shape that are in the wall, or near it, at one time.
  const inWall = Math.ceil((thickness + 2 * BETWEEN) / STRIP) + 1;
  const places = strips + inWall + 1;
  /** For each turn and place the least and the greatest y of what is in the wall; empty where they cross. */
  const low = new Float32Array(TURNS * places).fill(Number.POSITIVE_INFINITY);
  const high = new Float32Array(TURNS * places).fill(Number.NEGATIVE_INFINITY);
  const [from, to] = [new Float32Array(strips), new Float32Array(strips)];
  for (let turn = 0; turn < TURNS / 2; turn += 1) {
    const angle = (2 * Math.PI * turn) / TURNS;
    const [cos, sin] = [Math.cos(angle), Math.sin(angle)];
    from.fill(Number.POSITIVE_INFINITY);
    to.fill(Number.NEGATIVE_INFINITY);
    for (const polygon of shape) {
      let [px, py] = turned(polygon[polygon.length - 1]!, cx, cy, cos, sin);
      for (const point of polygon) {
        const [qx, qy] = turned(point, cx, cy, cos, sin);
        markEdge(px, py, qx, qy, half, from, to);
        [px, py] = [qx, qy];
      }
    }
    // The place p has the strips p − inWall … p − 1 of the shape in the wall.
    for (let place = 0; place < places; place += 1) {
      let [lo, hi] = [Number.POSITIVE_INFINITY, Number.NEGATIVE_INFINITY];
      for (let s = Math.max(0, place - inWall); s < Math.min(strips, place); s += 1) {
        if (from[s]! < lo) lo = from[s]!;
        if (to[s]! > hi) hi = to[s]!;
      }
      low[turn * places + place] = lo;
      high[turn * places + place] = hi;
      // Turned half round, what is last comes first, on the other side.
      const opposite = (turn + TURNS / 2) * places + places - 1 - place;
      low[opposite] = -hi;
      high[opposite] = -lo;
    }
  }
  // From here on: how far aside the shape must stand at a turn and a place, from one bound to the other.
  for (let cell = 0; cell < low.length; cell += 1) {
    const [least, most] = [-width / 2 - low[cell]!, width / 2 - high[cell]!];
    low[cell] = least;
    high[cell] = most;
  }
  const before = new Int32Array(TURNS * places).fill(-2);
  const queue = new Int32Array(TURNS * places);
  let waiting = 0;
  for (let turn = 0; turn < TURNS; turn += 1) {
    const cell = turn * places + places - 1;
    before[cell] = -1;
    queue[waiting] = cell;
    waiting += 1;
  }
  // A turn moves what is in the wall aside with the shape's middle.
  const aside = radius * ((2 * Math.PI) / TURNS);
  for (let i = 0; i < waiting; i += 1) {
    const cell = queue[i]!;
    const turn = Math.floor(cell / places);
    const place = cell - turn * places;
    if (place === 0) return posesOf(cell, before, places, half, low, high);
    const least = low[cell]!;
    const most = high[cell]!;
    for (let k = 0; k < MOVES.length; k += 1) {
      const [dt, dp] = MOVES[k]!;
      const p = place + dp;
      if (p < 0 || p >= places) continue;
      const next = ((turn + dt + TURNS) % TURNS) * places + p;
      if (before[next] !== -2) continue;
      const l = low[next]!;
      const m = high[next]!;
      const room = dt === 0 ? 0 : aside;
      if (l > m || least > m + room || l > most + room) continue;
      before[next] = cell;
      queue[waiting] = next;
      waiting += 1;
    }
  }
  return null;
}

const MOVES = [
  [0, -1],
  [1, -1],
  [-1, -1],
  [1, 0],
  [-1, 0],
  [0, 1],
  [1, 1],
  [-1, 1],
] as const;

const turned = ([x, y]: Flat, cx: number, cy: number, cos: number, sin: number): Flat => [
  (x - cx) * cos - (y - cy) * sin,
  (x - cx) * sin + (y - cy) * cos,
];

const middleOf = (points: readonly Flat[]): Flat => {
  const xs = points.map(([x]) => x);
  const ys = points.map(([, y]) => y);
  return [(Math.min(...xs) + Math.max(...xs)) / 2, (Math.min(...ys) + Math.max(...ys)) / 2];
};

/** Enters an edge into the strips that it runs through. */
function markEdge(px: number, py: number, qx: number, qy: number, half: number, from: Float32Array, to: Float32Array) {
  const [ax, ay, bx, by] = px <= qx ? [px, py, qx, qy] : [qx, qy, px, py];
  const first = Math.floor(ax / STRIP) + half;
  const last = Math.floor(bx / STRIP) + half;
  const slope = bx > ax ? (by - ay) / (bx - ax) : 0;
  for (let s = first; s <= last; s += 1) {
    const x0 = Math.max(ax, (s - half) * STRIP);
    const x1 = Math.min(bx, (s + 1 - half) * STRIP);
    const [y0, y1] = bx > ax ? [ay + slope * (x0 - ax), ay + slope * (x1 - ax)] : [ay, by];
    const [lo, hi] = y0 < y1 ? [y0, y1] : [y1, y0];
    if (lo < from[s]!) from[s] = lo;
    if (hi > to[s]!) to[s] = hi;
  }
}

/** The way that was found, from before the wall to behind it; the middle of the wall is at x = 0. */
function posesOf(
  end: number,
  before: Int32Array,
  places: number,
  half: number,
  low: Float32Array,
  high: Float32Array,
): Pose[] {
  const poses: Pose[] = [];
  const inWall = places - 2 * half - 1;
  let y = 0;
  for (let cell = end; cell >= 0; cell = before[cell]!) {
    const [turn, place] = [Math.floor(cell / places), cell % places];
    const [least, most] = [low[cell]!, high[cell]!];
    // As little aside as there is need for, from pose to pose.
    y = Math.min(most, Math.max(least, y));
    poses.push({ x: (inWall / 2 - place + half) * STRIP, y, turn: (360 * turn) / TURNS });
  }
  return poses.reverse();
}
