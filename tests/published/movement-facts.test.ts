import { describe, expect, it } from 'vitest';
import {
  type Body,
  correctPinReading,
  daysUntilReady,
  dimensionalChange,
  findSpecies,
  glued,
  judgeRestraint,
  MM_PER_INCH,
  type Place,
  seasonCalculator,
  yearOfAir,
} from '@/core';

const inch = MM_PER_INCH;
const cherry = findSpecies('cherry-black')!;
const redOak = findSpecies('oak-northern-red')!;
const grows = (species: typeof cherry, dimension: number, fromMoisture: number, toMoisture: number) =>
  dimensionalChange({ dimension, species, ringAngle: 0, fromMoisture, toMoisture });

describe('facts of the trade about movement (common practice)', () => {
  describe('an end piece glued across a panel 11 in wide, 1/32 in open at front and back after a year', () => {
    const opened = inch / 16;

    it('is what a cherry panel does that dried by some 2 ½ %, and then a 40 in top would have moved nearly a quarter inch', () => {
      // Which air gives that? The moisture that shrinks 11 in by 1/16, found by halving.
      let [low, high] = [2, 9];
      for (let i = 0; i < 60; i += 1) {
        const middle = (low + high) / 2;
        if (-grows(cherry, 11 * inch, 9, middle) > opened) low = middle;
        else high = middle;
      }
      expect(9 - low).toBeGreaterThan(1.5);
      expect(9 - low).toBeLessThan(3);
      const onForty = -grows(cherry, 40 * inch, 9, low);
      expect(onForty).toBeGreaterThan(0.9 * (inch / 4));
      expect(onForty).toBeLessThan(inch / 4);
    });

    it('is a trap for the engine in a home with a heated winter', () => {
      const bodies: Body[] = ['panel', 'end'].map((id) => ({ id, name: id, at: { x: 0, y: 0, z: 0 } }));
      const ties = glued(
        { id: 'seam', name: 'seam', a: 'end', b: 'panel', at: { x: 300, y: 0, z: 0 } },
        { y: 11 * inch },
      );
      const { traps } = judgeRestraint(bodies, ties, [
        {
          day: 0,
          strain: (body, axis) => (body === 'panel' && axis === 'y' ? grows(cherry, 1, 9, 6.2) : 0),
        },
      ]);
      expect(traps).toHaveLength(1);
      expect(traps[0]!.missing).toBeGreaterThan(inch / 32);
    });
  });

  it('a breadboard made 1/8 in longer than a top some 40 in wide in the dry season is flush or near it by summer', () => {
    // Red oak, glued in winter air; the quarter- to rift-sawn boards such tops are made of.
    const top = 40 * inch;
    const summer = dimensionalChange({
      dimension: top,
      species: redOak,
      ringAngle: 60,
      fromMoisture: 7,
      toMoisture: 9,
    });
    expect(summer).toBeGreaterThan(inch / 16);
    expect(summer).toBeLessThan((3 * inch) / 16);
  });

  it('a quarter inch of travel each way is what a trestle top of some 40 in wants over the widest swing of a year indoors', () => {
    const { figures } = seasonCalculator({
      species: redOak,
      width: 41 * inch,
      thickness: 25,
      rings: 0,
      now: 9.5,
      driest: 6,
      wettest: 13,
      school: 'coefficients',
    });
    expect(figures.edge.quantity.amount).toBeGreaterThan(0.8 * (inch / 4));
    expect(figures.edge.quantity.amount).toBeLessThan(inch / 4);
  });

  it('a 940 mm red oak top moves 6 mm between 7 and 9 %', () => {
    expect(grows(redOak, 940, 7, 9)).toBeCloseTo(5.7, 1);
  });
});

describe('boards coming to rest', () => {
  const shop: Pick<Place, 'months' | 'room' | 'logged'> = {
    months: Array.from({ length: 12 }, () => ({ temperature: 20, relativeHumidity: 45 })),
    room: null,
    logged: [],
  };
  const target = yearOfAir(shop).moisture[0]!;
  const wait = (thickness: number, moisture = 13, species = redOak) =>
    daysUntilReady({ thickness, species, moisture, target, place: shop, from: '2027-03-01' })!;

  it('an inch board at 13 % takes more than some days and less than a season (common practice)', () => {
    expect(wait(inch)).toBeGreaterThan(5);
    expect(wait(inch)).toBeLessThan(90);
  });

  it('twice the thickness takes between two and four times as long', () => {
    const ratio = wait(2 * inch) / wait(inch);
    expect(ratio).toBeGreaterThan(2);
    expect(ratio).toBeLessThan(4.2);
  });

  it('wetter takes longer, lighter wood less; a board within 1 % is ready, one that never comes there says so', () => {
    expect(wait(30, 18)).toBeGreaterThan(wait(30, 12));
    expect(wait(30, 13, findSpecies('pine-eastern-white')!)).toBeLessThan(wait(30, 13));
    expect(wait(30, target + 0.9)).toBe(0);
    expect(
      daysUntilReady({ thickness: 30, species: redOak, moisture: 14, target: 5, place: shop, from: '2027-03-01' }),
    ).toBeNull();
  });
});

describe('pin meters: Pfaff and Garrahan, temperature correction (1986; from memory)', () => {
  it('at 20 °C the reading stands', () => {
    for (const reading of [7, 12, 20]) {
      expect(Math.abs(correctPinReading({ reading, woodTemperature: 20 }) - reading)).toBeLessThan(0.1);
    }
  });

  it('cold wood reads too low and warm wood too high, by about a tenth of the reading each 15 °C or so', () => {
    const at = (woodTemperature: number) => correctPinReading({ reading: 12, woodTemperature });
    expect(at(5)).toBeGreaterThan(13);
    expect(at(5)).toBeLessThan(14.5);
    expect(at(35)).toBeLessThan(11.4);
    expect(at(35)).toBeGreaterThan(9.8);
  });

  it('the maker’s own correction for a wood is added, and nothing comes out below nothing', () => {
    expect(correctPinReading({ reading: 12, woodTemperature: 20, speciesCorrection: -1.5 })).toBeCloseTo(10.5, 1);
    expect(correctPinReading({ reading: 2, woodTemperature: 20, speciesCorrection: -10 })).toBe(0);
  });
});
