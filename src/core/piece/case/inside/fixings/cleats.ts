import * as v from 'valibot';
import { length } from '../../../../decision/fields';
import { housing } from '../../../../joint/housing';
import type { Joint } from '../../../../joint/joint';
import { fixed, sliding } from '../../../../restraint/tie';
import { squareFrame } from '../../../../solid/frame';
import type { Draft } from '../../../part';
import type { FixingKind } from './fixing';
import { letIn } from './housed';

const schema = v.object({
  kind: v.literal('cleats'),
  section: length(10, 50),
  /** How far the screw at its back may travel in its slot, each way. */
  travel: length(0, 25),
});

/** Behind the front edge of the shelf, from its ends to the screws, mm. */
const SHORTER = 15;
const SCREW = 30;
/** Uprights are housed all the same, mm behind the front, and boards with no room for two screws: rails. */
const STOP = 12;
const LEAST = 2 * (SHORTER + SCREW) + 20;

/** Strips screwed to the sides, the shelf lying on them: a strip keeps its length while the side moves across it. */
export const cleats: FixingKind<typeof schema> = {
  name: 'On cleats',
  reason: 'Strips under both ends, fast in front and in slots behind: quick, seen from below, and no side is weakened.',
  schema,
  fields: [
    { ask: 'figure', at: 'section', label: 'Cleats, square' },
    { ask: 'figure', at: 'travel', label: 'Slots at the back, travel each way' },
  ],
  start: () => ({ kind: 'cleats', section: 18, travel: 4 }),
  depth: (wall, level, breadth) => (level && breadth >= LEAST ? 0 : letIn(wall)),
  hold({ section, travel }, end) {
    const { id, name, into, from, at, along, y, thickness, level } = end;
    if (!level || y[1] - y[0] < LEAST) return { joints: [housing({ ...end, stop: STOP })], drafts: [], fittings: [] };
    const cleat = `cleat-${id.replaceAll('/', '-').replace('+', '-right')}`;
    const words = `Cleat of ${name.charAt(0).toLowerCase()}${name.slice(1)}`;
    const [front, back] = [y[0] + SHORTER, y[1] - SHORTER];
    const z = at[2] - thickness / 2 - section / 2;
    const x = at[0] - (along[0] * section) / 2;
    const draft: Draft = {
      id: cleat,
      name: words,
      kind: 'cleat',
      grade: 'one-face',
      size: { length: back - front, width: section, thickness: section },
      frame: squareFrame([x, (front + back) / 2, z], { length: 'y', width: 'z', thickness: 'x' }),
    };
    const screw = (place: 'front' | 'back') => ({
      ...{ id: `${into}/${cleat}-${place}`, name: `${words}, ${place}`, a: into, b: cleat },
      at: { x: at[0], y: place === 'front' ? front + SCREW : back - SCREW, z },
    });
    const onSide: Joint = {
      ...{ id: `${into}/${cleat}`, kind: 'screwed', name: words, into, from: cleat, removed: [], added: [] },
      ties: [
        fixed(screw('front')),
        { ...sliding(screw('back'), { y: travel }), sets: { path: 'form.inside.fixing.travel', ways: 'both' } },
      ],
    };
    const under = { id: `${cleat}/${from}`, name: `${words}, under it` };
    const onCleat: Joint = {
      ...{ ...under, kind: 'screwed', into: from, from: cleat, removed: [], added: [] },
      ties: [fixed({ ...under, a: cleat, b: from, at: { x, y: front + SCREW, z: z + section / 2 } })],
    };
    return {
      joints: [onSide, onCleat],
      drafts: [draft],
      fittings: [{ name: 'Screws for the cleats', count: 3, size: [4, 30] }],
    };
  },
};
