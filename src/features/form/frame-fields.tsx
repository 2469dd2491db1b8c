'use client';

import { MITRE_KEYS } from '@/core';
import { Choice, NumberField } from '@/ui/fields';
import { useChange, useDecisions } from '../job/job-context';
import { LengthRows } from './length-rows';

/** Crossed legs under bearers. */
export function XFrameFields() {
  return (
    <LengthRows
      rows={[
        { label: 'Leg, wide', path: 'form.base.leg.width', least: 30, most: 250 },
        { label: 'Leg, thick', path: 'form.base.leg.thickness', least: 20, most: 150 },
        { label: 'Over the feet', path: 'form.base.spread.floor', least: 150, most: 2400 },
        { label: 'Over the heads', path: 'form.base.spread.head', least: 100, most: 2400 },
        { label: 'Bearer, high', path: 'form.base.bearer.height', least: 25, most: 200 },
        { label: 'Bearer, thick', path: 'form.base.bearer.thickness', least: 20, most: 200 },
        { label: 'Stretcher, high', path: 'form.base.stretcher.height', least: 30, most: 300 },
        { label: 'Stretcher, thick', path: 'form.base.stretcher.thickness', least: 15, most: 120 },
      ]}
    />
  );
}

/** Legs that lean outward from arms. */
export function SplayedFields() {
  const base = useDecisions((own) => own.form.base);
  const change = useChange();
  if (base.kind !== 'splayed') return null;
  return (
    <>
      <NumberField label="Legs" value={base.legs} least={3} most={6} onCommit={change('form.base.legs')} />
      <NumberField
        label="Leaning out by"
        unit="°"
        value={base.lean}
        least={0}
        most={25}
        step={0.5}
        onCommit={change('form.base.lean')}
        hint="5° to 10° is usual."
      />
      <LengthRows
        rows={[
          {
            label: 'Middle to the legs’ outside',
            path: 'form.base.reach',
            least: 100,
            most: 1500,
            hint: 'Under the top; at the floor they stand farther out by their lean.',
          },
          { label: 'Leg, wide', path: 'form.base.leg.width', least: 25, most: 200 },
          { label: 'Leg, thick', path: 'form.base.leg.thickness', least: 20, most: 150 },
          { label: 'Arm, high', path: 'form.base.arm.height', least: 30, most: 200 },
          { label: 'Arm, thick', path: 'form.base.arm.thickness', least: 20, most: 120 },
        ]}
      />
      <Choice
        label="Leg and arm"
        value={base.joint}
        options={[
          {
            value: 'bridle',
            label: 'Bridle',
            reason: 'The arm’s tongue in an open slot of the leg: strong, and seen from outside.',
          },
          {
            value: 'mitre',
            label: 'Mitre, splined',
            reason: 'Leg and arm are one line with a bend in it; a hidden spline holds what end grain cannot.',
          },
        ]}
        onCommit={change('form.base.joint')}
      />
    </>
  );
}

/** Two sides mitred to the top. */
export function BoxFields() {
  const base = useDecisions((own) => own.form.base);
  const change = useChange();
  if (base.kind !== 'box') return null;
  return (
    <>
      <Choice
        label="Mitres kept by"
        value={base.key}
        options={Object.entries(MITRE_KEYS).map(([value, { name, reason }]) => ({
          value: value as keyof typeof MITRE_KEYS,
          label: name,
          reason,
        }))}
        onCommit={change('form.base.key')}
      />
      <Choice
        label="Rail between the sides"
        value={base.rail ? 'one' : 'none'}
        options={[
          { value: 'none', label: 'None' },
          { value: 'one', label: 'One', reason: 'Tenoned into both sides: it stiffens them.' },
        ]}
        onCommit={(kind) =>
          change('form.base.rail')(
            kind === 'none' ? null : { height: 70, thickness: 24, at: Math.round(base.height * 0.45) },
          )
        }
      />
      <LengthRows
        rows={[
          { label: 'Rail, high', path: 'form.base.rail.height', least: 30, most: 300 },
          { label: 'Rail, thick', path: 'form.base.rail.thickness', least: 12, most: 80 },
          { label: 'Rail, floor to its middle', path: 'form.base.rail.at', least: 30, most: 1200 },
        ]}
      />
    </>
  );
}

/** Legs or frames that are bought in. */
export function SteelFields() {
  const base = useDecisions((own) => own.form.base);
  const change = useChange();
  if (base.kind !== 'steel') return null;
  const legs = base.shape === 'legs';
  return (
    <>
      <Choice
        label="Shape"
        value={base.shape}
        options={[
          {
            value: 'frames',
            label: 'Two frames',
            reason: 'Each under a flat bar across the table: its outer holes are slots.',
          },
          {
            value: 'legs',
            label: 'Four legs',
            reason: 'Each under a plate of its own: nothing ties them to one another.',
          },
        ]}
        onCommit={change('form.base.shape')}
      />
      <LengthRows
        rows={[
          { label: 'Tube, wide', path: 'form.base.tube.width', least: 12, most: 150 },
          { label: 'Tube, its wall', path: 'form.base.tube.wall', least: 1, most: 12 },
          {
            label: legs ? 'Plate, along the table' : 'Bar, wide along the table',
            path: 'form.base.plate.length',
            least: 40,
            most: 500,
          },
          ...(legs ? [{ label: 'Plate, across it', path: 'form.base.plate.width', least: 40, most: 500 }] : []),
          { label: legs ? 'Plate, thick' : 'Bar, thick', path: 'form.base.plate.thickness', least: 2, most: 20 },
          { label: 'Inserts in the top, thick', path: 'form.base.insert', least: 4, most: 25 },
        ]}
      />
      <NumberField
        label={legs ? 'Each leg weighs' : 'Each frame weighs'}
        unit="kg"
        value={base.weight}
        least={0}
        most={80}
        step={0.1}
        onCommit={change('form.base.weight')}
      />
    </>
  );
}
