'use client';

import { useMemo } from 'react';
import { type DerivedWood, type LabelOf, labelsBy } from '@/core';
import { useDerived } from '../job/job-context';

/** The boards of the species of the piece that is looked at, with all that is cut from them, whatever piece it is for. */
export function useWood(): DerivedWood & { labelOf: LabelOf } {
  const { wood } = useDerived();
  return useMemo(() => ({ ...wood, labelOf: labelsBy(wood.letters) }), [wood]);
}
