'use client';

import { KIND_PLURALS, madeParts, type PartKind, partWoodChanges } from '@/core';
import { Select } from '@/ui/fields';
import { useChanges, useDecisions, useDerived, useJobState } from '../job/job-context';

/** Kinds of parts that are of another wood than the piece, each with a choice of its own. */
export function OtherWoods({ woods }: { woods: readonly { value: string; label: string }[] }) {
  const { piece, species } = useDerived();
  const { pieceId, speciesOf } = useDecisions((own) => own);
  const job = useJobState((state) => state.document);
  const change = useChanges();
  const kinds = [...new Set(madeParts(piece).map(({ kind }) => kind))].filter((kind) => KIND_PLURALS[kind]);
  const others = Object.keys(speciesOf).length;
  const title = (kind: PartKind) => {
    const words = KIND_PLURALS[kind] ?? kind;
    return words.charAt(0).toUpperCase() + words.slice(1);
  };
  return (
    <details className="mb-3" open={others > 0}>
      <summary className="cursor-pointer font-semibold text-layout">
        Parts of another wood{others > 0 ? ` · ${others}` : ''}
      </summary>
      <div className="mt-2">
        {kinds.map((kind) => (
          <Select
            key={kind}
            wide
            label={title(kind)}
            value={speciesOf[kind] ?? ''}
            options={[
              { value: '', label: `as the piece: ${species.commonName}` },
              ...woods.filter(({ value }) => value !== species.id),
            ]}
            onCommit={(wood) => void change(partWoodChanges(job, pieceId, kind, wood === '' ? null : wood))}
          />
        ))}
      </div>
    </details>
  );
}
