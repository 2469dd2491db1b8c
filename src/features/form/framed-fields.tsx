'use client';

import { FRAMED_PANELS } from '@/core';
import { Select } from '@/ui/fields';
import { FigureLine } from '@/ui/figure';
import { useChange, useDecisions, useDerived } from '../job/job-context';
import { LengthRows } from './length-rows';

/** A panel in a mitred frame. */
export function FramedFields() {
  const top = useDecisions((own) => own.form.top);
  const { figures } = useDerived();
  const change = useChange();
  if (top.kind !== 'framed') return null;
  return (
    <>
      <Select
        label="Panel"
        value={top.panel}
        options={Object.entries(FRAMED_PANELS).map(([value, { name }]) => ({
          value: value as keyof typeof FRAMED_PANELS,
          label: name,
        }))}
        hint={FRAMED_PANELS[top.panel].reason}
        wide
        onCommit={change('form.top.panel')}
      />
      <LengthRows
        rows={[
          { label: 'Borders, wide', path: 'form.top.border', least: 30, most: 300 },
          { label: 'Panel, thick', path: 'form.top.panelThickness', least: 6, most: 100 },
          { label: 'Tongue, into the grooves', path: 'form.top.tongue', least: 5, most: 60 },
          ...(top.panel === 'floating'
            ? [
                {
                  label: 'Room at each side',
                  path: 'form.top.room',
                  least: 0,
                  most: 25,
                  hint: 'Across the grain on the day it is made: a shadow line that closes in the wet season.',
                },
              ]
            : []),
        ]}
      />
      {figures['framed-room'] ? (
        <FigureLine label="Free at each side, wettest" figure={figures['framed-room']} />
      ) : null}
      {figures['framed-mitres'] ? <FigureLine label="Mitres open by" figure={figures['framed-mitres']} /> : null}
    </>
  );
}
