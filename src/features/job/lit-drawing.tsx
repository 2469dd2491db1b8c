'use client';

import type { ComponentProps } from 'react';
import { MeasuredDrawing } from '@/ui/measured-drawing';
import { useLook } from './job-context';

/** A measured drawing in which the part that is looked at is lit: the step around it is not drawn anew. */
export function LitDrawing(props: Omit<ComponentProps<typeof MeasuredDrawing>, 'lit' | 'onLight'>) {
  const lit = useLook((look) => look.lit);
  const light = useLook((look) => look.light);
  return <MeasuredDrawing {...props} lit={lit} onLight={light} />;
}
