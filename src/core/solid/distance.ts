import { areaVectors, type Convex } from './convex';
import { cross, dot, minus, norm, plus, times, unit, type Vec } from './vector';

/** Overlaps of less than this, mm, are two faces that touch. */
const TOUCH = 1e-6;

/**
 * How far apart two solids without hollows are, mm. Where they stand in each other: minus the least way that one has to
 * be moved to come free (separating axes: the faces' normals and the cross products of the edges). Apart, the distance of
 * their nearest points, found from the Minkowski difference (E. Gilbert, D. Johnson, S. Keerthi, 1988).
 */
export function distance(a: Convex, b: Convex): number {
  const deep = overlap(a, b);
  if (deep > TOUCH) return -deep;
  return nearest(a, b);
}

/** The least way by which one of two solids must be moved to part them, mm; zero or less where they are apart already. */
export function overlap(a: Convex, b: Convex): number {
  let least = Number.POSITIVE_INFINITY;
  const [ca, cb] = [a.corners, b.corners];
  for (const axis of axesBetween(a, b)) {
    const [p, q] = [reachOf(ca, axis), reachOf(cb, axis)];
    const deep = Math.min(p.to - q.from, q.to - p.from);
    if (deep < least) least = deep;
    if (least < -TOUCH) return least;
  }
  return least;
}

/** How far some points reach along a direction. */
function reachOf(points: readonly Vec[], direction: Vec): { from: number; to: number } {
  let [from, to] = [Number.POSITIVE_INFINITY, Number.NEGATIVE_INFINITY];
  for (const p of points) {
    const d = dot(direction, p);
    if (d < from) from = d;
    if (d > to) to = d;
  }
  return { from, to };
}

function* axesBetween(a: Convex, b: Convex): Generator<Vec> {
  for (const solid of [a, b]) for (const out of areaVectors(solid)) yield unit(out);
  const [edgesA, edgesB] = [directions(a), directions(b)];
  for (const p of edgesA) {
    for (const q of edgesB) {
      const axis = cross(p, q);
      if (norm(axis) > 1e-6) yield unit(axis);
    }
  }
}

/** Directions of the edges, each once. */
function directions(solid: Convex): Vec[] {
  const own: Vec[] = [];
  const { corners, loops } = solid;
  for (const loop of loops) {
    loop.forEach((from, k) => {
      const to = loop[(k + 1) % loop.length] as number;
      const edge = minus(corners[to] as Vec, corners[from] as Vec);
      if (norm(edge) < TOUCH) return;
      const along = unit(edge);
      if (!own.some((d) => Math.abs(dot(d, along)) > 1 - 1e-9)) own.push(along);
    });
  }
  return own;
}

function nearest(a: Convex, b: Convex): number {
  const [ca, cb] = [a.corners, b.corners];
  const farthest = (points: readonly Vec[], d: Vec) =>
    points.reduce((best, p) => (dot(p, d) > dot(best, d) ? p : best), points[0] as Vec);
  const support = (d: Vec) => minus(farthest(ca, d), farthest(cb, times(d, -1)));
  let simplex: Vec[] = [minus(ca[0] as Vec, cb[0] as Vec)];
  let point = simplex[0] as Vec;
  for (let round = 0; round < 64; round += 1) {
    const from = norm(point);
    if (from < TOUCH) return 0;
    const next = support(times(point, -1));
    // No corner lies nearer to the origin than the plane through the point found.
    if (from - dot(next, point) / from < 1e-7) return from;
    simplex = [...simplex, next];
    const found = closest(simplex);
    if (norm(found.point) > from - 1e-10) return from;
    ({ point, simplex } = found);
  }
  return norm(point);
}

/** The point of a simplex of up to four corners nearest to the origin, and the corners that it lies between. */
function closest(simplex: readonly Vec[]): { point: Vec; simplex: Vec[] } {
  let best: { point: Vec; simplex: Vec[] } | null = null;
  const n = simplex.length;
  for (let mask = 1; mask < 1 << n; mask += 1) {
    const some = simplex.filter((_, i) => mask & (1 << i));
    const weights = footOf(some);
    if (weights?.some((w) => w < -1e-12) !== false) continue;
    const point = some.reduce<Vec>((sum, p, i) => plus(sum, times(p, weights[i] as number)), [0, 0, 0]);
    if (!best || norm(point) < norm(best.point) - 1e-12) best = { point, simplex: some };
  }
  return best ?? { point: simplex[0] as Vec, simplex: [simplex[0] as Vec] };
}

/** Weights, adding up to 1, of the foot of the perpendicular from the origin on the flat through the points. */
function footOf(points: readonly Vec[]): number[] | null {
  const first = points[0] as Vec;
  const edges = points.slice(1).map((p) => minus(p, first));
  const n = edges.length;
  const rows = edges.map((e) => [...edges.map((f) => dot(e, f)), -dot(e, first)]);
  for (let i = 0; i < n; i += 1) {
    let pivot = i;
    for (let r = i + 1; r < n; r += 1) {
      if (Math.abs(rows[r]?.[i] ?? 0) > Math.abs(rows[pivot]?.[i] ?? 0)) pivot = r;
    }
    [rows[i], rows[pivot]] = [rows[pivot] as number[], rows[i] as number[]];
    const row = rows[i] as number[];
    const lead = row[i] as number;
    if (Math.abs(lead) < 1e-12) return null;
    for (let r = 0; r < n; r += 1) {
      if (r === i) continue;
      const other = rows[r] as number[];
      const factor = (other[i] as number) / lead;
      for (let c = i; c <= n; c += 1) other[c] = (other[c] as number) - factor * (row[c] as number);
    }
  }
  const weights = rows.map((row, i) => (row[n] as number) / (row[i] as number));
  return [1 - weights.reduce((sum, w) => sum + w, 0), ...weights];
}
