'use client';

import { SEAMS } from '@/core';
import { Choice, NumberField } from '@/ui/fields';
import { useChange, useDecisions } from '../job/job-context';
import { LengthRows } from './length-rows';

/** Seams of a top made of fields, and the stripes in them. */
export function PiecedFields() {
  const top = useDecisions((own) => own.form.top);
  const change = useChange();
  if (top.kind !== 'pieced') return null;
  return (
    <>
      <NumberField label="Seams" value={top.seams} least={1} most={6} onCommit={change('form.top.seams')} />
      <LengthRows
        rows={[
          {
            label: 'Stripe, wide',
            path: 'form.top.stripe',
            least: 0,
            most: 300,
            hint: 'Across the grain in every seam; 0 for fields end to end.',
          },
        ]}
      />
      <Choice
        label="Seams held by"
        value={top.seam}
        options={(['tenons', 'glued'] as const).map((value) => ({
          value,
          label: SEAMS[value].name,
          reason: SEAMS[value].reason,
        }))}
        onCommit={change('form.top.seam')}
      />
    </>
  );
}
