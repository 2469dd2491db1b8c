import type { Diffusivity } from './diffusivity';

const SECONDS_PER_DAY = 86_400;

/**
 * What is left of the difference between a bare board and its air after some days, 1 at first and 0 in the end: the short- and the
 * long-time form of the slab with a step at its surface (Crank, The Mathematics of Diffusion, from memory), which meet at
 * D·t/L² = 0.05. At 10 % and 20 °C; the surface itself is taken to follow at once.
 *
 * @param given thickness mm, days at least 0
 */
export function remainingDifference(given: { thickness: number; diffusivity: Diffusivity; days: number }): number {
  const time = (given.diffusivity.at10 * 1e6 * SECONDS_PER_DAY * Math.max(0, given.days)) / given.thickness ** 2;
  return time < 0.05 ? 1 - 4 * Math.sqrt(time / Math.PI) : (8 / Math.PI ** 2) * Math.exp(-(Math.PI ** 2) * time);
}
