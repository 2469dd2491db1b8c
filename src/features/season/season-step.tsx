'use client';

import { HOLDS, plusDays, sayDayShort, topWidthAt } from '@/core';
import { Choice, DayField, LengthField, NumberField, Select } from '@/ui/fields';
import { FigureButton, FigureLine } from '@/ui/figure';
import { QuantityText, useUnits } from '@/ui/units';
import { Group } from '../form/form-step';
import { Exaggeration, PieceDrawing, useTabs } from '../form/piece-drawing';
import { useChange, useDerived, useJobState, useShownDay } from '../job/job-context';
import { StepFrame } from '../job/job-desk';
import { YearChart } from './year-chart';

const TABS = [
  { value: 'plan', label: 'Plan' },
  { value: 'end', label: 'End' },
  { value: 'front', label: 'Front' },
  { value: 'year', label: 'Through the year' },
] as const;

export function SeasonStep() {
  const { season, figures, checks, species } = useDerived();
  const document = useJobState((state) => state.document);
  const places = useJobState((state) => state.places);
  const change = useChange();
  const units = useUnits();
  const tabs = useTabs(TABS, 'plan');
  const { index, moisture } = useShownDay();
  const width = topWidthAt(season, moisture);
  const shown = figures['top-width-wettest'];
  const onDay = shown && {
    ...shown,
    id: 'top-width-today',
    label: `Width on ${plusDays(season.start, index)}`,
    quantity: { amount: width, unit: 'mm-movement' as const },
    inputs: shown.inputs.map((input) =>
      input.label.startsWith('Moisture on')
        ? {
            label: `Moisture on ${plusDays(season.start, index)}`,
            quantity: { amount: moisture, unit: 'percent-moisture' as const },
          }
        : input,
    ),
  };
  const homes = places.map((place) => ({ value: place.id, label: place.name }));
  return (
    <StepFrame
      step="season"
      title="Season"
      views={tabs.bar}
      tools={tabs.value === 'year' ? null : <Exaggeration />}
      drawing={tabs.value === 'year' ? <YearChart /> : <PieceDrawing view={tabs.value} />}
      lead={
        <>
          <p>
            <FigureButton figure={onDay} big>
              {units.length(width, true)}
            </FigureButton>{' '}
            <span className="text-ink-2">
              {units.system === 'metric' ? 'mm ' : ''}wide on {sayDayShort(plusDays(season.start, index))}
            </span>
          </p>
          <p>
            between <b className="figures font-semibold">{units.length(season.topWidth.driest, true)}</b> on{' '}
            {sayDayShort(season.driest.day)} and{' '}
            <b className="figures font-semibold">{units.length(season.topWidth.wettest, true)}</b> on{' '}
            {sayDayShort(season.wettest.day)}, if the wood followed the air at once
          </p>
        </>
      }
    >
      <Select
        label="Home air"
        value={document.season.homePlaceId}
        options={homes}
        onCommit={change('season.homePlaceId')}
        wide
      />
      <Select
        label="Shop air"
        value={document.season.shopPlaceId}
        options={homes}
        onCommit={change('season.shopPlaceId')}
        wide
      />
      <DayField label="Glued on" value={document.season.gluedOn} onCommit={change('season.gluedOn')} />
      <DayField label="Delivered on" value={document.season.deliveredOn} onCommit={change('season.deliveredOn')} />
      <NumberField
        label="Moisture when glued"
        unit="%"
        value={document.season.moistureAtGluing}
        least={2}
        most={30}
        step={0.1}
        allowEmpty={season.glued.moisture.toFixed(1)}
        onCommit={change('season.moistureAtGluing')}
        onEmpty={() => change('season.moistureAtGluing')(null)}
        hint="Empty: the shop’s air on the day."
      />
      <Choice
        label="The boards are sawn"
        value={String(nearestSawing(document.season.ringAngle))}
        onCommit={(angle) => change('season.ringAngle')(Number(angle))}
        options={[
          {
            value: '15',
            label: 'Flat',
            reason: `${species.commonName}: a flat board moves by its tangential coefficient, near enough.`,
          },
          { value: '45', label: 'Rift', reason: 'Rings at about 45°: between the two.' },
          { value: '85', label: 'Quarter', reason: 'Rings upright: the least movement.' },
        ]}
      />
      <Group title="How the top is held">
        <Select
          label="Fasteners"
          value={document.form.hold.kind}
          onCommit={change('form.hold.kind')}
          options={Object.entries(HOLDS).map(([value, hold]) => ({
            value: value as keyof typeof HOLDS,
            label: hold.name,
          }))}
          wide
        />
        <LengthField
          label="Travel, each way"
          mm={document.form.hold.travel}
          least={0}
          most={40}
          onCommit={change('form.hold.travel')}
          hint={HOLDS[document.form.hold.kind].how}
        />
      </Group>
      <FigureLine label="Between driest and wettest" figure={figures['top-swing']} />
      <FigureLine
        label="Travel needed each way"
        figure={checks.find((check) => check.id === 'season.top-travel')?.figure}
      />
      <FigureLine label={`Driest, ${sayDayShort(season.driest.day)}`} figure={figures['moisture-driest']} />
      <FigureLine label={`Wettest, ${sayDayShort(season.wettest.day)}`} figure={figures['moisture-wettest']} />
      {season.reference.measuredOn ? (
        <p className="mt-2 text-ink-2">
          The top was measured at <QuantityText of={{ amount: season.reference.width, unit: 'mm-movement' }} /> on{' '}
          {season.reference.measuredOn}; the widths start from there.
        </p>
      ) : null}
    </StepFrame>
  );
}

const nearestSawing = (angle: number) =>
  [15, 45, 85].reduce((best, a) => (Math.abs(a - angle) < Math.abs(best - angle) ? a : best), 15);
