import type { Joint } from '../../../joint/joint';
import { glued } from '../../../restraint/tie';
import { box } from '../../../solid/convex';
import { squareFrame } from '../../../solid/frame';
import { type FramePlan, frameAndPanels } from '../../frame-and-panels';
import type { FrameDecided } from '../../frame-fields';
import type { Draft } from '../../part';
import type { Racking } from '../../plans';
import type { Unbuildable } from '../../unbuildable';
import { barOf, type WallBar } from '../framed-walls';
import type { CornerPlan, Shell } from '../kind';
import { ENDS, SHELL, SIDES } from '../shell';
import { type Turn, turned } from '../turned';
import type { FramesDecided } from './frames-decided';

/** What of a rail's height is left to what meets it in the post, mm; of a tenon, to both faces; common practice. */
const CLEAR = 2;
const SHOULDER = 6;
/** Between what is let into a rail and a tenon in its middle, mm; common practice. */
const LEFT = 4;
/** A tenon is so long in a post, as a share of it, and no lower than this. mm; common practice. */
const DEEP = 0.6;
const LEAST_TENON = 15;
const LEAST_DEEP = 12;
const LEAST_BETWEEN = 60;

const PATH = 'form.carcass.corner';

/** What lies is planned as if it stood: its height along the piece, its breadth from front to back. */
const LYING: Turn = {
  point: ([x, y, z]) => [z, x, y],
  direction: ([x, y, z]) => [z, x, y],
  axes: { x: { axis: 'y', way: 1 }, y: { axis: 'z', way: 1 }, z: { axis: 'x', way: 1 } },
};

/**
 * A carcass of frames: at each side two posts with rails between them and panels that float, flush inside; above and below a
 * rail in front and one behind, tenoned into the posts, the lower pair and an upper one that is seen with panels between them.
 * None of it moves but by the breadth of its bars.
 *
 * @param thickness of the rails in the sides, mm
 * @param word what its posts are called
 */
export function framesOf(own: FramesDecided, thickness: number, word: string, shell: Shell): CornerPlan {
  const { depth, across, under, over, covered } = shell;
  const sides = SIDES.map((side) => sideFrame(own, Math.min(thickness, shell.sides), word, side, shell));
  const posts = sides.flatMap(({ drafts }) => drafts.filter(({ kind }) => kind === 'case-post'));
  const levels = [
    { which: 'bottom', z: [under, under + across], panelled: true },
    { which: 'top', z: [over - across, over], panelled: !covered },
  ] as const;
  const lying = levels.map((level) => levelFrame(own, shell, level));
  const drafts = [...sides, ...lying].flatMap((plan) => plan.drafts);
  const bars = (kinds: readonly Draft['kind'][], of: { drafts: readonly Draft[] }) =>
    of.drafts.filter(({ kind }) => kinds.includes(kind)).map(barOf);
  const walls = new Map<string, readonly WallBar[]>([
    ...SIDES.map(
      (side, i) => [SHELL[side], bars(['case-post', 'rail', 'muntin'], sides[i] ?? { drafts: [] })] as const,
    ),
    ...levels.map(({ which }, i) => [SHELL[which], bars(['case-rail', 'rail'], lying[i] ?? { drafts: [] })] as const),
  ]);
  const panels = lying[0]?.drafts.filter(({ kind }) => kind === 'panel') ?? [];
  const [panel] = panels;
  const before = (thick: number, inner: number, left = 0) => 3 * Math.max(3, Math.floor((thick - inner) / 2) - left);
  return {
    drafts,
    joints: [...[...sides, ...lying].flatMap((plan) => plan.joints), ...railsInPosts(own, shell, posts)],
    problems: [...(sides[0]?.problems ?? []), ...(lying[0]?.problems ?? []), ...problemsOf(own, thickness, shell)],
    frames: {
      walls,
      behind: { room: own.behind, path: `${PATH}.behind` },
      takes: {
        [SHELL.left]: before(Math.min(thickness, shell.sides), own.panelThickness),
        [SHELL.right]: before(Math.min(thickness, shell.sides), own.panelThickness),
        [SHELL.top]: before(across, covered ? 0 : own.floor.thickness, LEFT),
        [SHELL.bottom]: before(across, own.floor.thickness, LEFT),
      },
      bears: [
        ...ENDS.map((end) => ({
          ...{ id: `bottom-${end}`, part: `bottom-${end}`, words: `Rail of the bottom, ${end}` },
          ...{ thick: 'form.carcass.across' as const, span: shell.width - 2 * shell.sides, breadth: own.level },
          ...{ thickness: across, lip: null, share: 0.5, on: 'stand' as const },
        })),
        ...(panel
          ? [
              {
                ...{ id: panel.id, part: panel.id, words: 'Panel of the bottom' },
                ...{ thick: `${PATH}.floor.thickness` as const, span: panel.size.length - 2 * own.floor.tongue },
                ...{ breadth: Math.max(1, depth - 2 * own.level), thickness: own.floor.thickness },
                ...{ lip: null, share: 1, on: 'nothing' as const },
                oneOf: { path: `${PATH}.floor.panels`, count: own.floor.panels },
              },
            ]
          : []),
      ],
      racking: [rackingOf(own, thickness, shell)],
    },
  };
}

