import { describe, expect, it } from 'vitest';
import { airOnDay, MID_MONTH, yearOfAir } from './place';

const months = Array.from({ length: 12 }, (_, i) => ({
  temperature: 10 - 8 * Math.cos((2 * Math.PI * i) / 12),
  relativeHumidity: 65 + 12 * Math.cos((2 * Math.PI * i) / 12),
}));

describe('the air of a place', () => {
  it('is each month’s mean in the middle of that month', () => {
    months.forEach((month, i) => {
      const air = airOnDay(months, MID_MONTH[i]!);
      expect(air.temperature).toBeCloseTo(month.temperature, 9);
      expect(air.relativeHumidity).toBeCloseTo(month.relativeHumidity, 9);
    });
  });

  it('goes round the year without a step, in value and in slope', () => {
    for (const day of [0, 365, ...MID_MONTH]) {
      const at = (d: number) => airOnDay(months, d).temperature;
      expect(Math.abs(at(day - 1e-4) - at(day + 1e-4))).toBeLessThan(1e-3);
      const [before, after] = [(at(day) - at(day - 0.01)) / 0.01, (at(day + 0.01) - at(day)) / 0.01];
      expect(Math.abs(before - after)).toBeLessThan(2e-3);
    }
    expect(airOnDay(months, 400).moisture).toBeCloseTo(airOnDay(months, 35).moisture, 12);
    expect(airOnDay(months, -10).moisture).toBeCloseTo(airOnDay(months, 355).moisture, 12);
  });

  it('follows a smooth year within half a degree between the mid-months', () => {
    for (let day = 0; day < 365; day += 1) {
      const smooth = 10 - 8 * Math.cos((2 * Math.PI * (day - 15.5)) / 365);
      expect(Math.abs(airOnDay(months, day).temperature - smooth)).toBeLessThan(0.5);
    }
  });

  it('never leaves 0–100 % however rough the months are', () => {
    const rough = months.map((m, i) => ({ ...m, relativeHumidity: i % 2 ? 100 : 0 }));
    for (let day = 0; day < 365; day += 1) {
      const { relativeHumidity, moisture } = airOnDay(rough, day);
      expect(relativeHumidity).toBeGreaterThanOrEqual(0);
      expect(relativeHumidity).toBeLessThanOrEqual(100);
      expect(Number.isFinite(moisture)).toBe(true);
    }
  });

  const place = { months, room: null, logged: [] };
  it('names its driest and wettest day', () => {
    const year = yearOfAir(place);
    expect(year.moisture).toHaveLength(365);
    expect(Math.min(...year.moisture)).toBe(year.driest.moisture);
    expect(year.moisture[year.wettest.day]).toBe(Math.max(...year.moisture));
  });

  it('takes logged days as they are, bridges a gap of days, and leaves the rest of the year to the months', () => {
    const logged = [100, 101, 105].map((day) => ({ day, temperature: 25, relativeHumidity: 30 }));
    const [plain, own] = [yearOfAir(place), yearOfAir({ ...place, logged })];
    for (const { day } of logged) expect(own.relativeHumidity[day]).toBe(30);
    expect(own.temperature[103]).toBeGreaterThan(plain.temperature[103]! + 10);
    expect(own.moisture[103]).toBeLessThan(plain.moisture[103]! - 2);
    expect(own.moisture[99]).toBe(plain.moisture[99]);
    expect(own.moisture[106]).toBe(plain.moisture[106]);
  });

  it('bridges across New Year, and not across a gap of over a fortnight', () => {
    const at = (days: number[]) =>
      yearOfAir({ ...place, logged: days.map((day) => ({ day, temperature: 30, relativeHumidity: 30 })) });
    expect(at([362, 3]).temperature[0]).toBeGreaterThan(25);
    expect(at([10, 40]).temperature[25]).toBe(yearOfAir(place).temperature[25]);
  });
});
