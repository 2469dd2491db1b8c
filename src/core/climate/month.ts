import * as v from 'valibot';

/** One month of air, as a mean. */
export const MonthSchema = v.object({
  /** °C */
  temperature: v.pipe(v.number(), v.minValue(-50, 'colder than −50 °C'), v.maxValue(60, 'warmer than 60 °C')),
  /** % */
  relativeHumidity: v.pipe(v.number(), v.minValue(0, 'below 0 %'), v.maxValue(100, 'above 100 %')),
});
export type Month = v.InferOutput<typeof MonthSchema>;
export const MonthsSchema = v.pipe(v.array(MonthSchema), v.length(12, 'a year has twelve months'));
