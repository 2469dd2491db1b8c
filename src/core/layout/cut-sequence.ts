import { upToStep } from '../measure/length';
import type { Rectangle } from './layout';

/** One cut of a board, in the order they are made. mm. */
export interface SawCut {
  kind: 'crosscut' | 'rip';
  /** What lies on the saw. */
  from: Rectangle;
  /** Where the blade goes in, from the tagged end (crosscut) or the near edge (rip) of the board. */
  at: number;
  /** What the stop or the fence is set to: from the nearer end or edge of what lies on the saw, or from the farther one. */
  set: number;
  side: 'near' | 'far';
  /** Nothing that is wanted lies before the cut, or after it: it only trims. */
  trims: boolean;
}

/** What is to come out of a board. */
export interface Wanted extends Rectangle {
  /** Returned to the rack as the cuts round the pieces leave it: no cut is made for its own sake. */
  offcut?: boolean;
  /** The edge that is the board's own: nothing is cut there. */
  live?: 'near' | 'far';
  /** Whether what lies beside it, a little more than a blade wide, is sound: before it and after it, along the board and across. */
  sound?: Record<'before' | 'after', { x: boolean; y: boolean }>;
  /** What it is sawn larger than it ends up, so that a cut may fall short by a step; mm. Nothing where that is not said. */
  spare?: { length: number; width: number };
}

/** How a saw is set. mm */
export interface Sawing {
  kerf: number;
  /** Stop and fence stand at whole steps, as far as there is room or a piece is sawn that much larger; 0: at any place. */
  step: number;
}

/**
 * The cuts that part the wanted rectangles of a board, in order, each going straight through what lies on the saw.
 * Where both ways are open the one with fewer cuts is taken, crosscuts first where they are alike: short stock is
 * easier to rip straight. Of cuts that could come next the one at the setting of the last does.
 *
 * @returns null when straight through cuts cannot part them
 */
export function cutSequence(board: Rectangle, wanted: readonly Wanted[], sawing: Sawing): SawCut[] | null {
  const found = parted(board, wanted, { ...sawing, board });
  return found && atOneSetting(found.cuts);
}

/** Offcuts in the groups that the same cuts leave in one piece; null where they cannot be made. */
export const leftTogether = <W extends Wanted>(
  board: Rectangle,
  wanted: readonly W[],
  sawing: Sawing,
): readonly (readonly W[])[] | null => (parted(board, wanted, { ...sawing, board })?.left as W[][] | undefined) ?? null;

/** Sawing of one board, whose own edges no stop and no fence is set from but the straight one. */
type OnBoard = Sawing & { board: Rectangle };

interface Parted {
  cuts: SawCut[];
  left: Wanted[][];
}

function parted(board: Rectangle, wanted: readonly Wanted[], sawing: OnBoard): Parted | null {
  if (isAllLeft(wanted)) return { cuts: [], left: wanted.length > 0 ? [[...wanted]] : [] };
  const [only] = wanted;
  if (wanted.length === 1 && only) return { cuts: trims(board, only, sawing, true).cuts, left: [] };
  // What all of them leave over at one side comes off in one cut, not in one for each.
  const common: Wanted = { ...board, spare: spareOf(wanted), sound: soundBeside(wanted) };
  for (const [at, size] of SIDES) {
    const start = Math.min(...wanted.map((p) => p[at]));
    const end = Math.max(...wanted.map((p) => p[at] + p[size]));
    const atStart = wanted.some((p) => !p.offcut && p[at] - start < 1e-6);
    const shared = wanted.every((p) => Math.abs(p[at] + p[size] - end) < 1e-6 && p.live !== 'far');
    const from = atStart ? start : board[at];
    common[at] = from;
    common[size] = (shared ? end : board[at] + board[size]) - from;
  }
  const first = trims(board, common, sawing, false);
  const ways = (['crosscut', 'rip'] as const).flatMap((kind) => {
    const found = throughCuts(first.wood, wanted, sawing, kind);
    return found ? [found] : [];
  });
  const [a, b] = ways;
  if (!a) return null;
  const fewer = b && b.cuts.length < a.cuts.length ? b : a;
  return { cuts: [...first.cuts, ...fewer.cuts], left: fewer.left };
}

