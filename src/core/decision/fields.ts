import * as v from 'valibot';

/** A length in mm within what furniture can be; the messages are what a person reads. */
export const length = (from: number, to: number) =>
  v.pipe(
    v.number('this must be a length in millimetres'),
    v.finite('this must be a length in millimetres'),
    v.minValue(from, `at least ${from} mm`),
    v.maxValue(to, `at most ${to} mm`),
    v.metadata({ unit: 'mm' }),
  );

export const whole = (from: number, to: number) =>
  v.pipe(
    v.number('this must be a whole number'),
    v.integer('this must be a whole number'),
    v.minValue(from, `at least ${from}`),
    v.maxValue(to, `at most ${to}`),
  );

/** A figure, and the unit it is kept in; readers of inches read N, kg and /m³ in units of their own. */
export const amount = (from: number, to: number, unit: 'N' | 'kg' | '°' | '%' | '/m³' | '' = '') =>
  v.pipe(
    v.number('this must be a number'),
    v.finite('this must be a number'),
    v.minValue(from, `at least ${from}`),
    v.maxValue(to, `at most ${to}`),
    v.metadata({ unit }),
  );

/** A calendar day, YYYY-MM-DD. */
export const day = v.pipe(
  v.string('this must be a day, like 2027-03-13'),
  v.isoDate('this must be a day, like 2027-03-13'),
  v.check((text) => {
    const date = new Date(`${text}T00:00:00Z`);
    return !Number.isNaN(date.getTime()) && date.toISOString().startsWith(text);
  }, 'there is no such day in the calendar'),
  v.check((text) => text >= '1950-01-01' && text <= '2150-12-31', 'a day between 1950 and 2150'),
);

export const line = (longest: number) =>
  v.pipe(v.string('this must be text'), v.trim(), v.maxLength(longest, `at most ${longest} letters`));

export const name = v.pipe(line(120), v.nonEmpty('a name is needed'));
