import * as v from 'valibot';
import { type BoardInput, BoardSchema, read } from '@/core';
import { type Reply, request } from '@/ui/request';
import type { RackBoard } from './rack-board';

/** Saves some fields of a board on top of its present version; what the schema refuses is not sent. */
export async function saveBoard(board: RackBoard, changes: Partial<BoardInput>): Promise<Reply<RackBoard>> {
  const sound = read(BoardSchema, { ...v.parse(BoardSchema, board), ...changes }, 'the board');
  if ('problems' in sound) return { ok: false, status: 422, problems: sound.problems };
  return request<RackBoard>('PUT', `/api/boards/${board.id}`, { revision: board.revision, board: sound.value });
}
