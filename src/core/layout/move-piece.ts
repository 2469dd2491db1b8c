import type { Move } from '../document/job-document';
import type { Board } from '../stock/board';
import { boardShape, reachAcross } from '../stock/board-shape';
import type { Blank } from './blanks';
import { checkBoard, checkTogether } from './check-layout';
import type { Demand } from './demand';
import { writtenLayout } from './describe-layout';
import { clearOf, type Layout, type LayoutOptions, type Offcut, type Placement, type Rectangle } from './layout';
import { leftovers } from './leftovers';
import { kindsOf, readyBoards, rectanglesOf } from './ready-boards';
import { uncut, usefulOffcuts } from './sawn-board';

/** Whether a move speaks of this placement. */
export const isMoved = (placement: Placement, move: Move): boolean =>
  move.part === placement.part && move.strip === (placement.strip ?? null);

/** The pieces where they were put, and the boards that something came from or to. */
function movedPlacements(
  boards: readonly Board[],
  layout: Pick<Layout, 'placements'>,
  moves: readonly Move[],
): { placements: Placement[]; touched: Set<string> } {
  const byTag = new Map(boards.map((board) => [board.tag, board]));
  const touched = new Set<string>();
  const placements = layout.placements.map((placement) => {
    const move = moves.find((m) => isMoved(placement, m));
    const board = move && byTag.get(move.board);
    if (!move || !board || isThere(placement, board, move)) return placement;
    const { turned: _, layer, ...rest } = placement;
    touched.add(placement.board).add(board.id);
    return {
      ...rest,
      board: board.id,
      x: move.x,
      y: move.y,
      ...(move.turned ? { turned: true } : {}),
      ...(layer !== undefined && staysOneBlank(layout, placement, moves) ? { layer } : {}),
    };
  });
  return { placements, touched };
}

const isThere = (placement: Placement, board: Board, move: Move) =>
  placement.board === board.id &&
  placement.x === move.x &&
  placement.y === move.y &&
  (placement.turned ?? false) === move.turned;

/**
 * The layout with the maker's moves made: pieces where they were put, what is left of each board and the money reckoned
 * anew. Moves of pieces that are not laid out, or to boards that are gone, are left aside. Nothing is judged here: {@link wrongOfMoves} does that.
 */
export function movedLayout(
  demand: Demand,
  boards: readonly Board[],
  options: LayoutOptions,
  layout: Layout,
  moves: readonly Move[],
): Layout {
  const { placements, touched } = movedPlacements(boards, layout, moves);
  if (touched.size === 0) return layout;
  const offcuts = [
    ...layout.offcuts.filter((offcut) => !touched.has(offcut.board)),
    ...boards.flatMap((board) =>
      touched.has(board.id) && placements.some((p) => p.board === board.id)
        ? offcutsOf(board, demand, options, placements)
        : [],
    ),
  ];
  return writtenLayout(demand, boards, options, { ...layout, placements, offcuts });
}

/** What the checker has against moves, on the boards they touch; nothing where they can be made. */
export function wrongOfMoves(
  demand: Demand,
  boards: readonly Board[],
  options: LayoutOptions,
  layout: Pick<Layout, 'placements'>,
  moves: readonly Move[],
  nameOf?: (placement: Placement) => string,
): string[] {
  const { placements, touched } = movedPlacements(boards, layout, moves);
  const wrong = boards.flatMap((board) =>
    touched.has(board.id) ? wrongOn(board, demand, options, placements, nameOf) : [],
  );
  return [...wrong, ...newlyApart(demand, boards, layout.placements, placements, nameOf)];
}

/** What belongs together and only the moves have parted. */
function newlyApart(
  demand: Demand,
  boards: readonly Board[],
  before: readonly Placement[],
  after: readonly Placement[],
  nameOf?: (placement: Placement) => string,
): string[] {
  const already = checkTogether(demand, boards, before, nameOf);
  return checkTogether(demand, boards, after, nameOf).filter((wrong) => !already.includes(wrong));
}

function wrongOn(
  board: Board,
  demand: Demand,
  options: LayoutOptions,
  placements: readonly Placement[],
  nameOf?: (placement: Placement) => string,
): string[] {
  if (board.takenFor) return [`${board.tag} is used up already`];
  return checkBoard(board, demand, options, { placements: [...placements], offcuts: [], shortfall: [] }, nameOf);
}

/**
 * The moves that can be made together: on a board that the checker then has something against, none of those that touch
 * it stands.
 */
