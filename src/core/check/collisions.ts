import type { Cut, Joint, JointKind } from '../joint/joint';
import { mm, say } from '../measure/quantity';
import { isRow, type Part } from '../piece/part';
import { findPart, type Piece } from '../piece/piece';
import { boundsOf, type Convex, clipAll, gapBetween, type Plane, planesOf, reach } from '../solid/convex';
import { distance, overlap } from '../solid/distance';
import { dot } from '../solid/vector';
import { type Check, type CheckContext, isOfTable, judge } from './check';
import { otherHolds } from './hold-changes';

/** Wood between two cuts in one part, and between a cut and a face it must not come through; mm, common practice. */
const LEAST_BETWEEN = 4;
const LEAST_WALL = 5;

/** Joints whose parts lie in each other on purpose, whole. */
const LET_IN: readonly JointKind[] = [
  'half-lap',
  'let-in',
  'connector',
  'loose-wedge',
  'notch',
  'set-in',
  'slide-way',
  'leg-lap',
  'panel-groove',
  'back-rabbet',
];

/** Parts that stand in one another, joints aside; those that are let into each other are judged by their joint. */
export function partsInParts({ piece }: CheckContext): Check[] {
  const laps = new Set(
    piece.joints
      .filter((joint) => LET_IN.includes(joint.kind))
      .flatMap(({ into, from, passes = [] }) =>
        [from, ...passes].flatMap((other) => [`${into} ${other}`, `${other} ${into}`]),
      ),
  );
  const solids = piece.parts.map((part) => {
    const body = part.placed;
    return { part, body, bounds: boundsOf(body) };
  });
  let worst: { a: Part; b: Part; deep: number } | null = null;
  for (let i = 0; i < solids.length; i += 1) {
    const a = solids[i] as (typeof solids)[number];
    for (let k = i + 1; k < solids.length; k += 1) {
      const b = solids[k] as (typeof solids)[number];
      if (gapBetween(a.bounds, b.bounds) > -TOUCHING || laps.has(`${a.part.id} ${b.part.id}`)) continue;
      for (const p of a.body) {
        for (const q of b.body) {
          const deep = overlap(p, q);
          if (deep > TOUCHING && (!worst || deep > worst.deep)) worst = { a: a.part, b: b.part, deep };
        }
      }
    }
  }
  return [
    {
      id: 'form.parts-meet',
      step: 'form',
      level: worst ? 'stop' : 'good',
      sentence: worst
        ? say`${worst.a.name} and ${worst.b.name.toLowerCase()} stand ${mm(worst.deep)} in each other.`
        : say`No part stands in another.`,
      value: mm(worst?.deep ?? 0),
      limit: mm(0),
      where: worst ? [worst.a.id, worst.b.id] : [],
      why: 'Two parts in one place are found out when the second one is to go in.',
      school: 'geometry',
      wayOut: { say: say`Move one of the two, or make it smaller`, changes: [] },
    },
  ];
}

/** mm by which two faces may seem to lie in each other for the rounding of numbers. */
const TOUCHING = 1e-3;

interface OwnCut {
  cut: Cut;
  joint: Joint;
}

/**
 * Every mortise, notch and hole of a part against every other and against the part's faces. Joints that are sized
 * together by a rule of their own are judged there.
 */
export function cutsInParts(context: CheckContext): Check[] {
  const { piece } = context;
  const between = nearestCuts(byPart([...piece.joints, ...piece.seats]));
  const wall = thinnestWall(
    piece,
    piece.joints.filter((joint) => !joint.ruled),
  );
  return [...(between ? [betweenCheck(context, between)] : []), ...(wall ? [wallCheck(piece, wall)] : [])];
}

function byPart(joints: readonly Joint[]): Map<string, OwnCut[]> {
  const own = new Map<string, OwnCut[]>();
  for (const joint of joints) {
    for (const cut of joint.removed) {
      const known = own.get(cut.part);
      const made = { cut, joint };
      if (known) known.push(made);
      else own.set(cut.part, [made]);
    }
  }
  return own;
}

interface Between {
  part: string;
  a: OwnCut;
  b: OwnCut;
  apart: number;
}

function nearestCuts(own: ReadonlyMap<string, OwnCut[]>): Between | null {
  // The two whose boxes lie nearest first; what lies farther apart than the nearest found is not looked at closer.
  let nearest = Number.POSITIVE_INFINITY;
  let worst: Between | null = null;
  const measure = (part: string, a: OwnCut, b: OwnCut) => {
    const apart = distance(a.cut.solid, b.cut.solid);
    if (!worst || apart < worst.apart) worst = { part, a, b, apart };
  };
  let first: (() => void) | null = null;
  eachPair(own, (part, a, b) => {
    const gap = gapBetween(a.cut.solid.bounds, b.cut.solid.bounds);
    if (gap >= nearest) return;
    nearest = gap;
    first = () => measure(part, a, b);
  });
  (first as (() => void) | null)?.();
  eachPair(own, (part, a, b) => {
    if (gapBetween(a.cut.solid.bounds, b.cut.solid.bounds) <= (worst?.apart ?? Number.NEGATIVE_INFINITY))
      measure(part, a, b);
  });
  return worst;
}

