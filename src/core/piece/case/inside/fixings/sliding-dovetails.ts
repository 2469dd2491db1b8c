import * as v from 'valibot';
import { length, whole } from '../../../../decision/fields';
import { slidingDovetail } from '../../../../joint/sliding-dovetail';
import type { FixingKind } from './fixing';
import { letIn } from './housed';

const schema = v.object({
  kind: v.literal('sliding-dovetails'),
  stop: length(0, 40),
  /** One out for so many along. */
  slope: whole(4, 12),
});

/** A tail along the end of the board, slid in from behind: it holds the sides together even without glue. */
export const slidingDovetails: FixingKind<typeof schema> = {
  name: 'Sliding dovetails',
  reason: 'Slid in from behind, they hold the sides from spreading by their shape; glued at the front alone.',
  schema,
  fields: [
    { ask: 'figure', at: 'stop', label: 'Stopped behind the front' },
    { ask: 'figure', at: 'slope', label: 'Slope, one in' },
  ],
  start: () => ({ kind: 'sliding-dovetails', stop: 12, slope: 6 }),
  depth: letIn,
  hold: ({ stop, slope }, end) => ({
    joints: [slidingDovetail({ ...end, stop }, 1 / slope)],
    drafts: [],
    fittings: [],
  }),
};
