'use client';

import { Choice, NumberField } from '@/ui/fields';
import { FigureLine } from '@/ui/figure';
import { useChange, useDecisions, useDerived } from '../job/job-context';
import { LengthRows } from './length-rows';

/** Leaves, what they slide on, and where they are kept. */
export function LeafFields() {
  const top = useDecisions((own) => own.form.top);
  const { figures } = useDerived();
  const change = useChange();
  if (top.kind !== 'extending') return null;
  return (
    <>
      <NumberField label="Leaves" value={top.leaves} least={1} most={4} onCommit={change('form.top.leaves')} />
      <LengthRows
        rows={[
          { label: 'Each leaf, along the table', path: 'form.top.leaf', least: 150, most: 900 },
          { label: 'Slides, high', path: 'form.top.slides.height', least: 25, most: 100 },
          { label: 'Slides, thick', path: 'form.top.slides.thickness', least: 12, most: 60 },
          {
            label: 'Stays in the guide',
            path: 'form.top.slides.overlap',
            least: 60,
            most: 800,
            hint: 'Of each runner, when the table is drawn out: what holds the end up.',
          },
        ]}
      />
      <Choice
        label="Leaves are kept"
        value={top.stored}
        options={[
          {
            value: 'inside',
            label: 'In the base',
            reason: 'Turned, on ledges under the slides: they live in the same air as the top.',
          },
          {
            value: 'elsewhere',
            label: 'Elsewhere',
            reason: 'Flat, and in the same air: a leaf in a damp cupboard no longer fits in width.',
          },
        ]}
        onCommit={change('form.top.stored')}
      />
      {figures['slides-overlap'] ? (
        <FigureLine label="In its guide, drawn out" figure={figures['slides-overlap']} />
      ) : null}
      {figures['slides-give'] ? <FigureLine label="Give of the drawn-out end" figure={figures['slides-give']} /> : null}
    </>
  );
}
