import { addDays, differenceInCalendarDays, format, getDayOfYear, parseISO } from 'date-fns';

/** Calendar days as YYYY-MM-DD; no clock and no time zone comes in. */
export type Day = string;

/** Remembers what was computed for the last few hundred keys: a job needs the same days at every keystroke. */
function remembered<T>(compute: (day: Day, more: number | Day) => T): (day: Day, more: number | Day) => T {
  const known = new Map<string, T>();
  return (day, more) => {
    const key = `${day} ${more}`;
    const had = known.get(key);
    if (had !== undefined) return had;
    if (known.size > 600) known.clear();
    const value = compute(day, more);
    known.set(key, value);
    return value;
  };
}

export const daysBetween: (from: Day, to: Day) => number = remembered((from, to) =>
  differenceInCalendarDays(parseISO(String(to)), parseISO(from)),
);
export const plusDays: (day: Day, days: number) => Day = remembered((day, days) =>
  format(addDays(parseISO(day), Number(days)), 'yyyy-MM-dd'),
);
const placeInYear = remembered((day) => getDayOfYear(parseISO(day)) - 1);
/** 0 for 1 January; 31 December of a leap year falls on 365 and wraps. */
export const dayOfYear = (day: Day): number => placeInYear(day, '');
export const firstOfYear = (day: Day): Day => `${day.slice(0, 4)}-01-01`;
export const sayDay = (day: Day): string => format(parseISO(day), 'd MMM yyyy');
export const sayDayShort = (day: Day): string => format(parseISO(day), 'd MMM');
/** 0 Sunday … 6 Saturday. */
export const weekday = (day: Day): number => parseISO(day).getDay();
