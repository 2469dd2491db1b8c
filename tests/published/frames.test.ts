import { Plane, Quaternion, Vector3 } from 'three';
import { describe, expect, it } from 'vitest';
import { type Part, solveX } from '@/core';
import { baseOf, CONSTRUCTIONS, derived } from '../fixtures/constructions';
import { change } from '../fixtures/demo';

// Geometry confirmed by vectors of three.js (MIT): angles between planes and edges found from the solids' corners, not
// from the formulas that made them.

const degrees = (radians: number) => (radians * 180) / Math.PI;
const v = (p: readonly [number, number, number]) => new Vector3(...p);

/** Corners of a part between its shoulders in the axes of the piece. */
const cornersOf = ({ frame, body }: Part) =>
  body.flatMap(({ corners, loops }) =>
    loops.map((loop) =>
      loop
        .map((i) => corners[i]!)
        .map(([l, w, t]) =>
          v(frame.at)
            .addScaledVector(v(frame.length), l)
            .addScaledVector(v(frame.width), w)
            .addScaledVector(v(frame.thickness), t),
        ),
    ),
  );
const planeOf = ([a, b, c]: Vector3[]) => new Plane().setFromCoplanarPoints(a!, b!, c!);
const named = (name: string) => CONSTRUCTIONS.find((c) => c.name.includes(name))!;

describe('crossed legs', () => {
  const document = named('a desk on crossed legs').document;
  const { piece } = derived(document);
  const base = baseOf(document, 'x-frame');
  const legs = piece.parts.filter((part) => part.kind === 'leg');

  it('touch the floor and the bearer with their outer corners at the spreads asked for', () => {
    for (const leg of legs) {
      const points = cornersOf(leg).flat();
      const low = Math.min(...points.map((p) => p.z));
      const high = Math.max(...points.map((p) => p.z));
      const at = (z: number) => points.filter((p) => Math.abs(p.z - z) < 1e-6).map((p) => Math.abs(p.y));
      expect(low).toBeCloseTo(0, 9);
      expect(Math.max(...at(low)) * 2).toBeCloseTo(base.spread.floor, 6);
      expect(Math.max(...at(high)) * 2).toBeCloseTo(base.spread.head, 6);
    }
  });

  it('are of stock as wide as asked, and their ends are cut at the mitre that is told', () => {
    const head = base.height - document.form.top.thickness - base.bearer.height;
    const solved = solveX({ height: head, width: base.leg.width, floor: base.spread.floor, head: base.spread.head })!;
    for (const leg of legs) {
      const faces = cornersOf(leg).map(planeOf);
      // The two long faces across the leg's width, and the end on the floor.
      const along = v(leg.frame.length);
      const sides = faces.filter((f) => Math.abs(f.normal.dot(along)) < 1e-6 && Math.abs(f.normal.x) < 1e-6);
      const [a, b] = sides as [Plane, Plane];
      expect(Math.abs(a.constant + b.constant)).toBeCloseTo(base.leg.width, 6);
      const end = faces.find((f) => f.normal.z < -0.999)!;
      const fromSquare = degrees(Math.acos(Math.abs(end.normal.dot(along))));
      expect(fromSquare).toBeCloseTo(solved.mitre, 6);
      expect(leg.ends!.start.mitre).toBeCloseTo(fromSquare, 6);
    }
  });

  it('cross where the lines through their middles meet', () => {
    const [a, b] = legs.filter((leg) => leg.frame.at[0] < 0) as [Part, Part];
    const line = (leg: Part) => ({ p: v(leg.frame.at), d: v(leg.frame.length) });
    const [la, lb] = [line(a), line(b)];
    // p + s·d on both: the nearest points of two lines in one plane.
    const n = new Vector3().crossVectors(la.d, lb.d);
    const s = new Vector3().crossVectors(lb.p.clone().sub(la.p), lb.d).dot(n) / n.lengthSq();
    const crossing = la.p.clone().addScaledVector(la.d, s);
    expect(crossing.y).toBeCloseTo(0, 6);
    expect(crossing.z).toBeCloseTo(piece.parts.find((part) => part.id === 'stretcher')!.frame.at[2], 6);
  });

  it('cannot be where the stock is wider than the frame’s diagonal', () => {
    expect(solveX({ height: 300, width: 600, floor: 400, head: 300 })).toBeNull();
  });
});

