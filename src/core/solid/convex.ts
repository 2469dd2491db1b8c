import { cross, dot, minus, norm, plus, times, unit, type Vec } from './vector';

/** A solid without hollows: its plane faces, each a loop of corners that runs anticlockwise seen from outside. mm */
export interface Convex {
  faces: readonly (readonly Vec[])[];
}

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
  const [x0, y0, z0] = from;
  const [x1, y1, z1] = to;
  return prism(
    [
      [x0, y0],
      [x1, y0],
      [x1, y1],
      [x0, y1],
    ],
    z0,
    z1,
  );
}

/** A convex outline in the first two axes, anticlockwise, from one height of the third axis to another. */
export function prism(outline: readonly (readonly [number, number])[], from: number, to: number): Convex {
  const lower = outline.map(([x, y]): Vec => [x, y, from]);
  const upper = outline.map(([x, y]): Vec => [x, y, to]);
  const n = outline.length;
  const sides = outline.map((_, i): Vec[] => {
    const j = (i + 1) % n;
    return [lower[i], lower[j], upper[j], upper[i]] as Vec[];
  });
  return { faces: [[...lower].reverse(), upper, ...sides] };
}

/** Sides that a bored hole or a dowel is drawn with. */
const ROUND = 8;

/**
 * Something round about the line from one point to another, as a many-sided prism, its diameter over the flats. Its ends
 * are square, or lie in planes that it runs through. mm
 */
export function rod(from: Vec, to: Vec, diameter: number, ends: { from?: Plane; to?: Plane } = {}): Convex {
  const axis = unit(minus(to, from));
  const aside = unit(cross(axis, Math.abs(axis[2]) < 0.9 ? [0, 0, 1] : [1, 0, 0]));
  const other = cross(axis, aside);
  const radius = diameter / 2 / Math.cos(Math.PI / ROUND);
  const ring = (at: Vec, plane: Plane | undefined) => {
    const points: Vec[] = [];
    for (let i = 0; i < ROUND; i += 1) {
      const angle = (2 * Math.PI * (i + 0.5)) / ROUND;
      const [c, s] = [radius * Math.cos(angle), radius * Math.sin(angle)];
      const p: Vec = [
        at[0] + aside[0] * c + other[0] * s,
        at[1] + aside[1] * c + other[1] * s,
        at[2] + aside[2] * c + other[2] * s,
      ];
      points.push(plane ? plus(p, times(axis, -beyond(plane, p) / dot(plane.normal, axis))) : p);
    }
    return points;
  };
  return stacked([ring(from, ends.from), ring(to, ends.to)]);
}

/** A solid of loops over one another, each of as many corners, corner i over corner i; the lowest and the highest close it. */
export function stacked(loops: readonly (readonly Vec[])[]): Convex {
  const [lowest, highest] = [loops[0] ?? [], loops.at(-1) ?? []];
  const sides = loops.slice(1).flatMap((upper, k) => {
    const lower = loops[k] ?? [];
    return lower.map((p, i): Vec[] => {
      const next = (i + 1) % lower.length;
      return [p, lower[next], upper[next], upper[i]] as Vec[];
    });
  });
  return withCorners({ faces: [[...lowest].reverse(), [...highest], ...sides] }, loops.flat());
}

/** A solid moved by so much along each axis. */
export const shifted = ({ faces }: Convex, by: Vec): Convex => ({
  faces: faces.map((face) => face.map((p) => plus(p, by))),
});

export const isEmpty = (solid: Convex): boolean => solid.faces.length < 4;

/** What of a solid lies on the staying side of a plane. */
export function clip(solid: Convex, plane: Plane): Convex {
  const kept: Vec[][] = [];
  const rim: Vec[] = [];
  let cut = false;
  for (const face of solid.faces) {
    const far = face.map((p) => beyond(plane, p));
    if (far.every((d) => d <= SAME)) {
      kept.push([...face]);
      face.forEach((p, i) => {
        if (Math.abs(far[i] as number) <= SAME) rim.push(p);
      });
      continue;
    }
    cut = true;
    const loop: Vec[] = [];
    for (let i = 0; i < face.length; i += 1) {
      const j = (i + 1) % face.length;
      const [p, q, dp, dq] = [face[i] as Vec, face[j] as Vec, far[i] as number, far[j] as number];
      if (dp <= SAME) loop.push(p);
      if (Math.abs(dp) <= SAME) rim.push(p);
      if ((dp > SAME && dq < -SAME) || (dp < -SAME && dq > SAME)) {
        const at = plus(p, times(minus(q, p), dp / (dp - dq)));
        loop.push(at);
        rim.push(at);
      }
    }
    if (loop.length >= 3) kept.push(loop);
  }
  if (!cut) return solid;
  const lid = ring(rim, plane.normal);
  if (lid.length >= 3) kept.push(lid);
  return { faces: kept.filter((face) => areaOf(face) > 1e-9) };
}

export const clipAll = (solid: Convex, planes: readonly Plane[]): Convex => planes.reduce(clip, solid);

/** Points of one plane in a ring about their middle, anticlockwise seen against the normal. */
function ring(points: readonly Vec[], normal: Vec): Vec[] {
  const own: Vec[] = [];
  for (const p of points) if (!own.some((q) => norm(minus(p, q)) < 10 * SAME)) own.push(p);
  if (own.length < 3) return own;
  const middle = times(own.reduce(plus), 1 / own.length);
  const u = unit(minus(own[0] as Vec, middle));
  const v = cross(normal, u);
  const angle = (p: Vec) => Math.atan2(dot(minus(p, middle), v), dot(minus(p, middle), u));
  return own.sort((a, b) => angle(a) - angle(b));
}

