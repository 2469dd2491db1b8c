import * as v from 'valibot';
import type { Change } from '../../../decision/changes';
import { length } from '../../../decision/fields';
import type { Cut, Grown, Joint } from '../../../joint/joint';
import { glued } from '../../../restraint/tie';
import { box, type Convex } from '../../../solid/convex';
import { squareFrame } from '../../../solid/frame';
import type { Vec } from '../../../solid/vector';
import type { Draft } from '../../part';
import type { Racking } from '../../plans';
import type { Unbuildable } from '../../unbuildable';
import { barOf } from '../framed-walls';
import type { CornerKind, CornerPlan, RestOfCase, Shell } from '../kind';
import { acrossDraft, ENDS, SHELL, SIDES } from '../shell';
import { travelFor } from '../stands/sides';
import { overhanging } from '../tops/overhanging';

const schema = v.object({
  kind: v.literal('between-legs'),
  /** Of a leg, front to back; the other way it is as thick as the sides. */
  leg: length(25, 150),
});

/** Left at each edge of a leg beside its tenons, and between them at least, mm; common practice. */
const SHOULDER = 6;
const BETWEEN = 8;
/** The shelf's tenons: so much of a leg long, so much of its own thickness thick; common practice. */
const DEEP = 0.6;
const THICK = 2 / 3;
/** No tenon is thinner, mm. */
const LEAST_TENON = 8;
const LEAST_BETWEEN = 60;
/** Over the legs at its back, where it stands free; as much as in front. mm */
const BEYOND = 20;
/** Square, mm; common practice. */
const LEG = 45;

const PATH = 'form.carcass.corner.leg';

/** Across the grain a board is so much less stiff than along it; Wood Handbook ch. 5, from memory: 1/12 to 1/20 of most woods. */
const ACROSS = 1 / 16;

/**
 * Four legs from the floor to under the top: their upper ends on twin tenons through it, the bottom as a shelf on twin tenons
 * between them. Open at the ends; all that runs from front to back is solid and moves alike.
 */
export const betweenLegs: CornerKind<typeof schema> = {
  name: 'Four legs, a shelf between them',
  reason: 'Top and shelf on twin tenons, open at its ends: they move as one, and the legs with them.',
  only: 'front',
  plainInFront: true,
  schema,
  fields: [{ ask: 'figure', at: 'leg', label: 'Legs, front to back' }],
  brings: broughtByLegs,
  start: () => ({ kind: 'between-legs', leg: LEG }),
  plan(own, shell): CornerPlan {
    const { width, depth, sides, across } = shell;
    const inner = width / 2 - sides;
    const tenon = Math.round(sides * DEEP);
    const legs = SIDES.flatMap((side) =>
      ENDS.map((end) => ({ side, end, draft: legDraft(own.leg, side, end, shell) })),
    );
    const shelf: Draft = {
      ...acrossDraft(shell, 'bottom', 2 * inner, tenon),
      name: 'Shelf between the legs',
      grade: 'all-faces',
    };
    const bears = {
      ...{ thick: 'form.carcass.across' as const, span: 2 * inner, breadth: depth, thickness: across },
      ...{ lip: null, share: 1 },
    };
    return {
      drafts: [...legs.map(({ draft }) => draft), acrossDraft(shell, 'top', width), shelf],
      joints: legs.flatMap(({ side, end, draft }) => [
        shelfInLeg(own.leg, { side, end, leg: draft, tenon }, shell),
        legInTop(own.leg, draft, shell),
      ]),
      problems: problemsOf(own.leg, shell),
      frames: {
        walls: new Map(
          SIDES.map((side) => [SHELL[side], legs.filter((leg) => leg.side === side).map(({ draft }) => barOf(draft))]),
        ),
        behind: null,
        takes: { [SHELL.left]: sides, [SHELL.right]: sides, [SHELL.top]: across, [SHELL.bottom]: across },
        bears: [
          { ...bears, id: SHELL.bottom, part: SHELL.bottom, words: 'Shelf between the legs', on: 'stand' },
          { ...bears, id: SHELL.top, part: SHELL.top, words: 'Top between the legs', on: 'uprights' },
        ],
        racking: rackingOf(own.leg, shell),
      },
    };
  },
};

