import { type Convex, clipAll, planeThrough } from '../solid/convex';
import type { Vec } from '../solid/vector';
import { blockOf, type Part } from './part';

/**
 * A leg whose faces run in to its foot, the two inside ones or all, in its own axes, its foot at the start; `inward` tells
 * where inside is along its width and its thickness, 0 where neither side is. mm
 */
export function taperedLeg(
  leg: { section: number; length: number },
  taper: NonNullable<Part['taper']>,
  inward: readonly [number, number],
): Convex {
  const block = blockOf(leg.length, leg.section, leg.section);
  const [half, floor] = [leg.section / 2, -leg.length / 2];
  const bend = floor + taper.from;
  // In the plane of length and the face's own axis: through the bend on the face and the foot's edge at the floor.
  const slope = (leg.section - taper.foot) / (taper.faces === 'all' ? 2 : 1) / taper.from;
  const plane = (axis: 1 | 2, side: number) => {
    const point: Vec = axis === 1 ? [bend, side * half, 0] : [bend, 0, side * half];
    return planeThrough(point, axis === 1 ? [-slope, side, 0] : [-slope, 0, side]);
  };
  const [across, through] = inward;
  const faces = ([1, 2] as const).flatMap((axis) => {
    const side = axis === 1 ? across : through;
    if (taper.faces === 'all') return [plane(axis, 1), plane(axis, -1)];
    return side === 0 ? [] : [plane(axis, side)];
  });
  return clipAll(block, faces);
}
