import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { baseOf, CONSTRUCTIONS, derived } from '../../../../tests/fixtures/constructions';
import { change, level } from '../../../../tests/fixtures/demo';
import { drawView } from '../../drawing/drawing';
import { curveTables } from '../../format/curve-tables';
import { fullSizeDrawings } from '../../format/full-size';
import { volumeOf } from '../../solid/convex';
import { insideBy, polygonOf } from '../../solid/outline';
import { findPart } from '../piece';
import { taperAt, taperedLeg, taperOutline } from './taper';

const named = (words: string) => CONSTRUCTIONS.find((c) => c.name.includes(words))!.document;
const leg = { section: 54, length: 716 };
const taper = (hollow: number, faces: 'inside' | 'all' = 'inside') => ({ foot: 34, from: 610, faces, hollow });

/** How far in a face is, from the circle through its three points: Euclid's own construction of it. */
function onTheCircle(section: number, t: ReturnType<typeof taper>, height: number): number {
  const full = (section - t.foot) / (t.faces === 'all' ? 2 : 1);
  const chord = Math.hypot(t.from, full);
  const [mx, my] = [t.from / 2, full / 2];
  // Square to the chord, toward more inset.
  const [nx, ny] = [full / chord, t.from / chord];
  const radius = chord ** 2 / (8 * t.hollow) + t.hollow / 2;
  const [cx, cy] = [mx + nx * (t.hollow - radius), my + ny * (t.hollow - radius)];
  return cy + Math.sign(radius) * Math.sqrt(radius ** 2 - (height - cx) ** 2);
}

