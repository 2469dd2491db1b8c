import { describe, expect, it } from 'vitest';
import { CONSTRUCTIONS, derived, topOf } from '../../../../../tests/fixtures/constructions';
import { change, level } from '../../../../../tests/fixtures/demo';
import { withChanges } from '../../../document/job-document';
import { boltPlaces, boltsFor, LEAST_OVER_POCKET, pocketDepth } from '../../../joint/draw-bolts';
import { boundsOf } from '../../../solid/convex';
import { findPart } from '../../piece';

const table = () => CONSTRUCTIONS.find((c) => c.name.includes('two bolted halves'))!.document;

describe('a top in two bolted halves', () => {
  it('has bolts no farther apart than asked, the outer ones near its ends, and dowels half-way between', () => {
    for (const length of [700, 1200, 2200, 3600]) {
      const { bolts, dowels } = boltPlaces(length, boltsFor(length));
      for (const [i, x] of bolts.slice(1).entries()) {
        expect(x - bolts[i]!).toBeLessThanOrEqual(450 + 1e-9);
        expect(dowels[i]).toBeCloseTo((x + bolts[i]!) / 2, 9);
      }
      expect(length / 2 - bolts.at(-1)!).toBeCloseTo(100, 9);
    }
    const few = change(table(), (d) => {
      topOf(d, 'halves').bolts = 3;
    });
    const check = derived(few).checks.find((c) => c.id === 'halves.bolts')!;
    expect(check.level).toBe('watch');
    expect(level(derived(withChanges(few, check.wayOut!.changes)), 'halves.bolts')).toBe('good');
  });

  it('pockets stay under the show face, and keep off every screw', () => {
    const { piece } = derived(table());
    expect(34 - pocketDepth(34)).toBeGreaterThanOrEqual(LEAST_OVER_POCKET);
    const joint = piece.joints.find(({ kind }) => kind === 'draw-bolts')!;
    const top = boundsOf(findPart(piece, 'half-front')!.placed).to[2];
    for (const { solid } of joint.removed)
      expect(solid.bounds.to[2]).toBeLessThanOrEqual(top - LEAST_OVER_POCKET + 1e-9);
    for (const { x, y } of piece.fasteners) {
      for (const { solid } of joint.removed) {
        const { from, to } = solid.bounds;
        const off = Math.max(from[0] - x, x - to[0], from[1] - y, y - to[1]);
        expect(off).toBeGreaterThan(5);
      }
    }
  });

  it('moves as one: held at one half, and free over the whole width of both', () => {
    const job = derived(
      change(table(), (d) => {
        d.season.homePlaceId = 'heron-ferry';
        d.form.hold = { kind: 'slotted-cleats', travel: 20, inward: null, screwLength: 35 };
      }),
    );
    expect(new Set(job.piece.fasteners.filter((f) => f.holdsMiddle).map((f) => f.holds))).toEqual(
      new Set(['half-front']),
    );
    expect(job.restraint.traps).toEqual([]);
    // The far half has farther to go than the held one.
    const need = (half: string) =>
      Math.max(
        0,
        ...job.restraint.ledger
          .filter(({ tie, axis }) => axis === 'y' && job.piece.fasteners.some((f) => f.id === tie && f.holds === half))
          .map((line) => Math.max(line.plus.need, line.minus.need)),
      );
    expect(need('half-back')).toBeGreaterThan(need('half-front'));
  });

  it('is glued up, carried and brought through the door half by half', () => {
    const job = derived(table());
    expect(job.demand.panels.map(({ id }) => id)).toEqual(['half-front', 'half-back']);
    for (const panel of job.demand.panels) expect(panel.finished.width).toBeCloseTo(500, 9);
    expect(job.glueUps).toHaveLength(2);
    const low = change(table(), (d) => {
      d.brief.door = { width: 900, height: 760 };
    });
    const whole = change(low, (d) => {
      const { bolts: _, ...sizes } = topOf(d, 'halves');
      d.form.top = {
        ...sizes,
        kind: 'glued-panel',
        outline: { kind: 'rectangle' },
        edge: { kind: 'square' },
        cutOuts: [],
        lift: null,
        stripes: null,
      };
    });
    expect(level(derived(whole), 'people.door')).toBe('stop');
    expect(level(derived(low), 'people.door')).not.toBe('stop');
  });

  it('a half that is cut leaves the other one the rest of the top, not its own width', () => {
    const cut = change(table(), (d) => {
      d.bench.locks = { 'half-front': { length: null, width: 512, thickness: null, on: '2027-03-20' } };
    });
    const job = derived(cut);
    const width = (id: string) => job.piece.parts.find((part) => part.id === id)!.size.width;
    expect(width('half-front')).toBe(512);
    expect(width('half-back')).toBeCloseTo(cut.form.top.width - 512, 9);
    expect(job.piece.overall.width).toBeCloseTo(cut.form.top.width, 9);
    // Both meet in the seam and the top stands in the middle of its base.
    const [front, back] = ['half-front', 'half-back'].map((id) => job.piece.parts.find((part) => part.id === id)!);
    expect(front!.frame.at[1] + front!.size.width / 2).toBeCloseTo(back!.frame.at[1] - back!.size.width / 2, 9);
    expect(back!.frame.at[1] + back!.size.width / 2).toBeCloseTo(cut.form.top.width / 2, 9);
    expect(job.checks.some((check) => check.level === 'stop')).toBe(false);
  });

  it('halves, fields, slabs and slats are asked for on saw and bench like any top', () => {
    for (const { name, document } of CONSTRUCTIONS) {
      const ids = derived(document).checks.map(({ id }) => id);
      expect(ids, name).toContain('machines.crosscut');
      expect(ids, name).toContain('machines.bench');
    }
  });
});
