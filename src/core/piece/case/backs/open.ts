import * as v from 'valibot';
import type { BackKind } from '../kind';

const schema = v.object({ kind: v.literal('open') });

/** Nothing behind: what is in it is seen from both sides, and its shelves must keep it square. */
export const open: BackKind<typeof schema> = {
  name: 'Open',
  reason: 'Seen through; nothing keeps it square but its joints.',
  schema,
  fields: [],
  start: () => ({ kind: 'open' }),
  depth: () => 0,
  plan: () => ({ drafts: [], joints: [], problems: [], fittings: [] }),
};
