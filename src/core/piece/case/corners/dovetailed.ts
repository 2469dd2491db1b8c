import { caseDovetails } from '../../../joint/case-dovetails';
import type { DovetailLayout, Joint } from '../../../joint/joint';
import { box } from '../../../solid/convex';
import type { Shell, ShellPlan } from '../kind';
import { acrossDraft, SHELL, sideDraft } from '../shell';
import { housedBottom } from './housed-bottom';

/**
 * Sides, top and bottom with tails or fingers on the sides and pins on top and bottom.
 *
 * @param lap what of top and bottom covers the ends of the tails, mm; 0 where they come through
 */
export function dovetailed(
  shell: Shell,
  layout: DovetailLayout,
  kind: 'case-dovetails' | 'half-blind-dovetails' | 'box-joint',
  lap: number,
): ShellPlan {
  const { width, depth, sides, across, foot, under, over } = shell;
  const onSides = foot < under;
  const inner = width / 2 - sides;
  const bottom = onSides ? housedBottom(shell) : { draft: acrossDraft(shell, 'bottom', 2 * inner, sides), joints: [] };
  const tails = across - lap;
  const beyond = { start: onSides ? 0 : tails, end: tails };
  const from = onSides ? foot : under + across;
  const at = (side: -1 | 1, end: 'top' | 'bottom'): Joint => {
    const id = side < 0 ? SHELL.left : SHELL.right;
    const [shoulder, outside] = end === 'top' ? [over - across, over] : [under + across, under];
    const covered = end === 'top' ? outside - lap : outside + lap;
    const x = [side * inner, (side * width) / 2] as const;
    const y = [-depth / 2, depth / 2] as const;
    const joint = caseDovetails({
      id: `${id}/${SHELL[end]}`,
      name: `${end === 'top' ? 'Top' : 'Bottom'} on ${side < 0 ? 'left' : 'right'} side`,
      layout,
      tails: id,
      pins: SHELL[end],
      x,
      y,
      z: [shoulder, covered],
    });
    if (lap === 0) return { ...joint, kind };
    const slab = box(
      [Math.min(...x), y[0], Math.min(covered, outside)],
      [Math.max(...x), y[1], Math.max(covered, outside)],
    );
    return { ...joint, kind, added: [...joint.added, { part: SHELL[end], solid: slab }] };
  };
  const ends = onSides ? (['top'] as const) : (['top', 'bottom'] as const);
  return {
    drafts: [
      sideDraft(shell, -1, from, over - across, beyond),
      sideDraft(shell, 1, from, over - across, beyond),
      acrossDraft(shell, 'top', 2 * inner, sides),
      bottom.draft,
    ],
    joints: [...ends.flatMap((end) => [at(-1, end), at(1, end)]), ...bottom.joints],
    problems: [],
  };
}

/** Boards without what joins them, where figures leave the tails no neck. */
export function unjoined(shell: Shell, wayOut: { most: number; where: string }): ShellPlan {
  const none = { tails: 0, tail: { wide: 0, narrow: 0 }, pin: 0, slope: 0 };
  const { drafts, joints } = dovetailed(shell, none, 'case-dovetails', 0);
  return {
    drafts,
    joints: joints.filter(({ kind }) => kind !== 'case-dovetails'),
    problems: [
      {
        problem: 'The dovetails leave their tails no neck.',
        where: wayOut.where,
        wayOut: `Lay out ${wayOut.most} tails at the most.`,
        mends: wayOut.most,
      },
    ],
  };
}
