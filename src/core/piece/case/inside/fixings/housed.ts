import * as v from 'valibot';
import { length } from '../../../../decision/fields';
import { HOUSING_STOP, housing, housingDepth } from '../../../../joint/housing';
import type { FixingKind } from './fixing';

const schema = v.object({
  kind: v.literal('housed'),
  /** Behind the front edge; nought where it runs through. */
  stop: length(0, 40),
});

/** Both faces of an upright may be housed at one place: what is left between them is a third of it. */
export const letIn = (wall: number): number => Math.min(housingDepth(wall), Math.floor(wall / 3));

/** Let into a housing over its whole depth, glued. */
export const housed: FixingKind<typeof schema> = {
  name: 'Housed',
  reason:
    'Carried over its whole depth, and keeps the case square; stopped behind the front edge, nothing of it is seen.',
  schema,
  fields: [{ ask: 'figure', at: 'stop', label: 'Stopped behind the front' }],
  start: () => ({ kind: 'housed', stop: HOUSING_STOP }),
  depth: letIn,
  hold: ({ stop }, end) => ({ joints: [housing({ ...end, stop })], drafts: [], fittings: [] }),
};
