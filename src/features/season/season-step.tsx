'use client';

import {
  FINISH_OF_PLAN,
  FINISHES,
  HOLDS,
  leadingInWords,
  leadingWidthAt,
  leadingWord,
  MOVEMENT_SCHOOLS,
  plusDays,
  sayDay,
  sayDayShort,
} from '@/core';
import { DayField } from '@/ui/day-field';
import { Choice, LengthField, NumberField, Select } from '@/ui/fields';
import { FigureButton, FigureLine } from '@/ui/figure';
import { later } from '@/ui/later';
import { QuantityText, useUnits } from '@/ui/units';
import { useTabs } from '@/ui/use-tabs';
import { Group } from '../form/group';
import { Exaggeration, PieceDrawing } from '../form/piece-drawing';
import { useChange, useDecisions, useDerived, useJobState, useShownDay, useTable } from '../job/job-context';
import { StepFrame } from '../job/job-desk';
import { MeasuredWidths } from './measured-widths';
import { ShapeView } from './shape-view';
import { TiesView } from './ties-view';

const TABS = [
  { value: 'plan', label: 'Plan' },
  { value: 'end', label: 'End' },
  { value: 'year', label: 'Through the year' },
  { value: 'ties', label: 'Ties' },
  { value: 'shape', label: 'Shape' },
] as const;

const YearChart = later(() => import('./year-chart'));

export function SeasonStep() {
  const { season, piece } = useDerived();
  const tabs = useTabs(TABS, 'plan');
  return (
    <StepFrame
      step="season"
      title="Season"
      views={tabs.bar}
      tools={tabs.value === 'year' || tabs.value === 'ties' ? null : <Exaggeration />}
      drawing={<SeasonDrawing view={tabs.value} />}
      lead={<WidthOnDay />}
    >
      <Airs />
      <Reckoning />
      {piece.build === 'table' && piece.fasteners.length > 0 ? <HeldBy /> : null}
      <SeasonFigures />
      <MeasuredWidths />
      {season.reference.measuredOn ? (
        <p className="mt-2 text-ink-2">
          The {leadingWord(piece)} was measured at{' '}
          <QuantityText of={{ amount: season.reference.width, unit: 'mm-movement' }} /> on{' '}
          {sayDay(season.reference.measuredOn)}; the widths start from there.
        </p>
      ) : null}
    </StepFrame>
  );
}

/** How wide the top is on the day that is shown; it alone is drawn anew while the day is dragged. */
function WidthOnDay() {
  const { season, figures, piece } = useDerived();
  const units = useUnits();
  const { index, moisture } = useShownDay();
  const width = leadingWidthAt(season, moisture);
  const gap = piece.build === 'table' ? piece.top.gap : undefined;
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
  return (
    <>
      <p>
        <FigureButton figure={onDay} big>
          {units.length(width, true)}
        </FigureButton>{' '}
        <span className="text-ink-2">
          {units.system === 'metric' ? 'mm ' : ''}
          {piece.build === 'case'
            ? `${leadingInWords(piece).across}, ${leadingInWords(piece).part},`
            : (piece.top.leads ?? 'wide')}{' '}
          on {sayDayShort(plusDays(season.start, index))}
        </span>
      </p>
      {gap === undefined ? null : (
        <p>
          leaving gaps of{' '}
          <b className="figures font-semibold">
            {units.length(gap - (width - leadingWidthAt(season, season.glued.moisture)), true)}
          </b>{' '}
          between slats
        </p>
      )}
      <p>
        between <b className="figures font-semibold">{units.length(season.leadingWidth.driest, true)}</b> on{' '}
        {sayDayShort(season.driest.day)} and{' '}
        <b className="figures font-semibold">{units.length(season.leadingWidth.wettest, true)}</b> on{' '}
        {sayDayShort(season.wettest.day)},{' '}
        {season.reckoning === 'simulated' ? 'as moisture gets in and out' : 'if the wood followed the air at once'}
      </p>
    </>
  );
}

/** Where the job is made, where it is delivered, and when. */
function Airs() {
  const units = useUnits();
  const { season } = useDerived();
  const document = useDecisions((own) => own);
  const places = useJobState((state) => state.places);
  const change = useChange();
  const homes = places.map((place) => ({ value: place.id, label: place.name }));
  return (
    <>
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
        allowEmpty={units.number(season.glued.moisture, 1)}
        onCommit={change('season.moistureAtGluing')}
        onEmpty={() => change('season.moistureAtGluing')(null)}
        hint="Empty: the shop’s air on the day."
      />
    </>
  );
}

