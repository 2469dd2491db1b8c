import { type Draft, shoulderLengthOf } from '../part';
import type { ShelfSpan } from './case-plan';
import type { CaseForm } from './form';
import { grainOfTwo, grainRound } from './grain-round';
import { rootOf } from './inside/cells';
import { type InsidePlan, planInside } from './inside/plan-inside';
import type { CarcassOfFrames, CornerPlan, FrontEdge, Shell } from './kind';
import { backKind, caseTopKind, cornerKind, frontKind, standKind } from './kinds';
import { insideOf, SHELL } from './shell';
import { behind, turned } from './turned';
import { BUTTED, pinsInGrooves } from './unbuildable-case';

/** The carcass with its back, what is in it and what is on its front edges, standing and open to the front. */
export function planCarcass(form: CaseForm, whole: Shell): InsidePlan & Pick<CornerPlan, 'frames'> {
  const fronts = frontKind(form.front.kind);
  const before = fronts.depth(form.front);
  const shell = { ...whole, depth: whole.depth - before };
  const { carcass } = form;
  const corners = cornerKind(carcass.corner.kind);
  // What does not go with its way of opening is told, and drawn as boards.
  const goes = !corners.only || corners.only === form.opens;
  const drawn = goes ? corners.plan(carcass.corner, shell) : cornerKind('butted').plan(BUTTED, shell);
  const { frames } = drawn;
  const backs = backKind(form.back.kind);
  const back = backs.plan(form.back, shell);
  const inside = planInside({
    form: form.opens === 'above' ? withoutLoose(form) : form,
    space: insideOf(shell),
    y: [-shell.depth / 2 + reachOfTop(form), shell.depth / 2 - shell.recess - shell.back - (frames?.behind?.room ?? 0)],
    boards: frames?.takes ?? {
      [SHELL.left]: carcass.sides,
      [SHELL.right]: carcass.sides,
      [SHELL.top]: carcass.across,
      [SHELL.bottom]: carcass.across,
    },
  });
  const boards = {
    ...inside,
    frames,
    drafts: [...(frames ? drawn.drafts : grainRound(form, drawn.drafts)), ...inside.drafts, ...back.drafts],
    joints: [...drawn.joints, ...inside.joints, ...back.joints],
    fittings: [...(drawn.fittings ?? []), ...inside.fittings, ...back.fittings],
    problems: [
      ...drawn.problems,
      ...inside.problems,
      ...back.problems,
      ...pinsInGrooves(form, inside.pinRows, shell),
      ...(frames ? [] : grainOfTwo(form)),
    ],
  };
  if (before === 0) return boards;
  const front = fronts.plan(form.front, {
    shell: whole,
    front: -whole.depth / 2,
    edges: frontEdges(whole, inside.drafts),
  });
  const moved = turned(boards, behind(before / 2));
  return {
    ...moved,
    drafts: [...moved.drafts, ...front.drafts],
    joints: [...moved.joints, ...front.joints],
    fittings: [...moved.fittings, ...front.fittings],
    problems: [...moved.problems, ...front.problems],
    pinRows: moved.pinRows.map((row) => ({ ...row, y: row.y + before / 2 })),
  };
}

/** The front edges of the carcass and of what is in it: sides over their whole height, all others between what they end at. */
function frontEdges({ width, sides, across, foot, under, over }: Shell, within: readonly Draft[]): FrontEdge[] {
  const half = width / 2;
  const level = { upright: false, left: sides - half, right: half - sides };
  const standing = { upright: true, low: foot, high: over };
  return [
    { ...standing, id: SHELL.left, name: 'Left side', left: -half, right: sides - half },
    { ...standing, id: SHELL.right, name: 'Right side', left: half - sides, right: half },
    { ...level, id: SHELL.top, name: 'Top', low: over - across, high: over },
    { ...level, id: SHELL.bottom, name: 'Bottom', low: under, high: under + across },
    ...within
      .filter(
        ({ id, kind }) =>
          kind === 'upright' || kind === 'case-shelf' || (kind === 'case-rail' && !id.endsWith('-back')),
      )
      .map((draft): FrontEdge => {
        const upright = draft.kind === 'upright';
        const [x, , z] = draft.frame.at;
        const [along, thick] = [shoulderLengthOf(draft) / 2, draft.size.thickness / 2];
        const [wide, high] = upright ? [thick, along] : [along, thick];
        return {
          ...{ id: draft.id, name: draft.name, upright },
          ...{ left: x - wide, right: x + wide, low: z - high, high: z + high },
        };
      }),
  ];
}

/** How far dividers stay under the upper edge of a chest, mm. */
const reachOfTop = ({ opens, top }: CaseForm): number =>
  opens === 'above' ? (caseTopKind(top.kind).reaches?.(top) ?? 0) : 0;

/** In a chest nothing lies on pins, and nothing is closed in front. */
const withoutLoose = (form: CaseForm): CaseForm => ({
  ...form,
  inside: { ...form.inside, cells: form.inside.cells.map(({ closed, ...cell }) => ({ ...cell, loose: 0 })) },
});

const isCarried = ({ stand }: CaseForm): boolean => standKind(stand.kind).carries ?? false;

/** What of a carcass of frames or legs bends under what stands on it, where nothing else carries that. */
export function framesBear(form: CaseForm, { bears }: CarcassOfFrames): ShelfSpan[] {
  const divided = rootOf(form.inside.cells).divided === 'uprights';
  const carried = { nothing: false, uprights: divided, stand: divided || isCarried(form) };
  return bears
    .filter(({ on }) => !carried[on])
    .map(({ share, on, ...own }) => ({ ...own, load: form.loads.shelf * share }));
}

/** The bottom as a shelf between the sides, where neither a plinth nor rails are under it and no upright is on it. */
export function bottomSpan(form: CaseForm, { width, sides, across }: Shell): ShelfSpan[] {
  const { inside, back, front, depth, loads } = form;
  if (isCarried(form) || rootOf(inside.cells).divided === 'uprights') return [];
  return [
    {
      ...{ id: SHELL.bottom, part: SHELL.bottom, words: 'Bottom, between the sides', thick: 'form.carcass.across' },
      ...{
        span: width - 2 * sides,
        breadth: depth - backKind(back.kind).depth(back) - frontKind(front.kind).depth(front),
        thickness: across,
      },
      ...{ lip: null, load: loads.shelf },
    },
  ];
}
