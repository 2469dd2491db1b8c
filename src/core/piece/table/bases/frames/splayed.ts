import type { Joint } from '../../../../joint/joint';
import { legSpline } from '../../../../joint/leg-mitre';
import { tenonModulus } from '../../../../joint/tenon-strength';
import { fixed } from '../../../../restraint/tie';
import type { Flat } from '../../../../solid/outline';
import { footOf } from '../../../part';
import type { BasePlan, BuildDecisions, Rest, TopSize } from '../../../plans';
import { measured, settleSection } from '../../../settle-locks';
import type { Unbuildable } from '../../../unbuildable';
import type { BaseKind } from '../../kind';
import { to5, within } from '../../round-figure';
import { pointOf, type Splayed, type SplayedSizes, type Spoke, schema, spokeAt } from './splayed-legs';

/** From the middle, where the arms meet, to the one screw that holds the top there, mm. */
const HELD_FROM_MIDDLE = 60;
/** Around the middle nothing is screwed, mm. */
const CLEAR_OF_MIDDLE = 40;

/** Which way each leg stands: even round the middle; four of them in the corners. Radians. */
export const legDirections = (legs: number): number[] =>
  Array.from({ length: legs }, (_, i) => (legs === 4 ? Math.PI / 4 : 0) + (2 * Math.PI * i) / legs);

/** Legs that lean outward, even round the middle, bridled or mitred to arms that meet there. */
export function splayedBase(drawn: Splayed, build: BuildDecisions, top: TopSize): BasePlan {
  const sizes = sizesOf(drawn, build, top);
  const { form, underside, low, inner, reachOut } = sizes;
  const { arm } = form;
  const spokes = legDirections(form.legs).map((angle, i) => spokeAt(sizes, angle, i));
  return {
    drafts: [...spokes.map(({ upright }) => upright), ...spokes.map(({ beam }) => beam)],
    joints: [...spokes.map(({ joint }) => joint), ...inTheMiddle(spokes, underside - arm.height / 2)],
    rests: spokes.map(({ out, beam }, i): Rest => {
      const at = (d: number): Flat => [out[0] * d, out[1] * d];
      return {
        part: beam.id,
        from: at(CLEAR_OF_MIDDLE),
        to: at(inner(underside)),
        held: i === 0 ? at(HELD_FROM_MIDDLE) : null,
        slides: true,
      };
    }),
    underside,
    clearAcross: null,
    feet: spokes.flatMap(({ upright }) => footOf(upright)),
    knees: { height: low, parts: spokes.map(({ beam }) => beam.id), words: 'the arms' },
    span: {
      along: 2 * form.reach * Math.sin(Math.PI / form.legs),
      beyond: Math.max(0, top.length / 2 - reachOut),
      across: null,
    },
    ...strengthOf(sizes, spokes),
    corner: null,
    fittings: [{ name: 'Plate under the middle, screwed to every arm', count: 1, size: [2 * CLEAR_OF_MIDDLE + 40] }],
    problems: impossible(form, underside, inner(underside)),
  };
}

function sizesOf(drawn: Splayed, { bench }: BuildDecisions, top: TopSize): SplayedSizes {
  const each = (part: string) => Array.from({ length: drawn.legs }, (_, i) => `${part}-${i + 1}`);
  const form: Splayed = {
    ...drawn,
    leg: settleSection(bench, each('leg'), drawn.leg, 'width'),
    arm: settleSection(bench, each('arm'), drawn.arm, 'height'),
  };
  const { leg, arm } = form;
  const mitred = form.joint === 'mitre';
  const lean = (form.lean * Math.PI) / 180;
  const [slope, level] = [Math.tan(lean), leg.width / Math.cos(lean)];
  // Legs that are cut, at their lean, make the table as high as they are; arms that are cut set them as far out.
  const cutLeg = measured(bench, each('leg'), 'length');
  const cutArm = measured(bench, each('arm'), 'length');
  // Under a mitre a leg ends in its outer corner.
  const underside =
    cutLeg === undefined ? form.height - top.thickness : (cutLeg - (mitred ? 0 : leg.width * slope)) * Math.cos(lean);
  const reachOut = cutArm === undefined ? form.reach : cutArm - (mitred ? 0 : arm.height * slope);
  const outer = (z: number) => reachOut + (underside - z) * slope;
  return {
    form,
    mitred,
    lean,
    slope,
    level,
    underside,
    low: underside - arm.height,
    reachOut,
    outer,
    inner: (z) => outer(z) - level,
    tongue: Math.max(6, Math.round((leg.thickness * 2) / 3) / 2),
    thinner: Math.min(leg.thickness, arm.thickness),
  };
}

/** Each arm against the next. @param z of their middle; mm */
const inTheMiddle = (spokes: readonly Spoke[], z: number): Joint[] =>
  spokes.map(({ beam }, i): Joint => {
    const next = spokes[(i + 1) % spokes.length]?.beam ?? beam;
    const id = `middle-${i + 1}`;
    const name = `${beam.name} against ${next.name.toLowerCase()}`;
    return {
      id,
      kind: 'meeting-arms',
      name,
      into: beam.id,
      from: next.id,
      removed: [],
      added: [],
      ties: [fixed({ id, name, a: beam.id, b: next.id, at: pointOf([0, 0, 0], z) })],
    };
  });