describe('a curved taper', () => {
  it('lies on its circle to within a fifth of a millimetre, wherever it is asked', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 1, max: 20, noNaN: true }),
        fc.constantFrom('inside' as const, 'all' as const),
        fc.double({ min: 0, max: 609, noNaN: true }),
        (hollow, faces, height) => {
          const own = taper(hollow, faces);
          expect(Math.abs(taperAt(54, own, height).inset - onTheCircle(54, own, height))).toBeLessThan(0.2);
        },
      ),
    );
    // A belly never stands out of the blank.
    fc.assert(
      fc.property(
        fc.double({ min: 1, max: 40, noNaN: true }),
        fc.double({ min: 0, max: 609, noNaN: true }),
        (by, at) => {
          expect(taperAt(54, taper(-by), at).inset).toBeGreaterThanOrEqual(0);
        },
      ),
    );
  });

  it('as solids: the volume of sections summed up the leg in thousandths', () => {
    for (const own of [taper(9), taper(9, 'all'), taper(-6), taper(0), taper(30)]) {
      const solids = taperedLeg(leg, own, [1, -1]);
      const n = 7160;
      const sides = own.faces === 'all' ? 2 : 1;
      const summed = Array.from({ length: n }, (_, i) => {
        const side = 54 - sides * taperAt(54, own, ((i + 0.5) * 716) / n).inset;
        return (side ** 2 * 716) / n;
      }).reduce((sum, v) => sum + v, 0);
      expect(volumeOf(solids) / summed, JSON.stringify(own)).toBeCloseTo(1, 5);
    }
  });

  it('has every corner of its solids on the outline of its template', () => {
    for (const own of [taper(9), taper(12, 'all'), taper(-4, 'all')]) {
      const outline = polygonOf(taperOutline(leg, own));
      const solids = taperedLeg(leg, own, [1, 1]);
      for (const [l, w] of solids.flatMap((solid) => solid.corners)) {
        expect(insideBy(outline, [l, w]), `${l} ${w}`).toBeLessThan(0.25);
        expect(insideBy(outline, [l, w]), `${l} ${w}`).toBeGreaterThan(-0.25);
      }
    }
  });

  it('is drawn as one shape with its waist, from the front and the end', () => {
    const { piece } = derived(named('hollowed to their feet'));
    const { section } = baseOf(named('hollowed to their feet'), 'leg-apron').leg;
    const own = findPart(piece, 'leg-front-left')!;
    for (const view of ['front', 'end'] as const) {
      const shapes = drawView(piece, view).shapes.filter((s) => s.part === own.id && s.style === 'seen');
      expect(shapes).toHaveLength(1);
      const { points } = shapes[0]!;
      // At half the taper's height its inner side is the straight taper's and the hollow in from the blank's.
      const [t, mid] = [own.taper!, -own.taper!.from / 2];
      const outside = Math.min(...points.map((p) => p[0]));
      const inner = Math.max(...points.filter((p) => Math.abs(p[1] - mid) < 40).map((p) => p[0]));
      expect(inner - outside).toBeLessThan(section - (section - t.foot) / 2 - t.hollow! + 1.5);
      expect(points.length).toBeGreaterThan(10);
    }
  });

  it('goes out at full size with its true arc, and a table of offsets from the chord', () => {
    const { piece } = derived(named('hollowed to their feet'));
    const drawings = fullSizeDrawings(piece, { system: 'metric' } as never);
    const sheet = drawings.find((d) => d.id === 'template-leg-front-left-width')!;
    const outline = sheet.marks.find((m) => m.kind === 'line' && m.layer === 'OUTLINE')!;
    expect(outline.kind === 'line' && outline.sagittas?.filter((s) => s !== 0)).toEqual([-9]);
    const table = curveTables(piece).find((t) => t.name.includes('Leg'))!;
    expect(table.sagitta).toBe(9);
    const from = findPart(piece, 'leg-front-left')!.taper!.from;
    expect(table.chord).toBeCloseTo(Math.hypot(from, 20), 9);
    // 1 : 1 in the middle, by the sagitta's own formula elsewhere.
    const middle = table.offsets.find((o) => Math.abs(o.along - table.chord / 2) < 1e-6)!;
    expect(middle.off).toBeCloseTo(9, 9);
  });

  it('stretchers meet it on their shoulders: a leaning face, nothing in anything', () => {
    const job = derived(named('hollowed to their feet'));
    expect(level(job, 'form.parts-meet')).toBe('good');
    const own = findPart(job.piece, 'leg-front-left')!;
    const { slope } = taperAt(own.size.width, own.taper!, 190);
    const stretcher = findPart(job.piece, 'stretcher-left')!;
    expect(stretcher.ends!.start.mitre).toBeCloseTo((Math.atan(Math.abs(slope)) * 180) / Math.PI, 9);
    // With a tenth of a millimetre between its shoulder and the hollow over its height.
    const straight = change(named('hollowed to their feet'), (d) => {
      baseOf(d, 'leg-apron').leg.taper = { kind: 'tapered', foot: 34, faces: 'inside', hollow: 0 };
    });
    const longer = stretcher.shoulderLength - findPart(derived(straight).piece, 'stretcher-left')!.shoulderLength;
    const inset = taperAt(own.size.width, own.taper!, 190).inset;
    const before = taperAt(own.size.width, { ...own.taper!, hollow: 0 }, 190).inset;
    expect(longer / 2).toBeCloseTo(inset - before, 0);
  });

  it('is told where legs lean, and the wall beside a mortise is that of the curve', () => {
    const leaning = derived(
      change(named('hollowed to their feet'), (d) => {
        baseOf(d, 'leg-apron').leg.splay = { ends: 4, sides: 0 };
      }),
    );
    expect(leaning.problems.map((p) => p.where)).toContain('form.base.leg.taper.hollow');
    const deep = derived(
      change(named('hollowed to their feet'), (d) => {
        baseOf(d, 'leg-apron').leg.taper = { kind: 'tapered', foot: 34, faces: 'inside', hollow: 24 };
      }),
    );
    const wall = deep.checks.find((c) => c.id === 'joints.walls')!;
    const plain = derived(named('hollowed to their feet')).checks.find((c) => c.id === 'joints.walls')!;
    expect(wall.value.amount).toBeLessThan(plain.value.amount);
  });
});
