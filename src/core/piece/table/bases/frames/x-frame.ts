import type { Joint } from '../../../../joint/joint';
import { stretcherTenon } from '../../../../joint/post-tenons';
import { tenonJoint } from '../../../../joint/tenon';
import { tenonModulus } from '../../../../joint/tenon-strength';
import { fixed } from '../../../../restraint/tie';
import { clipAll, NOTHING, planeThrough } from '../../../../solid/convex';
import type { Vec } from '../../../../solid/vector';
import { type Draft, forJoint } from '../../../part';
import type { BasePlan, BuildDecisions, TopSize } from '../../../plans';
import { drawnSize, measured, settleSection } from '../../../settle-locks';
import type { Unbuildable } from '../../../unbuildable';
import type { BaseKind } from '../../kind';
import { to5, within } from '../../round-figure';
import { barBetween, bearerOn, middleOfFrame, onBothSides, onTwoBearers, SIDES, swayHeldByBar } from './two-frames';
import { crossing, halfLap, headOfLegs, leaning, schema, type solveX, type XFrame } from './x-legs';

/** An X base as drawn or as cut, and the sizes that follow from it. mm */
interface Sizes extends ReturnType<typeof crossing> {
  form: XFrame;
  /** Floor to the bearers, and to the top. */
  head: number;
  underside: number;
  /** How far the stretcher is let into the crossings, and its tenon. */
  into: number;
  rail: ReturnType<typeof stretcherTenon>;
  /** From the middle of the table to that of a frame. */
  middle: number;
  bearerLong: number;
}

/** One crossed frame, at one end of the table; leg a leans to the back. */
interface OneFrame {
  side: 1 | -1;
  word: string;
  at: number;
  legs: readonly [a: Draft, b: Draft];
  beam: Draft;
}

/** Two crossed frames under bearers, and a stretcher from crossing to crossing. */
export function xFrameBase(drawn: XFrame, build: BuildDecisions, top: TopSize): BasePlan {
  const sizes = sizesOf(drawn, build, top);
  const { form, solved, x, head, underside, middle, into, rail, bearerLong } = sizes;
  const { leg, spread, bearer, stretcher } = form;
  const bar = barBetween({
    id: 'stretcher',
    name: 'Stretcher',
    z: x.crossing,
    long: 2 * middle - leg.thickness,
    beyond: into,
    bar: stretcher,
  });
  const frames = SIDES.map(({ side, word }): OneFrame => {
    const at = side * middle;
    const legOf = (way: 1 | -1) => leaning(form, at, way, word, head, sizes);
    return {
      side,
      word,
      at,
      legs: [legOf(1), legOf(-1)],
      beam: bearerOn({ word, x: at, long: bearerLong, underside, bearer }),
    };
  });
  return {
    drafts: [...frames.flatMap(({ legs, beam }) => [...legs, beam]), bar],
    joints: frames.flatMap((frame) => jointsOf(sizes, frame, bar)),
    ...onTwoBearers({
      middle,
      underside,
      bearer: { long: bearerLong, thickness: bearer.thickness },
      foot: { long: spread.floor, thickness: leg.thickness },
      top,
    }),
    ...strengthOf(sizes, frames, top),
    fittings: [],
    problems: impossible(solved, head, rail),
  };
}

const bothLegs = (): string[] => [...onBothSides('leg', '-a'), ...onBothSides('leg', '-b')];

function sizesOf(drawn: XFrame, { form: whole, bench }: BuildDecisions, top: TopSize): Sizes {
  const form: XFrame = {
    ...drawn,
    leg: settleSection(bench, bothLegs(), drawn.leg, 'width'),
    bearer: settleSection(bench, onBothSides('bearer'), drawn.bearer, 'height'),
    stretcher: settleSection(bench, ['stretcher'], drawn.stretcher, 'height'),
  };
  const { leg, spread, bearer, stretcher } = form;
  const drawnTop = drawnSize(whole.top);
  // Legs that are cut, crossed over the same spread, make the table as high as they are.
  const cutLeg = measured(bench, bothLegs(), 'length');
  const drawnHead = form.height - top.thickness - bearer.height;
  const head = cutLeg === undefined ? drawnHead : headOfLegs(form, drawnHead, cutLeg);
  const thickest = Math.max(leg.thickness, bearer.thickness);
  const into = Math.max(5, leg.thickness - 10);
  // A stretcher that is cut sets the frames as far apart.
  const cutStretcher = measured(bench, ['stretcher'], 'length');
  return {
    form,
    ...crossing(form, head),
    head,
    underside: head + bearer.height,
    into,
    rail: stretcherTenon({ height: stretcher.height, thickness: stretcher.thickness, postWidth: leg.width }),
    middle:
      cutStretcher === undefined
        ? middleOfFrame(drawnTop.length, whole.top.endOverhang, thickest)
        : Math.max(thickest, (cutStretcher - 2 * into + leg.thickness) / 2),
    bearerLong:
      measured(bench, onBothSides('bearer'), 'length') ??
      Math.max(spread.head, drawnTop.width - 2 * whole.top.sideOverhang),
  };
}

/** The legs' heads in the bearer, the lap where they cross, and the stretcher through it. */
function jointsOf(sizes: Sizes, frame: OneFrame, bar: Draft): Joint[] {
  const { x, tenon, head } = sizes;
  const { side, word, at, legs, beam } = frame;
  const lap = halfLap(`lap-${word}`, ...legs, at, side, x.crossing);
  return [
    ...legs.map((draft, i) =>
      tenonJoint({
        id: `${beam.id}/${draft.id}`,
        kind: 'mortise-tenon',
        into: forJoint(beam),
        from: forJoint(draft),
        at: [at, (i === 0 ? 1 : -1) * x.middles.head, head],
        along: [0, 0, 1],
        wide: [0, 1, 0],
        size: tenon,
      }),
    ),
    lap,
    throughCrossing(sizes, frame, bar, lap),
  ];
}

