import * as v from 'valibot';
import { equilibriumMoisture } from '../wood/moisture';
import { indoorClimate, RoomSchema } from './indoor';
import { type Month, MonthSchema, MonthsSchema } from './month';

export { type Month, MonthSchema };

/** A day's air as a logger kept it; `day` of the year, 0 = 1 January. */
export const LoggedDaySchema = v.object({
  day: v.pipe(v.number(), v.integer(), v.minValue(0), v.maxValue(364)),
  ...MonthSchema.entries,
});
export type LoggedDay = v.InferOutput<typeof LoggedDaySchema>;

export const PlaceSchema = v.object({
  id: v.string(),
  name: v.pipe(v.string(), v.trim(), v.nonEmpty('a place needs a name'), v.maxLength(120)),
  kind: v.picklist(['shop', 'home']),
  /** The room's own monthly means; with `room`, those outdoors. */
  months: MonthsSchema,
  /** The room that turns outdoor air into its own; null where the months are the room's own. */
  room: v.optional(v.nullable(RoomSchema), null),
  /** Days that a logger kept; they stand before the monthly means. */
  logged: v.optional(v.pipe(v.array(LoggedDaySchema), v.maxLength(365, 'a year has 365 days')), []),
  note: v.optional(v.pipe(v.string(), v.maxLength(2000)), ''),
});

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

/** The air of a day: °C, %, and the moisture that wood comes to in it, %. */
export interface AirToday {
  temperature: number;
  relativeHumidity: number;
  moisture: number;
}

export interface YearOfAir {
  /** For each of 365 days: °C, % and the moisture wood comes to, %. */
  temperature: readonly number[];
  relativeHumidity: readonly number[];
  moisture: readonly number[];
  driest: { day: number; moisture: number };
  wettest: { day: number; moisture: number };
}

/** The place's twelve months indoors: its own, or those outdoors brought inside by its room. */
export function indoorMonths(place: Pick<Place, 'months' | 'room'>): readonly Month[] {
  return place.room ? indoorClimate(place.months, place.room) : place.months;
}

/** A gap between logged days up to this long is bridged by what the logger saw on both sides of it. */
const LONGEST_GAP = 14;

const years = new WeakMap<object, YearOfAir>();

/**
 * The air of every day of a place's year. Logged days stand as they are; in gaps of up to a fortnight their distance from
 * the monthly curve is carried across, elsewhere the curve stands. Kept per place, which is never changed in place.
 */
export function yearOfAir(place: Pick<Place, 'months' | 'room' | 'logged'>): YearOfAir {
  const known = years.get(place);
  if (known) return known;
  const months = indoorMonths(place);
  const air = Array.from({ length: DAYS_IN_YEAR }, (_, day) => airOnDay(months, day));
  const temperature = withLogged(
    air.map((a) => a.temperature),
    place.logged.map((l) => [l.day, l.temperature]),
  );
  const relativeHumidity = withLogged(
    air.map((a) => a.relativeHumidity),
    place.logged.map((l) => [l.day, l.relativeHumidity]),
  ).map((rh) => Math.min(100, Math.max(0, rh)));
  const moisture = temperature.map((t, day) =>
    equilibriumMoisture({ temperature: t, relativeHumidity: relativeHumidity[day] ?? 0 }),
  );
  const extreme = (better: (a: number, b: number) => boolean) =>
    moisture.reduce((best, m, day) => (better(m, best.moisture) ? { day, moisture: m } : best), {
      day: 0,
      moisture: moisture[0] ?? 0,
    });
  const year = {
    temperature,
    relativeHumidity,
    moisture,
    driest: extreme((a, b) => a < b),
    wettest: extreme((a, b) => a > b),
  };
  years.set(place, year);
  return year;
}

function withLogged(curve: readonly number[], logged: readonly (readonly [number, number])[]): number[] {
  const days = [...logged].sort((a, b) => a[0] - b[0]);
  const result = [...curve];
  const off = (i: number) => (days[i]?.[1] ?? 0) - (curve[days[i]?.[0] ?? 0] ?? 0);
  days.forEach(([day, value], i) => {
    result[day] = value;
    const next = (i + 1) % days.length;
    const gap = ((days[next]?.[0] ?? 0) - day + DAYS_IN_YEAR) % DAYS_IN_YEAR;
    if (gap < 2 || gap > LONGEST_GAP) return;
    for (let k = 1; k < gap; k += 1) {
      const at = (day + k) % DAYS_IN_YEAR;
      result[at] = (curve[at] ?? 0) + off(i) + ((off(next) - off(i)) * k) / gap;
    }
  });
  return result;
}
