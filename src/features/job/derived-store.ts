import { createStore } from 'zustand';
import type { deriveJob, JobInputs } from '@/core';

export type Derived = ReturnType<typeof deriveJob>;

/** What is shown of a job: what was decided, and what follows from just that. */
export interface Settled {
  inputs: JobInputs;
  derived: Derived;
}

export interface DerivedState {
  /** Null until there is something to show. */
  settled: Settled | null;
  /** Something was decided that what is shown does not follow from yet. */
  settling: boolean;
  /** Why nothing can be derived any more: a fault of ours. */
  failure: { error: unknown } | null;
}

/**
 * A job with what follows from its decisions, derived elsewhere whenever they change. While one state is derived only the
 * newest waits behind it.
 *
 * @param atOnce what can be derived without waiting, of the inputs at first; null where nothing can
 */
export function createDerivedStore(
  first: JobInputs,
  derive: (inputs: JobInputs) => Promise<Derived>,
  atOnce: (inputs: JobInputs) => Derived | null,
) {
  const derived = atOnce(first);
  const store = createStore<DerivedState>()(() => ({
    settled: derived && { inputs: first, derived },
    settling: derived === null,
    failure: null,
  }));
  let wanted: JobInputs = first;
  let busy = false;
  let shown: Promise<void> | null = null;

  /** Derives what is wanted, until nothing newer is; if that is under way already, it comes to it by itself. */
  async function settle(): Promise<void> {
    if (busy) return;
    busy = true;
    try {
      while (store.getState().settled?.inputs !== wanted) {
        const inputs = wanted;
        const settled = { inputs, derived: await derive(inputs) };
        store.setState({ settled, settling: inputs !== wanted });
      }
    } catch (error) {
      store.setState({ failure: { error } });
    } finally {
      busy = false;
    }
  }

  return {
    ...store,
    /** Wants the job of these inputs from now on. */
    want(inputs: JobInputs) {
      if (inputs === wanted) return;
      wanted = inputs;
      store.setState({ settling: true });
      void settle();
    },
    /** When there is something to show, or never will be; asking begins it. */
    firstShown(): Promise<void> {
      shown ??= new Promise((resolve) => {
        const look = ({ settled, failure }: DerivedState) => {
          if (settled || failure) resolve();
        };
        store.subscribe(look);
        look(store.getState());
        void settle();
      });
      return shown;
    },
  };
}
