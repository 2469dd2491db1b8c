import { cross, dot, minus, norm, plus, times, unit, type Vec } from './vector';

/** A solid without hollows: its corners, mm, and its plane faces as loops of places among them. Solids never change. */
export interface Convex {
  corners: readonly Vec[];
  /** Each runs anticlockwise seen from outside. */
  loops: readonly Loop[];
  /** The box round it, along the axes. */
  bounds: Bounds;
}

export interface Bounds {
  from: Vec;
  to: Vec;
}

type Loop = readonly number[];

function solidOf(corners: readonly Vec[], loops: readonly Loop[]): Convex {
  return { corners, loops, bounds: boundsOfPoints(corners) };
}

function boundsOfPoints(points: readonly Vec[]): Bounds {
  let x0 = Number.POSITIVE_INFINITY;
  let y0 = x0;
  let z0 = x0;
  let x1 = Number.NEGATIVE_INFINITY;
  let y1 = x1;
  let z1 = x1;
  for (let i = 0; i < points.length; i += 1) {
    const p = points[i]!;
    const x = p[0];
    const y = p[1];
    const z = p[2];
    if (x < x0) x0 = x;
    if (x > x1) x1 = x;
    if (y < y0) y0 = y;
    if (y > y1) y1 = y;
    if (z < z0) z0 = z;
    if (z > z1) z1 = z;
  }
  return { from: [x0, y0, z0], to: [x1, y1, z1] };
}

export const NOTHING: Convex = solidOf([], []);

/** All points with normal · p ≤ offset lie on the side that stays. The normal is a unit vector. */
export interface Plane {
  normal: Vec;
  offset: number;
}

/** Nearer than this, mm, points count as one. */
const SAME = 1e-7;

export const planeThrough = (point: Vec, outward: Vec): Plane => {
  const normal = unit(outward);
  return { normal, offset: dot(normal, point) };
};

/** mm of a point beyond a plane; below zero inside it. */
export const beyond = (plane: Plane, point: Vec): number => dot(plane.normal, point) - plane.offset;

export function box(from: Vec, to: Vec): Convex {
  const corners: Vec[] = [
    from,
    [to[0], from[1], from[2]],
    [to[0], to[1], from[2]],
    [from[0], to[1], from[2]],
    [from[0], from[1], to[2]],
    [to[0], from[1], to[2]],
    to,
    [from[0], to[1], to[2]],
  ];
  return solidOf(corners, stackedLoops(4, 2));
}

/** A convex outline in the first two axes, anticlockwise, from one height of the third axis to another. */
export function prism(outline: readonly (readonly [number, number])[], from: number, to: number): Convex {
  const corners: Vec[] = [];
  for (const p of outline) corners.push([p[0], p[1], from]);
  for (const p of outline) corners.push([p[0], p[1], to]);
  return solidOf(corners, stackedLoops(outline.length, 2));
}

/** Sides that a bored hole or a dowel is drawn with. */
const ROUND = 8;
const TURNS = Array.from({ length: ROUND }, (_, i) => (2 * Math.PI * (i + 0.5)) / ROUND);
/** Cosine and sine of each corner about the middle, of which the flats touch a circle of radius 1. */
const CORNERS = TURNS.map(
  (a) => [Math.cos(a), Math.sin(a)].map((v) => v / Math.cos(Math.PI / ROUND)) as [number, number],
);

/**
 * Something round about the line from one point to another, as a many-sided prism, its diameter over the flats. Its ends
 * are square, or lie in planes that it runs through. mm
 */
export function rod(from: Vec, to: Vec, diameter: number, ends: { from?: Plane; to?: Plane } = {}): Convex {
  const axis = unit(minus(to, from));
  const aside = unit(cross(axis, Math.abs(axis[2]) < 0.9 ? [0, 0, 1] : [1, 0, 0]));
  const other = cross(axis, aside);
  const radius = diameter / 2;
  const ring = (at: Vec, plane: Plane | undefined) =>
    CORNERS.map(([cos, sin]): Vec => {
      const c = radius * cos;
      const s = radius * sin;
      const p: Vec = [
        at[0] + aside[0] * c + other[0] * s,
        at[1] + aside[1] * c + other[1] * s,
        at[2] + aside[2] * c + other[2] * s,
      ];
      return plane ? plus(p, times(axis, -beyond(plane, p) / dot(plane.normal, axis))) : p;
    });
  return stacked([ring(from, ends.from), ring(to, ends.to)]);
}

/** A solid of rings over one another, each of as many corners, corner i over corner i; the lowest and the highest close it. */
export function stacked(rings: readonly (readonly Vec[])[]): Convex {
  const corners: Vec[] = [];
  for (const own of rings) corners.push(...own);
  return solidOf(corners, stackedLoops(rings[0]?.length ?? 0, rings.length));
}

