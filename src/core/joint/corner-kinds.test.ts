import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { change, derive, insertedCorner, type JobOn, level, sixSeats } from '../../../tests/fixtures/demo';
import { withChanges } from '../document/job-document';
import { volume } from '../solid/convex';
import { distance } from '../solid/distance';
import { dowelDiameter } from './corner-dowels';
import { pocketScrewLength } from './corner-screws';
import { drawnReach } from './hold-strength';
import { type CornerInput, isInserted, legCorner } from './leg-corner';
import { legPeg, pegSetBack } from './pegs';

const plain = { tenonSchool: 'third', meeting: 'auto', tenonLength: null, tenonThickness: null } as const;
const bare = { ...plain, haunch: 'none', angled: 'in-line', pegs: 'none' } as const;
const corner = (kind: CornerInput['choice']['corner'], given: Partial<Omit<CornerInput, 'choice'>> = {}) =>
  legCorner({
    section: 60,
    apronThickness: 24,
    apronHeight: 100,
    reveal: 5,
    ...given,
    choice: { ...bare, corner: kind },
  });
const edited = (edit: (draft: JobOn<'leg-apron'>) => void) => change(sixSeats(), edit);
const on = (edit: Parameters<typeof edited>[0]) => derive(edited(edit));

describe('dowels in a corner', () => {
  it('are two fifths of the apron thick, between a third and a half of it (common practice)', () => {
    for (const [apron, dowel] of [
      [18, 8],
      [22, 8],
      [25, 10],
      [30, 12],
    ] as const) {
      expect(dowelDiameter(apron)).toBe(dowel);
      expect(dowel).toBeGreaterThanOrEqual(apron / 3 - 0.5);
      expect(dowel).toBeLessThanOrEqual(apron / 2);
    }
  });

  it('keep out of each other and inside the apron, whatever the sizes', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 40, max: 120, noNaN: true }),
        fc.double({ min: 18, max: 40, noNaN: true }),
        fc.double({ min: 60, max: 200, noNaN: true }),
        fc.double({ min: 0, max: 8, noNaN: true }),
        (section, apronThickness, apronHeight, reveal) => {
          fc.pre(reveal + apronThickness < section - 8);
          const own = corner('dowels', { section, apronThickness, apronHeight, reveal });
          if (!isInserted(own)) throw new Error(own.kind);
          const { tenon } = own;
          expect(own.clearance).toBeGreaterThanOrEqual(-1e-9);
          expect(tenon.topSet + (tenon.count - 1) * tenon.pitch + tenon.width).toBeLessThanOrEqual(apronHeight);
          // No two nearer than three times their thickness would be: the wood between them splits (common practice).
          if (tenon.count > 2) expect(tenon.pitch).toBeGreaterThanOrEqual(4 * tenon.thickness - 1e-9);
        },
      ),
    );
  });

  it('of one apron pass between those of the other in a thin leg', () => {
    const job = on((d) => {
      d.form.base.leg = {
        section: 45,
        taper: { kind: 'straight' },
        making: { kind: 'solid' },
        splay: { ends: 0, sides: 0 },
        through: null,
      };
      d.joints.corner = 'dowels';
      d.joints.meeting = 'staggered';
    });
    const { meeting, clearance } = insertedCorner(job.piece);
    expect(meeting).toBe('staggered');
    const leg = job.piece.parts.find((part) => part.id === 'leg-front-left')!;
    const holes = (apron: string) =>
      job.piece.joints
        .filter((joint) => joint.into === leg.id && joint.from === apron)
        .flatMap((joint) => joint.removed.filter((cut) => cut.part === leg.id));
    const [long, short] = [holes('apron-front'), holes('apron-left')];
    const nearest = Math.min(...long.flatMap((a) => short.map((b) => distance(a.solid, b.solid))));
    // Drawn with twelve sides a hole is a little wider here and narrower there than its circle.
    expect(Math.abs(nearest - clearance)).toBeLessThan(0.4);
  });

  it('ask for a bit and for dowels that fit, and lead to those there are', () => {
    const document = edited((d) => {
      d.joints = { ...d.joints, corner: 'dowels', tenonThickness: 9 };
    });
    const asked = derive(document).checks.find((check) => check.id === 'machines.dowel-bit')!;
    expect(asked.level).toBe('watch');
    const better = derive(withChanges(document, asked.wayOut!.changes));
    expect(level(better, 'machines.dowel-bit')).toBe('good');
    expect(insertedCorner(better.piece).tenon.thickness).toBe(8);
  });
});