const SIDES = [
  ['x', 'length'],
  ['y', 'width'],
] as const;

/** What every piece of a group can spare. */
function spareOf(wanted: readonly Wanted[]): { length: number; width: number } {
  const pieces = wanted.filter(({ offcut }) => !offcut);
  const least = (of: (piece: Wanted) => number) => Math.min(...pieces.map(of));
  return { length: least((p) => p.spare?.length ?? 0), width: least((p) => p.spare?.width ?? 0) };
}

/** Where all pieces of a group have sound wood beside them. */
function soundBeside(wanted: readonly Wanted[]): NonNullable<Wanted['sound']> {
  const every = (way: 'before' | 'after', at: 'x' | 'y') =>
    wanted.every(({ offcut, sound }) => offcut || (sound?.[way][at] ?? false));
  return {
    before: { x: every('before', 'x'), y: every('before', 'y') },
    after: { x: every('after', 'x'), y: every('after', 'y') },
  };
}

/**
 * What is left on a piece rather than sawn off, mm: less than a step, and where it is sound less than a blade takes and a
 * step, for that is no cut, and is planed away with the allowance.
 */
const stayingOn = ({ kerf, step }: Sawing, sound: boolean | undefined): number =>
  step === 0 ? 1e-6 : sound ? kerf + step : step;

function throughCuts(
  board: Rectangle,
  wanted: readonly Wanted[],
  sawing: OnBoard,
  kind: SawCut['kind'],
): Parted | undefined {
  const { kerf } = sawing;
  const [at, size] = kind === 'crosscut' ? (['x', 'length'] as const) : (['y', 'width'] as const);
  const groups: Wanted[][] = [];
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
  const left: Wanted[][] = [];
  let rest = board;
  for (const [i, group] of groups.entries()) {
    let mine = rest;
    const next = groups[i + 1];
    const isLeft = isAllLeft(group);
    if (next && !(isLeft && isAllLeft(next))) {
      const start = Math.min(...group.map((p) => p[at]));
      const end = Math.max(...group.map((p) => p[at] + p[size]));
      const beyond = Math.min(...next.map((p) => p[at])) - kerf;
      const set = isLeft
        ? latest(rest[at], beyond, sawing)
        : earliest(rest[at], start, end, beyond, sawing, spareOf(group)[size], soundBeside(group).before[at]);
      const blade = rest[at] + set;
      cuts.push({ kind, from: rest, at: blade, set, side: 'near', trims: false });
      mine = { ...rest, [size]: set };
      rest = { ...rest, [at]: blade + kerf, [size]: rest[at] + rest[size] - blade - kerf };
    }
    const own = parted(mine, group, sawing);
    if (!own) return undefined;
    inner.push(...own.cuts);
    const before = groups[i - 1];
    if (isLeft && before && isAllLeft(before)) left.at(-1)?.push(...group);
    else left.push(...own.left);
  }
  return { cuts: [...cuts, ...inner], left };
}

/** Whether all of them are offcuts: those are left in one piece. */
const isAllLeft = (wanted: readonly Wanted[]): boolean => wanted.every(({ offcut }) => offcut);