/** Its back left open, a board over the legs, and legs thick enough for their tenons. */
function broughtByLegs({ top, front, ...outside }: RestOfCase): Change[] {
  return [
    { path: 'form.carcass.sides', value: LEG },
    { path: 'form.back', value: { kind: 'open' } },
    ...(front.kind === 'plain' ? [] : [{ path: 'form.front', value: { kind: 'plain' } }]),
    {
      path: 'form.top',
      value: {
        ...(top.kind === 'overhanging' ? top : { ...overhanging.start(outside), back: BEYOND }),
        travel: travelFor(outside.depth),
      },
    },
  ];
}

function legDraft(leg: number, side: (typeof SIDES)[number], end: (typeof ENDS)[number], shell: Shell): Draft {
  const { width, depth, sides, across, foot, over } = shell;
  const [from, to] = [foot, over - across];
  const x = (side === 'left' ? -1 : 1) * (width / 2 - sides / 2);
  const y = (end === 'front' ? -1 : 1) * (depth / 2 - leg / 2);
  return {
    id: `post-${end}-${side}`,
    name: `Leg, ${end} ${side}`,
    kind: 'case-post',
    grade: 'all-faces',
    size: { length: to - from + across, width: leg, thickness: sides },
    beyond: { start: 0, end: across },
    frame: squareFrame([x, y, (from + to) / 2], { length: 'z', width: 'y', thickness: 'x' }),
  };
}

/** From front to back, where a leg's two tenons are. mm */
function twin(leg: number, middle: number): (readonly [number, number])[] {
  const gap = Math.max(BETWEEN, leg / 5);
  const wide = twinWide(leg);
  return [-1, 1].map((way) => {
    const at = middle + (way * (gap + wide)) / 2;
    return [at - wide / 2, at + wide / 2] as const;
  });
}

const twinWide = (leg: number): number => Math.max(1, (leg - 2 * SHOULDER - Math.max(BETWEEN, leg / 5)) / 2);

/** Both tenons of one end as they are cut and as they stand. */
const cutAndGrown = (
  { into, from, open }: { into: string; from: string; open: readonly Vec[] },
  solids: readonly Convex[],
): { removed: Cut[]; added: Grown[] } => ({
  removed: solids.map((solid) => ({ part: into, what: 'mortise', solid, open })),
  added: solids.map((solid) => ({ part: from, solid })),
});

function shelfInLeg(
  wide: number,
  { side, end, leg, tenon }: { side: (typeof SIDES)[number]; end: (typeof ENDS)[number]; leg: Draft; tenon: number },
  { width, sides, across, under }: Shell,
): Joint {
  const way = side === 'left' ? -1 : 1;
  const face = way * (width / 2 - sides);
  const [low, high] = [under + (across * (1 - THICK)) / 2, under + (across * (1 + THICK)) / 2];
  const [from, to] = [Math.min(face, face + way * tenon), Math.max(face, face + way * tenon)];
  const [, middle] = leg.frame.at;
  const solids = twin(wide, middle).map(([a, b]) => box([from, a, low], [to, b, high]));
  const between = {
    id: `${leg.id}/${SHELL.bottom}`,
    name: `Shelf in the ${end} ${side} leg`,
    a: leg.id,
    b: SHELL.bottom,
  };
  return {
    ...{ id: between.id, name: between.name, kind: 'twin-tenon', into: leg.id, from: SHELL.bottom, along: [way, 0, 0] },
    ...cutAndGrown({ into: leg.id, from: SHELL.bottom, open: [[-way, 0, 0]] }, solids),
    ties: glued({ ...between, at: { x: face, y: middle, z: under + across / 2 } }, { y: wide - 2 * SHOULDER }),
  };
}

function legInTop(wide: number, leg: Draft, { sides, across, over }: Shell): Joint {
  const [x, y] = leg.frame.at;
  const half = Math.max(1, sides / 2 - SHOULDER);
  const solids = twin(wide, y).map(([a, b]) => box([x - half, a, over - across], [x + half, b, over]));
  const between = {
    ...{
      id: `${SHELL.top}/${leg.id}`,
      name: `${leg.name.replace('Leg, ', 'Leg in the top, ')}`,
      a: SHELL.top,
      b: leg.id,
    },
    at: { x, y, z: over - across },
  };
  return {
    ...{ id: between.id, name: between.name, kind: 'twin-tenon', into: SHELL.top, from: leg.id, along: [0, 0, 1] },
    // They come out above, under the board over it or seen, with wedges.
    ...cutAndGrown(
      {
        into: SHELL.top,
        from: leg.id,
        open: [
          [0, 0, -1],
          [0, 0, 1],
        ],
      },
      solids,
    ),
    ties: glued(between, { x: 2 * half, y: wide - 2 * SHOULDER }),
  };
}

