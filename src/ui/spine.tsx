'use client';

import clsx from 'clsx';
import Link from 'next/link';
import { usePathname } from 'next/navigation';
import { type ReactNode, useEffect, useRef } from 'react';

export interface SpineRow {
  href: string;
  title: string;
  number?: number;
  figure?: string;
  state?: 'settled' | 'open' | 'stale';
  hint?: string;
}

const PLACES: SpineRow[] = [
  { href: '/jobs', title: 'Jobs' },
  { href: '/rack', title: 'Rack' },
  { href: '/quick-season', title: 'Quick season' },
  { href: '/air', title: 'Air' },
  { href: '/shop', title: 'Shop' },
  { href: '/methods', title: 'Methods' },
];

/** The order of the work, and the places outside it. */
export function Spine({
  rows = [],
  above,
  children,
}: {
  rows?: readonly SpineRow[];
  above?: ReactNode;
  children?: ReactNode;
}) {
  const path = usePathname();
  const nav = useRef<HTMLElement>(null);
  // On a narrow screen the bar comes along to where one is.
  useEffect(() => {
    const bar = nav.current;
    const here = bar?.querySelector(`a[href^="${path}"][aria-current="page"]`);
    if (bar && here && bar.scrollWidth > bar.clientWidth) {
      const [own, all] = [here.getBoundingClientRect(), bar.getBoundingClientRect()];
      bar.scrollLeft += own.left - all.left - (all.width - own.width) / 2;
    }
  }, [path]);
  return (
    <nav
      ref={nav}
      aria-label="Steps and places"
      className="flex flex-col border-line border-r pt-2.5 print:hidden max-md:flex-row max-md:overflow-x-auto max-md:border-r-0 max-md:border-b max-md:pt-0"
    >
      {above}
      {rows.map((row) => (
        <SpineLink key={row.href} row={row} here={path === row.href.split('?')[0]} />
      ))}
      {rows.length > 0 ? <hr className="mx-4 my-2.5 border-line max-md:hidden" /> : null}
      {PLACES.map((row) => (
        <SpineLink
          key={row.href}
          row={row}
          here={path === row.href || (rows.length === 0 && path.startsWith(`${row.href}/`))}
        />
      ))}
      {children}
    </nav>
  );
}

function SpineLink({ row, here }: { row: SpineRow; here: boolean }) {
  return (
    <Link
      href={row.href}
      aria-current={here ? 'page' : undefined}
      title={row.hint}
      className={clsx(
        'target relative flex h-[34px] shrink-0 items-center gap-2 border-l-4 pr-3.5 pl-3 max-md:h-11 max-md:border-b-4 max-md:border-l-0',
        here ? 'border-layout bg-paper font-semibold' : 'border-transparent hover:bg-paper',
      )}
    >
      <span className="figures w-[14px] text-[11px] text-ink-2 max-md:hidden" aria-hidden>
        {row.number ?? ''}
      </span>
      <span className="mr-auto">{row.title}</span>
      {row.figure ? (
        <span
          className={clsx(
            'figures text-[12.5px] whitespace-nowrap',
            row.state === 'stale' && 'stale text-watch',
            row.state === 'open' ? 'text-ink-2' : 'text-ink',
          )}
        >
          {row.figure}
          {row.state === 'stale' ? <span className="sr-only">, to be renewed</span> : null}
        </span>
      ) : null}
    </Link>
  );
}
