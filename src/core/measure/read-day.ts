import type { Day } from './calendar';

const MONTHS = ['jan', 'feb', 'mar', 'apr', 'may', 'jun', 'jul', 'aug', 'sep', 'oct', 'nov', 'dec'];
const WRITE = 'Write it like 12 Feb 2027, 12.2.2027 or 2027-02-12.';

const monthOf = (word: string): number => MONTHS.indexOf(word.slice(0, 3).toLowerCase()) + 1;

/**
 * A day as people write it: 2027-02-12, 12 Feb 2027, Feb 12 2027, 12.2.2027. With slashes it is read where only one of
 * day and month can be meant.
 */
export function readDay(text: string): { day: Day } | { problem: string } {
  const plain = text.trim().replace(/,/g, ' ').replace(/\s+/g, ' ');
  const iso = /^(\d{4})-(\d{1,2})-(\d{1,2})$/.exec(plain);
  if (iso) return made(Number(iso[1]), Number(iso[2]), Number(iso[3]), text);
  const dayFirst = /^(\d{1,2})\.? ([a-z]{3,9})\.? (\d{4})$/i.exec(plain);
  if (dayFirst) return made(Number(dayFirst[3]), monthOf(dayFirst[2] ?? ''), Number(dayFirst[1]), text);
  const monthFirst = /^([a-z]{3,9})\.? (\d{1,2}) (\d{4})$/i.exec(plain);
  if (monthFirst) return made(Number(monthFirst[3]), monthOf(monthFirst[1] ?? ''), Number(monthFirst[2]), text);
  const dotted = /^(\d{1,2})\. ?(\d{1,2})\. ?(\d{4})$/.exec(plain);
  if (dotted) return made(Number(dotted[3]), Number(dotted[2]), Number(dotted[1]), text);
  const [, one = '', other = '', year = ''] = /^(\d{1,2})\/(\d{1,2})\/(\d{4})$/.exec(plain) ?? [];
  if (year === '') return { problem: `“${text.trim()}” does not read as a day. ${WRITE}` };
  const [a, b] = [Number(one), Number(other)];
  if (a <= 12 && b <= 12 && a !== b)
    return { problem: `“${text.trim()}” could be two days: which number is the month? ${WRITE}` };
  return a > 12 ? made(Number(year), b, a, text) : made(Number(year), a, b, text);
}

/** The day, where the calendar has it. */
function made(year: number, month: number, day: number, text: string): { day: Day } | { problem: string } {
  const date = new Date(Date.UTC(year, month - 1, day));
  const known = date.getUTCFullYear() === year && date.getUTCMonth() === month - 1 && date.getUTCDate() === day;
  if (!known || month < 1) return { problem: `There is no day “${text.trim()}”. ${WRITE}` };
  return { day: date.toISOString().slice(0, 10) };
}
