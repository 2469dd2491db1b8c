import * as v from 'valibot';
import { length } from '../../../decision/fields';
import type { CornerKind } from '../kind';
import { framesOf } from './frames';
import { broughtByFrames, FRAMES_FIELDS, framesEntries, startFrames } from './frames-decided';

const schema = v.object({
  kind: v.literal('post-and-rail'),
  ...framesEntries,
  /** Of the rails in the sides; the posts are as thick as the sides. */
  thickness: length(12, 60),
});

/** Square posts from the floor to the top with thinner rails between them, flush inside, panels in the rails. */
export const postAndRail: CornerKind<typeof schema> = {
  name: 'Post and rail',
  reason: 'Posts over the whole height, rails tenoned into them: the strongest case, and the slowest to make.',
  only: 'front',
  plainInFront: true,
  schema,
  fields: [
    { ask: 'figure', at: 'post', label: 'Posts, front to back' },
    { ask: 'figure', at: 'thickness', label: 'Rails of the sides, thick' },
    ...(FRAMES_FIELDS as CornerKind<typeof schema>['fields']),
  ],
  brings: (form) => [...broughtByFrames(form, startFrames(form, POST)), { path: 'form.carcass.sides', value: POST }],
  start: (shell) => ({ kind: 'post-and-rail', ...startFrames(shell, POST), thickness: 22 }),
  plan: (own, shell) => framesOf(own, own.thickness, 'Post', shell),
};

/** Square, mm; common practice. */
const POST = 45;
