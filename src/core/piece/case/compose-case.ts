import type { Bench } from '../../decision/bench';
import type { Joint } from '../../joint/joint';
import { boundsOf, box, gapBetween } from '../../solid/convex';
import { solidInPiece } from '../../solid/frame';
import { boundsOfFlat, type Flat } from '../../solid/outline';
import type { Vec } from '../../solid/vector';
import { nothingLeft, solidDraft, solidJoint } from '../degenerate';
import { finishedPart, jointWork } from '../finished-part';
import { bodyOf, type Draft, letterOf, shoulderLengthOf } from '../part';
import type { CasePiece } from '../piece';
import type { Unbuildable } from '../unbuildable';
import { asFitted, fitOf } from './alcove';
import type { PinRow, ShelfSpan } from './case-plan';
import type { FittedCase } from './fit-alcove';
import type { CaseForm } from './form';
import { meetBars } from './framed-walls';
import { rootOf } from './inside/cells';
import { type InsidePlan, planInside } from './inside/plan-inside';
import type { Space } from './inside/spaces';
import type { CarcassOfFrames, CornerPlan, FrontEdge, Shell, StandPlan } from './kind';
import { backKind, caseTopKind, cornerKind, frontKind, standKind } from './kinds';
import { laidOnItsBack } from './laid-back';
import { mouldingRound } from './moulding';
import { openingsInBack } from './openings-in-back';
import { scribesOf } from './scribes';
import { BARS, SHELL } from './shell';
import { behind, turned } from './turned';

/** What was decided of a case that bears on its parts. */
export interface CaseDecided {
  form: CaseForm;
  bench: Bench;
}

