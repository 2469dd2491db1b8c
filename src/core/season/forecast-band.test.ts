import { describe, expect, it } from 'vitest';
import { change, demoJob, derive } from '../../../tests/fixtures/demo';
import { type Band, bandInputOf, drawBand } from './forecast-band';
import { moistureLine } from './moisture-line';
import { leadingWidthAt } from './size-at';

const finish = (input: ReturnType<typeof bandInputOf>, draws: number, seed = 1): Band => {
  const steps = drawBand(input, draws, seed);
  for (;;) {
    const step = steps.next();
    if (step.done) return step.value;
  }
};

describe('the band of a forecast', () => {
  const job = derive(demoJob('2-long-table'));
  const input = bandInputOf(job.season);
  const band = finish(input, 60);

  it('is the same for the same seed, and another for another', () => {
    expect(finish(input, 60).high).toEqual(band.high);
    expect(finish(input, 60, 2).high).not.toEqual(band.high);
  });

  it('lies round the simulated line on every day, narrow at the day of gluing, wide in the season', () => {
    for (let i = 5; i < band.low.length; i += 30) {
      const line = leadingWidthAt(job.season, moistureLine(job.season.lineInput).mean[band.from + i]!);
      expect(band.low[i]!).toBeLessThanOrEqual(band.middle[i]!);
      expect(band.middle[i]!).toBeLessThanOrEqual(band.high[i]!);
      expect(line).toBeGreaterThan(band.low[i]! - 1);
      expect(line).toBeLessThan(band.high[i]! + 1);
    }
    const width = (i: number) => band.high[i]! - band.low[i]!;
    expect(width(job.season.glued.index - band.from)).toBeLessThan(1);
    expect(width(job.season.wettest.index - band.from)).toBeGreaterThan(5);
  });

  it('tells its progress from nothing to all, a draw at a time', () => {
    const shares: number[] = [];
    const steps = drawBand(input, 8);
    for (let step = steps.next(); !step.done; step = steps.next()) shares.push(step.value);
    expect(shares).toEqual([1, 2, 3, 4, 5, 6, 7, 8].map((n) => n / 8));
  });

  it('narrows when widths were measured', () => {
    const { season } = job;
    const measured = [250, 320, 350, 400, 480].map((index) => ({
      on: new Date(Date.parse(`${season.start}T00:00:00Z`) + index * 86_400_000).toISOString().slice(0, 10),
      width: Math.round(leadingWidthAt(season, season.air[index]!) * 10) / 10,
      note: '',
    }));
    const surer = derive(
      change(demoJob('2-long-table'), (d) => {
        d.season.measured = measured;
      }),
    );
    const narrow = finish(bandInputOf(surer.season), 60);
    const day = season.wettest.index - band.from;
    expect(narrow.high[day]! - narrow.low[day]!).toBeLessThan(0.8 * (band.high[day]! - band.low[day]!));
  });
});
