'use client';

import { Choice, NumberField } from '@/ui/fields';
import { FigureLine } from '@/ui/figure';
import { useChange, useDecisions, useDerived } from '../job/job-context';
import { LengthRows } from './length-rows';

/** Sizes of a middling pair, to begin with. */
const PAIR = { least: 8, most: 16, ballast: 0, rise: 230, forward: 360, height: 75, long: 340, thick: 28, weight: 2.6 };

/** What is weighed of it: how it is asked, and between what. kg */
const WEIGHTS = [
  ['Lifts from', 'least', 0.5, 80],
  ['Lifts to', 'most', 0.5, 120],
  ['Ballast', 'ballast', 0, 40],
  ['Each weighs', 'weight', 0, 15],
] as const;

/** A top that is lifted toward the sitter. */
export function LiftFields() {
  const top = useDecisions((own) => own.form.top);
  const base = useDecisions((own) => own.form.base.kind);
  const { figures } = useDerived();
  const change = useChange();
  if (top.kind !== 'glued-panel' || (base !== 'leg-apron' && !top.lift)) return null;
  const { lift } = top;
  return (
    <>
      <Choice
        label="The top"
        value={lift ? 'lifts' : 'stays'}
        options={[
          { value: 'stays', label: 'Stays down' },
          {
            value: 'lifts',
            label: 'Lifts toward the sitter',
            reason: 'On a pair of bought-in mechanisms inside the end aprons; their maker says what they lift.',
          },
        ]}
        onCommit={(kind) => change('form.top.lift')(kind === 'lifts' ? PAIR : null)}
      />
      {lift ? (
        <>
          {WEIGHTS.map(([label, key, least, most]) => (
            <NumberField
              key={key}
              label={label}
              unit="kg"
              value={lift[key]}
              least={least}
              most={most}
              step={0.1}
              onCommit={change(`form.top.lift.${key}`)}
            />
          ))}
          <LengthRows
            rows={[
              { label: 'Rises by', path: 'form.top.lift.rise', least: 30, most: 500 },
              { label: 'Comes forward by', path: 'form.top.lift.forward', least: 0, most: 700 },
              { label: 'Folded, high', path: 'form.top.lift.height', least: 20, most: 250 },
              { label: 'Folded, front to back', path: 'form.top.lift.long', least: 100, most: 800 },
              { label: 'Folded, thick', path: 'form.top.lift.thick', least: 8, most: 60 },
            ]}
          />
          {figures['lift-load'] ? <FigureLine label="On the mechanism" figure={figures['lift-load']} /> : null}
          {figures['lift-tipping'] ? (
            <FigureLine label="Tips, its top forward" figure={figures['lift-tipping']} />
          ) : null}
        </>
      ) : null}
    </>
  );
}
