import * as v from 'valibot';
import type { FrontKind } from '../kind';

const schema = v.object({ kind: v.literal('plain') });

/** Edges as they are. */
export const plain: FrontKind<typeof schema> = {
  name: 'Plain edges',
  reason: 'The boards’ own edges are seen: for solid wood.',
  schema,
  fields: [],
  start: () => ({ kind: 'plain' }),
  depth: () => 0,
  plan: () => ({ drafts: [], joints: [], problems: [], fittings: [] }),
};
