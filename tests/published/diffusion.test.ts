import { describe, expect, it } from 'vitest';
import {
  diffuse,
  excludingEffectiveness,
  FINISHES,
  type FinishKind,
  findSpecies,
  fitFinish,
  simulateMoisture,
} from '@/core';

/** m²/s, and the same in mm² a day. */
const D = 3e-10;
const PER_DAY = D * 1e6 * 86_400;
const THICKNESS = 25;
const HALF = THICKNESS / 2;
const constant = { at10: D, moisture: 0, warmth: 0 };

/** Crank, The Mathematics of Diffusion, eq. 4.18 (from memory): mean uptake of a slab after a step at its surface. */
function crankStep(time: number): number {
  let sum = 0;
  for (let n = 0; n < 400; n += 1) sum += Math.exp((-((2 * n + 1) ** 2) * Math.PI ** 2 * time) / 4) / (2 * n + 1) ** 2;
  return 1 - (8 / Math.PI ** 2) * sum;
}

/** Crank eq. 4.53 (from memory), surface evaporation: E = 1 − Σ 2L²·exp(−β²T) / (β²(β² + L² + L)), β·tan β = L. */
function crankResistance(time: number, resistance: number): number {
  let sum = 0;
  for (let n = 0; n < 60; n += 1) {
    let [low, high] = [n * Math.PI, n * Math.PI + Math.PI / 2 - 1e-12];
    for (let i = 0; i < 200; i += 1) {
      const beta = (low + high) / 2;
      if (beta * Math.tan(beta) < resistance) low = beta;
      else high = beta;
    }
    const beta2 = ((low + high) / 2) ** 2;
    sum += (2 * resistance ** 2 * Math.exp(-beta2 * time)) / (beta2 * (beta2 + resistance ** 2 + resistance));
  }
  return 1 - sum;
}

