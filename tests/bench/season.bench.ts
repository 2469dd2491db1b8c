import { bench, describe } from 'vitest';
import { bandInputOf, diffuse, diffusivityOf, drawBand, findSpecies } from '@/core';
import { demoJob, derive } from '../fixtures/demo';

const oak = findSpecies('oak-white');
if (!oak) throw new Error('no white oak');
const HOURS = 10 * 365 * 24;
const hourly = (hours: number) => ({
  moisture: Float64Array.from(
    { length: hours },
    (_, i) => 9 + 3 * Math.sin((2 * Math.PI * i) / 8760) + Math.sin((2 * Math.PI * i) / 24),
  ),
  temperature: Float64Array.from(
    { length: hours },
    (_, i) => 15 + 8 * Math.sin((2 * Math.PI * i) / 8760) + 4 * Math.sin((2 * Math.PI * i) / 24),
  ),
});
const simulate = (hours: number, cells: number, air = hourly(hours)) =>
  diffuse({
    thickness: 25,
    diffusivity: diffusivityOf(oak),
    faces: { upper: 1e-7, lower: 1e-7 },
    air,
    start: 8,
    steps: hours,
    step: 1 / 24,
    cells,
  });

/** Milliseconds of the quickest of a few runs: what else the machine does can only add to it. */
function quickest(run: () => void, runs = 9): number {
  return Math.min(
    ...Array.from({ length: runs }, () => {
      const start = performance.now();
      run();
      return performance.now() - start;
    }),
  );
}

const told = (what: string, reached: number, bound: number, unit = 'ms') =>
  console.log(`${what}: ${reached.toFixed(2)} ${unit}, bound ${bound} ${unit}: ${reached < bound ? 'held' : 'BROKEN'}`);

describe('diffusion: ten years, hourly, 60 cells, in under 200 ms', () => {
  const air = hourly(HOURS);
  bench('one board', () => void simulate(HOURS, 60, air), {
    iterations: 5,
    time: 0,
    teardown: (_, mode) => {
      if (mode !== 'run') return;
      told(
        'ten years hourly, 60 cells',
        quickest(() => void simulate(HOURS, 60, air)),
        200,
      );
      // Twice the steps, twice the cells: twice the time each, give or take a half.
      const one = quickest(() => void simulate(HOURS / 2, 30));
      told('twice the steps', quickest(() => void simulate(HOURS, 30)) / one, 2.6, 'times');
      told('twice the cells', quickest(() => void simulate(HOURS / 2, 60)) / one, 2.6, 'times');
    },
  });
});

describe('the band: 500 draws of two years daily in under 3 s', () => {
  const input = bandInputOf(derive(demoJob('2-long-table')).season);
  const all = () => {
    const steps = drawBand(input, 500);
    while (!steps.next().done);
  };
  bench('500 draws', all, {
    iterations: 2,
    time: 0,
    teardown: (_, mode) => {
      if (mode === 'run') told('500 draws of two years', quickest(all, 3), 3000);
    },
  });
});
