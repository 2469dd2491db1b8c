import { DAYS_IN_YEAR, type Place, yearOfAir } from '../climate/place';
import { type Day, dayOfYear } from '../measure/calendar';
import type { CoatedFaces, FinishKind } from '../wood/finish';
import { simulateMoisture } from '../wood/simulate-moisture';
import type { Species } from '../wood/species';

/** The air a piece goes through, day by day from the season's start: the shop's until delivery, then the home's. */
export interface AirOfPiece {
  moisture: readonly number[];
  temperature: readonly number[];
}

interface Way {
  start: Day;
  days: number;
  deliveredIndex: number;
  shopAir: Place;
  homeAir: Place;
}

/** The last few results of a computation that a keystroke elsewhere in the job does not touch. */
function keptFew<Key extends object, Value>(compute: (key: Key) => Value): (key: Key) => Value {
  const kept: { key: Key; value: Value }[] = [];
  return (key) => {
    const names = Object.keys(key) as (keyof Key)[];
    const known = kept.find((entry) => names.every((name) => entry.key[name] === key[name]));
    if (known) return known.value;
    const value = compute(key);
    kept.unshift({ key, value });
    kept.splice(KEPT);
    return value;
  };
}

const KEPT = 8;

/** Kept by the places themselves, which are never changed in place. */
export const airOfPiece = keptFew(({ start, days, deliveredIndex, shopAir, homeAir }: Way): AirOfPiece => {
  const first = dayOfYear(start);
  const [shop, home] = [yearOfAir(shopAir), yearOfAir(homeAir)];
  const along = (what: 'moisture' | 'temperature') =>
    Array.from({ length: days }, (_, i) => {
      const year = i < deliveredIndex ? shop : home;
      return year[what][(first + i) % DAYS_IN_YEAR] ?? 0;
    });
  return { moisture: along('moisture'), temperature: along('temperature') };
});

export interface LineInput {
  air: AirOfPiece;
  species: Species;
  thickness: number;
  finish: FinishKind;
  coated: CoatedFaces;
  /** Days after the season's start. */
  from: number;
  deliveredIndex: number;
  /** % at `from`. */
  start: number;
}

export interface MoistureLine {
  /** Mean moisture on each day of the season, %; before `from` that of the air. */
  mean: readonly number[];
  /** % per mm, the show face wetter positive. */
  slope: readonly number[];
}

/** Through the wood's days, the home's air wetter by so many %. */
function simulate({ air, species, thickness, finish, coated, from, deliveredIndex, start }: LineInput, by: number) {
  return simulateMoisture({
    thickness,
    species,
    finish,
    coated,
    finishedAt: Math.max(0, deliveredIndex - from),
    air: {
      moisture: air.moisture.slice(from).map((m, i) => (from + i >= deliveredIndex ? m + by : m)),
      temperature: air.temperature.slice(from),
    },
    start,
    steps: Math.max(0, air.moisture.length - from - 1),
    step: 1,
    cells: 16,
  });
}

/**
 * How a part's moisture really goes: bare in the shop from milling on, finished when it is delivered. The last few are
 * kept, so that a change elsewhere in the job costs nothing here.
 */
export const moistureLine = keptFew((input: LineInput): MoistureLine => {
  const { mean, slope } = simulate(input, 0);
  const before = input.air.moisture.slice(0, input.from);
  return { mean: [...before, ...mean], slope: [...before.map(() => 0), ...slope] };
});

/** How much of 1 % more in the home's air has reached the wood on each day of the season, 0–1. */
export const homeResponse = keptFew((input: LineInput): readonly number[] => {
  const { mean } = moistureLine(input);
  return [
    ...mean.slice(0, input.from).fill(0),
    ...simulate(input, 1).mean.map((m, i) => m - (mean[input.from + i] ?? m)),
  ];
});