/** Every two cuts in one part that are not of one joint, nor meant to meet. */
function eachPair(own: ReadonlyMap<string, OwnCut[]>, look: (part: string, a: OwnCut, b: OwnCut) => void): void {
  for (const [part, cuts] of own) {
    for (let i = 0; i < cuts.length; i += 1) {
      const a = cuts[i] as OwnCut;
      for (let k = i + 1; k < cuts.length; k += 1) {
        const b = cuts[k] as OwnCut;
        if (a.joint === b.joint || (a.joint.ruled && a.joint.ruled === b.joint.ruled)) continue;
        if (a.joint.meets?.includes(b.joint.id) || b.joint.meets?.includes(a.joint.id)) continue;
        if (opensInto(a.cut, b.cut) || opensInto(b.cut, a.cut)) continue;
        look(part, a, b);
      }
    }
  }
}

/** A housing that runs out into the rabbet behind it: what lies beyond a face that a cut is open at, it may meet. */
const opensInto = (a: Cut, b: Cut): boolean =>
  a.open.some((way) => reach(a.solid, way).to <= reach(b.solid, way).from + TOUCHING);

function betweenCheck(context: CheckContext, { part, a, b, apart }: Between): Check {
  const { piece } = context;
  const ofHold = a.joint.kind === 'hold' || b.joint.kind === 'hold';
  const ways = ofHold && isOfTable(context) ? otherHolds(context) : [];
  const level = judge(apart, 0, { sense: 'at-least', watchFrom: LEAST_BETWEEN });
  const name = findPart(piece, part)?.name ?? part;
  return {
    id: 'joints.cuts-meet',
    step: 'joints',
    level,
    sentence:
      level === 'stop'
        ? say`In ${name.toLowerCase()} the ${a.cut.what} for ${a.joint.name.toLowerCase()} and the ${b.cut.what} for ${b.joint.name.toLowerCase()} run ${mm(-apart)} into each other.`
        : say`Between two cuts in one part at least ${mm(apart)} of wood are left, in ${name.toLowerCase()}.`,
    value: mm(apart),
    limit: mm(level === 'stop' ? 0 : LEAST_BETWEEN),
    where: [part, a.joint.from, b.joint.from],
    why: 'Two mortises that open into each other leave neither tenon anything to be glued to.',
    school: 'Wood left between two cuts, common practice',
    wayOut: ways[0] ?? { say: say`Move one of the two, or make it smaller`, changes: [] },
    otherWaysOut: [...ways.slice(1), { say: say`Move one of the two, or make it smaller`, changes: [] }],
  };
}

export interface Wall {
  part: string;
  cut: Cut;
  joint: Joint;
  left: number;
}

/** Planes of every solid of a row: those at which it meets its neighbours, and those that are seen. */
function sidesOf(row: readonly Convex[]): { inner: Plane[]; outer: Plane[] }[] {
  const all = row.map(planesOf);
  return all.map((planes, i) => {
    const meets = (plane: Plane) =>
      [all[i - 1], all[i + 1]].some((beside) =>
        beside?.some(
          (other) => dot(other.normal, plane.normal) < -0.999 && Math.abs(other.offset + plane.offset) < 1e-3,
        ),
      );
    const inner = planes.filter(meets);
    return { inner, outer: planes.filter((plane) => !inner.includes(plane)) };
  });
}

/** The least wood between a cut of some joints and a face of its part that it does not open to; null where none is. */
export function thinnestWall(piece: Piece, joints: readonly Joint[]): Wall | null {
  let worst: Wall | null = null;
  const known = new Map<string, ReturnType<typeof sidesOf>>();
  /** None where the wall beside a cut is not asked. */
  const sides = (id: string) => {
    const before = known.get(id);
    if (before) return before;
    const part = findPart(piece, id);
    const made = !part || (part.placed.length > 1 && !isRow(part)) ? [] : sidesOf(part.placed);
    known.set(id, made);
    return made;
  };
  for (const joint of joints) {
    for (const cut of joint.removed) {
      // What is cut out of a tenon is judged with the tenon.
      if (cut.late) continue;
      for (const { inner, outer } of sides(cut.part)) {
        const inside = inner.length > 0 ? clipAll(cut.solid, inner) : cut.solid;
        if (inside.corners.length === 0) continue;
        for (const face of outer) {
          if (cut.open.some((way) => dot(way, face.normal) > 0.9)) continue;
          const left = face.offset - reach(inside, face.normal).to;
          if (!worst || left < worst.left) worst = { part: cut.part, cut, joint, left };
        }
      }
    }
  }
  return worst;
}

function wallCheck(piece: Piece, { part, cut, joint, left }: Wall): Check {
  const level = judge(left, 0, { sense: 'at-least', watchFrom: LEAST_WALL });
  const name = findPart(piece, part)?.name.toLowerCase() ?? part;
  return {
    id: 'joints.walls',
    step: 'joints',
    level,
    sentence:
      level === 'stop'
        ? say`The ${cut.what} for ${joint.name.toLowerCase()} comes ${mm(-left)} through the side of ${name}.`
        : say`The thinnest wall beside a cut is ${mm(left)}, in ${name}.`,
    value: mm(left),
    limit: mm(level === 'stop' ? 0 : LEAST_WALL),
    where: [part, joint.from],
    why: 'A wall too thin breaks out when the tenon is driven, or shows as a bump after finishing.',
    school: 'Wood left beside a cut, common practice',
    wayOut: { say: say`Make the part thicker or the tenon smaller`, changes: [] },
  };
}
