import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { forecastMilling, heightsFromCrook } from '../milling/forecast-milling';
import { lostToCrook } from './crook';

const limits = { passDepth: 1, jointerWidth: 300, planerWidth: 400, planerShortest: 300 };
const whole = { length: 2000, width: 200 };
const lost = (crook: { twist: number; bow: number; cup: number }, piece = whole) =>
  lostToCrook({ ...whole, crook }, piece);

describe('what a crooked board loses', () => {
  it('is its hollow where it is only hollow, and half of what a corner is out of wind', () => {
    expect(lost({ twist: 0, bow: 6, cup: 0 })).toBeCloseTo(6, 9);
    expect(lost({ twist: 0, bow: 0, cup: 3 })).toBeCloseTo(3, 9);
    expect(lost({ twist: 8, bow: 0, cup: 0 })).toBeCloseTo(4, 9);
    expect(lost({ twist: 0, bow: 0, cup: 0 })).toBe(0);
  });

  it('goes down with the square of the length, or of the width, for what is hollow, and with both for twist', () => {
    const half = { length: 1000, width: 100 };
    expect(lost({ twist: 0, bow: 8, cup: 0 }, half)).toBeCloseTo(2, 9);
    expect(lost({ twist: 0, bow: 0, cup: 4 }, half)).toBeCloseTo(1, 9);
    expect(lost({ twist: 8, bow: 0, cup: 0 }, half)).toBeCloseTo(1, 9);
  });

  it('is what the two planes of the milling forecast leave of nine measured points, and no less', () => {
    const mm = fc.integer({ min: 0, max: 120 }).map((tenths) => tenths / 10);
    fc.assert(
      fc.property(mm, mm, mm, (twist, bow, cup) => {
        const crook = { twist, bow, cup };
        const { finishedThickness } = forecastMilling(
          { ...whole, heights: heightsFromCrook(crook), thickness: 60 },
          limits,
        );
        const by9 = 60 - finishedThickness;
        // Between the points it may lie lower by what the edges sag there.
        expect(lost(crook)).toBeGreaterThanOrEqual(by9 - 1e-6);
        expect(lost(crook)).toBeLessThanOrEqual(by9 + Math.max(bow, cup) / 4 + 1e-6);
        // Where the middle is lowest the nine points have all there is to say.
        if (8 * Math.sqrt(bow * cup) >= twist) expect(lost(crook)).toBeCloseTo(by9, 6);
      }),
      { numRuns: 60, endOnFailure: true },
    );
  });

  it('is no less than any planes leave between them, looked at over the whole face', () => {
    const mm = fc.integer({ min: 0, max: 120 }).map((tenths) => tenths / 10);
    const tilt = fc.integer({ min: -80, max: 80 }).map((tenths) => tenths / 10);
    fc.assert(
      fc.property(mm, mm, mm, tilt, tilt, (twist, bow, cup, along, across) => {
        const heights: number[] = [];
        for (let i = 0; i <= 20; i += 1) {
          for (let j = 0; j <= 20; j += 1) {
            const [u, v] = [i / 20 - 0.5, j / 20 - 0.5];
            heights.push(twist * u * v + 4 * bow * u * u + 4 * cup * v * v + along * u + across * v);
          }
        }
        // A grid misses the lowest place by a little.
        expect(Math.max(...heights) - Math.min(...heights)).toBeGreaterThanOrEqual(
          lost({ twist, bow, cup }) - 0.01 * (bow + cup),
        );
      }),
    );
  });
});
