'use client';

import { usePathname, useRouter } from 'next/navigation';
import { useEffect, useState } from 'react';
import {
  copyOfPiece,
  type DrawnStart,
  type PieceDecisions,
  type ShownPiece,
  START_NAMES,
  STARTS,
  type Start,
  USE_OF_PIECE,
  usesOf,
} from '@/core';
import { Button } from '@/ui/button';
import { Dialog } from '@/ui/dialog';
import { NumberField, Select, TextField } from '@/ui/fields';
import { request } from '@/ui/request';
import { StartChoice } from '@/ui/start-choice';
import { useUnits } from '@/ui/units';
import { useChange, useJobState } from './job-context';
import { proposedPiece } from './propose-piece';

/** An id that no piece of any tab has. */
const freshId = () => `p${Date.now().toString(36)}${Math.floor(Math.random() * 1296).toString(36)}`;

/** Names, counts and uses of the pieces; adding, copying and taking one out. */
export default function PiecesDialog({ own, onClose }: { own: ShownPiece; onClose: () => void }) {
  const router = useRouter();
  const path = usePathname();
  const document = useJobState((state) => state.document);
  const change = useJobState((state) => state.change);
  const set = useChange();
  const [start, setStart] = useState<Start>('bench');
  const starts = useStarts();
  const { system } = useUnits();
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
    add(await proposedPiece(inputs, { start, id: freshId(), units: system }));
    setProposing(false);
  };
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
                options={usesOf(piece.form.build).map((value) => ({ value, label: USE_OF_PIECE[value].name }))}
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
      <div className="mt-2 border-line border-t pt-3">
        <StartChoice legend="Another piece" starts={starts} chosen={start} onChoose={setStart} />
        <p className="my-2">
          <Button look="chief" disabled={proposing} onClick={() => void propose()}>
            {proposing ? 'Drawing it up …' : `Add the ${STARTS[start].name.toLowerCase()}`}
          </Button>
        </p>
      </div>
      <p className="mt-1 max-w-[70ch] text-ink-2">
        Each has a form, season, joints and glue-ups of its own; boards, plan and sheets are for all of them together.
        What is taken out comes back with undo.
      </p>
    </Dialog>
  );
}

const UNDRAWN = START_NAMES.map(
  (start): DrawnStart => ({
    start,
    ...{ name: STARTS[start].name, built: STARTS[start].built },
    drawing: { width: 0, height: 0, shapes: [] },
  }),
);

/** What there is to begin with, as it is drawn; names alone until the drawings are here. */
function useStarts(): readonly DrawnStart[] {
  const [starts, setStarts] = useState<readonly DrawnStart[]>(UNDRAWN);
  useEffect(() => {
    let current = true;
    void request<DrawnStart[]>('GET', '/api/starts').then((reply) => {
      if (current && reply.ok) setStarts(reply.value);
    });
    return () => {
      current = false;
    };
  }, []);
  return starts;
}
