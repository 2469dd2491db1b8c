import { ordersOf } from '../measure/orders';
import { widthFrom } from '../stock/as-dressed';
import type { Board } from '../stock/board';
import { checkBoard } from './check-layout';
import type { Demand, PartDemand } from './demand';
import type { Layout, LayoutOptions, Placement } from './layout';

/** A part of a set that goes round something, each following another. */
type Follower = PartDemand & { follows: number };

/** Pieces of one set that lie end to end along a board, or in the sheets of one blank. */
type Row = readonly Placement[];

/** Sets of more are left as they come: the ways to order them are too many. */
const MOST = 6;
/** Between two pieces that count as lying end to end, beyond the kerf; mm. */
const APART = 0.5;

/**
 * Sets that go round something (aprons, the veneers of a leg) put in their order, so that the grain of each runs on into
 * the next: which of the pieces of one size is which, and the order of a row of pieces along a board. Every row keeps its
 * place and its length; an order that the checker refuses is not taken.
 */
export function inSequence(
  demand: Demand,
  boards: readonly Board[],
  options: LayoutOptions,
  given: Pick<Layout, 'placements' | 'offcuts'>,
): Placement[] {
  let placements = [...given.placements];
  const fixed = new Set((options.fixed ?? []).map((p) => p.part));
  for (const set of setsOf(demand)) {
    if (set.length > MOST || set.some(({ id }) => fixed.has(id))) continue;
    const own = placements.filter((p) => set.some(({ id }) => id === p.part));
    const board = boards.find(({ id }) => id === own[0]?.board);
    if (!board || own.length !== set.length || own.some((p) => p.board !== board.id)) continue;
    const rows = rowsOf(own, options.kerf);
    const others = placements.filter((p) => !own.includes(p));
    let most = joinsIn(set, rows);
    for (const order of ordersOf(set)) {
      const laid = laidOut(set, rows, order, options.kerf, (part) => widthFrom(part, board, options.skim));
      if (!laid) continue;
      const joins = joinsIn(set, laid);
      if (joins <= most) continue;
      const tried = [...others, ...laid.flat()];
      const { offcuts } = given;
      if (checkBoard(board, demand, options, { placements: tried, offcuts, shortfall: [] }).length > 0) continue;
      [most, placements] = [joins, tried];
    }
  }
  return placements;
}

/** The sets of parts that follow one another. */
export function setsOf(demand: Demand): Follower[][] {
  const sets = new Map<string, Follower[]>();
  for (const part of demand.parts) {
    const { together, follows } = part;
    if (together === undefined || follows === undefined) continue;
    sets.set(together, [...(sets.get(together) ?? []), { ...part, follows }]);
  }
  return [...sets.values()].filter((set) => set.length > 1);
}

/** Pieces in rows along a board, each row from its tagged end. */
export function rowsOf(own: readonly Placement[], kerf: number): Row[] {
  const sorted = [...own].sort((a, b) => a.y - b.y || a.x - b.x || (a.layer ?? 0) - (b.layer ?? 0));
  const rows: Placement[][] = [];
  for (const piece of sorted) {
    const row = rows.at(-1);
    const last = row?.at(-1);
    const follows =
      last &&
      last.y === piece.y &&
      (last.turned ?? false) === (piece.turned ?? false) &&
      (piece.x === last.x || Math.abs(piece.x - last.x - last.length - kerf) < APART);
    if (row && follows) row.push(piece);
    else rows.push([piece]);
  }
  return rows;
}

/** Neighbours of a row of which the second follows the first round the piece. */
export function joinsIn(set: readonly Follower[], rows: readonly Row[]): number {
  const place = new Map(set.map((part) => [part.id, part.follows]));
  const round = set.length;
  let joins = 0;
  for (const row of rows) {
    for (let i = 1; i < row.length; i += 1) {
      const [a, b] = [place.get(row[i - 1]?.part ?? ''), place.get(row[i]?.part ?? '')];
      if (a !== undefined && b !== undefined && (a + 1) % round === b % round) joins += 1;
    }
  }
  return joins;
}

/** The rows with their pieces in another order; null where a row would not be as long as it was, or sheets not alike. */
function laidOut(
  set: readonly Follower[],
  rows: readonly Row[],
  order: readonly Follower[],
  kerf: number,
  widthOf: (part: Follower) => number,
): Placement[][] | null {
  const byId = new Map(set.map((part) => [part.id, part]));
  const laid: Placement[][] = [];
  let next = 0;
  for (const row of rows) {
    const own = order.slice(next, next + row.length);
    next += row.length;
    const before = row.map((p) => byId.get(p.part) as Follower);
    const sizes = (list: readonly Follower[]) => list.map(kindOf).sort().join('|');
    if (sizes(own) !== sizes(before)) return null;
    // Sheets of one blank stay where they are; only which is which may change.
    if (row.some((p) => p.layer !== undefined) && own.some((part, i) => kindOf(part) !== kindOf(before[i]!)))
      return null;
    let x = row[0]?.x ?? 0;
    laid.push(
      row.map((piece, i): Placement => {
        const part = own[i]!;
        if (piece.layer !== undefined) return { ...piece, part: part.id };
        const at = x;
        x += part.rough.length + kerf;
        return { ...piece, part: part.id, x: at, length: part.rough.length, width: widthOf(part) };
      }),
    );
  }
  return laid;
}

const kindOf = ({ rough, finished, shows, resawn }: Follower): string =>
  `${rough.length} ${rough.width} ${finished.thickness} ${shows} ${resawn ?? true}`;
