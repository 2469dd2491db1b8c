import { Vector3 } from 'three';
import { describe, expect, it } from 'vitest';
import { jointFigures, type Piece } from '@/core';
import { baseOf, CONSTRUCTIONS, derived } from '../fixtures/constructions';
import { change } from '../fixtures/demo';

// True sections and angles of mortises that lie askew to their part, found again by vectors of three.js (MIT) from the
// corners of the tenon that goes in: its edges, not the axes it was made from.

const named = (name: string) => CONSTRUCTIONS.find((c) => c.name.includes(name))!.document;
const v = (p: readonly [number, number, number]) => new Vector3(...p);
const figure = (piece: Piece, joint: string, id: string) =>
  jointFigures(piece, joint).find((own) => own.id === `joint-${id}`)?.quantity.amount;

/** Directions of the edges of a tenon, and how far it reaches along each. */
function edgesOf(piece: Piece, joint: string): { way: Vector3; reach: number }[] {
  const tenon = piece.joints.find(({ id }) => id === joint)!.added[0]!.solid;
  const ways: Vector3[] = [];
  for (const loop of tenon.loops) {
    loop.forEach((i, k) => {
      const way = v(tenon.corners[loop[(k + 1) % loop.length]!]!).sub(v(tenon.corners[i]!));
      if (way.length() < 1e-6) return;
      way.normalize();
      if (!ways.some((known) => Math.abs(known.dot(way)) > 1 - 1e-9)) ways.push(way);
    });
  }
  return ways.map((way) => {
    const places = tenon.corners.map((p) => v(p).dot(way));
    return { way, reach: Math.max(...places) - Math.min(...places) };
  });
}
const degrees = (cosine: number) => (Math.acos(Math.min(1, Math.abs(cosine))) * 180) / Math.PI;

describe('a stretcher in crossed legs', () => {
  const document = named('a desk on crossed legs');
  const { piece } = derived(document);
  const joint = piece.joints.find(({ name }) => name.startsWith('Stretcher in the crossing'))!;
  const edges = edgesOf(piece, joint.id);
  const leg = piece.parts.find(({ id }) => id === joint.into)!;

  it('has a mortise of its tenon’s true section, not of the box round it', () => {
    const across = edges
      .filter(({ way }) => Math.abs(way.x) < 1e-6)
      .map(({ reach }) => reach)
      .sort((a, b) => a - b);
    expect(figure(piece, joint.id, 'wide')).toBeCloseTo(across[0]!, 6);
    expect(figure(piece, joint.id, 'long')).toBeCloseTo(across[1]!, 6);
    // The box round it along the leg’s own axes is larger both ways.
    const box = [leg.frame.length, leg.frame.width].map((axis) => {
      const places = joint.removed[0]!.solid.corners.map((p) => v(p).dot(v(axis)));
      return Math.max(...places) - Math.min(...places);
    });
    expect(Math.min(...box)).toBeGreaterThan(1.5 * across[0]!);
  });

  it('is turned in the face of its leg as the leg leans', () => {
    const upright = edges.find(({ way }) => Math.abs(way.z) > 0.999)!.way;
    expect(figure(piece, joint.id, 'turned')).toBeCloseTo(degrees(upright.dot(v(leg.frame.length))), 6);
    expect(figure(piece, joint.id, 'leans')).toBeUndefined();
  });

  it('leaves walls toward both edges of the leg that are found again corner by corner', () => {
    const far = (axis: Vector3, points: readonly (readonly [number, number, number])[]) =>
      Math.max(...points.map((p) => v(p).dot(axis)));
    const body = leg.placed.flatMap(({ corners }) => corners);
    const mortise = joint.removed.find(({ part }) => part === leg.id)!.solid.corners;
    const walls = [1, -1].map((side) => {
      const axis = v(leg.frame.width).multiplyScalar(side);
      return far(axis, body) - far(axis, mortise);
    });
    const told = jointFigures(piece, joint.id)
      .filter(({ id }) => id.startsWith('joint-wall'))
      .map(({ quantity }) => quantity.amount);
    for (const wall of walls) expect(told.some((own) => Math.abs(own - wall) < 1e-6)).toBe(true);
  });

  it('that leaves less than a third of the crossing is told', () => {
    const gutted = derived(
      change(document, (d) => {
        const base = baseOf(d, 'x-frame');
        base.leg = { width: 44, thickness: 45 };
        base.stretcher = { height: 110, thickness: 60 };
      }),
    );
    const check = gutted.checks.find(({ id }) => id === 'joints.section-left')!;
    expect(check.level).toBe('watch');
    expect(check.value.amount).toBeLessThan(100 / 3);
  });
});

describe('a brace in its rail', () => {
  it.each([
    'a breadboarded trestle table',
    'a square table on posts with diagonal braces',
    'a breakfast table on legs splayed',
  ])('%s: sections, and how far it leans from square, of every slanted tenon', (name) => {
    const { piece } = derived(named(name));
    const slanted = piece.joints.filter(({ id }) => figure(piece, id, 'leans') !== undefined);
    expect(slanted.length).toBeGreaterThan(0);
    for (const joint of slanted) {
      const face = v(joint.removed.find(({ part }) => part === joint.into)!.open[0]!).normalize();
      const edges = edgesOf(piece, joint.id);
      // The way in is the edge nearest to the way that the joint says; the ends of the tenon lie in the face.
      const way = edges.reduce((a, b) =>
        Math.abs(b.way.dot(v(joint.along!))) > Math.abs(a.way.dot(v(joint.along!))) ? b : a,
      ).way;
      expect(figure(piece, joint.id, 'leans')).toBeCloseTo(degrees(way.dot(face)), 5);
      const corners = joint.added[0]!.solid.corners.map(v);
      // Square to the way in the tenon is a rectangle: its sides are those of the mortise.
      const flat = corners.map((p) => p.clone().addScaledVector(way, -p.dot(way)));
      const sides = [figure(piece, joint.id, 'long')!, figure(piece, joint.id, 'wide')!];
      const diagonal = Math.max(...flat.flatMap((p) => flat.map((q) => p.distanceTo(q))));
      expect(Math.hypot(...sides)).toBeCloseTo(diagonal, 4);
    }
  });
});
