'use client';

import { boundsOf, CaseFormSchema, type DecisionPath } from '@/core';
import { AskedFigure } from '@/ui/asked-figure';
import { Button } from '@/ui/button';
import { TextField } from '@/ui/fields';
import { useCase, useChange } from '../job/job-context';

const FIGURES = [
  ['fromLeft', 'From the left wall'],
  ['fromFloor', 'Over the floor'],
  ['width', 'Wide'],
  ['height', 'High'],
] as const;

/** Sockets and pipes on the wall behind, each with where it is. */
export function KeptClear() {
  const { form } = useCase();
  const change = useChange();
  const list = form.alcove?.clear ?? [];
  const free = Array.from({ length: list.length + 1 }, (_, i) => `k${i + 1}`).find((id) =>
    list.every((own) => own.id !== id),
  );
  const path = 'form.alcove.clear';
  return (
    <div className="mb-3">
      {list.map((own) => (
        <fieldset key={own.id} className="mt-1 border-hairline border-b pb-1">
          <legend className="text-ink-2">{own.name}, kept clear</legend>
          <TextField
            label="What it is"
            value={own.name}
            required
            onCommit={change(`${path}.${own.id}.name` as DecisionPath)}
          />
          {FIGURES.map(([at, label]) => (
            <AskedFigure
              key={at}
              field={{}}
              label={label}
              value={own[at]}
              onCommit={change(`${path}.${own.id}.${at}` as DecisionPath)}
              bounds={boundsOf(CaseFormSchema, form, `alcove.clear.${own.id}.${at}`)}
            />
          ))}
          <Button
            look="quiet"
            aria-label={`Take away ${own.name}`}
            onClick={() => change(path as DecisionPath)(list.filter(({ id }) => id !== own.id))}
          >
            Take away
          </Button>
        </fieldset>
      ))}
      <Button
        onClick={() =>
          change(path as DecisionPath)([
            ...list,
            { id: free ?? 'k', name: 'Socket', fromLeft: 200, fromFloor: 300, width: 80, height: 80 },
          ])
        }
      >
        Keep a socket or a pipe clear
      </Button>
    </div>
  );
}
