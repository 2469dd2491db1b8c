import { seededRandom } from '../measure/random';
import { simulateMoisture } from '../wood/simulate-moisture';
import type { LineInput } from './moisture-line';
import type { Season } from './season-state';
import { widthOfStrips } from './size-at';

/** What a band is drawn from; plain data, so that it goes into a worker and keys a cache. */
export interface BandInput {
  line: LineInput;
  strips: Season['strips'];
  school: Season['school'];
  correction: Season['correction'];
  /** Days of the season the band covers. */
  days: number;
}

/**
 * How far apart the draws lie, one standard deviation: the ring angle of the boards 8°, the diffusivity a factor of e^0.35,
 * the finished surface e^0.4, the home's warmth 1.5 K; the wood's coefficient and the home's air as the correction has
 * them (15 % and 1 % while nothing is measured). Common practice, so wide on purpose.
 */
export const SPREADS = { ringAngle: 8, diffusivity: 0.35, surface: 0.4, temperature: 1.5 } as const;

export interface Band {
  /** mm, on each day from `from` on: what one in twenty draws stays below, the middle, what one in twenty exceeds. */
  low: Float32Array;
  middle: Float32Array;
  high: Float32Array;
  from: number;
  draws: number;
}

export function bandInputOf(season: Season): BandInput {
  const { lineInput, strips, school, correction } = season;
  return { line: lineInput, strips, school, correction, days: season.moistures.length };
}

/**
 * Widths of the top over the season in many draws of wood, air and finish, as a 5–95 % band. Steps through the draws so that
 * whoever runs it can show progress and stop; the same seed gives the same band.
 *
 * @returns yields the share done; the last value is the band
 */
export function* drawBand(input: BandInput, draws = 500, seed = 1): Generator<number, Band> {
  const { line, strips, school, correction, days } = input;
  const random = seededRandom(seed);
  const normal = () => Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random());
  const count = Math.max(0, days - line.from);
  const all = Array.from({ length: count }, () => new Float32Array(draws));
  const moisture = Float64Array.from(line.air.moisture.slice(line.from, days));
  const temperature = Float64Array.from(line.air.temperature.slice(line.from, days));
  const delivered = line.deliveredIndex - line.from;

  for (let draw = 0; draw < draws; draw += 1) {
    const turned = normal() * SPREADS.ringAngle;
    const factor = correction.factor + normal() * correction.spread.factor;
    const offset = correction.offset + normal() * correction.spread.offset;
    const warmer = normal() * SPREADS.temperature;
    const { mean } = simulateMoisture({
      ...line,
      finishedAt: Math.max(0, delivered),
      air: {
        moisture: moisture.map((m, i) => (i >= delivered ? Math.max(0, m + offset) : m)),
        temperature: temperature.map((t, i) => (i >= delivered ? t + warmer : t)),
      },
      steps: Math.max(0, count - 1),
      step: 1,
      cells: 16,
      spread: {
        diffusivity: Math.exp(normal() * SPREADS.diffusivity),
        surface: Math.exp(normal() * SPREADS.surface),
      },
    });
    const own = strips.map((strip) =>
      typeof strip.rings === 'number' ? { ...strip, rings: Math.min(90, Math.max(0, strip.rings + turned)) } : strip,
    );
    const width = (m: number) => widthOfStrips({ strips: own, school, correction: { ...correction, factor } }, m);
    for (let i = 0; i < count; i += 1) {
      const row = all[i];
      if (row) row[draw] = width(mean[i] ?? 0);
    }
    yield (draw + 1) / draws;
  }
  const at = (share: number) =>
    Float32Array.from(all, (row) => row[Math.min(draws - 1, Math.floor(share * draws))] ?? 0);
  for (const row of all) row.sort();
  return { low: at(0.05), middle: at(0.5), high: at(0.95), from: line.from, draws };
}
