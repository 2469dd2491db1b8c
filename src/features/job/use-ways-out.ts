'use client';

import { proxy } from 'comlink';
import { useEffect, useState } from 'react';
import type { Check, WayOut } from '@/core';
import { useWorker } from '@/ui/use-worker';
import type { WaysOutSearch } from '@/workers/ways-out.worker';
import { useDerived, useJobInputs } from './job-context';

/** The ways out found for one state of the job, by the check they are for; those still sought are not in it. */
export type WaysOut = ReadonlyMap<string, WayOut>;

const NONE: WaysOut = new Map();
/** What has been found, for as long as the checks it was found for are kept: another step requests nothing anew. */
const known = new WeakMap<readonly Check[], WaysOut>();
/** Pause after the last letter before ways out are tried, ms. */
const PAUSE = 120;
/** How often a worker that does not start is started anew. */
const TRIES = 3;

/** What is proposed, where nothing could be tried: words, and no button. */
const untried = ({ say }: WayOut): WayOut => ({ say: [...say, ' (not tried on this job)'], changes: [] });

/** What has been tried and cures, for every check of the job; found in a worker whenever the job has changed. */
export function useWaysOut(): WaysOut {
  const { checks, pieceId, instance } = useDerived();
  const inputs = useJobInputs();
  const [, show] = useState<WaysOut>(NONE);
  const [failures, setFailures] = useState(0);
  const { open, end, opened } = useWorker<WaysOutSearch>(
    () => new Worker(new URL('../../workers/ways-out.worker.ts', import.meta.url), { type: 'module' }),
    'the ways out could not be tried',
  );

  useEffect(() => {
    const sought = checks.filter(({ level, wayOut }) => level !== 'good' && wayOut);
    if (inputs.boards === null || (known.get(checks)?.size ?? 0) >= sought.length) return;
    let current = true;
    const take = (list: readonly { check: string; wayOut: WayOut }[]) => {
      // What is told on the way can arrive after the end: it comes through a port of its own.
      if (!current || list.length < (known.get(checks)?.size ?? 0)) return;
      const ways = new Map(list.map(({ check, wayOut }) => [check, wayOut]));
      known.set(checks, ways);
      show(ways);
    };
    if (failures >= TRIES) {
      take(sought.map(({ id, wayOut }) => ({ check: id, wayOut: untried(wayOut as WayOut) })));
      return;
    }
    const fail = () => {
      // One that is not waited for any more may be at work for another already.
      if (!current) return;
      end();
      setFailures(failures + 1);
    };
    const timer = setTimeout(() => {
      const { remote, failed } = open();
      Promise.race([remote.waysOut(inputs, { pieceId, instance }, proxy(take)), failed]).then(take, fail);
    }, PAUSE);
    return () => {
      current = false;
      clearTimeout(timer);
      void opened()?.remote.stop();
    };
  }, [checks, inputs, pieceId, instance, failures, open, end, opened]);

  return known.get(checks) ?? NONE;
}
