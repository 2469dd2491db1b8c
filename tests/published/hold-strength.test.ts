import { describe, expect, it } from 'vitest';
import { dowelWithdrawal, lagWithdrawal, screwWithdrawal, shearAlongGrain } from '@/core';

const POUND = 4.4482216;
const INCH = 25.4;
/** Pounds to newtons, the other way round. */
const pounds = (newton: number) => newton / POUND;

/** Wood Handbook (USDA Forest Products Laboratory), ch. 8, fastenings, in its inch-pound form; values from memory. */
describe('what it takes to draw a fastener out of side grain', () => {
  it.each([
    [0.68, 8, 1],
    [0.42, 10, 1.5],
    [0.63, 14, 0.75],
  ])('a wood screw: 15 700·G²·D·L pounds (G %s, gauge %s, %s in)', (gravity, gauge, bite) => {
    const diameter = 0.06 + 0.013 * gauge;
    const book = 15700 * gravity ** 2 * diameter * bite;
    expect(pounds(screwWithdrawal(gravity, diameter * INCH, bite * INCH))).toBeCloseTo(book, -1);
    expect(pounds(screwWithdrawal(gravity, diameter * INCH, bite * INCH)) / book).toBeCloseTo(1, 2);
  });

  it.each([
    [0.68, 0.3125, 2],
    [0.5, 0.375, 1.5],
  ])('a lag screw: 8 100·G^1.5·D^0.75·L pounds (G %s, %s in, %s in)', (gravity, diameter, bite) => {
    const book = 8100 * gravity ** 1.5 * diameter ** 0.75 * bite;
    expect(pounds(lagWithdrawal(gravity, diameter * INCH, bite * INCH)) / book).toBeCloseTo(1, 2);
  });
});

/** Wood Handbook ch. 5, tables of mechanical properties at 12 %: shear parallel to the grain, MPa; values from memory. */
describe('shear along the grain from specific gravity', () => {
  it.each([
    ['white oak', 0.68, 'hardwood', 13.8],
    ['red oak, northern', 0.63, 'hardwood', 12.3],
    ['black walnut', 0.55, 'hardwood', 9.4],
    ['Douglas-fir, coast', 0.48, 'softwood', 7.8],
    ['eastern white pine', 0.35, 'softwood', 6.2],
  ] as const)('%s is within a fifth of its table', (_, gravity, kind, table) => {
    expect(Math.abs(shearAlongGrain(gravity, kind) / table - 1)).toBeLessThan(0.2);
  });
});

/**
 * Dowels in side grain, in inches and pounds: F = 0.834·D·L^0.89·(0.95·S₁ + S₂), S the shear strengths of member and dowel
 * (Eckelman, on dowel joints in furniture; formula from memory), for a plain dowel well glued.
 */
describe('a glued dowel', () => {
  it.each([
    [0.3125, 1],
    [0.375, 1],
    [0.375, 1.25],
  ])('of %s in, %s in deep, holds what published tests give within a fifth', (diameter, bite) => {
    const gravity = 0.63;
    const shear = (shearAlongGrain(gravity, 'hardwood') / 6.894757) * 1000;
    const book = 0.834 * diameter * bite ** 0.89 * (0.95 * shear + shear);
    const own = pounds(dowelWithdrawal(gravity, 'hardwood', diameter * INCH, bite * INCH));
    expect(Math.abs(own / book - 1)).toBeLessThan(0.2);
  });
});
