import type { Joint } from '../../joint/joint';
import type { Unbuildable } from '../unbuildable';
import { fitOf } from './alcove';
import type { PinRow } from './case-plan';
import type { CaseForm } from './form';
import type { Shell } from './kind';
import { caseTopKind, cornerKind, frontKind, standKind } from './kinds';
import { insideOf } from './shell';

/** What stands in for a way of making the carcass that does not go with its opening. */
export const BUTTED = { kind: 'butted', key: 'loose-tenons' } as const;

/** Rows of pins stand in the posts of a side that is a frame, clear of its panels' grooves, and in legs. */
export function pinsInGrooves(
  { carcass: { corner }, inside: { pins } }: CaseForm,
  rows: readonly PinRow[],
  { depth }: Shell,
): Unbuildable[] {
  const wood = 'post' in corner ? corner.post - corner.tongue : 'leg' in corner ? corner.leg - BESIDE_PINS : null;
  if (wood === null) return [];
  const edge = depth / 2 - wood + pins.diameter / 2;
  const off = Math.max(...rows.filter(({ wall }) => wall.startsWith('side-')).map(({ y }) => edge - Math.abs(y)));
  if (!(off > 0)) return [];
  return [
    {
      problem:
        'leg' in corner
          ? 'The rows for shelf pins stand beside the legs.'
          : 'The rows for shelf pins come into the grooves of the panels at its sides.',
      where: 'form.inside.pins.fromEdge',
      wayOut: 'Bore them nearer to the edges, or make the posts wider.',
      mends: Math.max(15, Math.floor(pins.fromEdge - off)),
    },
  ];
}

/** Left of a leg beside a row of bores, mm; common practice. */
const BESIDE_PINS = 5;

/** What a chest or a case cannot have, because it opens the other way. */
export function notWithItsOpening({ opens, top, front, stand, inside, carcass, back }: CaseForm): Unbuildable[] {
  const found: Unbuildable[] = [];
  const tops = caseTopKind(top.kind);
  const { only, name } = tops;
  if (only && only !== opens)
    found.push({
      problem: `${name}: this goes with a case that opens ${only === 'above' ? 'above' : 'to the front'}.`,
      where: 'form.top',
      wayOut: 'Choose another top, or let it open the other way.',
    });
  const corners = cornerKind(carcass.corner.kind);
  if (corners.only && corners.only !== opens)
    found.push({
      problem: `${corners.name}: this goes with a case that opens to the front.`,
      where: 'form.carcass.corner',
      wayOut: 'Make it of boards, or let it open to the front.',
      mends: BUTTED,
    });
  if ((corners.plainInFront || tops.plainInFront) && front.kind !== 'plain')
    found.push({
      problem: tops.plainInFront
        ? `${tops.name}: nothing goes on the edges under it.`
        : 'Posts, legs and rails need nothing on their front edges.',
      where: 'form.front',
      wayOut: 'Leave its edges plain.',
      mends: { kind: 'plain' },
    });
  const before = frontKind(front.kind);
  if (before.only && before.only !== opens)
    found.push({
      problem: `${before.name}: this goes with a case that opens to the front.`,
      where: 'form.front',
      wayOut: 'Leave its edges plain, or let it open to the front.',
      mends: { kind: 'plain' },
    });
  if (opens === 'front') return found;
  if (stand.kind === 'sides' && stand.lift > 0)
    found.push({
      problem: 'A chest stands on its walls all round: there is nothing under its bottom.',
      where: 'form.stand.lift',
      wayOut: 'Set it to nought, or stand it on feet or a plinth.',
      mends: 0,
    });
  if (standKind(stand.kind).only === 'front')
    found.push({
      problem: 'A chest does not hang on a wall.',
      where: 'form.stand',
      wayOut: 'Stand it on feet or a plinth.',
      mends: { kind: 'feet', height: 60, section: 60, setBack: 10 },
    });
  if (back.kind === 'open')
    found.push({
      problem: 'A chest without a bottom holds nothing.',
      where: 'form.back',
      wayOut: 'Close it below.',
      mends: { kind: 'sheet', thickness: 9 },
    });
  if (inside.cells.some(({ loose }) => loose > 0))
    found.push({
      problem: 'In a chest no shelf lies on pins.',
      where: 'form.inside.cells',
      wayOut: 'Take the loose shelves out.',
      mends: inside.cells.map((cell) => ({ ...cell, loose: 0 })),
    });
  return found;
}