function strengthOf(sizes: SplayedSizes, spokes: readonly Spoke[]): Pick<BasePlan, 'bending' | 'leaned' | 'racking'> {
  const { form, slope, underside, low, inner } = sizes;
  const { leg, arm, legs } = form;
  const joined = heldBy(sizes);
  const parts = spokes.flatMap(({ upright, beam }) => [upright.id, beam.id]);
  return {
    bending: [
      {
        id: 'arm',
        part: 'arm-1',
        words: 'Two arms together, from leg to leg over the middle,',
        how: 'span',
        span: 2 * inner(underside),
        breadth: arm.thickness,
        depth: arm.height,
        share: 2 / legs,
        path: 'form.base.arm.height',
      },
    ],
    leaned: [
      {
        id: 'leg',
        joint: joined.joint,
        parts,
        // The foot pushes up so far outside of where the arm holds the leg.
        lever: (low + arm.height / 2) * slope,
        modulus: tenonModulus(joined.size),
        area: joined.size.thickness * joined.size.width,
        formula: 'load · how far the foot stands outside the joint, all on one leg',
      },
    ],
    racking: [
      {
        way: 'along',
        joint: joined.joint,
        parts,
        // Legs take of a push by the square of the cosine to it, all together half their number.
        lever: low / (legs / 2),
        resists: { kind: 'bent', modulus: tenonModulus(joined.size) },
        sway: low ** 3 / (3 * (legs / 2) * ((leg.thickness * leg.width ** 3) / 12)),
        formula: 'push ÷ half the number of legs · height to the arm',
      },
    ],
  };
}

/** What holds in a bridle is its tongue, in a mitre its spline. */
function heldBy({ form, mitred, lean, underside, low, inner, outer, tongue, thinner }: SplayedSizes) {
  if (!mitred) return { joint: 'the arms’ tongues', size: { thickness: tongue, width: form.arm.height } };
  const spline = legSpline(thinner, {
    inner: [inner(low), 0, low],
    outer: [outer(underside), 0, underside],
    aside: [0, 1, 0],
    upper: [0, 0, 1],
    outward: [Math.cos(lean), 0, Math.sin(lean)],
  });
  return { joint: 'the splines of the legs', size: { thickness: spline.thickness, width: spline.wide } };
}

function impossible(form: Splayed, underside: number, inner: number): Unbuildable[] {
  const problems: Unbuildable[] = [];
  const narrow = form.arm.thickness / 2 / Math.tan(Math.PI / form.legs);
  if (inner < narrow + 30) {
    problems.push({
      problem: 'The legs stand so near to the middle that nothing is left of the arms.',
      where: 'form.base.reach',
      wayOut: 'Set the legs farther out, or make legs and arms thinner.',
    });
  }
  if (form.arm.height + 50 > underside) {
    problems.push({
      problem: 'The arms reach the floor.',
      where: 'form.base.arm.height',
      wayOut: 'Make the arms lower or the table higher.',
    });
  }
  if (form.joint === 'bridle' && form.arm.thickness < form.leg.thickness / 3 + 6) {
    problems.push({
      problem: 'The arm is too thin for a tongue with shoulders in the leg’s bridle.',
      where: 'form.base.arm.thickness',
      wayOut: 'Make the arm thicker, or the leg thinner.',
    });
  }
  return problems;
}

export const splayed: BaseKind<typeof schema> = {
  name: 'Splayed legs',
  reason: 'Three or more legs leaning out from arms that meet: three always stand.',
  schema,
  standsByItself: true,
  fields: [
    { ask: 'figure', at: 'legs', label: 'Legs' },
    { ask: 'figure', at: 'lean', label: 'Leaning out by', step: 0.5, hint: '5° to 10° is usual.' },
    {
      ask: 'figure',
      at: 'reach',
      label: 'Middle to the legs’ outside',
      hint: 'Under the top; at the floor they stand farther out by their lean.',
    },
    { ask: 'figure', at: 'leg.width', label: 'Leg, wide' },
    { ask: 'figure', at: 'leg.thickness', label: 'Leg, thick' },
    { ask: 'figure', at: 'arm.height', label: 'Arm, high' },
    { ask: 'figure', at: 'arm.thickness', label: 'Arm, thick' },
    {
      ask: 'choice',
      at: 'joint',
      label: 'Leg and arm',
      options: [
        {
          value: 'bridle',
          label: 'Bridle',
          reason: 'The arm’s tongue in an open slot of the leg: strong, and seen from outside.',
        },
        {
          value: 'mitre',
          label: 'Mitre, splined',
          reason: 'Leg and arm are one line with a bend in it; a hidden spline holds what end grain cannot.',
        },
      ],
    },
  ],
  start: ({ length: long, width }) => ({
    legs: Math.min(long, width) > 800 ? 4 : 3,
    leg: { width: 55, thickness: 42 },
    lean: 8,
    reach: to5(within(Math.min(long, width) * 0.36, 150, 900)),
    arm: { height: 55, thickness: 36 },
    joint: 'bridle',
  }),
  plan: splayedBase,
};
