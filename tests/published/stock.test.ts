import { describe, expect, it } from 'vitest';
import { boardFeet, DRESSED_INCHES, quartersFor, SURFACED_INCHES, surfacedThickness } from '@/core';

const inch = (n: number) => n * 25.4;

describe('hardwood thickness, rough to surfaced two sides: NHLA rules (values from memory)', () => {
  it.each([
    [4, 13 / 16],
    [5, 1 + 1 / 16],
    [6, 1 + 5 / 16],
    [8, 1.75],
    [10, 2.25],
    [12, 2.75],
    [16, 3.75],
  ])('%i/4 comes to %f in', (quarters, surfaced) => {
    expect(SURFACED_INCHES[quarters]).toBe(surfaced);
    const board = { thickness: inch(quarters / 4), quarters, surface: 'rough' as const };
    expect(surfacedThickness(board, { flattening: 3, skim: 0 })).toBeCloseTo(inch(surfaced), 9);
  });

  it('a board that lies thinner than it was sold gives no more than is there', () => {
    expect(surfacedThickness({ thickness: 34, quarters: 6, surface: 'rough' }, { flattening: 5, skim: 0 })).toBe(29);
  });

  it('a finished 30 mm wants 6/4, a finished 65 mm wants 12/4, and nothing sold gives 100 mm', () => {
    expect([quartersFor(30), quartersFor(65), quartersFor(100)]).toEqual([6, 12, undefined]);
  });
});

it('a board foot is 144 cubic inches of nominal size: NHLA rules (from memory)', () => {
  expect(boardFeet({ length: inch(12), width: inch(12), roughThickness: inch(1) })).toBeCloseTo(1, 12);
  expect(boardFeet({ length: inch(96), width: inch(9), roughThickness: inch(2) })).toBeCloseTo(12, 12);
});

it('construction lumber, dressed: American Softwood Lumber Standard PS 20 (from memory)', () => {
  expect(DRESSED_INCHES.thickness).toEqual({ 1: 0.75, 2: 1.5, 4: 3.5 });
  expect(DRESSED_INCHES.width).toEqual({ 4: 3.5, 6: 5.5, 8: 7.25, 10: 9.25, 12: 11.25 });
});
