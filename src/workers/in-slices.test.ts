import { describe, expect, it } from 'vitest';
import { inSlices } from './in-slices';

function* counting(to: number): Generator<number, string> {
  for (let i = 1; i <= to; i += 1) {
    const start = performance.now();
    while (performance.now() - start < 1);
    yield i;
  }
  return 'done';
}

describe('a computation in slices', () => {
  it('comes to its result, telling how far it is now and then', async () => {
    const told: number[] = [];
    expect(
      await inSlices(
        counting(200),
        (n) => told.push(n),
        () => false,
      ),
    ).toEqual({ result: 'done' });
    expect(told.length).toBeGreaterThan(1);
    expect(told.length).toBeLessThan(50);
    expect(told).toEqual([...told].sort((a, b) => a - b));
  });

  it('stopped, it ends with the last thing it had', async () => {
    let stopped = false;
    const outcome = await inSlices(
      counting(10_000),
      (n) => (stopped = n > 20),
      () => stopped,
    );
    expect('stoppedAt' in outcome && outcome.stoppedAt).toBeGreaterThan(20);
  });

  it('a fault comes out of it', async () => {
    const faulty = (function* (): Generator<number, string> {
      yield 1;
      throw new Error('no board');
    })();
    await expect(
      inSlices(
        faulty,
        () => {},
        () => false,
      ),
    ).rejects.toThrow('no board');
  });
});
