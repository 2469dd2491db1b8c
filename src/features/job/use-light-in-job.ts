'use client';

import { namesOfPiece, partInJob } from '@/core';
import { useDerived, useLook } from './job-context';

/** The lit parts by their names in the job: on boards and in the calendar, parts of several pieces stand side by side. */
export function useLightInJob(): { lit: readonly string[]; light: (names: readonly string[]) => void } {
  const own = useDerived();
  const look = useLook();
  return {
    lit: look.lit.map((id) => (id.includes(':') ? id : partInJob(own, id))),
    light: (names) => {
      const here = namesOfPiece(own, names);
      look.light(here.length > 0 ? here : names);
    },
  };
}
