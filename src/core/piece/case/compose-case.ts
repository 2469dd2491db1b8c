import type { Bench } from '../../decision/bench';
import type { Joint } from '../../joint/joint';
import type { FittedCase } from '../../room/alcove';
import { boundsOf } from '../../solid/convex';
import { boundsOfFlat, type Flat } from '../../solid/outline';
import { nothingLeft, solidDraft, solidJoint } from '../degenerate';
import { finishedPart, jointWork } from '../finished-part';
import { letterOf } from '../part';
import type { CasePiece } from '../piece';
import type { Unbuildable } from '../unbuildable';
import { asFitted, fitOf } from './alcove';
import type { CaseForm } from './form';
import { planInside } from './inside/plan-inside';
import type { Space } from './inside/spaces';
import type { Shell } from './kind';
import { backKind, cornerKind, standKind } from './kinds';
import { scribesOf } from './scribes';
import { SHELL } from './shell';

/** What was decided of a case that bears on its parts. */
export interface CaseDecided {
  form: CaseForm;
  bench: Bench;
}

/** Decisions → a carcass on its stand, the spaces in it, its back; every part with its size, its place and its joints. */
export function composeCase({ form: asDecided, bench }: CaseDecided): CasePiece {
  const form = asFitted(asDecided);
  const fit = fitOf(form);
  const { width, height, depth, carcass } = form;
  const stand = standKind(form.stand.kind).plan(form.stand, {
    width,
    depth: depth - (form.alcove?.skirting && form.stand.kind !== 'sides' ? form.alcove.skirting.thickness : 0),
    sides: carcass.sides,
  });
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
  const scribes = fit && form.alcove ? scribesOf(fit, shell, form.alcove.strips) : NOT_FITTED;
  const asDrawn = [...drawn.drafts, ...inside.drafts, ...back.drafts, ...stand.drafts, ...scribes.drafts];
  const drafts = asDrawn.map(solidDraft);
  const joints: readonly Joint[] = [
    ...drawn.joints,
    ...inside.joints,
    ...back.joints,
    ...stand.joints,
    ...scribes.joints,
  ].map(solidJoint);
  const work = jointWork(joints, scribes.cuts);
  const parts = drafts.map((draft, i) => finishedPart(draft, letterOf(i), bench, work));
  const ground = boundsOfFlat(stand.feet);
  const problems: Unbuildable[] = [
    ...drawn.problems,
    ...inside.problems,
    ...back.problems,
    ...stand.problems,
    ...tooSmall(form, space),
    ...notInAlcove(form, shell),
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
    around: fit && aroundOf(form, fit),
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

/** Walls, floor and what must be kept clear, from the front. */
function aroundOf({ alcove, height }: CaseForm, { walls }: FittedCase): CasePiece['around'] {
  const { rise = 0, clear = [] } = alcove ?? {};
  const floors = { left: Math.max(0, -rise), right: Math.max(0, rise) };
  const rising = (list: readonly number[], floor: number): Flat[] =>
    list.map((x, i): Flat => [x, floor + ((height - floor) * i) / 2]);
  const from = walls.left[0] ?? 0;
  return {
    walls: [...rising(walls.left, floors.left).reverse(), ...rising(walls.right, floors.right)],
    clear: clear.map((own): Flat[] => {
      const [left, low] = [from + own.fromLeft, own.fromFloor];
      return [
        [left, low],
        [left + own.width, low],
        [left + own.width, low + own.height],
        [left, low + own.height],
      ];
    }),
  };
}

const NOT_FITTED = { drafts: [], joints: [], cuts: [] };

/** Walls that leave nothing, a plinth that the floor's slope uses up, a skirting that reaches up behind the bottom. */
function notInAlcove(form: CaseForm, shell: Shell): Unbuildable[] {
  const { alcove, stand } = form;
  if (!alcove) return [];
  const found: Unbuildable[] = [];
  if (!fitOf(form))
    found.push({
      problem: 'The walls of the alcove and the room beside the case leave nothing of it.',
      where: 'form.alcove.wide',
      wayOut: 'Measure its widths again, or leave less room.',
    });
  if (stand.kind === 'plinth' && stand.height - Math.abs(alcove.rise) < LEAST_PLINTH)
    found.push({
      problem: 'The floor slopes by more than the plinth can make up.',
      where: 'form.stand.height',
      wayOut: 'Make the plinth higher.',
      mends: Math.ceil(LEAST_PLINTH + Math.abs(alcove.rise)),
    });
  const { skirting } = alcove;
  if (skirting && skirting.height > shell.under)
    found.push({
      problem: 'The skirting reaches up behind the bottom, where the back is let in.',
      where: stand.kind === 'plinth' ? 'form.stand.height' : 'form.stand.lift',
      wayOut: 'Raise the bottom above it.',
      mends: Math.ceil(skirting.height),
    });
  return found;
}

/** A plinth is nowhere lower, mm. */
const LEAST_PLINTH = 30;
/** mm */
const LEAST_INSIDE = 60;
