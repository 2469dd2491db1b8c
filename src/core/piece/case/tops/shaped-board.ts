import * as v from 'valibot';
import { length } from '../../../decision/fields';
import type { FormField } from '../../../decision/form-field';
import { type Edge, EdgeSchema } from '../../../decision/top-shapes';
import { boundsOfFlat, type Outline, polygonOf } from '../../../solid/outline';
import { EDGE_FIELDS } from '../../edge-fields';
import type { Draft } from '../../part';
import { solidWithEdge } from '../../worked-edge';

/** How the edges of a board over a case are worked, and by how much they bulge. mm */
export const shapeEntries = {
  edge: v.optional(EdgeSchema, { kind: 'square' }),
  /** Sagittae: how far the middle of each stands beyond its ends. */
  bulge: v.optional(v.object({ front: length(0, 200), ends: length(0, 200), back: length(0, 200) }), {
    front: 0,
    ends: 0,
    back: 0,
  }),
};

export interface Shaped {
  thickness: number;
  edge: Edge;
  bulge: { front: number; ends: number; back: number };
}

/** What is asked of it; of its back only where it overhangs there. */
export const SHAPE_FIELDS: readonly FormField<Shaped & { back: number }>[] = [
  ...(EDGE_FIELDS as readonly FormField<Shaped & { back: number }>[]),
  {
    ask: 'figure',
    at: 'bulge.front',
    label: 'Front bulges by',
    hint: 'The sagitta: how far the middle of the curve stands beyond its ends.',
  },
  { ask: 'figure', at: 'bulge.ends', label: 'Ends bulge by' },
  { ask: 'figure', at: 'bulge.back', label: 'Back bulges by', when: ({ back }) => back > 0 },
];

/** Of a board so long and so wide over its curves, seen from above, its front edge below. mm */
function outlineOf({ bulge }: Shaped, long: number, wide: number): Outline {
  const x = long / 2 - Math.min(bulge.ends, long / 2 - 1);
  const front = -wide / 2 + Math.min(bulge.front, wide / 2 - 1);
  const back = wide / 2 - Math.min(bulge.back, wide / 2 - 1);
  return [
    { at: [-x, front], sagitta: bulge.front },
    { at: [x, front], sagitta: bulge.ends },
    { at: [x, back], sagitta: bulge.back },
    { at: [-x, back], sagitta: bulge.ends },
  ];
}

/**
 * The shape of a board over a case in its own axes.
 *
 * @param free whether its back edge is seen; it is left square where it is not
 */
export function shapeOf(
  own: Shaped,
  size: { length: number; width: number },
  free: boolean,
): Pick<Draft, 'profile' | 'body'> {
  const curved = own.bulge.front + own.bulge.ends + own.bulge.back > 0;
  const outline = outlineOf(own, size.length, size.width);
  const { high } = boundsOfFlat(polygonOf(outline));
  const behind = (a: readonly [number, number], b: readonly [number, number]) =>
    !free && Math.abs(a[1] - high) < 1e-6 && Math.abs(b[1] - high) < 1e-6;
  return {
    ...(curved ? { profile: outline } : {}),
    ...(own.edge.kind === 'square' ? {} : { body: [solidWithEdge(outline, own.thickness, own.edge, behind)] }),
  };
}
