import * as v from 'valibot';
import { length } from '../../../decision/fields';
import type { Joint } from '../../../joint/joint';
import { fixed } from '../../../restraint/tie';
import { squareFrame } from '../../../solid/frame';
import type { Flat } from '../../../solid/outline';
import type { Draft } from '../../part';
import type { StandKind } from '../kind';

const schema = v.object({
  kind: v.literal('levellers'),
  /** Floor to the bottom, in the middle of their thread. */
  height: length(8, 120),
  /** Up and down from there, by their seller. */
  adjust: length(0, 40),
  setBack: length(0, 150),
});

/** A foot's plate, what it weighs, and no farther than this from one to the next along the front; mm, kg; common practice. */
const PLATE = 40;
const WEIGHS = 0.08;
const APART = 900;

/** Bought feet on threads: the case is levelled by them, and kept off a wet floor. */
export const levellers: StandKind<typeof schema> = {
  name: 'Levelling feet',
  reason: 'Bought, on threads: it is levelled where it stands, and its bottom moves over them as it likes.',
  schema,
  fields: [
    { ask: 'figure', at: 'height', label: 'Feet, high' },
    {
      ask: 'figure',
      at: 'adjust',
      label: 'Up and down by',
      hint: 'What their seller says; a floor slopes by a few millimetres.',
    },
    { ask: 'figure', at: 'setBack', label: 'Set back' },
  ],
  start: () => ({ kind: 'levellers', height: 25, adjust: 8, setBack: 20 }),
  plan({ height, setBack }, { width, depth, seats }) {
    const [half, deep] = [width / 2 - setBack - PLATE / 2, depth / 2 - setBack - PLATE / 2];
    const across = Math.max(2, Math.ceil((2 * half) / APART) + 1);
    const places = ([-1, 1] as const).flatMap((side) =>
      Array.from({ length: across }, (_, i): Flat => [-half + (2 * half * i) / (across - 1), side * deep]),
    );
    const drafts = places.map(
      ([x, y], i): Draft => ({
        ...{ id: `foot-${i + 1}`, name: `Levelling foot ${i + 1}`, kind: 'foot', grade: 'hidden' },
        ...{ material: 'steel', weighs: WEIGHS },
        size: { length: height, width: PLATE, thickness: PLATE },
        frame: squareFrame([x, y, height / 2], { length: 'z', width: 'y', thickness: 'x' }),
      }),
    );
    const joints = places.map(([x, y], i): Joint => {
      const id = `foot-${i + 1}`;
      const into = y < 0 ? seats.front : seats.back;
      const own = { id: `${into}/${id}`, name: `Levelling foot ${i + 1}, under the case` };
      return {
        ...{ ...own, kind: 'screwed', into, from: id, removed: [], added: [] },
        ties: [fixed({ ...own, a: id, b: into, at: { x, y, z: height } })],
      };
    });
    return {
      ...{ drafts, joints, lift: height, sidesDown: false },
      problems: [],
      feet: [
        [-half - PLATE / 2, -deep - PLATE / 2],
        [half + PLATE / 2, -deep - PLATE / 2],
        [half + PLATE / 2, deep + PLATE / 2],
        [-half - PLATE / 2, deep + PLATE / 2],
      ],
      fittings: [
        { name: 'Levelling feet', count: places.length, size: [height] },
        { name: 'Screws for the feet', count: 4 * places.length, size: [4, 16] },
      ],
    };
  },
};
