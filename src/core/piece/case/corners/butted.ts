import * as v from 'valibot';
import { BUTT_KEYS, type ButtKey, buttFittings, caseButt } from '../../../joint/case-butt';
import type { CornerKind } from '../kind';
import { acrossDraft, SHELL, sideDraft } from '../shell';
import { housedBottom } from './housed-bottom';

const schema = v.object({
  kind: v.literal('butted'),
  key: v.picklist(Object.keys(BUTT_KEYS) as [ButtKey, ...ButtKey[]]),
});

/** Top and bottom between the sides, their ends against the faces, held by dowels, loose tenons or screws. */
export const butted: CornerKind<typeof schema> = {
  name: 'Butted: dowels, loose tenons or screws',
  reason: 'Boards cut square and no more; what holds them is hidden, or plugged.',
  schema,
  fields: [
    {
      ask: 'choice',
      at: 'key',
      label: 'Held by',
      options: Object.entries(BUTT_KEYS).map(([value, { name, reason }]) => ({ value, label: name, reason })),
    },
  ],
  start: () => ({ kind: 'butted', key: 'loose-tenons' }),
  plan({ key }, shell) {
    const { width, depth, sides, across, foot, under, over } = shell;
    const onSides = foot < under;
    const inner = width / 2 - sides;
    const bottom = onSides ? housedBottom(shell) : { draft: acrossDraft(shell, 'bottom', 2 * inner), joints: [] };
    const at = (side: -1 | 1, end: 'top' | 'bottom') =>
      caseButt({
        id: `${side < 0 ? SHELL.left : SHELL.right}/${SHELL[end]}`,
        name: `${end === 'top' ? 'Top' : 'Bottom'} on ${side < 0 ? 'left' : 'right'} side`,
        into: side < 0 ? SHELL.left : SHELL.right,
        from: SHELL[end],
        key,
        at: [side * inner, 0, end === 'top' ? over - across / 2 : under + across / 2],
        along: [side, 0, 0],
        y: [-depth / 2, depth / 2],
        thickness: across,
        wall: sides,
      });
    const ends = onSides ? (['top'] as const) : (['top', 'bottom'] as const);
    return {
      drafts: [
        sideDraft(shell, -1, foot, over),
        sideDraft(shell, 1, foot, over),
        acrossDraft(shell, 'top', 2 * inner),
        bottom.draft,
      ],
      joints: [...ends.flatMap((end) => [at(-1, end), at(1, end)]), ...bottom.joints],
      problems: [],
      fittings: buttFittings(key, depth, 2 * ends.length),
    };
  },
};
