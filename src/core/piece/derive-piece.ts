import type { Bench } from '../decision/bench';
import type { Joints } from '../decision/joints';
import type { Cut, Grown, Joint } from '../joint/joint';
import { boundsOf, type Convex, clipAll, volumeOf } from '../solid/convex';
import { type Frame, inPiece, planeInPart, solidInPiece, stretched } from '../solid/frame';
import { boundsOfFlat, type Outline, polygonOf } from '../solid/outline';
import { profiled } from '../solid/profile';
import { minus, type Vec } from '../solid/vector';
import { nothingLeft, solidDraft, solidJoint } from './degenerate';
import { kneeRoom } from './knee-room';
import { bodyOf, type Draft, type Fitting, letterOf, type Part, type Size, shoulderLengthOf } from './part';
import type { Piece } from './piece';
import type { BasePlan, TopPlan, TopSize } from './plans';
import { baseKind, type Form, topKind } from './table/form';
import { planBattens } from './table/holds/battens';
import { HOLDS, placeFasteners } from './table/holds/hold';
import { holdSeats } from './table/holds/hold-seats';
import { planLift } from './table/holds/lift';
import { planSlides } from './table/holds/slides';
import { notchesIn } from './table/tops/cut-outs';
import { planJoinedEnd } from './table/tops/joined-end';
import type { Unbuildable } from './unbuildable';

/** What was decided of a piece that bears on its parts. */
export interface PieceDecided {
  form: Form;
  joints: Joints;
  bench: Bench;
}

/** Decisions → a top on a base, how it is held, every part with its size, its place and what joints do to it. */
export function derivePiece(decisions: PieceDecided): Piece {
  const piece = compose(decisions);
  if (Object.keys(decisions.bench.locks).length === 0) return piece;
  // What was drawn before anything was cut stays beside what it has become.
  const drawn = compose({ ...decisions, bench: { cut: [], locks: {} } });
  const designs = new Map(drawn.parts.map((part) => [part.id, part.size]));
  return { ...piece, parts: piece.parts.map((part) => ({ ...part, design: designs.get(part.id) ?? part.design })) };
}

function compose(decisions: PieceDecided): Piece {
  const { form, bench } = decisions;
  const top = topKind(form.top.kind);
  const size = top.size(form.top, bench);
  const drawnBase = baseKind(form.base.kind).plan(form.base, decisions, size);
  const base: BasePlan = {
    ...drawnBase,
    drafts: drawnBase.drafts.map(solidDraft),
    joints: drawnBase.joints.map(solidJoint),
  };
  const drawnTop = top.plan(form.top, size, base.underside, bench);
  const plan: TopPlan = {
    ...drawnTop,
    drafts: drawnTop.drafts.map(solidDraft),
    joints: drawnTop.joints.map(solidJoint),
  };
  const { drafts: whole, joints, cuts = [], plates, fittings, problems, ...ofTop } = plan;
  const drafts = whole.map((draft) => cutAtEnds(draft, base.topEnds));
  const battens = planBattens(form, plan, base);
  const gear = form.top.kind === 'extending' ? planSlides(form, plan, base) : planLift(form, plan, base);
  const joined = planJoinedEnd(form, plan, base);
  const notched = base.through
    ? notchesIn(plan.leading, base.through, base.drafts, size, base.underside)
    : { holes: [], joints: [] };
  const all: readonly Joint[] = [
    ...joints,
    ...base.joints,
    ...battens.joints,
    ...notched.joints,
    ...gear.joints,
    ...joined.joints,
  ];
  const { fasteners, seats, unreached } = holdSeats({
    fasteners: placeFasteners(form.hold.kind, [...(gear.rests ?? base.rests), ...battens.rests], drafts, plates),
    rails: [...base.drafts, ...battens.drafts, ...gear.drafts],
    tops: drafts,
    hold: form.hold,
    taken: workOf(all, cuts).removed,
  });
  const work = workOf([...all, ...seats], cuts);
  const ground = boundsOfFlat(base.feet);
  const found = [
    ...base.problems,
    ...problems,
    ...battens.problems,
    ...gear.problems,
    ...joined.problems,
    ...tooThick(form, size),
  ];
  const parts = [...drafts, ...base.drafts, ...battens.drafts, ...gear.drafts, ...joined.drafts].map((draft, i) =>
    finish(draft, letterOf(i), bench, work),
  );
  return {
    kind: { top: form.top.kind, base: form.base.kind },
    parts,
    envelope: boundsOf(parts.flatMap(({ placed, added }) => [...placed, ...added.map(({ solid }) => solid)])),
    joints: all,
    seats,
    unreached,
    top: {
      ...ofTop,
      notches: notched.holes,
      parts: drafts.map((draft) => draft.id),
      polygon: polygonOf(ofTop.outline),
    },
    corner: base.corner,
    fasteners,
    fittings: [
      ...fittingsOfHold(form.hold, fasteners.filter((fastener) => !fastener.own).length),
      ...fittings,
      ...base.fittings,
      ...gear.fittings,
      ...joined.fittings,
      ...battens.fittings(
        fasteners.filter((fastener) => fastener.own && battens.drafts.some(({ id }) => id === fastener.on)).length,
      ),
    ],
    overall: { length: size.length, width: size.width, height: base.underside + size.thickness },
    base: { length: ground.right - ground.left, width: ground.high - ground.low },
    feet: base.feet,
    overhang: {
      end: size.length / 2 - Math.max(ground.right, -ground.left),
      side: size.width / 2 - Math.max(ground.high, -ground.low),
    },
    ground,
    knees:
      base.knees.parts.length > 0
        ? kneeRoom(base.knees, parts, size.length)
        : { ...base.knees, parts: drafts.map((draft) => draft.id) },
    span: base.span,
    bending: [...base.bending, ...gear.bending],
    racking: base.racking,
    leaned: base.leaned,
    problems: [...found, ...nothingLeft([...drawnTop.drafts, ...drawnBase.drafts], found)],
  };
}

