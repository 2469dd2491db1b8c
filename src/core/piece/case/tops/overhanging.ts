import * as v from 'valibot';
import { length } from '../../../decision/fields';
import type { Joint } from '../../../joint/joint';
import { fixed, sliding } from '../../../restraint/tie';
import { squareFrame } from '../../../solid/frame';
import type { Unbuildable } from '../../unbuildable';
import { thicknessInside } from '../../worked-edge';
import type { TopKind } from '../kind';
import { SHELL } from '../shell';
import { SHAPE_FIELDS, type Shaped, shapeEntries, shapeOf } from './shaped-board';

const schema = v.object({
  kind: v.literal('overhanging'),
  thickness: length(9, 60),
  front: length(0, 150),
  ends: length(0, 150),
  /** Nought where it stands at a wall. */
  back: v.optional(length(0, 150), 0),
  ...shapeEntries,
  /** How far the screws at its back may travel in their slots, each way. */
  travel: length(0, 25),
});

/** Screws stand so far inside the carcass, go so far into the board, as a share of it, and leave so much over their points. mm; common practice. */
const SCREWED = 50;
const BITE = 0.6;
const OVER_POINTS = 4;

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
    {
      ask: 'figure',
      at: 'back',
      label: 'Overhang, back',
      hint: 'Nought at a wall; its back edge is then left square.',
    },
    ...(SHAPE_FIELDS as TopKind<typeof schema>['fields']),
    { ask: 'figure', at: 'travel', label: 'Slots at the back, travel each way' },
  ],
  start: () => ({
    ...{ kind: 'overhanging', thickness: 22, front: 20, ends: 20, back: 0, travel: 3 },
    ...{ edge: { kind: 'square' }, bulge: { front: 0, ends: 0, back: 0 } },
  }),
  thickness: ({ thickness }) => thickness,
  plan(own, { width, depth, across, under }) {
    const { thickness, front, ends, back, travel } = own;
    const id = 'cover';
    const name = 'Board over it';
    const bite = thickness * BITE;
    const long = width + 2 * ends;
    const [from, to] = [-depth / 2 - front, depth / 2 + back];
    const size = { length: long, width: to - from, thickness };
    const y = (from + to) / 2;
    const at = (end: 'front' | 'back') => ({
      x: 0,
      y: end === 'front' ? -depth / 2 + SCREWED : depth / 2 - SCREWED,
      z: under,
    });
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
          size,
          ...shapeOf(own, size, back > 0),
          frame: squareFrame([0, y, under + thickness / 2], { length: 'x', width: 'y', thickness: 'z' }),
        },
      ],
      joints: [joint('front'), joint('back')],
      problems: [...overScrews(own, bite), ...overCorners(own)],
      fittings: [
        {
          name: 'Screws for the board over it',
          count: 2 * (Math.ceil(long / SCREWS) + 1),
          size: [4, Math.floor(across + bite)],
        },
      ],
      cuts: [],
    };
  },
};

/** Curves that leave the corners of the carcass bare. */
function overCorners({
  bulge,
  front,
  ends,
  back,
}: Shaped & { front: number; ends: number; back: number }): Unbuildable[] {
  const covered = {
    front: Math.min(bulge.front, front),
    ends: Math.min(bulge.ends, ends),
    back: Math.min(bulge.back, back),
  };
  if (covered.front === bulge.front && covered.ends === bulge.ends && covered.back === bulge.back) return [];
  return [
    {
      problem: 'It curves by more than it overhangs: the corners of the case stand out from under it.',
      where: 'form.top.bulge',
      wayOut: 'Let it curve less, or overhang more.',
      mends: covered,
    },
  ];
}

/** A board so thin over its screws that their points come near its upper face, where its edge is bevelled from below. */
function overScrews(own: Shaped & { front: number; ends: number }, bite: number): Unbuildable[] {
  const { edge, bulge, front, ends, thickness } = own;
  if (edge.kind !== 'under-bevelled') return [];
  const inside = Math.max(0, SCREWED + Math.min(front - bulge.front, ends - bulge.ends));
  if (thicknessInside(thickness, edge, inside) - bite >= OVER_POINTS) return [];
  return [
    {
      problem: 'Bevelled so far in, the board over it is too thin for its screws.',
      where: 'form.top.edge.width',
      wayOut: 'Bevel it less far in.',
      mends: Math.max(5, Math.floor(inside)),
    },
  ];
}

const JOINT = { kind: 'screwed', removed: [], added: [] } as const;
