import { expose } from 'comlink';
import { afterEach, expect, test, vi } from 'vitest';
import { startWorker } from './worker';

afterEach(() => vi.useRealTimers());

/** As much of a worker as is used, over a channel; nobody answers until something is exposed at its other end. */
function stub() {
  const { port1, port2 } = new MessageChannel();
  const close = () => {
    port1.close();
    port2.close();
  };
  const worker = Object.assign(port1, { onerror: null as (() => void) | null, terminate: vi.fn(close) });
  return { worker: worker as unknown as Worker, inside: port2 };
}

test('a worker that starts answers, and does not fail later', async () => {
  vi.useFakeTimers({ toFake: ['setTimeout', 'clearTimeout'] });
  const { worker, inside } = stub();
  expose({ twice: (n: number) => 2 * n }, inside);
  const { remote, failed, end } = startWorker<{ twice: (n: number) => number }>(() => worker, 'it broke');
  expect(await Promise.race([remote.twice(21), failed])).toBe(42);
  expect(vi.getTimerCount()).toBe(0);
  end();
  expect(worker.terminate).toHaveBeenCalledOnce();
});

test('one that does not start fails, also while nobody waits', async () => {
  vi.useFakeTimers();
  const { worker } = stub();
  const { failed, end } = startWorker(() => worker, 'it did not start');
  await vi.advanceTimersByTimeAsync(60_000);
  await expect(failed).rejects.toThrow('it did not start');
  end();
});

test('one that breaks fails at once', async () => {
  const { worker } = stub();
  const { failed, end } = startWorker(() => worker, 'it broke');
  (worker.onerror as () => void)();
  await expect(failed).rejects.toThrow('it broke');
  end();
});
