import * as v from 'valibot';
import { amount, length, whole } from '../../../../decision/fields';
import type { Joint } from '../../../../joint/joint';
import { type LegMitre, legMitre, legMitrePlane, legSpline } from '../../../../joint/leg-mitre';
import { tenonModulus } from '../../../../joint/tenon-strength';
import { fixed } from '../../../../restraint/tie';
import { box, clipAll, planeThrough, reach } from '../../../../solid/convex';
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

/** Legs that lean outward, even round the middle, bridled or mitred to arms that meet there. */
export function splayedBase(drawn: Splayed, { bench }: BuildDecisions, top: TopSize): BasePlan {
  const each = (part: string) => Array.from({ length: drawn.legs }, (_, i) => `${part}-${i + 1}`);
  const form: Splayed = {
    ...drawn,
    leg: settleSection(bench, each('leg'), drawn.leg, 'width'),
    arm: settleSection(bench, each('arm'), drawn.arm, 'height'),
  };
  const { leg, arm } = form;
  const lean = (form.lean * Math.PI) / 180;
  const [slope, level] = [Math.tan(lean), leg.width / Math.cos(lean)];
  // Legs that are cut, at their lean, make the table as high as they are; arms that are cut set them as far out.
  const cutLeg = measured(bench, each('leg'), 'length');
  const mitred = form.joint === 'mitre';
  // Under a mitre a leg ends in its outer corner.
  const underside =
    cutLeg === undefined ? form.height - top.thickness : (cutLeg - (mitred ? 0 : leg.width * slope)) * Math.cos(lean);
  /** Of the leg's outer and inner faces from the middle at a height. */
  const cutArm = measured(bench, each('arm'), 'length');
  const reachOut = cutArm === undefined ? form.reach : cutArm - (mitred ? 0 : arm.height * slope);
  const outer = (z: number) => reachOut + (underside - z) * slope;
  const inner = (z: number) => outer(z) - level;
  const thinner = Math.min(leg.thickness, arm.thickness);
  const tongue = Math.max(6, Math.round((leg.thickness * 2) / 3) / 2);
  const low = underside - arm.height;
  const half = Math.PI / form.legs;
  const joined = mitred
    ? splineOf(thinner, {
        inner: [inner(low), 0, low],
        outer: [outer(underside), 0, underside],
        aside: [0, 1, 0],
        upper: UP,
        outward: [Math.cos(lean), 0, Math.sin(lean)],
      })
    : { joint: 'the arms’ tongues', size: { thickness: tongue, width: arm.height } };

  const spokes = legDirections(form.legs).map((angle, i) => {
    const out = turnedAboutZ([1, 0, 0], angle);
    const aside = turnedAboutZ([0, 1, 0], angle);
    const leans: Vec = plus(times(out, -Math.sin(lean)), times(UP, Math.cos(lean)));
    const middle = plus(times(out, (outer(underside / 2) + inner(underside / 2)) / 2), times(UP, underside / 2));
    const legFrame = leaningFrame(middle, leans, out);
    const point = (r: number, z: number) => plus(times(out, r), times(UP, z));
    const corner: LegMitre = {
      inner: point(inner(low), low),
      outer: point(outer(underside), underside),
      aside,
      upper: UP,
      outward: legFrame.width,
    };
    const mitre = legMitrePlane(corner);
    const fromMitre = { normal: times(mitre.normal, -1), offset: -mitre.offset };
    const body = clipAll(
      blockOf(4 * underside, leg.width, leg.thickness),
      [planeThrough([0, 0, 0], [0, 0, -1]), planeThrough([0, 0, underside], UP), ...(mitred ? [fromMitre] : [])].map(
        (plane) => planeInPart(legFrame, plane),
      ),
    );
    const along = reach(body, [1, 0, 0]);
    const bevel = { mitre: form.lean, bevel: 0 };
    const upright: Draft = {
      id: `leg-${i + 1}`,
      name: `Leg ${i + 1}`,
      kind: 'leg',
      grade: 'all-faces',
      size: { length: along.to - along.from, width: leg.width, thickness: leg.thickness },
      frame: legFrame,
      body: [body],
      ends: { start: bevel, end: mitred ? endCut(legFrame, mitre.normal) : bevel },
    };

    // The arm ends on the leg's inner face, which leans; its tongue goes on to the outer one.
    const long = mitred ? outer(underside) : inner(low);
    const armFrame: Frame = {
      at: plus(times(out, long / 2), times(UP, underside - arm.height / 2)),
      length: out,
      width: UP,
      thickness: times(aside, -1),
    };
    const faceNormal = legFrame.width;
    const innerFace = planeThrough(plus(times(out, inner(underside)), times(UP, underside)), faceNormal);
    const outerFace = planeThrough(plus(times(out, outer(underside)), times(UP, underside)), faceNormal);
    const points = [1, -1].map((side) => planeThrough([0, 0, 0], turnedAboutZ([0, side, 0], angle + side * half)));
    const armBody = clipAll(
      blockOf(2 * long, arm.height, arm.thickness),
      [mitred ? mitre : innerFace, ...points].map((plane) => planeInPart(armFrame, plane)),
    );
    const tongueSolid = clipAll(
      solidInPiece(armFrame, box([-long, -arm.height / 2, -tongue / 2], [3 * long, arm.height / 2, tongue / 2])),
      [outerFace, { normal: times(innerFace.normal, -1), offset: -innerFace.offset }],
    );
    const span = reach(armBody, [1, 0, 0]);
    const tip = mitred ? span.to : Math.max(...tongueSolid.corners.map((p) => inPart(armFrame, p)[0]));
    const beam: Draft = {
      id: `arm-${i + 1}`,
      name: `Arm ${i + 1}`,
      kind: 'bearer',
      grade: 'one-face',
      size: { length: tip - span.from, width: arm.height, thickness: arm.thickness },
      beyond: { start: 0, end: tip - span.to },
      frame: armFrame,
      body: [armBody],
      ends: {
        start: { mitre: 0, bevel: 90 - 180 / form.legs },
        end: mitred ? endCut(armFrame, mitre.normal) : { mitre: form.lean, bevel: 0 },
      },
    };
    const id = `${upright.id}/${beam.id}`;
    if (mitred) {
      const spline = { id, leg: forJoint(upright), arm: forJoint(beam), mitre: corner, thickness: thinner };
      return { out, upright, beam, joint: legMitre(spline) };
    }
    const joint: Joint = {
      id,
      kind: 'bridle',
      name: `${beam.name} in ${upright.name.toLowerCase()}`,
      into: upright.id,
      from: beam.id,
      removed: [
        { part: upright.id, what: 'bridle', solid: tongueSolid, open: [times(faceNormal, -1), faceNormal, UP] },
      ],
      added: [{ part: beam.id, solid: tongueSolid }],
      ties: [
        fixed({
          id,
          name: `${beam.name} in ${upright.name.toLowerCase()}`,
          a: upright.id,
          b: beam.id,
          at: pointOf(times(out, (inner(low) + outer(low)) / 2), underside - arm.height / 2),
        }),
      ],
    };
    return { out, upright, beam, joint };
  });

  const middle = spokes.map(({ beam }, i): Joint => {
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
      ties: [fixed({ id, name, a: beam.id, b: next.id, at: pointOf([0, 0, 0], underside - arm.height / 2) })],
    };
  });

  const feet = spokes.flatMap(({ upright }) => footOf(upright));
  return {
    drafts: [...spokes.map(({ upright }) => upright), ...spokes.map(({ beam }) => beam)],
    joints: [...spokes.map(({ joint }) => joint), ...middle],
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
    feet,
    knees: { height: low, parts: spokes.map(({ beam }) => beam.id), words: 'the arms' },
    span: {
      along: 2 * form.reach * Math.sin(half),
      beyond: Math.max(0, top.length / 2 - reachOut),
      across: null,
    },
    bending: [
      {
        id: 'arm',
        part: 'arm-1',
        words: 'Two arms together, from leg to leg over the middle,',
        how: 'span',
        span: 2 * inner(underside),
        breadth: arm.thickness,
        depth: arm.height,
        share: 2 / form.legs,
        path: 'form.base.arm.height',
      },
    ],
    leaned: [
      {
        id: 'leg',
        joint: joined.joint,
        parts: spokes.flatMap(({ upright, beam }) => [upright.id, beam.id]),
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
        parts: spokes.flatMap(({ upright, beam }) => [upright.id, beam.id]),
        // Legs take of a push by the square of the cosine to it, all together half their number.
        lever: low / (form.legs / 2),
        resists: { kind: 'bent', modulus: tenonModulus(joined.size) },
        sway: low ** 3 / (3 * (form.legs / 2) * ((leg.thickness * leg.width ** 3) / 12)),
        formula: 'push ÷ half the number of legs · height to the arm',
      },
    ],
    corner: null,
    fittings: [{ name: 'Plate under the middle, screwed to every arm', count: 1, size: [2 * CLEAR_OF_MIDDLE + 40] }],
    problems: impossible(form, underside, inner(underside)),
  };
}

/** What holds in a mitre is its spline. */
function splineOf(thickness: number, mitre: LegMitre) {
  const spline = legSpline(thickness, mitre);
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
