'use client';

import clsx from 'clsx';
import { useState } from 'react';
import type { Check, Level, WayOut } from '@/core';
import { FigureButton } from './figure';
import { PhraseText } from './units';

const LOOK: Record<Level, string> = { stop: 'text-stop', watch: 'text-watch', good: 'text-ink-2' };

/** Checks in the order of what stops the work; the good ones are folded into one line. */
export function CheckList({
  checks,
  waysOut,
  onLight,
  onChange,
}: {
  checks: readonly Check[];
  /** What has been tried against them, by check; not in it while it is sought. */
  waysOut: ReadonlyMap<string, WayOut>;
  onLight: (where: readonly string[]) => void;
  onChange: (changes: WayOut['changes']) => void;
}) {
  const [open, setOpen] = useState(false);
  const pressing = checks.filter((check) => check.level !== 'good');
  const good = checks.filter((check) => check.level === 'good');
  return (
    <section aria-label="Checks" className="mt-4">
      <ul>
        {(open ? checks : pressing).map((check) => (
          <li
            key={check.id}
            data-check={check.id}
            data-level={check.level}
            className="grid grid-cols-[48px_1fr] border-line border-t py-2"
            onPointerEnter={() => onLight(check.where)}
            onPointerLeave={() => onLight([])}
            onFocus={() => onLight(check.where)}
            onBlur={() => onLight([])}
          >
            <span className={clsx('font-semibold', LOOK[check.level])}>{check.level}</span>
            <div>
              <p>
                <PhraseText of={check.sentence} />
              </p>
              {check.level !== 'good' ? (
                <p className="mt-0.5 text-[12px] text-ink-2 leading-4">
                  {check.why}
                  {check.school ? ` School: ${check.school}.` : ''}
                </p>
              ) : null}
              <p className="flex min-h-[18px] flex-wrap gap-x-3">
                {check.wayOut && check.level !== 'good' ? (
                  <WayOutText of={waysOut.get(check.id)} onChange={onChange} />
                ) : null}
                {check.figure ? <FigureButton figure={check.figure}>how</FigureButton> : null}
              </p>
            </div>
          </li>
        ))}
      </ul>
      {good.length > 0 ? (
        <button
          type="button"
          className="grid w-full grid-cols-[48px_1fr] border-line border-t py-2 text-left hover:bg-paper"
          aria-expanded={open}
          onClick={() => setOpen(!open)}
        >
          <span className="text-ink-2">good</span>
          <span>
            {open
              ? 'Fold them away'
              : `${good.length} ${pressing.length > 0 ? 'more' : good.length === 1 ? 'check' : 'checks'}`}
          </span>
        </button>
      ) : null}
    </section>
  );
}

/** A way out that has been tried: a button where it changes something, words where it is advice. */
function WayOutText({ of, onChange }: { of: WayOut | undefined; onChange: (changes: WayOut['changes']) => void }) {
  if (!of) return <span className="text-ink-2">Looking for a way out …</span>;
  return of.changes.length > 0 ? (
    <button
      type="button"
      data-way-out
      className="text-left font-semibold text-layout hover:underline"
      onClick={() => onChange(of.changes)}
    >
      <PhraseText of={of.say} />
    </button>
  ) : (
    <span>
      <PhraseText of={of.say} />
      {endsInStop(of) ? '' : '.'}
    </span>
  );
}

const endsInStop = ({ say }: WayOut) => {
  const last = say.at(-1);
  return typeof last === 'string' && /[.!?]$/.test(last);
};
