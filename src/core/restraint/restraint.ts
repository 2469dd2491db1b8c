import { AXES, type Axis, type Point, type Tie } from './tie';

/** A part of the piece as the engine sees it: a name, and the point from which it is reckoned. */
export interface Body {
  id: string;
  name: string;
  at: Point;
}

/** How much every part has grown along each axis since assembly, as a strain, on one day. */
export interface DayOfStrain {
  /** Any number that tells the day. */
  day: number;
  strain: (body: string, axis: Axis) => number;
  /**
   * For parts that lean: how far a point so far off along another axis is carried along this one, as a strain. A leaning
   * leg that swells across its grain keeps its length because the two together cancel along it.
   */
  skew?: (body: string, axis: Axis, other: Axis) => number;
}

/** Ties that cannot all hold: going round them, so many millimetres are missing. */
export interface Trap {
  axis: Axis;
  day: number;
  /** mm */
  missing: number;
  ties: readonly string[];
  bodies: readonly string[];
}

/** What a sliding tie must allow along an axis, and what it does allow, mm. */
export interface LedgerLine {
  tie: string;
  axis: Axis;
  /** Part `b` against part `a`, toward larger values and toward smaller. */
  plus: { need: number; room: number; day: number };
  minus: { need: number; room: number; day: number };
}

export interface Verdict {
  traps: readonly Trap[];
  ledger: readonly LedgerLine[];
}

/**
 * Bounds between the shifts of bodies along one axis: shift(to) ≤ shift(from) + weight, mm. Every tie gives two, there and
 * back: those of the tie at place k stand at 2k and 2k + 1.
 */
interface Bounds {
  from: Int32Array;
  to: Int32Array;
  weight: Float64Array;
  /** The bounds that start at each body. */
  at: readonly (readonly number[])[];
}

const SLACK = 1e-6;

/**
 * Whether a piece can live through its days. Along each axis every part has one unknown shift s; where part a and part b
 * are tied at c, their displacements differ by s_b + e_b·(c − o_b) − s_a − e_a·(c − o_a), which the tie bounds both ways. A
 * day is thus a system of difference constraints, solvable exactly when the graph of its bounds has no negative cycle
 * (Bellman–Ford). A negative cycle is a trap: its edges name the ties that fight, its weight the millimetres missing.
 *
 * For each sliding tie the ledger tells how far it must go: the least displacement the other ties leave possible, over all days.
 */
export function judgeRestraint(bodies: readonly Body[], ties: readonly Tie[], days: readonly DayOfStrain[]): Verdict {
  const index = new Map(bodies.map((body, i) => [body.id, i]));
  const tied = ties.flatMap((tie) => {
    const [a, b] = [index.get(tie.a), index.get(tie.b)];
    return a !== undefined && b !== undefined ? [{ tie, a, b }] : [];
  });
  const worst = new Map<string, Trap>();
  const ledger = new Map<string, LedgerLine>();
  for (const axis of AXES) {
    const along = tied.flatMap(({ tie, a, b }): Along[] => {
      const room = tie.room[axis];
      return room ? [{ tie, a, b, room }] : [];
    });
    if (along.length === 0) continue;
    const offset = new Float64Array(along.length);
    // Only the weights change from day to day.
    const bounds = boundsAlong(along, bodies.length);
    const [second, third] = AXES.filter((other) => other !== axis) as [Axis, Axis];
    for (const { day, strain, skew } of days) {
      const strains = bodies.map(({ id }) => [
        strain(id, axis),
        skew ? skew(id, axis, second) : 0,
        skew ? skew(id, axis, third) : 0,
      ]);
      const grown = (body: number, c: Point) => {
        const { at } = bodies[body]!;
        const [own, across, over] = strains[body] as [number, number, number];
        return own * (c[axis] - at[axis]) + across * (c[second] - at[second]) + over * (c[third] - at[third]);
      };
      for (let k = 0; k < along.length; k += 1) {
        const { tie, a, b, room } = along[k]!;
        const apart = grown(b, tie.at) - grown(a, tie.at);
        offset[k] = apart;
        bounds.weight[2 * k] = room.plus - apart;
        bounds.weight[2 * k + 1] = room.minus + apart;
      }
      for (const cycle of negativeCycles(bodies.length, bounds)) {
        const names = [...new Set(cycle.bounds.map((e) => along[e >> 1]?.tie.id ?? ''))].sort();
        const key = `${axis}|${names.join('|')}`;
        const known = worst.get(key);
        if (known && known.missing >= cycle.missing) continue;
        const met = cycle.bounds.flatMap((e) => [bounds.from[e]!, bounds.to[e]!]);
        worst.set(key, {
          axis,
          day,
          missing: cycle.missing,
          ties: names,
          bodies: [...new Set(met.map((i) => bodies[i]?.id ?? ''))],
        });
      }
      enterDay(axis, day, along, offset, bounds, bodies.length, ledger);
    }
  }
  return {
    traps: [...worst.values()].sort((a, b) => b.missing - a.missing),
    ledger: [...ledger.values()],
  };
}

interface Along {
  tie: Tie;
  a: number;
  b: number;
  room: { minus: number; plus: number };
}

function boundsAlong(along: readonly Along[], count: number): Bounds {
  const n = 2 * along.length;
  const at: number[][] = Array.from({ length: count }, () => []);
  const bounds = { from: new Int32Array(n), to: new Int32Array(n), weight: new Float64Array(n), at };
  along.forEach(({ a, b }, k) => {
    [bounds.from[2 * k], bounds.to[2 * k]] = [a, b];
    [bounds.from[2 * k + 1], bounds.to[2 * k + 1]] = [b, a];
    at[a]?.push(2 * k);
    at[b]?.push(2 * k + 1);
  });
  return bounds;
}

