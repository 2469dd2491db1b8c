import * as v from 'valibot';
import { equilibriumMoisture } from '../wood/moisture';

/** One month of air, as a mean. */
export const MonthSchema = v.object({
  /** °C */
  temperature: v.pipe(v.number(), v.minValue(-50, 'colder than −50 °C'), v.maxValue(60, 'warmer than 60 °C')),
  /** % */
  relativeHumidity: v.pipe(v.number(), v.minValue(0, 'below 0 %'), v.maxValue(100, 'above 100 %')),
});

export const PlaceSchema = v.object({
  id: v.string(),
  name: v.pipe(v.string(), v.trim(), v.nonEmpty('a place needs a name'), v.maxLength(120)),
  kind: v.picklist(['shop', 'home']),
  months: v.pipe(v.array(MonthSchema), v.length(12, 'a year has twelve months')),
  note: v.optional(v.pipe(v.string(), v.maxLength(2000)), ''),
});

export type Month = v.InferOutput<typeof MonthSchema>;
export type Place = v.InferOutput<typeof PlaceSchema>;

export const DAYS_IN_YEAR = 365;
const MONTH_DAYS = [31, 28, 31, 30, 31, 30, 31, 31, 30, 31, 30, 31];

/** Day of the year (0 = 1 January) at the middle of each month. */
export const MID_MONTH: readonly number[] = MONTH_DAYS.map(
  (days, month) => MONTH_DAYS.slice(0, month).reduce((sum, d) => sum + d, 0) + days / 2,
);

export interface DayOfAir {
  temperature: number;
  relativeHumidity: number;
  /** Equilibrium moisture content of wood in this air, %. */
  moisture: number;
}

/**
 * The air of a place on a day, smooth between mid-months and periodic over the year: cubic Hermite through the
 * twelve means with three-point slopes. RH is held to 0–100 %.
 *
 * @param day of the year, 0 = 1 January; any real number, wrapped
 */
export function airOnDay(months: readonly Month[], day: number): DayOfAir {
  const temperature = periodicHermite(
    months.map((m) => m.temperature),
    day,
  );
  const relativeHumidity = Math.min(
    100,
    Math.max(
      0,
      periodicHermite(
        months.map((m) => m.relativeHumidity),
        day,
      ),
    ),
  );
  return { temperature, relativeHumidity, moisture: equilibriumMoisture({ relativeHumidity, temperature }) };
}

function periodicHermite(values: readonly number[], day: number): number {
  const d = ((day % DAYS_IN_YEAR) + DAYS_IN_YEAR) % DAYS_IN_YEAR;
  const at = (i: number) => values[((i % 12) + 12) % 12] ?? 0;
  const dayAt = (i: number) => (MID_MONTH[((i % 12) + 12) % 12] ?? 0) + Math.floor(i / 12) * DAYS_IN_YEAR;
  let left = -1;
  while (dayAt(left + 1) <= d) left += 1;
  const [x0, x1] = [dayAt(left), dayAt(left + 1)];
  const slope = (i: number) => (at(i + 1) - at(i - 1)) / (dayAt(i + 1) - dayAt(i - 1));
  const span = x1 - x0;
  const t = (d - x0) / span;
  const [t2, t3] = [t * t, t * t * t];
  return (
    (2 * t3 - 3 * t2 + 1) * at(left) +
    (t3 - 2 * t2 + t) * span * slope(left) +
    (-2 * t3 + 3 * t2) * at(left + 1) +
    (t3 - t2) * span * slope(left + 1)
  );
}

export interface YearOfMoisture {
  /** EMC for each of 365 days, %. */
  days: readonly number[];
  driest: { day: number; moisture: number };
  wettest: { day: number; moisture: number };
}

const years = new WeakMap<readonly Month[], YearOfMoisture>();

/** EMC of every day of a place's year, with its driest and wettest day. Kept per months array, which is never changed. */
export function yearOfMoisture(months: readonly Month[]): YearOfMoisture {
  const known = years.get(months);
  if (known) return known;
  const days = Array.from({ length: DAYS_IN_YEAR }, (_, day) => airOnDay(months, day).moisture);
  const extreme = (better: (a: number, b: number) => boolean) =>
    days.reduce((best, moisture, day) => (better(moisture, best.moisture) ? { day, moisture } : best), {
      day: 0,
      moisture: days[0] ?? 0,
    });
  const year = { days, driest: extreme((a, b) => a < b), wettest: extreme((a, b) => a > b) };
  years.set(months, year);
  return year;
}
