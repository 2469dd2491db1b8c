import type { BaseOf } from '../decision/job-document';
import type { Joint } from '../joint/joint';
import { slantedTenon } from '../joint/tenon';
import { fixed } from '../restraint/tie';
import { clipAll, corners, planeThrough, reach } from '../solid/convex';
import { inPart, leaningFrame, planeInPart, squareFrame } from '../solid/frame';
import { times, unit, type Vec } from '../solid/vector';
import { blockOf, type Draft, forJoint } from './part';

/** How deep a brace's tenon goes in, square to the face, mm; common practice. */
const BRACE_DEPTH = 25;

/** Two braces at 45° from a post to its bearer, one to either side; tenons along the brace, ended square to what they go into. */
export function trestleBraces(
  form: BaseOf<'trestle'>,
  braces: BaseOf<'trestle'>['braces'],
  post: Draft,
  bearer: Draft,
  x: number,
  under: number,
): { brace: Draft; joints: Joint[] }[] {
  if (!braces) return [];
  const { width, thickness, reach: far } = braces;
  const half = form.post.width / 2;
  return ([-1, 1] as const).map((side) => {
    const [low, high]: [Vec, Vec] = [
      [x, side * half, under - far],
      [x, side * (half + far), under],
    ];
    const along: Vec = unit([0, side, 1]);
    const frame = leaningFrame([x, (low[1] + high[1]) / 2, (low[2] + high[2]) / 2], along, [0, 0, 1]);
    const [ofPost, ofBearer]: [Vec, Vec] = [
      [0, side, 0],
      [0, 0, -1],
    ];
    const body = clipAll(
      blockOf(4 * far, width, thickness),
      [planeThrough(low, times(ofPost, -1)), planeThrough(high, times(ofBearer, -1))].map((plane) =>
        planeInPart(frame, plane),
      ),
    );
    const span = reach(body, [1, 0, 0]);
    const drawn: Draft = {
      id: `brace-${post.id.replace('post-', '')}-${side < 0 ? 'front' : 'back'}`,
      name: `Brace, ${post.id.replace('post-', '')} ${side < 0 ? 'front' : 'back'}`,
      kind: 'brace',
      grade: 'all-faces',
      size: { length: span.to - span.from, width, thickness },
      frame,
      body: [body],
      ends: { start: { mitre: 45, bevel: 0 }, end: { mitre: 45, bevel: 0 } },
    };
    const size = { width: width - 12, thickness: Math.max(6, Math.round((thickness * 2) / 3) / 2) };
    const joint = (into: Draft, at: Vec, way: Vec, face: Vec, depth: number) =>
      slantedTenon({
        id: `${into.id}/${drawn.id}`,
        kind: 'mortise-tenon',
        into: forJoint(into),
        from: forJoint(drawn),
        at,
        along: way,
        wide: frame.width,
        face,
        size,
        depth,
        ties: [
          fixed({
            id: `${into.id}/${drawn.id}`,
            name: `${drawn.name} in ${into.name.toLowerCase()}`,
            a: into.id,
            b: drawn.id,
            at: { x: at[0], y: at[1], z: at[2] },
          }),
        ],
      });
    const joints = [
      joint(post, low, times(along, -1), ofPost, Math.min(BRACE_DEPTH, form.post.width / 3)),
      joint(bearer, high, along, ofBearer, Math.min(BRACE_DEPTH, form.bearer.height / 2)),
    ];
    const tips = joints.flatMap((own) =>
      own.added.flatMap(({ solid }) => corners(solid).map((p) => inPart(frame, p)[0])),
    );
    const beyond = { start: span.from - Math.min(...tips), end: Math.max(...tips) - span.to };
    return {
      brace: { ...drawn, beyond, size: { ...drawn.size, length: drawn.size.length + beyond.start + beyond.end } },
      joints,
    };
  });
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
