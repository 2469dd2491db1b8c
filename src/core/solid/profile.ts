import { type Convex, prism } from './convex';
import { chordAt, type Flat, type Outline, type OutlineCorner, polygonOf } from './outline';
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
export function profiled(outline: Outline, thickness: number): { body: Convex; hollows: Hollow[] } {
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
  const turned = points.map(([l, w]): Flat => [w, l]);
  const places = [...new Set(points.map(([l]) => l))].sort((a, b) => a - b);
  let [low, high, narrowest] = [Number.NEGATIVE_INFINITY, Number.POSITIVE_INFINITY, Number.POSITIVE_INFINITY];
  for (const [i, place] of places.entries()) {
    // At the ends themselves the whole end is met.
    const inside = i === 0 ? place + 1e-6 : i === places.length - 1 ? place - 1e-6 : place;
    const chord = chordAt(turned, inside);
    if (!chord) continue;
    low = Math.max(low, chord.from);
    high = Math.min(high, chord.to);
    narrowest = Math.min(narrowest, chord.to - chord.from);
  }
  return { narrowest, band: Math.max(0, high - low) };
}
