import type { Shop } from '../decision/shop';
import { daysToRest } from '../milling/milling-figures';
import { ownerOf } from '../piece/table/bases/leg-apron/making';
import type { Species } from '../wood/species';
import { blanksOf } from './blanks';
import type { Demand } from './demand';
import type { Layout } from './layout';
import { leavesOf } from './matched-pairs';

/** What is parted through its thickness, and how long it then lies. */
export interface ResawWork {
  blanks: number;
  /** Cuts through all of them together. */
  cuts: number;
  /** Hours until the thickest piece is as dry inside as outside. */
  rest: number;
  /** Ids of the parts that come of it. */
  parts: readonly string[];
  /** Pairs for panels are among them: leaves and edges are marked. */
  paired: boolean;
}

/**
 * Blanks that are resawn: those of the current layout. Without one only pairs are known to be.
 *
 * @param strips of each panel, as they are likely
 */
export function resawWork(
  demand: Demand,
  layout: Pick<Layout, 'placements'> | null,
  strips: readonly number[],
  shop: Shop,
  speciesOf: (part: string) => Species,
): ResawWork {
  const wanted = new Map([...demand.parts, ...demand.panels].map((own) => [own.id, own]));
  const blanks = layout
    ? blanksOf(layout.placements)
        .map(({ placements }) => placements.map(({ part }) => part))
        .filter((parts) => parts.length > 1)
    : demand.panels.flatMap((panel, i) =>
        panel.pairs
          ? Array.from({ length: Math.round((strips[i] ?? 0) / leavesOf(panel)) }, () => [panel.id, panel.id])
          : [],
      );
  const parts = [...new Set(blanks.flat())];
  const days = parts.map((part) =>
    daysToRest((wanted.get(part)?.finished.thickness ?? 0) + shop.allowances.resaw, speciesOf(part)),
  );
  return {
    blanks: blanks.length,
    cuts: blanks.reduce((sum, own) => sum + own.length - 1, 0),
    rest: 24 * Math.max(0, ...days),
    parts: [...new Set(parts.map(ownerOf))],
    paired: demand.panels.some((panel) => panel.pairs && parts.includes(panel.id)),
  };
}
