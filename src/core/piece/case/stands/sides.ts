import * as v from 'valibot';
import { length } from '../../../decision/fields';
import type { StandKind } from '../kind';

const schema = v.object({
  kind: v.literal('sides'),
  /** Floor to the underside of the bottom. */
  lift: length(0, 400),
});

/** On its own sides, which run down to the floor. */
export const sides: StandKind<typeof schema> = {
  name: 'Its own sides',
  reason: 'The bottom is housed between them; nothing else is to be made.',
  schema,
  fields: [{ ask: 'figure', at: 'lift', label: 'Floor to the bottom' }],
  start: () => ({ kind: 'sides', lift: 80 }),
  plan({ lift }, { width, depth }) {
    return {
      drafts: [],
      joints: [],
      problems: [],
      lift,
      sidesDown: true,
      feet: cornersOf(width, depth),
      fittings: [],
    };
  },
};

/** What slots at the back begin with, mm each way: flat-sawn hardwood so deep moves as much through most years; common practice. */
export const travelFor = (depth: number): number => Math.min(25, Math.ceil(depth / 38));

/** Of a rectangle about the middle, anticlockwise from the front left. */
export const cornersOf = (width: number, depth: number) =>
  [
    [-1, -1],
    [1, -1],
    [1, 1],
    [-1, 1],
  ].map(([x = 0, y = 0]) => [(x * width) / 2, (y * depth) / 2] as const);
