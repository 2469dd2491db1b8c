import * as v from 'valibot';
import { length } from '../../../decision/fields';
import type { Joint } from '../../../joint/joint';
import { fixed } from '../../../restraint/tie';
import type { Convex } from '../../../solid/convex';
import { squareFrame } from '../../../solid/frame';
import type { Draft } from '../../part';
import type { StandKind, StandPlan, StoodOn } from '../kind';
import { cornersOf } from './sides';

const schema = v.object({
  kind: v.literal('feet'),
  height: length(10, 250),
  section: length(25, 150),
  /** From the outside of the case to the outside of a foot. */
  setBack: length(0, 150),
});

const NAMES = ['front left', 'front right', 'back right', 'back left'] as const;

/** Four square feet, each under a corner by itself: the case moves between them as it likes. */
export const feet: StandKind<typeof schema> = {
  name: 'Four feet',
  reason: 'Blocks under the corners, each held by itself; air under the case, and a floor that is swept.',
  schema,
  fields: [
    { ask: 'figure', at: 'height', label: 'Feet, high' },
    { ask: 'figure', at: 'section', label: 'Feet, square' },
    { ask: 'figure', at: 'setBack', label: 'Set back' },
  ],
  start: () => ({ kind: 'feet', height: 60, section: 60, setBack: 10 }),
  plan: (own, outside) => fourFeet(own, outside),
};

/**
 * A foot under each corner, screwed on by itself.
 *
 * @param turned its body in its own axes, and how thick it is at the floor, where it is no square block; mm
 */
export function fourFeet(
  { height, section, setBack }: { height: number; section: number; setBack: number },
  { width, depth, seats }: StoodOn,
  turned?: { body: readonly Convex[]; foot: number },
): StandPlan {
  const [wide, deep] = [width - 2 * setBack, depth - 2 * setBack];
  const places = cornersOf(wide - section, deep - section);
  const drafts = places.map(
    ([x, y], i): Draft => ({
      ...{ id: `foot-${i + 1}`, name: `Foot, ${NAMES[i] ?? ''}`, kind: 'foot', grade: 'all-faces' },
      size: { length: height, width: section, thickness: section },
      frame: squareFrame([x, y, height / 2], { length: 'z', width: 'y', thickness: 'x' }),
      ...(turned ? { body: turned.body } : {}),
    }),
  );
  const joints = places.map(([x, y], i): Joint => {
    const id = `foot-${i + 1}`;
    const b = y < 0 ? seats.front : seats.back;
    const own = { id: `${b}/${id}`, name: `Foot, ${NAMES[i] ?? ''}, under the case` };
    return {
      ...{ ...own, kind: 'screwed', into: b, from: id, removed: [], added: [] },
      ties: [fixed({ ...own, a: id, b, at: { x, y, z: height } })],
    };
  });
  const on = turned?.foot ?? section;
  return {
    ...{ drafts, joints, problems: [], lift: height, sidesDown: false },
    feet: cornersOf(wide - section + on, deep - section + on),
    fittings: [{ name: 'Screws for the feet', count: 8, size: [5, 50] }],
  };
}
