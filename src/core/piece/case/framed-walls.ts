import type { Cut, Grown, Joint, JointKind } from '../../joint/joint';
import { fixed, sliding, type Tie } from '../../restraint/tie';
import { type Bounds, boundsOf, type Convex, clipAll, isEmpty, type Plane, volume } from '../../solid/convex';
import { solidInPiece } from '../../solid/frame';
import type { Vec } from '../../solid/vector';
import { bodyOf, type Draft } from '../part';
import type { PinRow } from './case-plan';

/** A bar of a wall that is a frame: what meets the wall is joined to its bars, and never to its panels. */
export interface WallBar {
  part: string;
  /** In a sentence: “post, front left”. */
  name: string;
  bounds: Bounds;
}

/** The bars of every wall that is a frame, by the id of the board that it stands in for. */
export type FramedWalls = ReadonlyMap<string, readonly WallBar[]>;

/** Room behind what is let into bars, mm, and where that is decided; null where they move with it. */
export type Behind = { room: number; path: string } | null;

export const barOf = (draft: Draft): WallBar => ({
  part: draft.id,
  name: draft.name.charAt(0).toLowerCase() + draft.name.slice(1),
  bounds: boundsOf(bodyOf(draft).map((solid) => solidInPiece(draft.frame, solid))),
});

/** What planned against boards holds to. */
interface Met {
  joints: readonly Joint[];
  cuts: readonly Cut[];
  pinRows: readonly PinRow[];
}

/** Joints glued in front and left dry behind, so that a board slides along its housing. */
const DRY_BEHIND: ReadonlySet<JointKind> = new Set(['housing', 'sliding-dovetail']);
/** A board may draw back in its housing by so much before it is out of it, mm. */
const DRAWS_BACK = 25;
/** Of a cut, less than this is none, mm³. */
const NOTHING = 1e-3;

/**
 * What was planned against four boards, where some of them are frames: every joint falls into one with each bar that it comes
 * to. What is let in over the whole depth is glued to the bar in front and moves in the one behind.
 *
 * @param behind where it is null, both bars are glued
 */
export function meetBars({ joints, cuts, pinRows }: Met, walls: FramedWalls, behind: Behind): Met {
  const renamed = new Map<string, readonly string[]>();
  const met = joints.flatMap((joint): readonly Joint[] => {
    const wall = [joint.into, joint.from].find((id) => walls.has(id));
    if (wall === undefined) return [joint];
    const own = ofBars(joint, wall, walls.get(wall) ?? [], behind);
    renamed.set(
      joint.id,
      own.map(({ id }) => id),
    );
    return own;
  });
  const grooves = new Map<string, string[]>();
  for (const { id, kind, into } of joints)
    if (kind === 'panel-groove') grooves.set(into, [...(grooves.get(into) ?? []), id]);
  const known = new Set([...renamed.values()].flat());
  return {
    joints: met.map((joint): Joint => {
      const meets = [
        ...(joint.meets ?? []).flatMap((id) => renamed.get(id) ?? [id]),
        // What is let in shallowly lies before the panels' grooves.
        ...(known.has(joint.id) && DRY_BEHIND.has(joint.kind) ? (grooves.get(joint.into) ?? []) : []),
      ];
      const passes = joint.passes?.flatMap((id) => walls.get(id)?.map(({ part }) => part) ?? [id]);
      return meets.length > 0 || passes ? { ...joint, meets, ...(passes ? { passes } : {}) } : joint;
    }),
    cuts: cuts.flatMap((cut) => {
      const bars = walls.get(cut.part);
      return bars ? bars.flatMap((bar) => cutInBar(cut, bar)) : [cut];
    }),
    pinRows: pinRows.map((row) => {
      const bars = walls.get(row.wall);
      const at: Vec = [row.x, row.y, row.from + ((row.count - 1) * row.apart) / 2];
      return bars ? { ...row, wall: nearest(bars, at).part } : row;
    }),
  };
}

