import { madeParts, type Quantity, type ShownPiece, type Step, sayDayShort } from '@/core';

export interface StepRow {
  step: Step;
  title: string;
  /** The one figure that matters in it. */
  figure: (own: ShownPiece) => readonly (Quantity | string)[];
}

/** The steps in the order of the work; the spine, the number keys and the routes all read this table. */
export const STEPS: readonly StepRow[] = [
  {
    step: 'brief',
    title: 'Brief',
    figure: ({ document, piece }) => [
      piece.build === 'case' ? sayDayShort(document.brief.dueOn) : `${document.brief.seats} seats`,
    ],
  },
  {
    step: 'form',
    title: 'Form',
    figure: ({ piece }) => [
      { amount: piece.overall.length, unit: 'mm' },
      '×',
      { amount: piece.build === 'case' ? piece.overall.height : piece.overall.width, unit: 'mm' },
    ],
  },
  {
    step: 'season',
    title: 'Season',
    figure: ({ season }) => [
      '±',
      { amount: (season.leadingWidth.wettest - season.leadingWidth.driest) / 2, unit: 'mm-movement' },
    ],
  },
  { step: 'joints', title: 'Joints', figure: ({ piece }) => [`${piece.joints.length}`] },
  {
    step: 'layout',
    title: 'Layout',
    figure: ({ wood: { layout, layoutState } }) =>
      layout && layoutState !== 'none' ? [`${(layout.yield * 100).toFixed(0)} %`] : ['–'],
  },
  {
    step: 'glue-up',
    title: 'Glue-up',
    figure: ({ glueUps }) => {
      const stages = glueUps.reduce((sum, glueUp) => sum + glueUp.stages.length, 0);
      return [`${stages} ${stages === 1 ? 'stage' : 'stages'}`];
    },
  },
  { step: 'plan', title: 'Plan', figure: ({ schedule }) => [{ amount: schedule.workHours, unit: 'hours' }] },
  {
    step: 'bench',
    title: 'Bench',
    figure: ({ piece }) => [`${madeParts(piece).filter((part) => part.cut).length} of ${madeParts(piece).length}`],
  },
];

export const isStep = (text: string): text is Step => STEPS.some((row) => row.step === text);

/** Whether a step's figure rests on something that has changed since, or has a stop of its own. */
export function stepState(step: Step, job: ShownPiece): 'settled' | 'open' | 'stale' {
  if (job.checks.some((check) => check.step === step && check.level === 'stop')) return 'open';
  if (step === 'layout') return job.layoutComplete ? 'settled' : job.layoutState === 'stale' ? 'stale' : 'open';
  if (step === 'glue-up' || step === 'plan') return job.layoutComplete ? 'settled' : 'stale';
  if (step === 'bench') return madeParts(job.piece).every((part) => part.cut) ? 'settled' : 'open';
  return 'settled';
}
