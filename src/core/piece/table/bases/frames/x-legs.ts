import * as v from 'valibot';
import { length } from '../../../../decision/fields';
import type { Joint } from '../../../../joint/joint';
import { fixed } from '../../../../restraint/tie';
import { type Convex, clipAll, NOTHING, planeThrough, reach } from '../../../../solid/convex';
import { inPart, leaningFrame, planeInPart, solidInPart, solidInPiece } from '../../../../solid/frame';
import type { Vec } from '../../../../solid/vector';
import { blockOf, bodyOf, type Draft, type EndCuts } from '../../../part';

export const schema = v.object({
  kind: v.literal('x-frame'),
  height: length(150, 1400),
  leg: v.object({ width: length(30, 250), thickness: length(20, 150) }),
  /** Between the outer corners of the crossing legs, at the floor and under the bearer. */
  spread: v.object({ floor: length(150, 2400), head: length(100, 2400) }),
  bearer: v.object({ height: length(25, 200), thickness: length(20, 200) }),
  stretcher: v.object({ height: length(30, 300), thickness: length(15, 120) }),
});
export type XFrame = v.InferOutput<typeof schema>;

/**
 * How a leg of an X stands: stock of a width whose outer corners touch the floor at half of one spread on one side, and
 * the head at half of the other on the other side. With D = (floor + head)/2, D·sin θ − h·cos θ = w, so that
 * θ = atan2(h, D) + asin(w/√(D² + h²)). Angles in degrees, the rest mm.
 *
 * @returns null where the stock is too wide for any such leg
 */
export function solveX(given: { height: number; width: number; floor: number; head: number }) {
  const { height, width, floor, head } = given;
  const run = (floor + head) / 2;
  const diagonal = Math.hypot(run, height);
  if (width >= diagonal) return null;
  const angle = Math.atan2(height, run) + Math.asin(width / diagonal);
  if (angle >= Math.PI / 2 - 1e-6) return null;
  /** Half of what a leg covers on the floor. */
  const foot = width / (2 * Math.sin(angle));
  const [atFloor, atHead] = [floor / 2 - foot, head / 2 - foot];
  if (atFloor <= 0 || atHead <= 0) return null;
  return {
    /** Of the leg from the floor. */
    lean: (angle * 180) / Math.PI,
    /** As a saw is set from square, for both ends. */
    mitre: 90 - (angle * 180) / Math.PI,
    /** Floor to where the middles of the legs cross. */
    crossing: (height * atFloor) / (atFloor + atHead),
    /** Middles of the leg from the middle of the frame, at the floor and at the head. */
    middles: { floor: atFloor, head: atHead },
    /** What each end covers, level. */
    covers: 2 * foot,
  };
}

/** How the legs of a frame so high under its bearer cross, and their tenons into it. */
export function crossing({ leg, spread, bearer }: XFrame, head: number) {
  const solved = solveX({ height: head, width: leg.width, floor: spread.floor, head: spread.head });
  // What cannot be stands upright in the drawing, and says so.
  const x = solved ?? {
    lean: 89,
    mitre: 1,
    crossing: head / 2,
    middles: { floor: spread.floor / 2, head: spread.head / 2 },
    covers: leg.width,
  };
  const tenon = {
    width: Math.max(10, x.covers - 16),
    thickness: Math.max(6, Math.round((leg.thickness * 2) / 3) / 2),
    length: Math.max(5, Math.floor(Math.min((bearer.height * 2) / 3, bearer.height - 10))),
  };
  return { solved, x, tenon };
}

/** How high under the bearer legs of a length come, their feet and heads where they are drawn: by halving. mm */
export function headOfLegs(form: XFrame, drawn: number, length: number): number {
  const long = (head: number) => leaning(form, 0, 1, 'left', head, crossing(form, head)).size.length;
  let [low, high] = [drawn * 0.6, drawn * 1.4];
  if (long(low) > length || long(high) < length) return drawn;
  for (let i = 0; i < 40; i += 1) {
    const middle = (low + high) / 2;
    if (long(middle) < length) low = middle;
    else high = middle;
  }
  return (low + high) / 2;
}

/** One leg, from the floor on one side to the bearer on the other; `way` 1 leans to the back. */
export function leaning(
  form: XFrame,
  at: number,
  way: 1 | -1,
  word: string,
  head: number,
  { x, tenon }: ReturnType<typeof crossing>,
): Draft {
  const { leg } = form;
  const [foot, upper]: [Vec, Vec] = [
    [at, -way * x.middles.floor, 0],
    [at, way * x.middles.head, head],
  ];
  const middle: Vec = [at, (foot[1] + upper[1]) / 2, head / 2];
  const frame = leaningFrame(middle, [0, upper[1] - foot[1], head], [0, 0, 1]);
  const block = blockOf(4 * head + 4 * leg.width, leg.width, leg.thickness);
  const ends = [planeThrough([0, 0, 0], [0, 0, -1]), planeThrough([0, 0, head], [0, 0, 1])];
  const body = clipAll(
    block,
    ends.map((plane) => planeInPart(frame, plane)),
  );
  const { from, to } = reach(body, [1, 0, 0]);
  // The tenon stands straight up from the head; along the leg it reaches a little farther than the leg itself.
  const tip = [-1, 1].map((s) => inPart(frame, [at, upper[1] + (s * tenon.width) / 2, head + tenon.length])[0]);
  const beyond = Math.max(0, Math.max(...tip) - to);
  const cut: EndCuts['start'] = { mitre: x.mitre, bevel: 0 };
  return {
    id: `leg-${word}-${way === 1 ? 'a' : 'b'}`,
    name: `Leg, ${word}, ${way === 1 ? 'leaning back' : 'leaning forward'}`,
    kind: 'leg',
    grade: 'all-faces',
    size: { length: to - from + beyond, width: leg.width, thickness: leg.thickness },
    beyond: { start: 0, end: beyond },
    frame,
    body: [body],
    ends: { start: cut, end: cut },
  };
}

/** Two legs of one plane let into each other by half their thickness, where they cross. */
export function halfLap(id: string, a: Draft, b: Draft, at: number, side: 1 | -1, crossing: number): Joint {
  const shared = (own: Draft, other: Draft, toward: number): Convex => {
    const widths = ([-1, 1] as const).map((s) => {
      const half = own.size.width / 2;
      return { normal: [0, s, 0] as Vec, offset: half };
    });
    const [body] = bodyOf(other);
    const inOwn = solidInPart(own.frame, solidInPiece(other.frame, body ?? NOTHING));
    const crossed = solidInPiece(own.frame, clipAll(inOwn, widths));
    return clipAll(crossed, [planeThrough([at, 0, 0], [-toward, 0, 0])]);
  };
  const name = `${b.name} across ${a.name.toLowerCase()}`;
  return {
    id,
    kind: 'half-lap',
    name,
    into: a.id,
    from: b.id,
    removed: [
      { part: a.id, what: 'half-lap', solid: shared(a, b, side), open: sideways(a, side) },
      { part: b.id, what: 'half-lap', solid: shared(b, a, -side), open: sideways(b, -side) },
    ],
    added: [],
    ties: [fixed({ id, name, a: a.id, b: b.id, at: { x: at, y: 0, z: crossing } })],
  };
}

/** A lap is open to one face and to both edges of its part. */
const sideways = ({ frame }: Draft, side: number): Vec[] => [
  [side, 0, 0],
  frame.width,
  [-frame.width[0], -frame.width[1], -frame.width[2]],
];
