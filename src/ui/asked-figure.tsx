'use client';

import type { NumberBounds, Problem } from '@/core';
import { LengthField, NumberField } from './fields';

/** A figure, asked within the bounds and in the unit of its schema; nothing where there is none. */
export function AskedFigure({
  field,
  label,
  value,
  bounds,
  onCommit,
}: {
  field: { hint?: string; step?: number; emptyMeans?: string };
  label: string;
  value: unknown;
  bounds: NumberBounds | null;
  onCommit: (value: number | null) => readonly Problem[] | undefined;
}) {
  const known = typeof value === 'number' ? value : null;
  if (!bounds || (known === null && field.emptyMeans === undefined)) return null;
  const { least, most, unit } = bounds;
  const shared = {
    label,
    least,
    most,
    onCommit,
    ...(field.hint === undefined ? {} : { hint: field.hint }),
    ...(field.emptyMeans === undefined ? {} : { allowEmpty: field.emptyMeans, onEmpty: () => void onCommit(null) }),
  };
  if (unit === 'mm') return <LengthField {...shared} mm={known} />;
  return (
    <NumberField
      {...shared}
      value={known}
      {...(unit ? { unit } : {})}
      {...(field.step === undefined ? {} : { step: field.step })}
    />
  );
}
