import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { Flat } from './outline';
import { narrowest, type Pose, throughOpening } from './through-opening';

const THICKNESS = 120;
const rectangle = (x0: number, y0: number, x1: number, y1: number): Flat[] => [
  [x0, y0],
  [x1, y0],
  [x1, y1],
  [x0, y1],
];
/** A table on its edge, seen from above: its top, and legs at both ends. */
const onEdge = (length: number, height: number, top: number, leg: number) => [
  rectangle(0, 0, length, top),
  rectangle(0, top, leg, height),
  rectangle(length - leg, top, length, height),
];

/** Points all along the edges of a shape, at most so far apart. */
function rim(shape: readonly (readonly Flat[])[], apart: number): Flat[] {
  return shape.flatMap((polygon) =>
    polygon.flatMap((p, i) => {
      const q = polygon[(i + 1) % polygon.length]!;
      const n = Math.max(1, Math.ceil(Math.hypot(q[0] - p[0], q[1] - p[1]) / apart));
      return Array.from(
        { length: n },
        (_, k): Flat => [p[0] + ((q[0] - p[0]) * k) / n, p[1] + ((q[1] - p[1]) * k) / n],
      );
    }),
  );
}

/** By brute force: every turn and place, the shape as points on its rim, neighbours joined where what is in the wall has room. */
function bruteForce(shape: readonly (readonly Flat[])[], width: number): boolean {
  const points = rim(shape, 10);
  const far = Math.max(...points.map(([x, y]) => Math.hypot(x, y)));
  const [turns, step] = [72, 20];
  const places = 2 * Math.ceil((far + THICKNESS) / step) + 1;
  const spans: { least: number; most: number }[][] = Array.from({ length: turns }, (_, t) => {
    const a = (2 * Math.PI * t) / turns;
    const turned = points.map(([x, y]): Flat => [x * Math.cos(a) - y * Math.sin(a), x * Math.sin(a) + y * Math.cos(a)]);
    return Array.from({ length: places }, (_, p) => {
      const at = (p - (places - 1) / 2) * step;
      let [low, high] = [Number.POSITIVE_INFINITY, Number.NEGATIVE_INFINITY];
      for (const [x, y] of turned) {
        if (Math.abs(x + at) > THICKNESS / 2) continue;
        low = Math.min(low, y);
        high = Math.max(high, y);
      }
      return { least: -width / 2 - low, most: width / 2 - high };
    });
  });
  const seen = spans.map((row) => row.map(() => false));
  const queue: [number, number][] = spans.map((_, t) => [t, 0]);
  while (queue.length > 0) {
    const [t, p] = queue.pop()!;
    if (seen[t]![p]) continue;
    seen[t]![p] = true;
    if (p === places - 1) return true;
    const here = spans[t]![p]!;
    for (const [dt, dp] of [
      [0, 1],
      [0, -1],
      [1, 0],
      [-1, 0],
      [1, 1],
      [-1, 1],
      [1, -1],
      [-1, -1],
    ] as const) {
      const next: [number, number] = [(t + dt + turns) % turns, p + dp];
      const there = spans[next[0]]?.[next[1]];
      // Between two turns so far apart the shape goes aside by as much.
      const room = dt === 0 ? 0 : (far * 2 * Math.PI) / turns;
      if (there && there.least <= there.most && there.least <= here.most + room && here.least <= there.most + room)
        queue.push(next);
    }
  }
  return false;
}

