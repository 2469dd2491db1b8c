import type { PanelDemand } from '../layout/demand';
import { leavesOf } from '../layout/matched-pairs';
import type { LaidStrip } from './lay-panel';
import type { GlueStrip } from './plan-glue-ups';

/** As the layout has them; until there is one, as they are likely to be. */
export const stripsOf = (panel: PanelDemand, laid: readonly LaidStrip[]): readonly GlueStrip[] =>
  laid.length > 0 ? laid : likelyStrips(panel);

/** Before a layout is there: as few equal strips as the greatest width allows. */
function likelyStrips(panel: PanelDemand): GlueStrip[] {
  const { letter, greatestStrip } = panel;
  const { width } = panel.rough;
  const leaves = leavesOf(panel);
  const n = leaves * Math.max(1, Math.ceil(width / greatestStrip / leaves - 1e-9));
  return Array.from({ length: n }, (_, i) => ({ label: `${letter}${i + 1}`, width: width / n }));
}
