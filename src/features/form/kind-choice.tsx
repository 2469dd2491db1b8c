'use client';

import dynamic from 'next/dynamic';
import { useMemo, useState } from 'react';
import type { Change, Phrase } from '@/core';
import { Button } from '@/ui/button';
import { Select } from '@/ui/fields';
import { PhraseText } from '@/ui/units';
import { useChanges, useDerived } from '../job/job-context';

/** Fetched when a kind is looked at: it derives a piece. */
const KindPreview = dynamic(() => import('./kind-preview').then((m) => m.KindPreview), {
  loading: () => <div className="h-[120px]" />,
});

/** A kind of a part of the piece: its top, its base, its back. Another one is looked at first: the piece is drawn with it, what it changes is said, and done when it is taken. */
export function KindChoice<K extends string>({
  label,
  value,
  options,
  hint,
  say,
  changesFor,
}: {
  label: string;
  value: K;
  options: readonly { value: K; label: string }[];
  hint: string;
  /** What changes do, in sentences. */
  say: (changes: readonly Change[]) => readonly Phrase[];
  changesFor: (kind: K) => readonly Change[];
}) {
  const { piece } = useDerived();
  const changeAll = useChanges();
  const [looked, setLooked] = useState<K | null>(null);
  const next = looked === value ? null : looked;
  const nameOf = (kind: K) => options.find((own) => own.value === kind)?.label ?? kind;
  const cut = piece.parts.filter((part) => part.cut).length;
  const changes = useMemo(() => (next ? changesFor(next) : []), [next, changesFor]);
  const take = () => {
    if (next) void changeAll(changes);
    setLooked(null);
  };
  return (
    <>
      <Select
        label={label}
        value={next ?? value}
        options={options}
        hint={next ? undefined : hint}
        wide
        onCommit={(kind) => setLooked(kind)}
      />
      {next ? (
        <section aria-label="What this changes" className="mb-3 border-layout border-l-2 pl-3">
          <div className="mb-2 flex h-[120px] items-end">
            <KindPreview changes={changes} name={`As it would be: ${nameOf(next).toLowerCase()}`} />
          </div>
          <ul role="status">
            {say(changes).map((phrase, i) => (
              // biome-ignore lint/suspicious/noArrayIndexKey: the list is never reordered
              <li key={i}>
                <PhraseText of={phrase} />
              </li>
            ))}
            {cut > 0 ? (
              <li className="text-watch">
                {cut === 1 ? 'One part is cut' : `${cut} parts are cut`} already; those that the new kind has keep their
                real size.
              </li>
            ) : null}
          </ul>
          <p className="mt-1 text-ink-2">
            What was decided for {nameOf(value).toLowerCase()} is kept, and is there again when you come back to it.
          </p>
          <div className="mt-2 flex gap-2">
            <Button look="chief" onClick={take}>
              Change it
            </Button>
            <Button onClick={() => setLooked(null)}>Keep {nameOf(value).toLowerCase()}</Button>
          </div>
        </section>
      ) : null}
    </>
  );
}
