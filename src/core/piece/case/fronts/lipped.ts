import * as v from 'valibot';
import { length } from '../../../decision/fields';
import type { Joint } from '../../../joint/joint';
import { fixed } from '../../../restraint/tie';
import { squareFrame } from '../../../solid/frame';
import type { Draft } from '../../part';
import type { FrontEdge, FrontKind } from '../kind';

const schema = v.object({
  kind: v.literal('lipped'),
  thickness: length(3, 40),
});

/** A strip of solid wood on every front edge, glued along it. */
export const lipped: FrontKind<typeof schema> = {
  name: 'Lipped',
  reason: 'A strip of solid wood glued on every edge: for boards of sheet, whose layers are not to be seen.',
  schema,
  fields: [{ ask: 'figure', at: 'thickness', label: 'Lippings, thick' }],
  start: () => ({ kind: 'lipped', thickness: 8 }),
  depth: ({ thickness }) => thickness,
  plan({ thickness }, { front, edges }) {
    const made = edges.map((edge) => lippingOf(edge, front, thickness));
    return {
      drafts: made.map(({ draft }) => draft),
      joints: made.map(({ joint }) => joint),
      problems: [],
      fittings: [],
    };
  },
};

function lippingOf(edge: FrontEdge, front: number, thickness: number): { draft: Draft; joint: Joint } {
  const id = `lipping-${edge.id}`;
  const [wide, high] = [edge.right - edge.left, edge.high - edge.low];
  const [x, z] = [(edge.left + edge.right) / 2, (edge.low + edge.high) / 2];
  const words = edge.name.charAt(0).toLowerCase() + edge.name.slice(1);
  const own = { id: `${edge.id}/${id}`, name: `Lipping of ${words}` };
  return {
    draft: {
      id,
      name: `Lipping of ${words}`,
      kind: 'lipping',
      grade: 'all-faces',
      size: { length: Math.max(wide, high), width: Math.min(wide, high), thickness },
      frame: squareFrame(
        [x, front + thickness / 2, z],
        high > wide ? { length: 'z', width: 'x', thickness: 'y' } : { length: 'x', width: 'z', thickness: 'y' },
      ),
    },
    joint: {
      ...{ ...own, kind: 'glued-edge', into: edge.id, from: id, removed: [], added: [] },
      ties: [fixed({ ...own, a: edge.id, b: id, at: { x, y: front + thickness, z } })],
    },
  };
}
