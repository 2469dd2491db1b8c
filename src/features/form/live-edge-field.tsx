'use client';

import { acrossAt, boundsOf, type DecisionPath, TableFormSchema, valueAt } from '@/core';
import { LengthField, NumberField } from '@/ui/fields';
import { useUnits } from '@/ui/units';
import { useChange, useTable } from '../job/job-context';

/** Widths of a slab at even places along it, from its straight edge to its live one. */
export function LiveEdgeField({ label, path }: { label: string; path: DecisionPath }) {
  const { form } = useTable();
  const change = useChange();
  const units = useUnits();
  const widths = valueAt({ form }, path) as readonly number[];
  const at = (i: number) => (form.top.length * i) / (widths.length - 1);
  return (
    <fieldset className="mt-1 border-hairline border-b pb-1">
      <legend className="text-ink-2">{label} slab, wide</legend>
      {widths.map((width, i) => {
        const bounds = boundsOf(TableFormSchema, form, `${path.slice('form.'.length)}.${i}`);
        return (
          <LengthField
            // biome-ignore lint/suspicious/noArrayIndexKey: a place along the slab is its number
            key={i}
            label={`${label}, at ${units.length(at(i))}`}
            mm={width}
            {...(bounds ? { least: bounds.least, most: bounds.most } : {})}
            onCommit={(value) => change(path)(widths.map((own, k) => (k === i ? value : own)))}
          />
        );
      })}
      <NumberField
        label="Places measured"
        value={widths.length}
        least={2}
        most={17}
        onCommit={(count) => change(path)(resampled(widths, count))}
      />
    </fieldset>
  );
}

/** The same line at another number of even places. */
function resampled(widths: readonly number[], count: number): number[] {
  const line = widths.map((width, i) => [i / (widths.length - 1), width] as const);
  return Array.from({ length: count }, (_, i) => Math.round(acrossAt(line, i / (count - 1))));
}
