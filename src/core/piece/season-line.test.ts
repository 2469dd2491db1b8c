import { describe, expect, it } from 'vitest';
import { boards, change, demoJob, derive, type JobOn } from '../../../tests/fixtures/demo';
import { planLayout } from '../layout/plan-layout';
import type { Season } from '../season/season-state';
import { leadingWidthAt } from '../season/size-at';

const job = (edit: (draft: JobOn<'leg-apron'>) => void = () => {}) => derive(change(demoJob('2-long-table'), edit));
const simulated = (season: Season) => season.line.mean;
const swing = (line: readonly number[], from: number) => Math.max(...line.slice(from)) - Math.min(...line.slice(from));

describe('the simulated line of a piece', () => {
  it('lags behind the air and swings less', () => {
    const { season } = job();
    const settled = season.delivered.index + 120;
    expect(swing(simulated(season), settled)).toBeLessThan(swing(season.air, settled));
    const peak = (line: readonly number[]) => line.indexOf(Math.max(...line.slice(settled)), settled);
    expect(peak(simulated(season))).toBeGreaterThan(peak(season.air));
  });

  it('a better finish and a thicker top swing less, a bare top more', () => {
    const of = (edit: (draft: JobOn<'leg-apron'>) => void) => {
      const { season } = job(edit);
      return swing(simulated(season), season.delivered.index + 60);
    };
    const oil = of(() => {});
    expect(
      of((d) => {
        d.plan.finish = 'film';
      }),
    ).toBeLessThan(oil - 0.3);
    expect(
      of((d) => {
        d.form.top.thickness = 60;
      }),
    ).toBeLessThan(oil);
    expect(
      of((d) => {
        d.season.coated = 'neither';
      }),
    ).toBeGreaterThanOrEqual(oil);
  });

  it('one face finished bends the top: its moisture slopes through the thickness, alike faces keep it level', () => {
    const steepest = (coated: 'both' | 'show') => {
      const { season } = job((d) => {
        d.plan.finish = 'film';
        d.season.coated = coated;
      });
      return Math.max(...season.line.slope.map(Math.abs));
    };
    expect(steepest('both')).toBeLessThan(1e-9);
    expect(steepest('show')).toBeGreaterThan(0.02);
  });

  it('reckoned as simulated the needs are smaller than at once, never larger', () => {
    const need = (reckoning: 'equilibrium' | 'simulated') =>
      job((d) => {
        d.season.reckoning = reckoning;
      }).checks.find((c) => c.id === 'season.top-travel')!.value.amount;
    expect(need('simulated')).toBeLessThan(need('equilibrium'));
    expect(need('simulated')).toBeGreaterThan(0.4 * need('equilibrium'));
  });

  it('delivered later it follows the shop longer; milled earlier it has come further to the shop’s air', () => {
    const late = job((d) => {
      d.season.deliveredOn = '2027-11-05';
    }).season;
    const soon = job().season;
    const november = late.delivered.index;
    expect(simulated(late)[november]).toBeLessThan(simulated(soon)[november]! - 1);
  });

  it('a day far away is reckoned without a fault', () => {
    const { season } = job((d) => {
      d.season.gluedOn = '2027-04-14';
      d.season.deliveredOn = '2149-01-01';
    });
    expect(simulated(season).every(Number.isFinite)).toBe(true);
  });
});