function sideFrame(
  own: FramesDecided,
  thickness: number,
  word: string,
  side: (typeof SIDES)[number],
  { width, depth, sides, across, foot, under, over, back, recess }: Shell,
): FramePlan {
  const inner = width / 2 - sides;
  const out = (far: number): readonly [number, number] =>
    side === 'left' ? [-inner - far, -inner] : [inner, inner + far];
  const { post, panelThickness, tongue, room } = own;
  const frame: FrameDecided = {
    ...{ thickness, stile: post, rail: own.rail, across: own.across, up: own.up, panelThickness, tongue, room },
  };
  const bar = (end: (typeof ENDS)[number]) => ({ id: `post-${end}-${side}`, name: `${word}, ${end} ${side}` });
  // Rails above and below are tenoned into the posts at the heights of the outer edges.
  const clear = across + CLEAR;
  return frameAndPanels(frame, {
    ...{ id: SHELL[side], name: `the ${side} side`, toward: 'y', path: PATH },
    along: [-depth / 2, depth / 2],
    up: [under, over],
    through: out(thickness),
    stiles: {
      kind: 'case-post',
      left: bar('front'),
      right: bar('back'),
      up: [foot, over],
      through: out(sides),
      deepest: Math.max(LEAST_DEEP, post - back - recess - LEFT),
    },
    rails: { first: 'lower', last: 'upper', clear: { first: clear, last: clear } },
  });
}

/** Where the figures of a frame that lies are decided; null where a problem of the whole case says the same. */
const FLOOR_PATHS: Readonly<Record<string, string | null>> = {
  [`${PATH}.floor.across`]: null,
  [`${PATH}.floor.up`]: `${PATH}.floor.panels`,
  [`${PATH}.floor.panelThickness`]: `${PATH}.floor.thickness`,
};

