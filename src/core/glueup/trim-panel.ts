import type { PanelDemand } from '../layout/demand';
import type { Figure } from '../measure/figure';
import { chordAt } from '../solid/outline';
import type { LaidStrip } from './lay-panel';

/** Where the panel is trimmed to its finished width, and how near its joint lines come to what is driven into it. */
export interface PanelTrim {
  /** Off the first and the last strip, mm. */
  left: number;
  right: number;
  /** Of every joint, mm from the middle of the finished panel to the right. */
  joints: number[];
  /** Between a joint and the nearest fastener, mm; null without joints or fasteners. */
  clearance: number | null;
}

/**
 * Takes the finished panel out of the glued one so that joint lines keep off the fasteners: from the middle where they
 * do, else shifted as little as does it, else where they come least near. Nothing is driven into a joint.
 *
 * @param fasteners mm from the middle of the panel to the right
 * @param margin wanted between a joint and a fastener, mm
 * @param lacking what strips are too short where so much is trimmed off the left, mm; before all else
 */
export function trimPanel(
  widths: readonly number[],
  finished: number,
  fasteners: readonly number[],
  margin: number,
  lacking: (left: number) => number = () => 0,
): PanelTrim {
  const total = widths.reduce((sum, width) => sum + width, 0);
  const spare = Math.max(0, total - finished);
  const lines: number[] = [];
  let run = 0;
  for (const width of widths.slice(0, -1)) {
    run += width;
    lines.push(run - total / 2);
  }
  const rows = [...new Set(fasteners)];
  const nearest = (shift: number) => {
    let least = Number.POSITIVE_INFINITY;
    for (const line of lines) for (const row of rows) least = Math.min(least, Math.abs(line - shift - row));
    return least;
  };
  // The least shift that clears a joint puts it just at the margin of some fastener.
  const shifts = [0, -spare / 2, spare / 2];
  for (const line of lines) for (const row of rows) shifts.push(line - row - margin, line - row + margin);
  const step = 2;
  for (let shift = -spare / 2; shift <= spare / 2; shift += step) shifts.push(shift);
  let best = { shift: 0, near: nearest(0), lacking: lacking(spare / 2) };
  for (const shift of shifts) {
    if (Math.abs(shift) > spare / 2 + 1e-9) continue;
    const near = nearest(shift);
    const [enough, had] = [Math.min(near, margin), Math.min(best.near, margin)];
    const short = lacking(spare / 2 + shift);
    if (short > best.lacking + 1e-9) continue;
    const better =
      short < best.lacking - 1e-9 ||
      enough > had + 1e-9 ||
      (enough > had - 1e-9 && Math.abs(shift) < Math.abs(best.shift) - 1e-9);
    if (better) best = { shift, near, lacking: short };
  }
  return {
    left: spare / 2 + best.shift,
    right: spare / 2 - best.shift,
    joints: lines.map((line) => line - best.shift),
    clearance: Number.isFinite(best.near) ? best.near : null,
  };
}

/** Beyond the outline a strip must reach at least so far at each end, for the saw, mm; common practice. */
const FOR_THE_SAW = 3;

/**
 * Strips that are too short where they lie, with what they lack, mm: toward its sides a round panel wants shorter strips
 * than in its middle, and each must reach beyond the outline over all of its width.
 *
 * @param left what is trimmed off the first strip, mm
 */
export function shortStrips(
  panel: PanelDemand,
  strips: readonly Pick<LaidStrip, 'width' | 'placement' | 'label'>[],
  left: number,
): { label: string; lacking: number }[] {
  const { outline, finished } = panel;
  if (!outline) return [];
  let run = -left - finished.width / 2;
  return strips.flatMap(({ width, placement, label }) => {
    const [from, to] = [run, run + width];
    run = to;
    const half = finished.width / 2;
    const [low, high] = [Math.max(-half, from), Math.min(half, to)];
    if (high - low < 0.01) return [];
    // An outline without hollows is longest, over a width, where that comes nearest to its middle.
    const at = Math.max(low, Math.min(high, 0));
    const chord = chordAt(outline, at);
    const need = chord ? 2 * Math.max(Math.abs(chord.from), Math.abs(chord.to)) + 2 * FOR_THE_SAW : 0;
    const lacking = need - placement.length;
    return lacking > 0.01 ? [{ label, lacking }] : [];
  });
}

const lackingOf = (panel: PanelDemand, strips: readonly LaidStrip[], left: number) =>
  shortStrips(panel, strips, left).reduce((sum, { lacking }) => sum + lacking, 0);

/** How a laid panel is trimmed: joint lines off the fasteners, and a round outline within its strips before all. */
export function trimLaid(
  panel: PanelDemand,
  strips: readonly LaidStrip[],
  fasteners: readonly number[],
  margin: number,
): PanelTrim {
  const widths = strips.map((strip) => strip.width);
  return trimPanel(
    widths,
    panel.finished.width,
    fasteners,
    margin,
    panel.outline ? (left) => lackingOf(panel, strips, left) : undefined,
  );
}

/** How near a joint line comes to what is driven into the panel, with what it comes from. */
export function clearanceFigure(trim: PanelTrim, margin: number, fasteners: number): Figure | undefined {
  if (trim.clearance === null) return undefined;
  return {
    id: 'panel-clearance',
    label: 'Joint nearest a fastener or cut-out',
    quantity: { amount: trim.clearance, unit: 'mm-movement' },
    formula: 'least distance between a joint line and a fastener, across the panel',
    inputs: [
      { label: 'Joint lines', quantity: { amount: trim.joints.length, unit: 'count' } },
      { label: 'Fasteners', quantity: { amount: fasteners, unit: 'count' } },
      { label: 'Off the left edge', quantity: { amount: trim.left, unit: 'mm-movement' } },
      { label: 'Off the right edge', quantity: { amount: trim.right, unit: 'mm-movement' } },
      { label: 'Wanted at least', quantity: { amount: margin, unit: 'mm' } },
    ],
    source: 'geometry of the strips as laid and of the fasteners; the margin is yours',
  };
}
