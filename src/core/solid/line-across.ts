import { type Convex, prism } from './convex';
import type { Flat } from './outline';

/** A line along a table, from its left end to its right, straight between its points: one height across for each place along. mm */
export type LineAcross = readonly Flat[];

export function acrossAt(line: LineAcross, x: number): number {
  const [first, last] = [line[0]!, line.at(-1) as Flat];
  if (x <= first[0]) return first[1];
  for (const [i, to] of line.entries()) {
    const from = line[i - 1];
    if (!from || x > to[0]) continue;
    return from[1] + ((to[1] - from[1]) * (x - from[0])) / (to[0] - from[0]);
  }
  return last[1];
}

/**
 * The line moved square to itself by a distance, upward where that is above zero, its corners where the moved sides meet and
 * its ends at the same places along as before. mm
 */
export function offsetLine(line: LineAcross, by: number): LineAcross {
  const [first, last] = [line[0]![0], (line.at(-1) as Flat)[0]];
  const sides = line.slice(1).map((to, i) => {
    const from = line[i]!;
    const slope = (to[1] - from[1]) / (to[0] - from[0]);
    // Square to itself a side moves up by so much more than it moves square.
    return { at: from, slope, rise: by * Math.hypot(1, slope) };
  });
  type Side = (typeof sides)[number];
  const on = ({ at, slope, rise }: Side, x: number) => at[1] + slope * (x - at[0]) + rise;
  const corners = sides.slice(1).flatMap((side, i): Flat[] => {
    const before = sides[i]!;
    const turn = side.slope - before.slope;
    if (Math.abs(turn) < 1e-9) return [];
    const x = (on(before, 0) - on(side, 0)) / turn;
    return x > first && x < last ? [[x, on(side, x)]] : [];
  });
  return [[first, on(sides[0]!, first)], ...corners, [last, on(sides.at(-1) as Side, last)]];
}

/** The greatest and the least of one line above another, mm. */
export function betweenLines(low: LineAcross, high: LineAcross): { least: number; greatest: number } {
  const apart = placesOf(low, high).map((x) => acrossAt(high, x) - acrossAt(low, x));
  return { least: Math.min(...apart), greatest: Math.max(...apart) };
}

const placesOf = (a: LineAcross, b: LineAcross): number[] => {
  const all = [...a, ...b].map(([x]) => x).sort((p, q) => p - q);
  return all.filter((x, i) => i === 0 || x - all[i - 1]! > 1e-6);
};

/** What lies between two lines, from one height upright to another, cut square across wherever one of them turns. */
export function solidsBetween(low: LineAcross, high: LineAcross, from: number, to: number): Convex[] {
  const places = placesOf(low, high);
  return places.slice(1).map((x1, i) => {
    const x0 = places[i]!;
    return prism(
      [
        [x0, acrossAt(low, x0)],
        [x1, acrossAt(low, x1)],
        [x1, acrossAt(high, x1)],
        [x0, acrossAt(high, x0)],
      ],
      from,
      to,
    );
  });
}
