import fc from 'fast-check';
import ManifoldModule from 'manifold-3d';
import { beforeAll, describe, expect, it } from 'vitest';
import {
  box,
  type Convex,
  clip,
  clipAll,
  mapped,
  middleOf,
  planesOf,
  planeThrough,
  prism,
  reach,
  rod,
  shifted,
  shiftedBounds,
  stacked,
  volume,
} from './convex';
import { distance } from './distance';
import { inPart, inPiece, leaningFrame, solidInPart, solidInPiece } from './frame';
import {
  boundsOfFlat,
  chordAt,
  curvedOutline,
  type Flat,
  hullOf,
  insideBy,
  ovalOutline,
  polygonOf,
  radiusOf,
  regularOutline,
  roundOf,
} from './outline';
import { cross, dot, minus, norm, unit, type Vec } from './vector';

// Independent of all here: manifold-3d, a library for solids (Apache-2.0).
type Manifold = InstanceType<Awaited<ReturnType<typeof ManifoldModule>>['Manifold']>;
let hull: (points: readonly Vec[]) => Manifold;
beforeAll(async () => {
  const wasm = await ManifoldModule();
  wasm.setup();
  hull = (points) => wasm.Manifold.hull(points.map((p) => [...p]));
});

const num = (least: number, most: number) => fc.double({ min: least, max: most, noNaN: true });
const vec = (size: number) => fc.tuple(num(-size, size), num(-size, size), num(-size, size));
/** Blocks that lean anywhere, cut by up to three planes near their middle. */
const solids = fc
  .record({
    at: vec(150),
    along: vec(1).filter((v) => norm(v) > 0.2),
    toward: vec(1).filter((v) => norm(v) > 0.2),
    size: fc.tuple(num(20, 200), num(20, 120), num(10, 80)),
    cuts: fc.array(fc.record({ through: vec(20), out: vec(1).filter((v) => norm(v) > 0.2) }), { maxLength: 3 }),
  })
  .filter(({ along, toward }) => norm(cross(unit(along), unit(toward))) > 0.1)
  .map(({ at, along, toward, size: [l, w, t], cuts }): Convex => {
    const frame = leaningFrame(at, along, toward);
    const block = box([-l / 2, -w / 2, -t / 2], [l / 2, w / 2, t / 2]);
    return solidInPiece(
      frame,
      cuts.reduce((solid, { through, out }) => {
        const cut = clip(solid, planeThrough(through, out));
        return cut.loops.length >= 4 && volume(cut) > 500 ? cut : solid;
      }, block),
    );
  });

