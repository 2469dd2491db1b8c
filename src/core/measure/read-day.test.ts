import { describe, expect, it } from 'vitest';
import { sayDay } from './calendar';
import { readDay } from './read-day';

describe('a day is read as people write it', () => {
  it.each([
    ['2027-02-12', '2027-02-12'],
    ['2027-2-3', '2027-02-03'],
    ['12 Feb 2027', '2027-02-12'],
    ['12 february 2027', '2027-02-12'],
    ['12. Feb. 2027', '2027-02-12'],
    ['Feb 12, 2027', '2027-02-12'],
    ['12.2.2027', '2027-02-12'],
    ['12. 2. 2027', '2027-02-12'],
    ['31/12/2027', '2027-12-31'],
    ['12/31/2027', '2027-12-31'],
    ['7/7/2027', '2027-07-07'],
    ['29 Feb 2028', '2028-02-29'],
    [' 1 Mar 2027 ', '2027-03-01'],
  ])('%s', (text, day) => {
    expect(readDay(text)).toEqual({ day });
  });

  it('as it is written here', () => {
    for (const day of ['2026-12-01', '2027-01-31', '2027-09-09']) expect(readDay(sayDay(day))).toEqual({ day });
  });

  it.each([
    ['4/5/2027', /could be two days/],
    ['29 Feb 2027', /There is no day/],
    ['31.4.2027', /There is no day/],
    ['12 Foo 2027', /There is no day/],
    ['0.1.2027', /There is no day/],
    ['soon', /does not read as a day/],
    ['', /does not read as a day/],
    ['2027', /does not read as a day/],
    ['12.2.27', /does not read as a day/],
  ])('refuses %s', (text, why) => {
    expect(readDay(text)).toEqual({ problem: expect.stringMatching(why) });
  });
});
