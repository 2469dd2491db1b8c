import { expect, it } from 'vitest';
import { ordersOf } from './orders';

it('gives every order once: n! of them, and one of nothing', () => {
  for (const [n, count] of [
    [0, 1],
    [1, 1],
    [2, 2],
    [4, 24],
    [6, 720],
  ] as const) {
    const all = [...ordersOf(Array.from({ length: n }, (_, i) => i))].map((order) => order.join());
    expect(all).toHaveLength(count);
    expect(new Set(all).size).toBe(count);
  }
});