/**
 * Pushed level at its upper edge: every leg takes a quarter as a cantilever under the top, which bends between them, along its
 * grain one way and across it the other. The shelf, whose tenons are thin that way, and dividers count for nothing; feet rest.
 */
function rackingOf(leg: number, { width, depth, sides, across, foot, over }: Shell): Racking[] {
  const high = over - across / 2 - foot;
  const [wide, thick] = [twinWide(leg), Math.max(1, sides - 2 * SHOULDER)];
  const parts = SIDES.flatMap((side) => ENDS.map((end) => `post-${end}-${side}`));
  const lever = high / 4;
  const formula = 'push ÷ 4 legs · height to the middle of the top';
  /** Of the top between two legs: half of it along, and across what lies within half its depth of an end. */
  const [along, end] = [depth / 2, Math.min(width, depth) / 2];
  const swayOf = (span: number, ofLeg: number, ofTop: number) =>
    (high ** 3 / (3 * ofLeg) + (high ** 2 * span) / (6 * ofTop)) / 4;
  const second = (breadth: number) => (breadth * across ** 3) / 12;
  const deepens = {
    ...{ height: PATH, now: leg, words: { of: 'the legs', how: 'deep' } },
    thicker: [1.3, 1.7].map((more) => [
      { path: PATH, value: Math.min(150, Math.ceil(leg * more)) },
      { path: 'form.carcass.sides', value: Math.min(60, Math.ceil(sides * more)) },
      { path: 'form.carcass.across', value: Math.min(60, Math.ceil(across * more)) },
    ]),
  };
  return [
    {
      ...{ way: 'along', of: 'legs', joint: 'the legs’ tenons', parts, lever, formula, deepens },
      resists: { kind: 'bent', modulus: (2 * wide * thick ** 2) / 6 },
      sway: swayOf(width - sides, (leg * sides ** 3) / 12, second(along)),
    },
    {
      ...{ way: 'across', of: 'legs', joint: 'the legs’ tenons', parts, lever, formula, deepens },
      resists: { kind: 'bent', modulus: (2 * thick * wide ** 2) / 6 },
      sway: swayOf(depth - leg, (sides * leg ** 3) / 12, ACROSS * second(end)),
    },
    {
      ...{ way: 'across', of: 'top', joint: 'the top’s boards between the legs', parts: [SHELL.top], lever, formula },
      resists: { kind: 'bent', modulus: (end * across ** 2) / 6, across: true },
      deepens: {
        ...{ ...deepens, height: 'form.carcass.across', now: across },
        words: { of: 'top and shelf', how: 'thick' },
      },
    },
  ];
}

function problemsOf(leg: number, { width, depth, sides, across }: Shell): Unbuildable[] {
  const found: Unbuildable[] = [];
  const slender = LEAST_TENON - twinWide(leg);
  if (slender > 1e-6)
    found.push({
      problem: 'Legs so slender have no room for two tenons beside each other.',
      where: PATH,
      wayOut: 'Make them deeper, front to back.',
      mends: Math.ceil(2 * SHOULDER + 2 * LEAST_TENON + BETWEEN),
    });
  if (sides < LEAST_TENON + 2 * SHOULDER)
    found.push({
      problem: 'Legs so thin leave their tenons nothing.',
      where: 'form.carcass.sides',
      wayOut: 'Make them thicker.',
      mends: LEAST_TENON + 2 * SHOULDER,
    });
  if (across * THICK < LEAST_TENON - 1e-6)
    found.push({
      problem: 'A shelf so thin has no tenons between its legs.',
      where: 'form.carcass.across',
      wayOut: 'Make top and shelf thicker.',
      mends: Math.ceil(LEAST_TENON / THICK),
    });
  if (depth - 2 * leg < LEAST_BETWEEN || width < 4 * sides)
    found.push({
      problem: 'Its legs leave nothing between them.',
      where: PATH,
      wayOut: 'Make the legs more slender, or the case deeper.',
      mends: Math.max(25, Math.floor((depth - LEAST_BETWEEN) / 2)),
    });
  return found;
}
