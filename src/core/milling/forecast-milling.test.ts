import fc from 'fast-check';
import loadHighs from 'highs';
import { describe, expect, it } from 'vitest';
import { highsSolver } from '../linear/highs-solver';
import { lostToCrook } from '../stock/crook';
import {
  cleanedShare,
  crookOfHeights,
  forecastMilling,
  forecastResaw,
  type Heights,
  heightAt,
  heightsFromCrook,
  type MeasuredBoard,
} from './forecast-milling';

const limits = { passDepth: 0.8, jointerWidth: 260, planerWidth: 410, planerShortest: 300 };
const board = (heights: Heights, more: Partial<MeasuredBoard> = {}): MeasuredBoard => ({
  length: 1800,
  width: 200,
  thickness: 32,
  heights,
  ...more,
});
const flat: Heights = [
  [0, 0, 0],
  [0, 0, 0],
  [0, 0, 0],
];
/** One corner out of wind by so much, the surface ruled between. */
const twisted = (h: number): Heights => [
  [0, 0, 0],
  [0, h / 4, h / 2],
  [0, h / 2, h],
];

describe('a crooked board', () => {
  it('loses nothing when it is flat, however it lies', () => {
    expect(forecastMilling(board(flat), limits)).toMatchObject({
      finishedThickness: 32,
      passes: { upper: 0, lower: 0 },
    });
    const leaning: Heights = [
      [3, 5, 7],
      [4, 6, 8],
      [5, 7, 9],
    ];
    expect(forecastMilling(board(leaning), limits).finishedThickness).toBeCloseTo(32, 9);
  });

  it.each([2, 6, 12.8])(
    'out of wind by %d mm at one corner loses half of it, a quarter at each end of each face',
    (h) => {
      const forecast = forecastMilling(board(twisted(h)), limits);
      expect(forecast.finishedThickness).toBeCloseTo(32 - h / 2, 9);
      expect(forecast.taken.upper).toBeCloseTo(h / 2, 9);
      expect(forecast.passes.upper).toBe(Math.ceil(h / 2 / 0.8 - 1e-9));
      // Shims share the loss: two opposite corners are lifted, the others lie down.
      const shims = [...forecast.shims].sort((a, b) => a - b);
      expect(shims[0]).toBeCloseTo(0, 9);
      expect(shims[1]).toBeCloseTo(0, 9);
      expect(shims[2]).toBeCloseTo(h / 2, 9);
      expect(shims[3]).toBeCloseTo(h / 2, 9);
    },
  );

  it('known only by its twist, bow and cup loses half the twist, and bow and cup whole', () => {
    const loss = (crook: { twist: number; bow: number; cup: number }) =>
      32 - forecastMilling(board(heightsFromCrook(crook)), limits).finishedThickness;
    expect(loss({ twist: 6, bow: 0, cup: 0 })).toBeCloseTo(3, 9);
    expect(loss({ twist: 0, bow: 4, cup: 0 })).toBeCloseTo(4, 9);
    expect(loss({ twist: 0, bow: 0, cup: 2 })).toBeCloseTo(2, 9);
    expect(
      heightsFromCrook(null)
        .flat()
        .every((h) => h === 0),
    ).toBe(true);
  });

  it('is worth crosscutting first: half as long it is half as much out of wind', () => {
    const { gained } = forecastMilling(board(twisted(8)), limits);
    expect(gained.crosscutFirst).toBeCloseTo(2, 9);
    expect(gained.ripFirst).toBeCloseTo(2, 9);
  });

  it('hollow along its length loses the hollow; in halves a quarter of it', () => {
    const bowed: Heights = [
      [0, 0, 0],
      [-6, -6, -6],
      [0, 0, 0],
    ];
    const forecast = forecastMilling(board(bowed), limits);
    expect(forecast.finishedThickness).toBeCloseTo(26, 9);
    expect(forecast.gained.crosscutFirst).toBeCloseTo(6 - 1.5, 9);
    expect(forecast.gained.ripFirst).toBeCloseTo(0, 9);
  });

  it('of uneven thickness is planed to its thinnest where that is least lost', () => {
    const wedge: Heights = [
      [30, 30, 30],
      [28, 28, 28],
      [26, 26, 26],
    ];
    expect(forecastMilling(board(wedge, { thickness: wedge }), limits).finishedThickness).toBeCloseTo(26, 9);
  });

  it('has no better plane than the one found: a linear programme agrees', async () => {
    const solver = highsSolver(await loadHighs());
    const height = fc.integer({ min: 0, max: 120 }).map((n) => n / 10);
    const grid = fc.tuple(
      fc.tuple(height, height, height),
      fc.tuple(height, height, height),
      fc.tuple(height, height, height),
    );
    fc.assert(
      fc.property(
        grid,
        grid,
        fc.integer({ min: 300, max: 3000 }),
        fc.integer({ min: 60, max: 400 }),
        (heights, extra, length, width) => {
          const thickness = extra.map((row) => row.map((t) => 20 + t)) as unknown as Heights;
          const found = forecastMilling({ length, width, heights, thickness }, limits).finishedThickness;
          // Greatest top − bottom: tilts over the whole board, top under every upper point, bottom over every lower.
          const free = { lower: -1000, upper: 1000 };
          const points = heights.flatMap((row, i) =>
            row.map((upper, j) => ({ x: i / 2, y: j / 2, upper, t: thickness[i]![j]! })),
          );
          const { objective } = solver(
            {
              columns: [
                { cost: 0, ...free },
                { cost: 0, ...free },
                { cost: -1, ...free },
                { cost: 1, ...free },
              ],
              rows: points.flatMap(({ x, y, upper, t }) => [
                {
                  lower: -1e6,
                  upper,
                  entries: [
                    [0, x],
                    [1, y],
                    [2, 1],
                  ] as const,
                },
                {
                  lower: upper - t,
                  upper: 1e6,
                  entries: [
                    [0, x],
                    [1, y],
                    [3, 1],
                  ] as const,
                },
              ]),
            },
            (model) => model.solve(),
          );
          expect(found).toBeCloseTo(Math.max(0, -objective), 5);
        },
      ),
      { numRuns: 40 },
    );
  });
});

