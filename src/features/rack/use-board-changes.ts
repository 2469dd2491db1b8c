import * as v from 'valibot';
import { type BoardInput, BoardSchema, read } from '@/core';
import { type Reply, request } from '@/ui/request';
import { type Revisioned, useRevisioned } from '@/ui/revisioned';
import type { RackBoard } from './rack-board';

export type BoardChanges = Partial<BoardInput>;

/** Writes some fields of a board; where others of it were written meanwhile, as by a meter, on top of those. */
export function useBoardChanges(board: RackBoard): Revisioned<BoardChanges, RackBoard> {
  return useRevisioned<BoardChanges, RackBoard>(
    board,
    (changes, on) => saveBoard(on ?? board, changes),
    (changes, before, now) =>
      Object.keys(changes).every((key) => same(now[key as keyof BoardChanges], before[key as keyof BoardChanges])),
  );
}

const same = (a: unknown, b: unknown) => JSON.stringify(a) === JSON.stringify(b);

/** What the schema refuses is not sent. */
async function saveBoard(board: RackBoard, changes: BoardChanges): Promise<Reply<RackBoard>> {
  const sound = read(BoardSchema, { ...v.parse(BoardSchema, board), ...changes }, 'the board');
  if ('problems' in sound) return { ok: false, status: 422, problems: sound.problems };
  return request('PUT', `/api/boards/${board.id}`, { revision: board.revision, board: sound.value });
}
