'use client';

import { boundsOf, type DecisionPath, pathInJob, valueAt, WrittenJobSchema } from '@/core';
import { AskedFigure } from '@/ui/asked-figure';
import { useChange, useDerived, useJobInputs } from './job-context';

/** A figure of the job or of the piece that is looked at, asked within the bounds and in the unit of the job's schema. */
export function DecisionFigure({
  at,
  label,
  hint,
  step,
  emptyMeans,
}: {
  at: DecisionPath;
  label: string;
  hint?: string;
  step?: number;
  /** What is shown while nothing is decided; only where the schema lets it be left open. */
  emptyMeans?: string;
}) {
  const { pieceId, instance } = useDerived();
  const { document } = useJobInputs();
  const change = useChange();
  const path = pathInJob({ pieceId, instance }, at);
  const field = {
    ...(hint === undefined ? {} : { hint }),
    ...(step === undefined ? {} : { step }),
    ...(emptyMeans === undefined ? {} : { emptyMeans }),
  };
  return (
    <AskedFigure
      field={field}
      label={label}
      value={valueAt(document, path)}
      bounds={boundsOf(WrittenJobSchema, document, path)}
      onCommit={change(at)}
    />
  );
}