/** Decisions → a carcass on its stand, the spaces in it, its back, what lies over it; every part with its size, its place and its joints. */
export function composeCase({ form: asDecided, bench }: CaseDecided): CasePiece {
  const form = asFitted(asDecided);
  const fit = fitOf(form);
  const { width, height, depth, carcass } = form;
  const opensAbove = form.opens === 'above';
  const over = caseTopKind(form.top.kind);
  const upper = height - over.thickness(form.top);
  const standing = standKind(form.stand.kind);
  const recess = standing.recess?.(form.stand) ?? 0;
  const stand = standing.plan(form.stand, {
    width,
    depth: depth - (form.alcove?.skirting && form.stand.kind !== 'sides' ? form.alcove.skirting.thickness : 0),
    sides: carcass.sides,
    seats: opensAbove ? { front: SHELL.bottom, back: SHELL.top } : { front: SHELL.bottom, back: SHELL.bottom },
    moves: !opensAbove,
    inside: {
      low: carcass.across,
      high: upper - carcass.across,
      back: depth / 2 - backKind(form.back.kind).depth(form.back),
    },
  });
  const lift = opensAbove && stand.sidesDown ? 0 : stand.lift;
  const seen = { covered: over.thickness(form.top) > 0, back: backKind(form.back.kind).depth(form.back), recess };
  const shell: Shell = opensAbove
    ? { width, depth: upper - lift, ...THICK(carcass), foot: 0, under: 0, over: depth, ...seen }
    : { width, depth, ...THICK(carcass), foot: stand.sidesDown ? 0 : lift, under: lift, over: upper, ...seen };
  const asCase = planCarcass(form, shell);
  const body = opensAbove ? laidOnItsBack(asCase, { height: depth, depth: upper - lift }, lift) : asCase;
  const top = over.plan(form.top, {
    width,
    depth,
    ...THICK(carcass),
    under: upper,
    edging: opensAbove ? frontKind(form.front.kind).depth(form.front) : 0,
  });
  const scribes = fit && form.alcove ? scribesOf(fit, shell, form.alcove.strips) : NOT_FITTED;
  const moulding = form.moulding && !opensAbove ? mouldingRound(form.moulding, shell) : NOT_FITTED;
  const asDrawn = [...body.drafts, ...top.drafts, ...stand.drafts, ...scribes.drafts, ...moulding.drafts];
  const drafts = asDrawn.map(solidDraft);
  const around = fit && aroundOf(form, fit);
  const planned = {
    joints: [
      ...body.joints,
      ...top.joints,
      ...stand.joints,
      ...scribes.joints,
      ...moulding.joints,
      ...(stand.through ? notchedFor(stand.through, body.drafts) : []),
    ],
    cuts: [...top.cuts, ...scribes.cuts, ...openingsInBack(body.drafts, around?.clear ?? [])],
    pinRows: opensAbove ? [] : body.pinRows,
  };
  const frames = body.frames;
  const met = frames ? meetBars(planned, frames.walls, frames.behind) : planned;
  const joints: readonly Joint[] = met.joints.map(solidJoint);
  const work = jointWork(joints, met.cuts);
  const parts = drafts.map((draft, i) => finishedPart(draft, letterOf(i), bench, work));
  const ground = boundsOfFlat(stand.feet);
  const problems: Unbuildable[] = [
    ...body.problems,
    ...top.problems,
    ...stand.problems,
    ...tooSmall(form, shell),
    ...notInAlcove(form, shell),
    ...notWithItsOpening(form),
  ];
  return {
    build: 'case',
    opens: form.opens,
    parts,
    joints,
    seats: [],
    unreached: [],
    fasteners: [],
    fittings: [...body.fittings, ...top.fittings, ...stand.fittings],
    leading: frames ? (top.drafts[0]?.id ?? leadingOfFrames(drafts)) : SHELL.left,
    over: liftedFirst(form, top.drafts, frames && body.drafts),
    envelope: boundsOf(parts.flatMap(({ placed, added }) => [...placed, ...added.map(({ solid }) => solid)])),
    overall: { length: width, width: depth, height },
    base: { length: ground.right - ground.left, width: ground.high - ground.low },
    feet: stand.feet,
    ground,
    spans: opensAbove ? [] : [...body.spans, ...(frames ? framesBear(form, frames) : bottomSpan(form, shell))],
    pinRows: met.pinRows,
    around,
    stand: stand.hung ? [] : stand.drafts.map(({ id }) => id),
    hung: stand.hung ?? false,
    racking: [...(stand.racking ?? []), ...(frames && !stand.hung ? frames.racking : [])],
    spaces: body.spaces.map(({ cell: { id, of }, space: { left, right, low, high }, divided }) => {
      // Laid back, what was its height runs from its front to its back.
      const by = opensAbove ? depth / 2 : 0;
      return { id, of, divided, left, right, low: low - by, high: high - by };
    }),
    problems: [...problems, ...nothingLeft(asDrawn, problems)],
  };
}

/** Uprights cut out from behind for what runs through between the sides. */
function notchedFor({ part, solid }: NonNullable<StandPlan['through']>, drafts: readonly Draft[]): Joint[] {
  return drafts
    .filter(({ kind }) => kind === 'upright')
    .flatMap((draft): Joint[] => {
      const own = boundsOf(bodyOf(draft).map((body) => solidInPiece(draft.frame, body)));
      const { from, to } = solid.bounds;
      if (gapBetween(own, solid.bounds) > 0) return [];
      const cut = box([own.from[0], from[1], from[2]], [own.to[0], Math.max(to[1], own.to[1]), to[2]]);
      return [
        {
          ...{ id: `${draft.id}/${part}`, kind: 'notch', name: `${draft.name} round the rail` },
          ...{ into: draft.id, from: part, added: [], ties: [] },
          removed: [{ part: draft.id, what: 'notch', solid: cut, open: NOTCHED }],
        },
      ];
    });
}

/** A notch comes out at both faces and behind; above, where it meets what lies there. */
const NOTCHED: readonly Vec[] = [
  [1, 0, 0],
  [-1, 0, 0],
  [0, 1, 0],
  [0, 0, 1],
];

const BUTTED = { kind: 'butted', key: 'loose-tenons' } as const;

/** Of frames, the panel by which the season is told where no board lies over them; a post where nothing is left of that. */
const leadingOfFrames = (drafts: readonly Draft[]): string =>
  drafts.find(({ id }) => id === `${SHELL.bottom}-panel-1`)?.id ?? BARS.left;

