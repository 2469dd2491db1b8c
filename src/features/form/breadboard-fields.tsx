'use client';

import { TONGUES } from '@/core';
import { Choice, LengthField, NumberField, Select } from '@/ui/fields';
import { useChange, useDecisions } from '../job/job-context';
import { LengthRows } from './length-rows';

/** The ends of a breadboarded top. */
export function BreadboardFields() {
  const top = useDecisions((own) => own.form.top);
  const change = useChange();
  if (top.kind !== 'breadboard') return null;
  const { end } = top;
  return (
    <>
      <LengthRows rows={[{ label: 'Each end, wide', path: 'form.top.end.width', least: 40, most: 300 }]} />
      <Select
        label="Tongue"
        value={end.tongue}
        options={Object.entries(TONGUES).map(([value, { name }]) => ({
          value: value as keyof typeof TONGUES,
          label: name,
        }))}
        hint={TONGUES[end.tongue].reason}
        wide
        onCommit={change('form.top.end.tongue')}
      />
      {end.tongue === 'long' ? null : (
        <NumberField
          label="Tenons an end"
          value={end.tenons}
          least={2}
          most={9}
          onCommit={change('form.top.end.tenons')}
        />
      )}
      <LengthField
        label="Tongue, into the end"
        mm={end.depth}
        least={10}
        most={200}
        allowEmpty="by rule"
        onCommit={change('form.top.end.depth')}
        onEmpty={() => change('form.top.end.depth')(null)}
        hint="Empty: half the end’s width."
      />
      <Choice
        label="Outer edge of the ends"
        value={end.shape.kind}
        options={[
          { value: 'straight', label: 'Straight' },
          { value: 'curved', label: 'Curved' },
          { value: 'chamfered', label: 'Corners off' },
        ]}
        onCommit={(kind) =>
          change('form.top.end.shape')(
            kind === 'curved'
              ? { kind, sagitta: Math.round(end.width / 4) }
              : kind === 'chamfered'
                ? { kind, corner: Math.round(end.width / 4) }
                : { kind },
          )
        }
      />
      <LengthRows
        rows={[
          {
            label: 'Bulges by',
            path: 'form.top.end.shape.sagitta',
            least: 1,
            most: 200,
            hint: 'The sagitta; the end’s width is measured over it.',
          },
          { label: 'Corners, off by', path: 'form.top.end.shape.corner', least: 1, most: 200 },
        ]}
      />
      <Choice
        label="Pegs"
        value={end.pegs}
        options={[
          { value: 'none', label: 'None' },
          { value: 'straight', label: 'Straight' },
          {
            value: 'draw-bored',
            label: 'Draw-bored',
            reason: 'Holes in the tongue stand a little nearer to the shoulder, so that the peg pulls it home.',
          },
        ]}
        onCommit={change('form.top.end.pegs')}
      />
      <LengthRows
        rows={[
          {
            label: 'Ends longer by',
            path: 'form.top.end.proud',
            least: 0,
            most: 30,
            hint: 'Than the panel is wide on the day it is made, both sides together: in summer the panel comes out to meet them.',
          },
        ]}
      />
    </>
  );
}