/** Twice the area of a face as a vector along its outward normal. */
export function areaVector(face: readonly Vec[]): Vec {
  const [ox, oy, oz] = face[0] as Vec;
  let [x, y, z] = [0, 0, 0];
  let [ax, ay, az] = [0, 0, 0];
  for (let i = 1; i < face.length; i += 1) {
    const [px, py, pz] = face[i] as Vec;
    const [bx, by, bz] = [px - ox, py - oy, pz - oz];
    x += ay * bz - az * by;
    y += az * bx - ax * bz;
    z += ax * by - ay * bx;
    [ax, ay, az] = [bx, by, bz];
  }
  return [x, y, z];
}

const areaOf = (face: readonly Vec[]) => norm(areaVector(face)) / 2;

/** Solids never change: corners that were found once are kept with their solid. */
const found = new WeakMap<Convex, readonly Vec[]>();

/** A solid whose corners are known as it is made. */
function withCorners(solid: Convex, points: readonly Vec[]): Convex {
  found.set(solid, points);
  return solid;
}

/** Corners of a solid, each once. */
export function corners(solid: Convex): readonly Vec[] {
  const known = found.get(solid);
  if (known) return known;
  const list = cornersOf(solid);
  found.set(solid, list);
  return list;
}

function cornersOf(solid: Convex): Vec[] {
  const own = new Map<number, Vec[]>();
  const list: Vec[] = [];
  for (const face of solid.faces) {
    for (const p of face) {
      // Looked for only among those in the same slice; a corner on the rim of a slice is looked for in both.
      const slice = Math.floor(p[0] / SLICE);
      const beside = Math.floor((p[0] + (p[0] / SLICE - slice < 0.5 ? -10 * SAME : 10 * SAME)) / SLICE);
      if (own.get(slice)?.some((q) => same(p, q)) || (beside !== slice && own.get(beside)?.some((q) => same(p, q))))
        continue;
      const bucket = own.get(slice);
      if (bucket) bucket.push(p);
      else own.set(slice, [p]);
      list.push(p);
    }
  }
  return list;
}

/** mm */
const SLICE = 20;

const same = (p: Vec, q: Vec) =>
  Math.abs(p[0] - q[0]) < 10 * SAME && Math.abs(p[1] - q[1]) < 10 * SAME && Math.abs(p[2] - q[2]) < 10 * SAME;

/** Planes that bound a solid, one a face, normals outward. */
export const planesOf = (solid: Convex): Plane[] =>
  solid.faces.map((face) => planeThrough(face[0] as Vec, areaVector(face)));

/** mm³, by the divergence theorem. */
export function volume(solid: Convex): number {
  let sum = 0;
  for (const face of solid.faces) sum += dot(face[0] as Vec, areaVector(face));
  return sum / 6;
}

export const volumeOf = (solids: readonly Convex[]): number => solids.reduce((sum, solid) => sum + volume(solid), 0);

/** Middle of mass of several solids of one density. */
export function middleOf(solids: readonly Convex[]): Vec {
  let [total, sum]: [number, Vec] = [0, [0, 0, 0]];
  for (const solid of solids) {
    for (const face of solid.faces) {
      const first = face[0] as Vec;
      for (let i = 1; i + 1 < face.length; i += 1) {
        const [b, c] = [face[i] as Vec, face[i + 1] as Vec];
        // A tetrahedron from the origin; signs take away what lies outside.
        const v = dot(first, cross(b, c)) / 6;
        total += v;
        sum = plus(sum, times(plus(first, plus(b, c)), v / 4));
      }
    }
  }
  return total === 0 ? [0, 0, 0] : times(sum, 1 / total);
}

export interface Bounds {
  from: Vec;
  to: Vec;
}

const EMPTY: Bounds = {
  from: [Number.POSITIVE_INFINITY, Number.POSITIVE_INFINITY, Number.POSITIVE_INFINITY],
  to: [Number.NEGATIVE_INFINITY, Number.NEGATIVE_INFINITY, Number.NEGATIVE_INFINITY],
};

/** The box round some solids, along the axes. */
export function boundsOf(solids: readonly Convex[]): Bounds {
  const [first] = solids;
  if (!first) return EMPTY;
  return solids.length === 1 ? boundsOfOne(first) : solids.map(boundsOfOne).reduce(together);
}

/** As with corners: a solid's box is found once. */
const boxes = new WeakMap<Convex, Bounds>();

function boundsOfOne(solid: Convex): Bounds {
  const known = boxes.get(solid);
  if (known) return known;
  let [x0, y0, z0] = EMPTY.from;
  let [x1, y1, z1] = EMPTY.to;
  for (const [x, y, z] of corners(solid)) {
    if (x < x0) x0 = x;
    if (x > x1) x1 = x;
    if (y < y0) y0 = y;
    if (y > y1) y1 = y;
    if (z < z0) z0 = z;
    if (z > z1) z1 = z;
  }
  const bounds: Bounds = { from: [x0, y0, z0], to: [x1, y1, z1] };
  boxes.set(solid, bounds);
  return bounds;
}

const together = (a: Bounds, b: Bounds): Bounds => ({
  from: [Math.min(a.from[0], b.from[0]), Math.min(a.from[1], b.from[1]), Math.min(a.from[2], b.from[2])],
  to: [Math.max(a.to[0], b.to[0]), Math.max(a.to[1], b.to[1]), Math.max(a.to[2], b.to[2])],
});

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
export function reach(solid: Convex, direction: Vec): { from: number; to: number } {
  let [from, to] = [Number.POSITIVE_INFINITY, Number.NEGATIVE_INFINITY];
  for (const face of solid.faces) {
    for (const p of face) {
      const d = dot(direction, p);
      if (d < from) from = d;
      if (d > to) to = d;
    }
  }
  return { from, to };
}
