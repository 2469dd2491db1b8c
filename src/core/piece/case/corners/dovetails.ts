import * as v from 'valibot';
import { length, whole } from '../../../decision/fields';
import { layOutDovetails, usualTails } from '../../../joint/case-dovetails';
import type { CornerKind, Shell } from '../kind';
import { dovetailed, unjoined } from './dovetailed';

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
    const layout = layoutOf(own, shell, shell.across);
    return layout
      ? dovetailed(shell, layout, 'case-dovetails', 0)
      : unjoined(shell, { most: mostTails(own, shell, shell.across), where: 'form.carcass.corner.tails' });
  },
};

export interface Tails {
  tails: number;
  pin: number;
  slope: number;
}

export const layoutOf = ({ tails, pin, slope }: Tails, { depth }: Shell, thickness: number) =>
  layOutDovetails({ width: depth, thickness, tails, pin, slope: 1 / slope });

/** As many tails as their necks allow. */
export function mostTails(own: Tails, shell: Shell, thickness: number): number {
  let tails = 2;
  while (layoutOf({ ...own, tails: tails + 1 }, shell, thickness)) tails += 1;
  return tails;
}
