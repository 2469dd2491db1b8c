import { squareFrame } from '../../solid/frame';
import type { Draft } from '../part';
import type { Space } from './inside/spaces';
import type { Shell } from './kind';

export const SHELL = { left: 'side-left', right: 'side-right', top: 'top', bottom: 'bottom' } as const;

/** Of a case, from its front to its back and from its left to its right. */
export const ENDS = ['front', 'back'] as const;
export const SIDES = ['left', 'right'] as const;

/** Where sides are frames: what stands or lies in front where a board would. */
export const BARS = {
  left: 'post-front-left',
  right: 'post-front-right',
  top: 'top-front',
  bottom: 'bottom-front',
} as const satisfies Record<keyof typeof SHELL, string>;

/** A board of the carcass, or the bar in its place. */
export const boardOrBar = <P extends { id: string }>(parts: readonly P[], which: keyof typeof SHELL): P | undefined =>
  parts.find(({ id }) => id === SHELL[which] || id === BARS[which]);

/** A side from one height to another, with what stands beyond its shoulders. */
export function sideDraft(shell: Shell, side: -1 | 1, from: number, to: number, beyond = { start: 0, end: 0 }): Draft {
  const x = side * (shell.width / 2 - shell.sides / 2);
  return {
    id: side < 0 ? SHELL.left : SHELL.right,
    name: side < 0 ? 'Side, left' : 'Side, right',
    kind: 'side',
    grade: 'all-faces',
    size: { length: to - from + beyond.start + beyond.end, width: shell.depth, thickness: shell.sides },
    beyond,
    frame: squareFrame([x, 0, (from + to) / 2], { length: 'z', width: 'y', thickness: 'x' }),
  };
}

/** Top or bottom: its length between its shoulders, its underside, and what stands beyond both of them. */
export function acrossDraft(shell: Shell, which: 'top' | 'bottom', long: number, beyond = 0): Draft {
  const z = which === 'top' ? shell.over - shell.across / 2 : shell.under + shell.across / 2;
  return {
    id: SHELL[which],
    name: which === 'top' ? 'Top' : 'Bottom',
    kind: which === 'top' ? 'case-top' : 'case-bottom',
    grade: which === 'top' ? 'all-faces' : 'one-face',
    size: { length: long + 2 * beyond, width: shell.depth, thickness: shell.across },
    beyond: { start: beyond, end: beyond },
    frame: squareFrame([0, 0, z], { length: 'x', width: 'y', thickness: 'z' }),
  };
}

/** What is clear between its four boards. */
export const insideOf = ({ width, sides, across, under, over }: Shell): Space => ({
  left: -width / 2 + sides,
  right: width / 2 - sides,
  low: under + across,
  high: over - across,
  walls: { left: SHELL.left, right: SHELL.right, below: SHELL.bottom, above: SHELL.top },
});
