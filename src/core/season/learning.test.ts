import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { learnFrom, NO_CORRECTION, PRIOR } from './learning';

// A top 900 wide, glued at 9 %, moving 0.3 % per %.
const widthAt = (moisture: number, factor: number) => 900 + factor * 900 * 0.003 * (moisture - 9);
const readings = (truth: { factor: number; offset: number }, moistures: number[]) =>
  moistures.map((moisture) => ({ moisture, response: 1, width: widthAt(moisture + truth.offset, truth.factor) }));

describe('what the measured widths teach', () => {
  it('nothing measured, nothing changed', () => {
    expect(learnFrom([], widthAt)).toEqual({
      factor: 1,
      offset: 0,
      spread: { factor: PRIOR.factor, offset: PRIOR.offset },
    });
  });

  it('readings that agree with the forecast change nothing', () => {
    const { factor, offset } = learnFrom(readings({ factor: 1, offset: 0 }, [6, 8, 11, 13]), widthAt);
    expect(factor).toBeCloseTo(1, 9);
    expect(offset).toBeCloseTo(0, 9);
  });

  it('one reading moves the forecast part of the way, and no further than it was off', () => {
    fc.assert(
      fc.property(fc.double({ min: -4, max: 4, noNaN: true }), (off) => {
        const [reading] = readings({ factor: 1, offset: 0 }, [12]);
        const learned = learnFrom([{ ...reading!, width: reading!.width + off }], widthAt);
        const moved = widthAt(12 + learned.offset, learned.factor) - widthAt(12, 1);
        expect(Math.abs(moved)).toBeLessThanOrEqual(Math.abs(off) + 1e-9);
        if (Math.abs(off) > 0.01) expect(moved / off).toBeGreaterThan(0.5);
      }),
    );
  });

  it('a year of readings finds a wood that moves less in a damper home than was thought', () => {
    const truth = { factor: 0.85, offset: 0.8 };
    const learned = learnFrom(readings(truth, [5, 6, 7, 8, 9, 10, 11, 12, 13, 12, 10, 7]), widthAt);
    expect(Math.abs(learned.factor - truth.factor)).toBeLessThan(0.02);
    expect(Math.abs(learned.offset - truth.offset)).toBeLessThan(0.2);
  });

  it('readings before the home’s air has reached the wood say nothing about that air', () => {
    const early = readings({ factor: 1, offset: 0 }, [9, 9.5, 10]).map((r) => ({
      ...r,
      response: 0,
      width: r.width + 1,
    }));
    expect(Math.abs(learnFrom(early, widthAt).offset)).toBeLessThan(1e-9);
  });

  it('every reading makes it surer, never less sure than it was', () => {
    let last = NO_CORRECTION.spread;
    for (let n = 1; n < 8; n += 1) {
      const { spread } = learnFrom(
        readings({ factor: 1.1, offset: -0.4 }, [6, 12, 8, 11, 7, 13, 9].slice(0, n)),
        widthAt,
      );
      expect(spread.factor).toBeLessThanOrEqual(last.factor + 1e-12);
      expect(spread.offset).toBeLessThanOrEqual(last.offset + 1e-12);
      last = spread;
    }
    expect(last.factor).toBeLessThan(0.06);
  });

  it('a reading wildly off is told apart from nothing by at most a few of the spreads believed in', () => {
    const learned = learnFrom([{ moisture: 12, response: 1, width: 1000 }], widthAt);
    expect(Math.abs(learned.factor - 1)).toBeLessThan(12 / PRIOR.reading);
    expect(Number.isFinite(learned.offset)).toBe(true);
  });
});
