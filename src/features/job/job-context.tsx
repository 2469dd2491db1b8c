'use client';

import { usePathname } from 'next/navigation';
import { createContext, type ReactNode, useContext, useEffect, useMemo, useState } from 'react';
import { useStore } from 'zustand';
import type { Change, DerivedJob, Problem } from '@/core';
import { deriveOnce } from './derive-once';
import { createJobStore, type JobSeed, type JobState } from './job-store';

type Store = ReturnType<typeof createJobStore>;

/** What is looked at, and nothing that is stored: the day, the lit parts, how much movement is exaggerated. */
interface Look {
  /** Days after the season's start; null until somebody chooses, see {@link useShownDay}. */
  day: number | null;
  setDay: (day: number) => void;
  lit: readonly string[];
  light: (ids: readonly string[]) => void;
  exaggeration: number;
  setExaggeration: (times: number) => void;
}

interface JobContextValue {
  store: Store;
  derived: ReturnType<typeof deriveOnce>;
  look: Look;
}

const JobContext = createContext<JobContextValue | null>(null);

export function JobProvider({ seed, children }: { seed: JobSeed; children: ReactNode }) {
  const [store] = useState(() => createJobStore(seed));
  const [day, setDay] = useState<number | null>(null);
  const [lit, light] = useState<readonly string[]>([]);
  const [exaggeration, setExaggeration] = useState(1);
  const { document, shop, places, boards, rackKnown, layout } = useStore(store);
  const derived = useMemo(
    () => deriveOnce({ document, shop, places, boards: rackKnown ? boards : null, layout }),
    [document, shop, places, boards, rackKnown, layout],
  );

  useEffect(() => {
    const { wake } = store.getState();
    wake();
    window.addEventListener('online', wake);
    return () => window.removeEventListener('online', wake);
  }, [store]);

  const look = useMemo(() => ({ day, setDay, lit, light, exaggeration, setExaggeration }), [day, lit, exaggeration]);
  const value = useMemo(() => ({ store, derived, look }), [store, derived, look]);
  return <JobContext value={value}>{children}</JobContext>;
}

function useJobContext(): JobContextValue {
  const context = useContext(JobContext);
  if (!context) throw new Error('a job is shown outside its provider');
  return context;
}

export const useLook = (): Look => useJobContext().look;

export function useJobState<T>(select: (state: JobState) => T): T {
  return useStore(useJobContext().store, select);
}

/**
 * The day that the drawings show, in days after the season's start, with the moisture of the piece then. Until somebody
 * moves it, it is the day of gluing, on which every size is the one decided; the season step begins at the wettest day.
 */
export function useShownDay(): { index: number; moisture: number } {
  const { season } = useDerived();
  const { day } = useLook();
  const inSeason = usePathname().endsWith('/season');
  const index = Math.min(
    season.moistures.length - 1,
    Math.max(0, day ?? (inSeason ? season.wettest : season.glued).index),
  );
  const moisture =
    index === season.glued.index ? season.glued.moisture : (season.moistures[index] ?? season.glued.moisture);
  return { index, moisture };
}

/** Everything computed for the job; the desk shows no step while there is nothing to derive from. */
export function useDerived(): DerivedJob {
  const { derived } = useJobContext();
  if (!('piece' in derived)) throw new Error('nothing is derived');
  return derived;
}

export function useDerivedOrProblems(): ReturnType<typeof deriveOnce> {
  return useJobContext().derived;
}

/** Changes one decision by its path. */
export function useChange(): (path: string) => (value: unknown) => readonly Problem[] | undefined {
  const change = useJobState((state) => state.change);
  return useMemo(() => (path: string) => (value: unknown) => change([{ path, value }] satisfies Change[]), [change]);
}
