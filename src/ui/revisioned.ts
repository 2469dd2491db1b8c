'use client';

import { useCallback, useEffect, useMemo, useRef, useState } from 'react';
import type { Problem } from '@/core';
import { type Reply, standsNow } from './request';

/** How the last write of it ended, or that one is under way. */
export type KeptState = 'saved' | 'saving …' | 'not saved';

/** Something that is written on top of the revision it was read at. */
export interface Revisioned<T, R> {
  state: KeptState;
  problems: readonly Problem[];
  setProblems: (problems: readonly Problem[]) => void;
  /** What somebody else wrote meanwhile; null where nobody did. */
  theirs: R | null;
  /** Writes in turn. */
  write: (value: T) => Promise<Reply<R>>;
  /** What comes next is written on top of theirs, whichever of the two it is. */
  settle: () => void;
}

/**
 * Keeps what is written with a revision, one write after the other: pages write more quickly than the server answers.
 *
 * @param stored as the server handed it out; null for what is added
 * @param send writes a value over the revision known last
 * @param onTop whether a value can be written over a newer revision all the same; where it cannot, somebody has to choose
 */
export function useRevisioned<T, R extends { revision: number }>(
  stored: R | null,
  send: (value: T, on: R | null) => Promise<Reply<R>>,
  onTop: (value: T, before: R, now: R) => boolean = () => false,
): Revisioned<T, R> {
  const [state, setState] = useState<KeptState>('saved');
  const [problems, setProblems] = useState<readonly Problem[]>([]);
  const [theirs, setTheirs] = useState<R | null>(null);
  const other = useRef<R | null>(null);
  const stands = useRef(stored);
  const turn = useRef<Promise<unknown>>(Promise.resolve());
  const writes = useRef(0);
  const given = useRef({ send, onTop });
  useEffect(() => {
    given.current = { send, onTop };
  });

  const meet = useCallback((now: R | null) => {
    other.current = now;
    setTheirs(now);
  }, []);

  const write = useCallback(
    (value: T): Promise<Reply<R>> => {
      writes.current += 1;
      const mine = writes.current;
      setState('saving …');
      const attempt = async (): Promise<Reply<R>> => {
        const before = stands.current;
        const reply = await given.current.send(value, before);
        const now = standsNow(reply);
        if (!now || !before || !given.current.onTop(value, before, now)) return reply;
        stands.current = now;
        return attempt();
      };
      const sent = turn.current.then(async () => {
        const reply = await attempt();
        if (reply.ok) {
          stands.current = reply.value;
          setProblems([]);
          if (writes.current === mine) setState('saved');
          return reply;
        }
        setState('not saved');
        setProblems(reply.problems);
        meet(standsNow(reply));
        return reply;
      });
      turn.current = sent;
      return sent;
    },
    [meet],
  );

  const settle = useCallback(() => {
    stands.current = other.current ?? stands.current;
    meet(null);
    setProblems([]);
    setState('saved');
  }, [meet]);

  return useMemo(
    () => ({ state, problems, setProblems, theirs, write, settle }),
    [state, problems, theirs, write, settle],
  );
}
