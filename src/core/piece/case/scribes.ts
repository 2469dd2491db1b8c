import type { Cut, Joint } from '../../joint/joint';
import { fixed } from '../../restraint/tie';
import { box } from '../../solid/convex';
import { squareFrame } from '../../solid/frame';
import type { Draft } from '../part';
import type { FittedCase } from './fit-alcove';
import type { Shell } from './kind';
import { SHELL } from './shell';

/** The strips at both sides of a fitted case, ripped wide and planed to the walls, and what its sides leave free for the skirting. */
export function scribesOf(
  fit: FittedCase,
  { width, depth, sides, foot, under, over }: Shell,
  thickness: number,
): { drafts: Draft[]; joints: Joint[]; cuts: Cut[] } {
  const front = -depth / 2;
  const strips = ([-1, 1] as const).map((side) => {
    const at = side < 0 ? 'left' : 'right';
    const wide = fit.strip[at];
    const into = side < 0 ? SHELL.left : SHELL.right;
    const edge = (side * width) / 2;
    const id = `scribe-${at}`;
    const name = `Scribe strip, ${at}`;
    const draft: Draft = {
      id,
      name,
      kind: 'scribe',
      grade: 'one-face',
      size: { length: over - under, width: wide, thickness },
      frame: squareFrame([edge + (side * wide) / 2, front + thickness / 2, (under + over) / 2], {
        length: 'z',
        width: 'x',
        thickness: 'y',
      }),
    };
    const joint: Joint = {
      id: `${into}/${id}`,
      kind: 'screwed',
      name: `${name} on its side`,
      into,
      from: id,
      removed: [],
      added: [],
      // Its grain runs along the side's: both move alike.
      ties: [
        fixed({
          ...{ id: `${into}/${id}`, name: `${name} on its side`, a: into, b: id },
          at: { x: edge, y: front + thickness / 2, z: (under + over) / 2 },
        }),
      ],
    };
    return { draft, joint };
  });
  const { notch } = fit;
  const cuts: Cut[] =
    notch && notch.height > foot
      ? ([-1, 1] as const).map((side) => {
          const inner = side * (width / 2 - sides);
          return {
            part: side < 0 ? SHELL.left : SHELL.right,
            what: 'notch over the skirting',
            solid: box(
              [Math.min(inner, (side * width) / 2), depth / 2 - notch.depth, foot],
              [Math.max(inner, (side * width) / 2), depth / 2, notch.height],
            ),
            open: [
              [0, 1, 0],
              [0, 0, -1],
              [1, 0, 0],
              [-1, 0, 0],
            ],
          };
        })
      : [];
  return { drafts: strips.map(({ draft }) => draft), joints: strips.map(({ joint }) => joint), cuts };
}
