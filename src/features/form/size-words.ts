'use client';

import { useUnits } from '@/ui/units';
import { useDerived } from '../job/job-context';

/** The size over all of the piece that is looked at: long, wide, high; of a case wide, deep, high. */
export function useSizeWords(): string {
  const { piece } = useDerived();
  const units = useUnits();
  const { length, width, height } = piece.overall;
  return [length, width, height].map((mm) => units.length(mm)).join(' × ');
}
