'use client';

import { proxy } from 'comlink';
import { createContext, type ReactNode, useCallback, useContext, useEffect, useMemo, useRef, useState } from 'react';
import { fixedKey, type Layout, type LayoutProgress, layoutKey, speciesOfDemand } from '@/core';
import { useSettling } from '@/ui/settling';
import { useWorker } from '@/ui/use-worker';
import type { LayoutSearch } from '@/workers/layout.worker';
import { useDerived, useJobState } from '../job/job-context';

/** Where the browser fetches the solver's compiled part. */
const WASM = '/api/highs.wasm';

/** How long a search that is told to stop may take to say what it has, ms. */
const PATIENCE = 600;

type State =
  | { searching: false; failed?: string }
  | { searching: true; progress: LayoutProgress | null; failed?: undefined };

interface LayoutSearching {
  state: State;
  /** Id of the species that is searched or was searched last. */
  species: string;
  /** What the layout rests on: as long as it reads the same, a search or its result still holds. */
  task: string;
  /** Searches the boards of a species; of the piece that is looked at, where none is named. */
  start: (species?: string) => Promise<void>;
  stop: () => void;
}

const LayoutSearchContext = createContext<LayoutSearching | null>(null);

/**
 * Runs the layout search in a worker and keeps what it finds. It wraps all steps of a job: a search continues while
 * another step is looked at, and ends when what it rests on has changed.
 */
export function LayoutSearchProvider({ children }: { children: ReactNode }) {
  const { job, wood: shown } = useDerived();
  /** Id of the species that is searched or was searched last. */
  const [species, setSpecies] = useState(shown.species.id);
  const { demand, boards, layoutOptions } = job.woods.find((wood) => wood.species.id === species) ?? shown;
  const setLayout = useJobState((state) => state.setLayout);
  const [state, setState] = useState<State>({ searching: false });
  const { open, end, opened } = useWorker<LayoutSearch>(
    () => new Worker(new URL('../../workers/layout.worker.ts', import.meta.url), { type: 'module' }),
    'the search could not be started',
  );
  const run = useRef(0);
  /** The best layout that a search at work has reported. */
  const told = useRef<Layout | null>(null);
  const task = useMemo(
    () => layoutKey(demand, boards, layoutOptions) + fixedKey(layoutOptions),
    [demand, boards, layoutOptions],
  );
  /** The task that is searched or was searched last. */
  const sought = useRef(task);

  // A job that is left during a search keeps the best layout reported.
  const leave = useRef(() => {});
  leave.current = () => {
    if (told.current) setLayout(told.current);
    told.current = null;
    end();
  };
  useEffect(() => {
    const go = () => leave.current();
    window.addEventListener('pagehide', go);
    return () => {
      window.removeEventListener('pagehide', go);
      go();
    };
  }, []);

  const given = useRef({ woods: job.woods, shown });
  given.current = { woods: job.woods, shown };

  const start = useCallback(
    async (wanted?: string) => {
      const { woods, shown } = given.current;
      const {
        demand,
        boards,
        layoutOptions,
        layout: before,
      } = woods.find(({ species }) => species.id === wanted) ?? shown;
      end();
      sought.current = layoutKey(demand, boards, layoutOptions) + fixedKey(layoutOptions);
      setSpecies(demand.species);
      run.current += 1;
      const mine = run.current;
      told.current = null;
      setState({ searching: true, progress: null });
      try {
        const { remote, failed } = open();
        const tell = proxy((progress: LayoutProgress) => {
          if (run.current !== mine) return;
          told.current = progress.best;
          setState({ searching: true, progress });
        });
        const layout = await Promise.race([
          // Every time from another beginning; what is there already is kept unless something better is found.
          remote.search(demand, boards, { ...layoutOptions, seed: mine }, before, WASM, tell),
          failed,
        ]);
        if (run.current !== mine) return;
        end();
        // Progress that arrives after the end, through its own port, is not shown any more.
        run.current += 1;
        told.current = null;
        setLayout(layout);
        setState({ searching: false });
      } catch (error) {
        if (run.current === mine)
          setState({ searching: false, failed: error instanceof Error ? error.message : 'the search stopped' });
      }
    },
    [setLayout, open, end],
  );

  const stop = useCallback(() => {
    const mine = run.current;
    void opened()?.remote.stop();
    // The worker does not hear while the solver is at work: then the best layout reported is kept.
    setTimeout(() => {
      const best = told.current;
      if (run.current !== mine || !opened() || !best) return;
      end();
      run.current += 1;
      told.current = null;
      setLayout(best);
      setState({ searching: false });
    }, PATIENCE);
  }, [end, opened, setLayout]);

  // A search for what is not wanted any more ends.
  useEffect(() => {
    if (sought.current === task) return;
    sought.current = task;
    end();
    told.current = null;
    run.current += 1;
    setState({ searching: false });
  }, [task, end]);

  const value = useMemo(() => ({ state, species, task, start, stop }), [state, species, task, start, stop]);
  return <LayoutSearchContext value={value}>{children}</LayoutSearchContext>;
}

/** The search of this job, wherever it was begun. */
export function useJobSearch(): LayoutSearching {
  const search = useContext(LayoutSearchContext);
  if (!search) throw new Error('a layout is searched outside its job');
  return search;
}

/** The search as the layout step shows it: where the layout does not fit any more, one is begun, a moment after the last change. */
export function useLayoutSearch(): LayoutSearching {
  const search = useJobSearch();
  const { wood, job, demand } = useDerived();
  const { state, task, start } = search;
  // First what is looked at, then what else the piece is made of.
  const here = speciesOfDemand(demand);
  const missing = [wood, ...job.woods].find((own) => own.layoutState !== 'current' && here.includes(own.species.id))
    ?.species.id;
  const mine = search.species === wood.species.id;
  const rackKnown = useJobState((state) => state.rackKnown);
  const failed = mine && state.failed !== undefined;
  // What is shown while it settles may lack a layout that is there already.
  const { settling } = useSettling();
  const settled = !rackKnown || settling || missing === undefined || state.searching || failed;
  // biome-ignore lint/correctness/useExhaustiveDependencies: another task begins the wait anew
  useEffect(() => {
    if (settled) return;
    const timer = setTimeout(() => void start(missing), 250);
    return () => clearTimeout(timer);
  }, [settled, task, missing, start]);
  // Another species of the job may be searched meanwhile.
  return mine ? search : { ...search, state: { searching: false } };
}
