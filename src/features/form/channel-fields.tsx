'use client';

import { acrossAt, type Problem } from '@/core';
import { Choice, LengthField, NumberField } from '@/ui/fields';
import { FigureLine } from '@/ui/figure';
import { useUnits } from '@/ui/units';
import { useChange, useDecisions, useDerived } from '../job/job-context';
import { LengthRows } from './length-rows';

/** The live edges as they were measured, and what lies between them. */
export function ChannelFields() {
  const top = useDecisions((own) => own.form.top);
  const change = useChange();
  if (top.kind !== 'channel') return null;
  const { slabs, fill } = top;
  return (
    <>
      <Choice
        label="In the channel"
        value={fill.kind}
        options={[
          {
            value: 'glass',
            label: 'Glass',
            reason: 'Lies in a recess of both slabs, loose; each slab moves by itself.',
          },
          { value: 'resin', label: 'Resin', reason: 'Cast between the live edges: both slabs move as one.' },
        ]}
        onCommit={(kind) =>
          change('form.top.fill')(kind === 'glass' ? { kind, thickness: 8, bearing: 15, room: 4 } : { kind, pour: 20 })
        }
      />
      <LengthRows
        rows={[
          { label: 'Glass, thick', path: 'form.top.fill.thickness', least: 4, most: 19 },
          { label: 'Lies on each slab', path: 'form.top.fill.bearing', least: 4, most: 60 },
          {
            label: 'Room all round',
            path: 'form.top.fill.room',
            least: 0.5,
            most: 15,
            hint: 'Between the glass and the wood, so that a slab can grow; the step Season tells what is left.',
          },
          {
            label: 'Deepest pour',
            path: 'form.top.fill.pour',
            least: 3,
            most: 100,
            hint: 'As the maker of the resin says; poured deeper it heats and cracks.',
          },
        ]}
      />
      <FigureRows />
      {(['front', 'back'] as const).map((which) => (
        <LiveEdge
          key={which}
          which={which}
          widths={slabs[which]}
          length={top.length}
          onCommit={change(`form.top.slabs.${which}`)}
        />
      ))}
    </>
  );
}

function FigureRows() {
  const { figures } = useDerived();
  return (
    <>
      {figures['channel-room'] ? (
        <FigureLine label="Free round the glass, wettest" figure={figures['channel-room']} />
      ) : null}
      {figures['channel-bearing'] ? <FigureLine label="Lies on, driest" figure={figures['channel-bearing']} /> : null}
    </>
  );
}

/** Widths of a slab at even places along it, from its straight edge to its live one. */
function LiveEdge(given: {
  which: 'front' | 'back';
  widths: readonly number[];
  length: number;
  onCommit: (widths: number[]) => readonly Problem[] | undefined;
}) {
  const { which, widths, length, onCommit } = given;
  const at = (i: number) => (length * i) / (widths.length - 1);
  const units = useUnits();
  return (
    <fieldset className="mt-1 border-hairline border-b pb-1">
      <legend className="text-ink-2">{which === 'front' ? 'Front' : 'Back'} slab, wide</legend>
      {widths.map((width, i) => (
        <LengthField
          // biome-ignore lint/suspicious/noArrayIndexKey: a place along the slab is its number
          key={i}
          label={`${which === 'front' ? 'Front' : 'Back'}, at ${units.length(at(i))}`}
          mm={width}
          least={60}
          most={2000}
          onCommit={(value) => onCommit(widths.map((own, k) => (k === i ? value : own)))}
        />
      ))}
      <NumberField
        label="Places measured"
        value={widths.length}
        least={2}
        most={17}
        onCommit={(count) => onCommit(resampled(widths, count))}
      />
    </fieldset>
  );
}

/** The same line at another number of even places. */
function resampled(widths: readonly number[], count: number): number[] {
  const line = widths.map((width, i) => [i / (widths.length - 1), width] as const);
  return Array.from({ length: count }, (_, i) => Math.round(acrossAt(line, i / (count - 1))));
}
