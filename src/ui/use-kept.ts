'use client';

import { useCallback, useEffect, useState } from 'react';

/** A choice of this browser that outlives the page; where it keeps nothing, it lasts as long as the page. */
export function useKept<T extends string>(name: string, words: readonly T[], usual: T): [T, (next: T) => void] {
  const [chosen, setChosen] = useState<T | null>(null);
  // The server does not know what is kept: it is read once the page is there.
  useEffect(() => {
    try {
      const kept = localStorage.getItem(name);
      setChosen((now) => now ?? words.find((word) => word === kept) ?? null);
    } catch {
      // Nothing is kept here.
    }
  }, [name, words]);
  const choose = useCallback(
    (next: T) => {
      setChosen(next);
      try {
        localStorage.setItem(name, next);
      } catch {
        // It lasts as long as the page.
      }
    },
    [name],
  );
  return [chosen ?? usual, choose];
}