function throughCrossing({ form, x, rail, into }: Sizes, { side, word, at, legs }: OneFrame, bar: Draft, lap: Joint) {
  const [a, b] = legs;
  const id = `lap-${word}/stretcher`;
  const name = `Stretcher in the crossing, ${word}`;
  const through = tenonJoint({
    id,
    kind: 'mortise-tenon',
    into: forJoint(a),
    from: forJoint(bar),
    at: [at - (side * form.leg.thickness) / 2, 0, x.crossing],
    along: [side, 0, 0],
    wide: [0, 0, 1],
    size: { ...rail, length: into },
    ties: [fixed({ id, name, a: a.id, b: bar.id, at: { x: at, y: 0, z: x.crossing } })],
  });
  // Leg a keeps its half toward the stretcher, leg b the other: the mortise runs through both.
  const [mortise] = through.removed;
  const half = (toward: number, ...open: Vec[]) => ({
    ...mortise,
    what: 'mortise' as const,
    solid: clipAll(mortise?.solid ?? NOTHING, [planeThrough([at, 0, 0], [toward, 0, 0])]),
    open,
  });
  const [inner, outer]: Vec[] = [
    [-side, 0, 0],
    [side, 0, 0],
  ];
  return {
    ...through,
    name,
    removed: [
      { ...half(side, inner as Vec, outer as Vec), part: a.id },
      { ...half(-side, inner as Vec), part: b.id },
    ],
    meets: [lap.id],
  };
}

function strengthOf(
  { form, x, rail, underside, middle, bearerLong }: Sizes,
  frames: readonly OneFrame[],
  top: TopSize,
): Pick<BasePlan, 'bending' | 'leaned' | 'racking'> {
  const { leg, bearer, stretcher } = form;
  return {
    bending: [
      {
        id: 'bearer',
        part: 'bearer-left',
        words: 'The bearers, between the heads of the legs,',
        how: 'span',
        span: 2 * x.middles.head,
        breadth: bearer.thickness,
        depth: bearer.height,
        share: 0.5,
        path: 'form.base.bearer.height',
      },
    ],
    leaned: [
      {
        id: 'bearer',
        joint: 'the bearers beyond the legs’ heads',
        parts: onBothSides('bearer'),
        lever: Math.max(0, Math.min(top.width / 2, bearerLong / 2) - x.middles.head),
        modulus: (bearer.thickness * bearer.height ** 2) / 6,
        area: null,
        formula: 'load · bearer’s end beyond the legs’ heads, all on one frame',
      },
    ],
    racking: [
      {
        way: 'along',
        joint: 'the stretcher’s tenons',
        parts: ['stretcher', ...frames.flatMap(({ legs }) => legs.map((draft) => draft.id))],
        lever: underside / 2,
        resists: { kind: 'bent', modulus: tenonModulus(rail) },
        // Two legs a frame bend through their thickness; from the crossing both ways, as two posts do from a stretcher.
        sway: swayHeldByBar({
          height: underside,
          at: x.crossing,
          span: 2 * middle,
          upright: (2 * leg.width * leg.thickness ** 3) / 12,
          bar: stretcher,
        }),
        formula: 'push · height ÷ 2 ends of the stretcher; across the table the crossed legs are a triangle',
      },
    ],
  };
}

function impossible(solved: ReturnType<typeof solveX>, head: number, rail: { width: number }): Unbuildable[] {
  const problems: Unbuildable[] = [];
  if (!solved) {
    problems.push({
      problem: 'Legs of this width cannot cross between these feet and this bearer.',
      where: 'form.base.spread.floor',
      wayOut: 'Spread them wider, or take narrower legs.',
    });
  }
  if (head < 150) {
    problems.push({
      problem: 'Under the bearer there is no height for legs to cross.',
      where: 'form.base.height',
      wayOut: 'Make the table higher or the bearer lower.',
    });
  }
  if (rail.width < 15) {
    problems.push({
      problem: 'The stretcher is too low for a tenon with shoulders.',
      where: 'form.base.stretcher.height',
      wayOut: 'Make it at least 30 mm high.',
    });
  }
  return problems;
}

export const xFrame: BaseKind<typeof schema> = {
  name: 'Crossed legs',
  reason: 'Two X frames and a stretcher: stiff across, room for feet at the ends.',
  schema,
  onFrames: true,
  fields: [
    { ask: 'figure', at: 'leg.width', label: 'Leg, wide' },
    { ask: 'figure', at: 'leg.thickness', label: 'Leg, thick' },
    { ask: 'figure', at: 'spread.floor', label: 'Over the feet' },
    { ask: 'figure', at: 'spread.head', label: 'Over the heads' },
    { ask: 'figure', at: 'bearer.height', label: 'Bearer, high' },
    { ask: 'figure', at: 'bearer.thickness', label: 'Bearer, thick' },
    { ask: 'figure', at: 'stretcher.height', label: 'Stretcher, high' },
    { ask: 'figure', at: 'stretcher.thickness', label: 'Stretcher, thick' },
  ],
  start: ({ width }) => ({
    leg: { width: 70, thickness: 45 },
    spread: { floor: to5(within(width - 100, 300, 900)), head: to5(within(width - 220, 260, 800)) },
    bearer: { height: 50, thickness: 55 },
    stretcher: { height: 70, thickness: 30 },
  }),
  plan: xFrameBase,
};