function ofBars(joint: Joint, wall: string, bars: readonly WallBar[], behind: Behind): readonly Joint[] {
  const shares = new Map<string, { removed: Cut[]; added: Grown[]; ties: Tie[] }>();
  const of = ({ part }: WallBar) => {
    const share = shares.get(part) ?? { removed: [], added: [], ties: [] };
    shares.set(part, share);
    return share;
  };
  for (const cut of joint.removed) {
    if (cut.part === wall && !cut.bore) for (const bar of bars) of(bar).removed.push(...cutInBar(cut, bar));
    else {
      const at = middle(cut.solid);
      const bar = nearest(bars, at);
      // A bore beside every bar is in none.
      if (cut.part !== wall || offBar(bar, at) === 0)
        of(bar).removed.push(cut.part === wall ? { ...cut, part: bar.part } : cut);
    }
  }
  for (const grown of joint.added) {
    if (grown.inside) {
      const bar = nearest(bars, middle(grown.solid));
      of(bar).added.push(grown.part === wall ? { ...grown, part: bar.part } : grown);
    } else
      for (const bar of bars) {
        const solid = within(grown.solid, bar);
        if (solid) of(bar).added.push({ ...grown, solid });
      }
  }
  const tied = tiesOn(joint, wall, bars, behind);
  for (const { bar, tie } of tied) of(bar).ties.push(tie);
  const used = bars.flatMap((bar) => {
    const share = shares.get(bar.part);
    return share && share.removed.length + share.added.length + share.ties.length > 0 ? [{ bar, share }] : [];
  });
  return used.map(({ bar, share }) => ({
    ...joint,
    ...share,
    id: joint.id.replace(wall, bar.part),
    name: used.length > 1 ? `${joint.name}: ${bar.name}` : joint.name,
    into: joint.into === wall ? bar.part : joint.into,
    from: joint.from === wall ? bar.part : joint.from,
  }));
}

/** Each tie on the bar that it is nearest to; what is let in over the depth held in front alone. */
function tiesOn(
  { id, name, kind, ties }: Joint,
  wall: string,
  bars: readonly WallBar[],
  behind: Behind,
): { bar: WallBar; tie: Tie }[] {
  const on = ties.map((tie) => ({ tie, bar: nearest(bars, [tie.at.x, tie.at.y, tie.at.z]) }));
  const sorted = [...on].sort((a, b) => a.tie.at.y - b.tie.at.y);
  const [front, back] = [sorted[0], sorted.at(-1)];
  if (!behind || !DRY_BEHIND.has(kind) || !front || !back || front.bar.part === back.bar.part)
    return on.map(({ tie, bar }) => ({ bar, tie: renamed(tie, wall, bar.part) }));
  const there = (end: typeof front, part: string, at: string) =>
    renamed({ ...end.tie, id: `${id}:${at}`, name }, wall, part);
  const [held, loose] = [there(front, front.bar.part, 'front'), there(back, back.bar.part, 'back')];
  const slides: Tie = {
    ...sliding({ ...loose, id: `${id}:slides` }, { y: { plus: behind.room, minus: DRAWS_BACK } }),
    sets: { path: behind.path, ways: 'plus' },
  };
  return [
    { bar: front.bar, tie: fixed(held) },
    { bar: back.bar, tie: fixed(loose, ['x', 'z']) },
    { bar: back.bar, tie: slides },
  ];
}

const renamed = (tie: Tie, wall: string, bar: string): Tie => ({
  ...tie,
  a: tie.a === wall ? bar : tie.a,
  b: tie.b === wall ? bar : tie.b,
});

/** What of a cut falls into a bar; it runs on where the bar ends. */
function cutInBar(cut: Cut, bar: WallBar): Cut[] {
  const solid = within(cut.solid, bar);
  if (!solid) return [];
  const { from, to } = cut.solid.bounds;
  const open = WAYS.filter(({ axis, way }) =>
    way > 0 ? to[axis] > bar.bounds.to[axis] + NOTHING : from[axis] < bar.bounds.from[axis] - NOTHING,
  ).map(({ direction }) => direction);
  return [{ ...cut, part: bar.part, solid, open: [...cut.open, ...open] }];
}

const WAYS = ([0, 1, 2] as const).flatMap((axis) =>
  ([1, -1] as const).map((way) => {
    const direction: Vec = [axis === 0 ? way : 0, axis === 1 ? way : 0, axis === 2 ? way : 0];
    return { axis, way, direction };
  }),
);

function within(solid: Convex, { bounds: { from, to } }: WallBar): Convex | null {
  const planes = WAYS.map(
    ({ axis, way, direction }): Plane => ({ normal: direction, offset: way > 0 ? to[axis] : -from[axis] }),
  );
  const left = clipAll(solid, planes);
  return isEmpty(left) || volume(left) < NOTHING ? null : left;
}

const middle = ({ bounds: { from, to } }: Convex): Vec => [
  (from[0] + to[0]) / 2,
  (from[1] + to[1]) / 2,
  (from[2] + to[2]) / 2,
];

/** Square of how far a point lies beside a bar, mm². */
const offBar = ({ bounds: { from, to } }: WallBar, at: Vec): number =>
  ([0, 1, 2] as const).reduce<number>((sum, i) => sum + Math.max(0, from[i] - at[i], at[i] - to[i]) ** 2, 0);

const nearest = (bars: readonly WallBar[], at: Vec): WallBar =>
  bars.reduce((a, b) => (offBar(b, at) < offBar(a, at) ? b : a));
