import * as v from 'valibot';
import type { Joint } from '../../../joint/joint';
import { glued } from '../../../restraint/tie';
import { box } from '../../../solid/convex';
import type { CornerKind, Shell } from '../kind';
import { acrossDraft, SHELL, sideDraft } from '../shell';
import { housedBottom } from './housed-bottom';

const schema = v.object({
  kind: v.literal('rabbets'),
});

/** Two thirds of the side deep; common practice. */
const SHARE = 2 / 3;

/** Top and bottom in rabbets at the sides' ends, glued, with screws or nails through the sides. */
export const rabbets: CornerKind<typeof schema> = {
  name: 'Rabbets, glued and screwed',
  reason: 'Quick, and true of itself; screws or nails carry what end grain does not hold, under plugs or a moulding.',
  schema,
  fields: [],
  start: () => ({ kind: 'rabbets' }),
  plan(_, shell) {
    const { width, sides, foot, under, over } = shell;
    const onSides = foot < under;
    const deep = Math.round(sides * SHARE);
    const bottom = onSides
      ? housedBottom(shell)
      : {
          draft: acrossDraft(shell, 'bottom', width - 2 * sides, deep),
          joints: [inRabbet(shell, -1, 'bottom', deep), inRabbet(shell, 1, 'bottom', deep)],
        };
    return {
      drafts: [
        sideDraft(shell, -1, foot, over),
        sideDraft(shell, 1, foot, over),
        acrossDraft(shell, 'top', width - 2 * sides, deep),
        bottom.draft,
      ],
      joints: [inRabbet(shell, -1, 'top', deep), inRabbet(shell, 1, 'top', deep), ...bottom.joints],
      problems: [],
    };
  },
};

function inRabbet(shell: Shell, side: -1 | 1, end: 'top' | 'bottom', deep: number): Joint {
  const { width, depth, sides, across, under, over } = shell;
  const into = side < 0 ? SHELL.left : SHELL.right;
  const inner = side * (width / 2 - sides);
  const outer = inner + side * deep;
  const z = end === 'top' ? ([over - across, over] as const) : ([under, under + across] as const);
  const solid = box([Math.min(inner, outer), -depth / 2, z[0]], [Math.max(inner, outer), depth / 2, z[1]]);
  const id = `${into}/${SHELL[end]}`;
  const name = `${end === 'top' ? 'Top' : 'Bottom'} on ${side < 0 ? 'left' : 'right'} side`;
  return {
    id,
    kind: 'rabbet',
    name,
    into,
    from: SHELL[end],
    along: [side, 0, 0],
    removed: [
      {
        part: into,
        what: 'rabbet',
        solid,
        open: [
          [-side, 0, 0],
          [0, 0, end === 'top' ? 1 : -1],
          [0, -1, 0],
          [0, 1, 0],
        ],
      },
    ],
    added: [{ part: SHELL[end], solid }],
    ties: glued({ id, name, a: into, b: SHELL[end], at: { x: inner, y: 0, z: (z[0] + z[1]) / 2 } }, { y: depth }),
  };
}
