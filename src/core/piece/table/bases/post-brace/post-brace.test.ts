import ManifoldModule from 'manifold-3d';
import { Matrix4, Plane, Vector3 } from 'three';
import { beforeAll, describe, expect, it } from 'vitest';
import { baseOf, CONSTRUCTIONS, derived } from '../../../../../../tests/fixtures/constructions';
import { change, level } from '../../../../../../tests/fixtures/demo';
import { dropOf } from '../../../../joint/loose-wedge';
import type { Convex } from '../../../../solid/convex';
import { findPart } from '../../../piece';
import { makingOf } from '../../making-of';
import { legBlanks } from '../leg-apron/making';

type Manifold = InstanceType<Awaited<ReturnType<typeof ManifoldModule>>['Manifold']>;
let hull: (points: [number, number, number][]) => Manifold;
beforeAll(async () => {
  const wasm = await ManifoldModule();
  wasm.setup();
  hull = (points) => wasm.Manifold.hull(points);
});
const solid = (convex: Convex) => hull(convex.corners.map((p) => [...p]));

const named = (words: string) => CONSTRUCTIONS.find((c) => c.name.includes(words))!.document;
const wedged = () => named('on square posts');
const diagonal = () => named('with diagonal braces');

describe('diagonal braces', () => {
  it('rise at 45° and run out as far along the table as across it, from the post’s side to the rail (three.js vectors)', () => {
    const { piece } = derived(diagonal());
    const { section } = baseOf(diagonal(), 'post-brace').post;
    for (const [where, side] of [
      ['left', -1],
      ['right', 1],
    ] as const) {
      for (const [word, way] of [
        ['front', -1],
        ['back', 1],
      ] as const) {
        const brace = findPart(piece, `brace-${where}-${word}`)!;
        const rail = findPart(piece, `top-rail-${word}`)!;
        const run = new Vector3(...brace.frame.length);
        const plan = new Vector3(run.x, run.y, 0);
        expect((run.angleTo(plan) * 180) / Math.PI).toBeCloseTo(45, 9);
        expect(Math.sign(run.x)).toBe(-side);
        expect(Math.abs(run.x)).toBeCloseTo(Math.abs(run.y), 9);
        // Its axis meets the rail's middle at its underside.
        const under = rail.frame.at[2] - rail.size.thickness / 2;
        const at = new Vector3(...brace.frame.at);
        const head = at.clone().addScaledVector(run, (under - at.z) / run.z);
        expect(head.y).toBeCloseTo(rail.frame.at[1], 9);
        const foot = at.clone().addScaledVector(run, ((way * section) / 2 - at.y) / run.y);
        expect(foot.x).toBeCloseTo(findPart(piece, `post-${where}`)!.frame.at[0], 9);
      }
    }
  });

  it('have shoulders askew both ways at the post: as the angles in face and edge of a cut by a plane (three.js matrices)', () => {
    const { piece } = derived(diagonal());
    const brace = findPart(piece, 'brace-right-back')!;
    // The same brace laid on the saw: its own axes along x, y, z; where the post's side face then lies.
    const { length, width, thickness } = brace.frame;
    const laid = new Matrix4()
      .makeBasis(new Vector3(...length), new Vector3(...width), new Vector3(...thickness))
      .invert();
    const face = new Plane(new Vector3(0, 1, 0), 0).applyMatrix4(laid);
    // The line of the cut on the face side (z the same), and on the edge (y the same), against square.
    const onFace = new Vector3(0, 0, 1).cross(face.normal);
    const mitre = 90 - (Math.acos(Math.abs(onFace.clone().normalize().x)) * 180) / Math.PI;
    expect(brace.ends!.start.mitre).toBeCloseTo(mitre, 6);
    const bevel = (Math.asin(Math.abs(face.normal.z)) * 180) / Math.PI;
    expect(brace.ends!.start.bevel).toBeCloseTo(bevel, 6);
    // By hand: the normal is (½, ½, √½) along, across and through the brace.
    expect(brace.ends!.start.mitre).toBeCloseTo(45, 6);
    expect(brace.ends!.start.bevel).toBeCloseTo(45, 6);
    // Under the level rail it is one plain cut.
    expect(brace.ends!.end).toEqual({ mitre: expect.closeTo(45, 6), bevel: expect.closeTo(0, 6) });
  });

  it('the pressed two hold a push from the end: moments about a post’s head, brace by brace (statics)', () => {
    const document = diagonal();
    const job = derived(document);
    const { push } = document.form.loads;
    const height = document.form.base.height - document.form.top.thickness;
    const { width, thickness } = baseOf(document, 'post-brace').braces;
    const braces = ['front', 'back'].map((word) => findPart(job.piece, `brace-right-${word}`)!);
    // What one newton in each brace does about the head of the post, in the plane along the table.
    const rails = findPart(job.piece, 'top-rail-front')!;
    const head = new Vector3(0, 0, rails.frame.at[2] - rails.size.thickness / 2);
    const moment = braces.reduce((sum, brace) => {
      const run = new Vector3(...brace.frame.length);
      const post = findPart(job.piece, 'post-right')!.frame.at[0];
      const at = new Vector3(...brace.frame.at);
      const foot = at.clone().addScaledVector(run, (post - at.x) / run.x);
      const arm = new Vector3(0, 0, foot.z).sub(head);
      return sum + Math.abs(arm.cross(new Vector3(run.x, 0, 0)).y);
    }, 0);
    const stress = (push * height) / moment / (width * thickness);
    expect(job.checks.find((c) => c.id === 'strength.racking-along')!.value.amount).toBeCloseTo(stress, 6);
  });
});

