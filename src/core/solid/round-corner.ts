import { type Flat, hullOf } from './outline';

/** Two passages that meet at a right angle, seen from above. mm */
export interface Corner {
  /** Wide before it, and after it. */
  before: number;
  after: number;
}

/** Turns that are tried: one a degree; half a turn further a convex shape has come round to its other end. */
const TURNS = 360;
/** What is left of a shape beyond the inner corner counts as nothing below this, mm². */
const NOTHING = 1e-6;

/**
 * Whether a shape in plan can be carried round a right-angled corner on the level. It is pushed against both outer walls, where
 * it is farthest from the inner corner, and turned: a way is a row of turns without a gap, at each of which nothing of it stands
 * beyond the inner corner, from one that fits the passage before to one that fits the passage after. Turning it over gives the
 * mirrored corner, which is looked at too.
 *
 * @param points of the shape; its hull is carried. mm
 * @returns the least room at the inner corner on the best way, mm, or null where there is none
 */
export function roundCorner(points: readonly Flat[], corner: Corner): number | null {
  const hull = hullOf(points);
  const mirrored = hullOf(points.map(([x, y]): Flat => [-x, y]));
  const rooms = [hull, mirrored].flatMap((shape) => wayRound(shape, corner) ?? []);
  return rooms.length > 0 ? Math.max(...rooms) : null;
}

interface Turned {
  /** It fits along the passage before, and after. */
  enters: boolean;
  leaves: boolean;
  /** To the inner corner; below nought where it stands beyond it. mm */
  room: number;
}

function wayRound(hull: readonly Flat[], { before, after }: Corner): number | null {
  const turns = Array.from({ length: TURNS }, (_, i) => turnedBy(hull, (i * 2 * Math.PI) / TURNS, before, after));
  let best: number | null = null;
  // Rows of turns go round: begin where one is interrupted.
  const broken = turns.findIndex(({ room }) => room < 0);
  const from = Math.max(0, broken);
  let run: Turned[] = [];
  const close = () => {
    if (run.some(({ enters }) => enters) && run.some(({ leaves }) => leaves)) {
      const room = tightest(run);
      if (best === null || room > best) best = room;
    }
    run = [];
  };
  for (let i = 0; i < TURNS; i += 1) {
    const turn = turns[(from + i) % TURNS] as Turned;
    if (turn.room < 0) close();
    else run.push(turn);
  }
  close();
  return best;
}

/** The least room between the nearest turns by which it enters and leaves. */
function tightest(run: readonly Turned[]): number {
  let best = Number.NEGATIVE_INFINITY;
  let last: { enters: boolean; at: number } | null = null;
  run.forEach(({ enters, leaves }, i) => {
    for (const [is, entering] of [
      [enters, true],
      [leaves, false],
    ] as const) {
      if (!is) continue;
      if (enters && leaves) best = Math.max(best, (run[i] as Turned).room);
      if (last && last.enters !== entering)
        best = Math.max(best, Math.min(...run.slice(last.at, i + 1).map(({ room }) => room)));
      last = { enters: entering, at: i };
    }
  });
  return best;
}

/** The outer corner is the origin: the passage before runs along x, the one after along y. */
function turnedBy(hull: readonly Flat[], angle: number, before: number, after: number): Turned {
  const [cos, sin] = [Math.cos(angle), Math.sin(angle)];
  const turned = hull.map(([x, y]): Flat => [x * cos - y * sin, x * sin + y * cos]);
  const [left, low] = [Math.min(...turned.map(([x]) => x)), Math.min(...turned.map(([, y]) => y))];
  const pushed = turned.map(([x, y]): Flat => [x - left, y - low]);
  const wide = Math.max(...pushed.map(([x]) => x));
  const high = Math.max(...pushed.map(([, y]) => y));
  return { enters: high <= before + 1e-9, leaves: wide <= after + 1e-9, room: roomAt(pushed, [after, before]) };
}

/** How far a point lies outside of a convex shape, toward where both coordinates grow; below nought where the shape reaches beyond it. */
function roomAt(shape: readonly Flat[], [x, y]: Flat): number {
  // Of all lines between the shape and the quadrant beyond the point, the one that leaves most.
  let best = Math.max(x - Math.max(...shape.map((p) => p[0])), y - Math.max(...shape.map((p) => p[1])));
  const n = shape.length;
  for (let i = 0; i < n; i += 1) {
    const [p, q] = [shape[i] as Flat, shape[(i + 1) % n] as Flat];
    const long = Math.hypot(q[0] - p[0], q[1] - p[1]);
    if (long < NOTHING) continue;
    // Outward of an anticlockwise side.
    const normal: Flat = [(q[1] - p[1]) / long, (p[0] - q[0]) / long];
    if (normal[0] < 0 || normal[1] < 0) continue;
    best = Math.max(best, normal[0] * (x - p[0]) + normal[1] * (y - p[1]));
  }
  return best;
}
