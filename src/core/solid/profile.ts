import { type Convex, prism } from './convex';
import { type Flat, type Outline, type OutlineCorner, polygonOf } from './outline';
import type { Vec } from './vector';

/** How far the straight lines that a curved part is drawn with may lie beside its true arcs, mm. */
const COARSE = 0.2;

/** What a hollow side takes out of a part: a slice between an arc and its chord. */
export interface Hollow {
  solid: Convex;
  /** Outward of its chord, in the plane of the profile. */
  outward: Vec;
}

/**
 * A part of one thickness whose face has an outline of its own, in the part's axes of length and width: a solid without
 * hollows, and what its hollow sides (a sagitta below zero) take out of it. With every hollow side drawn straight the
 * outline must turn one way only, and hollows must not reach into one another. mm
 */
export function profiled(outline: Outline, thickness: number): Profiled {
  const before = made.get(outline);
  if (before?.thickness === thickness) return before;
  const own = { thickness, ...withThickness(outline, thickness) };
  made.set(outline, own);
  return own;
}

interface Profiled {
  body: Convex;
  hollows: readonly Hollow[];
}

/** Outlines never change: what was made of one last is kept with it. */
const made = new WeakMap<Outline, Profiled & { thickness: number }>();

function withThickness(outline: Outline, thickness: number): Profiled {
  const half = thickness / 2;
  const filled: Outline = outline.map((corner) => ((corner.sagitta ?? 0) < 0 ? { at: corner.at } : corner));
  const hollows = outline.flatMap((corner, i): Hollow[] => {
    const to = outline[(i + 1) % outline.length]?.at ?? corner.at;
    return (corner.sagitta ?? 0) < 0 ? [hollowOf(corner, to, half)] : [];
  });
  return { body: prism(polygonOf(filled, COARSE), -half, half), hollows };
}

function hollowOf(corner: OutlineCorner, to: Flat, half: number): Hollow {
  const { at } = corner;
  // The arc alone: along it and straight back.
  const [first, ...arc] = polygonOf([corner, { at: to }], COARSE);
  const loop = [first ?? at, to, ...arc.filter((p) => p !== to && !same(p, to)).reverse()];
  const long = Math.hypot(to[0] - at[0], to[1] - at[1]);
  return {
    solid: prism(loop, -half, half),
    outward: [(to[1] - at[1]) / long, (at[0] - to[0]) / long, 0],
  };
}

const same = (a: Flat, b: Flat) => Math.hypot(a[0] - b[0], a[1] - b[1]) < 1e-9;

/** A bar with its lower edge hollowed between two places so far from its ends; length and height are over all. mm */
export function hollowedOutline(length: number, height: number, rise: number, fromEnds: number): Outline {
  const [l, h] = [length / 2, height / 2];
  const a = l - fromEnds;
  return [
    { at: [-l, -h] },
    { at: [-a, -h], sagitta: -rise },
    { at: [a, -h] },
    { at: [l, -h] },
    { at: [l, h] },
    { at: [-l, h] },
  ];
}

/** A bar of one height that rises in its middle; over all it is as high as both together. mm */
export function archedOutline(length: number, height: number, rise: number): Outline {
  const [l, low] = [length / 2, -(height + rise) / 2];
  return [
    { at: [-l, low], sagitta: -rise },
    { at: [l, low] },
    { at: [l, low + height], sagitta: rise },
    { at: [-l, low + height] },
  ];
}

/**
 * Where a bar is narrowest, and how wide the band is of fibres that run through it from end to end. mm, across the grain
 */
export function fibresThrough(outline: Outline): { narrowest: number; band: number } {
  const points = polygonOf(outline);
  // Across the bar at every corner; at the ends themselves the whole end is met.
  const places = [...new Set(points.map(([l]) => l))].sort((a, b) => a - b);
  const last = places.length - 1;
  places[0] = (places[0] ?? 0) + 1e-6;
  places[last] = (places[last] ?? 0) - 1e-6;
  const from = places.map(() => Number.POSITIVE_INFINITY);
  const to = places.map(() => Number.NEGATIVE_INFINITY);
  const meet = (i: number, w: number) => {
    from[i] = Math.min(from[i]!, w);
    to[i] = Math.max(to[i]!, w);
  };
  points.forEach((a, k) => {
    const b = points[(k + 1) % points.length]!;
    const [left, right] = a[0] <= b[0] ? [a, b] : [b, a];
    for (let i = firstFrom(places, left[0]); i <= last && places[i]! <= right[0]; i += 1) {
      const long = right[0] - left[0];
      if (long > 1e-12) meet(i, left[1] + ((right[1] - left[1]) * (places[i]! - left[0])) / long);
      else for (const p of [left, right]) meet(i, p[1]);
    }
  });
  let [low, high, narrowest] = [Number.NEGATIVE_INFINITY, Number.POSITIVE_INFINITY, Number.POSITIVE_INFINITY];
  for (let i = 0; i <= last; i += 1) {
    low = Math.max(low, from[i]!);
    high = Math.min(high, to[i]!);
    narrowest = Math.min(narrowest, to[i]! - from[i]!);
  }
  return { narrowest, band: Math.max(0, high - low) };
}

/** The first of some rising numbers that is no less than one. */
function firstFrom(rising: readonly number[], least: number): number {
  let [low, high] = [0, rising.length];
  while (low < high) {
    const middle = (low + high) >> 1;
    if (rising[middle]! < least) low = middle + 1;
    else high = middle;
  }
  return low;
}
