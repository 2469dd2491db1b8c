import ManifoldModule from 'manifold-3d';
import { beforeAll, describe, expect, it } from 'vitest';
import { CONSTRUCTIONS, derived } from '../../../tests/fixtures/constructions';
import { change, level } from '../../../tests/fixtures/demo';
import { drawView } from '../drawing/drawing';
import { writePhrase } from '../measure/write-quantity';
import type { Convex } from '../solid/convex';
import { solidInPiece } from '../solid/frame';
import type { Part } from './part';
import type { TablePiece } from './piece';
import { BASE_KINDS, TOP_KINDS } from './table/form';
import { HOLDS } from './table/holds/hold';
import { partVolume } from './weight';

type Manifold = InstanceType<Awaited<ReturnType<typeof ManifoldModule>>['Manifold']>;
let hull: (points: [number, number, number][]) => Manifold;
let union: (solids: Manifold[]) => Manifold;

beforeAll(async () => {
  const wasm = await ManifoldModule();
  wasm.setup();
  hull = (points) => wasm.Manifold.hull(points);
  union = (solids) => wasm.Manifold.union(solids);
});

const solid = (convex: Convex) => hull(convex.corners.map((p) => [...p]));
/** A part as it is made, by a library for solids: its body, tenons added, mortises and notches taken out. */
const made = (part: Part) => {
  const body = union(part.body.map((own) => solid(solidInPiece(part.frame, own))));
  const less = (whole: Manifold, late: boolean) =>
    part.removed
      .filter((cut) => (cut.late ?? false) === late)
      .reduce((rest, { solid: taken }) => rest.subtract(solid(taken)), whole);
  return less(union([less(body, false), ...part.added.map((grown) => solid(grown.solid))]), true);
};

describe.each(CONSTRUCTIONS.map((c) => [c.name, c] as const))('%s', (_, { document, bad }) => {
  const job = derived(document);

  it('can be built: nothing stops the work', () => {
    const stops = job.checks.filter((check) => check.level === 'stop');
    expect(stops.map((c) => `${c.id}: ${writePhrase(c.sentence, { system: 'metric' })}`)).toEqual([]);
  });

  it(`stopped with ${bad.how}`, () => {
    const worse = derived(change(document, bad.edit));
    expect(level(worse, bad.stop)).toBe('stop');
  });

  it('no part stands in another once its joints are cut, and their volumes are what the weight is reckoned from', () => {
    const solids = job.piece.parts.map((part) => ({ part, solid: made(part) }));
    for (const [i, a] of solids.entries()) {
      // Mortises that overlap each other are taken out once: what is reckoned may only be a little off.
      expect(a.solid.volume() * 1e-9, a.part.name).toBeCloseTo(partVolume(a.part), 6);
      for (const b of solids.slice(i + 1)) {
        expect(a.solid.intersect(b.solid).volume(), `${a.part.name} and ${b.part.name}`).toBeLessThan(1);
      }
    }
  });

  it('is as large as it says, its feet on the floor and its top at its height', () => {
    const { overall, parts, feet } = job.piece;
    const all = parts.flatMap((part) => part.body.flatMap((own) => solidInPiece(part.frame, own).corners));
    const high = Math.max(...all.map((p) => p[2]));
    expect(high).toBeCloseTo(overall.height, 6);
    expect(Math.min(...all.map((p) => p[2]))).toBeGreaterThan(-1e-6);
    expect(feet.length).toBeGreaterThanOrEqual(3);
    for (const view of ['plan', 'front', 'end'] as const) {
      const { dimensions, shapes, bounds } = drawView(job.piece, view);
      expect(shapes.length).toBeGreaterThan(2);
      expect(bounds.width).toBeGreaterThan(0);
      for (const d of dimensions) {
        expect(Math.hypot(d.to[0] - d.from[0], d.to[1] - d.from[1]), `${view} ${d.id}`).toBeCloseTo(d.value, 3);
      }
    }
  });

  it('every part but the top is joined to another, and the top is held', () => {
    const joined = new Set(job.piece.joints.flatMap(({ into, from }) => [into, from]));
    const held = new Set(job.piece.fasteners.flatMap(({ holds, on }) => [holds, on]));
    for (const part of job.piece.parts) {
      expect(joined.has(part.id) || held.has(part.id), part.name).toBe(true);
    }
  });
});

describe('together they cover', () => {
  it('every way of holding a top, every kind of top and base, and every joint', () => {
    const jobs = CONSTRUCTIONS.map((c) => derived(c.document));
    expect(new Set(CONSTRUCTIONS.map((c) => c.document.form.hold.kind))).toEqual(new Set(Object.keys(HOLDS)));
    expect(new Set(jobs.map((job) => job.piece.kind.top)).size).toBe(TOP_KINDS.length);
    expect(new Set(jobs.map((job) => job.piece.kind.base)).size).toBe(BASE_KINDS.length);
    const kinds = new Set(jobs.flatMap((job) => job.piece.joints.map((joint) => joint.kind)));
    expect([...kinds].sort()).toEqual([
      'bolted',
      'breadboard',
      'breadboard-pegs',
      'bridle',
      'cast',
      'connector',
      'corner-block',
      'corner-plate',
      'dovetail-rail',
      'dowels',
      'draw-bolts',
      'end-seam',
      'frame-mitre',
      'half-lap',
      'leaf-pins',
      'leg-lap',
      'leg-mitre',
      'let-in',
      'loose-tenon',
      'loose-wedge',
      'mechanism',
      'meeting-arms',
      'mitre-dowels',
      'mitre-spline',
      'mortise-tenon',
      'notch',
      'panel-groove',
      'pegs',
      'pocket-screws',
      'screwed',
      'set-in',
      'shelf-board',
      'slide-key',
      'slide-way',
      'stub-tenon',
      'through-tenon',
      'tusk',
      'twin-tenon',
    ]);
  });
});

