import type { Cut, Joint } from '../../joint/joint';
import { type Convex, clip, isEmpty, type Plane } from '../../solid/convex';
import { planeInPart } from '../../solid/frame';
import { bodyOf, type Draft } from '../part';
import type { Unbuildable } from '../unbuildable';
import type { CaseForm } from './form';
import { SHELL } from './shell';
import { leastLid } from './tops/sawn-off';

/** Between two heights, mm. */
interface Slab {
  from: number;
  to: number;
}

const WALLS: readonly string[] = Object.values(SHELL);
/** Left between the saw and the edge of a tail, a finger or a mortise, mm; common practice. */
const LEAST_LEFT = 3;

/** What is left of a solid over and under a cut. */
const apart = (solid: Convex, [over, under]: readonly [Plane, Plane]): Convex[] =>
  [clip(solid, over), clip(solid, under)].filter((left) => !isEmpty(left));

/** The walls of a box that is glued closed, sawn apart all round: each is two pieces of one board, and so is what joins them. */
export function sawnThrough<P extends { drafts: readonly Draft[]; joints: readonly Joint[]; cuts: readonly Cut[] }>(
  plan: P,
  { from, to }: Slab,
): P {
  // What lies inside of a plane is kept.
  const planes: readonly [Plane, Plane] = [
    { normal: [0, 0, -1], offset: -to },
    { normal: [0, 0, 1], offset: from },
  ];
  const split = <C extends Cut>(cut: C): C[] =>
    WALLS.includes(cut.part) && !cut.bore ? apart(cut.solid, planes).map((solid) => ({ ...cut, solid })) : [cut];
  return {
    ...plan,
    drafts: plan.drafts.map((draft): Draft => {
      if (!WALLS.includes(draft.id)) return draft;
      const own = planes.map((plane) => planeInPart(draft.frame, plane)) as [Plane, Plane];
      return { ...draft, body: bodyOf(draft).flatMap((solid) => apart(solid, own)) };
    }),
    joints: plan.joints.map((joint) => ({
      ...joint,
      removed: joint.removed.flatMap(split),
      added: joint.added.flatMap((grown) =>
        WALLS.includes(grown.part) ? apart(grown.solid, planes).map((solid) => ({ ...grown, solid })) : [grown],
      ),
    })),
    cuts: plan.cuts.flatMap(split),
  };
}

/** Heights at which a tail, a finger, a mortise or a bore of a corner begins or ends. mm */
const edgesOfCorners = (joints: readonly Joint[]): number[] =>
  joints
    .filter(({ into, from }) => WALLS.includes(into) && WALLS.includes(from))
    .flatMap(({ removed, added }) =>
      [...removed, ...added].flatMap(({ solid }) => [solid.bounds.from[2], solid.bounds.to[2]]),
    );

/** A lid too low for its panel, or a saw through the edge of a tail, where a sliver breaks off: the cut is moved to where the corners are whole. */
export function sawnAtCorners({ top, carcass }: CaseForm, joints: readonly Joint[], { from, to }: Slab): Unbuildable[] {
  if (top.kind !== 'sawn-off') return [];
  const edges = edgesOfCorners(joints);
  const clear = (by: number) =>
    edges.every((z) => z <= from - by - LEAST_LEFT + 1e-6 || z >= to - by + LEAST_LEFT - 1e-6);
  const least = leastLid(top);
  const low = top.lid < least;
  if (!low && clear(0)) return [];
  const moved = Array.from({ length: 120 }, (_, i) => (i % 2 === 0 ? 1 : -1) * (Math.floor(i / 2) + 1)).find(
    (by) => top.lid + by >= least && clear(by),
  );
  const problem = low
    ? 'The lid is sawn off so near its panel that nothing holds that.'
    : 'The saw comes through the edge of a tail or a tenon of the corners.';
  if (moved !== undefined)
    return [
      {
        ...{ problem, where: 'form.top.lid' },
        wayOut: low ? 'Make it higher, the cut in the middle of a tail.' : 'Move the cut into the middle of one.',
        mends: Math.round(top.lid + moved),
      },
    ];
  // None of them is high enough for it.
  const { corner } = carcass;
  const [which, many] =
    'fingers' in corner ? ['fingers', corner.fingers] : 'tails' in corner ? ['tails', corner.tails] : [];
  return [
    {
      ...{ problem, wayOut: 'Make them fewer, and so higher than the cut.' },
      where: `form.carcass.corner${which ? `.${which}` : ''}`,
      ...(many ? { mends: Math.max(1, Math.floor(many / 2)) } : {}),
    },
  ];
}
