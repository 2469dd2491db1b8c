'use client';

import { useEffect, useRef, useState } from 'react';
import type { Problem } from '@/core';
import { afterPress } from './after-press';
import { useHeld } from './settling';

/** Tries a new value; what is wrong with it is returned and shown under the field. */
export type Commit<T> = (value: T) => readonly Problem[] | undefined;

/** What a typed text reads as: a value to take over, nothing at all, or a problem. */
export type Reading<T> = { value: T } | { problem: string } | 'nothing';

const PAUSE = 350;

/**
 * A text that is being typed. It is read at every letter, so that what is wrong is said at once, and taken over at the
 * first pause: half a number is not a decision. A text that does not read leaves the value as it is, and an emptied field
 * is taken at its word only when it is left: it is mostly on the way to another figure. What is refused stays as it was
 * typed, with the reason, until it is mended, taken back, or the value is decided elsewhere.
 */
export function useTyped<T>(given: {
  read: (text: string) => Reading<T>;
  onCommit: Commit<T>;
  onEmpty?: (() => void) | undefined;
  /** The value that is kept outside the field. */
  value: T;
}) {
  const [text, setText] = useState<string | null>(null);
  const [problem, setProblem] = useState<string>();
  const latest = useRef(given);
  latest.current = given;
  const waiting = useRef<{ timer: ReturnType<typeof setTimeout> | undefined; run: () => void } | null>(null);

  // The words under a field move what is below it: a button that is being clicked must not slip away.
  const said = useRef(0);
  const wrong = useRef(false);
  const say = (words: string | undefined) => {
    wrong.current = words !== undefined;
    said.current += 1;
    const turn = said.current;
    afterPress(() => {
      if (said.current === turn) setProblem(words);
    });
  };
  const forget = () => {
    if (waiting.current) clearTimeout(waiting.current.timer);
    waiting.current = null;
  };
  const flush = () => {
    const run = waiting.current?.run;
    forget();
    run?.();
  };
  // What is still typed when the field is removed is taken over then.
  useEffect(
    () => () => {
      const last = waiting.current;
      if (last) clearTimeout(last.timer);
      waiting.current = null;
      last?.run();
    },
    [],
  );

  const [value, hold] = useHeld(given.value);
  const take = (next: T) => {
    forget();
    const problem = latest.current.onCommit(next)?.[0]?.problem;
    say(problem);
    if (problem === undefined) hold(next);
  };
  const later = (run: () => void, pause: number | null) => {
    forget();
    const once = () => {
      waiting.current = null;
      run();
    };
    waiting.current = { timer: pause === null ? undefined : setTimeout(once, pause), run: once };
  };
  const away = useRef(true);
  const type = (next: string) => {
    away.current = false;
    setText(next);
    const reading = latest.current.read(next);
    if (reading === 'nothing') {
      say(undefined);
      later(() => latest.current.onEmpty?.(), null);
    } else if ('problem' in reading) {
      forget();
      say(reading.problem);
    } else {
      say(undefined);
      later(() => take(reading.value), PAUSE);
    }
  };
  const leave = () => {
    away.current = true;
    if (waiting.current) flush();
    if (!wrong.current) setText(null);
  };
  const takeBack = () => {
    forget();
    setText(null);
    say(undefined);
  };
  // biome-ignore lint/correctness/useExhaustiveDependencies: only another value takes back what was refused
  useEffect(() => {
    if (away.current && wrong.current) takeBack();
  }, [given.value]);
  const step = (next: T) => {
    setText(null);
    take(next);
  };
  return { text, value, problem, type, leave, step, takeBack };
}
