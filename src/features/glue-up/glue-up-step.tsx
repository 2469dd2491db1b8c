'use client';

import { ALIGNERS, clampsThatReach, GLUES, type GlueStage } from '@/core';
import { Choice, Select } from '@/ui/fields';
import { FigureButton, FigureLine } from '@/ui/figure';
import { Length, QuantityText, useUnits } from '@/ui/units';
import { useSize } from '@/ui/use-size';
import { useChange, useDecisions, useDerived, useJobState } from '../job/job-context';
import { StepFrame } from '../job/job-desk';
import { PanelEnd } from '../layout/panel-end';

export function GlueUpStep() {
  const { glueUps, glue, panels, figures } = useDerived();
  const choice = useDecisions((own) => own.glueUp);
  const shop = useJobState((state) => state.shop);
  const change = useChange();
  const units = useUnits();
  const stages = glueUps.flatMap((glueUp) => glueUp.stages);
  const edges = panels.flatMap((own) => own.edges?.joints ?? []);
  const longest = Math.max(0, ...stages.map((stage) => stage.minutes));
  return (
    <StepFrame
      step="glue-up"
      title="Glue-up"
      drawing={
        <div>
          {panels.map(({ demand, laid, strips }) => (
            <PanelEnd
              key={demand.id}
              strips={laid.length > 0 ? laid : strips}
              thickness={demand.finished.thickness}
              title={`${demand.name}: ${laid.length > 0 ? 'the strips of the layout, from the end' : 'likely strips, until a layout is found'}`}
            />
          ))}
          {stages.map((stage) => (
            <StageDrawing key={stage.id} stage={stage} />
          ))}
        </div>
      }
      lead={
        <p>
          <span className="figures font-semibold text-[34px] leading-10">{stages.length}</span>{' '}
          <span className="text-ink-2">
            {stages.length === 1 ? 'stage' : 'stages'}, the longest {Math.ceil(longest)} of {glue.closedBy} minutes
          </span>
        </p>
      }
    >
      <Choice
        label="A wide top is glued"
        value={choice.staging}
        onCommit={change('glueUp.staging')}
        options={[
          {
            value: 'planer-width',
            label: 'By planer',
            reason: 'In sections that still go through the planer, joined last: one joint to level by hand.',
          },
          {
            value: 'in-halves',
            label: 'In halves',
            reason: 'Two halves, each turned and clamped by itself, then one last joint.',
          },
          { value: 'all-at-once', label: 'At once', reason: 'One go, one mess; needs slow glue and every clamp.' },
        ]}
      />
      <Select
        label="Boards kept level by"
        value={choice.level}
        onCommit={change('glueUp.level')}
        options={Object.entries(ALIGNERS).map(([value, { name }]) => ({
          value: value as keyof typeof ALIGNERS,
          label: name,
        }))}
        wide
        hint={ALIGNERS[choice.level].reason}
      />
      {edges.length > 0 ? (
        <FigureLine label={`In ${edges.length} joints`} figure={figures.aligners}>
          {edges.reduce((sum, { places }) => sum + places.length, 0)}
        </FigureLine>
      ) : null}
      <Select
        label="Glue"
        value={choice.glue}
        onCommit={change('glueUp.glue')}
        options={Object.entries(GLUES).map(([value, g]) => ({ value: value as keyof typeof GLUES, label: g.name }))}
        wide
        hint={glue.caution}
      />
      <FigureLine label="Glue, all stages" figure={figures['glue-total']} />
      <FigureLine label="In the clamps, each stage">
        <QuantityText of={{ amount: glue.clampFor, unit: 'minutes' }} />
      </FigureLine>
      <FigureLine label="Level it after">
        <QuantityText of={{ amount: glue.levelAfter, unit: 'hours' }} />
      </FigureLine>
      {stages.map((stage) => (
        <div key={stage.id} className="mt-3 border-line border-t pt-2" data-stage={stage.id}>
          <p className="font-semibold">{stage.name}</p>
          <p className="text-ink-2">{stage.members.join(' + ')}</p>
          <FigureLine label="Width">
            <Length mm={stage.width} />
          </FigureLine>
          <FigureLine label={`Clamps of at least ${units.length(Math.ceil(stage.clamps.leastLength / 10) * 10)}`}>
            <FigureButton figure={figures[`clamps-${stage.id}`]} />{' '}
            <span className="font-normal text-ink-2">of {clampsThatReach(shop, stage.clamps.leastLength)}</span>
          </FigureLine>
          <FigureLine label="Pressure on the joints">
            <FigureButton figure={figures[`pressure-${stage.id}`]} />{' '}
            <span className="font-normal text-ink-2">
              of <QuantityText of={{ amount: stage.clamps.asked, unit: 'megapascal' }} />
            </span>
          </FigureLine>
          <FigureLine label="Spread and close" figure={figures[`minutes-${stage.id}`]} />
          <FigureLine label="Glue">
            <FigureButton figure={figures[`glue-${stage.id}`]} />
          </FigureLine>
        </div>
      ))}
    </StepFrame>
  );
}

/** A go from above: its members side by side, clamps alternating above and below. */
function StageDrawing({ stage }: { stage: GlueStage }) {
  const units = useUnits();
  const [ref, size] = useSize<HTMLDivElement>();
  const width = Math.max(300, size.width - 16);
  const scale = Math.min((width - 20) / stage.length, 150 / stage.width);
  const [w, h] = [stage.length * scale, stage.width * scale];
  const clamps = Array.from({ length: stage.clamps.count }, (_, i) => (w * (i + 0.5)) / stage.clamps.count);
  return (
    <figure ref={ref} className="mt-3">
      <figcaption className="mb-1">
        <b className="font-semibold">{stage.name}</b>{' '}
        <span className="figures text-ink-2">
          {units.length(stage.length)} × {units.length(stage.width)} · {stage.clamps.count} clamps,{' '}
          {units.length(Math.round(stage.clamps.spacing))} apart ·{' '}
          {stage.planes ? 'goes through the planer after' : 'level by hand after'}
        </span>
      </figcaption>
      <svg
        width={width}
        height={h + 34}
        role="img"
        aria-label={`${stage.name} with ${stage.clamps.count} clamps, alternately above and below`}
      >
        <rect x={2} y={16} width={w} height={h} className="fill-wood stroke-ink" strokeWidth={1.3} />
        {stage.members.slice(1).map((member, i) => {
          const y = 16 + stage.widths.slice(0, i + 1).reduce((sum, width) => sum + width, 0) * scale;
          return <line key={member} x1={2} x2={2 + w} y1={y} y2={y} className="stroke-ink-2" />;
        })}
        {clamps.map((x, i) => (
          <g
            key={x}
            className={i % 2 === 0 ? 'stroke-layout' : 'stroke-ink-2'}
            strokeWidth={3}
            strokeDasharray={i % 2 === 0 ? undefined : '5 4'}
          >
            <line x1={2 + x} x2={2 + x} y1={4} y2={h + 28} />
            <line x1={x - 5} x2={x + 9} y1={11} y2={11} strokeDasharray="none" />
            <line x1={x - 5} x2={x + 9} y1={h + 21} y2={h + 21} strokeDasharray="none" />
          </g>
        ))}
      </svg>
    </figure>
  );
}