export function standingMoves(
  demand: Demand,
  boards: readonly Board[],
  options: LayoutOptions,
  layout: Pick<Layout, 'placements'>,
  moves: readonly Move[],
): Move[] {
  const byTag = new Map(boards.map((board) => [board.tag, board]));
  let standing = moves.filter((move) => byTag.has(move.board));
  for (;;) {
    const { placements, touched } = movedPlacements(boards, layout, standing);
    const apart = newlyApart(demand, boards, layout.placements, placements).length > 0;
    const wrong = new Set(
      boards
        .filter((board) => touched.has(board.id))
        .filter((board) => wrongOn(board, demand, options, placements).length > 0)
        .map((board) => board.id),
    );
    // What the moves have parted is put back together whole.
    const bound = new Set(
      apart
        ? [
            ...demand.parts.filter((part) => part.together !== undefined),
            ...demand.panels.filter((panel) => panel.oneLot || panel.pairs),
          ].map(({ id }) => id)
        : [],
    );
    const left = standing.filter((move) => {
      const from = layout.placements.find((placement) => isMoved(placement, move));
      const board = byTag.get(move.board)?.id ?? '';
      return !wrong.has(board) && !wrong.has(from?.board ?? '') && !bound.has(move.part);
    });
    if (left.length === standing.length) return standing;
    standing = left;
  }
}

/** Whether all that is resawn from one blank goes to one place, so that it stays one blank. */
function staysOneBlank(layout: Pick<Layout, 'placements'>, placement: Placement, moves: readonly Move[]): boolean {
  const together = layout.placements.filter(
    (p) => p.board === placement.board && p.x === placement.x && p.y === placement.y && p.layer !== undefined,
  );
  const places = new Set(
    together.map((p) => {
      const move = moves.find((m) => isMoved(p, m));
      return move ? `${move.board} ${move.x} ${move.y}` : 'stays';
    }),
  );
  return places.size === 1;
}

/** The useful rest of a board round its pieces, crosscut or ripped, whichever keeps more and can really be sawn. */
export function offcutsOf(
  board: Board,
  demand: Demand,
  options: LayoutOptions,
  placements: readonly Placement[],
): (Offcut & { board: string })[] {
  const fixed = placements.filter((p) => p.board === board.id);
  const given = { ...options, fixed };
  const [ready] = readyBoards([board], given, kindsOf(demand, given, [board]));
  if (!ready) return [];
  const area = (list: readonly Offcut[]) => list.reduce((sum, offcut) => sum + clearOf(offcut), 0);
  return [true, false]
    .map((crosscutFirst) =>
      leftovers(board, fixed, usefulOffcuts(uncut(ready, crosscutFirst), options), options.kerf).map((offcut) => ({
        ...offcut,
        board: board.id,
      })),
    )
    .sort((a, b) => area(b) - area(a))
    .reduce<(Offcut & { board: string })[]>(
      (found, offcuts) =>
        found.length > 0 || checkBoard(board, demand, options, { placements: fixed, offcuts, shortfall: [] }).length > 0
          ? found
          : offcuts,
      [],
    );
}

/** How near to a place a piece is drawn into it, mm. */
const REACH = 25;

type Sawing = Pick<LayoutOptions, 'kerf' | 'endTrim'>;
type Size = { length: number; width: number };

/** Where along a board a piece lies well: at the end trim, in line with or a kerf beside its neighbours, clear of a defect. mm */
function placesAlong(board: Board, blanks: readonly Rectangle[], piece: Size, { kerf, endTrim }: Sawing): number[] {
  return [
    endTrim,
    board.length - endTrim - piece.length,
    ...blanks.flatMap(({ x, length }) => [x, x + length - piece.length, x + length + kerf, x - kerf - piece.length]),
    ...board.defects.flatMap((d) => [d.x + d.length, d.x - piece.length]),
  ];
}

/** The same across the board, for a piece that begins at x. mm */
function placesAcross(board: Board, blanks: readonly Rectangle[], piece: Size, x: number, { kerf }: Sawing): number[] {
  const shape = boardShape(board);
  return [
    shape.near,
    reachAcross(shape, x, x + piece.length) - piece.width,
    // Out to a live edge.
    0,
    reachAcross(shape, x, x + piece.length) + board.liveEdges.far - piece.width,
    ...blanks.flatMap(({ y, width }) => [y, y + width - piece.width, y + width + kerf, y - kerf - piece.width]),
    ...board.defects.flatMap((d) => [d.y + d.width, d.y - piece.width]),
  ];
}

