import type { Rectangle } from './layout';

/** One cut of a board, in the order they are made. mm. */
export interface SawCut {
  kind: 'crosscut' | 'rip';
  /** What lies on the saw. */
  from: Rectangle;
  /** Where the blade goes in, from the tagged end (crosscut) or the near edge (rip) of the board. */
  at: number;
  /** The same from the end or edge of what lies on the saw: what the stop or the fence is set to. */
  set: number;
  /** Nothing that is wanted lies before the cut, or after it: it only trims. */
  trims: boolean;
}

/**
 * The cuts that part the wanted rectangles of a board, in order, each going straight through what lies on the saw.
 * Where both ways are open the one with fewer cuts is taken, crosscuts first where they are alike: short stock is
 * easier to rip straight.
 *
 * @returns null when straight through cuts cannot part them
 */
export function cutSequence(board: Rectangle, wanted: readonly Rectangle[], kerf: number): SawCut[] | null {
  if (wanted.length === 0) return [];
  const [only] = wanted;
  if (wanted.length === 1 && only) return trims(board, only, kerf);
  // What all of them leave over at one side comes off in one cut, not in one for each.
  const common = { ...board };
  for (const [at, size] of SIDES) {
    const start = Math.min(...wanted.map((p) => p[at]));
    const end = Math.max(...wanted.map((p) => p[at] + p[size]));
    const shared = wanted.every((p) => Math.abs(p[at] + p[size] - end) < 1e-6);
    const stop = shared ? end : board[at] + board[size];
    common[at] = start;
    common[size] = stop - start;
  }
  const first = trims(board, common, kerf);
  const ways = (['crosscut', 'rip'] as const).flatMap((kind) => {
    const cuts = throughCuts(common, wanted, kerf, kind);
    return cuts ? [cuts] : [];
  });
  const [a, b] = ways;
  if (!a) return null;
  return [...first, ...(b && b.length < a.length ? b : a)];
}

const SIDES = [
  ['x', 'length'],
  ['y', 'width'],
] as const;

function throughCuts(
  board: Rectangle,
  wanted: readonly Rectangle[],
  kerf: number,
  kind: SawCut['kind'],
): SawCut[] | undefined {
  const [at, size] = kind === 'crosscut' ? (['x', 'length'] as const) : (['y', 'width'] as const);
  const groups: Rectangle[][] = [];
  let reach = Number.NEGATIVE_INFINITY;
  for (const piece of [...wanted].sort((p, q) => p[at] - q[at])) {
    const group = groups.at(-1);
    if (!group || piece[at] >= reach + kerf - 1e-6) groups.push([piece]);
    else group.push(piece);
    reach = Math.max(reach, piece[at] + piece[size]);
  }
  if (groups.length < 2) return undefined;
  const cuts: SawCut[] = [];
  const inner: SawCut[] = [];
  let rest = board;
  for (const [i, group] of groups.entries()) {
    const end = Math.max(...group.map((p) => p[at] + p[size]));
    let mine = rest;
    if (i < groups.length - 1) {
      cuts.push({ kind, from: rest, at: end, set: end - rest[at], trims: false });
      mine = { ...rest, [size]: end - rest[at] };
      rest = { ...rest, [at]: end + kerf, [size]: rest[at] + rest[size] - end - kerf };
    }
    const own = cutSequence(mine, group, kerf);
    if (!own) return undefined;
    inner.push(...own);
  }
  return [...cuts, ...inner];
}

function trims(board: Rectangle, piece: Rectangle, kerf: number): SawCut[] {
  const cuts: SawCut[] = [];
  let from = board;
  for (const [kind, at, size] of [
    ['crosscut', 'x', 'length'],
    ['rip', 'y', 'width'],
  ] as const) {
    if (piece[at] - from[at] > 1e-6) {
      const blade = piece[at] - kerf;
      cuts.push({ kind, from, at: Math.max(blade, from[at]), set: Math.max(0, blade - from[at]), trims: true });
      from = { ...from, [at]: piece[at], [size]: from[at] + from[size] - piece[at] };
    }
    if (from[at] + from[size] - piece[at] - piece[size] > 1e-6) {
      cuts.push({ kind, from, at: piece[at] + piece[size], set: piece[size], trims: true });
      from = { ...from, [size]: piece[size] };
    }
  }
  return cuts;
}
