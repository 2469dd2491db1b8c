import { Vector3 } from 'three';
import { describe, expect, it } from 'vitest';
import { baseOf, CONSTRUCTIONS, derived } from '../../../../../../tests/fixtures/constructions';
import { change, level } from '../../../../../../tests/fixtures/demo';
import type { TableInJob } from '../../../../document/piece-in-job';
import { findPart } from '../../../piece';

const table = () => CONSTRUCTIONS.find((c) => c.name.includes('with glass between'))!.document;
const value = (document: ReturnType<typeof table>, id: string) =>
  derived(document).checks.find((c) => c.id === id)!.value.amount;

describe('buttresses along the table', () => {
  it('run at 45° from post to stretcher, as far along the one as up the other (three.js vectors)', () => {
    const { piece } = derived(table());
    const stretcher = findPart(piece, 'stretcher')!;
    const upper = stretcher.frame.at[2] + stretcher.size.width / 2;
    for (const [where, side] of [
      ['left', -1],
      ['right', 1],
    ] as const) {
      const brace = findPart(piece, `buttress-${where}`)!;
      const post = findPart(piece, `post-${where}`)!;
      const way = new Vector3(...brace.frame.length);
      expect((way.angleTo(new Vector3(side, 0, 0)) * 180) / Math.PI).toBeCloseTo(45, 9);
      const inner = post.frame.at[0] - (side * post.size.thickness) / 2;
      const all = brace.placed.flatMap((solid) => solid.corners);
      // Between its shoulders it ends in the post's inner face and on the stretcher's upper edge.
      const far = side > 0 ? Math.max(...all.map((p) => p[0])) : Math.min(...all.map((p) => p[0]));
      expect(far).toBeCloseTo(inner, 9);
      expect(Math.min(...all.map((p) => p[2]))).toBeCloseTo(upper, 9);
      // Its middle meets both so far from their corner.
      const middle = new Vector3(...brace.frame.at);
      const ends = [-1, 1].map((s) => middle.clone().addScaledVector(way, (s * 150 * Math.SQRT2) / 2));
      expect(ends[0]!.z).toBeCloseTo(upper, 6);
      expect(ends[1]!.z).toBeCloseTo(upper + 150, 6);
      expect(Math.abs(ends[0]!.x - inner)).toBeCloseTo(150, 6);
    }
  });

  it('take a push from the end off the stretcher’s tenons: the pressed one by push · height on its arm (statics)', () => {
    const { document } = { document: table() };
    const { push } = document.form.loads;
    const height = document.form.base.height - document.form.top.thickness;
    const arm = 150 / Math.SQRT2;
    expect(value(document, 'strength.racking-along')).toBeCloseTo((push * height) / (arm * 45 * 30), 9);
    const bare = change(document, (d) => {
      baseOf(d, 'trestle').buttresses = null;
    });
    expect(value(bare, 'strength.racking-along')).toBeGreaterThan(value(document, 'strength.racking-along'));
  });

  it('are stopped on an arched stretcher and where they reach into the bearers', () => {
    const where = (edit: (draft: TableInJob) => void) =>
      derived(change(table(), edit as never)).problems.map((p) => p.where);
    expect(
      where((d) => {
        baseOf(d, 'trestle').stretcher.arch = 40;
      }),
    ).toContain('form.base.buttresses');
    expect(
      where((d) => {
        baseOf(d, 'trestle').buttresses = { width: 45, thickness: 30, reach: 400 };
      }),
    ).toContain('form.base.buttresses.reach');
    expect(level(derived(table()), 'form.parts-meet')).toBe('good');
  });
});
