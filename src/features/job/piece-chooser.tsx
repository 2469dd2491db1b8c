'use client';

import clsx from 'clsx';
import Link from 'next/link';
import { usePathname, useRouter } from 'next/navigation';
import { useState } from 'react';
import {
  type Check,
  copyOfPiece,
  type DerivedPiece,
  type PieceDecisions,
  type ShownPiece,
  USE_OF_PIECE,
  USES,
} from '@/core';
import { Button } from '@/ui/button';
import { Dialog } from '@/ui/dialog';
import { NumberField, Select, TextField } from '@/ui/fields';
import { useChange, useJobInputs, useJobState } from './job-context';
import { proposedPiece } from './propose-piece';

/** An id that no piece of any tab has. */
const freshId = () => `p${Date.now().toString(36)}${Math.floor(Math.random() * 1296).toString(36)}`;

/** The pieces of the job above the steps: which one the steps are about, and how each stands. */
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
        className="ml-4 h-[28px] text-left font-semibold text-layout hover:underline max-md:shrink-0"
      >
        Pieces …
      </button>
      {open ? <PiecesDialog own={own} onClose={() => setOpen(false)} /> : null}
    </section>
  );
}

const hasStop = ({ checks }: DerivedPiece) => checks.some(({ level }: Check) => level === 'stop');

/** Names, counts and uses of the pieces; adding, copying and taking one out. */
function PiecesDialog({ own, onClose }: { own: ShownPiece; onClose: () => void }) {
  const router = useRouter();
  const path = usePathname();
  const document = useJobState((state) => state.document);
  const change = useJobState((state) => state.change);
  const set = useChange();
  const [use, setUse] = useState<(typeof USES)[number]>('bench');
  const [proposing, setProposing] = useState(false);
  const shop = useJobState((state) => state.shop);
  const places = useJobState((state) => state.places);
  const boards = useJobState((state) => state.boards);
  const rackKnown = useJobState((state) => state.rackKnown);
  const add = (piece: PieceDecisions) => {
    if (change([{ path: `pieces.${piece.id}`, value: piece }])) return;
    router.push(`${path}?piece=${piece.id}`);
  };
  const propose = async () => {
    setProposing(true);
    const inputs = { document, shop, places, boards: rackKnown ? boards : null };
    add(await proposedPiece(inputs, use, freshId()));
    setProposing(false);
  };
  const uses = USES.map((value) => ({ value, label: USE_OF_PIECE[value].name }));
  return (
    <Dialog title="Pieces of this job" open onClose={onClose} wide>
      <ul>
        {document.pieces.map((piece) => (
          <li key={piece.id} className="border-hairline border-t py-2">
            <div className="grid grid-cols-[minmax(0,1fr)_230px_225px] items-end gap-4 max-md:grid-cols-1">
              <TextField label="Name" value={piece.name} onCommit={set(`pieces.${piece.id}.name`)} required />
              <Select
                label="For"
                value={piece.use}
                options={uses}
                onCommit={(next) => void set(`pieces.${piece.id}.use`)(next)}
              />
              <NumberField
                label="How many"
                value={piece.count}
                least={1}
                most={60}
                onCommit={set(`pieces.${piece.id}.count`)}
              />
            </div>
            <p className="flex gap-4">
              <Button
                look="quiet"
                aria-label={`One more like it: ${piece.name}`}
                onClick={() => add(copyOfPiece(document, piece, freshId()))}
              >
                One more like it
              </Button>
              {document.pieces.length > 1 ? (
                <Button
                  look="quiet"
                  aria-label={`Take it out: ${piece.name}`}
                  onClick={() => {
                    const refused = change([{ path: `pieces.${piece.id}`, value: undefined }]);
                    if (!refused && piece.id === own.pieceId) router.push(path);
                  }}
                >
                  Take it out
                </Button>
              ) : null}
            </p>
          </li>
        ))}
      </ul>
      <div className="mt-2 flex items-end gap-4 border-line border-t pt-3">
        <div className="w-[320px]">
          <Select label="Another piece" value={use} options={uses} onCommit={setUse} />
        </div>
        <Button look="chief" className="mb-2" disabled={proposing} onClick={() => void propose()}>
          {proposing ? 'Drawing it up …' : 'Add it'}
        </Button>
      </div>
      <p className="mt-1 max-w-[70ch] text-ink-2">
        Each has a form, season, joints and glue-ups of its own; boards, plan and sheets are for all of them together.
        What is taken out comes back with undo.
      </p>
    </Dialog>
  );
}
