'use client';

import { type DecisionPath, valueAt } from '@/core';
import { Select } from '@/ui/fields';
import { useCase, useChanges, useDecisions, useDerived } from '../job/job-context';

/** Which of the other cases of the job one stands on, or beside. */
export function CaseBelowField({ label, path }: { label: string; path: DecisionPath }) {
  const chosen = useDecisions((decided) => valueAt(decided, path)) as string;
  const { job, pieceId } = useDerived();
  const { form } = useCase();
  const change = useChanges();
  const cases = [
    ...new Map(
      job.pieces
        .filter((own) => own.piece.build === 'case' && own.pieceId !== pieceId)
        .map((own) => [own.pieceId, own.title]),
    ),
  ].map(([value, title]) => ({ value, label: title }));
  const known = cases.some(({ value }) => value === chosen);
  return (
    <Select
      label={label}
      value={known ? chosen : ''}
      options={known ? cases : [{ value: '', label: 'none chosen' }, ...cases]}
      hint={
        cases.length === 0 ? 'There is no other case in this job: add one under Pieces, and choose it here.' : undefined
      }
      // Their backs in one plane, as they stand at a wall.
      onCommit={(id) => {
        const deep = job.pieces.find((own) => own.pieceId === id)?.piece.overall.width ?? form.depth;
        change([
          { path, value: id },
          ...(path === 'form.stand.lower'
            ? [{ path: 'form.stand.setBack', value: Math.max(0, Math.round(deep - form.depth)) }]
            : []),
        ]);
      }}
      wide
    />
  );
}