describe('solids without hollows', () => {
  it('have the volume that a library for solids finds, however they lean and are cut', () => {
    fc.assert(
      fc.property(solids, (solid) => {
        // The library joins corners that lie nearer than some millionth of the solid's size: a ratio, not cubic millimetres.
        expect(volume(solid) / hull(solid.corners).volume()).toBeCloseTo(1, 5);
      }),
      { endOnFailure: true },
    );
  });

  it('lie as far apart as it finds, and overlap where it finds something in common', () => {
    fc.assert(
      fc.property(solids, solids, (a, b) => {
        const [ma, mb] = [hull(a.corners), hull(b.corners)];
        const apart = distance(a, b);
        const common = ma.intersect(mb).volume();
        if (apart > 0) expect(apart).toBeCloseTo(ma.minGap(mb, 2000), 2);
        // A tip that stands a tenth of a millimetre in holds next to nothing; one that stands a millimetre in does not.
        if (apart < -1) expect(common).toBeGreaterThan(0);
        if (apart > 0.01) expect(Math.abs(common)).toBeLessThan(1e-3);
        if (common > 1) expect(apart).toBeLessThan(0);
      }),
      { endOnFailure: true },
    );
  });

  it('moved out by the depth of the overlap, come free', () => {
    const a = box([0, 0, 0], [100, 40, 20]);
    const b = box([90, 10, 5], [200, 30, 15]);
    expect(distance(a, b)).toBeCloseTo(-10, 9);
    expect(distance(a, box([130, 80, 0], [150, 90, 20]))).toBeCloseTo(Math.hypot(30, 40), 6);
    expect(distance(a, box([100, 0, 0], [150, 40, 20]))).toBeCloseTo(0, 6);
  });

  it('have their middle of mass where a wedge has it, a third in from its thick end', () => {
    const wedge = prism(
      [
        [0, 0],
        [90, 0],
        [0, 30],
      ],
      0,
      10,
    );
    const [x, y, z] = middleOf([wedge]);
    expect([x, y, z].map((n) => n.toFixed(9))).toEqual(['30.000000000', '10.000000000', '5.000000000']);
  });

  it('are inside all their own planes, and come back unchanged from a frame', () => {
    fc.assert(
      fc.property(
        solids,
        vec(100),
        vec(1).filter((v) => norm(v) > 0.2),
        (solid, at, along) => {
          const toward: Vec = Math.abs(unit(along)[0]) > 0.8 ? [0, 1, 0] : [1, 0, 0];
          const frame = leaningFrame(at, along, toward);
          for (const { normal, offset } of planesOf(solid)) {
            for (const p of solid.corners) expect(dot(normal, p)).toBeLessThan(offset + 1e-6);
          }
          expect(volume(solidInPart(frame, solid))).toBeCloseTo(volume(solid), 4);
          const [p] = solid.corners;
          expect(norm(minus(inPiece(frame, inPart(frame, p!)), p!))).toBeLessThan(1e-9);
        },
      ),
      { endOnFailure: true },
    );
  });

  it('are closed: every edge lies between two faces that run it both ways, and corners − edges + faces = 2 (Euler)', () => {
    fc.assert(
      fc.property(solids, (solid) => {
        const edges = new Set<string>();
        for (const loop of solid.loops) {
          loop.forEach((from, k) => {
            const edge = `${from} ${loop[(k + 1) % loop.length]}`;
            expect(edges.has(edge)).toBe(false);
            edges.add(edge);
          });
        }
        for (const edge of edges) expect(edges.has(edge.split(' ').reverse().join(' '))).toBe(true);
        expect(new Set(solid.loops.flat()).size).toBe(solid.corners.length);
        expect(solid.corners.length - edges.size / 2 + solid.loops.length).toBe(2);
      }),
      { endOnFailure: true },
    );
  });

  it('know the box round them, and stay outside in when they are mirrored', () => {
    fc.assert(
      fc.property(solids, vec(50), (solid, by) => {
        for (const axis of [0, 1, 2] as const) {
          const along = solid.corners.map((p) => p[axis]);
          expect(solid.bounds.from[axis]).toBe(Math.min(...along));
          expect(solid.bounds.to[axis]).toBe(Math.max(...along));
        }
        const moved = shifted(solid, by);
        expect(moved.bounds).toEqual(shiftedBounds(solid.bounds, by));
        const mirrored = mapped(solid, ([x, y, z]): Vec => [-x, y, z], true);
        expect(volume(mirrored)).toBeCloseTo(volume(solid), 4);
        expect(reach(mirrored, [1, 0, 0]).to).toBe(-solid.bounds.from[0]);
      }),
      { endOnFailure: true },
    );
  });

  it('are told apart by sides and rings, however many: a thousand sides and three rings of three', () => {
    const circle = (n: number, r: number) =>
      Array.from({ length: n }, (_, i): [number, number] => {
        const a = (2 * Math.PI * i) / n;
        return [r * Math.cos(a), r * Math.sin(a)];
      });
    const ring = (z: number): Vec[] => circle(3, 10).map(([x, y]) => [x, y, z]);
    const area = (n: number, r: number) => (n / 2) * r ** 2 * Math.sin((2 * Math.PI) / n);
    expect(volume(stacked([ring(0), ring(4), ring(9)]))).toBeCloseTo(9 * area(3, 10), 6);
    for (const n of [1000, 1003, 2003]) expect(volume(prism(circle(n, 10), 0, 5)) / area(n, 10)).toBeCloseTo(5, 9);
  });

  it('of rods have the volume of their eight-sided prism, to planes that they run through as well', () => {
    // A regular octagon over flats d: 2(√2 − 1)·d².
    const octagon = (d: number) => 2 * (Math.SQRT2 - 1) * d ** 2;
    fc.assert(
      fc.property(
        vec(100),
        vec(1).filter((v) => norm(v) > 0.2),
        num(3, 30),
        num(-0.3, 0.3),
        (from, way, diameter, lean) => {
          const axis = unit(way);
          const to: Vec = [from[0] + 80 * axis[0], from[1] + 80 * axis[1], from[2] + 80 * axis[2]];
          expect(volume(rod(from, to, diameter)) / (80 * octagon(diameter))).toBeCloseTo(1, 9);
          // A leaning end through the middle takes away on one side what it adds on the other.
          const aside = unit(cross(axis, Math.abs(axis[2]) < 0.9 ? [0, 0, 1] : [1, 0, 0]));
          const leaning = planeThrough(to, [
            axis[0] + lean * aside[0],
            axis[1] + lean * aside[1],
            axis[2] + lean * aside[2],
          ]);
          expect(volume(rod(from, to, diameter, { to: leaning })) / (80 * octagon(diameter))).toBeCloseTo(1, 9);
        },
      ),
    );
  });

  it('cut away altogether, nothing is left', () => {
    const block = box([0, 0, 0], [10, 10, 10]);
    expect(clipAll(block, [planeThrough([-1, 0, 0], [1, 0, 0])]).loops).toHaveLength(0);
    expect(clip(block, planeThrough([10, 0, 0], [1, 0, 0]))).toBe(block);
  });
});

