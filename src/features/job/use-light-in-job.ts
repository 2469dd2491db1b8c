'use client';

import { namesOfPiece, partInJob } from '@/core';
import { useDerived, useLook } from './job-context';

/** The lit parts by their names in the job: on boards and in the calendar, parts of several pieces stand side by side. */
export function useLightInJob(): { lit: readonly string[]; light: (names: readonly string[]) => void } {
  const own = useDerived();
  const lit = useLook((look) => look.lit);
  const light = useLook((look) => look.light);
  return {
    lit: lit.map((id) => (id.includes(':') ? id : partInJob(own, id))),
    light: (names) => {
      const here = namesOfPiece(own, names);
      light(here.length > 0 ? here : names);
    },
  };
}
