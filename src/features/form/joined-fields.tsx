'use client';

import { Choice, NumberField } from '@/ui/fields';
import { useChange, useDecisions } from '../job/job-context';
import { LengthRows } from './length-rows';

/** Another table like it at the right end, and what holds the two together. */
export function JoinedFields() {
  const form = useDecisions((own) => own.form);
  const change = useChange();
  const { top, base, joined } = form;
  const straight =
    top.kind !== 'extending' && base.kind !== 'box' && !('outline' in top && top.outline.kind !== 'rectangle');
  if (!straight && !joined) return null;
  return (
    <>
      <Choice
        label="The table"
        value={joined ? 'joined' : 'alone'}
        options={[
          { value: 'alone', label: 'Stands alone' },
          {
            value: 'joined',
            label: 'One of two, end to end',
            reason: 'A very long top as two tables that each go through the door; plates in slots hold them together.',
          },
        ]}
        onCommit={(kind) =>
          change('form.joined')(kind === 'joined' ? { connectors: top.width > 900 ? 4 : 3, slot: 4, apart: 2 } : null)
        }
      />
      {joined ? (
        <>
          <NumberField
            label="Connectors"
            value={joined.connectors}
            least={2}
            most={6}
            onCommit={change('form.joined.connectors')}
          />
          <LengthRows rows={[{ label: 'Their slots, to either side', path: 'form.joined.slot', least: 0, most: 20 }]} />
          <NumberField
            label="One drier than the other by"
            unit="%"
            value={joined.apart}
            least={0}
            most={8}
            step={0.5}
            onCommit={change('form.joined.apart')}
            hint="Moisture of the two tops: one by a window, one by the stove."
          />
        </>
      ) : null}
    </>
  );
}
