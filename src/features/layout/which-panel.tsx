'use client';

import type { WorkedPanel } from '@/core';
import { Select } from '@/ui/fields';

/** Which panel of the piece is looked at; nothing where it has but one. */
export function WhichPanel({
  panels,
  panel,
  onPanel,
}: {
  panels: readonly WorkedPanel[];
  panel: WorkedPanel;
  onPanel: (id: string) => void;
}) {
  if (panels.length < 2) return null;
  return (
    <Select
      label="Panel"
      value={panel.demand.id}
      options={panels.map(({ demand }) => ({ value: demand.id, label: `${demand.letter}, ${demand.name}` }))}
      onCommit={onPanel}
      wide
    />
  );
}
