import * as v from 'valibot';
import { whole } from '../../../decision/fields';
import type { CornerKind } from '../kind';
import { dovetailed, unjoined } from './dovetailed';

const schema = v.object({
  kind: v.literal('box-joints'),
  /** On a side; top and bottom have one more. */
  fingers: whole(2, 80),
});

/** mm; a finger thinner than this breaks when it is driven. Common practice. */
const LEAST = 4;
const wide = (depth: number, fingers: number) => depth / (2 * fingers + 1);

/** Straight fingers, all alike: made by the machine at one setting, held by glue on long grain. */
export const boxJoints: CornerKind<typeof schema> = {
  name: 'Box joints',
  reason:
    'Fingers of one width cut at one setting; as much long grain to glue as any joint has, and seen at both faces.',
  schema,
  fields: [{ ask: 'figure', at: 'fingers', label: 'Fingers on a side' }],
  start: ({ depth, across }) => ({ kind: 'box-joints', fingers: Math.max(2, Math.round((depth / across - 1) / 2)) }),
  plan({ fingers }, shell) {
    const finger = wide(shell.depth, fingers);
    const most = Math.max(2, Math.floor((shell.depth / LEAST - 1) / 2));
    if (finger < LEAST) {
      const plain = unjoined(shell, { most, where: 'form.carcass.corner.fingers' });
      return {
        ...plain,
        problems: [
          {
            problem: 'So many fingers are too thin to be driven.',
            where: 'form.carcass.corner.fingers',
            wayOut: `Cut ${most} at the most.`,
            mends: most,
          },
        ],
      };
    }
    const layout = { tails: fingers, tail: { wide: finger, narrow: finger }, pin: finger, slope: 0 };
    return dovetailed(shell, layout, 'box-joint', 0);
  },
};
