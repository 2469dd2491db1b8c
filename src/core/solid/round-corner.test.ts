import { describe, expect, it } from 'vitest';
import type { Flat } from './outline';
import { roundCorner } from './round-corner';

const rectangle = (length: number, width: number): Flat[] => [
  [-length / 2, -width / 2],
  [length / 2, -width / 2],
  [length / 2, width / 2],
  [-length / 2, width / 2],
];
const disc = (diameter: number): Flat[] =>
  Array.from({ length: 90 }, (_, i): Flat => {
    const angle = (i * Math.PI) / 45;
    return [(diameter / 2) * Math.cos(angle), (diameter / 2) * Math.sin(angle)];
  });

describe('round a corner', () => {
  it.each([
    [1000, 1000],
    [900, 1200],
    [800, 2000],
  ])('a ladder through passages of %d and %d is no longer than (a^⅔ + b^⅔)^1.5 (any calculus textbook)', (a, b) => {
    const longest = (a ** (2 / 3) + b ** (2 / 3)) ** 1.5;
    const corner = { before: a, after: b };
    // One degree from turn to turn.
    expect(roundCorner(rectangle(longest * 0.998, 0.1), corner)).not.toBeNull();
    expect(roundCorner(rectangle(longest * 1.003, 0.1), corner)).toBeNull();
  });

  it.each([
    [1500, 600, 1000],
    [2000, 450, 1000],
    [1200, 700, 900],
  ])('a rectangle %d × %d: as long as a·cos + b·sin − l·sin·cos leaves its width at every turn', (length, width, a) => {
    const least = (b: number) =>
      Math.min(
        ...Array.from({ length: 900 }, (_, i) => {
          const [cos, sin] = [Math.cos((i * Math.PI) / 1800), Math.sin((i * Math.PI) / 1800)];
          return a * cos + b * sin - length * sin * cos;
        }),
      );
    // The narrowest passage after, by halving.
    let [low, high] = [width, 20_000];
    for (let i = 0; i < 60; i += 1) {
      const middle = (low + high) / 2;
      if (least(middle) >= width) high = middle;
      else low = middle;
    }
    // Narrower than that it may still go in sideways, where it is short enough for that.
    const sideways = Math.max(length, width) <= high;
    expect(roundCorner(rectangle(length, width), { before: a, after: high * 1.004 })).not.toBeNull();
    if (!sideways) expect(roundCorner(rectangle(length, width), { before: a, after: high * 0.996 })).toBeNull();
  });

  it('a disc goes wherever both passages are as wide as it, and a square in the corner need not turn', () => {
    expect(roundCorner(disc(1000), { before: 1001, after: 1001 })).not.toBeNull();
    expect(roundCorner(disc(1000), { before: 1001, after: 995 })).toBeNull();
    expect(roundCorner(rectangle(800, 800), { before: 800, after: 800 })).not.toBeNull();
    expect(roundCorner(rectangle(801, 801), { before: 800, after: 800 })).toBeNull();
  });

  it('goes one way as well as the other', () => {
    const shape: Flat[] = [
      [0, 0],
      [1400, 0],
      [1400, 300],
      [500, 600],
      [0, 600],
    ];
    for (const [before, after] of [
      [800, 900],
      [900, 1000],
      [700, 700],
    ] as const)
      expect(roundCorner(shape, { before, after }) === null).toBe(
        roundCorner(shape, { before: after, after: before }) === null,
      );
  });
});
