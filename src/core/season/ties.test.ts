import { describe, expect, it } from 'vitest';
import { change, demoJob, derive, type JobOn } from '../../../tests/fixtures/demo';
import { findPart } from '../piece/piece';
import { inPart } from '../solid/frame';

const table = (edit: (draft: JobOn<'leg-apron'>) => void = () => {}) => derive(change(demoJob('2-long-table'), edit));

describe('what a leg-and-apron table declares as tied', () => {
  const { piece, restraint } = table();
  const corners = restraint.ties.filter((tie) => tie.id.startsWith('leg-'));

  it('every apron to both its legs, every cross rail to both long aprons, every fastener to the top', () => {
    const pairs = new Set(corners.map((tie) => `${tie.a} ${tie.b}`));
    expect(pairs.size).toBe(8);
    const stubs = new Set(
      restraint.ties.filter((tie) => tie.b.startsWith('cross-rail')).map((tie) => `${tie.a} ${tie.b}`),
    );
    expect(stubs.size).toBe(2 * piece.parts.filter((part) => part.kind === 'cross-rail').length);
    const held = restraint.ties.filter((tie) => tie.b === 'top');
    expect(held.map((tie) => tie.id).sort()).toEqual(piece.fasteners.map((fastener) => fastener.id).sort());
  });

  it('corner ties lie inside the leg, at the height of the tenon', () => {
    for (const tie of corners) {
      const [leg, apron] = [findPart(piece, tie.a)!, findPart(piece, tie.b)!];
      const [, across, through] = inPart(leg.frame, [tie.at.x, tie.at.y, tie.at.z]);
      expect(Math.abs(across)).toBeLessThanOrEqual(leg.size.width / 2);
      expect(Math.abs(through)).toBeLessThanOrEqual(leg.size.thickness / 2);
      expect(Math.abs(tie.at.z - apron.frame.at[2])).toBeLessThanOrEqual(apron.size.width / 2);
    }
  });

  it('the same on the right as on the left, and at the back as in front', () => {
    for (const { at } of corners) {
      for (const [x, y] of [
        [-at.x, at.y],
        [at.x, -at.y],
      ]) {
        expect(
          corners.some((tie) => Math.abs(tie.at.x - x!) < 1e-9 && Math.abs(tie.at.y - y!) < 1e-9 && tie.at.z === at.z),
        ).toBe(true);
      }
    }
  });

  it('nothing fights in a sound table, and every sliding fastener stands in the ledger with equal need at equal distance', () => {
    expect(restraint.traps).toEqual([]);
    const across = restraint.ledger.filter((line) => line.axis === 'y');
    expect(across).toHaveLength(piece.fasteners.filter((fastener) => !fastener.holdsMiddle).length);
    const needs = new Set(across.map((line) => Math.max(line.plus.need, line.minus.need).toFixed(6)));
    expect(needs.size).toBe(1);
  });
});

describe('what then follows for the piece', () => {
  const byId = (job: ReturnType<typeof table>, id: string) => job.checks.find((check) => check.id === id);

  it('one wide tenon glued across a leg is a trap that names leg and apron; parted by loose tenons it is none', () => {
    const deep = table((d) => {
      d.form.base.apron.height = 320;
    });
    const trap = byId(deep, 'season.ties-1')!;
    expect(trap.level).toBe('stop');
    expect(trap.where.some((id) => id.startsWith('leg-'))).toBe(true);
    expect(trap.where.some((id) => id.startsWith('apron-'))).toBe(true);
    expect(trap.value.amount).toBeGreaterThan(0.5);
    expect(byId(table(), 'season.ties')!.level).toBe('good');
  });

  it('screws through the rail stop the work, and the way out lets the top go', () => {
    const screwed = table((d) => {
      d.form.hold = { kind: 'rail-screws', travel: 0, inward: null, screwLength: 45 };
    });
    const check = byId(screwed, 'season.top-travel')!;
    expect(check.level).toBe('stop');
    expect(check.limit.amount).toBe(0);
    const mended = table((d) => {
      d.form.hold = check.wayOut!.changes.find((c) => c.path === 'form.hold')!.value as typeof d.form.hold;
    });
    expect(byId(mended, 'season.top-travel')!.level).not.toBe('stop');
  });

  it('needs scale with the width of the top, and vanish in air that never changes', () => {
    const need = (width: number) =>
      byId(
        table((d) => (d.form.top.width = width)),
        'season.top-travel',
      )!.value.amount;
    expect(need(1000) / need(500)).toBeGreaterThan(1.9);
    const still = { temperature: 20, relativeHumidity: 50 };
    const calm = derive(demoJob('2-long-table'), {
      places: (['shop', 'home'] as const).map((kind) => ({
        ...{ id: kind === 'shop' ? 'shop' : 'heron-ferry', name: kind, kind, note: '', room: null, logged: [] },
        months: Array.from({ length: 12 }, () => still),
      })),
    });
    expect(byId(calm, 'season.top-travel')!.value.amount).toBeLessThan(1e-6);
  });
});