function levelFrame(
  own: FramesDecided,
  { width, depth, sides, across, back, recess }: Shell,
  { which, z, panelled }: { which: 'top' | 'bottom'; z: readonly [low: number, high: number]; panelled: boolean },
): Pick<FramePlan, 'drafts' | 'joints' | 'problems'> {
  const inner = width / 2 - sides;
  const tenon = Math.round(sides * DEEP);
  const [name, long] = [which === 'top' ? 'Top rail' : 'Bottom rail', 2 * (inner + tenon)];
  const bar = (end: (typeof ENDS)[number]) => ({ id: `${which}-${end}`, name: `${name}, ${end}` });
  const tenoned = (draft: Draft): Draft => ({
    ...draft,
    size: { ...draft.size, length: long },
    beyond: { start: tenon, end: tenon },
  });
  if (!panelled)
    return {
      drafts: ENDS.map((end) =>
        tenoned({
          ...{ ...bar(end), kind: 'case-rail', grade: 'hidden' },
          size: { length: 2 * inner, width: own.level, thickness: across },
          frame: squareFrame([0, (end === 'front' ? -1 : 1) * (depth / 2 - own.level / 2), (z[0] + z[1]) / 2], {
            ...{ length: 'x', width: 'y', thickness: 'z' },
          }),
        }),
      ),
      joints: [],
      problems: [],
    };
  const { thickness, panels, tongue, room } = own.floor;
  const plan = frameAndPanels(
    {
      ...{ thickness: across, stile: own.level, rail: own.level, across: 1, up: panels },
      ...{ panelThickness: thickness, tongue, room },
    },
    {
      ...{ id: which, name: `the ${which}`, toward: 'x', path: `${PATH}.floor` },
      ...{
        along: [-depth / 2, depth / 2],
        up: [-inner, inner],
        through: z,
        deepest: Math.max(LEAST_DEEP, own.level - back - recess - LEFT),
      },
      stiles: {
        kind: 'case-rail',
        left: bar('front'),
        right: bar('back'),
        up: [-inner, inner],
        through: z,
        deepest: own.level,
      },
      rails: { first: 'left', last: 'right', clear: { first: SHOULDER, last: SHOULDER } },
    },
  );
  const laid = turned(plan, LYING);
  const problems = laid.problems.flatMap((own) => {
    const where = FLOOR_PATHS[own.where];
    return where === null ? [] : [{ ...own, where: where ?? own.where }];
  });
  return {
    ...laid,
    problems,
    drafts: laid.drafts.map((draft) => (draft.kind === 'case-rail' ? tenoned(draft) : draft)),
  };
}

/** The rails above and below, a tenon at each end. */
function railsInPosts(
  own: FramesDecided,
  { width, depth, sides, across, under, over }: Shell,
  posts: readonly Draft[],
): Joint[] {
  const inner = width / 2 - sides;
  const tenon = Math.round(sides * DEEP);
  const wide = Math.min(own.level, own.post);
  return (['bottom', 'top'] as const).flatMap((which) => {
    const low = which === 'bottom' ? under : over - across;
    const z = [low + across / 4, low + (3 * across) / 4] as const;
    return ENDS.flatMap((end) =>
      SIDES.map((side): Joint => {
        const [way, toward] = [side === 'left' ? -1 : 1, end === 'front' ? -1 : 1];
        const edges = [toward * (depth / 2 - SHOULDER), toward * (depth / 2 - wide + SHOULDER)];
        const y = [Math.min(...edges), Math.max(...edges)] as const;
        const x = [way * inner, way * (inner + tenon)].sort((a, b) => a - b) as [number, number];
        const solid = box([x[0], y[0], z[0]], [x[1], y[1], z[1]]);
        const [into, from] = [`post-${end}-${side}`, `${which}-${end}`];
        const post = posts.find(({ id }) => id === into)?.name.toLowerCase() ?? into;
        const name = `${which === 'top' ? 'Top' : 'Bottom'} rail, ${end}, in ${post}`;
        const at = { x: way * inner, y: (y[0] + y[1]) / 2, z: (z[0] + z[1]) / 2 };
        return {
          ...{ id: `${into}/${from}`, kind: 'frame-tenon', name, into, from, along: [way, 0, 0] },
          removed: [{ part: into, what: 'mortise', solid, open: [[-way, 0, 0]] }],
          added: [{ part: from, solid }],
          ties: glued({ id: `${into}/${from}`, name, a: into, b: from, at }, { y: y[1] - y[0] }),
        };
      }),
    );
  });
}

/** How high the tenons of a side's rails are. */
const tenonOf = ({ rail, tongue }: FramesDecided, across: number): number => rail - across - CLEAR - tongue;