/**
 * A place for a piece near where the hand holds it: against the end trim, the edges, a kerf beside the other pieces and
 * in line with them, clear past a defect, where one of these is near; otherwise on the whole millimetre. mm
 */
export function snapPiece(
  board: Board,
  others: readonly Rectangle[],
  piece: Size,
  at: { x: number; y: number },
  sawing: Sawing,
): { x: number; y: number } {
  const blanks = rectanglesOf(others);
  const x = nearest(placesAlong(board, blanks, piece, sawing), at.x);
  return { x, y: nearest(placesAcross(board, blanks, piece, x, sawing), at.y) };
}

function nearest(places: readonly number[], at: number): number {
  let best = Math.round(at);
  let least = REACH;
  for (const place of places) {
    const off = Math.abs(place - at);
    if (place >= 0 && off < least) [best, least] = [place, off];
  }
  return Math.max(0, best);
}

/** What moves are tried against. */
export interface MoveGround {
  demand: Demand;
  boards: readonly Board[];
  options: LayoutOptions;
  layout: Pick<Layout, 'placements'>;
  /** What a piece is called in words; its part's id where nothing is said. */
  nameOf?: (placement: Placement) => string;
}

/** Moves with what the checker has against them. */
export interface TriedMoves {
  moves: Move[];
  wrong: string[];
}

const tried = ({ demand, boards, options, layout, nameOf }: MoveGround, moves: Move[]): TriedMoves => ({
  moves,
  wrong: wrongOfMoves(demand, boards, options, layout, moves, nameOf),
});

const isTurned = (blank: Blank): boolean => blank.placements[0]?.turned ?? false;

/**
 * What is sawn from a blank at a place of a board: with the show face asked for, or else as it lies and turned over where
 * only that will do.
 */
export function tryMove(
  ground: MoveGround,
  blank: Blank,
  board: Board,
  to: { x: number; y: number; turned?: boolean },
): TriedMoves {
  const lie = to.turned ?? isTurned(blank);
  const first = tried(ground, movesTo(blank, board, { x: to.x, y: to.y, turned: lie }));
  if (first.wrong.length === 0 || to.turned !== undefined) return first;
  const over = tried(ground, movesTo(blank, board, { x: to.x, y: to.y, turned: !lie }));
  return over.wrong.length === 0 ? over : first;
}

/**
 * Two blanks in each other's places, as they lie or with the show faces of the places they come to.
 *
 * @returns null where they cannot change places
 */
export function swapMoves(ground: MoveGround, one: Blank, other: Blank): Move[] | null {
  const [a, b] = [one, other].map((blank) => ground.boards.find((board) => board.id === blank.board));
  if (!a || !b) return null;
  const lies = [
    [isTurned(one), isTurned(other)],
    [isTurned(other), isTurned(one)],
  ] as const;
  for (const [first, second] of lies) {
    const { moves, wrong } = tried(ground, [
      ...movesTo(one, b, { x: other.x, y: other.y, turned: first }),
      ...movesTo(other, a, { x: one.x, y: one.y, turned: second }),
    ]);
    if (wrong.length === 0) return moves;
  }
  return null;
}

/**
 * The first place on a board, from its tagged end and its near edge, where what is sawn from a blank can lie.
 *
 * @returns the moves that put it there; null where the board has no such place
 */
export function placeOn(ground: MoveGround, blank: Blank, board: Board): Move[] | null {
  const others = rectanglesOf(
    ground.layout.placements.filter((p) => p.board === board.id && !blank.placements.some((own) => own === p)),
  );
  for (const x of upwards(placesAlong(board, others, blank, ground.options))) {
    for (const y of upwards(placesAcross(board, others, blank, x, ground.options))) {
      const { moves, wrong } = tryMove(ground, blank, board, { x, y });
      if (wrong.length === 0) return moves;
    }
  }
  return null;
}

const upwards = (places: readonly number[]) => [...new Set(places.filter((at) => at >= 0))].sort((a, b) => a - b);

/** The moves that put all that is sawn from one blank at a place of a board. */
export const movesTo = (blank: Blank, board: Board, to: { x: number; y: number; turned: boolean }): Move[] =>
  blank.placements.map((p) => ({ part: p.part, strip: p.strip ?? null, board: board.tag, ...to }));
