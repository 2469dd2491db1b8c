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
  type MoveGround,
  type Problem,
  placeOn,
  snapPiece,
  swapMoves,
  tryMove,
} from '@/core';
import { useChanges, useDecisions } from '../job/job-context';
import { useWood } from './use-wood';

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

const refusal = (wrong: readonly string[]): Problem[] =>
  wrong.map((problem) => ({ problem: `${problem}.`, where: 'layout.moved', wayOut: 'Put it somewhere else.' }));

export function useMoves(layout: Layout | null): MoveHands {
  const { boards, demand, layoutOptions, labelOf } = useWood();
  const moved = useDecisions((own) => own.layout.moved);
  const change = useChanges();
  const [chosen, choose] = useState<string | null>(null);
  const [trial, setTrial] = useState<Trial | null>(null);
  const blanks = useMemo(() => (layout ? blanksOf(layout.placements) : []), [layout]);
  const find = (label: string | null) => blanks.find((blank) => blankLabel(labelOf, blank) === label) ?? null;
  const blank = find(chosen);

  const ground: MoveGround | null = layout && {
    demand,
    boards,
    options: layoutOptions,
    layout,
    nameOf: labelOf,
  };
  const keep = (moves: readonly Move[]) => {
    const others = moved.filter((m) => !moves.some((n) => n.part === m.part && n.strip === m.strip));
    return change([{ path: 'layout.moved', value: [...others, ...moves] }]);
  };

  // biome-ignore lint/correctness/useExhaustiveDependencies: reckoned when another piece is taken in hand or something has moved
  const swaps = useMemo(() => {
    const found = new Map<string, Move[]>();
    if (!blank || !ground) return found;
    for (const other of blanks) {
      const moves = other === blank ? null : swapMoves(ground, blank, other);
      if (moves) found.set(blankLabel(labelOf, other), moves);
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
      if (!held || !place || !ground) return setTrial(null);
      const { board } = place;
      const others = ground.layout.placements.filter((p) => p.board === board.id && !held.placements.includes(p));
      const at = snapPiece(board, others, held, place, layoutOptions);
      setTrial({
        label,
        board,
        at: { x: at.x, y: at.y, length: held.length, width: held.width },
        ...tryMove(ground, held, board, at),
      });
    },
    drop: () => {
      if (trial && trial.wrong.length === 0) keep(trial.moves);
      setTrial(null);
    },
    put: (place) => {
      const board = boards.find((b) => b.id === blank?.board);
      if (!blank || !board || !ground) return undefined;
      const { moves, wrong } = tryMove(ground, blank, board, { x: blank.x, y: blank.y, ...place });
      return wrong.length > 0 ? refusal(wrong) : keep(moves);
    },
    putOn: (board) => {
      if (!blank || !ground) return undefined;
      const moves = placeOn(ground, blank, board);
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