/** @param alone a single piece, which is measured from its far end where it reaches that and that is sawn */
function trims(board: Rectangle, piece: Wanted, sawing: OnBoard, alone: boolean): { cuts: SawCut[]; wood: Rectangle } {
  const cuts: SawCut[] = [];
  const { kerf } = sawing;
  let from = board;
  for (const [kind, at, size] of [
    ['crosscut', 'x', 'length'],
    ['rip', 'y', 'width'],
  ] as const) {
    const spare = piece.spare?.[size] ?? 0;
    const live = kind === 'rip' ? piece.live : undefined;
    if (piece[at] - from[at] > stayingOn(sawing, piece.sound?.before[at]) && live !== 'near') {
      const far = from[at] + from[size];
      // What reaches the far end is measured from there.
      const isSawn = far < sawing.board[at] + sawing.board[size] - 1e-6;
      const fromFar =
        (alone || kind === 'rip') && isSawn && far - piece[at] - piece[size] <= Math.max(1e-6, sawing.step)
          ? upTo(piece[size], sawing.step)
          : null;
      const atFar = fromFar !== null && far - fromFar - kerf > from[at] ? far - fromFar - kerf : null;
      const blade = atFar ?? from[at] + Math.max(0, latest(from[at], piece[at] - kerf, sawing));
      const side = atFar === null ? 'near' : 'far';
      cuts.push({ kind, from, at: blade, set: atFar === null ? blade - from[at] : (fromFar ?? 0), side, trims: true });
      // Where there is no room for a whole kerf the blade takes what there is.
      const start = Math.max(blade, Math.min(blade + kerf, piece[at]));
      from = { ...from, [at]: start, [size]: from[at] + from[size] - start };
    }
    const end = piece[at] + piece[size];
    if (from[at] + from[size] - end > stayingOn(sawing, piece.sound?.after[at]) && live !== 'far') {
      const set = earliest(from[at], piece[at], end, Number.POSITIVE_INFINITY, sawing, spare, piece.sound?.before[at]);
      cuts.push({ kind, from, at: from[at] + set, set, side: 'near', trims: true });
      from = { ...from, [size]: set };
    }
  }
  return { cuts, wood: from };
}

const upTo = (mm: number, step: number): number => (step === 0 ? mm : upToStep(mm, step));

/**
 * Fence setting, mm, of the cut that frees what lies from `first` to `end` and stays clear of `beyond`: the least that
 * is a whole step. What stays on the piece before `first` is part of it.
 */
function earliest(
  start: number,
  first: number,
  end: number,
  beyond: number,
  sawing: Sawing,
  spare: number,
  sound: boolean | undefined,
): number {
  const { step } = sawing;
  if (step === 0) return end - start;
  const exact = end - (first - start <= stayingOn(sawing, sound) ? first : start);
  const over = Math.ceil(exact / step - 1e-6) * step;
  if (start + over <= beyond + 1e-6) return over;
  const under = Math.floor((beyond - start) / step + 1e-6) * step;
  return under >= exact - spare - 1e-6 ? under : exact;
}

/** Fence setting, mm, of the cut that comes nearest to `beyond`: what lies before it need not keep its size. */
function latest(start: number, beyond: number, { step }: Sawing): number {
  const exact = beyond - start;
  return step === 0 ? exact : Math.floor(exact / step + 1e-6) * step;
}

/** The cuts with those at one setting after one another, as far as what they cut is there by then. */
function atOneSetting(cuts: readonly SawCut[]): SawCut[] {
  const left = cuts.map((cut, i) => ({ cut, needs: cuts.slice(0, i).filter((before) => isOf(cut.from, before.from)) }));
  const done = new Set<SawCut>();
  const ordered: SawCut[] = [];
  while (left.length > 0) {
    const last = ordered.at(-1);
    const ready = left.filter(({ needs }) => needs.every((before) => done.has(before)));
    const alike = (of: (cut: SawCut, last: SawCut) => boolean) => ready.find(({ cut }) => last && of(cut, last));
    const next =
      alike(
        (cut, { kind, set, side, trims }) =>
          cut.kind === kind && cut.trims === trims && cut.side === side && near(cut.set, set),
      ) ??
      alike((cut, { kind, set }) => cut.kind === kind && near(cut.set, set)) ??
      alike((cut, { kind }) => cut.kind === kind) ??
      ready[0]!;
    ordered.push(next.cut);
    done.add(next.cut);
    left.splice(left.indexOf(next), 1);
  }
  return ordered;
}

const near = (a: number, b: number) => Math.abs(a - b) < 1e-6;

/** Whether a piece of wood comes of another, to within what it may have moved; mm. */
export const isOf = (piece: Rectangle, whole: Rectangle, moved = 0): boolean =>
  SIDES.every(
    ([at, size]) =>
      piece[at] >= whole[at] - moved - 1e-6 && piece[at] + piece[size] <= whole[at] + whole[size] + moved + 1e-6,
  );