describe('pocket screws', () => {
  it('are as long as the apron asks: 1 1/4 in for 3/4 in, 2 1/2 in for 1 1/2 in (common practice)', () => {
    expect(pocketScrewLength(19)).toBe(32);
    expect(pocketScrewLength(38)).toBe(64);
  });

  it('leave the middle of the apron’s end, at 15°, and stay in leg and apron', () => {
    const { piece } = on((d) => {
      d.joints.corner = 'pocket-screws';
    });
    const joint = piece.joints.find((own) => own.id === 'leg-front-left/apron-front')!;
    const apron = piece.parts.find((part) => part.id === 'apron-front')!;
    const hole = joint.removed.find((cut) => cut.part === 'apron-front' && cut.what === 'screw hole')!;
    const end = hole.solid.corners.filter(([x]) => Math.abs(x - -apron.shoulderLength / 2) < 1e-6);
    const middle = end.reduce((sum, p) => sum + p[1], 0) / end.length;
    expect(middle).toBeCloseTo(apron.frame.at[1], 6);
    const all = hole.solid.corners;
    const far = all.filter(([x]) => x > -apron.shoulderLength / 2 + 5);
    const rise = far.reduce((sum, p) => sum + p[1], 0) / far.length - middle;
    const run = far.reduce((sum, p) => sum + p[0], 0) / far.length + apron.shoulderLength / 2;
    expect((Math.atan2(rise, run) * 180) / Math.PI).toBeCloseTo(15, 1);
  });
});

describe('haunch and pegs', () => {
  const job = (haunch: 'square' | 'sloped', pegs: 'none' | 'draw-bored' = 'none') =>
    on((d) => {
      d.joints = { ...d.joints, haunch, pegs };
    });

  it('a square haunch is as deep as the tenon is thick and reaches the upper edge; a sloped one is half of it', () => {
    const solidOf = (own: ReturnType<typeof job>) =>
      own.piece.joints
        .find((joint) => joint.id === 'leg-front-left/apron-front')!
        .removed.find((cut) => cut.what === 'haunch')!.solid;
    const square = job('square');
    const { tenon } = insertedCorner(square.piece);
    const apron = square.piece.parts.find((part) => part.id === 'apron-front')!;
    expect(volume(solidOf(square))).toBeCloseTo(tenon.thickness * tenon.thickness * tenon.topSet, 6);
    expect(Math.max(...solidOf(square).corners.map((p) => p[2]))).toBeCloseTo(
      apron.frame.at[2] + apron.size.width / 2,
      9,
    );
    expect(volume(solidOf(job('sloped')))).toBeCloseTo(volume(solidOf(square)) / 2, 6);
  });

  it('a draw-bored peg’s hole in the tenon is nearer to the shoulder by a millimetre', () => {
    const { piece } = job('square', 'draw-bored');
    const joint = piece.joints.find((own) => own.id === 'leg-front-left/apron-front/pegs')!;
    const x = (late: boolean) => {
      const [cut] = joint.removed.filter((own) => (own.late ?? false) === late);
      const all = cut!.solid.corners;
      return all.reduce((sum, p) => sum + p[0], 0) / all.length;
    };
    expect(x(true) - x(false)).toBeCloseTo(1, 6);
    expect(pegSetBack(36, legPeg(60))).toBe(12);
  });
});

describe('a row of fasteners that a moment draws', () => {
  it('is reckoned from the edge they turn about', () => {
    expect(drawnReach([80])).toBe(80);
    expect(drawnReach([20, 80])).toBeCloseTo((400 + 6400) / 80, 9);
  });
});

describe('between legs that lean', () => {
  const leaning = (edit: (draft: JobOn<'leg-apron'>) => void) =>
    on((d) => {
      d.form.base.leg = { ...d.form.base.leg, splay: { ends: 6, sides: 6 } };
      d.form.base.stretchers = { kind: 'none' };
      edit(d);
    });

  it('pegs are neither cut nor listed, and asked for they stop the work', () => {
    const job = leaning((d) => {
      d.joints.pegs = 'draw-bored';
    });
    expect(level(job, 'form.impossible.joints.pegs')).toBe('stop');
    expect(job.piece.fittings.map(({ name }) => name)).not.toContain('Pegs');
    expect(job.checks.some(({ id }) => id === 'joints.peg-relish')).toBe(false);
  });

  it('a haunch that is chosen is said to be left away; tenons are square, and nobody is said to have chosen that', () => {
    const job = leaning((d) => {
      d.joints = { ...d.joints, haunch: 'square', meeting: 'mitred' };
    });
    expect(level(job, 'joints.haunch')).toBe('watch');
    const corner = insertedCorner(job.piece);
    expect(['clear', 'shortened']).toContain(corner.meeting);
    expect(JSON.stringify(corner.reason)).not.toMatch(/Chosen by you/);
    const none = leaning((d) => {
      d.joints.haunch = 'none';
    });
    expect(none.checks.some(({ id }) => id === 'joints.haunch')).toBe(false);
  });
});
