import type { PanelDemand } from '../layout/demand';
import { leavesOf } from '../layout/matched-pairs';
import type { Part } from '../piece/part';
import type { LaidStrip } from './lay-panel';
import type { GlueStrip } from './plan-glue-ups';

/** As the layout has them; until there is one, as they are likely to be. */
export const stripsOf = (panel: PanelDemand, laid: readonly LaidStrip[]): readonly GlueStrip[] =>
  laid.length > 0
    ? laid.map(({ label, width, placement }) => ({ label, width, length: placement.length }))
    : likelyStrips(panel);

/** Strips that are decided, from one edge to the other; where some end at a block, it and they are one there. */
export const designedStrips = (part: Pick<Part, 'letter' | 'strips' | 'size'>): GlueStrip[] =>
  (part.strips ?? [])
    .filter(({ of }) => of !== 'block')
    .map(({ id, width }) => ({ label: `${part.letter}.${id}`, width, length: part.size.length }));

/** Before a layout is there: as few equal strips as the greatest width allows. */
function likelyStrips(panel: PanelDemand): GlueStrip[] {
  const { letter, greatestStrip } = panel;
  const { width } = panel.rough;
  const leaves = leavesOf(panel);
  const n = leaves * Math.max(1, Math.ceil(width / greatestStrip / leaves - 1e-9));
  return Array.from({ length: n }, (_, i) => ({
    label: `${letter}${i + 1}`,
    width: width / n,
    length: lengthAt(panel, (width * i) / n, (width * (i + 1)) / n),
  }));
}

/** How long a strip must be that lies between two lines of a panel; a round one has shorter strips toward its sides. mm */
function lengthAt({ bands, rough }: PanelDemand, from: number, to: number): number {
  let edge = 0;
  const met = bands.flatMap((band) => {
    const [start, end] = [edge, edge + band.width];
    edge = end;
    return start < to - 1e-6 && end > from + 1e-6 ? [band.length] : [];
  });
  return Math.min(rough.length, Math.max(0, ...met) || rough.length);
}
