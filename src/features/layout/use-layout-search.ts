'use client';

import { proxy, type Remote, releaseProxy, wrap } from 'comlink';
import { useCallback, useEffect, useRef, useState } from 'react';
import type { LayoutProgress } from '@/core';
import type { LayoutSearch } from '@/workers/layout.worker';
import { useDerived, useJobState } from '../job/job-context';

/** Where the browser fetches the solver's compiled part. */
const WASM = '/api/highs.wasm';

type State = { searching: false; failed?: string } | { searching: true; progress: LayoutProgress | null };

/** Runs the layout search in a worker, keeps what it finds, and starts again when what it rests on has changed. */
export function useLayoutSearch() {
  const { demand, boards, layoutOptions, layoutState, layout: before } = useDerived();
  const setLayout = useJobState((state) => state.setLayout);
  const [state, setState] = useState<State>({ searching: false });
  const remote = useRef<{ worker: Worker; search: Remote<LayoutSearch> } | null>(null);
  const run = useRef(0);

  const end = useCallback(() => {
    remote.current?.search[releaseProxy]();
    remote.current?.worker.terminate();
    remote.current = null;
  }, []);
  useEffect(() => end, [end]);

  const start = useCallback(async () => {
    end();
    run.current += 1;
    const mine = run.current;
    setState({ searching: true, progress: null });
    try {
      const worker = new Worker(new URL('../../workers/layout.worker.ts', import.meta.url), { type: 'module' });
      const failed = new Promise<never>((_, reject) => {
        worker.onerror = () => reject(new Error('the search could not be started'));
      });
      remote.current = { worker, search: wrap<LayoutSearch>(worker) };
      const told = proxy((progress: LayoutProgress) => {
        if (run.current === mine) setState({ searching: true, progress });
      });
      const layout = await Promise.race([
        // Every time from another beginning; what is there already is kept unless something better is found.
        remote.current.search.search(demand, boards, { ...layoutOptions, seed: mine }, before, WASM, told),
        failed,
      ]);
      if (run.current !== mine) return;
      setLayout(layout);
      setState({ searching: false });
    } catch (error) {
      if (run.current === mine)
        setState({ searching: false, failed: error instanceof Error ? error.message : 'the search stopped' });
    }
  }, [demand, boards, layoutOptions, before, setLayout, end]);

  const stop = useCallback(() => void remote.current?.search.stop(), []);

  // A layout that no longer fits is searched again, a moment after the last change.
  useEffect(() => {
    if (layoutState === 'current') return;
    const timer = setTimeout(() => void start(), 250);
    return () => clearTimeout(timer);
  }, [layoutState, start]);

  return { state, start, stop };
}
