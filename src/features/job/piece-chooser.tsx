'use client';

import clsx from 'clsx';
import Link from 'next/link';
import { usePathname } from 'next/navigation';
import { useState } from 'react';
import type { Check, DerivedPiece, ShownPiece } from '@/core';
import { later } from '@/ui/later';
import { useJobInputs } from './job-context';

const PiecesDialog = later(() => import('./pieces-dialog'));

/** The pieces of the job above the steps: which one the steps are about, and the state of each. */
export function PieceChooser({ own }: { own: ShownPiece }) {
  const path = usePathname();
  const { pieces } = useJobInputs().document;
  const [open, setOpen] = useState(false);
  return (
    <section
      aria-label="Pieces"
      className="mb-2 border-line border-b pb-2 max-md:mb-0 max-md:flex max-md:border-0 max-md:pb-0"
    >
      {pieces.map((piece) => {
        const here = piece.id === own.pieceId;
        const stops = own.job.pieces.filter(({ pieceId }) => pieceId === piece.id).some(hasStop);
        return (
          <Link
            key={piece.id}
            href={`${path}?piece=${piece.id}`}
            aria-current={here ? 'true' : undefined}
            className={clsx(
              'target flex h-[30px] shrink-0 items-center gap-1.5 border-l-4 pr-3.5 pl-3 max-md:h-11 max-md:border-b-4 max-md:border-l-0',
              here ? 'border-ink font-semibold' : 'border-transparent hover:bg-paper',
            )}
          >
            <span className="mr-auto truncate" title={piece.name}>
              {piece.name}
            </span>
            {piece.count > 1 ? <span className="figures text-[12.5px]">× {piece.count}</span> : null}
            {stops ? <span className="font-semibold text-[12.5px] text-stop">stop</span> : null}
          </Link>
        );
      })}
      <button
        type="button"
        onClick={() => setOpen(true)}
        className="ml-4 h-[28px] pr-3 text-left font-semibold text-layout hover:underline max-md:shrink-0"
      >
        Pieces …
      </button>
      {open ? <PiecesDialog own={own} onClose={() => setOpen(false)} /> : null}
    </section>
  );
}

const hasStop = ({ checks }: DerivedPiece) => checks.some(({ level }: Check) => level === 'stop');
