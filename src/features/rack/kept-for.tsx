import Link from 'next/link';
import { sayDayShort } from '@/core';
import type { JobName, RackBoard } from './rack-board';

/** For which job a board is kept, or which has used it up. */
export function KeptFor({ board, jobs }: { board: RackBoard; jobs: readonly JobName[] }) {
  const id = board.takenFor ?? board.reservedFor;
  if (!id) return null;
  const name = jobs.find((job) => job.id === id)?.name ?? 'a job in the bin';
  return (
    <span className="block max-w-48 truncate text-[12px]">
      {board.takenFor ? `${board.takenOn ? sayDayShort(board.takenOn) : ''} for ` : 'kept for '}
      <Link className="text-layout hover:underline" href={`/jobs/${id}/layout`} title={name}>
        {name}
      </Link>
    </span>
  );
}
