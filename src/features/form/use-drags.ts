'use client';

import type { ViewName } from '@/core';
import type { Draggable } from '@/ui/dimension-grip';
import { useChanges, useDerived } from '../job/job-context';
import { dragsOfCase } from './drags-of-case';
import { dragsOfTable } from './drags-of-table';

/** Sizes of the form that can be dragged in a view. */
export function useDrags(view: ViewName): Readonly<Record<string, Draggable>> {
  const { document, piece } = useDerived();
  const change = useChanges();
  const { form } = document;
  if (form.build === 'table' && piece.build === 'table') return dragsOfTable({ form, piece }, view, change);
  if (form.build === 'case' && piece.build === 'case') return dragsOfCase({ form, piece }, view, change);
  return {};
}