describe('a top of real strips', () => {
  const plain = job();
  const layout = planLayout(plain.demand, plain.boards, { ...plain.layoutOptions, effort: 400 });
  const laid = derive(demoJob('2-long-table'), { layout });

  it('moves as the sum of its strips, each with its board’s rings and moisture', () => {
    expect(laid.layoutState).toBe('current');
    expect(laid.season.strips).toHaveLength(layout.strips.length);
    const total = laid.season.strips.reduce((sum, strip) => sum + strip.width, 0);
    expect(total).toBeCloseTo(900, 6);
    const byStrip = layout.strips.map((strip) => boards.find((board) => board.id === strip.board)!.ringAngle);
    expect(laid.season.strips.map((strip) => strip.rings)).toEqual(byStrip);
    expect(leadingWidthAt(laid.season, 12)).not.toBeCloseTo(leadingWidthAt(plain.season, 12), 2);
  });

  it('on the day of gluing it is as wide as it was drawn, but for boards that have not come to rest', () => {
    expect(Math.abs(leadingWidthAt(laid.season, laid.season.glued.moisture) - 900)).toBeLessThan(0.4);
    const wet = boards.map((board) => ({ ...board, moisture: 14, moistureOn: laid.season.glued.day }));
    const fresh = derive(demoJob('2-long-table'), { layout, boards: wet }).season;
    // Glued wet, the top shrinks as it comes to the shop's air: nearly 5 % at some 0.35 % each.
    expect(leadingWidthAt(fresh, fresh.glued.moisture)).toBeLessThan(900 - 10);
    const rested = boards.map((board) => ({ ...board, moisture: 14, moistureOn: '2026-09-01' }));
    const old = derive(demoJob('2-long-table'), { layout, boards: rested }).season;
    expect(Math.abs(leadingWidthAt(old, old.glued.moisture) - 900)).toBeLessThan(0.1);
  });

  it('all of quarter-sawn boards it moves as quarter-sawn does', () => {
    const quarter = boards.map((board) => ({ ...board, ringAngle: 90 }));
    const season = derive(demoJob('2-long-table'), { layout, boards: quarter }).season;
    const ratio =
      (leadingWidthAt(season, 12) - leadingWidthAt(season, 8)) /
      (leadingWidthAt(plain.season, 12) - leadingWidthAt(plain.season, 8));
    expect(ratio).toBeCloseTo(0.00194 / 0.00364, 1);
  });
});

describe('what was measured', () => {
  it('moves the forecast toward what was found, in the drawing and in the checks', () => {
    const before = job();
    const on = '2027-12-17';
    const index = before.season.wettest.index;
    const found = leadingWidthAt(before.season, before.season.moistures[index]!) - 6;
    const after = job((d) => {
      d.season.measured = [{ on, width: found, note: '' }];
    });
    const { learned, leadingWidth } = after.season;
    expect(learned!.points[0]!.before - found).toBeCloseTo(6, 1);
    expect(Math.abs(learned!.points[0]!.after - found)).toBeLessThan(2.5);
    expect(leadingWidth.wettest).toBeLessThan(before.season.leadingWidth.wettest - 2);
    const need = (j: typeof before) => j.checks.find((c) => c.id === 'season.top-travel')!.value.amount;
    expect(need(after)).toBeLessThan(need(before));
  });
});

describe('a board whose pith is known', () => {
  it('gives each strip the rings of its own place across the board', () => {
    const plain = job();
    const layout = planLayout(plain.demand, plain.boards, { ...plain.layoutOptions, effort: 200 });
    const near = boards.map((board) => ({ ...board, ringCentre: { distance: 60, offset: 0 }, planes: null }));
    const { season } = derive(demoJob('2-long-table'), { layout, boards: near });
    season.strips.forEach((strip, i) => {
      const sawn = layout.placements.find((p) => p.part === 'top' && p.strip === i)!;
      const board = boards.find((b) => b.id === sawn.board)!;
      // A strip with its heart side up is turned over: what lay to the right of it lies to the left.
      const side = strip.heartUp ? 1 : -1;
      // A leaf lies above or below the middle of its board.
      const leaves = layout.placements.filter((p) => p.board === sawn.board && p.x === sawn.x && p.y === sawn.y).length;
      const above = sawn.layer === undefined ? 0 : board.thickness * (0.5 - (sawn.layer + 0.5) / leaves);
      const { distance, offset } = strip.rings as { distance: number; offset: number };
      expect(distance).toBeCloseTo(60 + above, 9);
      expect(offset).toBeCloseTo(side * (sawn.y + sawn.width / 2 - board.width / 2), 9);
    });
    // Near the pith the rings stand steeper than the boards' angles say: the top moves less.
    expect(leadingWidthAt(season, 14) - 900).toBeLessThan(leadingWidthAt(plain.season, 14) - 900);
  });
});
