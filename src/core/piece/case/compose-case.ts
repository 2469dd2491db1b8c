import type { Bench } from '../../decision/bench';
import type { Joint } from '../../joint/joint';
import { boundsOf } from '../../solid/convex';
import { boundsOfFlat } from '../../solid/outline';
import { nothingLeft, solidDraft, solidJoint } from '../degenerate';
import { finishedPart, jointWork } from '../finished-part';
import { letterOf } from '../part';
import type { CasePiece } from '../piece';
import type { Unbuildable } from '../unbuildable';
import type { CaseForm } from './form';
import { planInside } from './inside/plan-inside';
import type { Space } from './inside/spaces';
import type { Shell } from './kind';
import { backKind, cornerKind, standKind } from './kinds';
import { SHELL } from './shell';

/** What was decided of a case that bears on its parts. */
export interface CaseDecided {
  form: CaseForm;
  bench: Bench;
}

/** Decisions → a carcass on its stand, the spaces in it, its back; every part with its size, its place and its joints. */
export function composeCase({ form, bench }: CaseDecided): CasePiece {
  const { width, height, depth, carcass } = form;
  const stand = standKind(form.stand.kind).plan(form.stand, { width, depth, sides: carcass.sides });
  const shell: Shell = {
    width,
    depth,
    sides: carcass.sides,
    across: carcass.across,
    foot: stand.sidesDown ? 0 : stand.lift,
    under: stand.lift,
    over: height,
  };
  const drawn = cornerKind(carcass.corner.kind).plan(carcass.corner, shell);
  const backs = backKind(form.back.kind);
  const back = backs.plan(form.back, shell);
  const space: Space = {
    left: -width / 2 + carcass.sides,
    right: width / 2 - carcass.sides,
    low: stand.lift + carcass.across,
    high: height - carcass.across,
    walls: { left: SHELL.left, right: SHELL.right, below: SHELL.bottom, above: SHELL.top },
  };
  const inside = planInside({
    form,
    space,
    y: [-depth / 2, depth / 2 - backs.depth(form.back)],
    boards: {
      [SHELL.left]: carcass.sides,
      [SHELL.right]: carcass.sides,
      [SHELL.top]: carcass.across,
      [SHELL.bottom]: carcass.across,
    },
  });
  const asDrawn = [...drawn.drafts, ...inside.drafts, ...back.drafts, ...stand.drafts];
  const drafts = asDrawn.map(solidDraft);
  const joints: readonly Joint[] = [...drawn.joints, ...inside.joints, ...back.joints, ...stand.joints].map(solidJoint);
  const work = jointWork(joints, []);
  const parts = drafts.map((draft, i) => finishedPart(draft, letterOf(i), bench, work));
  const ground = boundsOfFlat(stand.feet);
  const problems: Unbuildable[] = [
    ...drawn.problems,
    ...inside.problems,
    ...back.problems,
    ...stand.problems,
    ...tooSmall(form, space),
  ];
  return {
    build: 'case',
    parts,
    joints,
    seats: [],
    unreached: [],
    fasteners: [],
    fittings: [...inside.fittings, ...back.fittings, ...stand.fittings],
    leading: SHELL.left,
    over: [SHELL.top],
    envelope: boundsOf(parts.flatMap(({ placed, added }) => [...placed, ...added.map(({ solid }) => solid)])),
    overall: { length: width, width: depth, height },
    base: { length: ground.right - ground.left, width: ground.high - ground.low },
    feet: stand.feet,
    ground,
    spans: inside.spans,
    pinRows: inside.pinRows,
    stand: stand.drafts.map(({ id }) => id),
    spaces: inside.spaces.map(({ cell: { id, of }, space: { left, right, low, high }, divided }) => ({
      ...{ id, of, divided, left, right, low, high },
    })),
    problems: [...problems, ...nothingLeft(asDrawn, problems)],
  };
}

/** Boards and stand that leave nothing inside. */
function tooSmall({ width, height }: CaseForm, space: Space): Unbuildable[] {
  const found: Unbuildable[] = [];
  if (space.right - space.left < LEAST_INSIDE)
    found.push({
      problem: 'Its sides leave nothing between them.',
      where: 'form.carcass.sides',
      wayOut: 'Make the sides thinner or the case wider.',
      mends: Math.max(9, Math.floor((width - LEAST_INSIDE) / 2)),
    });
  if (space.high - space.low < LEAST_INSIDE)
    found.push({
      problem: 'Top, bottom and what it stands on leave nothing between them.',
      where: 'form.height',
      wayOut: 'Make it higher, or what it stands on lower.',
      mends: Math.ceil(height + LEAST_INSIDE - (space.high - space.low)),
    });
  return found;
}

/** mm */
const LEAST_INSIDE = 60;
