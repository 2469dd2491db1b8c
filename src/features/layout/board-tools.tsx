'use client';

import { useState } from 'react';
import type { Board, Layout, Problem } from '@/core';
import { Button } from '@/ui/button';
import { ProblemList } from '@/ui/problem-list';
import { request } from '@/ui/request';
import { Group } from '../form/group';
import { useDerived, useJobState } from '../job/job-context';
import { TakeDialog } from './take-dialog';

/** The boards of the layout and the rack: kept for this job, taken off it. */
export function BoardTools({ layout }: { layout: Layout }) {
  const { boards } = useDerived();
  const id = useJobState((state) => state.id);
  const saving = useJobState((state) => state.saving);
  const setBoards = useJobState((state) => state.setBoards);
  const [problems, setProblems] = useState<readonly Problem[]>([]);
  const [taking, setTaking] = useState(false);
  const used = boards.filter((board) => layout.boards.includes(board.id));
  const open = used.filter((board) => !board.takenFor);
  const kept = open.filter((board) => board.reservedFor === id);
  const reserve = async (wanted: readonly Board[]) => {
    const reply = await request<Board[]>('PUT', `/api/jobs/${id}/reserved`, { boards: wanted.map((b) => b.id) });
    setProblems(reply.ok ? [] : reply.problems);
    if (reply.ok) setBoards(reply.value);
  };
  return (
    <Group title="On the rack">
      <ProblemList problems={problems} />
      <p className="mb-2">
        {open.length === 0
          ? 'All boards of this layout are used up.'
          : kept.length === open.length
            ? 'Its boards are kept for this job.'
            : kept.length > 0
              ? `${kept.length} of its ${open.length} boards are kept for this job.`
              : 'Other jobs may still use these boards.'}
        {used.length > open.length && open.length > 0 ? ` ${used.length - open.length} are used up.` : ''}
      </p>
      {open.length > 0 ? (
        <p className="mb-2 flex flex-wrap gap-2">
          {kept.length < open.length ? (
            <Button onClick={() => void reserve(open)}>Keep them for this job</Button>
          ) : (
            <Button onClick={() => void reserve([])}>Let them go</Button>
          )}
          <Button disabled={saving !== 'saved'} onClick={() => setTaking(true)}>
            Take what is sawn …
          </Button>
        </p>
      ) : null}
      {taking ? <TakeDialog layout={layout} boards={open} onClose={() => setTaking(false)} /> : null}
    </Group>
  );
}
