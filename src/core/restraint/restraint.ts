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

interface Edge {
  from: number;
  to: number;
  /** shift(to) ≤ shift(from) + weight, mm */
  weight: number;
  tie: number;
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
  const worst = new Map<string, Trap>();
  const ledger = new Map<string, LedgerLine>();
  for (const axis of AXES) {
    const along = ties.flatMap((tie, i) => {
      const room = tie.room[axis];
      const [a, b] = [index.get(tie.a), index.get(tie.b)];
      return room && a !== undefined && b !== undefined ? [{ tie, i, a, b, room }] : [];
    });
    if (along.length === 0) continue;
    const offset = new Array<number>(along.length).fill(0);
    // Two bounds a tie, there and back; only their weights change from day to day.
    const edges = along.flatMap(({ i, a, b }): [Edge, Edge] => [
      { from: a, to: b, weight: 0, tie: i },
      { from: b, to: a, weight: 0, tie: i },
    ]);
    const others = AXES.filter((other) => other !== axis);
    for (const { day, strain, skew } of days) {
      const strains = bodies.map((body) => strain(body.id, axis));
      const skews = skew ? bodies.map((body) => others.map((other) => skew(body.id, axis, other))) : null;
      const grown = (body: number, c: Point) => {
        const own = bodies[body]?.at;
        if (!own) return 0;
        const along = (strains[body] ?? 0) * (c[axis] - own[axis]);
        if (!skews) return along;
        return others.reduce((sum, other, k) => sum + (skews[body]?.[k] ?? 0) * (c[other] - own[other]), along);
      };
      along.forEach(({ tie, a, b, room }, k) => {
        const apart = grown(b, tie.at) - grown(a, tie.at);
        offset[k] = apart;
        const [there, back] = [edges[2 * k], edges[2 * k + 1]];
        if (there) there.weight = room.plus - apart;
        if (back) back.weight = room.minus + apart;
      });
      for (const cycle of negativeCycles(bodies.length, edges)) {
        const names = [...new Set(cycle.edges.map((e) => ties[e.tie]?.id ?? ''))].sort();
        const key = `${axis}|${names.join('|')}`;
        const known = worst.get(key);
        if (known && known.missing >= cycle.missing) continue;
        worst.set(key, {
          axis,
          day,
          missing: cycle.missing,
          ties: names,
          bodies: [...new Set(cycle.edges.flatMap((e) => [bodies[e.from]?.id ?? '', bodies[e.to]?.id ?? '']))],
        });
      }
      enterDay(axis, day, along, offset, edges, bodies.length, ledger);
    }
  }
  return {
    traps: [...worst.values()].sort((a, b) => b.missing - a.missing),
    ledger: [...ledger.values()],
  };
}

interface Along {
  tie: Tie;
  i: number;
  a: number;
  b: number;
  room: { minus: number; plus: number };
}

