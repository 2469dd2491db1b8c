'use client';

import { proxy, type Remote, releaseProxy, wrap } from 'comlink';
import { useCallback, useEffect, useMemo, useRef, useState } from 'react';
import { type Band, type BandInput, bandInputOf } from '@/core';
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
  const remote = useRef<{ worker: Worker; forecast: Remote<Forecast> } | null>(null);

  const end = useCallback(() => {
    remote.current?.forecast[releaseProxy]();
    remote.current?.worker.terminate();
    remote.current = null;
  }, []);
  useEffect(() => end, [end]);

  const start = useCallback(
    async (from: BandInput, keep: string) => {
      end();
      const worker = new Worker(new URL('../../workers/forecast.worker.ts', import.meta.url), { type: 'module' });
      const mine = { worker, forecast: wrap<Forecast>(worker) };
      remote.current = mine;
      const failed = new Promise<never>((_, reject) => {
        worker.onerror = () => reject(new Error('the band could not be drawn'));
      });
      setState({ drawing: true, share: 0 });
      try {
        const told = proxy((share: number) => {
          if (remote.current === mine) setState({ drawing: true, share });
        });
        const band = await Promise.race([mine.forecast.band(from, DRAWS, told), failed]);
        if (remote.current !== mine) return;
        // A share that arrives after the end, through its own port, is not shown any more.
        end();
        if (band) {
          found.set(keep, band);
          for (const old of [...found.keys()].slice(0, -KEPT)) found.delete(old);
          renew((n) => n + 1);
        }
        setState({ drawing: false, stopped: !band });
      } catch (error) {
        if (remote.current === mine)
          setState({ drawing: false, failed: error instanceof Error ? error.message : 'the band could not be drawn' });
      }
    },
    [end],
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

  const stop = useCallback(() => void remote.current?.forecast.stop(), []);
  return { band: found.get(key) ?? null, state, stop, again: () => void start(input, key) };
}
