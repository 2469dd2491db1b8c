'use client';

import { useState } from 'react';
import { leadingInWords, plusDays } from '@/core';
import { Button } from '@/ui/button';
import { DayField } from '@/ui/day-field';
import { Choice, LengthField } from '@/ui/fields';
import { Form } from '@/ui/form';
import { Length, QuantityText, useUnits } from '@/ui/units';
import { Group } from '../form/group';
import { useChanges, useDecisions, useDerived, useShownDay } from '../job/job-context';

/** Widths measured on the piece since it was glued, and what they say about its forecast. */
export function MeasuredWidths() {
  const { season, piece } = useDerived();
  const units = useUnits();
  const { index } = useShownDay();
  const measured = useDecisions((own) => own.season.measured);
  const change = useChanges();
  const [what, setWhat] = useState<'width' | 'overhang'>('width');
  const [size, setSize] = useState<number | null>(null);
  const [on, setOn] = useState<string | null>(null);
  const [problem, setProblem] = useState<string>();
  const shown = plusDays(season.start, index);
  const day = on ?? (index > season.glued.index ? shown : season.glued.day);
  const points = season.learned?.points ?? [];
  const add = () => {
    if (size === null) {
      setProblem('Enter the size that was measured.');
      return;
    }
    // The base lies along its grain and keeps its width: what hangs over it on both sides is the top's.
    const width = what === 'width' ? size : piece.base.width + 2 * size;
    const note = what === 'width' ? '' : `overhang of ${units.length(size, true)}`;
    const next = [...measured, { on: day, width, note }].sort((a, b) => (a.on < b.on ? -1 : 1));
    const problems = change([{ path: 'season.measured', value: next }]);
    setProblem(problems?.[0]?.problem);
    if (!problems) {
      setSize(null);
      setOn(null);
    }
  };
  return (
    <Group title="Measured since">
      {points.map((point) => (
        <p
          key={`${point.on}${point.width}`}
          data-measured={point.on}
          className="flex items-baseline gap-2 border-hairline border-b py-1"
        >
          <span className="figures">{point.on}</span>
          <b className="figures ml-auto">
            <Length mm={point.width} fine />
          </b>
          <span className="text-[12px] text-ink-2">
            forecast <Length mm={point.before} fine />, now <Length mm={point.after} fine />
          </span>
          <Button
            look="quiet"
            aria-label={`Take away the width measured on ${point.on}`}
            onClick={() =>
              change([
                {
                  path: 'season.measured',
                  value: measured.filter((m) => m.on !== point.on || m.width !== point.width),
                },
              ])
            }
          >
            ×
          </Button>
        </p>
      ))}
      <Form onSubmit={add}>
        <DayField
          label="Day"
          value={day}
          onCommit={(next) => {
            setOn(next);
            return undefined;
          }}
        />
        {piece.build === 'case' ? null : (
          <Choice
            label="Measured was"
            value={what}
            onCommit={(next) => {
              setWhat(next);
              setSize(null);
            }}
            options={[
              { value: 'width', label: 'The top’s width' },
              {
                value: 'overhang',
                label: 'Its overhang',
                reason: 'At one side, the top held in its middle: both sides alike.',
              },
            ]}
          />
        )}
        <LengthField
          label={
            what === 'overhang'
              ? 'Overhang at a side'
              : `${leadingInWords(piece).size} of ${leadingInWords(piece).part}`
          }
          mm={size}
          least={what === 'width' ? 50 : 0}
          most={5000}
          allowEmpty="measured"
          onCommit={(mm) => {
            setSize(mm);
            setProblem(undefined);
            return undefined;
          }}
          onEmpty={() => setSize(null)}
        />
        {problem ? (
          <p role="alert" className="text-stop">
            {problem}
          </p>
        ) : null}
        <Button type="submit">Enter it</Button>
      </Form>
      {season.learned ? (
        <p className="mt-2" data-learned>
          {piece.build === 'case' ? 'This case' : 'This top'} moves{' '}
          <QuantityText of={{ amount: season.learned.factor, unit: 'ratio' }} /> times what the table says, in air{' '}
          <QuantityText of={{ amount: Math.abs(season.learned.offset), unit: 'percent-moisture' }} />{' '}
          {season.learned.offset >= 0 ? 'damper' : 'drier'} than thought: between driest and wettest{' '}
          <QuantityText of={{ amount: season.learned.swing.before, unit: 'mm-movement' }} /> before,{' '}
          <QuantityText of={{ amount: season.learned.swing.after, unit: 'mm-movement' }} /> now.
        </p>
      ) : (
        <p className="mt-2 text-[12px] text-ink-2 leading-4">
          Each width measured corrects the forecast of this piece, a little at first and more as they agree.
        </p>
      )}
    </Group>
  );
}
