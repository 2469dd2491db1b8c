import * as v from 'valibot';
import { amount, length, whole } from '../../../../decision/fields';
import type { Joint } from '../../../../joint/joint';
import { type LegMitre, legMitre, legMitrePlane } from '../../../../joint/leg-mitre';
import { fixed } from '../../../../restraint/tie';
import { box, type Convex, clipAll, type Plane, planeThrough, reach } from '../../../../solid/convex';
import { type Frame, inPart, leaningFrame, planeInPart, solidInPiece } from '../../../../solid/frame';
import { plus, times, turnedAboutZ, type Vec } from '../../../../solid/vector';
import { blockOf, type Draft, forJoint } from '../../../part';
import { endCut } from '../end-cuts';

export const schema = v.object({
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
export type Splayed = v.InferOutput<typeof schema>;

const UP: Vec = [0, 0, 1];

/** A splayed base as drawn or as cut, and the sizes that follow from it. mm */
export interface SplayedSizes {
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
export interface Spoke {
  out: Vec;
  upright: Draft;
  beam: Draft;
  joint: Joint;
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

function standingAt({ form, lean, underside, low, outer, inner, mitred }: SplayedSizes, angle: number): Standing {
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

/** The arm ends on the leg's inner face, which leans; its tongue projects to the outer one, as a mitred arm does. mm */
const armLong = ({
  mitred,
  outer,
  inner,
  underside,
  low,
}: Pick<SplayedSizes, 'mitred' | 'outer' | 'inner' | 'underside' | 'low'>) => (mitred ? outer(underside) : inner(low));

const turnedRound = ({ normal, offset }: Plane): Plane => ({ normal: times(normal, -1), offset: -offset });

/** @param angle of its direction, radians */
export function spokeAt(sizes: SplayedSizes, angle: number, i: number): Spoke {
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

function legAt({ form, mitred, underside }: SplayedSizes, { legFrame, mitre: corner }: Standing, i: number): Draft {
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
function tongueOf(sizes: SplayedSizes, { armFrame, innerFace, outerFace }: Standing): Convex {
  const { form, tongue } = sizes;
  const long = armLong(sizes);
  const bar = box([-long, -form.arm.height / 2, -tongue / 2], [3 * long, form.arm.height / 2, tongue / 2]);
  return clipAll(solidInPiece(armFrame, bar), [outerFace, turnedRound(innerFace)]);
}

function armAt(sizes: SplayedSizes, standing: Standing, tongue: Convex, angle: number, i: number): Draft {
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

function bridled(sizes: SplayedSizes, { out, legFrame }: Standing, upright: Draft, beam: Draft, tongue: Convex): Joint {
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

export const pointOf = ([x, y]: Vec, z: number) => ({ x, y, z });
