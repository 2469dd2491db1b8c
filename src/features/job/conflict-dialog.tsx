'use client';

import { useState } from 'react';
import type { Conflict, JobDocument } from '@/core';
import { Button } from '@/ui/button';
import { Dialog } from '@/ui/dialog';
import { useJobState } from './job-context';
import type { Standoff } from './job-store';

/** Two who decided the same things otherwise: line by line, and nothing overwritten until each is settled. */
export function ConflictDialog() {
  const conflict = useJobState((state) => state.conflict);
  return conflict ? <Settle key={conflict.theirs.revision} conflict={conflict} /> : null;
}

function Settle({ conflict: { merge, closedTab } }: { conflict: Standoff }) {
  const settle = useJobState((state) => state.settle);
  const [keep, setKeep] = useState<Readonly<Record<string, 'mine' | 'theirs'>>>({});
  const { conflicts } = merge;
  const all = (whose: 'mine' | 'theirs') => setKeep(Object.fromEntries(conflicts.map(({ path }) => [path, whose])));
  return (
    <Dialog title="This job was changed elsewhere" open onClose={() => {}} wide>
      <p>
        {closedTab === null
          ? 'Somebody, or another tab, saved this job while you worked on it.'
          : 'A tab that is closed by now had decisions that were never sent; “mine” is what it left.'}{' '}
        What only one of you touched is put together already. {conflicts.length === 1 ? 'This' : 'These'} you both
        decided, each otherwise: choose what stands. The other stays in the job’s history, and undo brings it back.
      </p>
      <div className="my-4 max-h-[50vh] overflow-y-auto">
        <table className="w-full">
          <thead>
            <tr className="border-ink border-b text-left">
              <th className="py-1">Decision</th>
              <th>Mine</th>
              <th>The other</th>
            </tr>
          </thead>
          <tbody>
            {conflicts.map((conflict) => (
              <Line
                key={conflict.path}
                conflict={conflict}
                keep={keep[conflict.path] ?? 'mine'}
                onKeep={(whose) => setKeep({ ...keep, [conflict.path]: whose })}
              />
            ))}
          </tbody>
        </table>
      </div>
      <div className="flex gap-3">
        <Button look="chief" onClick={() => void settle(keep)}>
          Save what is chosen
        </Button>
        {conflicts.length > 1 ? (
          <>
            <Button onClick={() => all('mine')}>All mine</Button>
            <Button onClick={() => all('theirs')}>All of the other</Button>
          </>
        ) : null}
      </div>
    </Dialog>
  );
}

function Line({
  conflict,
  keep,
  onKeep,
}: {
  conflict: Conflict;
  keep: 'mine' | 'theirs';
  onKeep: (whose: 'mine' | 'theirs') => void;
}) {
  const document = useJobState((state) => state.document);
  const name = placeInJob(conflict.path, document);
  return (
    <tr className="border-hairline border-b align-top">
      <td className="py-1 pr-3">{name}</td>
      {(['mine', 'theirs'] as const).map((whose) => (
        <td key={whose} className="pr-3">
          <label className="flex gap-2 py-1">
            <input
              type="radio"
              name={conflict.path}
              checked={keep === whose}
              onChange={() => onKeep(whose)}
              aria-label={`${name}: ${whose === 'mine' ? 'mine' : 'the other'}, ${written(conflict[whose])}`}
            />
            <span className="figures [overflow-wrap:anywhere]">{written(conflict[whose])}</span>
          </label>
        </td>
      ))}
    </tr>
  );
}

/** A decision's place in a job, in words: “form, base, height”, where there are several pieces “Bench: form, base, height”. */
function placeInJob(path: string, { pieces, woods }: JobDocument): string {
  const [, list, id = '', rest = ''] = /^(pieces|woods)\.([^.]+)\.?(.*)$/.exec(path) ?? [];
  if (list === undefined) return placeOf(path);
  const named = (list === 'pieces' ? pieces : woods).find((own) => own.id === id);
  const place = rest ? placeOf(rest.replace(/^benches\./, 'bench.')) : 'the whole of it';
  return list === 'pieces' && pieces.length === 1 ? place : `${named?.name ?? id}: ${place}`;
}

/** A place of a decision, in words. */
const placeOf = (path: string) =>
  path
    .replace(/[A-Z]/g, (letter) => ` ${letter.toLowerCase()}`)
    .replaceAll('-', ' ')
    .replaceAll('.', ', ') || 'the job';

function written(value: unknown): string {
  if (value === undefined || value === null || value === '') return 'nothing';
  if (typeof value === 'boolean') return value ? 'yes' : 'no';
  if (Array.isArray(value)) return value.length === 0 ? 'none' : value.map(written).join('; ');
  if (typeof value === 'object')
    return Object.entries(value)
      .map(([key, own]) => `${placeOf(key)} ${written(own)}`)
      .join(', ');
  return String(value);
}
