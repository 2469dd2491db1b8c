import type { Change, JobDocument } from '../document/job-document';
import { type Day, daysBetween, sayDay } from '../measure/calendar';
import { say } from '../measure/quantity';
import type { Schedule } from '../plan/schedule';
import type { Check } from './check';

/** The season's days and the plan's may be so far apart: air and wood change little in that time. Days, common practice. */
const DRIFT = 7;

const days = (amount: number) => ({ amount, unit: 'days' as const });

/** The day the top is glued by the plan; null where nothing of it is glued. */
export const plannedGluing = ({ dated }: Schedule): Day | null =>
  dated
    .filter(({ operation }) => operation.group === 'Top' && /(^|:)glue-/.test(operation.id))
    .map(({ start }) => start)
    .sort()
    .at(0) ?? null;

/** The plan against what was promised, and the season's days against the plan. */
export function planChecks(document: Pick<JobDocument, 'brief' | 'season'>, dates: Schedule): Check[] {
  return [due(document, dates), ...seasonDays(document, dates)];
}

function due(document: Pick<JobDocument, 'brief' | 'season'>, dates: Schedule): Check {
  const early = daysBetween(dates.finishedOn, document.brief.dueOn);
  const late = early < 0;
  return {
    id: 'plan.due',
    step: 'plan',
    level: late ? 'watch' : 'good',
    sentence: late
      ? say`Done on ${sayDay(dates.finishedOn)}; it was promised for ${sayDay(document.brief.dueOn)}.`
      : say`Done on ${sayDay(dates.finishedOn)}, promised for ${sayDay(document.brief.dueOn)}.`,
    value: days(early),
    limit: days(0),
    where: [],
    why: 'Hours are common practice for one person; glue and finish wait by the clock.',
    school: 'Hours and waits are common practice',
    wayOut: { say: say`Start earlier, or work longer days`, changes: [] },
  };
}

/**
 * The season follows the days that the maker has accepted; the calendar proposes its own. Where they have drifted apart, or
 * the piece would leave before it is done, both are said, and one press takes the calendar's.
 */
function seasonDays(document: Pick<JobDocument, 'brief' | 'season'>, dates: Schedule): Check[] {
  const { gluedOn, deliveredOn } = document.season;
  const gluing = plannedGluing(dates) ?? gluedOn;
  const done = dates.finishedOn;
  const later = [deliveredOn, done].sort().at(-1) ?? done;
  const takeOver: Change[] = [
    { path: 'season.gluedOn', value: gluing },
    { path: 'season.deliveredOn', value: later },
  ];
  const wayOut = {
    say: say`Take the plan’s days: glued on ${sayDay(gluing)}, delivered on ${sayDay(later)}`,
    changes: takeOver,
  };
  const apart = Math.abs(daysBetween(gluedOn, gluing));
  const drifted = apart > DRIFT;
  const early = deliveredOn < done;
  const gluedAfter = gluedOn > done;
  return [
    {
      id: 'plan.gluing-day',
      step: 'season',
      level: drifted ? 'watch' : 'good',
      sentence: drifted
        ? gluedAfter
          ? say`The season has the panels glued on ${sayDay(gluedOn)}, when by the plan the piece is done on ${sayDay(done)}.`
          : say`The season has the panels glued on ${sayDay(gluedOn)}; by the plan they are glued on ${sayDay(gluing)}, ${days(apart)} apart.`
        : say`The panels are glued on ${sayDay(gluedOn)}, as the plan has it or within ${days(DRIFT)} of it.`,
      value: days(apart),
      limit: days(DRIFT),
      where: [],
      why: 'Every gap and slot is reckoned from the moisture of the day on which the wood is glued.',
      school: 'A week, common practice',
      wayOut,
    },
    {
      id: 'plan.delivery-day',
      step: 'season',
      level: early ? 'watch' : 'good',
      sentence: early
        ? say`The season has it delivered on ${sayDay(deliveredOn)}; by the plan it is not done before ${sayDay(done)}.`
        : say`Delivered on ${sayDay(deliveredOn)}, done by the plan on ${sayDay(done)}.`,
      value: days(daysBetween(done, deliveredOn)),
      limit: days(0),
      where: [],
      why: 'From that day on it lives in other air.',
      school: 'Hours and waits are common practice',
      wayOut,
    },
  ];
}
