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

/** A board that waits to be milled: its wood by id, thickness mm, moisture % or null where nobody has read it. */
export interface WaitingBoard {
  id: string;
  species: string;
  thickness: number;
  moisture: number | null;
}

/** Days by board: null where it never comes to the target in this air, none where it has not been read. */
export type Waits = ReadonlyMap<string, number | null>;

/**
 * Days until each of many boards may be milled. Boards of the same wood, as thick and as wet as one another wait as long:
 * each kind is computed once.
 *
 * Yields the waits known up to each board.
 */
export function* waitsUntilReady(
  boards: readonly WaitingBoard[],
  given: { woods: readonly Species[]; target: number; place: Pick<Place, 'months' | 'room' | 'logged'>; from: Day },
): Generator<Waits, Waits> {
  const woods = new Map(given.woods.map((wood) => [wood.id, wood]));
  const kinds = new Map<string, number | null>();
  const waits = new Map<string, number | null>();
  for (const { id, species, thickness, moisture } of boards) {
    const wood = woods.get(species);
    if (!wood || moisture === null) continue;
    const kind = `${species} ${thickness} ${moisture}`;
    const known = kinds.get(kind);
    const days = known === undefined ? daysUntilReady({ ...given, thickness, species: wood, moisture }) : known;
    kinds.set(kind, days);
    waits.set(id, days);
    yield waits;
  }
  return waits;
}
