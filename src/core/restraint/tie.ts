export type Axis = 'x' | 'y' | 'z';
export const AXES: readonly Axis[] = ['x', 'y', 'z'];
export type Point = Readonly<Record<Axis, number>>;

/** How far part `b` may be displaced against part `a` along one axis, mm: `minus` toward smaller values, `plus` toward larger. */
export interface Room {
  minus: number;
  plus: number;
}

/** Two parts held against each other at one place. An axis without room is free along it. */
export interface Tie {
  id: string;
  /** What it is, as a maker calls it. */
  name: string;
  a: string;
  b: string;
  /** mm, in the axes of the piece. */
  at: Point;
  room: Partial<Readonly<Record<Axis, Room>>>;
  /** A fastener or joint that is meant to slide: its need and room stand in the ledger. */
  slides?: boolean;
  /** Where in the decisions its room is chosen, and of which of its two ways that is; and how far a tongue reaches, which is the room of the other. */
  sets?: { path: string; ways: 'both' | 'plus' | 'minus'; cover?: string };
}

/** What even a tight joint gives before anything breaks, mm. */
export const JOINT_GIVE = 0.25;

/** A joint glued across the grain up to about this breadth holds whatever the season (common practice), mm. */
export const CROSS_GRAIN_LIMIT = 100;

/** The difference of movement that glue and wood take up in a narrow cross-grain joint, as a strain; common practice. */
const CROSS_GRAIN_STRAIN = 0.03;

/**
 * What long glued parts take up as stress alone, as a strain: a tenth of what wood bears along its grain before it gives
 * (proportional limit about 40 MPa at 10 000 MPa and more, Wood Handbook ch. 5; from memory).
 */
const ELASTIC_STRAIN = 0.0005;

const even = (room: number): Room => ({ minus: room, plus: room });

/**
 * What each end of a glued breadth may be off, mm: never less than its length takes up as stress. Up to the school's limit, wood and glue take up 3 % of it; beyond, the
 * ends must give ever more for the middle that holds them, and can ever less: by the square of how far it is over.
 */
export function gluedGive(breadth: number, limit = CROSS_GRAIN_LIMIT): number {
  const half = Math.min(breadth, limit) / 2;
  const acrossGrain = CROSS_GRAIN_STRAIN * half * Math.min(1, limit / Math.max(breadth, 1e-9)) ** 2;
  return Math.max(JOINT_GIVE, (ELASTIC_STRAIN * breadth) / 2, acrossGrain);
}

type Between = Pick<Tie, 'id' | 'name' | 'a' | 'b' | 'at'>;

/** Held tight at one place: a screw in a round hole, a peg, a nail. */
export function fixed(tie: Between, axes: readonly Axis[] = AXES): Tie {
  return { ...tie, room: Object.fromEntries(axes.map((axis) => [axis, even(JOINT_GIVE)])) };
}

/**
 * A glued area: tied at both ends of its breadth along each axis given, with what the school allows there; a joint without
 * breadth is fixed at its middle.
 */
export function glued(tie: Between, breadth: Partial<Record<Axis, number>>, limit = CROSS_GRAIN_LIMIT): Tie[] {
  const ties = AXES.flatMap((axis) => {
    const b = breadth[axis];
    if (!b) return [];
    return ([-1, 1] as const).map((side) => ({
      ...tie,
      id: `${tie.id}:${axis}${side < 0 ? '-' : '+'}`,
      at: { ...tie.at, [axis]: tie.at[axis] + (side * b) / 2 },
      room: { [axis]: even(gluedGive(b, limit)) },
    }));
  });
  const others = AXES.filter((axis) => !breadth[axis]);
  return [...ties, ...(others.length > 0 ? [fixed(tie, others)] : [])];
}

/** The same where a board so narrow moves across its grain between what holds it: wood and glue take up what they do in a joint of that breadth. */
export const givingAcross = (tie: Tie, axis: Axis, breadth: number): Tie =>
  tie.room[axis] ? { ...tie, room: { ...tie.room, [axis]: even(gluedGive(breadth)) } } : tie;

/** A slot, a button in a groove, an oversized hole: so far each way along each axis; axes left out are free. */
export function sliding(tie: Between, room: Partial<Record<Axis, number | Room>>): Tie {
  const entries = Object.entries(room) as [Axis, number | Room][];
  return {
    ...tie,
    slides: true,
    room: Object.fromEntries(entries.map(([axis, r]) => [axis, typeof r === 'number' ? even(r) : r])),
  };
}

/**
 * An edge let into a groove, loose: it may come out until its tongue is nearly free, and go in until it meets the bottom.
 * `out` is the direction along the axis in which the panel `a` lies deeper in the groove of `b`.
 */
export function inGroove(tie: Between, groove: { axis: Axis; deeper: 1 | -1; gap: number; tongue: number }): Tie {
  const { axis, deeper, gap, tongue } = groove;
  // b against a: when the panel grows toward `deeper`, its edge moves that way against the frame, so the frame lags behind.
  const room = deeper > 0 ? { minus: gap, plus: tongue } : { minus: tongue, plus: gap };
  return { ...tie, slides: true, room: { [axis]: room } };
}
