import { isValid, parse, parseISO } from 'date-fns';
import Papa from 'papaparse';
import { DAYS_IN_YEAR, type LoggedDay } from '../climate/place';
import { dayOfYear } from '../measure/calendar';
import type { Problem } from '../measure/problem';

export interface LoggerFile {
  /** Daily means, at most a year; of days that come more than once the latest stands. */
  days: LoggedDay[];
  /** YYYY-MM-DD */
  from: string;
  to: string;
  readings: number;
  /** Which column was taken for what, as the file names them. */
  columns: { time: string; temperature: string; humidity: string };
  fahrenheit: boolean;
  problems: Problem[];
}

const DAY_FIRST = ['d.M.yyyy', 'd/M/yyyy', 'd-M-yyyy', 'd.M.yy', 'd/M/yy', 'd-M-yy'];
const MONTH_FIRST = ['M/d/yyyy', 'M-d-yyyy', 'M.d.yyyy', 'M/d/yy', 'M-d-yy', 'M.d.yy'];
const REFERENCE = new Date(2000, 0, 1);

const WORDS = {
  time: /time|date|stamp|day|zeit|datum|fecha|heure/i,
  temperature: /temp|°\s*[cf]\b|celsius|fahrenheit|^t(\b|_)/i,
  humidity: /hum|\brh\b|feuchte|hygro|%\s*rh|^rh/i,
} as const;

/**
 * Reads what a temperature and humidity logger wrote: columns in any order, told by their headings; °C or °F by the
 * heading, or by values no room reaches in °C; dates day first, month first or ISO, whichever fits every line; any interval, gaps
 * allowed. Lines that do not read are told and left out.
 *
 * @param monthFirst what to take dates for that read both ways
 */
export function readLoggerCsv(text: string, monthFirst = false): LoggerFile | { problems: Problem[] } {
  const parsed = Papa.parse<string[]>(text.replace(/^\uFEFF/, ''), { skipEmptyLines: 'greedy' });
  // Loggers write some lines of their own first; the heading is the first line that names all three.
  const top = parsed.data.findIndex((row) => Object.values(WORDS).every((word) => row.some((cell) => word.test(cell))));
  const heading = parsed.data[top];
  if (!heading) {
    return {
      problems: [
        {
          problem: 'No line names a time, a temperature and a humidity.',
          where: 'the first lines',
          wayOut: 'Give the columns headings like time, temperature_C, humidity.',
        },
      ],
    };
  }
  const column = (word: RegExp, not: number[] = []) =>
    heading.findIndex((cell, i) => word.test(cell) && !not.includes(i));
  const humidity = column(WORDS.humidity);
  const temperature = column(WORDS.temperature, [humidity]);
  const time = column(WORDS.time, [humidity, temperature]);
  if ([humidity, temperature, time].includes(-1)) {
    return {
      problems: [
        {
          problem: 'Time, temperature and humidity must be three columns.',
          where: `line ${top + 1}`,
          wayOut: 'Part them.',
        },
      ],
    };
  }

  const body = parsed.data.slice(top + 1);
  const order = dateOrder(
    body.map((row) => row[time] ?? ''),
    monthFirst,
  );
  const problems: Problem[] = [];
  const rows = body.flatMap((row, i) => {
    const where = `line ${top + i + 2}`;
    const date = dateOf(row[time] ?? '', order);
    const [t, rh] = [numberOf(row[temperature]), numberOf(row[humidity])];
    if (!date) problems.push({ problem: `“${row[time] ?? ''}” is not a date.`, where, wayOut: 'It is left out.' });
    else if (t === undefined || rh === undefined)
      problems.push({ problem: 'A number is missing.', where, wayOut: 'It is left out.' });
    else if (rh < 0 || rh > 100)
      problems.push({ problem: `A humidity of ${rh} % cannot be.`, where, wayOut: 'It is left out.' });
    else return [{ date, t, rh, where }];
    return [];
  });

  const named = heading[temperature] ?? '';
  const mean = rows.reduce((sum, row) => sum + row.t, 0) / Math.max(1, rows.length);
  const fahrenheit = /°?\s*f\b|fahrenheit|_f\b/i.test(named) || (!/°?\s*c\b|celsius|_c\b/i.test(named) && mean > 45);
  const byDay = new Map<string, { t: number; rh: number; n: number }>();
  let readings = 0;
  for (const { date, t, rh, where } of rows) {
    const celsius = fahrenheit ? ((t - 32) * 5) / 9 : t;
    if (celsius < -50 || celsius > 60) {
      problems.push({ problem: `A temperature of ${t} cannot be.`, where, wayOut: 'It is left out.' });
      continue;
    }
    readings += 1;
    const day = byDay.get(date) ?? { t: 0, rh: 0, n: 0 };
    byDay.set(date, { t: day.t + celsius, rh: day.rh + rh, n: day.n + 1 });
  }
  const dates = [...byDay.keys()].sort();
  const [from, to] = [dates[0], dates.at(-1)];
  if (!from || !to) {
    return {
      problems: [
        {
          problem: 'No line has a day, a temperature and a humidity.',
          where: 'the file',
          wayOut: 'Look at its columns.',
        },
        ...problems.slice(0, 20),
      ],
    };
  }
  const days = new Map<number, LoggedDay>();
  for (const date of dates) {
    const { t, rh, n } = byDay.get(date) ?? { t: 0, rh: 0, n: 1 };
    const day = dayOfYear(date) % DAYS_IN_YEAR;
    const round = (value: number) => Math.round(value * 100) / 100;
    days.set(day, { day, temperature: round(t / n), relativeHumidity: round(rh / n) });
  }
  return {
    days: [...days.values()].sort((a, b) => a.day - b.day),
    from,
    to,
    readings,
    columns: { time: heading[time] ?? '', temperature: named, humidity: heading[humidity] ?? '' },
    fahrenheit,
    problems: problems.slice(0, 100),
  };
}

