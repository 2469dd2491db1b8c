import { EDGE_PER_CHAIR } from '../decision/room-for-people';
import { type Flat, polygonOf } from '../solid/outline';
import type { Part } from './part';
import type { BasePlan } from './plans';

/** How much of his edge a sitter's knees take, mm; common practice. */
const KNEES = 400;

/**
 * Free under what stands along a sitter's side, mm from the floor: of a hollowed apron its lower edge is higher in the middle
 * than beside the legs, so that the knees of whoever sits nearest to a leg decide. Places stand evenly along the side.
 */
export function kneeRoom(knees: BasePlan['knees'], parts: readonly Part[], length: number): BasePlan['knees'] {
  const hollowed = parts.filter(
    ({ id, profile, frame }) => profile && knees.parts.includes(id) && Math.abs(frame.length[0]) > 0.99,
  );
  if (hollowed.length === 0) return knees;
  const seats = Math.max(1, Math.floor(length / EDGE_PER_CHAIR));
  const middles = Array.from({ length: seats }, (_, i) => (length * (i + 0.5)) / seats - length / 2);
  const height = Math.min(
    ...hollowed.flatMap((part) => middles.map((x) => lowest(part, x - KNEES / 2, x + KNEES / 2))),
  );
  return { ...knees, height, words: seats > 1 ? 'the apron beside the legs' : 'the apron' };
}

/** How low the edge of a level part comes between two places along the table, mm from the floor. */
function lowest({ frame, profile = [], size }: Part, from: number, to: number): number {
  const way = Math.sign(frame.length[0]);
  const up = Math.sign(frame.width[2]);
  const edge = polygonOf(profile).map(([l, w]): Flat => [frame.at[0] + way * l, frame.at[2] + up * w]);
  let least = Number.POSITIVE_INFINITY;
  edge.forEach(([x0, z0], i) => {
    const [x1, z1] = edge[(i + 1) % edge.length] as Flat;
    const [a, b] = [Math.max(from, Math.min(x0, x1)), Math.min(to, Math.max(x0, x1))];
    if (a > b) return;
    for (const x of [a, b])
      least = Math.min(least, x1 === x0 ? Math.min(z0, z1) : z0 + ((z1 - z0) * (x - x0)) / (x1 - x0));
  });
  // Beyond its ends nothing of it hangs down.
  return Number.isFinite(least) ? least : frame.at[2] + size.width / 2;
}
