'use client';

import { useCallback, useEffect, useRef, useState } from 'react';
import type { Problem } from '@/core';

/** What a file is called by the server that sends it. */
const nameIn = (response: Response) =>
  /filename="([^"]+)"/.exec(response.headers.get('content-disposition') ?? '')?.[1] ?? 'taller';

/**
 * Fetches a file and has the browser save it, so that it can be waited for and stopped; stopped, the server stops making
 * it. What is wrong is told instead of being saved as if it were the file.
 */
export function useSaveFile() {
  const [making, setMaking] = useState<string | null>(null);
  const [problems, setProblems] = useState<readonly Problem[]>([]);
  const request = useRef<AbortController | null>(null);
  const stop = useCallback(() => {
    request.current?.abort();
    request.current = null;
    setMaking(null);
  }, []);
  useEffect(() => () => request.current?.abort(), []);

  const save = useCallback(async (address: string) => {
    request.current?.abort();
    const own = new AbortController();
    request.current = own;
    setMaking(address);
    setProblems([]);
    const failed = (found: readonly Problem[] | undefined, status = 0) =>
      setProblems(
        found ?? [
          {
            problem: status ? `The server answered ${status}.` : 'The server does not answer.',
            where: 'the file',
            wayOut: 'Try again when it is back.',
          },
        ],
      );
    try {
      const response = await fetch(address, { signal: own.signal });
      if (response.ok) {
        const link = document.createElement('a');
        link.href = URL.createObjectURL(await response.blob());
        link.download = nameIn(response);
        link.click();
        // The browser has taken hold of it by then.
        setTimeout(() => URL.revokeObjectURL(link.href), 10_000);
      } else failed((await response.json().catch(() => null))?.problems, response.status);
    } catch {
      if (!own.signal.aborted) failed(undefined);
    }
    if (request.current !== own) return;
    request.current = null;
    setMaking(null);
  }, []);

  return { making, problems, save, stop };
}
