'use client';

import { LengthField } from '@/ui/fields';
import { useChange, useDecisions } from '../job/job-context';

export interface LengthRow {
  label: string;
  /** Where in the document. */
  path: string;
  least: number;
  most: number;
  hint?: string;
}

/** Lengths of the document, one field each. */
export function LengthRows({ rows }: { rows: readonly LengthRow[] }) {
  const document = useDecisions((own) => own);
  const change = useChange();
  return rows.map(({ path, ...row }) => {
    const mm = at(document, path);
    return typeof mm === 'number' ? <LengthField key={path} {...row} mm={mm} onCommit={change(path)} /> : null;
  });
}

const at = (node: unknown, path: string): unknown =>
  path.split('.').reduce((value: unknown, key) => (value as Record<string, unknown> | undefined)?.[key], node);
