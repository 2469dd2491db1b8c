'use client';

import { useRouter } from 'next/navigation';
import { useEffect, useRef, useState } from 'react';
import { Dialog } from '@/ui/dialog';
import { useUnits } from '@/ui/units';
import { WORDS_HERE, WordsHere } from './words-here';

/** How what is shown is marked. */
const MARKS = [
  {
    mark: '1 800',
    look: 'figures explains font-semibold',
    means: 'A figure that opens to its formula, its inputs and its source',
  },
  { mark: '84 %', look: 'figures stale text-watch', means: 'Something that it rests on has changed since' },
  { mark: 'stop', look: 'font-semibold text-stop', means: 'The work must not go on like this' },
  { mark: 'watch', look: 'font-semibold text-watch', means: 'It can be done, and should be looked at' },
  { mark: 'good', look: 'font-semibold', means: 'Looked at, and within its limit' },
] as const;

export type KeyTable = Readonly<Record<string, { does: string; run: () => void }>>;

/** What is known by Ctrl or Command elsewhere, and its key here. */
const USUAL: Readonly<Record<string, string>> = { z: 'z', 'Shift z': 'Shift z', y: 'Shift z' };

/** A field that holds something not yet taken over. */
const isWritten = (target: EventTarget | null) => target instanceof HTMLElement && target.dataset.typing !== undefined;

const isTyping = (target: EventTarget | null) =>
  target instanceof HTMLElement && (target.isContentEditable || /^(INPUT|TEXTAREA|SELECT)$/.test(target.tagName));

/**
 * Listens for single keys, never while somebody types in a field or a dialog is open. `?` shows them all. Undo and redo
 * go by their usual keys too; in a field that is being written in those are the field's own.
 */
export function Keys({ table }: { table: KeyTable }) {
  const { toggle } = useUnits();
  const router = useRouter();
  const [shown, setShown] = useState(false);
  const keys: KeyTable = {
    ...table,
    '/': { does: 'Find', run: () => window.dispatchEvent(new Event('taller-find')) },
    u: { does: 'Millimetres or inches', run: toggle },
    g: { does: 'All jobs', run: () => router.push('/jobs') },
    w: { does: 'Words on this screen', run: () => window.dispatchEvent(new Event(WORDS_HERE)) },
    '?': { does: 'This list', run: () => setShown(true) },
  };
  const latest = useRef(keys);
  latest.current = keys;

  useEffect(() => {
    const listen = (event: KeyboardEvent) => {
      if (event.defaultPrevented || event.altKey || document.querySelector('[role="dialog"]')) return;
      const usual =
        event.ctrlKey || event.metaKey ? USUAL[`${event.shiftKey ? 'Shift ' : ''}${event.key.toLowerCase()}`] : '';
      if (usual === undefined || (usual ? isWritten(event.target) : isTyping(event.target))) return;
      const key = usual || (event.key === 'Z' ? 'Shift z' : event.key);
      const entry = latest.current[key];
      if (!entry) return;
      event.preventDefault();
      entry.run();
    };
    window.addEventListener('keydown', listen);
    return () => window.removeEventListener('keydown', listen);
  }, []);

  return (
    <>
      <WordsHere />
      <Dialog title="Keys and marks" open={shown} onClose={() => setShown(false)}>
        <dl className="grid grid-cols-[90px_1fr] gap-y-1">
          {Object.entries(keys).map(([key, { does }]) => (
            <div key={key} className="contents">
              <dt>
                <kbd className="figures rounded-sm border border-line px-1.5">{key}</kbd>
              </dt>
              <dd>{does}</dd>
            </div>
          ))}
          <dt>
            <kbd className="figures">↑ ↓</kbd>
          </dt>
          <dd>In a length: one step; with Alt ten</dd>
        </dl>
        <h3 className="mt-4 mb-1 font-semibold">What the marks mean</h3>
        <dl className="grid grid-cols-[90px_1fr] gap-y-1">
          {MARKS.map(({ mark, look, means }) => (
            <div key={mark} className="contents">
              <dt>
                <span className={look}>{mark}</span>
              </dt>
              <dd>{means}</dd>
            </div>
          ))}
        </dl>
      </Dialog>
    </>
  );
}
