import type { Joint } from '../../../joint/joint';
import { slantedTenon } from '../../../joint/tenon';
import { fixed, type Tie } from '../../../restraint/tie';
import { clipAll, planeThrough, reach } from '../../../solid/convex';
import { inPart, leaningFrame, planeInPart } from '../../../solid/frame';
import { minus, norm, plus, times, type Vec } from '../../../solid/vector';
import { blockOf, type Draft, forJoint } from '../../part';
import { endCut } from './end-cuts';

/** How deep a brace's tenon goes in, square to the face, mm; common practice. */
export const BRACE_DEPTH = 25;

/** How far the shoulder of a brace that is not glued may open, mm; common practice. */
const SHOULDER_OPENS = 1;

const held = (tie: Parameters<typeof fixed>[0], dry: boolean): Tie => {
  const room = { minus: SHOULDER_OPENS, plus: SHOULDER_OPENS };
  return dry ? { ...tie, room: { x: room, y: room, z: room } } : fixed(tie);
};

export interface Brace {
  brace: Draft;
  joints: Joint[];
}

export interface BraceEnd {
  into: Draft;
  /** Where the brace's middle meets it, and the way its face looks there. */
  at: Vec;
  outward: Vec;
  /** How deep the tenon goes in, square to the face, mm. */
  depth: number;
}

/** A brace from one part to another: tenons along it, ended square to what they go into; shoulders in both faces. */
export function braceBetween(given: {
  id: string;
  name: string;
  bracing: { width: number; thickness: number };
  along: Vec;
  start: BraceEnd;
  end: BraceEnd;
  /** It stands in its mortises without glue. */
  dry?: boolean;
}): Brace {
  const { id, name, bracing, along, start, end, dry = false } = given;
  const { width, thickness } = bracing;
  const far = norm(minus(end.at, start.at));
  const frame = leaningFrame(times(plus(start.at, end.at), 0.5), along, [0, 0, 1]);
  const body = clipAll(
    blockOf(2 * far + 4 * (width + thickness), width, thickness),
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
    ends: { start: endCut(frame, start.outward), end: endCut(frame, end.outward) },
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
        held(
          {
            id: `${into.id}/${id}`,
            name: `${name} in ${into.name.toLowerCase()}`,
            a: into.id,
            b: id,
            at: { x: at[0], y: at[1], z: at[2] },
          },
          dry,
        ),
      ],
    });
  const joints = [joint(start, times(along, -1)), joint(end, along)];
  const tips = joints.flatMap((own) => own.added.flatMap(({ solid }) => solid.corners.map((p) => inPart(frame, p)[0])));
  const beyond = { start: span.from - Math.min(...tips), end: Math.max(...tips) - span.to };
  return {
    brace: { ...drawn, beyond, size: { ...drawn.size, length: drawn.size.length + beyond.start + beyond.end } },
    joints,
  };
}