type Order = 'day' | 'month';

/** Day or month first: whatever reads on every line; where both do, the file whose days lie closer together; else as asked. */
function dateOrder(texts: readonly string[], monthFirst: boolean): Order {
  const fits = (order: Order) => texts.filter((text) => dateOf(text, order)).length;
  const [day, month] = [fits('day'), fits('month')];
  if (day !== month) return day > month ? 'day' : 'month';
  const spread = (order: Order) => {
    const dates = texts.flatMap((text) => dateOf(text, order) ?? []).sort();
    return Date.parse(dates.at(-1) ?? '') - Date.parse(dates[0] ?? '');
  };
  const [asDay, asMonth] = [spread('day'), spread('month')];
  if (asDay !== asMonth) return asDay < asMonth ? 'day' : 'month';
  return monthFirst ? 'month' : 'day';
}

/** YYYY-MM-DD of a written time; undefined where it is none. */
function dateOf(text: string, order: Order): string | undefined {
  const [first = ''] = text.trim().split(/[\sT,]+/);
  const iso = /^\d{4}[-/.]\d{1,2}[-/.]\d{1,2}$/.test(first);
  if (iso) {
    const [y = '', m = '', d = ''] = first.split(/[-/.]/);
    const date = parseISO(`${y}-${m.padStart(2, '0')}-${d.padStart(2, '0')}`);
    return isValid(date) ? `${y}-${m.padStart(2, '0')}-${d.padStart(2, '0')}` : undefined;
  }
  for (const pattern of order === 'day' ? DAY_FIRST : MONTH_FIRST) {
    const date = parse(first, pattern, REFERENCE);
    if (!isValid(date) || date.getFullYear() < 1950) continue;
    const two = (n: number) => String(n).padStart(2, '0');
    return `${date.getFullYear()}-${two(date.getMonth() + 1)}-${two(date.getDate())}`;
  }
  return undefined;
}

function numberOf(text: string | undefined): number | undefined {
  const plain = (text ?? '')
    .trim()
    .replace(/\s*(°\s*)?[CF%]$/i, '')
    .replace(',', '.');
  if (plain === '') return undefined;
  const value = Number(plain);
  return Number.isFinite(value) ? value : undefined;
}
