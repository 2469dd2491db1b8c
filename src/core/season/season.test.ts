import { describe, expect, it } from 'vitest';
import { change, demoJob, derive, places } from '../../../tests/fixtures/demo';
import { airOnDay } from '../climate/place';
import { dayOfYear } from '../measure/calendar';
import { travelOfTop } from './restraint-of-piece';
import { leadingWidthAt, sizeAt } from './size-at';

const season = (edit: Parameters<typeof change>[1] = () => {}) =>
  derive(change(demoJob('1-square-table'), edit)).season;

describe('the season of a table', () => {
  it('stands in the shop’s air until delivery and in the home’s after', () => {
    const s = season();
    const emc = (place: string, day: string) =>
      airOnDay(places.find((p) => p.id === place)!.months, dayOfYear(day)).moisture;
    expect(s.moistures[s.delivered.index - 1]).toBeCloseTo(emc('shop', '2027-04-06'), 9);
    expect(s.moistures[s.delivered.index]).toBeCloseTo(emc('heron-ferry', '2027-04-07'), 9);
    expect(s.delivered.day).toBe('2027-04-07');
  });

  it('has at gluing the width that was drawn, and between its extremes on every day after', () => {
    const s = season();
    expect(leadingWidthAt(s, s.glued.moisture)).toBe(850);
    for (let i = s.glued.index; i < s.moistures.length; i += 7) {
      const width = leadingWidthAt(s, s.moistures[i]!);
      expect(width).toBeGreaterThanOrEqual(s.leadingWidth.driest - 1e-9);
      expect(width).toBeLessThanOrEqual(s.leadingWidth.wettest + 1e-9);
    }
  });

  it('delivered later, meets more of the shop’s year', () => {
    const s = season((d) => {
      d.season.deliveredOn = '2028-04-07';
    });
    expect(s.moistures[s.glued.index + 200]).toBeLessThan(season().moistures[s.glued.index + 200]!);
  });

  it('needs no travel in the middle and the more the further out', () => {
    const at = (sideOverhang: number) => {
      const job = derive(
        change(demoJob('1-square-table'), (d) => {
          d.form.top.sideOverhang = sideOverhang;
        }),
      );
      const middle = job.restraint.ties.find((tie) => tie.b === 'top' && !tie.slides)!;
      expect(middle.at.y).toBe(0);
      const reach = Math.abs(job.piece.fasteners.find((f) => !f.holdsMiddle)!.y);
      const [way] = travelOfTop(job.piece, job.restraint);
      return { need: way!.outward.need, share: reach / 850, grows: job.season.leadingWidth.wettest - 850 };
    };
    const [outer, inner] = [at(20), at(150)];
    expect(inner.need).toBeLessThan(outer.need);
    // The share of the growth at the fastener, less the little by which the aprons under it grow along their grain.
    for (const { need, share, grows } of [outer, inner]) expect(Math.abs(need - share * grows)).toBeLessThan(0.2);
  });

  it('starts from the width measured, at the moisture of the day it was measured', () => {
    const s = season((d) => {
      d.bench.locks.top = { length: null, width: 845, thickness: null, on: '2027-08-01' };
    });
    const august = s.moistures[212]!;
    expect(s.reference).toEqual({ width: 845, moisture: august, measuredOn: '2027-08-01' });
    expect(leadingWidthAt(s, august)).toBe(845);
    expect(s.leadingWidth.driest).toBeLessThan(845);
  });

  it('quarter-sawn moves less in width and more in thickness', () => {
    const swing = (angle: number) => {
      const s = season((d) => {
        d.season.ringAngle = angle;
      });
      return s.leadingWidth.wettest - s.leadingWidth.driest;
    };
    expect(swing(90) / swing(0)).toBeCloseTo(0.00169 / 0.00274, 1);
    const job = derive(demoJob('1-square-table'));
    const top = job.piece.parts[0]!;
    const wet = sizeAt(top, job.season, 14);
    // Along the grain next to nothing: a third of a millimetre at the most on this top.
    expect(wet.length - top.size.length).toBeGreaterThan(0);
    expect(wet.length - top.size.length).toBeLessThan(0.34);
    expect((wet.thickness - 25) / 25).toBeLessThan((wet.width - 850) / 850);
  });
});
