import * as v from 'valibot';
import { amount, length, whole } from '../../../../decision/fields';
import type { Joint } from '../../../../joint/joint';
import { type LegMitre, legMitre, legMitrePlane, legSpline } from '../../../../joint/leg-mitre';
import { tenonModulus } from '../../../../joint/tenon-strength';
import { fixed } from '../../../../restraint/tie';
import { box, type Convex, clipAll, type Plane, planeThrough, reach } from '../../../../solid/convex';
import { type Frame, inPart, leaningFrame, planeInPart, solidInPiece } from '../../../../solid/frame';
import type { Flat } from '../../../../solid/outline';
import { plus, times, turnedAboutZ, type Vec } from '../../../../solid/vector';
import { blockOf, type Draft, footOf, forJoint } from '../../../part';
import type { BasePlan, BuildDecisions, Rest, TopSize } from '../../../plans';
import { measured, settleSection } from '../../../settle-locks';
import type { Unbuildable } from '../../../unbuildable';
import type { BaseKind } from '../../kind';
import { to5, within } from '../../round-figure';
import { endCut } from '../end-cuts';

const schema = v.object({
  kind: v.literal('splayed'),
  height: length(150, 1400),
  legs: whole(3, 6),
  leg: v.object({ width: length(25, 200), thickness: length(20, 150) }),
  /** From upright, outward. */
  lean: amount(0, 25, '°'),
  /** From the middle to the outside of the leg under the top. */
  reach: length(100, 1500),
  arm: v.object({ height: length(30, 200), thickness: length(20, 120) }),
  /** Of an arm and its leg. */
  joint: v.optional(v.picklist(['bridle', 'mitre']), 'bridle'),
});
type Splayed = v.InferOutput<typeof schema>;

const UP: Vec = [0, 0, 1];
/** From the middle, where the arms meet, to the one screw that holds the top there, mm. */
const HELD_FROM_MIDDLE = 60;
/** Around the middle nothing is screwed, mm. */
const CLEAR_OF_MIDDLE = 40;

/** Which way each leg stands: even round the middle; four of them in the corners. Radians. */
export const legDirections = (legs: number): number[] =>
  Array.from({ length: legs }, (_, i) => (legs === 4 ? Math.PI / 4 : 0) + (2 * Math.PI * i) / legs);

/** A splayed base as drawn or as cut, and the sizes that follow from it. mm */
interface Sizes {
  form: Splayed;
  mitred: boolean;
  /** Radians from upright; how far outward for each mm down; what a leg covers, level. */
  lean: number;
  slope: number;
  level: number;
  underside: number;
  /** Floor to the arms' lower edges. */
  low: number;
  /** Of the legs' outside from the middle, under the top. */
  reachOut: number;
  /** Of a leg's outer and inner faces from the middle, at a height. */
  outer: (z: number) => number;
  inner: (z: number) => number;
  /** Of a bridle's tongue. */
  tongue: number;
  /** Of a mitre's spline the thinner of both. */
  thinner: number;
}

/** One leg with its arm, and which way they stand. */
interface Spoke {
  out: Vec;
  upright: Draft;
  beam: Draft;
  joint: Joint;
}

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

