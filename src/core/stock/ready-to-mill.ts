import { DAYS_IN_YEAR, type Place, yearOfAir } from '../climate/place';
import { type Day, dayOfYear } from '../measure/calendar';
import { simulateMoisture } from '../wood/simulate-moisture';
import type { Species } from '../wood/species';

/** Within this of the target a board may be milled, %; common practice. */
export const READY_WITHIN = 1;
const LONGEST_WAIT = 2 * DAYS_IN_YEAR;

/**
 * Days until a bare board in this air comes within 1 % of a target, by the same diffusion as the season; 0 when it
 * is there already, null when it does not come there in two years.
 *
 * @param given thickness mm; moisture and target %; from a day on, in the air of a place
 */
export function daysUntilReady(given: {
  thickness: number;
  species: Species;
  moisture: number;
  target: number;
  place: Pick<Place, 'months' | 'room' | 'logged'>;
  from: Day;
}): number | null {
  const { thickness, species, moisture, target, place, from } = given;
  if (Math.abs(moisture - target) <= READY_WITHIN) return 0;
  const year = yearOfAir(place);
  const first = dayOfYear(from);
  const along = (values: readonly number[]) =>
    Array.from({ length: LONGEST_WAIT }, (_, i) => values[(first + i) % DAYS_IN_YEAR] ?? 0);
  const { mean } = simulateMoisture({
    thickness,
    species,
    finish: 'none',
    coated: 'neither',
    finishedAt: 0,
    air: { moisture: along(year.moisture), temperature: along(year.temperature) },
    start: moisture,
    steps: LONGEST_WAIT,
    step: 1,
    cells: 14,
  });
  const day = mean.findIndex((m) => Math.abs(m - target) <= READY_WITHIN);
  return day < 0 ? null : day;
}
