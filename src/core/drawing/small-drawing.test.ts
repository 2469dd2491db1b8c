import { describe, expect, it } from 'vitest';
import { CONSTRUCTIONS, derived } from '../../../tests/fixtures/constructions';
import { smallDrawing, UNIT } from './small-drawing';

const numbers = (path: string) => path.match(/-?\d+/g)?.map(Number) ?? [];

describe('pieces drawn small', () => {
  it.each(CONSTRUCTIONS.map(({ name, document }) => [name, document] as const))('%s', (_, document) => {
    const { piece } = derived(document);
    const drawing = smallDrawing([piece]);
    const all = drawing.shapes.flatMap(({ path }) => numbers(path));
    const [xs, ys] = [all.filter((_, i) => i % 2 === 0), all.filter((_, i) => i % 2 === 1)];
    // It fills its frame, and nothing of it leaves that.
    expect(Math.min(...xs)).toBe(0);
    expect(Math.min(...ys)).toBe(0);
    expect(Math.max(...xs) * UNIT).toBeCloseTo(drawing.width, -1);
    expect(Math.max(...ys) * UNIT).toBeCloseTo(drawing.height, -1);
    // The whole piece, and as little as a list of fifty can carry.
    const drawn = new Set(drawing.shapes.map(({ path }) => path)).size;
    expect(drawn).toBeGreaterThan(2);
    expect(drawing.shapes.some(({ top }) => top)).toBe(true);
    expect(JSON.stringify(drawing).length).toBeLessThan(12_000);
  });

  it('stand beside each other on one floor, at one scale', () => {
    const [table, bench] = CONSTRUCTIONS.slice(0, 2).map(({ document }) => derived(document).piece);
    const [one, other] = [smallDrawing([table!]), smallDrawing([bench!])];
    const both = smallDrawing([table!, bench!]);
    expect(both.height).toBeCloseTo(Math.max(one.height, other.height), 6);
    expect(both.width).toBeGreaterThan(one.width + other.width);
    expect(both.shapes).toHaveLength(one.shapes.length + other.shapes.length);
    const lowest = (shapes: typeof one.shapes) =>
      Math.max(...shapes.flatMap(({ path }) => numbers(path).filter((_, i) => i % 2 === 1)));
    expect(lowest(both.shapes.slice(0, one.shapes.length))).toBe(lowest(both.shapes.slice(one.shapes.length)));
  });

  it('of no piece is empty', () => {
    expect(smallDrawing([])).toEqual({ width: 0, height: 0, shapes: [] });
  });
});
