'use client';

import { createContext, useContext, useEffect, useMemo, useState } from 'react';

/** What is decided in a page shows a moment later, together with what follows from it; until then it settles. */
export interface Settling {
  settling: boolean;
  /** The same, asked in an event, before anything is drawn anew. */
  settlesNow: () => boolean;
}

const SettlingContext = createContext<Settling>({ settling: false, settlesNow: () => false });

export const SettlingProvider = SettlingContext.Provider;

/**
 * The value of a field, and a way to hold the one that was just decided in it until it has settled: the field shows it at
 * once, and the next step begins from it.
 */
export function useHeld<T>(value: T): readonly [T, (decided: T) => void] {
  const { settling, settlesNow } = useSettling();
  const [held, setHeld] = useState<{ value: T } | null>(null);
  useEffect(() => {
    if (!settling) setHeld(null);
  }, [settling]);
  const hold = useMemo(
    () => (decided: T) => {
      if (settlesNow()) setHeld({ value: decided });
    },
    [settlesNow],
  );
  return [settling && held ? held.value : value, hold];
}

/** Whether what follows from the last decision is still to come; `settlesNow` says it also before the page is drawn anew. */
export const useSettling = (): Settling => useContext(SettlingContext);