/** How deep a shape goes into the wall anywhere on a way, looked at much more finely than it was found. */
function deepestInWall(shape: readonly (readonly Flat[])[], width: number, way: readonly Pose[]): number {
  const points = rim(shape, 20);
  const xs = points.map(([x]) => x);
  const ys = points.map(([, y]) => y);
  const [cx, cy] = [(Math.min(...xs) + Math.max(...xs)) / 2, (Math.min(...ys) + Math.max(...ys)) / 2];
  let deepest = 0;
  way.slice(1).forEach((to, i) => {
    const from = way[i]!;
    const by = ((to.turn - from.turn + 540) % 360) - 180;
    for (let k = 0; k <= 4; k += 1) {
      const share = k / 4;
      const a = ((from.turn + by * share) * Math.PI) / 180;
      const [mx, my] = [from.x + (to.x - from.x) * share, from.y + (to.y - from.y) * share];
      for (const [px, py] of points) {
        const x = (px - cx) * Math.cos(a) - (py - cy) * Math.sin(a) + mx;
        const y = (px - cx) * Math.sin(a) + (py - cy) * Math.cos(a) + my;
        // Out of the wall the short way: back out of it, or toward the opening.
        const deep = Math.min(THICKNESS / 2 - Math.abs(x), Math.abs(y) - width / 2);
        if (deep > deepest) deepest = deep;
      }
    }
  });
  return deepest;
}

describe('through an opening', () => {
  it('a rectangle goes straight by its shorter side, however it lies', () => {
    for (const turn of [0, 17, 90, 133]) {
      const a = (turn * Math.PI) / 180;
      const shape = [
        rectangle(0, 0, 1800, 700).map(
          ([x, y]): Flat => [x * Math.cos(a) - y * Math.sin(a), x * Math.sin(a) + y * Math.cos(a)],
        ),
      ];
      expect(narrowest(shape.flat()).width).toBeCloseTo(700, 6);
      expect(throughOpening(shape, { width: 701, thickness: THICKNESS })?.kind).toBe('straight');
      // What has no hollow gains nothing by turning.
      expect(throughOpening(shape, { width: 690, thickness: THICKNESS })).toBeNull();
    }
  });

  it('a table on its edge goes round the jamb with its legs one after the other, and not where they are too near together', () => {
    const table = onEdge(1600, 740, 40, 60);
    const passage = throughOpening(table, { width: 650, thickness: THICKNESS });
    expect(passage?.kind).toBe('turning');
    // Thick legs near together leave no room between them for the jamb.
    expect(throughOpening(onEdge(760, 740, 300, 330), { width: 650, thickness: THICKNESS })).toBeNull();
  });

  it('every way found keeps clear of the wall but for a few mm, gone through at quarters of its steps', () => {
    for (const [length, height, top, leg, width] of [
      [1600, 740, 40, 60, 650],
      [900, 730, 120, 60, 600],
      [2400, 760, 140, 90, 700],
    ] as const) {
      const shape = onEdge(length, height, top, leg);
      const passage = throughOpening(shape, { width, thickness: THICKNESS });
      expect(passage?.kind, `${length}`).toBe('turning');
      if (passage?.kind === 'turning') expect(deepestInWall(shape, width, passage.way)).toBeLessThan(10);
    }
  });

  it('agrees with trying every turn and every place, whatever the table', () => {
    const tables = fc.record({
      length: fc.integer({ min: 500, max: 1500 }),
      height: fc.integer({ min: 400, max: 900 }),
      top: fc.integer({ min: 30, max: 350 }),
      leg: fc.integer({ min: 40, max: 300 }),
      width: fc.integer({ min: 300, max: 800 }),
    });
    let [some, none] = [0, 0];
    fc.assert(
      fc.property(tables, ({ length, height, top, leg, width }) => {
        const shape = onEdge(length, height, Math.min(top, height - 20), Math.min(leg, length / 2));
        const found = throughOpening(shape, { width, thickness: THICKNESS });
        // A grid so coarse sees no closer than some centimetres.
        if (found) {
          some += 1;
          expect(bruteForce(shape, width + 40)).toBe(true);
        } else {
          none += 1;
          expect(bruteForce(shape, width - 60)).toBe(false);
        }
      }),
      { seed: 5, numRuns: 30, endOnFailure: true },
    );
    expect(some).toBeGreaterThan(5);
    expect(none).toBeGreaterThan(5);
  });
});
