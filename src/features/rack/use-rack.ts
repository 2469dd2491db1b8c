'use client';

import { useCallback, useEffect, useRef, useState } from 'react';
import type { RackPart } from '@/contract/replies';
import type { Problem } from '@/core';
import { request } from '@/ui/request';
import type { RackBoard, Shelf } from './rack-board';

export const SORTS = ['tag', 'species', 'length', 'width', 'thickness', 'moisture'] as const;
export type SortKey = (typeof SORTS)[number];

export interface RackAsk {
  shelf: Shelf;
  find: string;
  wood: string;
  sort: SortKey;
}

/** Boards asked for at once. */
const PART = 100;
const TYPING_PAUSE = 150;

const addressOf = (ask: RackAsk, from: number) => {
  const query = new URLSearchParams({
    find: ask.find,
    wood: ask.wood,
    sort: ask.sort,
    from: `${from}`,
    count: `${PART}`,
  });
  if (ask.shelf !== 'rack') query.set(ask.shelf, '');
  return `/api/rack?${query}`;
};

/** The rack in parts: those that are looked at are fetched, the rest is only counted. */
export function useRack(first: RackPart, ask: RackAsk) {
  const [parts, setParts] = useState<ReadonlyMap<number, readonly RackBoard[]>>(new Map([[0, first.boards]]));
  const [sums, setSums] = useState({ total: first.total, boardFeet: first.boardFeet, woods: first.woods });
  const [problems, setProblems] = useState<readonly Problem[]>([]);
  const asked = useRef(new Set([0]));
  const go = useRef(0);
  const { shelf, find, wood, sort } = ask;

  const fetchPart = useCallback(
    async (part: number, fresh: boolean) => {
      const mine = go.current;
      asked.current.add(part);
      const reply = await request<RackPart>('GET', addressOf({ shelf, find, wood, sort }, part * PART));
      if (mine !== go.current) return;
      if (!reply.ok) {
        asked.current.delete(part);
        setProblems(reply.problems);
        return;
      }
      const { boards, ...rest } = reply.value;
      setProblems([]);
      setSums(rest);
      setParts((now) => new Map([...(fresh ? [] : now), [part, boards] as const]));
    },
    [shelf, find, wood, sort],
  );
  const reload = useCallback(() => {
    go.current += 1;
    asked.current = new Set();
    return fetchPart(0, true);
  }, [fetchPart]);

  const begun = useRef(false);
  useEffect(() => {
    // The first part came with the page.
    if (!begun.current) {
      begun.current = true;
      return;
    }
    const timer = setTimeout(() => void reload(), TYPING_PAUSE);
    return () => clearTimeout(timer);
  }, [reload]);

  /** The board at a place of the list; asks for it where it is not here yet. */
  const at = (index: number): RackBoard | undefined => parts.get(Math.floor(index / PART))?.[index % PART];
  const want = useCallback(
    (from: number, to: number) => {
      for (let part = Math.floor(from / PART); part <= Math.floor(to / PART); part += 1) {
        if (!asked.current.has(part)) void fetchPart(part, false);
      }
    },
    [fetchPart],
  );
  /** A board as it has just been written; its place in the list is kept until the list is asked for anew. */
  const replace = (board: RackBoard) =>
    setParts((now) => new Map([...now].map(([part, own]) => [part, own.map((b) => (b.id === board.id ? board : b))])));
  return { ...sums, at, want, reload, replace, problems, setProblems };
}