describe('splayed legs', () => {
  it.each([3, 4, 6])('%i of them stand even round the middle and lean by the angle asked', (count) => {
    const document = change(named('three splayed legs').document, (d) => {
      baseOf(d, 'splayed').legs = count;
    });
    const { piece } = derived(document);
    const base = baseOf(document, 'splayed');
    const legs = piece.parts.filter((part) => part.kind === 'leg');
    const up = new Vector3(0, 0, 1);
    legs.forEach((leg, i) => {
      const along = v(leg.frame.length);
      expect(degrees(along.angleTo(up))).toBeCloseTo(base.lean, 9);
      const next = legs[(i + 1) % count]!;
      const turn = new Quaternion().setFromAxisAngle(up, (2 * Math.PI) / count);
      expect(along.clone().applyQuaternion(turn).distanceTo(v(next.frame.length))).toBeLessThan(1e-9);
      // Both ends are cut parallel to the floor, at the lean from square.
      const ends = cornersOf(leg)
        .map(planeOf)
        .filter((f) => Math.abs(f.normal.z) > 0.999);
      expect(ends).toHaveLength(2);
      for (const end of ends) expect(degrees(Math.acos(Math.abs(end.normal.dot(along))))).toBeCloseTo(base.lean, 6);
    });
  });

  it.each([
    [3, 60],
    [4, 45],
    [6, 30],
  ])('%i arms meet with two cuts each at %i° to their own length (common practice: 60° for three)', (count, angle) => {
    const document = change(named('three splayed legs').document, (d) => {
      baseOf(d, 'splayed').legs = count;
    });
    for (const arm of derived(document).piece.parts.filter((part) => part.kind === 'bearer')) {
      const along = v(arm.frame.length);
      const upright = cornersOf(arm)
        .map(planeOf)
        // Through the upright line in the middle of the piece.
        .filter((f) => Math.abs(f.constant) < 1e-6 && Math.abs(f.normal.z) < 1e-6);
      expect(upright).toHaveLength(2);
      for (const cut of upright) expect(90 - degrees(Math.acos(Math.abs(cut.normal.dot(along))))).toBeCloseTo(angle, 6);
      expect(90 - arm.ends!.start.bevel).toBeCloseTo(angle, 9);
    }
  });

  it('reach the floor farther out than the head by height · tan(lean)', () => {
    const document = named('an oval table on four splayed legs').document;
    const { piece } = derived(document);
    const base = baseOf(document, 'splayed');
    const underside = base.height - document.form.top.thickness;
    for (const leg of piece.parts.filter((part) => part.kind === 'leg')) {
      const points = cornersOf(leg).flat();
      const far = (z: number) =>
        Math.max(
          ...points
            .filter((p) => Math.abs(p.z - z) < 1e-6)
            .map((p) => new Vector3(p.x, p.y, 0).dot(new Vector3(leg.frame.at[0], leg.frame.at[1], 0).normalize())),
        );
      expect(far(underside)).toBeCloseTo(base.reach, 6);
      expect(far(0) - far(underside)).toBeCloseTo(underside * Math.tan((base.lean * Math.PI) / 180), 6);
    }
  });
});

describe('tapered legs', () => {
  it('are as thick at the foot as asked, with both outside faces square to the floor', () => {
    const { piece } = derived(named('a square table').document);
    const base = baseOf(named('a square table').document, 'leg-apron');
    const foot = base.leg.taper.kind === 'tapered' ? base.leg.taper.foot : 0;
    for (const leg of piece.parts.filter((part) => part.kind === 'leg')) {
      const floor = cornersOf(leg)
        .flat()
        .filter((p) => Math.abs(p.z) < 1e-6);
      const spread = (axis: 'x' | 'y') =>
        Math.max(...floor.map((p) => p[axis])) - Math.min(...floor.map((p) => p[axis]));
      expect(spread('x')).toBeCloseTo(foot, 6);
      expect(spread('y')).toBeCloseTo(foot, 6);
      const outside = Math.max(...floor.map((p) => Math.abs(p.x)));
      expect(outside).toBeCloseTo(piece.base.length / 2, 6);
    }
  });
});

