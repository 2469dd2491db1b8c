import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { volume } from './convex';
import { boundsOfFlat, chordAt, type Flat, polygonOf, radiusOf } from './outline';
import { archedOutline, fibresThrough, hollowedOutline, profiled } from './profile';

/** Area of a circle's segment from chord and sagitta: r²·acos(1 − s/r) − (r − s)·√(2rs − s²), any engineering handbook. */
const segment = (chord: number, sagitta: number) => {
  const r = radiusOf(chord, sagitta);
  return r ** 2 * Math.acos(1 - sagitta / r) - (r - sagitta) * Math.sqrt(2 * r * sagitta - sagitta ** 2);
};

describe('a part with a curved face', () => {
  it('hollowed below: the block less a segment of a circle', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 400, max: 2000, noNaN: true }),
        fc.double({ min: 60, max: 200, noNaN: true }),
        fc.double({ min: 0.1, max: 0.7, noNaN: true }),
        (length, height, share) => {
          const [rise, fromEnds] = [height * share, height * 0.6];
          const { body, hollows } = profiled(hollowedOutline(length, height, rise, fromEnds), 24);
          expect(volume(body)).toBeCloseTo(length * height * 24, 3);
          const taken = hollows.reduce((sum, { solid }) => sum + volume(solid), 0);
          const true_ = segment(length - 2 * fromEnds, rise) * 24;
          // Drawn with straight lines it takes a little less than the arc.
          expect(taken / true_).toBeGreaterThan(0.95);
          expect(taken / true_).toBeLessThanOrEqual(1 + 1e-9);
          for (const { outward } of hollows) expect(outward).toEqual([0, -1, 0]);
        },
      ),
    );
  });

  it('arched: as much wood as a straight bar of its height, in a blank higher by its rise', () => {
    const outline = archedOutline(1500, 100, 60);
    const { low, high } = boundsOfFlat(polygonOf(outline));
    expect(high - low).toBeCloseTo(160, 3);
    const { body, hollows } = profiled(outline, 36);
    const left = volume(body) - hollows.reduce((sum, { solid }) => sum + volume(solid), 0);
    expect(left / (1500 * 100 * 36)).toBeCloseTo(1, 3);
  });

  it('tells the fibres that run through: what an arch leaves of its height from end to end', () => {
    const arched = fibresThrough(archedOutline(1500, 100, 60));
    expect(arched.band).toBeCloseTo(40, 0);
    expect(arched.narrowest).toBeCloseTo(100, 0);
    expect(fibresThrough(archedOutline(1500, 100, 120)).band).toBe(0);
    const hollowed = fibresThrough(hollowedOutline(1200, 120, 45, 70));
    expect(hollowed.band).toBeCloseTo(75, 0);
    expect(hollowed.narrowest).toBeCloseTo(75, 0);
  });

  it('has of its fibres those that every cross-section keeps, at a thousand places along it', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 500, max: 2000, noNaN: true }),
        fc.double({ min: 60, max: 200, noNaN: true }),
        fc.double({ min: 0.05, max: 0.8, noNaN: true }),
        fc.boolean(),
        (length, height, share, arched) => {
          const outline = arched
            ? archedOutline(length, height, height * share)
            : hollowedOutline(length, height, height * share, height * 0.5);
          const { narrowest, band } = fibresThrough(outline);
          const turned = polygonOf(outline).map(([l, w]): Flat => [w, l]);
          let [low, high, least] = [Number.NEGATIVE_INFINITY, Number.POSITIVE_INFINITY, Number.POSITIVE_INFINITY];
          for (let i = 0; i <= 1000; i += 1) {
            const chord = chordAt(turned, (i / 1000 - 0.5) * (length - 2e-6))!;
            [low, high] = [Math.max(low, chord.from), Math.min(high, chord.to)];
            least = Math.min(least, chord.to - chord.from);
          }
          // Between two of its corners nothing is narrower: the thousand places may miss it by a hair.
          expect(Math.abs(narrowest - least)).toBeLessThan(0.05);
          expect(Math.abs(band - Math.max(0, high - low))).toBeLessThan(0.05);
        },
      ),
    );
  });
});
