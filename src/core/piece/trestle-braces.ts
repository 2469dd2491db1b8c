import type { BaseOf } from '../decision/job-document';
import type { Joint } from '../joint/joint';
import { slantedTenon } from '../joint/tenon';
import { fixed } from '../restraint/tie';
import { clipAll, corners, planeThrough, reach } from '../solid/convex';
import { inPart, leaningFrame, planeInPart, squareFrame } from '../solid/frame';
import { plus, times, unit, type Vec } from '../solid/vector';
import { blockOf, type Draft, forJoint } from './part';

/** How deep a brace's tenon goes in, square to the face, mm; common practice. */
const BRACE_DEPTH = 25;

/** A brace as it is decided: its section, and from the corner of the two parts it braces to its middle on both. mm */
type Bracing = NonNullable<BaseOf<'trestle'>['braces']>;

/** Two braces at 45° from a post to its bearer, one to either side. */
export function trestleBraces(
  form: BaseOf<'trestle'>,
  braces: BaseOf<'trestle'>['braces'],
  post: Draft,
  bearer: Draft,
  x: number,
  under: number,
): { brace: Draft; joints: Joint[] }[] {
  if (!braces) return [];
  const half = form.post.width / 2;
  const where = post.id.replace('post-', '');
  return ([-1, 1] as const).map((side) => {
    const word = side < 0 ? 'front' : 'back';
    return braceBetween({
      id: `brace-${where}-${word}`,
      name: `Brace, ${where} ${word}`,
      bracing: braces,
      along: unit([0, side, 1]),
      start: {
        into: post,
        at: [x, side * half, under - braces.reach],
        outward: [0, side, 0],
        depth: Math.min(BRACE_DEPTH, form.post.width / 3),
      },
      end: {
        into: bearer,
        at: [x, side * (half + braces.reach), under],
        outward: [0, 0, -1],
        depth: Math.min(BRACE_DEPTH, form.bearer.height / 2),
      },
    });
  });
}

/** Along the table: one from each post down to the stretcher. */
export function buttressBraces(
  form: BaseOf<'trestle'>,
  posts: readonly { side: 1 | -1; post: Draft; inner: number }[],
  stretcher: Draft,
): { brace: Draft; joints: Joint[] }[] {
  const { buttresses } = form;
  if (!buttresses) return [];
  const upper = form.stretcher.at + form.stretcher.height / 2;
  return posts.map(({ side, post, inner }) => {
    const where = post.id.replace('post-', '');
    return braceBetween({
      id: `buttress-${where}`,
      name: `Buttress, ${where}`,
      bracing: buttresses,
      along: unit([side, 0, 1]),
      start: {
        into: stretcher,
        at: [inner - side * buttresses.reach, 0, upper],
        outward: [0, 0, 1],
        depth: Math.min(BRACE_DEPTH, form.stretcher.height / 3),
      },
      end: {
        into: post,
        at: [inner, 0, upper + buttresses.reach],
        outward: [-side, 0, 0],
        depth: Math.min(BRACE_DEPTH, form.post.thickness / 3),
      },
    });
  });
}

interface BraceEnd {
  into: Draft;
  /** Where the brace's middle meets it, and the way its face looks there. */
  at: Vec;
  outward: Vec;
  /** How deep the tenon goes in, square to the face, mm. */
  depth: number;
}

/** A brace from one part to another: tenons along it, ended square to what they go into; shoulders in both faces. */
function braceBetween(given: {
  id: string;
  name: string;
  bracing: Bracing;
  along: Vec;
  start: BraceEnd;
  end: BraceEnd;
}): { brace: Draft; joints: Joint[] } {
  const { id, name, bracing, along, start, end } = given;
  const { width, thickness, reach: far } = bracing;
  const frame = leaningFrame(times(plus(start.at, end.at), 0.5), along, [0, 0, 1]);
  const body = clipAll(
    blockOf(4 * far, width, thickness),
    [start, end].map(({ at, outward }) => planeInPart(frame, planeThrough(at, times(outward, -1)))),
  );
  const span = reach(body, [1, 0, 0]);
  const drawn: Draft = {
    id,
    name,
    kind: 'brace',
    grade: 'all-faces',
    size: { length: span.to - span.from, width, thickness },
    frame,
    body: [body],
    ends: { start: { mitre: 45, bevel: 0 }, end: { mitre: 45, bevel: 0 } },
  };
  const size = { width: width - 12, thickness: Math.max(6, Math.round((thickness * 2) / 3) / 2) };
  const joint = ({ into, at, outward, depth }: BraceEnd, way: Vec) =>
    slantedTenon({
      id: `${into.id}/${id}`,
      kind: 'mortise-tenon',
      into: forJoint(into),
      from: forJoint(drawn),
      at,
      along: way,
      wide: frame.width,
      face: outward,
      size,
      depth,
      ties: [
        fixed({
          id: `${into.id}/${id}`,
          name: `${name} in ${into.name.toLowerCase()}`,
          a: into.id,
          b: id,
          at: { x: at[0], y: at[1], z: at[2] },
        }),
      ],
    });
  const joints = [joint(start, times(along, -1)), joint(end, along)];
  const tips = joints.flatMap((own) =>
    own.added.flatMap(({ solid }) => corners(solid).map((p) => inPart(frame, p)[0])),
  );
  const beyond = { start: span.from - Math.min(...tips), end: Math.max(...tips) - span.to };
  return {
    brace: { ...drawn, beyond, size: { ...drawn.size, length: drawn.size.length + beyond.start + beyond.end } },
    joints,
  };
}

/** Along the foot, mm. */
const PAD_LONG = 80;

/** A pad under both ends of a foot, its grain along the foot's. */
export function footPads(
  form: BaseOf<'trestle'>,
  foot: Draft,
  x: number,
  across: number,
): { pad: Draft; joint: Joint }[] {
  return ([-1, 1] as const).map((side) => {
    const long = Math.min(PAD_LONG, across / 3);
    const at: Vec = [x, (side * (across - long)) / 2, form.pads / 2];
    const pad: Draft = {
      id: `${foot.id.replace('foot', 'pad')}-${side < 0 ? 'front' : 'back'}`,
      name: `Pad, ${foot.id.replace('foot-', '')} ${side < 0 ? 'front' : 'back'}`,
      kind: 'pad',
      grade: 'hidden',
      size: { length: long, width: form.foot.thickness, thickness: form.pads },
      frame: squareFrame(at, { length: 'y', width: 'x', thickness: 'z' }),
    };
    const name = `${pad.name} under ${foot.name.toLowerCase()}`;
    const joint: Joint = {
      id: `${foot.id}/${pad.id}`,
      kind: 'screwed',
      name,
      into: foot.id,
      from: pad.id,
      removed: [],
      added: [],
      ties: [
        fixed({ id: `${foot.id}/${pad.id}`, name, a: foot.id, b: pad.id, at: { x: at[0], y: at[1], z: form.pads } }),
      ],
    };
    return { pad, joint };
  });
}
