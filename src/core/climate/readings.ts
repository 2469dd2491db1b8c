import * as v from 'valibot';
import type { Problem } from '../measure/problem';

/** What a device sends: air where it hangs, or the moisture of a board it was pressed into. */
export const AirReadingSchema = v.object({
  at: v.pipe(v.string(), v.isoTimestamp('“at” must be a time like 2027-03-13T08:00:00Z')),
  /** °C */
  temperature: v.pipe(v.number(), v.finite()),
  /** % */
  relativeHumidity: v.pipe(v.number(), v.finite()),
});
export const BoardReadingSchema = v.object({
  at: v.pipe(v.string(), v.isoTimestamp('“at” must be a time like 2027-03-13T08:00:00Z')),
  /** Tag of a board on the rack. */
  board: v.pipe(v.string(), v.nonEmpty('a board is named by its tag'), v.maxLength(40)),
  /** %, as the meter shows it. */
  reading: v.pipe(v.number(), v.finite()),
  /** °C of the wood. */
  woodTemperature: v.optional(v.pipe(v.number(), v.finite()), 20),
});
export const ReadingsSchema = v.object({
  readings: v.pipe(
    v.array(v.union([AirReadingSchema, BoardReadingSchema])),
    v.minLength(1, 'no reading is in it'),
    v.maxLength(2000, 'at most 2000 readings at once'),
  ),
});

export type AirReading = v.InferOutput<typeof AirReadingSchema>;
export type BoardReading = v.InferOutput<typeof BoardReadingSchema>;

const MINUTES_AHEAD = 10;
const OLDEST_DAYS = 400;

/** Why a reading cannot be, or nothing. Late ones are welcome for a year; those of the future and those no shop has are not. */
export function doubtOf(reading: AirReading | BoardReading, now: Date): Omit<Problem, 'where'> | undefined {
  const at = new Date(reading.at).getTime();
  if (Number.isNaN(at)) return { problem: `“${reading.at}” is no time.`, wayOut: 'Send it as 2027-03-13T08:00:00Z.' };
  if (at > now.getTime() + MINUTES_AHEAD * 60_000)
    return { problem: `${reading.at} has not come yet.`, wayOut: 'Set the device’s clock.' };
  if (at < now.getTime() - OLDEST_DAYS * 86_400_000)
    return { problem: `${reading.at} is over a year ago.`, wayOut: 'Take old logs in as a CSV on the Shop page.' };
  if ('board' in reading) {
    if (reading.reading < 2 || reading.reading > 100)
      return { problem: `A moisture of ${reading.reading} % cannot be read.`, wayOut: 'Measure again.' };
    if (reading.woodTemperature < -30 || reading.woodTemperature > 60)
      return { problem: `Wood of ${reading.woodTemperature} °C cannot be.`, wayOut: 'Look at the unit: it is °C.' };
    return undefined;
  }
  if (reading.temperature < -40 || reading.temperature > 60)
    return { problem: `Air of ${reading.temperature} °C cannot be.`, wayOut: 'Look at the unit: it is °C.' };
  if (reading.relativeHumidity <= 0 || reading.relativeHumidity > 100)
    return { problem: `A humidity of ${reading.relativeHumidity} % cannot be.`, wayOut: 'Look at the sensor.' };
  return undefined;
}
