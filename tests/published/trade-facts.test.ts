import { describe, expect, it } from 'vitest';
import {
  BEHIND_CHAIR,
  dimensionalChange,
  EDGE_ON_BENCH,
  EDGE_PER_CHAIR,
  findSpecies,
  KNEE_HEIGHT,
  legCorner,
  newJob,
  seatsAt,
} from '@/core';
import { insertedCorner, tableOf } from '../fixtures/demo';

const inch = (n: number) => n * 25.4;

// common practice: no published source; what makers state.
const plain = { meeting: 'auto', tenonThickness: null, haunch: 'none', angled: 'in-line', pegs: 'none' } as const;
const tenonCorner = (given: Parameters<typeof legCorner>[0]) => insertedCorner({ corner: legCorner(given) });

describe('facts of the trade (common practice)', () => {
  it('a 9 ft table with benches along both sides and a chair at each end seats 14', () => {
    expect(seatsAt({ length: inch(108), width: inch(36) }, 'benches')).toBe(14);
  });

  it('a chair wants 24 in of edge, a person on a bench 18; knees 24 in; a chair 36 in to the wall and 44 where people pass', () => {
    expect([EDGE_PER_CHAIR, EDGE_ON_BENCH, KNEE_HEIGHT, BEHIND_CHAIR.wall, BEHIND_CHAIR.passing]).toEqual(
      [24, 18, 24, 36, 44].map(inch),
    );
  });

  it('in the air that opens an 11 in end-glued top by 1/16 in, a 40 in top goes nearly 1/4 in', () => {
    const oak = findSpecies('oak-northern-red')!;
    const change = (width: number) =>
      dimensionalChange({
        dimension: width,
        species: oak,
        ringAngle: 0,
        fromMoisture: 7,
        toMoisture: 7 + inch(1 / 16) / (inch(11) * oak.coefficientTangential),
      });
    expect(change(inch(11))).toBeCloseTo(inch(1 / 16), 6);
    expect(change(inch(40)) / inch(1)).toBeGreaterThan(0.2);
    expect(change(inch(40)) / inch(1)).toBeLessThan(0.25);
  });

  it('a tenon is a third of the rail; half of it in a leg at least twice as thick', () => {
    const corner = (tenonSchool: 'third' | 'half', section: number) =>
      tenonCorner({
        section,
        apronThickness: 24,
        apronHeight: 90,
        reveal: 5,
        choice: { ...plain, corner: 'mortise-tenon', tenonSchool, tenonLength: null },
      }).tenon.thickness;
    expect(corner('third', 70)).toBe(8);
    expect(corner('half', 70)).toBe(12);
    expect(corner('half', 45)).toBe(8);
  });

  it('loose tenons of 70 mm in all, two to a rail end, go into 90 mm legs and 25 mm rails', () => {
    const corner = tenonCorner({
      section: 90,
      apronThickness: 25,
      apronHeight: 110,
      reveal: 5,
      choice: { ...plain, corner: 'loose-tenon', tenonSchool: 'third', tenonLength: 35 },
    });
    expect(corner.tenon.length + corner.tenon.intoApron).toBe(70);
    expect(corner.tenon.count).toBe(2);
    expect(corner.clearance).toBeGreaterThanOrEqual(0);
  });

  it('a proposed dining table is 28–30 in high, leaves 24 in for knees, and its base has cross rails when its rails are about 1.85 m', () => {
    const brief = {
      seats: 8,
      seating: 'chairs' as const,
      room: { length: 6500, width: 4200 },
      behindChairs: 'wall' as const,
      kneeRoom: null,
      door: { width: 830, height: 2000 },
      dueOn: '2027-06-01',
      note: '',
    };
    const [piece] = newJob({
      name: 'x',
      client: '',
      brief,
      species: 'oak-white',
      shopPlaceId: 's',
      homePlaceId: 'h',
      startOn: '2027-03-01',
    }).pieces;
    const form = tableOf(piece!);
    const { base } = form;
    if (base.kind !== 'leg-apron') throw new Error('a first table stands on legs and aprons');
    expect(form.base.height).toBeGreaterThanOrEqual(inch(28));
    expect(form.base.height).toBeLessThanOrEqual(inch(30));
    expect(form.base.height - form.top.thickness - base.apron.height).toBeGreaterThanOrEqual(inch(24));
    expect(form.top.length).toBeGreaterThan(1850);
    expect(base.crossRails).toBeGreaterThan(0);
    expect(base.apron.reveal).toBe(5);
  });
});
