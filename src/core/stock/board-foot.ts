import { MM_PER_INCH } from '../measure/length';

/** One board foot is 144 in³ of nominal rough size (NHLA; from memory). Sizes mm, result board feet. */
export function boardFeet(size: { length: number; width: number; roughThickness: number }): number {
  return (size.length * size.width * size.roughThickness) / MM_PER_INCH ** 3 / 144;
}