/**
 * Two side frames pushed from the front at their upper edge: of a push F each post takes a quarter. Between the rails it is
 * bent both ways about the middle, below them it stands as a leg. Joints taken as stiff, feet as resting; panels and rails
 * between count for nothing.
 */
export function rackingOf(own: FramesDecided, thickness: number, shell: Shell): Racking {
  const { depth, sides, across, foot, under, over } = shell;
  const [leg, story] = [under + own.rail / 2 - foot, over - under - own.rail];
  const span = depth - own.post;
  const [ofPost, ofRail] = [(sides * own.post ** 3) / 12, (thickness * own.rail ** 3) / 12];
  // A plinth or a stand keeps the lower ends of the posts where they are.
  const below = foot < under ? leg : 0;
  const [upper, lower] = [story / 2, story / 2 + below];
  const height = Math.max(1, tenonOf(own, across));
  return {
    ...{ way: 'across', of: 'sides', joint: 'the side rails’ tenons', lever: lower / 4 },
    parts: SIDES.flatMap((side) => [`${SHELL[side]}-rail-1`, `${SHELL[side]}-rail-${own.up + 1}`]),
    resists: { kind: 'bent', modulus: (own.panelThickness * height ** 2) / 6 },
    sway:
      (story ** 3 / (12 * ofPost) + below ** 3 / (3 * ofPost) + ((upper ** 2 + lower ** 2) * span) / (6 * ofRail)) / 4,
    formula: 'push ÷ 4 posts · (half the height between the rails + floor to the lower one)',
    deepens: {
      ...{ height: `${PATH}.rail`, now: own.rail },
      thicker: [1.4, 2].map((more) => [
        { path: `${PATH}.rail`, value: Math.min(250, Math.ceil(own.rail * more)) },
        { path: `${PATH}.panelThickness`, value: Math.min(Math.floor(thickness / 2), own.panelThickness + 4) },
      ]),
    },
  };
}

function problemsOf(
  own: FramesDecided,
  thickness: number,
  { width, depth, sides, across, under, over }: Shell,
): Unbuildable[] {
  const found: Unbuildable[] = [];
  const { post, level, rail } = own;
  if (depth - 2 * Math.max(post, level) < LEAST_BETWEEN) {
    const most = Math.max(30, Math.floor((depth - LEAST_BETWEEN) / 2));
    const narrow = (tongue: number, room: number, share: number) => {
      const deepest = Math.floor(most * share);
      return { tongue: Math.min(tongue, deepest), room: Math.min(room, Math.max(0, deepest - 4)) };
    };
    found.push({
      problem: 'Front and back of it leave nothing between them.',
      where: PATH,
      wayOut: 'Make posts and rails narrower, or the case deeper.',
      mends: {
        ...own,
        ...{ post: Math.min(post, most), level: Math.min(level, most) },
        ...narrow(own.tongue, own.room, 0.5),
        floor: { ...own.floor, ...narrow(own.floor.tongue, own.floor.room, 0.28) },
      },
    });
  }
  if (tenonOf(own, across) < LEAST_TENON)
    found.push({
      problem: 'Rails of the sides so low have no tenon beside those above and below.',
      where: `${PATH}.rail`,
      wayOut: 'Make them higher.',
      mends: Math.ceil(rail + LEAST_TENON - tenonOf(own, across)),
    });
  if (thickness > sides)
    found.push({
      problem: 'The rails of the sides are thicker than the posts.',
      where: `${PATH}.thickness`,
      wayOut: 'Make them thinner.',
      mends: Math.max(12, Math.floor(sides)),
    });
  if (over - under - 2 * rail < LEAST_BETWEEN || width < 4 * sides)
    found.push({
      problem: 'Its rails leave nothing between them.',
      where: `${PATH}.rail`,
      wayOut: 'Make them lower, or the case higher.',
      mends: Math.max(40, Math.floor((over - under - LEAST_BETWEEN) / 2)),
    });
  return found;
}