describe('the face between the points', () => {
  it('goes through them', () => {
    const heights = twisted(7);
    expect(heightAt(heights, 0.5, 1)).toBeCloseTo(3.5, 12);
    expect(heightAt(heights, 0.25, 0.5)).toBeCloseTo(7 / 8, 12);
  });

  it('is cleaned bit by bit: none at first, all at the full depth', () => {
    const bowed = board([
      [4, 4, 4],
      [0, 0, 0],
      [4, 4, 4],
    ]);
    expect(cleanedShare(bowed, 4)).toBeCloseTo(1, 9);
    // z = 4(2t − 1)²: 3 mm or higher than 1 where |2t − 1| ≥ ½, half of the face.
    expect(cleanedShare(bowed, 3)).toBeCloseTo(0.5, 1);
    expect(cleanedShare(bowed, 0.1)).toBeLessThan(0.06);
  });
});

describe('resawing', () => {
  it('gives as many pieces as kerfs and over-thickness leave, and tells what is left', () => {
    // Common practice: a thick board flattened to 44 mm gives four 8 mm pieces 2 mm over-thick, with a 1 mm kerf.
    expect(forecastResaw({ thickness: 44, wanted: 8, kerf: 1, allowance: 2 })).toEqual({
      pieces: 4,
      sawn: 10,
      left: 1,
    });
    expect(forecastResaw({ thickness: 42.9, wanted: 8, kerf: 1, allowance: 2 }).pieces).toBe(3);
    expect(forecastResaw({ thickness: 9, wanted: 8, kerf: 1, allowance: 2 }).pieces).toBe(0);
  });

  it('goes back from heights to the crook that a layout counts: each by itself exactly', () => {
    for (const crook of [
      { twist: 7, bow: 0, cup: 0 },
      { twist: 0, bow: 5, cup: 0 },
      { twist: 0, bow: 0, cup: 3 },
      { twist: 7, bow: 5, cup: 3 },
    ])
      expect(crookOfHeights(heightsFromCrook(crook))).toEqual(crook);
    // A hump is a trough turned over.
    const hump: Heights = [
      [0, 2, 0],
      [4, 6, 4],
      [0, 2, 0],
    ];
    expect(crookOfHeights(hump)).toEqual({ twist: 0, bow: 4, cup: 2 });
  });

  it('counts at least what flattening measured heights takes', () => {
    const height = fc.integer({ min: 0, max: 20 });
    const three = fc.tuple(height, height, height);
    fc.assert(
      fc.property(fc.tuple(three, three, three), (heights) => {
        const taken = 100 - forecastMilling(board(heights, { thickness: 100 }), limits).finishedThickness;
        const size = { length: 1800, width: 200 };
        expect(lostToCrook({ ...size, crook: crookOfHeights(heights) }, size)).toBeGreaterThanOrEqual(taken - 0.11);
      }),
    );
  });
});
