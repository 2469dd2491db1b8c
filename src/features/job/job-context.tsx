'use client';

import { usePathname, useSearchParams } from 'next/navigation';
import {
  type Context,
  createContext,
  type ReactNode,
  Suspense,
  use,
  useContext,
  useEffect,
  useMemo,
  useState,
  useSyncExternalStore,
} from 'react';
import { useStore } from 'zustand';
import { derivedAtOnce } from '#derive-at-once';
import {
  type CaseForm,
  type CasePiece,
  type Change,
  changesInJob,
  type DecisionPath,
  type JobInputs,
  type PieceInJob,
  type Problem,
  type ShownPiece,
  shownPiece,
  type TableForm,
  type TablePiece,
} from '@/core';
import { SettlingProvider } from '@/ui/settling';
import { createDerivedStore, type Derived, type Settled } from './derived-store';
import { derive } from './deriver';
import { createJobStore, type JobSeed, type JobState } from './job-store';
import { createLookStore, type Look } from './look-store';

/** What is stored, what follows from it and what is looked at: none is replaced while the job is open, who reads of them is told by them. */
interface Stores {
  store: ReturnType<typeof createJobStore>;
  derived: ReturnType<typeof createDerivedStore>;
  look: ReturnType<typeof createLookStore>;
}

/** What follows from the decisions, whenever they change. */
interface Shown extends Settled {
  /** The piece that is looked at; null where nothing can be derived. */
  shown: ShownPiece | null;
}

const StoresContext = createContext<Stores | null>(null);
const ShownContext = createContext<Shown | null>(null);

const inputsOf = ({ document, shop, places, boards, rackKnown, layouts }: JobState): JobInputs => ({
  document,
  shop,
  places,
  boards: rackKnown ? boards : null,
  layouts,
});
const DERIVED_FROM = ['document', 'shop', 'places', 'boards', 'rackKnown', 'layouts'] as const;

function createStores(seed: JobSeed): Stores {
  const store = createJobStore(seed);
  const derived = createDerivedStore(inputsOf(store.getState()), derive, derivedAtOnce);
  store.subscribe((now, before) => {
    if (DERIVED_FROM.some((name) => now[name] !== before[name])) derived.want(inputsOf(now));
  });
  return { store, derived, look: createLookStore() };
}

/** Says on the page whether what is decided shows already, for who drives it. */
const sayWhether = (settling: boolean) => document.documentElement.toggleAttribute('data-settling', settling);

export function JobProvider({ seed, children }: { seed: JobSeed; children: ReactNode }) {
  const [stores] = useState(() => createStores(seed));
  useEffect(() => {
    sayWhether(stores.derived.getState().settling);
    return () => void sayWhether(false);
  }, [stores]);
  return (
    <StoresContext value={stores}>
      {/* What the server has rendered is kept until the worker has derived the same. */}
      <Suspense fallback={null}>
        <ShownProvider>{children}</ShownProvider>
      </Suspense>
    </StoresContext>
  );
}

function ShownProvider({ children }: { children: ReactNode }) {
  const { store, derived: all } = useInJob(StoresContext);
  const { settled, settling, failure } = useSyncExternalStore(all.subscribe, all.getState, all.getState);
  if (!settled && !failure) use(all.firstShown());
  if (failure) throw failure.error;
  const { inputs, derived } = settled as Settled;
  const query = useSearchParams();
  const [pieceId, instance] = [query.get('piece') ?? undefined, Number(query.get('number') ?? 1)];
  const species = query.get('wood') ?? undefined;
  const shown = useMemo(
    () => ('pieces' in derived ? shownPiece(derived, pieceId, instance, species) : null),
    [derived, pieceId, instance, species],
  );

  useEffect(() => {
    const { wake } = store.getState();
    wake();
    window.addEventListener('online', wake);
    return () => window.removeEventListener('online', wake);
  }, [store]);

  useEffect(() => void sayWhether(settling), [settling]);

  const value = useMemo(() => ({ inputs, derived, shown }), [inputs, derived, shown]);
  const settlement = useMemo(() => ({ settling, settlesNow: () => all.getState().settling }), [settling, all]);
  return (
    <ShownContext value={value}>
      <SettlingProvider value={settlement}>{children}</SettlingProvider>
    </ShownContext>
  );
}

