import type { Bench } from '../../decision/bench';
import type { Joint } from '../../joint/joint';
import { boundsOf, box, gapBetween } from '../../solid/convex';
import { solidInPiece } from '../../solid/frame';
import { boundsOfFlat } from '../../solid/outline';
import type { Vec } from '../../solid/vector';
import { nothingLeft, solidDraft, solidJoint } from '../degenerate';
import { finishedPart, jointWork } from '../finished-part';
import { bodyOf, type Draft, type Fitting, letterOf } from '../part';
import type { CasePiece } from '../piece';
import type { Unbuildable } from '../unbuildable';
import { aroundOf, asFitted, fitOf } from './alcove';
import { bottomSpan, framesBear, planCarcass } from './carcass';
import type { CaseForm } from './form';
import { meetBars } from './framed-walls';
import type { Shell, StandPlan } from './kind';
import { backKind, caseTopKind, frontKind, standKind } from './kinds';
import { laidOnItsBack } from './laid-back';
import { mouldingRound } from './moulding';
import { openingsInBack } from './openings-in-back';
import { sawnAtCorners, sawnThrough } from './sawn-walls';
import { scribesOf } from './scribes';
import { BARS, SHELL } from './shell';
import { keyedInLegs, notInAlcove, notWithItsOpening, tooSmall } from './unbuildable-case';

/** What was decided of a case that bears on its parts. */
export interface CaseDecided {
  form: CaseForm;
  bench: Bench;
}

/** Decisions → a carcass on its stand, the spaces in it, its back, what lies over it; every part with its size, its place and its joints. */
export function composeCase({ form: asDecided, bench }: CaseDecided): CasePiece {
  const form = asFitted(asDecided);
  const { width, height, depth } = form;
  const opensAbove = form.opens === 'above';
  const { shell, stand, body, top, saw, asDrawn, met, around } = planWhole(form);
  const { frames } = body;
  const whole = { drafts: asDrawn, joints: met.joints, cuts: met.cuts };
  const made = saw ? sawnThrough(whole, saw) : whole;
  const drafts = made.drafts.map(solidDraft);
  const joints: readonly Joint[] = made.joints.map(solidJoint);
  const work = jointWork(joints, made.cuts);
  const parts = drafts.map((draft, i) => finishedPart(draft, letterOf(i), bench, work));
  const ground = boundsOfFlat(stand.feet);
  const problems: Unbuildable[] = [
    ...body.problems,
    ...top.problems,
    ...stand.problems,
    ...tooSmall(form, shell),
    ...notInAlcove(form, shell),
    ...notWithItsOpening(form),
    ...keyedInLegs(form, met.joints),
    ...(saw ? sawnAtCorners(form, met.joints, saw) : []),
  ];
  return {
    build: 'case',
    opens: form.opens,
    parts,
    joints,
    seats: [],
    unreached: [],
    fasteners: [],
    fittings: [...body.fittings, ...top.fittings, ...stand.fittings, ...boltsOfRun(form)],
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
    stacked: stand.stacked ?? false,
    racking: [...(stand.racking ?? []), ...(frames && !stand.hung ? frames.racking : [])],
    spaces: body.spaces.map(({ cell: { id, of }, space: { left, right, low, high }, divided }) => {
      // Laid back, what was its height runs from its front to its back.
      const by = opensAbove ? depth / 2 : 0;
      return { id, of, divided, left, right, low: low - by, high: high - by };
    }),
    problems: [...problems, ...nothingLeft(asDrawn, problems)],
  };
}

/** Stand, carcass, what lies over it and beside it, in their places; every joint with the parts that meet in it. */
function planWhole(form: CaseForm) {
  const { width, height, depth, carcass } = form;
  const fit = fitOf(form);
  const opensAbove = form.opens === 'above';
  const over = caseTopKind(form.top.kind);
  const upper = height - over.thickness(form.top);
  const standing = standKind(form.stand.kind);
  const back = backKind(form.back.kind).depth(form.back);
  const stand = standing.plan(form.stand, {
    width,
    depth: depth - (form.alcove?.skirting && form.stand.kind !== 'sides' ? form.alcove.skirting.thickness : 0),
    sides: carcass.sides,
    seats: opensAbove ? { front: SHELL.bottom, back: SHELL.top } : { front: SHELL.bottom, back: SHELL.bottom },
    moves: !opensAbove,
    inside: { low: carcass.across, high: upper - carcass.across, back: depth / 2 - back },
  });
  const lift = opensAbove && stand.sidesDown ? 0 : stand.lift;
  const seen = { covered: over.thickness(form.top) > 0, back, recess: standing.recess?.(form.stand) ?? 0 };
  const shell: Shell = opensAbove
    ? { width, depth: upper - lift, ...THICK(carcass), foot: 0, under: 0, over: depth, ...seen }
    : { width, depth, ...THICK(carcass), foot: stand.sidesDown ? 0 : lift, under: lift, over: upper, ...seen };
  const asCase = planCarcass(form, shell);
  const body = opensAbove ? laidOnItsBack(asCase, { height: depth, depth: upper - lift }, lift) : asCase;
  const edging = opensAbove ? frontKind(form.front.kind).depth(form.front) : 0;
  const top = over.plan(form.top, { width, depth, ...THICK(carcass), under: upper, edging });
  const scribes = fit && form.alcove ? scribesOf(fit, shell, form.alcove.strips) : NONE;
  const moulding = form.moulding && !opensAbove ? mouldingRound(form.moulding, shell) : NONE;
  const around = fit && aroundOf(form, fit);
  const planned = {
    joints: [
      ...[body, top, stand, scribes, moulding].flatMap(({ joints }) => joints),
      ...(stand.through ? notchedFor(stand.through, body.drafts) : []),
    ],
    cuts: [...top.cuts, ...scribes.cuts, ...openingsInBack(body.drafts, around?.clear ?? [])],
    pinRows: opensAbove ? [] : body.pinRows,
  };
  const { frames } = body;
  const asDrawn = [body, top, stand, scribes, moulding].flatMap(({ drafts }) => drafts);
  return {
    ...{ shell, stand, body, top, around, asDrawn, saw: opensAbove ? over.saws?.(form.top, upper) : undefined },
    met: frames ? meetBars(planned, frames.walls, frames.behind) : planned,
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

/** Of frames, the panel or the shelf by which the season is told where no board lies over them; a post where nothing is left of that. */
const leadingOfFrames = (drafts: readonly Draft[]): string =>
  drafts.find(({ id }) => id === `${SHELL.bottom}-panel-1` || id === SHELL.bottom)?.id ?? BARS.left;

/** What is lifted off first. */
function liftedFirst({ opens }: CaseForm, cover: readonly Draft[], bars: readonly Draft[] | undefined): string[] {
  if (cover.length > 0) return cover.filter(({ kind }) => kind !== 'batten').map(({ id }) => id);
  if (opens === 'above') return Object.values(SHELL);
  return bars
    ? bars.flatMap(({ id }) => (id === SHELL.top || id.startsWith(`${SHELL.top}-`) ? [id] : []))
    : [SHELL.top];
}

const boltsOfRun = ({ beside }: CaseForm): Fitting[] =>
  beside
    ? [{ name: 'Connecting bolts with sleeves, as long as both sides are thick', count: beside.bolts, size: [6] }]
    : [];

const THICK = ({ sides, across }: CaseForm['carcass']) => ({ sides, across });

const NONE = { drafts: [], joints: [], cuts: [] };
