'use client';

import { useMemo, useState } from 'react';
import {
  type Blank,
  type Board,
  blankLabel,
  blanksOf,
  isMoved,
  type Layout,
  type Move,
  movesTo,
  type Problem,
  pieceLabel,
  placeOn,
  snapPiece,
  wrongOfMoves,
} from '@/core';
import { useDerived, useJobState } from '../job/job-context';

/** A piece as it is held over a board. */
export interface Trial {
  label: string;
  board: Board;
  at: Pick<Blank, 'x' | 'y' | 'length' | 'width'>;
  moves: readonly Move[];
  /** What the checker has against it; nothing where it can lie there. */
  wrong: readonly string[];
}

/** Moving pieces about the boards by hand. */
export interface MoveHands {
  /** Label of the piece in hand. */
  chosen: string | null;
  choose: (label: string | null) => void;
  /** The piece in hand, where it lies. */
  blank: Blank | null;
  /** Whether the maker has put it there. */
  byHand: boolean;
  trial: Trial | null;
  /** Holds a piece at a place of a board, or nowhere. */
  hold: (label: string, place: { board: Board; x: number; y: number } | null) => void;
  /** Leaves the piece where it is held, if it can lie there. */
  drop: () => void;
  /** Puts the piece in hand somewhere; says what is wrong, and then does nothing. */
  put: (place: { x?: number; y?: number; turned?: boolean }) => readonly Problem[] | undefined;
  /** Puts the piece in hand at the first place of a board that takes it. */
  putOn: (board: Board) => readonly Problem[] | undefined;
  /** Pieces that can change places with the one in hand, by their labels. */
  partners: readonly string[];
  swap: (label: string) => void;
  /** Lets the search place it again. */
  letGo: () => void;
}

const isTurned = (blank: Blank) => blank.placements[0]?.turned ?? false;

const refusal = (wrong: readonly string[]): Problem[] =>
  wrong.map((problem) => ({ problem: `${problem}.`, where: 'layout.moved', wayOut: 'Put it somewhere else.' }));

export function useMoves(layout: Layout | null): MoveHands {
  const { piece, boards, demand, layoutOptions } = useDerived();
  const moved = useJobState((state) => state.document.layout.moved);
  const change = useJobState((state) => state.change);
  const [chosen, choose] = useState<string | null>(null);
  const [trial, setTrial] = useState<Trial | null>(null);
  const blanks = useMemo(() => (layout ? blanksOf(layout.placements) : []), [layout]);
  const find = (label: string | null) => blanks.find((blank) => blankLabel(piece, blank) === label) ?? null;
  const blank = find(chosen);

  const wrongOf = (moves: readonly Move[]) =>
    layout ? wrongOfMoves(demand, boards, layoutOptions, layout, moves, (p) => pieceLabel(piece, p)) : [];
  const withWrong = (moves: readonly Move[]) => ({ moves, wrong: wrongOf(moves) });
  /** As it lies, or turned over where only that will do. */
  const tried = (of: Blank, board: Board, x: number, y: number, turned: boolean) => {
    const asItLies = withWrong(movesTo(of, board, { x, y, turned }));
    if (asItLies.wrong.length === 0) return asItLies;
    const over = withWrong(movesTo(of, board, { x, y, turned: !turned }));
    return over.wrong.length === 0 ? over : asItLies;
  };
  const keep = (moves: readonly Move[]) => {
    const others = moved.filter((m) => !moves.some((n) => n.part === m.part && n.strip === m.strip));
    return change([{ path: 'layout.moved', value: [...others, ...moves] }]);
  };

  const swapOf = (one: Blank, other: Blank): Move[] | null => {
    const [a, b] = [boards.find((x) => x.id === one.board), boards.find((x) => x.id === other.board)];
    if (!a || !b) return null;
    for (const [first, second] of [
      [isTurned(one), isTurned(other)],
      [isTurned(other), isTurned(one)],
    ] as const) {
      const moves = [
        ...movesTo(one, b, { x: other.x, y: other.y, turned: first }),
        ...movesTo(other, a, { x: one.x, y: one.y, turned: second }),
      ];
      if (wrongOf(moves).length === 0) return moves;
    }
    return null;
  };
  // biome-ignore lint/correctness/useExhaustiveDependencies: reckoned when another piece is taken in hand or something has moved
  const swaps = useMemo(() => {
    const found = new Map<string, Move[]>();
    if (!blank) return found;
    for (const other of blanks) {
      const moves = other === blank ? null : swapOf(blank, other);
      if (moves) found.set(blankLabel(piece, other), moves);
    }
    return found;
  }, [blank, blanks, boards, demand, layoutOptions]);

  return {
    chosen: blank ? chosen : null,
    choose,
    blank,
    byHand: blank?.placements.some((p) => moved.some((m) => isMoved(p, m))) ?? false,
    trial,
    hold: (label, place) => {
      const held = find(label);
      if (!held || !place || !layout) return setTrial(null);
      const { board } = place;
      const others = layout.placements.filter((p) => p.board === board.id && !held.placements.includes(p));
      const at = snapPiece(board, others, held, place, layoutOptions);
      setTrial({
        label,
        board,
        at: { x: at.x, y: at.y, length: held.length, width: held.width },
        ...tried(held, board, at.x, at.y, isTurned(held)),
      });
    },
    drop: () => {
      if (trial && trial.wrong.length === 0) keep(trial.moves);
      setTrial(null);
    },
    put: (place) => {
      const board = boards.find((b) => b.id === blank?.board);
      if (!blank || !board) return undefined;
      const { x, y } = { x: place.x ?? blank.x, y: place.y ?? blank.y };
      const { moves, wrong } =
        place.turned === undefined
          ? tried(blank, board, x, y, isTurned(blank))
          : withWrong(movesTo(blank, board, { x, y, turned: place.turned }));
      return wrong.length > 0 ? refusal(wrong) : keep(moves);
    },
    putOn: (board) => {
      if (!blank || !layout) return undefined;
      const moves = placeOn(board, demand, layoutOptions, layout, blank);
      return moves ? keep(moves) : refusal([`${chosen} finds no place on ${board.tag}`]);
    },
    partners: [...swaps.keys()],
    swap: (label) => {
      const moves = swaps.get(label);
      if (moves) keep(moves);
    },
    letGo: () => {
      if (!blank) return;
      const others = moved.filter((m) => !blank.placements.some((p) => isMoved(p, m)));
      change([{ path: 'layout.moved', value: others }]);
    },
  };
}