/** Writes one day's needs of the sliding ties into the ledger. */
function enterDay(
  axis: Axis,
  day: number,
  along: readonly Along[],
  offset: Float64Array,
  bounds: Bounds,
  count: number,
  ledger: Map<string, LedgerLine>,
): void {
  if (!along.some(({ tie }) => tie.slides)) return;
  const none = new Uint8Array(along.length);
  const sliding = Uint8Array.from(along, ({ tie }) => (tie.slides ? 1 : 0));
  const told = (without: Uint8Array) => {
    const known = new Map<number, Float64Array>();
    return (source: number) => {
      const far = known.get(source) ?? shortestFrom(source, count, bounds, without);
      known.set(source, far);
      return far;
    };
  };
  /** Shortest ways from a part over the tight joints alone, and over all. */
  const [tightFrom, allFrom] = [told(sliding), told(none)];
  /** The shortest way past a tie: over all, where its own bound is not the shortest anyway. */
  const past = (from: number, to: number, k: number, own: number) => {
    const far = allFrom(from)[to]!;
    if (far < own - SLACK) return far;
    none[k] = 1;
    const past = shortestFrom(from, count, bounds, none)[to]!;
    none[k] = 0;
    return past;
  };
  along.forEach(({ tie, a, b, room }, k) => {
    if (!tie.slides) return;
    let [high, low] = [tightFrom(a)[b]!, -tightFrom(b)[a]!];
    if (Number.isFinite(high) && Number.isFinite(low)) {
      // Held by tight joints: where they would have it, give aside.
      const middle = (high + low) / 2;
      [high, low] = [middle, middle];
    } else {
      // Held only by other ties that slide: as far as they leave it no choice.
      high = past(a, b, k, bounds.weight[2 * k]!);
      low = -past(b, a, k, bounds.weight[2 * k + 1]!);
    }
    const shift = offset[k]!;
    const need = { plus: Math.max(0, low + shift), minus: Math.max(0, -(high + shift)) };
    const key = `${tie.id}|${axis}`;
    let line = ledger.get(key);
    if (!line) {
      line = {
        tie: tie.id,
        axis,
        plus: { need: 0, room: room.plus, day },
        minus: { need: 0, room: room.minus, day },
      };
      ledger.set(key, line);
    }
    for (const way of ['plus', 'minus'] as const) {
      if (Number.isFinite(need[way]) && need[way] > line[way].need) {
        line = { ...line, [way]: { ...line[way], need: need[way], day } };
        ledger.set(key, line);
      }
    }
  });
}

/**
 * Shortest ways from one body to all, over the bounds of all ties but some (Bellman–Ford, only bodies that came nearer looked
 * at again); what a negative cycle spoils is left as it comes, it is a trap already.
 */
function shortestFrom(
  source: number,
  count: number,
  { to, weight, at }: Bounds,
  without: Readonly<Uint8Array>,
): Float64Array {
  const far = new Float64Array(count).fill(Number.POSITIVE_INFINITY);
  far[source] = 0;
  let nearer = [source];
  for (let round = 0; round < count && nearer.length > 0; round += 1) {
    const next: number[] = [];
    for (const body of nearer) {
      for (const e of at[body]!) {
        if (without[e >> 1]) continue;
        const end = to[e]!;
        const sum = far[body]! + weight[e]!;
        if (sum >= far[end]! - SLACK) continue;
        far[end] = sum;
        if (!next.includes(end)) next.push(end);
      }
    }
    nearer = next;
  }
  return far;
}

const MOST_TRAPS = 8;

/** Negative cycles one after another: each is found, told, and its tightest bound given what is missing, until none is left. */
function negativeCycles(count: number, given: Bounds): { bounds: number[]; missing: number }[] {
  const found: { bounds: number[]; missing: number }[] = [];
  if (!negativeCycle(count, given)) return found;
  const eased = { ...given, weight: given.weight.slice() };
  const weightOf = (e: number) => eased.weight[e]!;
  while (found.length < MOST_TRAPS) {
    const cycle = negativeCycle(count, eased);
    if (!cycle) break;
    const missing = -cycle.reduce((sum, e) => sum + weightOf(e), 0);
    found.push({ bounds: cycle, missing });
    const tightest = cycle.reduce((a, b) => (weightOf(b) < weightOf(a) ? b : a));
    eased.weight[tightest] = weightOf(tightest) + missing + SLACK;
  }
  return found;
}

function negativeCycle(count: number, { from, to, weight }: Bounds): number[] | undefined {
  const distance = new Float64Array(count);
  const parent = new Int32Array(count).fill(-1);
  let last = -1;
  for (let round = 0; round <= count; round += 1) {
    last = -1;
    for (let e = 0; e < from.length; e += 1) {
      const through = distance[from[e]!]! + weight[e]!;
      const end = to[e]!;
      if (through < distance[end]! - SLACK) {
        distance[end] = through;
        parent[end] = e;
        last = end;
      }
    }
    if (last < 0) return undefined;
  }
  // Far enough back along the parents lies the cycle itself.
  const before = (node: number) => {
    const e = parent[node]!;
    return e < 0 ? node : from[e]!;
  };
  let node = last;
  for (let i = 0; i < count; i += 1) node = before(node);
  const cycle: number[] = [];
  let at = node;
  do {
    const e = parent[at]!;
    if (e < 0) return undefined;
    cycle.push(e);
    at = from[e]!;
  } while (at !== node);
  return cycle.reverse();
}