/** What is lifted off first. */
function liftedFirst({ opens }: CaseForm, cover: readonly Draft[], bars: readonly Draft[] | undefined): string[] {
  if (cover.length > 0) return cover.filter(({ kind }) => kind !== 'batten').map(({ id }) => id);
  if (opens === 'above') return Object.values(SHELL);
  return bars ? bars.flatMap(({ id }) => (id.startsWith(`${SHELL.top}-`) ? [id] : [])) : [SHELL.top];
}

const isCarried = ({ stand }: CaseForm): boolean => stand.kind === 'plinth' || stand.kind === 'leg-frame';

/** What of a carcass of frames bends under what stands in it; rails of the bottom where neither a stand is under them nor an upright on them. */
function framesBear(form: CaseForm, { bears }: CarcassOfFrames): ShelfSpan[] {
  const free = !isCarried(form) && rootOf(form.inside.cells).divided !== 'uprights';
  return bears
    .filter(({ onStand }) => free || !onStand)
    .map(({ share, onStand, ...own }) => ({ ...own, load: form.loads.shelf * share }));
}

/** The bottom as a shelf between the sides, where neither a plinth nor rails are under it and no upright is on it. */
function bottomSpan(form: CaseForm, { width, sides, across }: Shell): ShelfSpan[] {
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

const THICK = ({ sides, across }: CaseForm['carcass']) => ({ sides, across });

/** The carcass with its back, what is in it and what is on its front edges, standing and open to the front. */
function planCarcass(form: CaseForm, whole: Shell): InsidePlan & Pick<CornerPlan, 'frames'> {
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
    y: [-shell.depth / 2, shell.depth / 2 - shell.recess - shell.back - (frames?.behind.room ?? 0)],
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
    drafts: [...drawn.drafts, ...inside.drafts, ...back.drafts],
    joints: [...drawn.joints, ...inside.joints, ...back.joints],
    fittings: [...(drawn.fittings ?? []), ...inside.fittings, ...back.fittings],
    problems: [...drawn.problems, ...inside.problems, ...back.problems, ...pinsInGrooves(form, inside.pinRows, shell)],
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

const insideOf = ({ width, sides, across, under, over }: Shell): Space => ({
  left: -width / 2 + sides,
  right: width / 2 - sides,
  low: under + across,
  high: over - across,
  walls: { left: SHELL.left, right: SHELL.right, below: SHELL.bottom, above: SHELL.top },
});

/** In a chest nothing lies on pins, and nothing is closed in front. */
const withoutLoose = (form: CaseForm): CaseForm => ({
  ...form,
  inside: { ...form.inside, cells: form.inside.cells.map(({ closed, ...cell }) => ({ ...cell, loose: 0 })) },
});

/** Rows of pins stand in the posts of a side that is a frame, clear of its panels' grooves. */
function pinsInGrooves(
  { carcass: { corner }, inside: { pins } }: CaseForm,
  rows: readonly PinRow[],
  { depth }: Shell,
): Unbuildable[] {
  if (!('post' in corner)) return [];
  const edge = depth / 2 - corner.post + corner.tongue + pins.diameter / 2;
  const off = Math.max(...rows.filter(({ wall }) => wall.startsWith('side-')).map(({ y }) => edge - Math.abs(y)));
  if (!(off > 0)) return [];
  return [
    {
      problem: 'The rows for shelf pins come into the grooves of the panels at its sides.',
      where: 'form.inside.pins.fromEdge',
      wayOut: 'Bore them nearer to the edges, or make the posts wider.',
      mends: Math.max(15, Math.floor(pins.fromEdge - off)),
    },
  ];
}

/** What a chest or a case cannot have, because it opens the other way. */
function notWithItsOpening({ opens, top, front, stand, inside, carcass, back }: CaseForm): Unbuildable[] {
  const found: Unbuildable[] = [];
  const { only, name } = caseTopKind(top.kind);
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
  if ('post' in carcass.corner && front.kind !== 'plain')
    found.push({
      problem: 'Posts and rails need nothing on their front edges.',
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
function tooSmall({ width, height, depth, opens }: CaseForm, shell: Shell): Unbuildable[] {
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
