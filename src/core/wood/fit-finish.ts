import { diffuse } from './diffusion';
import { diffusivityOf } from './diffusivity';
import { BARE_FACE } from './finish';
import { equilibriumMoisture } from './moisture';

/**
 * The published test, simulated: a board of a light softwood (specific gravity 0.40) 12.7 mm thick, coated on both faces, at rest
 * in 30 % RH and then moved to 90 % at 26.7 °C (the specimen from memory of Feist and others, 1985).
 */
const TEST = { thickness: 12.7, specificGravity: 0.4, temperature: 26.7, from: 30, to: 90, days: [1, 7, 14] } as const;

/** % of the uncoated board's gain that a face coefficient (m/s) keeps out after 1, 7 and 14 days. */
export function excludingEffectiveness(coefficient: number): number[] {
  const moisture = (relativeHumidity: number) =>
    equilibriumMoisture({ relativeHumidity, temperature: TEST.temperature });
  const stepsPerDay = 24;
  const gain = (face: number) => {
    const { mean } = diffuse({
      thickness: TEST.thickness,
      diffusivity: diffusivityOf(TEST),
      faces: { upper: face, lower: face },
      air: { moisture: [moisture(TEST.to)], temperature: [TEST.temperature] },
      start: moisture(TEST.from),
      steps: 14 * stepsPerDay,
      step: 1 / stepsPerDay,
      cells: 24,
    });
    return TEST.days.map((day) => (mean[day * stepsPerDay] ?? 0) - (mean[0] ?? 0));
  };
  const bare = gain(BARE_FACE);
  const coated = gain(coefficient);
  return bare.map((amount, i) => 100 * (1 - (coated[i] ?? 0) / amount));
}

/** The coefficient, m/s, whose simulated test misses the published figures least (squares), and what is left over. */
export function fitFinish(excluding: readonly number[]): { coefficient: number; simulated: number[]; worst: number } {
  const miss = (logS: number) =>
    excludingEffectiveness(10 ** logS).reduce((sum, value, i) => sum + (value - (excluding[i] ?? 0)) ** 2, 0);
  // Golden section on the logarithm: the miss has one valley.
  const ratio = (Math.sqrt(5) - 1) / 2;
  let [low, high] = [-11, Math.log10(BARE_FACE)];
  let [a, b] = [high - ratio * (high - low), low + ratio * (high - low)];
  let [missA, missB] = [miss(a), miss(b)];
  while (high - low > 1e-4) {
    if (missA < missB) {
      [high, b, missB] = [b, a, missA];
      a = high - ratio * (high - low);
      missA = miss(a);
    } else {
      [low, a, missA] = [a, b, missB];
      b = low + ratio * (high - low);
      missB = miss(b);
    }
  }
  const coefficient = 10 ** ((low + high) / 2);
  const simulated = excludingEffectiveness(coefficient);
  return {
    coefficient,
    simulated,
    worst: Math.max(...simulated.map((value, i) => Math.abs(value - (excluding[i] ?? 0)))),
  };
}
