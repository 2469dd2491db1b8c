'use client';

import {
  boundsOf,
  type DecisionPath,
  FormSchema,
  HEIGHT_FIELDS,
  leadingPart,
  SIZE_FIELDS,
  type ViewName,
  valueAt,
} from '@/core';
import type { Draggable } from '@/ui/dimension-grip';
import { useChange, useDecisions, useDerived } from '../job/job-context';

type Pulled = readonly [
  dimension: string,
  at: 'top.length' | 'top.width' | 'top.endOverhang' | 'base.height',
  end: 'from' | 'to',
];

/** What can be dragged in each view, and by which end of its dimension. */
const IN_VIEW: Readonly<Partial<Record<ViewName, readonly Pulled[]>>> = {
  front: [
    ['across', 'top.length', 'to'],
    ['height', 'base.height', 'from'],
  ],
  end: [
    ['across', 'top.width', 'to'],
    ['height', 'base.height', 'from'],
  ],
  plan: [
    ['length', 'top.length', 'to'],
    ['width', 'top.width', 'to'],
    ['overhang-end', 'top.endOverhang', 'from'],
  ],
};

/** mm; a dimension that shows something else than what is decided is not dragged. */
const SAME = 0.6;

/** Sizes of the form that can be dragged in a view; what is cut follows no drawing any more. */
export function useDrags(view: ViewName): Readonly<Record<string, Draggable>> {
  const form = useDecisions((own) => own.form);
  const { piece } = useDerived();
  const change = useChange();
  const cut = leadingPart(piece).cut;
  const shown = {
    'top.length': piece.overall.length,
    'top.width': piece.top.size.width,
    'top.endOverhang': piece.overhang.end,
    'base.height': piece.overall.height,
  };
  return Object.fromEntries(
    (IN_VIEW[view] ?? []).flatMap(([dimension, at, end]) => {
      const field = [...SIZE_FIELDS, ...HEIGHT_FIELDS].find((own) => own.ask === 'figure' && own.at === at);
      const asked = field?.ask === 'figure' && (field.when?.(form, form) ?? true);
      const bounds = boundsOf(FormSchema, form, at);
      const value = valueAt(form, at);
      if (cut || !asked || !bounds || typeof value !== 'number' || Math.abs(value - shown[at]) > SAME) return [];
      const label = typeof field.label === 'string' ? field.label : field.label(form);
      const { least, most } = bounds;
      const onDrop = (mm: number) => void change(`form.${at}` as DecisionPath)(mm);
      return [[dimension, { label, end, value, least, most, onDrop }]];
    }),
  );
}
