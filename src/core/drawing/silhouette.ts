import type { Convex } from '../solid/convex';
import { type Frame, inPart } from '../solid/frame';
import { type Flat, hullOf } from '../solid/outline';
import type { Vec } from '../solid/vector';

/** Two places along a part are one level, mm. */
const LEVEL = 1e-3;

/**
 * The outline on paper of a part that is a row of solids along its length: at every level between two of them the corners
 * farthest to either side. Seen along its length, the hull of all.
 */
export function silhouette(solids: readonly Convex[], frame: Frame, paper: (p: Vec) => Flat): Flat[] {
  if (solids.length < 2) return hullOf(solids.flatMap((solid) => solid.corners).map(paper));
  const points = solids.flatMap((solid) => solid.corners).map((p) => ({ along: inPart(frame, p)[0], on: paper(p) }));
  const [start, end] = [paper(frame.at), paper(plusLength(frame))];
  const [ux, uy] = [end[0] - start[0], end[1] - start[1]];
  if (Math.hypot(ux, uy) < 0.2) return hullOf(points.map(({ on }) => on));
  points.sort((a, b) => a.along - b.along);
  const left: Flat[] = [];
  const right: Flat[] = [];
  let i = 0;
  while (i < points.length) {
    const level = (points[i] as (typeof points)[number]).along;
    let [least, most] = [Number.POSITIVE_INFINITY, Number.NEGATIVE_INFINITY];
    let [a, b]: [Flat, Flat] = [start, start];
    for (; i < points.length && (points[i] as (typeof points)[number]).along < level + LEVEL; i += 1) {
      const { on } = points[i] as (typeof points)[number];
      const aside = ux * on[1] - uy * on[0];
      if (aside < least) [least, a] = [aside, on];
      if (aside > most) [most, b] = [aside, on];
    }
    left.push(a);
    right.push(b);
  }
  return [...left, ...right.reverse()];
}

const plusLength = ({ at, length }: Frame): Vec => [at[0] + length[0], at[1] + length[1], at[2] + length[2]];
