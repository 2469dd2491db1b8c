import { type Remote, releaseProxy, wrap } from 'comlink';

/** A worker that has been started: what is asked of it, and what comes instead of every answer once it has failed. */
export interface Working<T> {
  remote: Remote<T>;
  failed: Promise<never>;
  end: () => void;
}

/** A worker that has not answered once after so long does not start, ms. */
const STARTS_WITHIN = 15_000;

/**
 * Starts a worker. Who waits for an answer races it against `failed`, which rejects when the worker breaks or does not start;
 * whoever started it ends it.
 *
 * @param make makes it; its address is written where it is called, so that the bundler finds it
 * @param failure the message of the error that `failed` rejects with
 */
export function startWorker<T>(make: () => Worker, failure: string): Working<T> {
  const worker = make();
  const remote = wrap<T>(worker);
  let late: ReturnType<typeof setTimeout> | undefined;
  const failed = new Promise<never>((_, reject) => {
    const fail = () => reject(new Error(failure));
    worker.onerror = fail;
    late = setTimeout(fail, STARTS_WITHIN);
  });
  // Nobody may be waiting when it breaks.
  failed.catch(() => {});
  // Whatever it answers to a question it does not know, it has started.
  const alive = (remote as unknown as Remote<{ started: undefined }>).started as PromiseLike<undefined>;
  void alive.then(() => clearTimeout(late));
  const end = () => {
    clearTimeout(late);
    remote[releaseProxy]();
    worker.terminate();
  };
  return { remote, failed, end };
}
