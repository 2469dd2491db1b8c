'use client';

import { daysBetween, FINISH_NAMES, KIND_PLURALS, PAINTED_KINDS, plusDays, sayDay, sayDayShort } from '@/core';
import { DayField } from '@/ui/day-field';
import { Select } from '@/ui/fields';
import { FigureLine } from '@/ui/figure';
import { useUnits } from '@/ui/units';
import { useSize } from '@/ui/use-size';
import { Group } from '../form/group';
import { KindBoxes } from '../form/kind-boxes';
import { DecisionFigure } from '../job/decision-figure';
import { useChange, useDecisions, useDerived } from '../job/job-context';
import { StepFrame } from '../job/job-desk';
import { useLightInJob } from '../job/use-light-in-job';

export function PlanStep() {
  const { schedule, figures, piece } = useDerived();
  const paintable = PAINTED_KINDS.filter((kind) => piece.parts.some((part) => part.kind === kind && !part.material));
  const plan = useDecisions((own) => own.plan);
  const change = useChange();
  return (
    <StepFrame
      step="plan"
      title="Plan"
      drawing={<Calendar />}
      lead={
        <p>
          <span className="figures font-semibold text-[34px] leading-10">{schedule.workHours.toFixed(0)} h</span>{' '}
          <span className="text-ink-2">at the bench, done {sayDay(schedule.finishedOn)}</span>
        </p>
      }
    >
      <DayField label="Start on" value={plan.startOn} onCommit={change('plan.startOn')} />
      <DecisionFigure at="plan.hoursPerDay" label="Hours a day" step={0.5} />
      <Select label="Finish" value={plan.finish} onCommit={change('plan.finish')} options={FINISH_NAMES} />
      {paintable.length > 0 ? (
        <Group title="Painted in its place">
          <KindBoxes
            kinds={paintable}
            chosen={plan.painted}
            label={(kind) => `The ${KIND_PLURALS[kind]}`}
            onCommit={change('plan.painted')}
          />
          <p className="text-ink-2">Under paint nothing need match: such parts come from any sound board.</p>
        </Group>
      ) : null}
      <FigureLine label="Operations">{schedule.dated.length}</FigureLine>
      <FigureLine label="Work" figure={figures['work-hours']} />
      <FigureLine label="Days only waiting" figure={figures['idle-days']} />
      <p className="mt-2 text-ink-2">
        One person, Monday to Friday; hours are common practice. Glue, rest and finish wait by the clock.
      </p>
    </StepFrame>
  );
}

/** The order of work against the days: dark where hands are on it, pale where it waits. */
function Calendar() {
  const units = useUnits();
  const { schedule } = useDerived();
  const { light } = useLightInJob();
  const start = useDecisions((own) => own.plan.startOn);
  const [ref, size] = useSize<HTMLDivElement>();
  const span = Math.max(1, daysBetween(start, schedule.finishedOn) + 1);
  const names = 330;
  const day = Math.max(6, (Math.max(560, size.width) - names - 16) / span);
  const weeks = Array.from({ length: span }, (_, d) => d).filter((d) => d % (span > 40 ? 14 : 7) === 0);
  return (
    <div ref={ref}>
      <div className="figures relative ml-[330px] h-5 text-[11.5px] text-ink-2 print:hidden">
        {weeks.map((d) => (
          <span key={d} className="absolute whitespace-nowrap" style={{ left: d * day }}>
            {sayDayShort(plusDays(start, d))}
          </span>
        ))}
      </div>
      <ol>
        {schedule.dated.map(({ operation, start: from, end, readyOn }, i) => {
          const [a, b, c] = [
            daysBetween(start, from),
            daysBetween(start, end) + 1,
            Math.max(daysBetween(start, readyOn), daysBetween(start, end) + 1),
          ];
          return (
            <li
              key={operation.id}
              className="grid grid-cols-[330px_1fr] items-center border-hairline border-t hover:bg-ground"
              onPointerEnter={() => light(operation.parts)}
              onPointerLeave={() => light([])}
            >
              <details className="py-[3px] pr-2">
                <summary className="flex cursor-pointer list-none gap-2 before:w-2 before:text-ink-2 before:content-['▸']">
                  <span className="figures w-5 shrink-0 text-ink-2">{i + 1}</span>
                  {operation.of ? (
                    <b className="w-[76px] shrink-0 truncate font-semibold" title={operation.of}>
                      {operation.of}
                    </b>
                  ) : null}
                  <span className="truncate max-md:whitespace-normal print:whitespace-normal" title={operation.name}>
                    {operation.name}
                  </span>
                  <span className="figures ml-auto hidden shrink-0 print:inline">{sayDay(from)}</span>
                  <span className="figures ml-auto shrink-0 text-ink-2 print:ml-2">
                    {units.number(operation.work, 1)} h
                  </span>
                </summary>
                <p className="my-1 ml-7">
                  {operation.of ? `${operation.of}: ` : ''}
                  {operation.name}. {operation.wait > 0 ? `Then wait ${Math.round(operation.wait)} hours.` : ''}
                </p>
                <p className="mb-1 ml-7 text-watch">{operation.caution}</p>
              </details>
              <svg
                height={16}
                width={span * day}
                viewBox={`0 0 ${span * day} 16`}
                preserveAspectRatio="none"
                className="print:w-full"
                role="img"
                aria-label={`${operation.of ? `${operation.of}, ` : ''}${operation.name}: from ${sayDay(from)} to ${sayDay(end)}${operation.wait > 0 ? `, waiting until ${sayDay(readyOn)}` : ''}`}
              >
                <rect x={b * day} y={6} width={Math.max(0, c - b) * day} height={4} className="fill-middle" />
                <rect x={a * day} y={2} width={(b - a) * day} height={12} className="fill-ink" />
              </svg>
            </li>
          );
        })}
      </ol>
    </div>
  );
}
