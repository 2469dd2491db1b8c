import { DAYS_IN_YEAR } from '../climate/place';
import { type Day, dayOfYear, daysBetween } from '../measure/calendar';
import { diffusivityOf } from '../wood/diffusivity';
import { remainingDifference } from '../wood/remaining-difference';
import type { Species } from '../wood/species';

/** A board as far as its moisture goes: when it was read, and how thick it lies. */
export interface ReadBoard {
  moisture: number | null;
  moistureOn: Day | null;
  thickness: number;
}

/** What wood comes to in the air of a day, %. @param year of it, day by day */
export const airOn = (year: readonly number[], day: Day): number | undefined => year[dayOfYear(day) % DAYS_IN_YEAR];

/**
 * % of moisture by which a board still differs on a day from what the shop's air has made of the wood by then; 0 where it
 * was never read, or after that day.
 *
 * @param year what wood comes to in the shop's air, % of moisture day by day
 */
export function stillOff(
  { moisture, moistureOn, thickness }: ReadBoard,
  species: Species,
  day: Day,
  year: readonly number[],
): number {
  if (moisture === null || moistureOn === null || moistureOn > day) return 0;
  const then = airOn(year, moistureOn) ?? moisture;
  const days = daysBetween(moistureOn, day);
  return (moisture - then) * remainingDifference({ thickness, diffusivity: diffusivityOf(species), days });
}
