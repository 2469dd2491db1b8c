import type { BoardReply } from '@/contract/replies';
import { type BoardInput, offcutBoard } from '@/core';
import { addBoards, boardsOfJobs, usableFor } from './board-store';
import { wholeJob } from './job-outputs';
import { findJob } from './job-store';
import { inTransaction, pool } from './pool';
import { notFound, Refusal } from './refusal';
import { currentWorkshop } from './workshop-store';

/** An offcut to be given back: which one, and what it is called from now on. */
export interface GivenOffcut {
  board: string;
  x: number;
  y: number;
  tag: string;
  storedAt: string;
}

/** Keeps boards for a job, or lets go those it has; the job's boards as they are afterwards. */
export async function reserveBoards(jobId: string, boards: readonly string[]): Promise<BoardReply[]> {
  const { id: workshopId } = await currentWorkshop();
  await findJob(workshopId, jobId);
  await inTransaction(async (db) => {
    const { rows } = await db.query(
      `select tag from board where workshop_id = $1 and id = any($2::uuid[])
       and (reserved_for <> $3 or taken_for <> $3) order by tag for update`,
      [workshopId, boards, jobId],
    );
    if (rows.length > 0) throw takenByOthers(rows.map((row: { tag: string }) => row.tag));
    await db.query(
      `update board set reserved_for = case when id = any($2::uuid[]) then $3::uuid end
       where workshop_id = $1 and deleted_at is null and (id = any($2::uuid[]) or reserved_for = $3)
         and reserved_for is distinct from (case when id = any($2::uuid[]) then $3::uuid end)`,
      [workshopId, boards, jobId],
    );
  });
  return usableFor(await boardsOfJobs(workshopId), jobId);
}

const takenByOthers = (tags: readonly string[]) =>
  new Refusal(409, [
    {
      problem: `Another job has ${tags.join(', ')}.`,
      where: 'the boards',
      wayOut: 'Search the layout again: it leaves out what other jobs have.',
    },
  ]);

/**
 * Takes boards of a job's layout off the rack for good, and puts the offcuts named onto it as boards of their own: all
 * of it or nothing.
 *
 * @returns the job's boards as they are afterwards
 */
export async function takeBoards(
  jobId: string,
  boards: readonly string[],
  offcuts: readonly GivenOffcut[],
): Promise<BoardReply[]> {
  const { id: workshopId } = await currentWorkshop();
  const { derived } = await wholeJob(jobId, false);
  const current = derived.woods.filter(({ layoutState }) => layoutState === 'current');
  const layouts = current.flatMap(({ layout }) => layout ?? []);
  const cutUp = boards.map((id) => {
    const board = current.flatMap((wood) => wood.boards).find((b) => b.id === id);
    if (!board || !layouts.some((layout) => layout.boards.includes(id))) throw notInLayout();
    if (board.takenFor) throw new Refusal(409, [{ ...usedUp, problem: `${board.tag} is used up already.` }]);
    return board;
  });
  const back = offcuts.map(({ board: id, x, y, tag, storedAt }): { from: string; board: BoardInput } => {
    const board = cutUp.find((b) => b.id === id);
    const offcut = layouts
      .flatMap((layout) => layout.offcuts)
      .find((o) => o.board === id && near(o.x, x) && near(o.y, y));
    if (!board || !offcut) throw notInLayout();
    return { from: id, board: offcutBoard(board, offcut, tag, storedAt) };
  });
  await inTransaction(async (db) => {
    const { rowCount } = await db.query(
      `update board set taken_for = $3, taken_on = now(), reserved_for = null, revision = revision + 1
       where workshop_id = $1 and id = any($2::uuid[]) and taken_for is null and deleted_at is null
         and (reserved_for is null or reserved_for = $3)`,
      [workshopId, boards, jobId],
    );
    if (rowCount !== boards.length) throw takenByOthers(cutUp.map((board) => board.tag));
    await addBoards(
      workshopId,
      back.map(({ board }) => board),
      db,
    );
    for (const { from, board } of back) {
      await db.query('update board set cut_from = $3 where workshop_id = $1 and tag = $2 and deleted_at is null', [
        workshopId,
        board.tag,
        from,
      ]);
    }
  });
  return usableFor(await boardsOfJobs(workshopId), jobId);
}

const near = (a: number, b: number) => Math.abs(a - b) < 0.01;
const usedUp = { where: 'the boards', wayOut: 'Leave it out of what is taken.' };
const notInLayout = () =>
  new Refusal(409, [
    {
      problem: 'The layout has changed since.',
      where: 'the boards',
      wayOut: 'Look at the layout as it is now, and take them then.',
    },
  ]);

/** Puts a used board back on the rack as it was; its offcuts go into the bin, unless a job has them. */
export async function putBack(boardId: string): Promise<void> {
  const { id: workshopId } = await currentWorkshop();
  await inTransaction(async (db) => {
    const { rows } = await db.query(
      `select tag from board where workshop_id = $1 and cut_from = $2 and deleted_at is null
       and (taken_for is not null or reserved_for is not null) order by tag`,
      [workshopId, boardId],
    );
    if (rows.length > 0) {
      const tags = rows.map((row: { tag: string }) => row.tag).join(', ');
      throw new Refusal(409, [
        { problem: `Its offcuts are in use: ${tags}.`, where: 'the board', wayOut: 'Free them first.' },
      ]);
    }
    const { rowCount } = await db.query(
      `update board set taken_for = null, taken_on = null, revision = revision + 1
       where workshop_id = $1 and id = $2 and taken_for is not null and deleted_at is null`,
      [workshopId, boardId],
    );
    if (!rowCount) throw notFound('used board', boardId);
    await db.query(
      'update board set deleted_at = now() where workshop_id = $1 and cut_from = $2 and deleted_at is null',
      [workshopId, boardId],
    );
  });
}

/** Keeps one board for a job, or for nobody. */
export async function reserveBoard(boardId: string, jobId: string | null): Promise<void> {
  const { id: workshopId } = await currentWorkshop();
  if (jobId !== null) await findJob(workshopId, jobId);
  const { rowCount } = await pool().query(
    `update board set reserved_for = $3
     where workshop_id = $1 and id = $2 and deleted_at is null and taken_for is null`,
    [workshopId, boardId, jobId],
  );
  if (!rowCount) throw notFound('board', boardId);
}