/** A row of more than so many rings is not kept. */
const MOST_RINGS = 1024;
const known = new Map<number, readonly Loop[]>();

/** The faces of some rings over one another are always the same places, found once: below, above, then ring by ring. */
function stackedLoops(n: number, rings: number): readonly Loop[] {
  const key = n * MOST_RINGS + rings;
  const before = rings < MOST_RINGS ? known.get(key) : undefined;
  if (before) return before;
  const last = (rings - 1) * n;
  const round = Array.from({ length: n }, (_, i) => i);
  const loops: Loop[] = [[...round].reverse(), round.map((i) => last + i)];
  for (let first = 0; first < last; first += n) {
    for (const i of round) {
      const next = (i + 1) % n;
      loops.push([first + i, first + next, first + n + next, first + n + i]);
    }
  }
  if (rings < MOST_RINGS) known.set(key, loops);
  return loops;
}

/** A solid each of whose corners is put elsewhere by a map that keeps planes plane. */
export const mapped = ({ corners, loops }: Convex, to: (corner: Vec) => Vec, mirrored = false): Convex =>
  solidOf(corners.map(to), mirrored ? turnedLoops(loops) : loops);

const turned = new WeakMap<readonly Loop[], readonly Loop[]>();

/** The loops of a solid seen in a mirror. */
function turnedLoops(loops: readonly Loop[]): readonly Loop[] {
  const before = turned.get(loops);
  if (before) return before;
  const list = loops.map((loop) => [...loop].reverse());
  turned.set(loops, list);
  return list;
}

/** A solid moved by so much along each axis. */
export const shifted = (solid: Convex, by: Vec): Convex => mapped(solid, (p) => plus(p, by));

/** Corners of each face, anticlockwise seen from outside. */
export const facesOf = ({ corners, loops }: Convex): Vec[][] => loops.map((loop) => loop.map((i) => corners[i]!));

export const isEmpty = (solid: Convex): boolean => solid.loops.length < 4;

/** What of a solid lies on the staying side of a plane. */
export function clip(solid: Convex, plane: Plane): Convex {
  const far = solid.corners.map((p) => beyond(plane, p));
  if (far.every((d) => d <= SAME)) return solid;
  const n = far.length;
  const corners: Vec[] = [];
  const rim: number[] = [];
  /** The place of a corner in the plane among the new ones. */
  const onRim = (p: Vec) => {
    for (const i of rim) if (same(corners[i]!, p)) return i;
    rim.push(corners.length);
    return corners.push(p) - 1;
  };
  // Where corners that stay stand among the new ones, and those in which edges cross the plane.
  const place = solid.corners.map((p, i) => {
    const d = far[i]!;
    return Math.abs(d) <= SAME ? onRim(p) : d < 0 ? corners.push(p) - 1 : -1;
  });
  const crossed = new Map<number, number>();
  const crossing = (i: number, j: number) => {
    const key = i < j ? i * n + j : j * n + i;
    const before = crossed.get(key);
    if (before !== undefined) return before;
    const [p, q, dp, dq] = [solid.corners[i]!, solid.corners[j]!, far[i]!, far[j]!];
    const at = onRim(plus(p, times(minus(q, p), dp / (dp - dq))));
    crossed.set(key, at);
    return at;
  };
  const loops: Loop[] = [];
  for (const loop of solid.loops) {
    const kept: number[] = [];
    const put = (i: number) => {
      if (i !== kept.at(-1) && i !== kept[0]) kept.push(i);
    };
    loop.forEach((i, k) => {
      const j = loop[(k + 1) % loop.length]!;
      const [di, dj] = [far[i]!, far[j]!];
      if (di <= SAME) put(place[i]!);
      if ((di > SAME && dj < -SAME) || (di < -SAME && dj > SAME)) put(crossing(i, j));
    });
    if (kept.length >= 3) loops.push(kept);
  }
  if (rim.length >= 3) loops.push(ring(rim, corners, plane.normal));
  return withoutIdle(
    corners,
    loops.filter((loop) => norm(faceVector(corners, loop)) > 2e-9),
  );
}

/** A solid with those corners only that a face has. */
function withoutIdle(corners: readonly Vec[], loops: readonly Loop[]): Convex {
  const at: number[] = corners.map(() => -1);
  for (const loop of loops) for (const i of loop) at[i] = i;
  if (at.every((i) => i >= 0)) return solidOf(corners, loops);
  const kept = corners.filter((_, i) => at[i]! >= 0);
  let next = 0;
  at.forEach((i, k) => {
    if (i >= 0) at[k] = next++;
  });
  return solidOf(
    kept,
    loops.map((loop) => loop.map((i) => at[i]!)),
  );
}

export const clipAll = (solid: Convex, planes: readonly Plane[]): Convex => planes.reduce(clip, solid);