describe('outlines', () => {
  it('of a round top have the chord 2√(R² − y²) at every distance from the middle, and the area of a circle', () => {
    const points = polygonOf(ovalOutline(900, 900), 0.001);
    for (const y of [0, 100, 250, 400, 449]) {
      const { from, to } = chordAt(points, y)!;
      expect(to - from).toBeCloseTo(2 * Math.sqrt(450 ** 2 - y ** 2), 0);
    }
    expect(volume(prism(points, 0, 1)) / (Math.PI * 450 ** 2)).toBeCloseTo(1, 5);
    expect(roundOf(points)).toBeCloseTo(Math.PI * 900, 1);
  });

  it('of an oval lie on the ellipse, as long and as wide as asked', () => {
    const points = polygonOf(ovalOutline(1400, 800));
    const { left, right, low, high } = boundsOfFlat(points);
    expect([right - left, high - low]).toEqual([1400, 800]);
    for (const [x, y] of points) expect((x / 700) ** 2 + (y / 400) ** 2).toBeCloseTo(1, 9);
  });

  it('sagitta and radius belong together: R = c²/8s + s/2', () => {
    fc.assert(
      fc.property(num(100, 2000), num(1, 49), (chord, share) => {
        const sagitta = (chord * share) / 100;
        // What a circle of that radius stands off a chord of that length: R − √(R² − c²/4).
        const radius = radiusOf(chord, sagitta);
        expect(radius - Math.sqrt(radius ** 2 - (chord / 2) ** 2)).toBeCloseTo(sagitta, 6);
      }),
    );
    // A side of 2 000 that bulges by 25: R = 4 000 000/200 + 12.5.
    expect(radiusOf(2000, 25)).toBe(20012.5);
  });

  it('with curved sides and ends are as long and as wide over all as asked', () => {
    const { left, right, low, high } = boundsOfFlat(polygonOf(curvedOutline(2000, 900, 25, 40)));
    expect(right - left).toBeCloseTo(2000, 6);
    expect(high - low).toBeCloseTo(900, 6);
  });

  it('of equal sides have corners of 180° − 360°/N and the width over their flats', () => {
    for (const sides of [6, 8, 10, 12]) {
      const points = polygonOf(regularOutline(sides, 1000));
      expect(points).toHaveLength(sides);
      const { low, high } = boundsOfFlat(points);
      expect(high - low).toBeCloseTo(1000, 9);
      const [a, b, c] = points as [Flat, Flat, Flat];
      const way = (p: Flat, q: Flat) => Math.atan2(q[1] - p[1], q[0] - p[0]);
      const turn = ((way(b, c) - way(a, b)) * 180) / Math.PI;
      expect((turn + 360) % 360).toBeCloseTo(360 / sides, 9);
    }
  });

  it('tell how far inside a point lies, and their hull goes round all points', () => {
    const square = [
      [0, 0],
      [100, 0],
      [100, 100],
      [0, 100],
    ] as const;
    expect(insideBy(square, [30, 50])).toBe(30);
    expect(insideBy(square, [-20, 50])).toBe(-20);
    expect(hullOf([...square, [50, 50], [10, 90]])).toHaveLength(4);
  });
});
