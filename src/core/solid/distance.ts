import { areaVectors, type Convex, reach } from './convex';
import { cross, dot, minus, norm, plus, times, unit, type Vec } from './vector';

/** Overlaps of less than this, mm, are two faces that touch. */
const TOUCH = 1e-6;

/**
 * How far apart two solids without hollows are, mm. Where they stand in each other: minus the least way that one has to
 * be moved to come free (separating axes: the faces' normals and the cross products of the edges). Apart, the distance of
 * their nearest points, found from the Minkowski difference (E. Gilbert, D. Johnson, S. Keerthi, 1988). Infinite where one
 * of them is empty.
 */
export function distance(a: Convex, b: Convex): number {
  if (a.corners.length === 0 || b.corners.length === 0) return Number.POSITIVE_INFINITY;
  const apart = nearest(a, b);
  return apart > TOUCH ? apart : Math.min(apart, -overlap(a, b));
}

/** The least way by which one of two solids must be moved to part them, mm; zero or less where they are apart already. */
export function overlap(a: Convex, b: Convex): number {
  let least = Number.POSITIVE_INFINITY;
  for (const axis of axesBetween(a, b)) {
    const [p, q] = [reach(a, axis), reach(b, axis)];
    const deep = Math.min(p.to - q.from, q.to - p.from);
    if (deep < least) least = deep;
    if (least < -TOUCH) return least;
  }
  return least;
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
      const to = loop[(k + 1) % loop.length]!;
      const edge = minus(corners[to]!, corners[from]!);
      if (norm(edge) < TOUCH) return;
      const along = unit(edge);
      if (!own.some((d) => Math.abs(dot(d, along)) > 1 - 1e-9)) own.push(along);
    });
  }
  return own;
}

function nearest(a: Convex, b: Convex): number {
  let simplex: readonly Vec[] = [minus(a.corners[0]!, b.corners[0]!)];
  let point = simplex[0]!;
  for (let round = 0; round < 64; round += 1) {
    const from = norm(point);
    if (from < TOUCH) return 0;
    const next = minus(farthest(a.corners, point, -1), farthest(b.corners, point, 1));
    // No corner lies nearer to the origin than the plane through the point found.
    if (from - dot(next, point) / from < 1e-7) return from;
    const found = closest([...simplex, next]);
    if (norm(found.point) > from - 1e-10) return from;
    ({ point, simplex } = found);
  }
  return norm(point);
}

/** The corner that lies farthest along a direction, or against it. */
function farthest(corners: readonly Vec[], along: Vec, sign: 1 | -1): Vec {
  let [best, most] = [corners[0]!, Number.NEGATIVE_INFINITY];
  for (const p of corners) {
    const d = sign * dot(p, along);
    if (d > most) [best, most] = [p, d];
  }
  return best;
}

interface Nearest {
  point: Vec;
  /** The corners that it lies between. */
  simplex: readonly Vec[];
}

/** The point of a simplex of up to four corners nearest to the origin. */
function closest(simplex: readonly Vec[]): Nearest {
  const [a, b, c, d] = simplex as [Vec, Vec, Vec, Vec];
  if (simplex.length === 1) return { point: a, simplex };
  if (simplex.length === 2) return onEdge(a, b);
  if (simplex.length === 3) return onTriangle(a, b, c);
  // Of the faces that the origin lies outside of the nearest point; within all of them it is the origin itself.
  let best: Nearest | null = null;
  for (const [p, q, r, other] of [
    [a, b, c, d],
    [a, b, d, c],
    [a, c, d, b],
    [b, c, d, a],
  ] as const) {
    const normal = cross(minus(q, p), minus(r, p));
    const [origin, inner] = [-dot(normal, p), dot(normal, minus(other, p))];
    if (origin * inner > 0) continue;
    const found = onTriangle(p, q, r);
    if (!best || norm(found.point) < norm(best.point)) best = found;
  }
  return best ?? { point: [0, 0, 0], simplex };
}

function onEdge(a: Vec, b: Vec): Nearest {
  const edge = minus(b, a);
  const long = dot(edge, edge);
  const share = long === 0 ? 0 : -dot(a, edge) / long;
  if (share <= 0) return { point: a, simplex: [a] };
  if (share >= 1) return { point: b, simplex: [b] };
  return { point: plus(a, times(edge, share)), simplex: [a, b] };
}

function onTriangle(a: Vec, b: Vec, c: Vec): Nearest {
  const [ab, ac] = [minus(b, a), minus(c, a)];
  const normal = cross(ab, ac);
  const square = dot(normal, normal);
  // Weights of the foot of the perpendicular; the corner or edge that it lies beyond is looked for only then.
  if (square > 1e-24) {
    const wb = dot(cross(times(a, -1), ac), normal) / square;
    const wc = dot(cross(ab, times(a, -1)), normal) / square;
    if (wb > 0 && wc > 0 && wb + wc < 1) {
      return { point: plus(a, plus(times(ab, wb), times(ac, wc))), simplex: [a, b, c] };
    }
  }
  return [onEdge(a, c), onEdge(b, c)].reduce(
    (best, own) => (norm(own.point) < norm(best.point) ? own : best),
    onEdge(a, b),
  );
}
