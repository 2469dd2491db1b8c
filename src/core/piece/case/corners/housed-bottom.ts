import { housing, housingDepth } from '../../../joint/housing';
import type { Joint } from '../../../joint/joint';
import type { Draft } from '../../part';
import type { Shell } from '../kind';
import { acrossDraft, SHELL } from '../shell';

/** The bottom between sides that run on below it, housed in both over its whole depth. */
export function housedBottom(shell: Shell): { draft: Draft; joints: Joint[] } {
  const inner = shell.width / 2 - shell.sides;
  const depth = housingDepth(shell.sides);
  const z = shell.under + shell.across / 2;
  return {
    draft: acrossDraft(shell, 'bottom', 2 * inner, depth),
    joints: ([-1, 1] as const).map((side) => {
      const into = side < 0 ? SHELL.left : SHELL.right;
      return housing({
        id: `${into}/${SHELL.bottom}`,
        name: `Bottom in ${side < 0 ? 'left' : 'right'} side`,
        into,
        from: SHELL.bottom,
        at: [side * inner, 0, z],
        along: [side, 0, 0],
        y: [-shell.depth / 2, shell.depth / 2],
        stop: 0,
        thickness: shell.across,
        depth,
      });
    }),
  };
}
