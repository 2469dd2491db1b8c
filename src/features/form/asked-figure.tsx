'use client';

import type { boundsOf, DecisionPath } from '@/core';
import { LengthField, NumberField } from '@/ui/fields';
import { useChange } from '../job/job-context';

/** A figure of the decisions, asked within the bounds and in the unit of its schema; nothing where there is none. */
export function AskedFigure({
  field,
  label,
  value,
  path,
  bounds,
}: {
  field: { hint?: string; step?: number; emptyMeans?: string };
  label: string;
  value: unknown;
  path: DecisionPath;
  bounds: ReturnType<typeof boundsOf>;
}) {
  const change = useChange();
  const known = typeof value === 'number' ? value : null;
  if (!bounds || (known === null && field.emptyMeans === undefined)) return null;
  const { least, most, unit } = bounds;
  const hint = field.hint === undefined ? {} : { hint: field.hint };
  const empty =
    field.emptyMeans === undefined ? {} : { allowEmpty: field.emptyMeans, onEmpty: () => change(path)(null) };
  if (unit === 'mm') {
    return <LengthField {...{ label, mm: known, least, most, ...hint, ...empty }} onCommit={change(path)} />;
  }
  return (
    <NumberField
      {...{ label, value: known, least, most, ...hint, ...empty }}
      {...(unit ? { unit } : {})}
      {...(field.step === undefined ? {} : { step: field.step })}
      onCommit={change(path)}
    />
  );
}
