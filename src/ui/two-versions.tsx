'use client';

import type { ReactNode } from 'react';
import { Button } from './button';

/** Offers both, where somebody else changed the same meanwhile. */
export function TwoVersions({
  other = 'the other version',
  onMine,
  onTheirs,
}: {
  other?: ReactNode;
  onMine: () => void;
  onTheirs: () => void;
}) {
  return (
    <p className="mb-3 flex gap-3">
      <Button onClick={onMine}>Keep my version</Button>
      <Button onClick={onTheirs}>Take {other}</Button>
    </p>
  );
}
