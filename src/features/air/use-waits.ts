'use client';

import { proxy } from 'comlink';
import { useEffect, useState } from 'react';
import type { BoardInAir } from '@/contract/replies';
import type { Day, Place, Waits } from '@/core';
import { afterPress } from '@/ui/after-press';
import { useSpecies } from '@/ui/species';
import { useWorker } from '@/ui/use-worker';
import type { Waiting } from '@/workers/waits.worker';

const NONE: Waits = new Map();

interface Waited {
  waits: Waits;
  /** Those of the last time that all were computed. */
  whole: Waits;
  /** Why they could not be computed; null where nothing is wrong. */
  failed: string | null;
  done: boolean;
}

/** Days until each board may be milled, computed in a worker whenever the boards, the air or the target have changed. */
export function useWaits(boards: readonly BoardInAir[] | null, place: Place | null, target: number, from: Day): Waited {
  const { all: woods } = useSpecies();
  const [waited, setWaited] = useState<Waited>({ waits: NONE, whole: NONE, failed: null, done: false });
  const { open, end } = useWorker<Waiting>(
    () => new Worker(new URL('../../workers/waits.worker.ts', import.meta.url), { type: 'module' }),
    'The waits could not be computed.',
  );
  // The place comes anew with every look at the air; it is another only when it reads otherwise.
  const air = JSON.stringify(place && { months: place.months, room: place.room, logged: place.logged });
  useEffect(() => {
    if (!boards || air === 'null') return;
    let current = true;
    const fail = () => {
      // The next question is put to a new worker.
      end();
      if (current) setWaited((before) => ({ ...before, failed: 'The waits could not be computed.' }));
    };
    const given = { woods, target, place: JSON.parse(air) as Place, from };
    const lines = boards.map(({ id, species: wood, thickness, moisture }) => ({
      id,
      species: wood,
      thickness,
      moisture,
    }));
    setWaited((before) => ({ ...before, done: false }));
    const known = (waits: Waits) => {
      if (current) setWaited((before) => (before.done ? before : { ...before, waits, failed: null }));
    };
    const { remote, failed } = open();
    Promise.race([remote.waits(lines, given, proxy(known)), failed]).then((waits) => {
      // The rows may move then, but not from under a press.
      afterPress(() => {
        if (current && waits) setWaited({ waits, whole: waits, failed: null, done: true });
      });
    }, fail);
    return () => {
      current = false;
    };
  }, [boards, air, target, from, woods, open, end]);
  return waited;
}
