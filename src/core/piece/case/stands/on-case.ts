import * as v from 'valibot';
import { length, whole } from '../../../decision/fields';
import type { StandKind } from '../kind';
import { cornersOf } from './sides';

const schema = v.object({
  kind: v.literal('on-case'),
  /** Id of the piece of the job that it stands on; empty where none is chosen yet. */
  lower: v.pipe(v.string(), v.maxLength(60)),
  /** Its front behind that of the case below. */
  setBack: length(0, 800),
  /** Up through the top of the case below: those behind fast, those in front in slots. */
  screws: whole(2, 24),
  travel: length(0, 25),
});

/** On top of another case of the job: a dresser, a cabinet on a chest. */
export const onCase: StandKind<typeof schema> = {
  name: 'Another case',
  reason: 'Two cases, carried apart and set on one another: screwed from below, fast behind and in slots in front.',
  only: 'front',
  carries: true,
  schema,
  fields: [
    { ask: 'case-below', at: 'lower', label: 'The case below' },
    { ask: 'figure', at: 'setBack', label: 'Its front behind that below' },
    { ask: 'figure', at: 'screws', label: 'Screws' },
    { ask: 'figure', at: 'travel', label: 'Slots in front, travel each way' },
  ],
  start: () => ({ kind: 'on-case', lower: '', setBack: 0, screws: 4, travel: 5 }),
  plan({ screws }, { width, depth }) {
    return {
      ...{ drafts: [], joints: [], problems: [], lift: 0, sidesDown: false, stacked: true },
      feet: cornersOf(width, depth),
      fittings: [
        {
          name: 'Screws into the case above, with washers, longer than the top below is thick',
          count: screws,
          size: [5],
        },
      ],
    };
  },
};
