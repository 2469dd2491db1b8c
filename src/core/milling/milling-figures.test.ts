import { describe, expect, it } from 'vitest';
import { findSpecies } from '../wood/species';
import { forecastMilling, forecastResaw, heightsFromCrook } from './forecast-milling';
import { daysToRest, millingFigures } from './milling-figures';

const oak = findSpecies('oak-white')!;
const pine = findSpecies('pine-eastern-white') ?? findSpecies('aspen-quaking')!;

describe('days to rest', () => {
  it('grow with the square of the thickness, as diffusion does', () => {
    for (const thickness of [4, 8, 20]) {
      expect(daysToRest(2 * thickness, oak) / daysToRest(thickness, oak)).toBeCloseTo(4, 1);
    }
  });
  it('are fewer for a lighter wood', () => {
    expect(daysToRest(10, pine)).toBeLessThan(daysToRest(10, oak));
  });
  it('leave a tenth: by the long-time form, D·t/L² = ln(80/π²)/π²', () => {
    // (8/π²)·exp(−π²·τ) = 0.1 at τ = 0.2121 (Crank, The Mathematics of Diffusion, from memory).
    const tau = Math.log(80 / Math.PI ** 2) / Math.PI ** 2;
    expect(tau).toBeCloseTo(0.212, 3);
    const thin = daysToRest(10, oak);
    expect(daysToRest(10 * Math.sqrt(0.5), oak)).toBeCloseTo(thin / 2, 1);
  });
});

describe('the figures of a milling forecast', () => {
  const limits = { passDepth: 0.8, jointerWidth: 260, planerWidth: 410, planerShortest: 300 };
  const heights = heightsFromCrook({ twist: 4, bow: 3, cup: 1 });
  const forecast = forecastMilling({ length: 2000, width: 200, heights, thickness: 38 }, limits);
  const resaw = { thickness: forecast.finishedThickness, wanted: 6, kerf: 1.2, allowance: 3 };
  const figures = millingFigures({
    ...resaw,
    thickness: 38,
    forecast,
    limits,
    resawn: forecastResaw(resaw),
    species: oak,
  });
  it('say what they come from', () => {
    for (const figure of Object.values(figures)) {
      expect(figure.formula.length).toBeGreaterThan(10);
      expect(figure.inputs.length).toBeGreaterThan(0);
      expect(figure.source.length).toBeGreaterThan(10);
    }
  });
  it('are those of the forecast', () => {
    expect(figures.finished.quantity.amount).toBe(forecast.finishedThickness);
    expect(figures.upper.quantity.amount).toBe(Math.ceil(forecast.taken.upper / 0.8 - 1e-9));
    expect(figures.resawn.quantity.amount).toBe(Math.floor((forecast.finishedThickness + 1.2) / (9 + 1.2)));
  });
});
