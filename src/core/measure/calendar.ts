import { addDays, differenceInCalendarDays, format, getDayOfYear, parseISO } from 'date-fns';

/** Calendar days as YYYY-MM-DD; no clock and no time zone comes in. */
export type Day = string;

export const daysBetween = (from: Day, to: Day): number => differenceInCalendarDays(parseISO(to), parseISO(from));
export const plusDays = (day: Day, days: number): Day => format(addDays(parseISO(day), days), 'yyyy-MM-dd');
/** 0 for 1 January; 31 December of a leap year falls on 365 and wraps. */
export const dayOfYear = (day: Day): number => getDayOfYear(parseISO(day)) - 1;
export const firstOfYear = (day: Day): Day => `${day.slice(0, 4)}-01-01`;
export const sayDay = (day: Day): string => format(parseISO(day), 'd MMM yyyy');
export const sayDayShort = (day: Day): string => format(parseISO(day), 'd MMM');
/** 0 Sunday … 6 Saturday. */
export const weekday = (day: Day): number => parseISO(day).getDay();
