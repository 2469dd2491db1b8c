'use client';

import { proxy } from 'comlink';
import { useCallback, useEffect, useMemo, useState } from 'react';
import { type Band, type BandInput, bandInputOf } from '@/core';
import { useWorker } from '@/ui/use-worker';
import type { Forecast } from '@/workers/forecast.worker';
import { useDerived } from '../job/job-context';

export const DRAWS = 500;
const KEPT = 6;

/** Bands found in this session, by what they were drawn from. */
const found = new Map<string, Band>();

type State = { drawing: true; share: number } | { drawing: false; stopped?: boolean; failed?: string };

/** The 5–95 % band of the season shown, drawn in a worker whenever what it rests on has changed. */
export function useForecastBand() {
  const { season } = useDerived();
  const input = useMemo(() => bandInputOf(season), [season]);
  const key = useMemo(() => JSON.stringify(input), [input]);
  const [state, setState] = useState<State>({ drawing: false });
  const [, renew] = useState(0);
  const { open, end, opened } = useWorker<Forecast>(
    () => new Worker(new URL('../../workers/forecast.worker.ts', import.meta.url), { type: 'module' }),
    'the band could not be drawn',
  );

  const start = useCallback(
    async (from: BandInput, keep: string) => {
      end();
      const mine = open();
      setState({ drawing: true, share: 0 });
      try {
        const told = proxy((share: number) => {
          if (opened() === mine) setState({ drawing: true, share });
        });
        const band = await Promise.race([mine.remote.band(from, DRAWS, told), mine.failed]);
        if (opened() !== mine) return;
        // A share that arrives after the end, through its own port, is not shown any more.
        end();
        if (band) {
          found.set(keep, band);
          for (const old of [...found.keys()].slice(0, -KEPT)) found.delete(old);
          renew((n) => n + 1);
        }
        setState({ drawing: false, stopped: !band });
      } catch (error) {
        if (opened() === mine || opened() === null)
          setState({ drawing: false, failed: error instanceof Error ? error.message : 'the band could not be drawn' });
      }
    },
    [open, end, opened],
  );

  useEffect(() => {
    if (found.has(key)) {
      end();
      setState({ drawing: false });
      return;
    }
    const timer = setTimeout(() => void start(input, key), 250);
    return () => clearTimeout(timer);
  }, [key, input, start, end]);

  const stop = useCallback(() => void opened()?.remote.stop(), [opened]);
  return { band: found.get(key) ?? null, state, stop, again: () => void start(input, key) };
}
