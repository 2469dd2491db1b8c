'use client';

import { proxy, type Remote, releaseProxy, wrap } from 'comlink';
import { useCallback, useEffect, useRef, useState } from 'react';
import type { Layout, LayoutProgress } from '@/core';
import type { LayoutSearch } from '@/workers/layout.worker';
import { useDerived, useJobState } from '../job/job-context';

/** Where the browser fetches the solver's compiled part. */
const WASM = '/api/highs.wasm';

/** How long a search that is told to stop may take to say what it has, ms. */
const PATIENCE = 600;

type State = { searching: false; failed?: string } | { searching: true; progress: LayoutProgress | null };

/** Runs the layout search in a worker, keeps what it finds, and starts again when what it rests on has changed. */
export function useLayoutSearch() {
  const { demand, boards, layoutOptions, layoutState, layout: before } = useDerived();
  const setLayout = useJobState((state) => state.setLayout);
  const [state, setState] = useState<State>({ searching: false });
  const remote = useRef<{ worker: Worker; search: Remote<LayoutSearch> } | null>(null);
  const run = useRef(0);
  /** The best layout the search has told of. */
  const told = useRef<Layout | null>(null);

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
    told.current = null;
    setState({ searching: true, progress: null });
    try {
      const worker = new Worker(new URL('../../workers/layout.worker.ts', import.meta.url), { type: 'module' });
      const failed = new Promise<never>((_, reject) => {
        worker.onerror = () => reject(new Error('the search could not be started'));
      });
      remote.current = { worker, search: wrap<LayoutSearch>(worker) };
      const tell = proxy((progress: LayoutProgress) => {
        if (run.current !== mine) return;
        told.current = progress.best;
        setState({ searching: true, progress });
      });
      const layout = await Promise.race([
        // Every time from another beginning; what is there already is kept unless something better is found.
        remote.current.search.search(demand, boards, { ...layoutOptions, seed: mine }, before, WASM, tell),
        failed,
      ]);
      if (run.current !== mine) return;
      end();
      setLayout(layout);
      setState({ searching: false });
    } catch (error) {
      if (run.current === mine)
        setState({ searching: false, failed: error instanceof Error ? error.message : 'the search stopped' });
    }
  }, [demand, boards, layoutOptions, before, setLayout, end]);

  const stop = useCallback(() => {
    const mine = run.current;
    void remote.current?.search.stop();
    // The worker does not hear while the solver is at work: then the best it has told of stands.
    setTimeout(() => {
      const best = told.current;
      if (run.current !== mine || !remote.current || !best) return;
      end();
      run.current += 1;
      setLayout(best);
      setState({ searching: false });
    }, PATIENCE);
  }, [end, setLayout]);

  // A layout that no longer fits is searched again, a moment after the last change.
  useEffect(() => {
    if (layoutState === 'current') return;
    const timer = setTimeout(() => void start(), 250);
    return () => clearTimeout(timer);
  }, [layoutState, start]);

  return { state, start, stop };
}