describe('the stretcher’s ends', () => {
  const pieceOf = (name: string) => derived(CONSTRUCTIONS.find((c) => c.name.includes(name))!.document).piece;
  const part = (piece: TablePiece, id: string) => piece.parts.find((own) => own.id === id)!;

  it('a tusk bears on the post’s outer face, and its mortise begins behind that face so that it can draw', () => {
    const piece = pieceOf('drawn by tusks');
    const post = part(piece, 'post-right');
    const face = post.frame.at[0] + post.size.thickness / 2;
    const tusk = part(piece, 'tusk-right').placed.flatMap((solid) => solid.corners);
    expect(Math.min(...tusk.map((p) => p[0]))).toBeCloseTo(face, 9);
    const hole = part(piece, 'stretcher').removed.filter((cut) => cut.what === 'tusk’s mortise');
    const inner = hole.flatMap((cut) => cut.solid.corners).filter((p) => p[0] > 0);
    expect(Math.min(...inner.map((p) => p[0]))).toBeCloseTo(face - 2, 9);
    // 1 in 8 over its length.
    const [top, foot] = [Math.max(...tusk.map((p) => p[2])), Math.min(...tusk.map((p) => p[2]))];
    const out = (z: number) => Math.max(...tusk.filter((p) => Math.abs(p[2] - z) < 1e-6).map((p) => p[0]));
    expect((out(top) - out(foot)) / (top - foot)).toBeCloseTo(1 / 8, 9);
  });

  it('wedges split into kerfs that end in holes of half an inch inside the post (common practice)', () => {
    const piece = pieceOf('wedged stretcher');
    const post = part(piece, 'post-right');
    const holes = part(piece, 'stretcher').removed.filter((cut) => cut.what === 'relief hole');
    expect(holes).toHaveLength(4);
    for (const { bore } of holes) {
      expect(Math.abs(bore!.diameter - 12.7)).toBeLessThan(1);
      expect(Math.abs(Math.abs(bore!.from[0]) - Math.abs(post.frame.at[0]))).toBeLessThan(post.size.thickness / 2);
    }
  });
});

describe('what is cut is followed', () => {
  const lock = (width: number | null, thickness: number | null) => ({
    length: null,
    width,
    thickness,
    on: '2027-03-20',
  });

  it('a foot planed lower than drawn makes the posts longer, and the table stays as high', () => {
    const { document } = CONSTRUCTIONS.find((c) => c.name.includes('drawn by tusks'))!;
    const before = derived(document).piece;
    const after = derived(
      change(document, (d) => {
        d.bench.locks = { 'foot-left': lock(64, null), 'foot-right': lock(64, null) };
      }),
    ).piece;
    const post = (piece: typeof before) => piece.parts.find((part) => part.id === 'post-left')!;
    expect(post(after).shoulderLength - post(before).shoulderLength).toBeCloseTo(6, 9);
    expect(after.overall.height).toBe(before.overall.height);
    expect(after.parts.find((part) => part.id === 'foot-left')!.design.width).toBe(70);
  });

  it('crossed legs narrower than drawn cross at another angle, their feet where they were', () => {
    const { document } = CONSTRUCTIONS.find((c) => c.name.includes('a desk on crossed legs'))!;
    const before = derived(document).piece;
    const after = derived(
      change(document, (d) => {
        d.bench.locks = Object.fromEntries(
          ['left-a', 'left-b', 'right-a', 'right-b'].map((id) => [`leg-${id}`, lock(64, 43)]),
        );
      }),
    ).piece;
    const mitre = (piece: typeof before) => piece.parts.find((part) => part.id === 'leg-left-a')!.ends!.start.mitre;
    expect(mitre(after)).not.toBeCloseTo(mitre(before), 2);
    expect(after.base.width).toBeCloseTo(before.base.width, 6);
    expect(derived(document).checks.some((c) => c.level === 'stop')).toBe(false);
  });

  it('arms thinner than drawn have their tongues and the legs’ bridles follow', () => {
    const { document } = CONSTRUCTIONS.find((c) => c.name.includes('an oval table'))!;
    const after = derived(
      change(document, (d) => {
        d.bench.locks = Object.fromEntries([1, 2, 3, 4].map((i) => [`arm-${i}`, lock(50, null)]));
      }),
    ).piece;
    expect(after.knees.height).toBeCloseTo(after.overall.height - after.top.size.thickness - 50, 6);
  });
});