describe('diffusion through the thickness: Crank, The Mathematics of Diffusion (series from memory)', () => {
  const uptake = (face: number, step: number, days: number) =>
    diffuse({
      thickness: THICKNESS,
      diffusivity: constant,
      faces: { upper: face, lower: face },
      air: { moisture: [10] },
      start: 6,
      steps: Math.round(days / step),
      step,
      cells: 60,
    });

  it('follows a step at the surface within 0.5 % of the change, from the first 2 % on', () => {
    const step = 0.04;
    const { mean } = uptake(1, step, 60);
    let seen = 0;
    for (let i = 1; i < mean.length; i += 1) {
      const exact = crankStep((PER_DAY * i * step) / HALF ** 2);
      if (exact < 0.02) continue;
      seen += 1;
      expect(Math.abs((mean[i]! - 6) / 4 - exact), `after ${i * step} days`).toBeLessThan(0.005);
    }
    expect(seen).toBeGreaterThan(1000);
    expect((mean.at(-1)! - 6) / 4).toBeGreaterThan(0.99);
  });

  it.each([1e-7, 1e-8, 1e-9])('follows it through a surface of %d m/s as closely', (surface) => {
    const resistance = (HALF * surface * 1000 * 86_400) / PER_DAY;
    const step = 0.04;
    const { mean } = uptake(surface, step, 60);
    for (let i = 1; i < mean.length; i += 1) {
      const exact = crankResistance((PER_DAY * i * step) / HALF ** 2, resistance);
      if (exact >= 0.02) expect(Math.abs((mean[i]! - 6) / 4 - exact), `after ${i * step} days`).toBeLessThan(0.005);
    }
  });

  // As the season and its band are reckoned: one value of air a day, sixteen cells.
  it.each([
    [10, 1e-9],
    [15, 6e-10],
    [15, 1.2e-9],
    [25, 3e-10],
    [45, 2e-10],
    [60, 1e-10],
  ])(
    'stays within half a hundredth of the change day by day, from the first on, after new air: %d mm at %d m²/s',
    (thickness, at10) => {
      const half = thickness / 2;
      const perDay = at10 * 1e6 * 86_400;
      for (const surface of [1e-7, 1e-8, 4e-9]) {
        const resistance = (half * surface * 1000 * 86_400) / perDay;
        // Still air for thirty days, then another place.
        const { mean } = diffuse({
          thickness,
          diffusivity: { at10, moisture: 0, warmth: 0 },
          faces: { upper: surface, lower: surface },
          air: { moisture: Array.from({ length: 90 }, (_, i) => (i < 30 ? 8 : 12)) },
          start: 8,
          steps: 90,
          step: 1,
          cells: 16,
        });
        for (let day = 1; day <= 60; day += 1) {
          const exact = crankResistance((perDay * day) / half ** 2, resistance);
          expect(Math.abs((mean[30 + day]! - 8) / 4 - exact), `${surface} m/s, day ${day}`).toBeLessThan(0.005);
        }
      }
    },
  );

  it('follows a yearly sinusoid: amplitude within 1 %, lag within a day, against the complex cosh solution', () => {
    const omega = (2 * Math.PI) / 365;
    for (const [thickness, surface] of [
      [25, 1e-7],
      [45, 1e-7],
      [25, 4.5e-9],
      [60, 2e-8],
    ] as const) {
      const days = 365 * 4;
      const { mean } = diffuse({
        thickness,
        diffusivity: constant,
        faces: { upper: surface, lower: surface },
        air: { moisture: Array.from({ length: days }, (_, i) => 10 + 3 * Math.sin(omega * (i + 1))) },
        start: 10,
        steps: days,
        step: 1,
        cells: 40,
      });
      // Mean of a slab: tanh(ql)/(ql) over 1 + (D/S)·q·tanh(ql), with q² = iω/D; complex numbers by hand.
      const half = thickness / 2;
      const s = surface * 1000 * 86_400;
      const q = { re: Math.sqrt(omega / (2 * PER_DAY)), im: Math.sqrt(omega / (2 * PER_DAY)) };
      const ql = { re: q.re * half, im: q.im * half };
      const mul = (a: typeof q, b: typeof q) => ({ re: a.re * b.re - a.im * b.im, im: a.re * b.im + a.im * b.re });
      const div = (a: typeof q, b: typeof q) => {
        const size = b.re ** 2 + b.im ** 2;
        return { re: (a.re * b.re + a.im * b.im) / size, im: (a.im * b.re - a.re * b.im) / size };
      };
      const bottom = Math.cosh(2 * ql.re) + Math.cos(2 * ql.im);
      const tanh = { re: Math.sinh(2 * ql.re) / bottom, im: Math.sin(2 * ql.im) / bottom };
      const k = PER_DAY / s;
      const drag = mul({ re: q.re * k, im: q.im * k }, tanh);
      const exact = div(div(tanh, ql), { re: 1 + drag.re, im: drag.im });
      // The last year, by its first harmonic.
      let [sine, cosine] = [0, 0];
      for (let i = days - 364; i <= days; i += 1) {
        sine += ((mean[i]! - 10) * Math.sin(omega * i) * 2) / 365;
        cosine += ((mean[i]! - 10) * Math.cos(omega * i) * 2) / 365;
      }
      const amplitude = Math.hypot(exact.re, exact.im);
      expect(Math.abs(Math.hypot(sine, cosine) / 3 / amplitude - 1), `${thickness} mm`).toBeLessThan(0.01);
      const lag = -Math.atan2(exact.im, exact.re) / omega;
      expect(Math.abs(-Math.atan2(cosine, sine) / omega - lag), `${thickness} mm`).toBeLessThan(1);
    }
  });

  it('loses no water: the balance holds to 1e-9 of what is in the board, in changing air and wood', () => {
    const steps = 365;
    const { massError } = simulateMoisture({
      thickness: 30,
      species: findSpecies('oak-white')!,
      finish: 'varnish',
      coated: 'show',
      finishedAt: 60,
      air: {
        moisture: Array.from({ length: steps }, (_, i) => 9 + 4 * Math.sin(i / 20)),
        temperature: Array.from({ length: steps }, (_, i) => 12 + 9 * Math.sin(i / 50)),
      },
      start: 12,
      steps,
      step: 1,
    });
    expect(massError).toBeLessThan(1e-9);
  });

  it('keeps a closed board’s mean for ever, and evens it out', () => {
    const { mean, profile } = diffuse({
      thickness: 20,
      diffusivity: { at10: D, moisture: 0.08, warmth: 0 },
      faces: { upper: 0, lower: 0 },
      air: { moisture: [20] },
      start: Array.from({ length: 30 }, (_, i) => 6 + i * 0.2),
      steps: 400,
      step: 1,
      cells: 30,
    });
    expect(Math.abs(mean.at(-1)! / mean[0]! - 1)).toBeLessThan(1e-9);
    expect(Math.max(...profile) - Math.min(...profile)).toBeLessThan(1e-3);
  });
});

describe('finishes: Wood Handbook ch. 16, moisture-excluding effectiveness after 1, 7 and 14 days (from memory)', () => {
  const fitted = (Object.keys(FINISHES) as FinishKind[]).filter((kind) => FINISHES[kind].excluding);
  it.each(fitted)('%s: one coefficient reproduces the three figures within 6 points', (kind) => {
    const { excluding, coefficient } = FINISHES[kind];
    excludingEffectiveness(coefficient).forEach((value, i) => {
      expect(Math.abs(value - excluding![i]!), `after ${[1, 7, 14][i]} days`).toBeLessThan(6);
    });
  });

  it('the coefficients kept are those the fit finds', () => {
    for (const kind of ['varnish', 'oil'] as const) {
      expect(fitFinish(FINISHES[kind].excluding!).coefficient / FINISHES[kind].coefficient).toBeCloseTo(1, 2);
    }
  });
});
