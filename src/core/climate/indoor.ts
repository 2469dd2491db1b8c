import psychrolib from 'psychrolib';
import * as v from 'valibot';
import type { Month } from './month';

psychrolib.SetUnitSystem(psychrolib.SI);

/** How a room turns outdoor air into its own. */
export const RoomSchema = v.object({
  /** °C for each month; null where it is not heated then. */
  setPoints: v.pipe(
    v.array(v.nullable(v.pipe(v.number(), v.minValue(0, 'colder than 0 °C'), v.maxValue(40, 'warmer than 40 °C')))),
    v.length(12, 'a year has twelve months'),
  ),
  /** How much warmer than outdoors the room is while it is not heated, K. */
  unheatedAbove: v.pipe(v.number(), v.minValue(0), v.maxValue(15)),
  /** A humidifier keeps the room at least this damp, %; null without one. */
  leastHumidity: v.nullable(v.pipe(v.number(), v.minValue(10), v.maxValue(70))),
  /** A dehumidifier, or airing, keeps it at most this damp, %; null without one. */
  greatestHumidity: v.nullable(v.pipe(v.number(), v.minValue(30), v.maxValue(100))),
  /** m above the sea */
  altitude: v.pipe(v.number(), v.minValue(-400), v.maxValue(5000)),
});
export type Room = v.InferOutput<typeof RoomSchema>;

/**
 * The air of a room from the air outdoors: heating keeps the humidity ratio and lowers the relative humidity (PsychroLib,
 * ASHRAE Handbook Fundamentals ch. 1). Kitchens, baths and people add some moisture that is not reckoned, so that a
 * lived-in room is a little damper in winter than this says.
 *
 * @param outdoor twelve monthly means, °C and %
 * @example one month of −5 °C and 80 % in a room held at 21 °C comes to 12.9 %
 */
export function indoorClimate(outdoor: readonly Month[], room: Room): Month[] {
  const pressure = psychrolib.GetStandardAtmPressure(room.altitude);
  return outdoor.map((month, i) => {
    const setPoint = room.setPoints[i] ?? null;
    const unheated = month.temperature + room.unheatedAbove;
    // Heating does not cool: a summer's day warmer than the set point stays as warm as it is.
    const temperature = setPoint === null ? unheated : Math.max(setPoint, unheated);
    const ratio = psychrolib.GetHumRatioFromRelHum(
      month.temperature,
      Math.min(1, Math.max(0, month.relativeHumidity / 100)),
      pressure,
    );
    const kept = 100 * psychrolib.GetRelHumFromHumRatio(temperature, ratio, pressure);
    const damp = Math.max(kept, room.leastHumidity ?? 0);
    return {
      temperature,
      relativeHumidity: Math.min(100, damp, room.greatestHumidity ?? 100),
    };
  });
}
