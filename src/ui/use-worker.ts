'use client';

import { useCallback, useEffect, useMemo, useRef } from 'react';
import { startWorker, type Working } from './worker';

/**
 * A worker of a page: started when it is first asked for, ended with the page or before. One that fails is ended by itself,
 * and the next time it is asked for another is started.
 */
export function useWorker<T>(make: () => Worker, failure: string) {
  const own = useRef<Working<T> | null>(null);
  const start = useRef(make);

  const end = useCallback(() => {
    own.current?.end();
    own.current = null;
  }, []);
  useEffect(() => end, [end]);

  const open = useCallback((): Working<T> => {
    if (own.current) return own.current;
    const working = startWorker<T>(start.current, failure);
    own.current = working;
    working.failed.catch(() => {
      if (own.current === working) end();
    });
    return working;
  }, [end, failure]);

  return useMemo(() => ({ open, end, opened: (): Working<T> | null => own.current }), [open, end]);
}
