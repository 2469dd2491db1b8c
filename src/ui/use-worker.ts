'use client';

import { type Remote, releaseProxy, wrap } from 'comlink';
import { useCallback, useEffect, useMemo, useRef } from 'react';

/** A worker that has been started: what is asked of it, and what comes instead of every answer once it has failed. */
export interface Working<T> {
  remote: Remote<T>;
  failed: Promise<never>;
}

/**
 * A worker of a page: started when it is first asked for, ended with the page or before. One that fails is ended by itself,
 * and the next time it is asked for another is started. Who waits for an answer races it against `failed`.
 *
 * @param start makes it; its address is written where it is called, so that the bundler finds it
 * @param failure what is said when it does not start or breaks
 */
export function useWorker<T>(start: () => Worker, failure: string) {
  const own = useRef<(Working<T> & { worker: Worker }) | null>(null);
  const make = useRef(start);

  const end = useCallback(() => {
    own.current?.remote[releaseProxy]();
    own.current?.worker.terminate();
    own.current = null;
  }, []);
  useEffect(() => end, [end]);

  const open = useCallback((): Working<T> => {
    if (own.current) return own.current;
    const worker = make.current();
    const failed = new Promise<never>((_, reject) => {
      worker.onerror = () => {
        if (own.current?.worker === worker) end();
        reject(new Error(failure));
      };
    });
    // Nobody may be waiting when it breaks.
    failed.catch(() => {});
    own.current = { worker, remote: wrap<T>(worker), failed };
    return own.current;
  }, [end, failure]);

  return useMemo(() => ({ open, end, opened: (): Working<T> | null => own.current }), [open, end]);
}
