import { Plane, Vector3 } from 'three';
import { describe, expect, it } from 'vitest';
import { baseOf, CONSTRUCTIONS, derived } from '../../../tests/fixtures/constructions';
import { change, level, shop } from '../../../tests/fixtures/demo';
import { findPart, type Piece } from '../piece/piece';
import { crossDowels, splineSize } from './mitre';

const stool = () => CONSTRUCTIONS.find((c) => c.name.includes('box stool'))!.document;
const bench = () => CONSTRUCTIONS.find((c) => c.name.includes('cross-dowelled'))!.document;
const cornersOf = (piece: Piece, id: string) => findPart(piece, id)!.placed.flatMap((solid) => solid.corners);

describe('a box of mitred boards', () => {
  it('meets along one plane at 45° through the outer edge: both boards end in it, to either side (three.js)', () => {
    const { piece } = derived(stool());
    for (const side of [-1, 1] as const) {
      const plane = new Plane().setFromNormalAndCoplanarPoint(
        new Vector3(side, 0, -1).normalize(),
        new Vector3((side * 420) / 2, 0, 440),
      );
      const off = (id: string) => cornersOf(piece, id).map((p) => plane.distanceToPoint(new Vector3(...p)));
      const standing = off(side < 0 ? 'side-left' : 'side-right');
      const lying = off('top');
      expect(Math.min(...standing)).toBeCloseTo(0, 9);
      expect(Math.max(...lying)).toBeCloseTo(0, 9);
      // The whole mitre: four corners of each lie in it.
      expect(standing.filter((d) => Math.abs(d) < 1e-9).length).toBe(4);
    }
    // A board loses a triangle at each mitre and nothing else.
    const volume = (id: string) => findPart(piece, id)!.volume * 1e9;
    const { thickness: s, deep } = splineSize(24);
    const groove = s * deep * 320;
    expect(volume('top')).toBeCloseTo(420 * 320 * 24 - 24 * 24 * 320 - 2 * groove, 3);
    expect(volume('side-left')).toBeCloseTo(440 * 320 * 24 - (24 * 24 * 320) / 2 - groove + 2 * groove, 3);
  });

  it('is sawn tilted to 45°, and glued up as one panel that its grain runs round', () => {
    const { piece, demand } = derived(stool());
    expect(findPart(piece, 'top')!.ends!.start.bevel).toBe(45);
    expect(findPart(piece, 'side-left')!.ends).toEqual({ start: { mitre: 0, bevel: 0 }, end: { mitre: 0, bevel: 45 } });
    expect(demand.panels).toHaveLength(1);
    expect(demand.panels[0]!.finished.length).toBeCloseTo(420 + 2 * (440 + 5), 9);
  });

  it('splines keep off both faces, nearer to the inside of the corner', () => {
    const { piece } = derived(stool());
    for (const joint of piece.joints.filter(({ kind }) => kind === 'mitre-spline')) {
      const inside = new Vector3(Math.sign(joint.removed[0]!.solid.bounds.from[0]) * (210 - 24), 0, 416);
      const middle = joint.added[0]!.solid.corners;
      const at = new Vector3(
        middle.reduce((sum, p) => sum + p[0], 0) / middle.length,
        0,
        middle.reduce((sum, p) => sum + p[2], 0) / middle.length,
      );
      expect(at.distanceTo(inside)).toBeCloseTo(splineSize(24).fromInside, 6);
      expect(splineSize(24).fromInside).toBeLessThan((24 * Math.SQRT2) / 2);
    }
    expect(level(derived(stool()), 'joints.walls')).not.toBe('stop');
  });

  it('cross dowels go through the outer face, past the mitre and more than twice the thickness into the top', () => {
    const { piece } = derived(bench());
    const { count, deep, diameter } = crossDowels(30, 360);
    const joint = piece.joints.find(({ kind }) => kind === 'mitre-dowels')!;
    const into = joint.removed.filter(({ part }) => part === 'top');
    expect(into).toHaveLength(count);
    for (const { bore } of into) {
      expect(Math.abs(bore!.to[0] - bore!.from[0])).toBeCloseTo(deep, 9);
      expect(deep).toBeGreaterThan(2 * 30);
      expect(bore!.diameter).toBe(diameter);
    }
    const gaps = into.map(({ bore }) => bore!.from[1]).sort((a, b) => a - b);
    for (const [i, y] of gaps.slice(1).entries()) expect(y - gaps[i]!).toBeLessThanOrEqual(70 + 1e-9);
  });

  it('through a thick board is more than the tilted saw reaches, and says how else', () => {
    const thick = change(bench(), (d) => {
      d.form.top.thickness = shop.tools.sawDepth45 + 6;
    });
    expect(level(derived(thick), 'machines.mitre')).toBe('watch');
    expect(level(derived(bench()), 'machines.mitre')).toBe('good');
  });

  it('a push along bends a thin spline more than a thick one: the check follows both key and thickness', () => {
    const of = (edit: (d: ReturnType<typeof bench>) => void) =>
      derived(change(bench(), edit)).checks.find((c) => c.id === 'strength.racking-along')!;
    const spline = of((d) => {
      baseOf(d, 'box').key = 'spline';
    });
    const thin = of((d) => {
      baseOf(d, 'box').key = 'spline';
      d.form.top.thickness = 18;
    });
    expect(spline.level).not.toBe('stop');
    expect(thin.value.amount).toBeGreaterThan(spline.value.amount);
    // Drawn on its arm: push · height / 2 over arm · width · spline.
    const { fromInside, thickness } = splineSize(30);
    expect(spline.value.amount).toBeCloseTo((bench().form.loads.push * 430) / 2 / (fromInside * 360 * thickness), 9);
  });

  it('is a plain panel folded: other tops are stopped', () => {
    const round = derived(
      change(stool(), (d) => {
        if (d.form.top.kind === 'glued-panel') d.form.top.outline = { kind: 'oval' };
      }),
    );
    expect(round.problems.map((p) => p.where)).toContain('form.top.kind');
  });
});
