import { describe, expect, it } from 'vitest';
import { baseOf, CONSTRUCTIONS, derived } from '../../../tests/fixtures/constructions';
import { change } from '../../../tests/fixtures/demo';
import type { TableInJob } from '../document/piece-in-job';
import { reach } from '../solid/convex';

const document = (name: string) => CONSTRUCTIONS.find((c) => c.name.includes(name))!.document;
const on = (name: string, edit: (draft: TableInJob) => void = () => {}) => derived(change(document(name), edit));
const check = (job: ReturnType<typeof on>, id: string) => job.checks.find((own) => own.id === id);

describe('somebody leaning on the edge', () => {
  it('bends a trestle’s tenons by half the top’s width, as their own solids resist it', () => {
    const job = on('drawn by tusks', (d) => {
      d.form.loads.edge = 400;
    });
    const value = check(job, 'strength.lean-post')!.value.amount;
    // Second moment of the tenons of one end about their common middle, from their corners in the drawing.
    const tenons = job.piece.joints
      .filter(({ into, from }) => into === 'bearer-left' && from === 'post-left')
      .map(({ added }) => {
        const solid = added[0]!.solid;
        const [y, x] = [reach(solid, [0, 1, 0]), reach(solid, [1, 0, 0])];
        return { wide: y.to - y.from, thick: x.to - x.from, at: (y.from + y.to) / 2 };
      });
    const second = tenons.reduce((sum, t) => sum + (t.thick * t.wide ** 3) / 12 + t.thick * t.wide * t.at ** 2, 0);
    const outermost = Math.max(...tenons.map((t) => Math.abs(t.at) + t.wide / 2));
    expect(value).toBeCloseTo((400 * (job.piece.overall.width / 2)) / (second / outermost), 6);
  });

  it('pushes leaning legs outward, and upright ones not at all', () => {
    const lean = (degrees: number) =>
      on('an oval table on four', (d) => {
        baseOf(d, 'splayed').lean = degrees;
      });
    const at = (degrees: number) => check(lean(degrees), 'strength.lean-leg')!.value.amount;
    expect(check(lean(0), 'strength.lean-leg')).toBeUndefined();
    expect(at(12) / at(6)).toBeCloseTo(Math.tan((12 * Math.PI) / 180) / Math.tan((6 * Math.PI) / 180), 6);
    expect(check(on('a square table'), 'strength.lean-corner')).toBeUndefined();
    expect(check(on('splayed both ways'), 'strength.lean-corner')!.value.amount).toBeGreaterThan(0);
  });

  it('shears the apron’s tenon right beside a leg: three halves of the load over its section', () => {
    const job = on('a square table', (d) => {
      d.form.loads.edge = 500;
    });
    const { added } = job.piece.joints.find(({ id }) => id === 'leg-front-left/apron-front')!;
    // The tenon itself; its haunch carries nothing.
    const all = added[0]!.solid.corners;
    const spread = (k: 1 | 2) => Math.max(...all.map((p) => p[k])) - Math.min(...all.map((p) => p[k]));
    expect(check(job, 'strength.shear-corner')!.value.amount).toBeCloseTo((1.5 * 500) / (spread(1) * spread(2)), 6);
  });

  it('stops the work where a joint is too weak for it', () => {
    const job = on('drawn by tusks', (d) => {
      d.form.loads.edge = 3000;
      baseOf(d, 'trestle').post.width = 60;
      baseOf(d, 'trestle').tenons = 1;
    });
    expect(check(job, 'strength.lean-post')!.level).toBe('stop');
  });
});