describe('legs splayed both ways between aprons', () => {
  const document = named('splayed both ways').document;
  const { piece } = derived(document);
  const base = baseOf(document, 'leg-apron');
  const { ends, sides } = base.leg.splay;
  const tan = (angle: number) => Math.tan((angle * Math.PI) / 180);
  const legs = piece.parts.filter((part) => part.kind === 'leg');
  const aprons = piece.parts.filter((part) => part.kind === 'apron');

  it('lean by both angles at once: tan² of the whole lean is the sum of both tan² (any machinery handbook)', () => {
    for (const leg of legs) {
      const along = v(leg.frame.length);
      const whole = along.angleTo(new Vector3(0, 0, 1));
      expect(Math.tan(Math.min(whole, Math.PI - whole)) ** 2).toBeCloseTo(tan(ends) ** 2 + tan(sides) ** 2, 9);
      expect(Math.abs(along.x / along.z)).toBeCloseTo(tan(ends), 9);
      expect(Math.abs(along.y / along.z)).toBeCloseTo(tan(sides), 9);
    }
  });

  it('stand on the floor farther out than under the top by the height times the tangent, on their outer corner', () => {
    const underside = piece.overall.height - piece.top.size.thickness;
    const outer = { x: document.form.top.length / 2 - 90, y: document.form.top.width / 2 - 90 };
    for (const leg of legs) {
      const points = cornersOf(leg).flat();
      const at = (z: number, axis: 'x' | 'y') =>
        Math.max(...points.filter((p) => Math.abs(p.z - z) < 1e-6).map((p) => Math.abs(p[axis])));
      expect(at(underside, 'x')).toBeCloseTo(outer.x, 0);
      expect(at(underside, 'y')).toBeCloseTo(outer.y, 0);
      expect(at(0, 'x') - at(underside, 'x')).toBeCloseTo(underside * tan(ends), 6);
      expect(at(0, 'y') - at(underside, 'y')).toBeCloseTo(underside * tan(sides), 6);
    }
  });

  it('have their ends cut level: mitre and bevel as told turn a square cut onto the floor', () => {
    for (const leg of legs) {
      const { mitre, bevel } = leg.ends!.start;
      const [length, width, thickness] = [v(leg.frame.length), v(leg.frame.width), v(leg.frame.thickness)];
      const up = new Vector3(0, 0, 1);
      // A square cut's normal, turned by the mitre in the face and then tilted by the bevel through the thickness.
      const signs = [Math.sign(up.dot(length)), Math.sign(up.dot(width)), Math.sign(up.dot(thickness))] as const;
      const [m, b] = [(mitre * Math.PI) / 180, (bevel * Math.PI) / 180];
      const cut = new Vector3()
        .addScaledVector(length, signs[0] * Math.cos(m) * Math.cos(b))
        .addScaledVector(width, signs[1] * Math.sin(m) * Math.cos(b))
        .addScaledVector(thickness, signs[2] * Math.sin(b));
      expect(cut.distanceTo(up)).toBeLessThan(1e-9);
      expect(mitre).toBeGreaterThan(1);
      expect(bevel).toBeGreaterThan(1);
    }
  });

  it('and the aprons’ shoulders lie flat on the legs’ inside faces, at the angles that are told', () => {
    for (const apron of aprons) {
      const faces = cornersOf(apron).map(planeOf);
      const along = v(apron.frame.length);
      const shoulders = faces.filter((f) => Math.abs(f.normal.dot(along)) > 0.9);
      expect(shoulders).toHaveLength(2);
      for (const shoulder of shoulders) {
        const touching = legs.filter((leg) =>
          cornersOf(leg)
            .map(planeOf)
            .some(
              (f) =>
                Math.abs(f.normal.dot(shoulder.normal)) > 1 - 1e-9 &&
                Math.abs(f.distanceToPoint(shoulder.coplanarPoint(new Vector3()))) < 1e-6,
            ),
        );
        const joined = piece.joints.filter(({ from }) => from === apron.id).map(({ into }) => into);
        expect(touching.some(({ id }) => joined.includes(id))).toBe(true);
      }
      const [start] = [apron.ends!.start];
      const told = Math.cos((start.mitre * Math.PI) / 180) * Math.cos((start.bevel * Math.PI) / 180);
      expect(Math.abs(shoulders[0]!.normal.dot(along))).toBeCloseTo(told, 9);
    }
  });
});