/** Shelves keyed by dowels or loose tenons over their depth: between the legs of a side there is nothing that takes these. */
export function keyedInLegs(
  { carcass: { corner }, inside: { fixing } }: CaseForm,
  joints: readonly Joint[],
): Unbuildable[] {
  if (!('leg' in corner) || fixing.kind !== 'butted') return [];
  if (!joints.some(({ kind, into }) => kind !== 'twin-tenon' && into.startsWith('post-'))) return [];
  return [
    {
      problem: 'Shelves held by dowels or loose tenons find nothing between the legs of a side.',
      where: 'form.inside.fixing',
      wayOut: 'House them in the legs.',
      mends: { kind: 'housed', stop: 0 },
    },
  ];
}

/** Walls that leave nothing, a plinth that the floor's slope uses up, a skirting that reaches up behind the bottom. */
export function notInAlcove(form: CaseForm, shell: Shell): Unbuildable[] {
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
  if (stand.kind === 'levellers' && Math.abs(alcove.rise) > 2 * stand.adjust)
    found.push({
      problem: 'The floor slopes by more than the feet can make up.',
      where: 'form.stand.adjust',
      wayOut: 'Take feet with a longer thread.',
      mends: Math.ceil(Math.abs(alcove.rise) / 2),
    });
  const { skirting } = alcove;
  if (skirting && skirting.height > shell.under)
    found.push({
      problem: 'The skirting reaches up behind the bottom, where the back is let in.',
      where: stand.kind === 'sides' ? 'form.stand.lift' : 'form.stand.height',
      wayOut: 'Raise the bottom above it.',
      mends: Math.ceil(skirting.height),
    });
  return found;
}

/** A plinth is nowhere lower, mm. */
const LEAST_PLINTH = 30;
/** mm */
const LEAST_INSIDE = 60;

/** Boards and stand that leave nothing inside. */
export function tooSmall({ width, height, depth, opens }: CaseForm, shell: Shell): Unbuildable[] {
  const space = insideOf(shell);
  const found: Unbuildable[] = [];
  if (space.right - space.left < LEAST_INSIDE)
    found.push({
      problem: 'Its sides leave nothing between them.',
      where: 'form.carcass.sides',
      wayOut: 'Make the sides thinner or the case wider.',
      mends: Math.max(9, Math.floor((width - LEAST_INSIDE) / 2)),
    });
  const between = space.high - space.low;
  if (between < LEAST_INSIDE)
    found.push(
      opens === 'above'
        ? {
            problem: 'Front and back wall leave nothing between them.',
            where: 'form.depth',
            wayOut: 'Make it deeper, or its walls thinner.',
            mends: Math.ceil(depth + LEAST_INSIDE - between),
          }
        : {
            problem: 'Top, bottom and what it stands on leave nothing between them.',
            where: 'form.height',
            wayOut: 'Make it higher, or what it stands on lower.',
            mends: Math.ceil(height + LEAST_INSIDE - between),
          },
    );
  if (opens === 'above' && shell.depth < LEAST_INSIDE)
    found.push({
      problem: 'Lid and what it stands on leave its walls no height.',
      where: 'form.height',
      wayOut: 'Make it higher, or what it stands on lower.',
      mends: Math.ceil(height + LEAST_INSIDE - shell.depth),
    });
  return found;
}
