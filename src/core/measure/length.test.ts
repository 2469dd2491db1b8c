import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { formatLength, type InchFraction, parseLength, type UnitSystem } from './length';

const inch = (n: number) => n * 25.4;

describe('a length is read the way it is said', () => {
  const cases: [string, UnitSystem, number][] = [
    ['750', 'metric', 750],
    ['750', 'inch', inch(750)],
    ['75 cm', 'inch', 750],
    ['0.75 m', 'metric', 750],
    ['1,5 m', 'metric', 1500],
    ['0,125 in', 'metric', inch(0.125)],
    ['29 1/2', 'metric', inch(29.5)],
    ['29 1/2', 'inch', inch(29.5)],
    ['29-1/2"', 'inch', inch(29.5)],
    ['29½', 'inch', inch(29.5)],
    ['29 ½″', 'metric', inch(29.5)],
    ['⅞', 'inch', inch(0.875)],
    ['2\' 5 1/2"', 'metric', 749.3],
    ['2′ 5 1⁄2″', 'metric', 749.3],
    ['2’ 5 ½”', 'inch', 749.3],
    ["2'5", 'metric', inch(29)],
    ['2 ft 5 in', 'metric', inch(29)],
    ["6'", 'metric', inch(72)],
    ['8/4', 'metric', inch(2)],
    ['1.5"', 'metric', 38.1],
    ['.5', 'inch', 12.7],
    [',5', 'metric', 0.5],
    ['2 400', 'metric', 2400],
    ['2\u202f400', 'metric', 2400],
    ['2 400.5 mm', 'inch', 2400.5],
    ['1,234.5', 'metric', 1234.5],
    ['1 1/16 +', 'inch', inch(1.0625)],
    ['1 1/16" −', 'inch', inch(1.0625)],
    ['0', 'metric', 0],
  ];
  it.each(cases)('%s in a %s shop is %f mm', (text, system, mm) => {
    const parsed = parseLength(text, system);
    expect('mm' in parsed ? parsed.mm : parsed.problem).toBeCloseTo(mm, 9);
  });

  it('keeps that 8/4 was spoken in quarters', () => {
    expect(parseLength('8/4', 'inch')).toEqual({ mm: 50.8, quarters: 8 });
  });

  it.each(['', '   ', 'wide', '12 apples', '1/0', '1,200', '5" 2\'', '3 4', '1e3', '7 mm 2 m', '99999999999'])(
    'asks back at %j with a reason',
    (text) => {
      const parsed = parseLength(text, 'metric');
      expect(parsed).toHaveProperty('problem');
      expect((parsed as { problem: string }).problem.length).toBeGreaterThan(20);
    },
  );

  it.each([
    ['1 850 1/2', 'metric', /1850 1\/2 in, or millimetres/],
    ['1 850 1/2', 'inch', /1850 1\/2 in/],
    ['1 850½', 'metric', /1850 1\/2 in/],
    ['750 1/2', 'metric', /750 1\/2 in, or millimetres/],
    ['1’234', 'metric', /1234 or 1 ft 234 in/],
    ["1'234", 'inch', /1234 or 1 ft 234 in/],
    ["5' 14", 'inch', /14 inches after its feet/],
    ['2 ft 12 1/2 in', 'inch', /12.5 inches after its feet/],
  ] as [string, UnitSystem, RegExp][])(
    'refuses %s in a %s shop, which nobody means, with the reason',
    (text, system, reason) => {
      const parsed = parseLength(text, system);
      expect('problem' in parsed ? parsed.problem : parsed.mm).toMatch(reason);
    },
  );

  it.each([
    ['96 1/2', 'metric', inch(96.5)],
    ['1 850 mm', 'metric', 1850],
    ['1 850', 'metric', 1850],
    ["12' 11 15/16", 'inch', inch(155.9375)],
    ['2400 1/2"', 'metric', inch(2400.5)],
  ] as [string, UnitSystem, number][])('still reads %s', (text, system, mm) => {
    const parsed = parseLength(text, system);
    expect('mm' in parsed ? parsed.mm : parsed.problem).toBeCloseTo(mm, 9);
  });

  it('takes a minus only where less than nothing makes sense', () => {
    expect(parseLength('-3', 'metric')).toHaveProperty('problem');
    expect(parseLength('−3 1/2"', 'metric', { allowNegative: true })).toEqual({ mm: -3.5 * 25.4 });
  });
});

describe('a length is written the way it is read off a rule', () => {
  it.each([
    [749.3, 16, '29 1/2"'],
    [12.7, 16, '1/2"'],
    [inch(1) + 0.5, 16, '1"'],
    [inch(1) - 0.5, 16, '1"'],
    [0, 16, '0"'],
    [inch(0.875), 8, '7/8"'],
    [inch(1 / 64), 64, '1/64"'],
  ] as [number, InchFraction, string][])('%f mm to 1/%i in is %s', (mm, fraction, text) => {
    expect(formatLength(mm, { system: 'inch', fraction })).toBe(text);
  });

  it('writes feet and inches', () => {
    expect(formatLength(749.3, { system: 'inch', feet: true })).toBe('2\' 5 1/2"');
  });

  it('writes millimetres with thin thousands and no idle zeros', () => {
    expect(formatLength(2400, { system: 'metric' })).toBe('2\u202f400');
    expect(formatLength(955.64, { system: 'metric' })).toBe('955.6');
    expect(formatLength(-0.01, { system: 'metric' })).toBe('0');
    expect(formatLength(1234567.25, { system: 'metric', decimals: 2 })).toBe('1\u202f234\u202f567.25');
  });

  it('gives back, read again, the same length within half the smallest fraction', () => {
    const styles = [8, 16, 32, 64].flatMap((fraction) =>
      [true, false].map((feet) => ({ system: 'inch' as const, fraction: fraction as InchFraction, feet })),
    );
    fc.assert(
      fc.property(fc.double({ min: -20000, max: 20000, noNaN: true }), fc.constantFrom(...styles), (x, style) => {
        const parsed = parseLength(formatLength(x, style), 'inch', { allowNegative: true });
        if (!('mm' in parsed)) throw new Error(`${formatLength(x, style)}: ${parsed.problem}`);
        expect(Math.abs(parsed.mm - x)).toBeLessThanOrEqual(25.4 / style.fraction / 2 + 1e-9);
      }),
      { numRuns: 2000 },
    );
    fc.assert(
      fc.property(fc.double({ min: -900000, max: 900000, noNaN: true }), fc.constantFrom(0, 1, 2), (x, decimals) => {
        const text = formatLength(x, { system: 'metric', decimals: decimals as 0 | 1 | 2 });
        const parsed = parseLength(text, 'metric', { allowNegative: true });
        if (!('mm' in parsed)) throw new Error(`${text}: ${parsed.problem}`);
        expect(Math.abs(parsed.mm - x)).toBeLessThanOrEqual(0.5 / 10 ** decimals + 1e-9);
      }),
      { numRuns: 2000 },
    );
  });
});
