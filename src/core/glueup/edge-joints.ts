import type { AlignerSize } from '../joint/edge-joint';
import { chordAt, type Flat } from '../solid/outline';

/** One joint between two boards of the panel, and where something is let into it. mm from the middle of the finished top. */
export interface EdgeJoint {
  /** Labels of the two boards. */
  between: readonly [string, string];
  /** From the middle toward the back. */
  y: number;
  /** Middles along the joint, from the left. */
  places: readonly number[];
}

/** From one to the next at most, and from the outline to the nearest edge of one; common practice, mm. */
const APART = 300;
const INSIDE = 40;
/** Between one and a fastener, a cut-out or a groove, mm. */
const BESIDE = 20;

export interface EdgeGiven {
  /** Of the boards, from the front to the back, with the lines between them. */
  labels: readonly string[];
  lines: readonly number[];
  polygon: readonly Flat[];
  /** Half of the panel's length, where it is shorter than the top. */
  half: number;
  size: AlignerSize;
  /** What must not be met: rectangles seen from above. */
  taken: readonly { left: number; right: number; low: number; high: number }[];
}

/**
 * Where aligners stand: even along each joint, inside the outline that will be cut, and beside everything that is cut or
 * driven into the panel later.
 */
export function edgeJoints({ labels, lines, polygon, half, size, taken }: EdgeGiven): EdgeJoint[] {
  const reach = size.along / 2;
  return lines.map((y, i): EdgeJoint => {
    const between = [labels[i] ?? '', labels[i + 1] ?? ''] as const;
    // The outline is as narrow as at the deeper side of the slots.
    const chords = [y - size.deep, y + size.deep].map((at) => chordAt(polygon, at));
    const from = Math.max(-half, ...chords.map((c) => c?.from ?? Number.POSITIVE_INFINITY)) + INSIDE + reach;
    const to = Math.min(half, ...chords.map((c) => c?.to ?? Number.NEGATIVE_INFINITY)) - INSIDE - reach;
    if (to < from) return { between, y, places: [] };
    const near = taken.filter(({ low, high }) => low - size.deep < y && high + size.deep > y);
    const clear = (x: number) =>
      near.every(({ left, right }) => x + reach + BESIDE <= left + 1e-9 || x - reach - BESIDE >= right - 1e-9);
    const count = Math.max(2, Math.ceil((to - from) / APART) + 1);
    const even = Array.from({ length: count }, (_, k) => from + ((to - from) * k) / (count - 1));
    const ways = near.flatMap(({ left, right }) => [left - reach - BESIDE, right + reach + BESIDE]);
    const places = even.flatMap((x) => {
      if (clear(x)) return [x];
      const other = ways.filter((way) => way >= from && way <= to && clear(way));
      const best = other.reduce<number | null>(
        (a, b) => (a === null || Math.abs(b - x) < Math.abs(a - x) ? b : a),
        null,
      );
      return best !== null && Math.abs(best - x) < APART / 2 ? [best] : [];
    });
    return { between, y, places: apart(places, 2 * reach + BESIDE) };
  });
}

/** Of two that came too near to each other the second is left out. */
function apart(places: readonly number[], least: number): number[] {
  const kept: number[] = [];
  for (const x of [...places].sort((a, b) => a - b)) {
    if (x - (kept.at(-1) ?? Number.NEGATIVE_INFINITY) >= least) kept.push(x);
  }
  return kept;
}
