import type { Board, BoardInput } from '@/core';
import { inTransaction, pool, type Queryable } from './pool';
import { notFound, Refusal } from './refusal';
import { staleWrite } from './workshop-store';

export interface StoredBoard extends Board {
  revision: number;
  binned: boolean;
}

const BOARDS = `
  select b.id, b.tag, b.species, b.length, b.width, b.thickness, b.quarters, b.surface, b.ring_angle as "ringAngle",
         case when b.pith_distance is not null
              then json_build_object('distance', b.pith_distance, 'offset', b.pith_offset) end as "ringCentre",
         b.moisture, b.moisture_on as "moistureOn", b.lot, b.note, b.revision, b.deleted_at is not null as binned,
         coalesce((select json_agg(json_build_object('kind', d.kind, 'x', d.x, 'y', d.y, 'length', d.length, 'width', d.width) order by d.id)
                   from board_defect d where d.board_id = b.id), '[]') as defects
  from board b where b.workshop_id = $1`;

export async function boardsOf(workshopId: string, binned = false, db: Queryable = pool()): Promise<StoredBoard[]> {
  const { rows } = await db.query(`${BOARDS} and (b.deleted_at is not null) = $2 order by b.tag, b.id`, [
    workshopId,
    binned,
  ]);
  return rows;
}

async function boardById(db: Queryable, workshopId: string, id: string): Promise<StoredBoard | undefined> {
  const { rows } = await db.query(`${BOARDS} and b.id = $2`, [workshopId, id]);
  return rows[0];
}

const values = (b: BoardInput) => [
  b.tag,
  b.species,
  b.length,
  b.width,
  b.thickness,
  b.quarters,
  b.surface,
  b.ringAngle,
  b.moisture,
  b.moistureOn,
  b.lot,
  b.note,
  b.ringCentre?.distance ?? null,
  b.ringCentre?.offset ?? null,
];

async function writeDefects(db: Queryable, workshopId: string, id: string, board: BoardInput): Promise<void> {
  await db.query('delete from board_defect where board_id = $1', [id]);
  for (const d of board.defects) {
    await db.query(
      'insert into board_defect (workshop_id, board_id, kind, x, y, length, width) values ($1, $2, $3, $4, $5, $6, $7)',
      [workshopId, id, d.kind, d.x, d.y, d.length, d.width],
    );
  }
}

const tagTaken = (tag: string) =>
  new Refusal(409, [
    { problem: `Another board on the rack has the tag ${tag}.`, where: 'tag', wayOut: 'Give this one another tag.' },
  ]);

async function refusingTakenTag<T>(tag: string, work: () => Promise<T>): Promise<T> {
  try {
    return await work();
  } catch (error) {
    if ((error as { constraint?: string }).constraint === 'board_tag') throw tagTaken(tag);
    throw error;
  }
}

async function insert(db: Queryable, workshopId: string, board: BoardInput): Promise<string> {
  const { rows } = await db.query(
    `insert into board (workshop_id, tag, species, length, width, thickness, quarters, surface, ring_angle, moisture, moisture_on, lot, note,
       pith_distance, pith_offset)
     values ($1, $2, $3, $4, $5, $6, $7, $8, $9, $10, $11, $12, $13, $14, $15) returning id`,
    [workshopId, ...values(board)],
  );
  await writeDefects(db, workshopId, rows[0].id, board);
  return rows[0].id;
}

export async function addBoard(workshopId: string, board: BoardInput): Promise<StoredBoard> {
  return refusingTakenTag(board.tag, () =>
    inTransaction(async (db) => {
      const id = await insert(db, workshopId, board);
      return (await boardById(db, workshopId, id)) as StoredBoard;
    }),
  );
}

export async function saveBoard(
  workshopId: string,
  id: string,
  board: BoardInput,
  revision: number,
): Promise<StoredBoard> {
  return refusingTakenTag(board.tag, () =>
    inTransaction(async (db) => {
      const { rowCount } = await db.query(
        `update board set tag = $4, species = $5, length = $6, width = $7, thickness = $8, quarters = $9, surface = $10,
           ring_angle = $11, moisture = $12, moisture_on = $13, lot = $14, note = $15,
           pith_distance = $16, pith_offset = $17, revision = revision + 1
         where workshop_id = $1 and id = $2 and revision = $3 and deleted_at is null`,
        [workshopId, id, revision, ...values(board)],
      );
      if (!rowCount) {
        const current = await boardById(db, workshopId, id);
        throw current && !current.binned ? staleWrite(`Board ${current.tag}`, current) : notFound('board', id);
      }
      await writeDefects(db, workshopId, id, board);
      return (await boardById(db, workshopId, id)) as StoredBoard;
    }),
  );
}

export async function binBoard(workshopId: string, id: string): Promise<void> {
  const { rowCount } = await pool().query(
    'update board set deleted_at = now() where workshop_id = $1 and id = $2 and deleted_at is null',
    [workshopId, id],
  );
  if (!rowCount) throw notFound('board', id);
}

export async function restoreBoard(workshopId: string, id: string): Promise<StoredBoard> {
  const binned = await boardById(pool(), workshopId, id);
  if (!binned) throw notFound('board', id);
  await refusingTakenTag(binned.tag, () =>
    pool().query('update board set deleted_at = null where workshop_id = $1 and id = $2', [workshopId, id]),
  );
  return { ...binned, binned: false };
}

/** All of them or none; boards whose tag stands on the rack already are refused together. */
export async function addBoards(workshopId: string, boards: readonly BoardInput[], db?: Queryable): Promise<number> {
  const work = async (client: Queryable) => {
    const { rows } = await client.query(
      'select tag from board where workshop_id = $1 and deleted_at is null and tag = any($2)',
      [workshopId, boards.map((b) => b.tag)],
    );
    if (rows.length > 0) {
      throw new Refusal(
        409,
        rows.slice(0, 50).map((row) => ({
          problem: `Board ${row.tag} is on the rack already.`,
          where: 'tag',
          wayOut: 'Take it out of the file, or give it another tag.',
        })),
      );
    }
    for (const board of boards) await insert(client, workshopId, board);
    return boards.length;
  };
  return db ? work(db) : inTransaction(work);
}