/** Writes one day's needs of the sliding ties into the ledger. */
function enterDay(
  axis: Axis,
  day: number,
  along: readonly Along[],
  offset: readonly number[],
  edges: readonly Edge[],
  count: number,
  ledger: Map<string, LedgerLine>,
): void {
  const slides = new Set(along.flatMap(({ tie, i }) => (tie.slides ? [i] : [])));
  if (slides.size === 0) return;
  const told = (edges: readonly Edge[]) => {
    const known = new Map<number, Float64Array>();
    return (source: number) => {
      const far = known.get(source) ?? shortestFrom(source, count, edges);
      known.set(source, far);
      return far;
    };
  };
  /** Shortest ways from a part over the tight joints alone, and over all. */
  const [tightFrom, allFrom] = [told(edges.filter((edge) => !slides.has(edge.tie))), told(edges)];
  /** The shortest way past a tie: over all, where its own bound is not the shortest anyway. */
  const past = (from: number, to: number, tie: number, bound: number) => {
    const far = allFrom(from)[to] as number;
    return far < bound - SLACK ? far : (shortestFrom(from, count, edges, tie)[to] as number);
  };
  along.forEach(({ tie, i, a, b, room }, k) => {
    if (!tie.slides) return;
    let [high, low] = [tightFrom(a)[b] as number, -(tightFrom(b)[a] as number)];
    if (Number.isFinite(high) && Number.isFinite(low)) {
      // Held by tight joints: where they would have it, give aside.
      const middle = (high + low) / 2;
      [high, low] = [middle, middle];
    } else {
      // Held only by other ties that slide: as far as they leave it no choice.
      high = past(a, b, i, edges[2 * k]?.weight ?? 0);
      low = -past(b, a, i, edges[2 * k + 1]?.weight ?? 0);
    }
    const shift = offset[k] ?? 0;
    const need = { plus: Math.max(0, low + shift), minus: Math.max(0, -(high + shift)) };
    const key = `${tie.id}|${axis}`;
    const line = ledger.get(key) ?? {
      tie: tie.id,
      axis,
      plus: { need: 0, room: room.plus, day },
      minus: { need: 0, room: room.minus, day },
    };
    for (const way of ['plus', 'minus'] as const) {
      if (Number.isFinite(need[way]) && need[way] > line[way].need) line[way] = { ...line[way], need: need[way], day };
    }
    ledger.set(key, line);
  });
}

/**
 * Shortest ways from one node to all (Bellman–Ford), over all edges but those of one tie; what a negative cycle spoils is
 * left as it comes, it is a trap already.
 */
function shortestFrom(source: number, count: number, edges: readonly Edge[], without = -1): Float64Array {
  const far = new Float64Array(count).fill(Number.POSITIVE_INFINITY);
  far[source] = 0;
  for (let round = 0; round < count; round += 1) {
    let shorter = false;
    for (const { from, to, weight, tie } of edges) {
      if (tie === without) continue;
      const sum = (far[from] as number) + weight;
      if (sum < (far[to] as number) - SLACK) {
        far[to] = sum;
        shorter = true;
      }
    }
    if (!shorter) break;
  }
  return far;
}

const MOST_TRAPS = 8;

/** Negative cycles one after another: each is found, told, and its tightest bound given what is missing, until none is left. */
function negativeCycles(count: number, given: readonly Edge[]): { edges: Edge[]; missing: number }[] {
  const found: { edges: Edge[]; missing: number }[] = [];
  if (!negativeCycle(count, given)) return found;
  const edges = given.map((edge) => ({ ...edge }));
  while (found.length < MOST_TRAPS) {
    const cycle = negativeCycle(count, edges);
    if (!cycle) break;
    const missing = -cycle.reduce((sum, edge) => sum + edge.weight, 0);
    found.push({ edges: cycle.map((edge) => ({ ...edge })), missing });
    const tightest = cycle.reduce((a, b) => (b.weight < a.weight ? b : a));
    tightest.weight += missing + SLACK;
  }
  return found;
}

function negativeCycle(count: number, edges: readonly Edge[]): Edge[] | undefined {
  const distance = new Float64Array(count);
  const parent: (Edge | undefined)[] = new Array(count).fill(undefined);
  let last = -1;
  for (let round = 0; round <= count; round += 1) {
    last = -1;
    for (const edge of edges) {
      const through = (distance[edge.from] ?? 0) + edge.weight;
      if (through < (distance[edge.to] ?? 0) - SLACK) {
        distance[edge.to] = through;
        parent[edge.to] = edge;
        last = edge.to;
      }
    }
    if (last < 0) return undefined;
  }
  // Far enough back along the parents lies the cycle itself.
  let node = last;
  for (let i = 0; i < count; i += 1) node = parent[node]?.from ?? node;
  const cycle: Edge[] = [];
  let at = node;
  do {
    const edge = parent[at];
    if (!edge) return undefined;
    cycle.push(edge);
    at = edge.from;
  } while (at !== node);
  return cycle.reverse();
}
