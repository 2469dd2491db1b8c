import { type Bounds, boundsOf, type Convex } from '../solid/convex';
import type { Vec } from '../solid/vector';

/** What is painted: its solids, and how near its middle comes to the one who looks. */
export interface Painted {
  solids: readonly Convex[];
  near: number;
}

/** Parts that touch may stand in one another by so much, mm. */
const TOUCH = 1;

/**
 * What is painted first: nothing hides what is painted after it. Of two that a plane square to an axis keeps apart, the one on
 * the far side of it is painted first; of two that none keeps apart, and where such orders go in a circle, the one whose middle
 * is farther.
 */
export function paintOrder<P extends Painted>(all: readonly P[], toward: Vec): P[] {
  const boxes = all.map(({ solids }) => boundsOf(solids));
  // Those that must be painted before each.
  const before = all.map((own, i) =>
    all.flatMap((other, j) => {
      if (i === j) return [];
      const order = nearer(boxes[i], boxes[j], toward);
      return order > 0 || (order === 0 && other.near < own.near && overlap(boxes[i], boxes[j])) ? [j] : [];
    }),
  );
  const left = new Set(all.map((_, i) => i));
  const painted: P[] = [];
  const farther = (a: number, b: number) => (all[a]?.near ?? 0) - (all[b]?.near ?? 0);
  while (left.size > 0) {
    const waiting = [...left].sort(farther);
    const next = waiting.find((i) => before[i]?.every((j) => !left.has(j))) ?? waiting[0];
    if (next === undefined) break;
    left.delete(next);
    const own = all[next];
    if (own) painted.push(own);
  }
  return painted;
}

/** 1 where the first is nearer by a plane between them, −1 where the second is, 0 where none or both ways hold. */
function nearer(a: Bounds | undefined, b: Bounds | undefined, toward: Vec): number {
  if (!a || !b) return 0;
  let [first, second] = [false, false];
  for (const axis of [0, 1, 2] as const) {
    const way = Math.sign(toward[axis]);
    if (way === 0) continue;
    const [beyond, short] = [a.from[axis] > b.to[axis] - TOUCH, b.from[axis] > a.to[axis] - TOUCH];
    if (way > 0 ? beyond : short) first = true;
    if (way > 0 ? short : beyond) second = true;
  }
  return first === second ? 0 : first ? 1 : -1;
}

const overlap = (a: Bounds | undefined, b: Bounds | undefined): boolean =>
  a !== undefined &&
  b !== undefined &&
  ([0, 1, 2] as const).every((axis) => a.from[axis] < b.to[axis] - TOUCH && b.from[axis] < a.to[axis] - TOUCH);
