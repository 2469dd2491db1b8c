import { type Day, daysBetween, plusDays, weekday } from '../measure/calendar';
import type { Operation } from './operation';

export interface DatedOperation {
  operation: Operation;
  start: Day;
  /** The last day worked on it. */
  end: Day;
  /** The day its waiting is over. */
  readyOn: Day;
}

export interface Schedule {
  dated: readonly DatedOperation[];
  finishedOn: Day;
  workHours: number;
  /** Days on which nothing can be done but wait. */
  idleDays: number;
}

const FIRST_HOUR = 8;

/**
 * One person, one thing at a time, Monday to Friday: always the first operation in order whose predecessors are done and
 * rested; when none is, the day passes waiting. Waiting runs by the clock, nights and week-ends too.
 *
 * @param calendar hours at the bench a day
 */
export function schedule(operations: readonly Operation[], calendar: { hoursPerDay: number }, start: Day): Schedule {
  const { hoursPerDay } = calendar;
  const ready = new Map<string, number>(); // clock hours since `start` at midnight when its waiting is over
  const left = [...operations];
  const dated: DatedOperation[] = [];
  const worked = new Set<number>();
  let day = 0;
  let spent = 0;
  const firstWeekday = weekday(start);
  const isWorkday = (d: number) => ![0, 6].includes((firstWeekday + d) % 7);
  const nextDay = () => {
    day += 1;
    spent = 0;
  };

  while (left.length > 0) {
    // In the morning it is asked anew what may be begun: something may have become ready overnight.
    if (spent >= hoursPerDay - 1e-9) nextDay();
    while (!isWorkday(day)) nextDay();
    const now = () => day * 24 + FIRST_HOUR + spent;
    const index = left.findIndex((op) =>
      op.after.every((id) => (ready.get(id) ?? Number.POSITIVE_INFINITY) <= now() + 1e-9),
    );
    const operation = left[index];
    if (!operation) {
      // Later the same day something may come out of the clamps; otherwise wait for tomorrow.
      const soon = Math.min(...[...ready.values()].filter((hour) => hour > now() + 1e-9));
      if (!Number.isFinite(soon))
        throw new Error(`operations wait for each other: ${left.map((op) => op.id).join(', ')}`);
      if (soon < day * 24 + FIRST_HOUR + hoursPerDay) spent = soon - day * 24 - FIRST_HOUR;
      else nextDay();
      continue;
    }
    left.splice(index, 1);
    let work = operation.work;
    const first = day;
    for (;;) {
      worked.add(day);
      const today = Math.min(work, hoursPerDay - spent);
      work -= today;
      spent += today;
      if (work <= 1e-9) break;
      nextDay();
      while (!isWorkday(day)) nextDay();
    }
    const over = day * 24 + FIRST_HOUR + spent + operation.wait;
    ready.set(operation.id, over);
    dated.push({
      operation,
      start: plusDays(start, first),
      end: plusDays(start, day),
      readyOn: plusDays(start, Math.floor(over / 24)),
    });
  }
  const finishedOn =
    dated
      .map((d) => d.readyOn)
      .sort()
      .at(-1) ?? start;
  const span = daysBetween(start, finishedOn) + 1;
  const workdays = Array.from({ length: span }, (_, d) => d).filter(isWorkday).length;
  return {
    dated,
    finishedOn,
    workHours: operations.reduce((sum, op) => sum + op.work, 0),
    idleDays: Math.max(0, workdays - worked.size),
  };
}
