import { describe, expect, it } from 'vitest';
import { baseOf, CONSTRUCTIONS, derived } from '../../../../../tests/fixtures/constructions';
import { change, demoJob, derive, level } from '../../../../../tests/fixtures/demo';
import { type HoldKind, withChanges } from '../../../document/job-document';
import { drawJoint, jointFamilies, jointFigures, wordsOfJoint } from '../../../drawing/joint-drawing';
import { fullSizeDrawings } from '../../../format/full-size';
import { boundsOf, gapBetween } from '../../../solid/convex';
import { inPart } from '../../../solid/frame';
import { findPart, type Piece } from '../../piece';
import { HOLDS } from './hold';
import { LEAST_BEHIND_SEAT, railThickness, travelInRail } from './hold-seats';

const table = (kind: HoldKind, travel: number, inward: number | null = null, thickness = 22) =>
  change(demoJob('1-square-table'), (d) => {
    d.form.hold = { ...d.form.hold, kind, travel, inward };
    d.form.base.apron.thickness = thickness;
  });
const seatsOn = ({ seats }: Piece, part: string) => seats.filter((seat) => seat.into === part);
/** How far a cut reaches into its rail from the face it comes in by, and how long it is along the rail. mm */
const sizeOf = (piece: Piece, part: string, what: RegExp) => {
  const rail = findPart(piece, part)!;
  const [cut] = seatsOn(piece, part).flatMap(({ removed }) => removed.filter((own) => what.test(own.what)));
  const own = cut!.solid.corners.map((p) => inPart(rail.frame, p));
  const span = (k: 0 | 1 | 2) => Math.max(...own.map((p) => p[k])) - Math.min(...own.map((p) => p[k]));
  return { along: span(0), high: span(1), deep: span(2) };
};

