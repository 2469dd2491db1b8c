'use client';

import { boundsOf, type CutOut, CutOutSchema, type DecisionPath, valueAt } from '@/core';
import { AskedFigure } from '@/ui/asked-figure';
import { Button } from '@/ui/button';
import { useChange, useTable } from '../job/job-context';

const FIGURES = [
  ['fromEnd', 'From the left end'],
  ['fromFront', 'From the front edge'],
  ['length', 'Along the table'],
  ['width', 'Across it'],
] as const;

/** Holes through the top, each with where its middle is. */
export function CutOutFields({ path }: { path: DecisionPath }) {
  const { form } = useTable();
  const change = useChange();
  const list = valueAt({ form }, path) as readonly CutOut[];
  const fresh: CutOut = { fromEnd: form.top.length / 2, fromFront: form.top.width / 2, length: 120, width: 60 };
  return (
    <div className="mt-2">
      {list.map((cutOut, i) => (
        // biome-ignore lint/suspicious/noArrayIndexKey: a cut-out has no name but its number
        <fieldset key={i} className="mt-1 border-hairline border-b pb-1">
          <legend className="text-ink-2">Cut-out {i + 1}</legend>
          {FIGURES.map(([at, label]) => (
            <AskedFigure
              key={at}
              field={{}}
              label={label}
              value={cutOut[at]}
              onCommit={change(`${path}.${i}.${at}` as DecisionPath)}
              bounds={boundsOf(CutOutSchema, cutOut, at)}
            />
          ))}
          <Button
            look="quiet"
            aria-label={`Take away cut-out ${i + 1}`}
            onClick={() => change(path)(list.filter((__, j) => j !== i))}
          >
            Take away
          </Button>
        </fieldset>
      ))}
      <div className="mb-3">
        <Button onClick={() => change(path)([...list, fresh])}>Add a cut-out</Button>
      </div>
    </div>
  );
}
