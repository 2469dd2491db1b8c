import * as v from 'valibot';
import type { TopKind } from '../kind';

const schema = v.object({ kind: v.literal('none') });

/** Nothing over the carcass: its own top is what is seen, or a chest stays open. */
export const none: TopKind<typeof schema> = {
  name: 'Nothing more',
  reason: 'The carcass as it is: joined at its corners, all of its faces seen.',
  schema,
  fields: [],
  start: () => ({ kind: 'none' }),
  thickness: () => 0,
  plan: () => ({ drafts: [], joints: [], problems: [], fittings: [], cuts: [] }),
};
