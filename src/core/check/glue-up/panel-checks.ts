import type { LaidStrip } from '../../glueup/lay-panel';
import { type PanelTrim, shortStrips } from '../../glueup/trim-panel';
import type { PanelDemand } from '../../layout/demand';
import { count, mm, say } from '../../measure/quantity';
import type { Check } from '../check';

/** What the order and the turns of the strips bring: joint lines at fasteners, faults that show. */
export function panelChecks(panel: PanelDemand, laid: readonly LaidStrip[], trim: PanelTrim, margin: number): Check[] {
  const showing = laid.filter((strip) => strip.showing.length > 0);
  const checks: Check[] = [];
  if (panel.outline) {
    const short = shortStrips(panel, laid, trim.left);
    const worst = Math.max(0, ...short.map(({ lacking }) => lacking));
    checks.push({
      id: 'panel.stepped',
      step: 'layout',
      level: short.length > 0 ? 'stop' : 'good',
      sentence:
        short.length > 0
          ? say`${short.map(({ label }) => label).join(', ')} ${short.length > 1 ? 'are' : 'is'} up to ${mm(worst)} too short for the outline where ${short.length > 1 ? 'they lie' : 'it lies'}.`
          : say`Every strip reaches beyond the outline where it lies.`,
      value: mm(worst),
      limit: mm(0),
      where: short.map(({ label }) => label),
      why: 'A round or curved top is glued of strips that get shorter toward its sides; out of order, the outline has a notch.',
      school: 'common practice',
      wayOut: { say: say`Lay the longest in the middle, or search for the best order in the tab Panel`, changes: [] },
    });
  }
  if (trim.clearance !== null) {
    const near = trim.clearance < margin - 1e-6;
    checks.push({
      id: 'panel.joint-at-fastener',
      step: 'layout',
      level: near ? 'watch' : 'good',
      sentence: near
        ? say`A joint line of the top runs ${mm(trim.clearance)} from a fastener or the edge of a cut-out.`
        : say`The joint lines keep ${mm(trim.clearance)} off the fasteners and cut-outs.`,
      value: mm(trim.clearance),
      limit: mm(margin),
      where: [panel.id],
      why: 'A screw in a joint line wedges the joint apart, and holds in half of it only.',
      school: 'common practice',
      wayOut: { say: say`Lay the strips in another order, or search for the best one in the tab Panel`, changes: [] },
    });
  }
  if (showing.length > 0) {
    const kinds = [...new Set(showing.flatMap((strip) => strip.showing.map((d) => d.kind)))].join(' and ');
    checks.push({
      id: 'panel.shows',
      step: 'layout',
      level: 'watch',
      sentence: say`As it is laid, ${showing.map((strip) => strip.label).join(', ')} shows a ${kinds}.`,
      value: count(showing.length),
      limit: count(0),
      where: [panel.id],
      why: 'The strip was taken from that board with its other face up.',
      school: 'common practice',
      wayOut: { say: say`Turn it over in the tab Panel, or take the school that puts the best face up`, changes: [] },
    });
  }
  return checks;
}