function sizesOf(drawn: Splayed, { bench }: BuildDecisions, top: TopSize): Sizes {
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

/** Where one leg stands and how its planes lie, in the piece. */
interface Standing {
  out: Vec;
  aside: Vec;
  legFrame: Frame;
  armFrame: Frame;
  mitre: LegMitre;
  /** Of the leg, toward the middle and away from it. */
  innerFace: Plane;
  outerFace: Plane;
}

function standingAt({ form, lean, underside, low, outer, inner, mitred }: Sizes, angle: number): Standing {
  const { arm } = form;
  const out = turnedAboutZ([1, 0, 0], angle);
  const aside = turnedAboutZ([0, 1, 0], angle);
  const point = (r: number, z: number) => plus(times(out, r), times(UP, z));
  const leans: Vec = plus(times(out, -Math.sin(lean)), times(UP, Math.cos(lean)));
  const half = underside / 2;
  const legFrame = leaningFrame(point((outer(half) + inner(half)) / 2, half), leans, out);
  return {
    out,
    aside,
    legFrame,
    armFrame: {
      at: point(armLong({ mitred, outer, inner, underside, low }) / 2, underside - arm.height / 2),
      length: out,
      width: UP,
      thickness: times(aside, -1),
    },
    mitre: {
      inner: point(inner(low), low),
      outer: point(outer(underside), underside),
      aside,
      upper: UP,
      outward: legFrame.width,
    },
    innerFace: planeThrough(point(inner(underside), underside), legFrame.width),
    outerFace: planeThrough(point(outer(underside), underside), legFrame.width),
  };
}

/** The arm ends on the leg's inner face, which leans; its tongue goes on to the outer one, as a mitred arm does. mm */
const armLong = ({
  mitred,
  outer,
  inner,
  underside,
  low,
}: Pick<Sizes, 'mitred' | 'outer' | 'inner' | 'underside' | 'low'>) => (mitred ? outer(underside) : inner(low));

const turnedRound = ({ normal, offset }: Plane): Plane => ({ normal: times(normal, -1), offset: -offset });

function spokeAt(sizes: Sizes, angle: number, i: number): Spoke {
  const { mitred, thinner } = sizes;
  const standing = standingAt(sizes, angle);
  const upright = legAt(sizes, standing, i);
  const tongue = tongueOf(sizes, standing);
  const beam = armAt(sizes, standing, tongue, angle, i);
  const id = `${upright.id}/${beam.id}`;
  return {
    out: standing.out,
    upright,
    beam,
    joint: mitred
      ? legMitre({ id, leg: forJoint(upright), arm: forJoint(beam), mitre: standing.mitre, thickness: thinner })
      : bridled(sizes, standing, upright, beam, tongue),
  };
}

function legAt({ form, mitred, underside }: Sizes, { legFrame, mitre: corner }: Standing, i: number): Draft {
  const { leg, lean } = form;
  const mitre = legMitrePlane(corner);
  const planes = [
    planeThrough([0, 0, 0], [0, 0, -1]),
    planeThrough([0, 0, underside], UP),
    ...(mitred ? [turnedRound(mitre)] : []),
  ];
  const body = clipAll(
    blockOf(4 * underside, leg.width, leg.thickness),
    planes.map((plane) => planeInPart(legFrame, plane)),
  );
  const along = reach(body, [1, 0, 0]);
  const bevel = { mitre: lean, bevel: 0 };
  return {
    id: `leg-${i + 1}`,
    name: `Leg ${i + 1}`,
    kind: 'leg',
    grade: 'all-faces',
    size: { length: along.to - along.from, width: leg.width, thickness: leg.thickness },
    frame: legFrame,
    body: [body],
    ends: { start: bevel, end: mitred ? endCut(legFrame, mitre.normal) : bevel },
  };
}

/** Of a bridled arm, through its leg from face to face. */
function tongueOf(sizes: Sizes, { armFrame, innerFace, outerFace }: Standing): Convex {
  const { form, tongue } = sizes;
  const long = armLong(sizes);
  const bar = box([-long, -form.arm.height / 2, -tongue / 2], [3 * long, form.arm.height / 2, tongue / 2]);
  return clipAll(solidInPiece(armFrame, bar), [outerFace, turnedRound(innerFace)]);
}

function armAt(sizes: Sizes, standing: Standing, tongue: Convex, angle: number, i: number): Draft {
  const { form, mitred } = sizes;
  const { armFrame, innerFace } = standing;
  const { arm, legs } = form;
  const mitre = legMitrePlane(standing.mitre);
  const points = [1, -1].map((side) =>
    planeThrough([0, 0, 0], turnedAboutZ([0, side, 0], angle + (side * Math.PI) / legs)),
  );
  const body = clipAll(
    blockOf(2 * armLong(sizes), arm.height, arm.thickness),
    [mitred ? mitre : innerFace, ...points].map((plane) => planeInPart(armFrame, plane)),
  );
  const span = reach(body, [1, 0, 0]);
  const tip = mitred ? span.to : Math.max(...tongue.corners.map((p) => inPart(armFrame, p)[0]));
  return {
    id: `arm-${i + 1}`,
    name: `Arm ${i + 1}`,
    kind: 'bearer',
    grade: 'one-face',
    size: { length: tip - span.from, width: arm.height, thickness: arm.thickness },
    beyond: { start: 0, end: tip - span.to },
    frame: armFrame,
    body: [body],
    ends: {
      start: { mitre: 0, bevel: 90 - 180 / legs },
      end: mitred ? endCut(armFrame, mitre.normal) : { mitre: form.lean, bevel: 0 },
    },
  };
}

function bridled(sizes: Sizes, { out, legFrame }: Standing, upright: Draft, beam: Draft, tongue: Convex): Joint {
  const { form, low, underside, inner, outer } = sizes;
  const id = `${upright.id}/${beam.id}`;
  const name = `${beam.name} in ${upright.name.toLowerCase()}`;
  const at = pointOf(times(out, (inner(low) + outer(low)) / 2), underside - form.arm.height / 2);
  const open = [times(legFrame.width, -1), legFrame.width, UP];
  return {
    id,
    kind: 'bridle',
    name,
    into: upright.id,
    from: beam.id,
    removed: [{ part: upright.id, what: 'bridle', solid: tongue, open }],
    added: [{ part: beam.id, solid: tongue }],
    ties: [fixed({ id, name, a: upright.id, b: beam.id, at })],
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

function strengthOf(sizes: Sizes, spokes: readonly Spoke[]): Pick<BasePlan, 'bending' | 'leaned' | 'racking'> {
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
function heldBy({ form, mitred, lean, underside, low, inner, outer, tongue, thinner }: Sizes) {
  if (!mitred) return { joint: 'the arms’ tongues', size: { thickness: tongue, width: form.arm.height } };
  const spline = legSpline(thinner, {
    inner: [inner(low), 0, low],
    outer: [outer(underside), 0, underside],
    aside: [0, 1, 0],
    upper: UP,
    outward: [Math.cos(lean), 0, Math.sin(lean)],
  });
  return { joint: 'the splines of the legs', size: { thickness: spline.thickness, width: spline.wide } };
}

const pointOf = ([x, y]: Vec, z: number) => ({ x, y, z });

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
