import * as v from 'valibot';
import type { CornerKind } from '../kind';
import { framesOf } from './frames';
import { broughtByFrames, FRAMES_FIELDS, framesEntries, startFrames } from './frames-decided';

const schema = v.object({ kind: v.literal('framed-sides'), ...framesEntries });

/** Frames of stiles and rails with floating panels at both sides, flush with their rails. */
export const framedSides: CornerKind<typeof schema> = {
  name: 'Frame-and-panel sides',
  reason: 'Sides that hardly move, light for their size; the panels float. The top is held with travel.',
  only: 'front',
  plainInFront: true,
  schema,
  fields: [
    { ask: 'figure', at: 'post', label: 'Stiles, front to back' },
    ...(FRAMES_FIELDS as CornerKind<typeof schema>['fields']),
  ],
  brings: (form) => broughtByFrames(form, startFrames(form, STILE)),
  start: (shell) => ({ kind: 'framed-sides', ...startFrames(shell, STILE) }),
  plan: (own, shell) => framesOf(own, shell.sides, 'Stile', shell),
};

/** mm; common practice. */
const STILE = 65;
