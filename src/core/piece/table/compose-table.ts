import type { Bench } from '../../decision/bench';
import type { Joints } from '../../decision/joints';
import type { Joint } from '../../joint/joint';
import { boundsOf, clipAll } from '../../solid/convex';
import { planeInPart } from '../../solid/frame';
import { boundsOfFlat, polygonOf } from '../../solid/outline';
import { nothingLeft, solidDraft, solidJoint } from '../degenerate';
import { finishedPart, jointWork } from '../finished-part';
import { kneeRoom } from '../knee-room';
import { bodyOf, type Draft, type Fitting, letterOf } from '../part';
import type { TablePiece } from '../piece';
import type { BasePlan, TopPlan, TopSize } from '../plans';
import type { Unbuildable } from '../unbuildable';
import { baseKind, type TableForm, topKind } from './form';
import { planBattens } from './holds/battens';
import { HOLDS, placeFasteners } from './holds/hold';
import { holdSeats } from './holds/hold-seats';
import { planLift } from './holds/lift';
import { planSlides } from './holds/slides';
import { notchesIn } from './tops/cut-outs';
import { planJoinedEnd } from './tops/joined-end';

/** What was decided of a table that bears on its parts. */
export interface TableDecided {
  form: TableForm;
  joints: Joints;
  bench: Bench;
}

/** Decisions → a top on a base, how it is held, every part with its size, its place and what joints do to it. */
export function composeTable(decisions: TableDecided): TablePiece {
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
    taken: jointWork(all, cuts).removed,
  });
  const work = jointWork([...all, ...seats], cuts);
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
    finishedPart(draft, letterOf(i), bench, work),
  );
  return {
    build: 'table',
    kind: { top: form.top.kind, base: form.base.kind },
    parts,
    envelope: boundsOf(parts.flatMap(({ placed, added }) => [...placed, ...added.map(({ solid }) => solid)])),
    joints: all,
    leading: plan.leading,
    over: drafts.map((draft) => draft.id),
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

/** What holds the top, as it is bought or made. */
function fittingsOfHold({ kind, screwLength }: TableForm['hold'], count: number): Fitting[] {
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

function tooThick(form: TableForm, top: TopSize): Unbuildable[] {
  if (top.thickness < form.base.height) return [];
  return [
    {
      problem: 'The top is as thick as the table is high.',
      where: 'form.top.thickness',
      wayOut: 'Make the top thinner or the table higher.',
    },
  ];
}
