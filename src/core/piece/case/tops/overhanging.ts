import * as v from 'valibot';
import { length } from '../../../decision/fields';
import type { Joint } from '../../../joint/joint';
import { fixed, sliding } from '../../../restraint/tie';
import { squareFrame } from '../../../solid/frame';
import type { TopKind } from '../kind';
import { SHELL } from '../shell';

const schema = v.object({
  kind: v.literal('overhanging'),
  thickness: length(9, 60),
  front: length(0, 150),
  ends: length(0, 150),
  /** How far the screws at its back may travel in their slots, each way. */
  travel: length(0, 25),
});

/** From one screw to the next along it, mm; common practice. */
const SCREWS = 250;

/** A board over the carcass that overhangs it: screwed up through the carcass's own top, fast in front and in slots behind. */
export const overhanging: TopKind<typeof schema> = {
  name: 'A board over it, overhanging',
  reason: 'Hides the joints of the carcass; its own grain and edge are seen. Screwed from below, so that it comes off.',
  only: 'front',
  schema,
  fields: [
    { ask: 'figure', at: 'thickness', label: 'Board over it, thick' },
    { ask: 'figure', at: 'front', label: 'Overhang, front' },
    { ask: 'figure', at: 'ends', label: 'Overhang, ends' },
    { ask: 'figure', at: 'travel', label: 'Slots at the back, travel each way' },
  ],
  start: () => ({ kind: 'overhanging', thickness: 22, front: 20, ends: 20, travel: 3 }),
  thickness: ({ thickness }) => thickness,
  plan({ thickness, front, ends, travel }, { width, depth, under }) {
    const id = 'cover';
    const name = 'Board over it';
    const long = width + 2 * ends;
    const [from, to] = [-depth / 2 - front, depth / 2];
    const y = (from + to) / 2;
    const at = (end: 'front' | 'back') => ({ x: 0, y: end === 'front' ? -depth / 2 + 50 : depth / 2 - 50, z: under });
    const joint = (end: 'front' | 'back'): Joint => {
      const between = {
        ...{ id: `${SHELL.top}/${id}-${end}`, name: `${name}, screws at the ${end}`, a: SHELL.top, b: id },
        at: at(end),
      };
      const tie =
        end === 'front'
          ? fixed(between)
          : { ...sliding(between, { y: travel }), sets: { path: 'form.top.travel', ways: 'both' as const } };
      return { ...JOINT, id: between.id, name: between.name, into: SHELL.top, from: id, ties: [tie] };
    };
    return {
      drafts: [
        {
          id,
          name,
          kind: 'case-top',
          grade: 'all-faces',
          size: { length: long, width: to - from, thickness },
          frame: squareFrame([0, y, under + thickness / 2], { length: 'x', width: 'y', thickness: 'z' }),
        },
      ],
      joints: [joint('front'), joint('back')],
      problems: [],
      fittings: [{ name: 'Screws for the board over it', count: 2 * (Math.ceil(long / SCREWS) + 1), size: [4, 30] }],
      cuts: [],
    };
  },
};

const JOINT = { kind: 'screwed', removed: [], added: [] } as const;
