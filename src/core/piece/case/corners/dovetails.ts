import * as v from 'valibot';
import { length, whole } from '../../../decision/fields';
import { caseDovetails, layOutDovetails, usualTails } from '../../../joint/case-dovetails';
import type { Joint } from '../../../joint/joint';
import type { CornerKind, Shell } from '../kind';
import { acrossDraft, SHELL, sideDraft } from '../shell';
import { housedBottom } from './housed-bottom';

const schema = v.object({
  kind: v.literal('dovetails'),
  tails: whole(2, 60),
  /** A pin at its narrowest. */
  pin: length(3, 60),
  /** One out for so many along: 6 in soft wood, 8 in hard. */
  slope: whole(4, 12),
});

/** Through dovetails at all corners: the tails on the sides, so that neither top nor bottom can be pulled off them. */
export const dovetails: CornerKind<typeof schema> = {
  name: 'Through dovetails',
  reason: 'Seen at both sides; strong without glue in one direction, and all four boards move as one.',
  schema,
  fields: [
    { ask: 'figure', at: 'tails', label: 'Tails at a corner' },
    { ask: 'figure', at: 'pin', label: 'Pins, at their narrowest' },
    { ask: 'figure', at: 'slope', label: 'Slope, one in', hint: '6 in soft wood, 8 in hard wood.' },
  ],
  start: ({ depth, across }) => ({
    kind: 'dovetails',
    tails: usualTails(depth, across),
    pin: Math.max(6, Math.round(across / 2)),
    slope: 8,
  }),
  plan(own, shell) {
    const { width, depth, sides, across, foot, under, over } = shell;
    const layout = layOutDovetails({
      width: depth,
      thickness: across,
      tails: own.tails,
      pin: own.pin,
      slope: 1 / own.slope,
    });
    const onSides = foot < under;
    const inner = width / 2 - sides;
    const bottom = onSides
      ? housedBottom(shell)
      : { draft: acrossDraft(shell, 'bottom', 2 * inner, sides), joints: [] };
    const beyond = { start: onSides ? 0 : across, end: across };
    const from = onSides ? foot : under + across;
    const drafts = [
      sideDraft(shell, -1, from, over - across, beyond),
      sideDraft(shell, 1, from, over - across, beyond),
      acrossDraft(shell, 'top', 2 * inner, sides),
      bottom.draft,
    ];
    if (!layout) {
      return {
        drafts,
        joints: bottom.joints,
        problems: [
          {
            problem: 'The dovetails leave their tails no neck.',
            where: 'form.carcass.corner.tails',
            wayOut: `Lay out ${mostTails(own, shell)} tails at the most.`,
            mends: mostTails(own, shell),
          },
        ],
      };
    }
    const at = (side: -1 | 1, end: 'top' | 'bottom'): Joint => {
      const id = side < 0 ? SHELL.left : SHELL.right;
      return caseDovetails({
        id: `${id}/${SHELL[end]}`,
        name: `${end === 'top' ? 'Top' : 'Bottom'} on ${side < 0 ? 'left' : 'right'} side`,
        layout,
        tails: id,
        pins: SHELL[end],
        x: [side * inner, (side * width) / 2],
        y: [-depth / 2, depth / 2],
        z: end === 'top' ? [over - across, over] : [under + across, under],
      });
    };
    const ends = onSides ? (['top'] as const) : (['top', 'bottom'] as const);
    return {
      drafts,
      joints: [...ends.flatMap((end) => [at(-1, end), at(1, end)]), ...bottom.joints],
      problems: [],
    };
  },
};

/** As many tails as their necks allow. */
function mostTails({ pin, slope }: v.InferOutput<typeof schema>, { depth, across }: Shell): number {
  let tails = 2;
  while (layOutDovetails({ width: depth, thickness: across, tails: tails + 1, pin, slope: 1 / slope })) tails += 1;
  return tails;
}