function useInJob<T>(context: Context<T | null>): T {
  const value = useContext(context);
  if (!value) throw new Error('a job is shown outside its provider');
  return value;
}

export function useLook<T>(select: (look: Look) => T): T {
  return useStore(useInJob(StoresContext).look, select);
}

export function useJobState<T>(select: (state: JobState) => T): T {
  return useStore(useInJob(StoresContext).store, select);
}

/**
 * The day that the drawings show, in days after the season's start, with the moisture of the piece then. Until somebody
 * moves it, it is the day of gluing, on which every size is the one decided; the season step begins at the wettest day.
 */
export function useShownDay(): { index: number; moisture: number } {
  const { season } = useDerived();
  const day = useLook((look) => look.day);
  const inSeason = usePathname().endsWith('/season');
  const index = Math.min(
    season.moistures.length - 1,
    Math.max(0, day ?? (inSeason ? season.wettest : season.glued).index),
  );
  const moisture =
    index === season.glued.index ? season.glued.moisture : (season.moistures[index] ?? season.glued.moisture);
  return { index, moisture };
}

/** Everything computed of the piece that is looked at; the desk shows no step while there is nothing to derive from. */
export function useDerived(): ShownPiece {
  const { shown } = useInJob(ShownContext);
  if (!shown) throw new Error('nothing is derived');
  return shown;
}

/** Everything computed for the job, or why nothing is. */
export function useDerivedJob(): Derived {
  return useInJob(ShownContext).derived;
}

/** What was decided in the job, and all else that what is shown follows from. */
export function useJobInputs(): JobInputs {
  return useInJob(ShownContext).inputs;
}

/** The piece that is looked at, where there is one. */
export const useShownPiece = (): ShownPiece | null => useInJob(ShownContext).shown;

/** What was decided of the piece that is looked at, and of the job as far as it bears on it. */
export function useDecisions<T>(select: (own: PieceInJob) => T): T {
  const { shown } = useInJob(ShownContext);
  if (!shown) throw new Error('nothing is derived');
  return select(shown.document);
}

/** What was decided of the table that is looked at, and what it is. @throws where it is not a table */
export function useTable(): { form: TableForm; piece: TablePiece } {
  const { document, piece } = useDerived();
  if (document.form.build !== 'table' || piece.build !== 'table') throw new Error('this is asked of tables');
  return { form: document.form, piece };
}

/** What was decided of the case that is looked at, and what it is. @throws where it is not a case */
export function useCase(): { form: CaseForm; piece: CasePiece } {
  const { document, piece } = useDerived();
  if (document.form.build !== 'case' || piece.build !== 'case') throw new Error('this is asked of cases');
  return { form: document.form, piece };
}

/** Changes decisions, by paths of the piece that is looked at or of the job; returns what is wrong with them, and then changes nothing. */
export function useChanges(): (changes: readonly Change[]) => readonly Problem[] | undefined {
  const { shown } = useInJob(ShownContext);
  const change = useJobState((state) => state.change);
  const [pieceId, instance] = [shown?.pieceId ?? '', shown?.instance ?? 1];
  return useMemo(
    () => (changes: readonly Change[]) => change(changesInJob({ pieceId, instance }, changes)),
    [change, pieceId, instance],
  );
}

/** Changes one decision by its path. */
export function useChange(): (path: DecisionPath) => (value: unknown) => readonly Problem[] | undefined {
  const change = useChanges();
  return useMemo(() => (path: DecisionPath) => (value: unknown) => change([{ path, value }]), [change]);
}

/** Addresses of the job's steps that keep the piece that is looked at. */
export function useStepHref(): (step: string) => string {
  const { shown } = useInJob(ShownContext);
  const id = useJobState((state) => state.id);
  const query = useSearchParams().toString();
  return (step) => `/jobs/${id}/${step}${shown && query ? `?${query}` : ''}`;
}