/** How the boards are sawn and finished, and how movement is reckoned. */
function Reckoning() {
  const { figures, species } = useDerived();
  const document = useDecisions((own) => own);
  const change = useChange();
  return (
    <>
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
      <Choice
        label="Sizes follow"
        value={document.season.reckoning}
        onCommit={change('season.reckoning')}
        options={[
          {
            value: 'equilibrium',
            label: 'The air at once',
            reason: 'The most the wood can ever do: what slots and gaps are cut for.',
          },
          {
            value: 'simulated',
            label: 'As simulated',
            reason: 'Moisture through both faces and their finish: what it will likely do.',
          },
        ]}
      />
      <Choice
        label="Movement is computed by"
        value={document.season.school}
        onCommit={change('season.school')}
        options={(['coefficients', 'swelling'] as const).map((value) => ({
          value,
          label: MOVEMENT_SCHOOLS[value].name,
          reason: MOVEMENT_SCHOOLS[value].reason,
        }))}
      />
      {(['coefficients', 'swelling', 'thumb'] as const).map((school) => (
        <FigureLine
          key={school}
          label={`${MOVEMENT_SCHOOLS[school].name}${school === document.season.school ? ', in force' : ''}`}
          figure={figures[`swing-${school}`]}
        />
      ))}
      <Choice
        label={`Finished (${FINISHES[FINISH_OF_PLAN[document.plan.finish]].name.toLowerCase()})`}
        value={document.season.coated}
        onCommit={change('season.coated')}
        options={[
          {
            value: 'both',
            label: 'Both faces',
            reason: 'Alike on both faces: a panel stays flat while its moisture changes.',
          },
          {
            value: 'show',
            label: 'Show face',
            reason: 'The bare face follows the air first: a panel bows with every change.',
          },
          { value: 'neither', label: 'Neither', reason: 'Bare wood follows the air fastest.' },
        ]}
      />
    </>
  );
}

function HeldBy() {
  const { hold } = useTable().form;
  const change = useChange();
  return (
    <Group title="How the top is held">
      <Select
        label="Fasteners"
        value={hold.kind}
        onCommit={change('form.hold.kind')}
        options={Object.entries(HOLDS).map(([value, hold]) => ({
          value: value as keyof typeof HOLDS,
          label: hold.name,
        }))}
        hint={HOLDS[hold.kind].reason}
        wide
      />
      <LengthField
        label={HOLDS[hold.kind].slots ? 'Travel outward' : 'Travel, each way'}
        mm={hold.travel}
        least={0}
        most={40}
        onCommit={change('form.hold.travel')}
        hint={HOLDS[hold.kind].how}
      />
      {HOLDS[hold.kind].slots ? (
        <LengthField
          label="Travel inward"
          mm={hold.inward ?? hold.travel}
          least={0}
          most={40}
          onCommit={change('form.hold.inward')}
          hint="What is made in the dry season goes outward only; set it so, and the slot need not be twice as long."
        />
      ) : null}
    </Group>
  );
}

function SeasonFigures() {
  const { season, figures, checks, piece } = useDerived();
  return (
    <>
      {figures['gap-wettest'] ? (
        <FigureLine label="Gap between slats, wettest" figure={figures['gap-wettest']} />
      ) : null}
      {figures['breadboard-step'] ? (
        <FigureLine label="Step at the breadboard ends" figure={figures['breadboard-step']} />
      ) : null}
      {figures['peg-slot'] ? <FigureLine label="Slot for the outer pegs" figure={figures['peg-slot']} /> : null}
      <FigureLine label="Between driest and wettest" figure={figures['top-swing']} />
      {piece.fasteners.length > 0 ? (
        <FigureLine
          label="Travel needed each way"
          figure={checks.find((check) => check.id === 'season.top-travel')?.figure}
        />
      ) : null}
      <FigureLine label={`Driest, ${sayDayShort(season.driest.day)}`} figure={figures['moisture-driest']} />
      <FigureLine label={`Wettest, ${sayDayShort(season.wettest.day)}`} figure={figures['moisture-wettest']} />
    </>
  );
}

function SeasonDrawing({ view }: { view: (typeof TABS)[number]['value'] }) {
  switch (view) {
    case 'year':
      return <YearChart />;
    case 'ties':
      return <TiesView />;
    case 'shape':
      return <ShapeView />;
    default:
      return <PieceDrawing view={view} />;
  }
}

const nearestSawing = (angle: number) =>
  [15, 45, 85].reduce((best, a) => (Math.abs(a - angle) < Math.abs(best - angle) ? a : best), 15);