describe('a stringer wedged down', () => {
  it('goes in raised by its drop without touching, drops, and is then kept by the wedge (manifold-3d)', () => {
    const { piece } = derived(wedged());
    const post = findPart(piece, 'post-right')!;
    const joint = piece.joints.find((own) => own.id === 'post-right/stringer')!;
    const room = piece.joints.find((own) => own.id === 'post-right/wedge-right')!;
    const tenon = solid(joint.added[0]!.solid);
    const empty = [...joint.removed, ...room.removed].filter((cut) => cut.part === post.id);
    const wood = empty.reduce(
      (rest, cut) => rest.subtract(solid(cut.solid)),
      solid(findPart(piece, post.id)!.placed[0]!),
    );
    const drop = dropOf(post.size.width);
    for (const back of [post.size.width, 60, 20, 1]) {
      expect(tenon.translate([-back, 0, drop]).intersect(wood).volume(), `${back} mm to go`).toBeLessThan(1);
    }
    expect(tenon.intersect(wood).volume()).toBeLessThan(1);
    // Down, it does not come back: its far end is below the mortise's mouth.
    expect(tenon.translate([-20, 0, 0]).intersect(wood).volume()).toBeGreaterThan(100);
    // With the wedge over it, it does not rise.
    const wedge = solid(findPart(piece, 'wedge-right')!.placed[0]!);
    expect(tenon.translate([0, 0, 1]).intersect(wedge).volume()).toBeGreaterThan(100);
    expect(wedge.intersect(wood).volume()).toBeLessThan(1);
    // The wedge draws tight as it is driven inward.
    expect(wedge.translate([-5, 0, 0]).intersect(wood).volume()).toBeGreaterThan(10);
  });

  it('holds without glue: no joint of the base spreads its hold over a breadth', () => {
    for (const document of [wedged(), diagonal()]) {
      const { piece } = derived(document);
      const own = new Set(piece.parts.filter((p) => p.id !== 'top').map((p) => p.id));
      const base = piece.joints.filter((j) => own.has(j.into) && own.has(j.from));
      expect(base.length).toBeGreaterThan(12);
      // One point each: a second one would be glue.
      for (const joint of base) expect(joint.ties.length, joint.name).toBeLessThanOrEqual(1);
    }
  });

  it('its pegs and wedges are on the list, its work has no waiting for glue', () => {
    const job = derived(wedged());
    const pegs = job.piece.fittings.filter((f) => f.name === 'Pegs');
    expect(pegs.reduce((sum, f) => sum + f.count, 0)).toBe(8);
    const glue = job.operations.find((o) => o.id === 'glue-base')!;
    expect(glue.wait).toBe(0);
    expect(glue.name).toContain('wedges');
  });
});

describe('what cannot be built is told with its way out', () => {
  it.each([
    ['stringer', { at: 120 }, 'stringer.at'],
    ['stringer', { thickness: 100 }, 'stringer.thickness'],
    ['foot', { thickness: 60 }, 'foot.thickness'],
    ['rails', { apart: 900 }, 'rails.apart'],
    ['braces', { reach: 500 }, 'braces.reach'],
    ['braces', { thickness: 105 }, 'braces.thickness'],
  ] as const)('%s %j', (part, sizes, path) => {
    const { problems } = derived(
      change(wedged(), (d) => {
        Object.assign(baseOf(d, 'post-brace')[part], sizes);
      }),
    );
    expect(problems.map((p) => p.where)).toContain(`form.base.${path}`);
  });
});

describe('posts and feet of boards', () => {
  it('three each, planed to a third of the blank; no part stands in another', () => {
    const job = derived(wedged());
    const post = findPart(job.piece, 'post-left')!;
    const blanks = legBlanks(post, makingOf(wedged().form, 'post'));
    expect(blanks).toHaveLength(3);
    expect(blanks.reduce((sum, b) => sum + b.finished.thickness, 0)).toBeGreaterThan(post.size.thickness);
    expect(level(job, 'form.parts-meet')).toBe('good');
  });
});
