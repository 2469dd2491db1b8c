import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { CONSTRUCTIONS, derived } from '../../../tests/fixtures/constructions';
import { change, level } from '../../../tests/fixtures/demo';
import { panelOfTop } from '../job/panels';
import type { Aligner } from '../joint/edge-joint';
import { alignerSize } from '../joint/edge-joint';
import { insideBy, ovalOutline, polygonOf } from '../solid/outline';
import { edgeJoints } from './edge-joints';

const stock = [
  { thickness: 8, width: 22, length: 50 },
  { thickness: 10, width: 28, length: 60 },
];
const tools = { looseTenons: stock, dowels: [], borers: [] };
const size = { thickness: 8, along: 22, deep: 25 };

describe('what keeps boards level', () => {
  it('is a third of the panel thick where it is a tenon, of those in stock the nearest below (common practice)', () => {
    expect(alignerSize('loose-tenons', 30, tools)).toEqual({ thickness: 10, along: 28, deep: 30 });
    expect(alignerSize('loose-tenons', 25, tools)).toEqual(size);
    expect(alignerSize('dowels', 25, tools)?.thickness).toBe(10);
    // Two fifths of 40 would be 16: the nearest that is there with a bit for it, half its length in each edge.
    const more = {
      ...tools,
      dowels: [
        { diameter: 10, length: 60 },
        { diameter: 13, length: 50 },
      ],
      borers: [10],
    };
    expect(alignerSize('dowels', 40, more)).toEqual({ thickness: 10, along: 10, deep: 30 });
    expect(alignerSize('cauls', 25, tools)).toBeNull();
  });

  it('stays inside the circle that will be cut, whatever the boards (common practice)', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 400, max: 1600, noNaN: true }),
        fc.array(fc.double({ min: 0.05, max: 1, noNaN: true }), { minLength: 2, maxLength: 12 }),
        (diameter, shares) => {
          const polygon = polygonOf(ovalOutline(diameter, diameter));
          const total = shares.reduce((a, b) => a + b, 0);
          let run = -diameter / 2;
          const lines = shares.slice(0, -1).map((share) => {
            run += (share / total) * diameter;
            return run;
          });
          const labels = shares.map((_, i) => `A${i}`);
          const joints = edgeJoints({ labels, lines, polygon, half: diameter / 2, size, taken: [] });
          expect(joints).toHaveLength(lines.length);
          for (const { y, places } of joints) {
            for (const x of places) {
              for (const sx of [-1, 1]) {
                for (const sy of [-1, 1]) {
                  const corner = [x + (sx * size.along) / 2, y + sy * size.deep] as const;
                  expect(insideBy(polygon, corner)).toBeGreaterThan(0);
                }
              }
            }
            places.slice(1).forEach((x, i) => {
              expect(x - places[i]!).toBeGreaterThan(size.along);
              expect(x - places[i]!).toBeLessThanOrEqual(300 + 1e-6);
            });
          }
        },
      ),
      { endOnFailure: true },
    );
  });

  it('stands beside a cut-out and beside what is driven into the top later', () => {
    const polygon = [
      [-900, -400],
      [900, -400],
      [900, 400],
      [-900, 400],
    ] as const;
    const hole = { left: -60, right: 60, low: -30, high: 30 };
    const given = { labels: ['A', 'B'], lines: [0], polygon, half: 900, size };
    const free = edgeJoints({ ...given, taken: [] })[0]!.places;
    const beside = edgeJoints({ ...given, taken: [hole] })[0]!.places;
    expect(free.some((x) => Math.abs(x) < 71)).toBe(true);
    expect(beside.every((x) => Math.abs(x) >= 60 + 11 + 20 - 1e-9)).toBe(true);
    expect(beside.length).toBeGreaterThanOrEqual(free.length - 1);
  });
});

describe('in a job', () => {
  const on = (name: string, kind: Aligner, thickness?: number) =>
    derived(
      change(CONSTRUCTIONS.find((c) => c.name.includes(name))!.document, (d) => {
        d.glueUp.level = kind;
        if (thickness) d.form.top.thickness = thickness;
      }),
    );

  it('they are told with the work, and nothing is there without them', () => {
    expect(panelOfTop(on('round table', 'none'))!.edges).toBeNull();
    const job = on('round table', 'biscuits');
    const total = panelOfTop(job)!.edges!.joints.reduce((sum, { places }) => sum + places.length, 0);
    expect(total).toBeGreaterThan(3);
    expect(job.figures.aligners!.quantity.amount).toBe(total);
    expect(job.operations.find(({ id }) => id === 'edge-slots')!.name).toContain(`${total} biscuits`);
    const first = job.operations.find(({ id }) => id.startsWith('glue-') && id !== 'glue-ends')!;
    expect(first.after).toContain('edge-slots');
  });

  it('a tenon too thick for a thin top stops the work; in thick stock it is well covered', () => {
    expect(level(on('a square table', 'loose-tenons', 11), 'glue.aligner-face')).toBe('stop');
    expect(level(on('a square table', 'loose-tenons'), 'glue.aligner-face')).toBe('good');
  });

  it('of a breadboarded panel they end before its shoulders', () => {
    const job = on('breadboarded trestle', 'loose-tenons');
    const half = job.piece.parts.find((part) => part.id === 'top')!.shoulderLength / 2;
    for (const { places } of panelOfTop(job)!.edges!.joints) {
      expect(Math.max(...places.map(Math.abs))).toBeLessThanOrEqual(half - 40);
    }
  });
});