/** Corners of one plane in a ring about their middle, anticlockwise seen against the normal. */
function ring(places: readonly number[], corners: readonly Vec[], normal: Vec): number[] {
  const points = places.map((i) => corners[i]!);
  const middle = times(points.reduce(plus), 1 / points.length);
  const u = unit(minus(points[0]!, middle));
  const v = cross(normal, u);
  const angles = points.map((p) => Math.atan2(dot(minus(p, middle), v), dot(minus(p, middle), u)));
  return points
    .map((_, k) => k)
    .sort((a, b) => angles[a]! - angles[b]!)
    .map((k) => places[k]!);
}

/** Twice the area of a face as a vector along its outward normal. */
function faceVector(corners: readonly Vec[], loop: Loop): Vec {
  const o = corners[loop[0]!]!;
  let x = 0;
  let y = 0;
  let z = 0;
  let ax = 0;
  let ay = 0;
  let az = 0;
  for (let i = 1; i < loop.length; i += 1) {
    const p = corners[loop[i]!]!;
    const bx = p[0] - o[0];
    const by = p[1] - o[1];
    const bz = p[2] - o[2];
    x += ay * bz - az * by;
    y += az * bx - ax * bz;
    z += ax * by - ay * bx;
    ax = bx;
    ay = by;
    az = bz;
  }
  return [x, y, z];
}

const same = (p: Vec, q: Vec) =>
  Math.abs(p[0] - q[0]) < 10 * SAME && Math.abs(p[1] - q[1]) < 10 * SAME && Math.abs(p[2] - q[2]) < 10 * SAME;

/** Twice the area of each face as a vector along its outward normal. */
export const areaVectors = ({ corners, loops }: Convex): Vec[] => loops.map((loop) => faceVector(corners, loop));

/** Planes that bound a solid, one a face, normals outward. */
export const planesOf = ({ corners, loops }: Convex): Plane[] =>
  loops.map((loop) => planeThrough(corners[loop[0]!]!, faceVector(corners, loop)));

/** mm³, by the divergence theorem. */
export function volume(solid: Convex): number {
  let sum = 0;
  const { corners, loops } = solid;
  for (const loop of loops) sum += dot(corners[loop[0]!]!, faceVector(corners, loop));
  return sum / 6;
}

export const volumeOf = (solids: readonly Convex[]): number => solids.reduce((sum, solid) => sum + volume(solid), 0);

/** Middle of mass of several solids of one density. */
export function middleOf(solids: readonly Convex[]): Vec {
  let total = 0;
  let x = 0;
  let y = 0;
  let z = 0;
  for (const { corners, loops } of solids) {
    for (const loop of loops) {
      const first = corners[loop[0]!]!;
      for (let i = 1; i + 1 < loop.length; i += 1) {
        const b = corners[loop[i]!]!;
        const c = corners[loop[i + 1]!]!;
        // A tetrahedron from the origin; signs take away what lies outside.
        const v = dot(first, cross(b, c)) / 6;
        total += v;
        x += (v / 4) * (first[0] + b[0] + c[0]);
        y += (v / 4) * (first[1] + b[1] + c[1]);
        z += (v / 4) * (first[2] + b[2] + c[2]);
      }
    }
  }
  return total === 0 ? [0, 0, 0] : [x / total, y / total, z / total];
}

/** The box round some solids, along the axes. */
export function boundsOf(solids: readonly Convex[]): Bounds {
  const [first, ...others] = solids;
  if (!first) return NOTHING.bounds;
  let { bounds } = first;
  for (const other of others) bounds = together(bounds, other.bounds);
  return bounds;
}

const together = (a: Bounds, b: Bounds): Bounds => ({
  from: [Math.min(a.from[0], b.from[0]), Math.min(a.from[1], b.from[1]), Math.min(a.from[2], b.from[2])],
  to: [Math.max(a.to[0], b.to[0]), Math.max(a.to[1], b.to[1]), Math.max(a.to[2], b.to[2])],
});

export const shiftedBounds = ({ from, to }: Bounds, by: Vec): Bounds => ({ from: plus(from, by), to: plus(to, by) });

/** Between two boxes, along the axis in which they lie farthest apart; below zero they overlap. mm */
export const gapBetween = (a: Bounds, b: Bounds) =>
  Math.max(
    a.from[0] - b.to[0],
    b.from[0] - a.to[0],
    a.from[1] - b.to[1],
    b.from[1] - a.to[1],
    a.from[2] - b.to[2],
    b.from[2] - a.to[2],
  );

/** How far a solid reaches along a direction: least and greatest of normal · p. */
export function reach({ corners }: Convex, direction: Vec): { from: number; to: number } {
  let from = Number.POSITIVE_INFINITY;
  let to = Number.NEGATIVE_INFINITY;
  for (let i = 0; i < corners.length; i += 1) {
    const d = dot(direction, corners[i]!);
    if (d < from) from = d;
    if (d > to) to = d;
  }
  return { from, to };
}
