import * as v from 'valibot';
import { length, whole } from '../../../decision/fields';
import { usualTails } from '../../../joint/case-dovetails';
import type { CornerKind } from '../kind';
import { dovetailed, unjoined } from './dovetailed';
import { layoutOf, mostTails } from './dovetails';

const schema = v.object({
  kind: v.literal('half-blind'),
  tails: whole(2, 60),
  /** A pin at its narrowest. */
  pin: length(3, 60),
  /** One out for so many along: 6 in soft wood, 8 in hard. */
  slope: whole(4, 12),
  /** What of top and bottom covers the ends of the tails. */
  lap: length(2, 20),
});

/** Dovetails whose ends are covered by top and bottom: seen at the sides alone. */
export const halfBlind: CornerKind<typeof schema> = {
  name: 'Half-blind dovetails',
  reason: 'As strong as through ones; top and bottom show no joint. Slower, and pins are chopped against a lap.',
  schema,
  fields: [
    { ask: 'figure', at: 'tails', label: 'Tails at a corner' },
    { ask: 'figure', at: 'pin', label: 'Pins, at their narrowest' },
    { ask: 'figure', at: 'slope', label: 'Slope, one in', hint: '6 in soft wood, 8 in hard wood.' },
    { ask: 'figure', at: 'lap', label: 'Lap over the tails' },
  ],
  start: ({ depth, across }) => ({
    kind: 'half-blind',
    tails: usualTails(depth, across),
    pin: Math.max(6, Math.round(across / 2)),
    slope: 8,
    lap: Math.min(5, Math.max(3, Math.round(across / 5))),
  }),
  plan(own, shell) {
    const thickness = shell.across - own.lap;
    if (thickness < LEAST_TAIL)
      return {
        ...unjoined(shell, { most: own.tails, where: 'form.carcass.corner.lap' }),
        problems: [
          {
            problem: 'The lap leaves its tails no length.',
            where: 'form.carcass.corner.lap',
            wayOut: 'Make the lap thinner, or top and bottom thicker.',
            mends: Math.max(2, shell.across - LEAST_TAIL),
          },
        ],
      };
    const layout = layoutOf(own, shell, thickness);
    return layout
      ? dovetailed(shell, layout, 'half-blind-dovetails', own.lap)
      : unjoined(shell, { most: mostTails(own, shell, thickness), where: 'form.carcass.corner.tails' });
  },
};

/** mm */
const LEAST_TAIL = 6;
