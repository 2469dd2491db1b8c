import { Plane, Vector3 } from 'three';
import { describe, expect, it } from 'vitest';
import { baseOf, CONSTRUCTIONS, derived } from '../../../tests/fixtures/constructions';
import { change, level } from '../../../tests/fixtures/demo';
import { findPart } from '../piece/piece';

const table = () => CONSTRUCTIONS.find((c) => c.name.includes('mitred to their arms'))!.document;
const with_ = (edit: (base: ReturnType<typeof baseOf<'splayed'>>) => void) =>
  change(table(), (d) => edit(baseOf(d, 'splayed')));

describe('a leg mitred to its arm', () => {
  it('halves the angle where both are as wide, and does not where they are not', () => {
    const alike = derived(with_((b) => Object.assign(b.arm, { height: b.leg.width }))).piece;
    const half = (90 - 7) / 2;
    expect(findPart(alike, 'arm-1')!.ends!.end.mitre).toBeCloseTo(half, 9);
    expect(findPart(alike, 'leg-1')!.ends!.end.mitre).toBeCloseTo(half, 9);
    const { piece } = derived(table());
    const [arm, leg] = [findPart(piece, 'arm-1')!.ends!.end.mitre, findPart(piece, 'leg-1')!.ends!.end.mitre];
    // Both cuts together still turn the corner.
    expect(arm + leg).toBeCloseTo(90 - 7, 9);
    expect(arm).toBeGreaterThan(leg);
  });

  it('both parts end in one plane through their inner and their outer corner (three.js planes)', () => {
    const { piece } = derived(table());
    for (const i of [1, 2, 3, 4]) {
      const arm = findPart(piece, `arm-${i}`)!;
      const leg = findPart(piece, `leg-${i}`)!;
      const [out, up] = [new Vector3(...arm.frame.length), new Vector3(0, 0, 1)];
      const points = arm.placed.flatMap((s) => s.corners).map((p) => new Vector3(...p));
      const far = Math.max(...points.map((p) => p.dot(out)));
      const upper = points.filter((p) => p.dot(out) > far - 1e-6);
      // The outer corner is the leg's highest edge, and lies right under the top.
      const top = Math.max(...leg.placed.flatMap((s) => s.corners).map((p) => p[2]));
      for (const p of upper) expect(p.z).toBeCloseTo(top, 9);
      const low = Math.min(...points.map((p) => p.z));
      const inner = Math.max(...points.filter((p) => p.z < low + 1e-6).map((p) => p.dot(out)));
      const a = out.clone().multiplyScalar(inner).addScaledVector(up, low);
      const b = out.clone().multiplyScalar(far).addScaledVector(up, top);
      const plane = new Plane().setFromCoplanarPoints(a, b, a.clone().add(out.clone().cross(up)));
      const on = (part: typeof leg) =>
        part.placed.flatMap((s) => s.corners).filter((p) => Math.abs(plane.distanceToPoint(new Vector3(...p))) < 1e-6)
          .length;
      expect(on(arm)).toBe(4);
      expect(on(leg)).toBe(4);
    }
  });

  it('its spline lies inside both with a wall all round, as deep in one as in the other', () => {
    const { piece } = derived(table());
    const wall = derived(table()).checks.find((c) => c.id === 'joints.walls')!;
    expect(wall.level).toBe('good');
    const joint = piece.joints.find((j) => j.kind === 'leg-mitre')!;
    const [inLeg, inArm] = [joint.removed[0]!, joint.removed[1]!];
    expect(inLeg.part).toBe('leg-1');
    expect(inArm.part).toBe('arm-1');
    const long = (points: readonly (readonly [number, number, number])[], way: readonly [number, number, number]) => {
      const d = points.map((p) => p[0] * way[0] + p[1] * way[1] + p[2] * way[2]);
      return Math.max(...d) - Math.min(...d);
    };
    const way = inArm.open[0]!;
    expect(long(inLeg.solid.corners, way)).toBeCloseTo(long(inArm.solid.corners, way), 9);
  });

  it('is weaker than a bridle of the same parts, and both are asked of a push and of somebody leaning', () => {
    const stress = (document: ReturnType<typeof table>) =>
      ['strength.racking-along', 'strength.lean-leg'].map(
        (id) => derived(document).checks.find((c) => c.id === id)!.value.amount,
      );
    const [a, b] = [stress(table()), stress(with_((base) => Object.assign(base, { joint: 'bridle' })))];
    expect(a[0]!).toBeGreaterThan(b[0]!);
    expect(a[1]!).toBeGreaterThan(b[1]!);
  });

  it('follows what is cut: legs by their length along their lean, arms by how far they reach', () => {
    const drawn = derived(table()).piece;
    const cut = (ids: readonly string[], by: number) => {
      const job = derived(
        change(table(), (d) => {
          d.bench.locks = Object.fromEntries(
            ids.map((id) => [
              id,
              { length: findPart(drawn, id)!.size.length + by, width: null, thickness: null, on: '2027-03-20' },
            ]),
          );
        }),
      );
      expect(level(job, 'form.parts-meet')).toBe('good');
      return job.piece;
    };
    const each = (part: string) => [1, 2, 3, 4].map((i) => `${part}-${i}`);
    const lower = cut(each('leg'), -10);
    expect(lower.overall.height - drawn.overall.height).toBeCloseTo(-10 * Math.cos((7 * Math.PI) / 180), 9);
    expect(findPart(lower, 'leg-1')!.shoulderLength).toBeCloseTo(findPart(drawn, 'leg-1')!.size.length - 10, 9);
    const wider = cut(each('arm'), 12);
    expect(wider.ground.right - drawn.ground.right).toBeCloseTo(12 * Math.SQRT1_2, 6);
  });
});
