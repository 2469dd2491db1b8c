'use client';

import { useRouter } from 'next/navigation';
import { useEffect, useId, useRef, useState } from 'react';
import { request } from '@/ui/request';
import { useSpecies } from '@/ui/species';
import { type Term, useTerms } from './use-terms';

export interface Found {
  label: string;
  detail: string;
  href: string;
  /** What it leads to is done here, beside going there. */
  run?: () => void;
}

const PAGES: Found[] = [
  { label: 'Jobs', detail: 'page', href: '/jobs' },
  { label: 'New job', detail: 'page', href: '/jobs/new' },
  { label: 'Rack', detail: 'page', href: '/rack' },
  { label: 'Quick season, how much a board moves', detail: 'page', href: '/quick-season' },
  { label: 'Air, readings and boards', detail: 'page', href: '/air' },
  { label: 'Shop', detail: 'page', href: '/shop' },
  { label: 'Methods, every formula with its source', detail: 'page', href: '/methods' },
  { label: 'Terms, what words mean', detail: 'page', href: '/terms' },
];

/** Terms that begin with the letters, then those that have them. */
function termsOf(terms: readonly Term[], wanted: string, most: number): Found[] {
  const rank = ({ term }: Term) => (term.toLowerCase().startsWith(wanted) ? 0 : 1);
  return terms
    .filter(({ term }) => term.toLowerCase().includes(wanted))
    .sort((a, b) => rank(a) - rank(b))
    .slice(0, most)
    .map(({ term, meaning }) => ({
      label: term,
      detail: meaning,
      href: `/terms#${term.toLowerCase().replace(/[^a-z0-9]+/g, '-')}`,
    }));
}

/** Of what is found, shown. */
const MOST = 8;
/** ms after the last letter. */
const PAUSE = 120;

/** Find a job, a board, a page, a term or what is in the job by a few letters; `/` comes here from anywhere. */
export function Find({ also = [] }: { also?: readonly Found[] }) {
  const router = useRouter();
  const input = useRef<HTMLInputElement>(null);
  const list = useId();
  const [text, setText] = useState('');
  const [known, setKnown] = useState<Found[]>([]);
  const [chosen, setChosen] = useState(0);
  const { nameOf } = useSpecies();

  const wanted = text.trim().toLowerCase();
  const terms = useTerms(wanted !== '');
  // Jobs and boards are asked for as one types: there may be thousands.
  useEffect(() => {
    if (wanted === '') {
      setKnown([]);
      return;
    }
    let current = true;
    const timer = setTimeout(async () => {
      const query = new URLSearchParams({ find: wanted, count: `${MOST}` });
      const [jobs, rack] = await Promise.all([
        request<{ jobs: { id: string; name: string; client: string }[] }>('GET', `/api/jobs?${query}`),
        request<{ boards: { tag: string; species: string }[] }>('GET', `/api/rack?${query}`),
      ]);
      if (!current) return;
      setKnown([
        ...(jobs.ok ? jobs.value.jobs : []).map(({ id, name, client }) => ({
          label: name,
          detail: client || 'job',
          href: `/jobs/${id}/brief`,
        })),
        ...(rack.ok ? rack.value.boards : []).map(({ tag, species }) => ({
          label: tag,
          detail: nameOf(species),
          href: `/rack?find=${encodeURIComponent(tag)}`,
        })),
      ]);
    }, PAUSE);
    return () => {
      current = false;
      clearTimeout(timer);
    };
  }, [wanted, nameOf]);
  useEffect(() => {
    const focus = () => input.current?.focus();
    window.addEventListener('taller-find', focus);
    return () => window.removeEventListener('taller-find', focus);
  }, []);

  const found =
    wanted === ''
      ? []
      : [
          ...termsOf(terms, wanted, 1),
          ...[...also, ...PAGES].filter((f) => `${f.label} ${f.detail}`.toLowerCase().includes(wanted)),
          ...known,
          ...termsOf(terms, wanted, MOST).slice(1),
        ].slice(0, MOST);
  const go = (to: Found | undefined) => {
    if (!to) return;
    setText('');
    input.current?.blur();
    if (to.run) to.run();
    else router.push(to.href);
  };
  return (
    <div className="relative w-44 max-sm:hidden">
      <input
        ref={input}
        type="search"
        placeholder="Find"
        aria-label="Find a job, a board, a page or a term"
        role="combobox"
        autoComplete="off"
        aria-expanded={found.length > 0}
        aria-controls={list}
        aria-activedescendant={found[chosen] ? `${list}-${chosen}` : undefined}
        className="w-full border-ink-2 border-b bg-transparent py-0.5 pr-6 placeholder:text-ink-2"
        value={text}
        onChange={(event) => {
          setText(event.target.value);
          setChosen(0);
        }}
        onKeyDown={(event) => {
          if (event.key === 'ArrowDown') setChosen((i) => Math.min(i + 1, found.length - 1));
          else if (event.key === 'ArrowUp') setChosen((i) => Math.max(i - 1, 0));
          else if (event.key === 'Enter') go(found[chosen]);
          else if (event.key === 'Escape') {
            setText('');
            event.currentTarget.blur();
          } else return;
          event.preventDefault();
        }}
      />
      <kbd
        aria-hidden
        className="figures -translate-y-1/2 pointer-events-none absolute top-1/2 right-0 rounded-sm border border-line px-1 text-[11px] text-ink-2"
      >
        /
      </kbd>
      <div
        id={list}
        role="listbox"
        aria-label="Found"
        className={found.length > 0 ? 'absolute top-full right-0 z-30 w-[420px] border border-ink bg-paper' : 'hidden'}
      >
        {found.map((f, i) => (
          // biome-ignore lint/a11y/useKeyWithClickEvents: the keys are handled on the input, as a combobox wants
          <div
            key={`${f.href} ${f.label}`}
            id={`${list}-${i}`}
            role="option"
            tabIndex={-1}
            aria-selected={i === chosen}
            onPointerDown={(event) => event.preventDefault()}
            onClick={() => go(f)}
            className="flex cursor-pointer justify-between gap-4 px-2 py-1 hover:bg-layout-tint aria-selected:bg-layout-tint"
          >
            <span className="shrink-0 max-w-56 truncate">{f.label}</span>
            <span className="line-clamp-3 text-ink-2">{f.detail}</span>
          </div>
        ))}
      </div>
    </div>
  );
}
