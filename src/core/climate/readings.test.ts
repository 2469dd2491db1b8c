import { describe, expect, it } from 'vitest';
import { read } from '../decision/issues';
import { doubtOf, ReadingsSchema } from './readings';

const now = new Date('2027-03-13T12:00:00Z');
const air = (part: object = {}) => ({ at: '2027-03-13T11:00:00Z', temperature: 18, relativeHumidity: 50, ...part });
const board = (part: object = {}) => ({
  at: '2027-03-13T11:00:00Z',
  board: 'K01',
  reading: 9,
  woodTemperature: 18,
  ...part,
});

describe('readings that cannot be', () => {
  it.each([
    ['fifteen minutes ahead', air({ at: '2027-03-13T12:15:00Z' }), /not come yet/],
    ['over a year ago', air({ at: '2026-01-01T00:00:00Z' }), /over a year ago/],
    ['on no day', air({ at: '2027-02-31T99:00:00Z' }), /no time/],
    ['of an oven', air({ temperature: 180 }), /180 °C/],
    ['of a dead sensor', air({ relativeHumidity: 0 }), /0 %/],
    ['of more than saturated air', air({ relativeHumidity: 101 }), /101 %/],
    ['of a board drier than any', board({ reading: 1 }), /1 %/],
    ['of wood in °F', board({ woodTemperature: 68 }), /68 °C/],
  ])('%s', (_, reading, why) => {
    const doubt = doubtOf(reading as Parameters<typeof doubtOf>[0], now);
    expect(doubt?.problem).toMatch(why);
    expect(doubt!.wayOut.length).toBeGreaterThan(10);
  });

  it.each([
    ['a minute ahead, a clock being a clock', air({ at: '2027-03-13T12:01:00Z' })],
    ['eleven months late', air({ at: '2026-04-13T12:00:00Z' })],
    ['a frosty shed', air({ temperature: -18, relativeHumidity: 92 })],
    ['green wood', board({ reading: 62 })],
    ['frozen wood', board({ woodTemperature: -10 })],
  ])('but not %s', (_, reading) => {
    expect(doubtOf(reading as Parameters<typeof doubtOf>[0], now)).toBeUndefined();
  });
});

describe('the body a device posts', () => {
  const problems = (body: unknown) => {
    const result = read(ReadingsSchema, body, 'the body');
    return 'problems' in result ? result.problems.map((p) => p.where) : [];
  };

  it('may mix air and boards; the wood’s warmth may be left out', () => {
    const { woodTemperature: _, ...plain } = board();
    const result = read(ReadingsSchema, { readings: [air(), plain] }, 'the body');
    expect('value' in result && result.value.readings[1]).toMatchObject({ board: 'K01', woodTemperature: 20 });
  });

  it('is refused when it is empty, too long, or of other things', () => {
    expect(problems({ readings: [] })).toEqual(['readings']);
    expect(problems({ readings: Array.from({ length: 2001 }, () => air()) })).toEqual(['readings']);
    expect(problems({}).length).toBe(1);
    expect(problems({ readings: [{ at: 'yesterday', temperature: 18, relativeHumidity: 50 }] })[0]).toMatch(
      /^readings\.0/,
    );
    expect(problems({ readings: [air({ temperature: Number.NaN })] }).length).toBeGreaterThan(0);
  });
});
