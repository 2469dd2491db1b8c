import { describe, expect, it } from 'vitest';
import { CONSTRUCTIONS, derived, topOf } from '../../../tests/fixtures/constructions';
import { change } from '../../../tests/fixtures/demo';
import type { Edge } from '../document/job-document';
import { planesOf, volume } from '../solid/convex';
import { ovalOutline, rectangleOutline, regularOutline } from '../solid/outline';
import { solidWithEdge, thicknessInside } from './worked-edge';

const square: Edge = { kind: 'square' };
/** Area of a section of what an edge takes off, by its own shape, mm². */
const taken = (edge: Edge, thickness: number): number => {
  switch (edge.kind) {
    case 'square':
      return 0;
    case 'rounded':
      return 2 * (1 - Math.PI / 4) * edge.radius ** 2;
    case 'chamfered':
      return edge.width ** 2;
    case 'thumbnail':
      return (1 - Math.PI / 4) * edge.width * edge.depth;
    case 'under-bevelled':
      return ((thickness - edge.left) * edge.width) / 2;
  }
};

describe.each([
  { kind: 'rounded', radius: 6 },
  { kind: 'chamfered', width: 5 },
  { kind: 'thumbnail', width: 18, depth: 12 },
  { kind: 'under-bevelled', width: 70, left: 12 },
] as const)('an edge, $kind', (edge) => {
  it.each([
    ['rectangle', rectangleOutline(1400, 800)],
    ['round', ovalOutline(900, 900)],
    ['eight-sided', regularOutline(8, 1000)],
  ] as const)('takes off its own section all the way round: %s (the theorem of Pappus)', (_, outline) => {
    const thickness = 28;
    const worked = solidWithEdge(outline, thickness, edge);
    const plain = solidWithEdge(outline, thickness, square);
    // The path of the section's middle: round the outline set in by where that middle lies.
    const area = taken(edge, thickness);
    const lost = volume(plain) - volume(worked);
    const { from, to } = plain.bounds;
    const round = 2 * (to[0] - from[0] + to[1] - from[1]);
    expect(lost).toBeGreaterThan(0.5 * area * round);
    expect(lost).toBeLessThan(1.05 * area * round);
    if (_ === 'rectangle') {
      // A straight edge loses its section; at the corners the sections meet in a mitre.
      const middle = { rounded: 0.2234 * 6, chamfered: 5 / 3, thumbnail: 0.2234 * 18, 'under-bevelled': 70 / 3 }[
        edge.kind
      ];
      expect(lost / (area * (round - 8 * middle))).toBeCloseTo(1, 1);
    }
  });

  it('leaves the top as large and as thick as it is, and without hollows', () => {
    const solid = solidWithEdge(rectangleOutline(1400, 800), 28, edge);
    const { from, to } = solid.bounds;
    expect([to[0] - from[0], to[1] - from[1], to[2] - from[2]]).toEqual(
      [1400, 800, 28].map((n) => expect.closeTo(n, 6)),
    );
    for (const plane of planesOf(solid)) {
      for (const p of solid.corners) {
        expect(plane.normal[0] * p[0] + plane.normal[1] * p[1] + plane.normal[2] * p[2] - plane.offset).toBeLessThan(
          1e-6,
        );
      }
    }
  });
});

describe('an edge worked on three sides', () => {
  it('leaves the fourth square: only the sections of the three are lost, mitred where they meet', () => {
    const back = (a: readonly [number, number], b: readonly [number, number]) => a[1] > 399 && b[1] > 399;
    const edge = { kind: 'chamfered', width: 6 } as const;
    const plain = solidWithEdge(rectangleOutline(1400, 800), 28, square);
    const solid = solidWithEdge(rectangleOutline(1400, 800), 28, edge, back);
    // A chamfer above and one below, each 6 · 6 / 2; a pyramid of 6³ / 3 is shared at each mitre.
    const lost = 36 * (1400 + 2 * 800) - 2 * 2 * (6 ** 3 / 3);
    expect(volume(plain) - volume(solid)).toBeCloseTo(lost, 3);
    expect(Math.max(...solid.corners.filter((p) => p[2] > 13.9).map((p) => p[1]))).toBeCloseTo(400, 9);
    expect(Math.min(...solid.corners.filter((p) => p[2] > 13.9).map((p) => p[1]))).toBeCloseTo(-394, 9);
  });
});

describe('a moulded edge', () => {
  it('is worked from above: the underside keeps its outline, the upper face loses the moulding’s width', () => {
    const solid = solidWithEdge(rectangleOutline(1400, 800), 28, { kind: 'thumbnail', width: 18, depth: 12 });
    const at = (z: number) => Math.max(...solid.corners.filter((p) => Math.abs(p[2] - z) < 1e-6).map((p) => p[0]));
    expect(at(-14)).toBe(700);
    expect(at(14)).toBeCloseTo(700 - 18, 9);
    expect(at(14 - 12)).toBe(700);
    expect(thicknessInside(28, { kind: 'thumbnail', width: 18, depth: 12 }, 5)).toBe(28);
  });

  it('is a step of the work, and weighs less than a square one', () => {
    const document = CONSTRUCTIONS.find((c) => c.name.includes('hollowed to their feet'))!.document;
    const job = derived(document);
    expect(job.operations.some((o) => o.name.startsWith('Mould the upper edges'))).toBe(true);
    const plain = derived(
      change(document, (d) => {
        topOf(d, 'glued-panel').edge = { kind: 'square' };
      }),
    );
    const volumeOf = (j: typeof job) => j.piece.parts.find((p) => p.id === 'top')!.volume;
    expect(volumeOf(job)).toBeLessThan(volumeOf(plain));
  });
});
