'use client';

import type { PartKind } from '@/core';

/** Kinds of parts of which something holds, each with a box. */
export function KindBoxes<Kind extends PartKind>({
  kinds,
  chosen,
  label,
  onCommit,
}: {
  kinds: readonly Kind[];
  chosen: readonly PartKind[];
  label: (kind: Kind) => string;
  onCommit: (chosen: PartKind[]) => unknown;
}) {
  return kinds.map((kind) => (
    <label key={kind} className="mb-1 flex items-center gap-2">
      <input
        type="checkbox"
        className="size-[24px] accent-layout"
        checked={chosen.includes(kind)}
        onChange={(event) =>
          void onCommit(event.target.checked ? [...chosen, kind] : chosen.filter((own) => own !== kind))
        }
      />
      {label(kind)}
    </label>
  ));
}
