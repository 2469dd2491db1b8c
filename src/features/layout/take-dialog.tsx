'use client';

import { useState } from 'react';
import { type Board, type Layout, offcutTags, type Problem } from '@/core';
import { Button } from '@/ui/button';
import { Dialog } from '@/ui/dialog';
import { ProblemList } from '@/ui/problem-list';
import { request } from '@/ui/request';
import { useUnits } from '@/ui/units';
import { useJobState } from '../job/job-context';

/** Boards that have been sawn leave the rack; what is left of them comes back with tags of its own. */
export function TakeDialog({
  layout,
  boards,
  onClose,
}: {
  layout: Layout;
  boards: readonly Board[];
  onClose: () => void;
}) {
  const units = useUnits();
  const id = useJobState((state) => state.id);
  const known = useJobState((state) => state.boards);
  const setBoards = useJobState((state) => state.setBoards);
  const [sawn, setSawn] = useState<ReadonlySet<string>>(new Set());
  const [offcuts, setOffcuts] = useState(() => {
    const all = layout.offcuts.flatMap((offcut) => {
      const board = boards.find((b) => b.id === offcut.board);
      return board ? [{ ...offcut, board, back: true, storedAt: board.storedAt }] : [];
    });
    const tags = offcutTags(
      all.map(({ board }) => board.tag),
      known.map((board) => board.tag),
    );
    return all.map((offcut, i) => ({ ...offcut, tag: tags[i] ?? '' }));
  });
  const [problems, setProblems] = useState<readonly Problem[]>([]);
  const [busy, setBusy] = useState(false);
  const mark = (boardId: string, on: boolean) =>
    setSawn((now) => new Set(on ? [...now, boardId] : [...now].filter((one) => one !== boardId)));
  const set = (i: number, part: Partial<(typeof offcuts)[number]>) =>
    setOffcuts((now) => now.map((offcut, j) => (j === i ? { ...offcut, ...part } : offcut)));
  const back = offcuts.filter((offcut) => offcut.back && sawn.has(offcut.board.id));
  const take = async () => {
    setBusy(true);
    const reply = await request<Board[]>('POST', `/api/jobs/${id}/taken`, {
      boards: [...sawn],
      offcuts: back.map(({ board, x, y, tag, storedAt }) => ({ board: board.id, x, y, tag, storedAt })),
    });
    setBusy(false);
    if (!reply.ok) return setProblems(reply.problems);
    setBoards(reply.value);
    onClose();
  };
  const input = 'figures w-24 rounded-sm border border-line bg-paper px-2 py-1';
  return (
    <Dialog title="Take sawn boards off the rack" open onClose={onClose} wide>
      <p className="mb-2 max-w-[70ch]">
        Mark the boards that have been sawn up. They leave the rack; their offcuts come back as boards with tags of
        their own, to be chalked on the wood.
      </p>
      <ProblemList problems={problems} />
      <ul>
        {boards.map((board) => (
          <li key={board.id} className="border-hairline border-t py-2">
            <label className="flex items-baseline gap-2">
              <input
                type="checkbox"
                className="size-[24px]"
                checked={sawn.has(board.id)}
                onChange={(event) => mark(board.id, event.target.checked)}
              />
              <b className="font-semibold">{board.tag}</b>
              <span className="figures text-ink-2">
                {units.length(board.length)} × {units.length(board.width)}
              </span>
            </label>
            {sawn.has(board.id)
              ? offcuts.map((offcut, i) =>
                  offcut.board.id === board.id ? (
                    <div key={`${offcut.x},${offcut.y}`} className="mt-1 ml-6 flex flex-wrap items-center gap-3">
                      <label className="flex min-w-56 items-baseline gap-2">
                        <input
                          type="checkbox"
                          className="size-[24px]"
                          checked={offcut.back}
                          onChange={(event) => set(i, { back: event.target.checked })}
                        />
                        <span className="figures">
                          {units.length(offcut.length)} × {units.length(offcut.width)}, from {units.length(offcut.x)}
                        </span>
                      </label>
                      <label>
                        Tag{' '}
                        <input
                          className={input}
                          value={offcut.tag}
                          disabled={!offcut.back}
                          onChange={(event) => set(i, { tag: event.target.value })}
                        />
                      </label>
                      <label>
                        Lies at{' '}
                        <input
                          className={input}
                          value={offcut.storedAt}
                          disabled={!offcut.back}
                          onChange={(event) => set(i, { storedAt: event.target.value })}
                        />
                      </label>
                    </div>
                  ) : null,
                )
              : null}
          </li>
        ))}
      </ul>
      <div className="mt-3 flex gap-3">
        <Button look="chief" disabled={busy || sawn.size === 0} onClick={() => void take()}>
          Take {sawn.size} {sawn.size === 1 ? 'board' : 'boards'}, give back {back.length}{' '}
          {back.length === 1 ? 'offcut' : 'offcuts'}
        </Button>
        <Button look="quiet" onClick={onClose}>
          Close
        </Button>
      </div>
    </Dialog>
  );
}