describe('what a fastener wants cut into its rail', () => {
  it('stands there for every one of them, in the part it sits on, for every way to hold a top', () => {
    for (const kind of Object.keys(HOLDS) as HoldKind[]) {
      const { piece } = derive(table(kind, 2));
      expect(piece.seats.map(({ id }) => id).sort(), kind).toEqual(
        piece.fasteners.map(({ id }) => `hold/${id}`).sort(),
      );
      for (const seat of piece.seats) {
        expect(seat.removed.length, seat.id).toBeGreaterThan(0);
        const rail = findPart(piece, seat.into)!;
        for (const { solid } of seat.removed) {
          expect(gapBetween(solid.bounds, boundsOf(rail.placed)), seat.id).toBeLessThan(0);
        }
      }
    }
  });

  it('a button’s slot is as deep as its tongue comes and goes, and keeps it in', () => {
    // Three stay in at the least, one is left before its bottom (common practice).
    const deep = (out: number, back: number | null) =>
      sizeOf(derive(table('buttons', out, back)).piece, 'apron-front', /button/).deep;
    expect(deep(5, null)).toBeCloseTo(14, 9);
    expect(deep(5, 1)).toBeCloseTo(10, 9);
    // Across the end aprons the one in the middle holds: its slot is as wide as the button.
    expect(sizeOf(derive(table('buttons', 5)).piece, 'apron-left', /button/).along).toBeCloseTo(25, 9);
  });

  it('a rail has exactly the room that is told: what is given up to it leaves the wall, and more does not', () => {
    for (const kind of ['buttons', 'clips', 'oversized-holes', 'inserts'] as const) {
      for (const thickness of [22, 28]) {
        const each = Math.min(HOLDS[kind].greatestTravel, travelInRail(kind, thickness, 0) / 2);
        const left = (travel: number) => {
          const check = derive(table(kind, travel, null, thickness)).checks.find((c) => c.id === 'fasteners.seats')!;
          return check.value.amount;
        };
        expect(left(each), `${kind} in ${thickness}`).toBeGreaterThan(LEAST_BEHIND_SEAT - 1e-6);
        if (each < HOLDS[kind].greatestTravel) {
          expect(left(each)).toBeCloseTo(LEAST_BEHIND_SEAT, 6);
          expect(left(each + 1)).toBeLessThan(LEAST_BEHIND_SEAT);
        }
      }
    }
  });

  it('steps aside from mortises and holes of the rail, toward its middle', () => {
    const job = derive(demoJob('2-long-table'));
    const { piece } = job;
    let beside = Number.POSITIVE_INFINITY;
    for (const id of ['apron-front', 'apron-back']) {
      const others = piece.joints.flatMap(({ removed }) => removed.filter((cut) => cut.part === id));
      expect(others.length).toBeGreaterThan(1);
      for (const seat of seatsOn(piece, id))
        for (const { solid } of seat.removed)
          for (const other of others) beside = Math.min(beside, gapBetween(solid.bounds, other.solid.bounds));
    }
    expect(beside).toBeGreaterThanOrEqual(5 - 1e-9);
    // Fasteners have gone along with what is cut for them.
    for (const { id, x, y } of piece.fasteners) {
      const { from, to } = boundsOf(piece.seats.find((seat) => seat.id === `hold/${id}`)!.removed.map((c) => c.solid));
      expect(x).toBeGreaterThan(from[0] - 40);
      expect(x).toBeLessThan(to[0] + 40);
      expect(y).toBeGreaterThan(from[1] - 40);
      expect(y).toBeLessThan(to[1] + 40);
    }
  });

  it('too much for the rail is stopped, and its way out is taken without a stop', () => {
    const bad = table('buttons', 9, 9);
    expect(level(derive(bad), 'fasteners.seats')).toBe('stop');
    const check = derive(bad).checks.find((c) => c.id === 'fasteners.seats')!;
    const mended = derive(withChanges(bad, check.wayOut!.changes));
    expect(mended.checks.filter((c) => c.level === 'stop')).toEqual([]);
    // The season of this one goes outward alone: the slot is set to one side and stays a button’s.
    expect(check.wayOut!.changes.map(({ path }) => path)).toEqual(['form.hold.travel', 'form.hold.inward']);
  });

  it('a slat over a mortise is not screwed through it: the hold that gets past is offered', () => {
    const { document } = CONSTRUCTIONS.find((c) => c.name.includes('a terrace table'))!;
    const screwed = change(document, (d) => {
      d.form.hold = { kind: 'rail-screws', travel: 0, inward: null, screwLength: 45 };
    });
    const check = derived(screwed).checks.find((c) => c.id === 'joints.cuts-meet')!;
    expect(check.level).toBe('stop');
    expect(level(derived(withChanges(screwed, check.wayOut!.changes)), 'joints.cuts-meet')).not.toBe('stop');
  });

  it('has a card, a drawing and figures like any other joint', () => {
    for (const kind of Object.keys(HOLDS) as HoldKind[]) {
      const { piece } = derive(table(kind, 2));
      const families = jointFamilies(piece).filter(({ joints }) => joints[0]?.kind === 'hold');
      expect(families.length, kind).toBeGreaterThan(0);
      for (const { id, joints, words } of families) {
        expect(words).toMatch(/ in (apron|cross rail)( [A-Z, ]+)?$/);
        expect(wordsOfJoint(joints[0]!).order.length).toBeGreaterThan(1);
        expect(drawJoint(piece, id, 'section')!.shapes.length).toBeGreaterThan(1);
        expect(jointFigures(piece, id).length).toBeGreaterThan(2);
      }
    }
  });

  it('stands on the rail’s story stick from end to end, longer on the side that is left free', () => {
    const document = change(CONSTRUCTIONS.find((c) => c.name.includes('a refectory table'))!.document, (d) => {
      d.form.hold = { kind: 'inserts', travel: 9, inward: 1, screwLength: 20 };
    });
    const { piece } = derived(document);
    const stick = fullSizeDrawings(piece, { system: 'metric' }).find(
      (d) => d.group === 'stick' && /bearer/i.test(d.title),
    )!;
    expect(JSON.stringify(stick.marks)).toMatch(/slot/);
    const bearer = findPart(piece, 'bearer-left')!;
    const outer = piece.fasteners
      .filter((f) => f.on === 'bearer-left' && !f.holdsMiddle)
      .reduce((a, b) => (b.y > a.y ? b : a));
    const [cut] = piece.seats.find(({ id }) => id === `hold/${outer.id}`)!.removed;
    const { from, to } = cut!.solid.bounds;
    const [out, back] = [to[1] - outer.y, outer.y - from[1]];
    expect(out - back).toBeCloseTo(8, 9);
    expect(bearer.size.length).toBeGreaterThan(to[1]);
  });

  it('of a rail that lies flat is its width measured across', () => {
    const { document } = CONSTRUCTIONS.find((c) => c.name.includes('bolted trestles with curved sides'))!;
    const bearer = derived(document).piece.parts.find(({ kind }) => kind === 'bearer')!;
    expect(railThickness(bearer)).toBe(baseOf(document, 'trestle').bearer.thickness);
  });
});
