/**
 * Moisture from the reading of a pin meter calibrated for Douglas-fir at 20 °C: first the temperature of the wood, by Pfaff
 * and Garrahan (1986, from memory), x = T + 2.8:
 * M = (R + 0.567 − 0.0260·x + 0.000051·x²) / (0.881 · 1.0056^x); then the maker's own correction for the wood, added in %.
 * Meters differ: the table that came with the meter goes before this.
 *
 * @param given reading %, woodTemperature °C, speciesCorrection % added
 * @returns moisture %, never below nothing
 */
export function correctPinReading(given: {
  reading: number;
  woodTemperature: number;
  speciesCorrection?: number;
}): number {
  const x = given.woodTemperature + 2.8;
  const atTwenty = (given.reading + 0.567 - 0.026 * x + 0.000051 * x * x) / (0.881 * 1.0056 ** x);
  return Math.max(0, atTwenty + (given.speciesCorrection ?? 0));
}
