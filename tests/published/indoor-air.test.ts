import psychrolib from 'psychrolib';
import { describe, expect, it } from 'vitest';
import { CLIMATE_TYPES, equilibriumMoisture, indoorClimate, type Room, turnedSouth } from '@/core';

psychrolib.SetUnitSystem(psychrolib.SI);
const heated = (setPoint: number | null, more: Partial<Room> = {}): Room => ({
  setPoints: Array.from({ length: 12 }, () => setPoint),
  unheatedAbove: 0,
  leastHumidity: null,
  greatestHumidity: null,
  altitude: 0,
  ...more,
});
const year = (temperature: number, relativeHumidity: number) =>
  Array.from({ length: 12 }, () => ({ temperature, relativeHumidity }));

describe('heating keeps the humidity ratio: PsychroLib, ASHRAE Handbook Fundamentals ch. 1', () => {
  it.each([
    // Below freezing the library takes saturation over ice; over water it would be 13.6 %.
    [-5, 80, 21, 12.9, 0.1],
    [0, 80, 21, 19.7, 0.2],
  ])('outdoor air of %d °C and %d %% at %d °C indoors comes to about %d %%', (out, rh, inside, expected, within) => {
    const [january] = indoorClimate(year(out, rh), heated(inside));
    expect(Math.abs(january!.relativeHumidity - expected)).toBeLessThan(within);
  });

  it('holds the same water in every kilogram of air, at any height above the sea', () => {
    for (const altitude of [0, 800, 2500]) {
      const pressure = psychrolib.GetStandardAtmPressure(altitude);
      for (const { months } of CLIMATE_TYPES) {
        indoorClimate(months, heated(28, { altitude })).forEach((inside, i) => {
          const out = months[i]!;
          const water = (m: typeof out) =>
            psychrolib.GetHumRatioFromRelHum(m.temperature, m.relativeHumidity / 100, pressure);
          expect(Math.abs(water(inside) / water(out) - 1)).toBeLessThan(1e-9);
        });
      }
    }
  });

  it('an unheated room is the outdoors a little warmer; heating never cools a summer’s day', () => {
    const [same] = indoorClimate(year(12, 70), heated(null));
    expect(same!.temperature).toBe(12);
    expect(same!.relativeHumidity).toBeCloseTo(70, 9);
    const [warmer] = indoorClimate(year(12, 70), heated(null, { unheatedAbove: 3 }));
    expect(warmer!.relativeHumidity).toBeLessThan(60);
    expect(indoorClimate(year(30, 50), heated(21))[6]!.temperature).toBe(30);
  });

  it('a humidifier stops at its limit, a dehumidifier at its own', () => {
    expect(indoorClimate(year(-5, 80), heated(21, { leastHumidity: 35 }))[0]!.relativeHumidity).toBe(35);
    expect(indoorClimate(year(28, 85), heated(21, { greatestHumidity: 60 }))[0]!.relativeHumidity).toBe(60);
  });

  it('kinds of climate: a heated cold winter dries wood to 5 % or less, a humid tropic keeps it over 14 %, a desert under 8', () => {
    const emc = (id: string, room: Room) => {
      const months = CLIMATE_TYPES.find((type) => type.id === id)!.months;
      return indoorClimate(months, room).map(equilibriumMoisture);
    };
    expect(Math.min(...emc('cold-continental', heated(21)))).toBeLessThan(5);
    expect(Math.min(...emc('hot-humid', heated(null, { unheatedAbove: 1 })))).toBeGreaterThan(14);
    expect(Math.min(...emc('arid', heated(20)))).toBeLessThan(8);
    expect(CLIMATE_TYPES.length).toBeGreaterThanOrEqual(10);
    const months = CLIMATE_TYPES[0]!.months;
    expect(turnedSouth(turnedSouth(months))).toEqual(months);
    expect(turnedSouth(months)[0]).toEqual(months[6]);
  });
});
