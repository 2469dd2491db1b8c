import * as v from 'valibot';
import { optionsOf } from '../../../../decision/form-field';
import { BUTT_KEYS, caseButt } from '../../../../joint/case-butt';
import type { FixingKind } from './fixing';

const schema = v.object({
  kind: v.literal('butted'),
  key: v.picklist(['dowels', 'loose-tenons']),
});

/** Both faces of an upright may be keyed at one place: what is left between them is a fifth of it and more. */
const SHARE = 0.4;

/** Its end against the face, held by dowels or loose tenons. */
export const butted: FixingKind<typeof schema> = {
  name: 'Butted: dowels or loose tenons',
  reason: 'Boards cut to the clear length, nothing of what holds them is seen; it carries less than a housing.',
  schema,
  fields: [
    {
      ask: 'choice',
      at: 'key',
      label: 'Held by',
      options: optionsOf({ dowels: BUTT_KEYS.dowels, 'loose-tenons': BUTT_KEYS['loose-tenons'] }),
    },
  ],
  start: () => ({ kind: 'butted', key: 'loose-tenons' }),
  depth: () => 0,
  hold: ({ key }, end) => ({ joints: [caseButt({ ...end, key, share: SHARE })], drafts: [], fittings: [] }),
};