/** A part of the top whose ends are cut as the base asks: at 45°, as it is. */
function cutAtEnds(draft: Draft, planes: BasePlan['topEnds']): Draft {
  if (!planes) return draft;
  const own = planes.map((plane) => planeInPart(draft.frame, plane));
  const left = bodyOf(draft).flatMap((solid) => {
    const cut = clipAll(solid, own);
    return cut.corners.length > 0 ? [cut] : [];
  });
  // A part that lies whole beyond a mitre cannot be built, which is reported of its kind; it is drawn as it is.
  if (left.length === 0) return draft;
  return {
    ...draft,
    body: left,
    ends: { start: { mitre: 0, bevel: 45 }, end: { mitre: 0, bevel: 45 } },
  };
}

/** What joints take from and give to each part, by its id. */
interface JointWork {
  removed: ReadonlyMap<string, readonly Cut[]>;
  added: ReadonlyMap<string, readonly Grown[]>;
}

function workOf(joints: readonly Joint[], cuts: readonly Cut[]): JointWork {
  const byPart = <T extends { part: string }>(list: readonly T[]) => {
    const map = new Map<string, T[]>();
    for (const own of list) {
      const known = map.get(own.part);
      if (known) known.push(own);
      else map.set(own.part, [own]);
    }
    return map;
  };
  return {
    removed: byPart([...joints.flatMap((joint) => joint.removed), ...cuts]),
    added: byPart(joints.flatMap((joint) => joint.added)),
  };
}

/** Puts the letter on, the real size where the part is cut and measured, and what its joints take and give. */
function finish(draft: Draft, letter: string, bench: PieceDecided['bench'], work: JointWork): Part {
  const lock = bench.locks[draft.id];
  const size: Size = {
    length: lock?.length ?? draft.size.length,
    width: lock?.width ?? draft.size.width,
    thickness: lock?.thickness ?? draft.size.thickness,
  };
  const beyond = draft.beyond ?? { start: 0, end: 0 };
  const shoulderLength = size.length - beyond.start - beyond.end;
  const { id, name, kind, grade, frame, taper, ends, material, weighs, oneWith, strips } = draft;
  const by: Vec = [
    shoulderLength / shoulderLengthOf(draft),
    size.width / draft.size.width,
    size.thickness / draft.size.thickness,
  ];
  const body = bodyOf(draft).map((solid) => stretched(solid, by));
  const profile = lock
    ? draft.profile?.map(({ at: [l, w], sagitta }) => ({
        at: [l * by[0], w * by[1]] as const,
        ...(sagitta === undefined ? {} : { sagitta: sagitta * by[1] }),
      }))
    : draft.profile;
  const removed = [...(profile ? hollowsOf(id, frame, profile, size.thickness) : []), ...(work.removed.get(id) ?? [])];
  const added = work.added.get(id) ?? [];
  const solidsOf = (list: readonly { solid: Convex }[]) => list.map(({ solid }) => solid);
  return {
    id,
    letter,
    name,
    kind,
    grade,
    size,
    shoulderLength,
    beyond,
    frame,
    body,
    placed: body.map((solid) => solidInPiece(frame, solid)),
    volume: (volumeOf(body) + volumeOf(solidsOf(added)) - volumeOf(solidsOf(removed))) * 1e-9,
    removed,
    added,
    ...(profile ? { profile } : {}),
    ...(taper ? { taper } : {}),
    ...(ends ? { ends } : {}),
    ...(material ? { material } : {}),
    ...(weighs === undefined ? {} : { weighs }),
    ...(oneWith ? { oneWith } : {}),
    ...(strips ? { strips } : {}),
    design: draft.size,
    locked: lock !== undefined,
    cut: lock !== undefined || bench.cut.includes(id),
  };
}

/** What holds the top, as it is bought or made. */
function fittingsOfHold({ kind, screwLength }: Form['hold'], count: number): Fitting[] {
  if (count === 0) return [];
  if (kind === 'inserts') {
    return [
      { name: 'Threaded inserts', count, size: [screwLength] },
      { name: 'Bolts with washers', count, size: [] },
    ];
  }
  return [
    { name: HOLDS[kind].name, count, size: [] },
    { name: 'Wood screws for the top', count, size: [screwLength] },
  ];
}

/** What the hollow sides of a curved part take out of it. */
const hollowsOf = (part: string, frame: Frame, profile: Outline, thickness: number): Cut[] =>
  profiled(profile, thickness).hollows.map(({ solid, outward }) => ({
    part,
    what: 'hollow',
    solid: solidInPiece(frame, solid),
    open: [minus(inPiece(frame, outward), frame.at)],
  }));

function tooThick(form: Form, top: TopSize): Unbuildable[] {
  if (top.thickness < form.base.height) return [];
  return [
    {
      problem: 'The top is as thick as the table is high.',
      where: 'form.top.thickness',
      wayOut: 'Make the top thinner or the table higher.',
    },
  ];
}
