import type { BoardReply, RackPart } from '@/contract/replies';
import { type BoardInput, DEFECT_KINDS } from '@/core';
import { inTransaction, pool, type Queryable } from './pool';
import { notFound, Refusal, UUID } from './refusal';
import { staleWrite } from './workshop-store';

/** Where a board is: on the rack, in the bin, or used up by a job. */
export const SHELVES = ['rack', 'bin', 'used'] as const;
export type Shelf = (typeof SHELVES)[number];

const ON_SHELF: Record<Shelf, string> = {
  rack: 'b.deleted_at is null and b.taken_for is null',
  bin: 'b.deleted_at is not null',
  used: 'b.deleted_at is null and b.taken_for is not null',
};

/** A board as the core knows it, out of its columns. */
const BOARD = `
  b.id, b.tag, b.species, b.length, b.width, b.far_width as "farWidth",
  json_build_object('near', b.live_near, 'far', b.live_far) as "liveEdges",
  case when b.twist is not null then json_build_object('twist', b.twist, 'bow', b.bow, 'cup', b.cup) end as crook,
  b.heights, b.thickness, b.quarters, b.surface, b.ring_angle as "ringAngle",
  case when b.pith_distance is not null
       then json_build_object('distance', b.pith_distance, 'offset', b.pith_offset) end as "ringCentre",
  b.moisture, b.moisture_on as "moistureOn", b.lot,
  case when b.price_amount is not null then json_build_object('amount', b.price_amount, 'per', b.price_per) end as price,
  b.tone, b.planes, b.stored_at as "storedAt", b.note, b.revision, b.deleted_at is not null as binned,
  b.reserved_for as "reservedFor", b.taken_for as "takenFor", to_char(b.taken_on, 'YYYY-MM-DD') as "takenOn"`;
const BOARDS = `
  select ${BOARD}, coalesce(d.defects, '[]') as defects
  from board b
  left join (select board_id, json_agg(json_build_object('kind', kind, 'x', x, 'y', y, 'length', length, 'width', width,
                                                         'face', face) order by id) as defects
             from board_defect where workshop_id = $1 group by board_id) d on d.board_id = b.id
  where b.workshop_id = $1`;

export async function boardsOf(
  workshopId: string,
  shelf: Shelf = 'rack',
  db: Queryable = pool(),
): Promise<BoardReply[]> {
  const { rows } = await db.query(`${BOARDS} and ${ON_SHELF[shelf]} order by b.tag, b.id`, [workshopId]);
  return rows;
}

/** All that is not in the bin: what a job may use of it, {@link usableFor} tells. */
export async function boardsOfJobs(workshopId: string): Promise<BoardReply[]> {
  const { rows } = await pool().query(`${BOARDS} and b.deleted_at is null order by b.tag, b.id`, [workshopId]);
  return rows;
}

/** The boards a job may use: neither reserved for another nor used up by another. */
export const usableFor = (boards: readonly BoardReply[], jobId: string): BoardReply[] =>
  boards.filter(
    ({ reservedFor, takenFor }) =>
      (takenFor === null || takenFor === jobId) && (reservedFor === null || reservedFor === jobId),
  );

export const boardsForJob = async (workshopId: string, jobId: string): Promise<BoardReply[]> =>
  usableFor(await boardsOfJobs(workshopId), jobId);

/** How many boards of each wood are on the rack, by species id. */
export async function boardCounts(workshopId: string): Promise<Record<string, number>> {
  const { rows } = await pool().query(
    `select species, count(*)::int as count from board
     where workshop_id = $1 and deleted_at is null and taken_for is null group by species`,
    [workshopId],
  );
  return Object.fromEntries(rows.map(({ species, count }) => [species, count]));
}

/** What part of the rack is asked for. */
export interface RackQuery {
  shelf: Shelf;
  /** Words that must all be in tag, wood, lot, place, note or defects. */
  find: string;
  /** Species id; empty for all. */
  wood: string;
  sort: (typeof RACK_SORTS)[number];
  from: number;
  count: number;
}

export const RACK_SORTS = ['tag', 'species', 'length', 'width', 'thickness', 'moisture'] as const;

const SORT_BY: Record<RackQuery['sort'], string> = {
  tag: 'b.tag collate counted',
  species: 'b.species, b.tag collate counted',
  length: 'b.length desc, b.tag collate counted',
  width: 'b.width desc, b.tag collate counted',
  thickness: 'b.thickness desc, b.tag collate counted',
  moisture: 'b.moisture desc nulls last, b.tag collate counted',
};

/**
 * A part of the rack: filtered, sorted and counted by the database.
 *
 * @param nameOf the woods by the words they are called by, for those that search by them
 */
export async function rackPart(
  workshopId: string,
  query: RackQuery,
  nameOf: (species: string) => string,
): Promise<RackPart> {
  const { rows: kinds } = await pool().query(
    `select distinct b.species from board b where b.workshop_id = $1 and ${ON_SHELF[query.shelf]} order by b.species`,
    [workshopId],
  );
  const woods: string[] = kinds.map((row: { species: string }) => row.species);
  const words = query.find.toLowerCase().split(/\s+/).filter(Boolean).slice(0, 8);
  const values: unknown[] = [workshopId, query.wood];
  const conditions = words.map((word) => {
    const named = woods.filter((id) => `${id} ${nameOf(id)}`.toLowerCase().includes(word));
    const defects = DEFECT_KINDS.filter((kind) => kind.includes(word));
    values.push(`%${word.replace(/[\\%_]/g, '\\$&')}%`, named, defects);
    const [like, ids, kinds] = [`$${values.length - 2}`, `$${values.length - 1}`, `$${values.length}::text[]`];
    return `(b.tag ilike ${like} or b.lot ilike ${like} or b.stored_at ilike ${like} or b.note ilike ${like}
      or b.species = any(${ids})
      or b.id in (select board_id from board_defect where workshop_id = $1 and kind = any(${kinds})))`;
  });
  const where = ['b.workshop_id = $1', ON_SHELF[query.shelf], "($2 = '' or b.species = $2)", ...conditions].join(
    ' and ',
  );
  const [sum, part] = await Promise.all([
    pool().query(
      `select count(*)::int as total, coalesce(sum(b.length * (b.width + coalesce(b.far_width, b.width)) / 2
         * coalesce(b.quarters * 6.35, b.thickness)), 0) / (144 * 25.4 ^ 3) as feet
       from board b where ${where}`,
      values,
    ),
    pool().query(
      `select ${BOARD}, coalesce((select json_agg(json_build_object('kind', d.kind, 'x', d.x, 'y', d.y, 'length', d.length,
           'width', d.width, 'face', d.face) order by d.id) from board_defect d where d.board_id = b.id), '[]') as defects
       from (select * from board b where ${where} order by ${SORT_BY[query.sort]}, b.id
             offset $${values.length + 1} limit $${values.length + 2}) b
       order by ${SORT_BY[query.sort]}, b.id`,
      [...values, query.from, query.count],
    ),
  ]);
  return { boards: part.rows, total: sum.rows[0].total, boardFeet: Number(sum.rows[0].feet), woods };
}

/** mm, of the boards on the rack. */
export async function longestBoard(workshopId: string): Promise<number> {
  const { rows } = await pool().query('select max(length) as longest from board b where b.workshop_id = $1', [
    workshopId,
  ]);
  return rows[0].longest ?? 1;
}

async function boardById(db: Queryable, workshopId: string, id: string): Promise<BoardReply | undefined> {
  const { rows } = await db.query(`${BOARDS} and b.id = $2`, [workshopId, id]);
  return rows[0];
}

/** A board by the address on its label; null when it is in the bin, used up, or was never there. */
export async function openedBoard(workshopId: string, id: string): Promise<BoardReply | null> {
  const board = UUID.test(id) ? await boardById(pool(), workshopId, id) : undefined;
  return board && !board.binned && board.takenFor === null ? board : null;
}

/** A board as a row: the columns a maker can write, by their names. */
const rowOf = (b: BoardInput) => ({
  tag: b.tag,
  species: b.species,
  length: b.length,
  width: b.width,
  far_width: b.farWidth,
  live_near: b.liveEdges.near,
  live_far: b.liveEdges.far,
  twist: b.crook?.twist ?? null,
  bow: b.crook?.bow ?? null,
  cup: b.crook?.cup ?? null,
  heights: b.heights,
  thickness: b.thickness,
  quarters: b.quarters,
  surface: b.surface,
  ring_angle: b.ringAngle,
  pith_distance: b.ringCentre?.distance ?? null,
  pith_offset: b.ringCentre?.offset ?? null,
  moisture: b.moisture,
  moisture_on: b.moistureOn,
  lot: b.lot,
  price_amount: b.price?.amount ?? null,
  price_per: b.price?.per ?? null,
  tone: b.tone,
  planes: b.planes,
  stored_at: b.storedAt,
  note: b.note,
});
const COLUMNS = [
  'tag',
  'species',
  'length',
  'width',
  'far_width',
  'live_near',
  'live_far',
  'twist',
  'bow',
  'cup',
  'heights',
  'thickness',
  'quarters',
  'surface',
  'ring_angle',
  'pith_distance',
  'pith_offset',
  'moisture',
  'moisture_on',
  'lot',
  'price_amount',
  'price_per',
  'tone',
  'planes',
  'stored_at',
  'note',
].join(', ');

/** Writes the defects of many boards in one go, in their order. */
async function writeDefects(
  db: Queryable,
  workshopId: string,
  boards: readonly { id: string; defects: BoardInput['defects'] }[],
): Promise<void> {
  const defects = boards.flatMap(({ id, defects: own }) => own.map((defect) => ({ board_id: id, ...defect })));
  if (defects.length === 0) return;
  await db.query(
    `insert into board_defect (workshop_id, board_id, kind, x, y, length, width, face)
     select $1, board_id, kind, x, y, length, width, face
     from jsonb_populate_recordset(null::board_defect, $2) with ordinality order by ordinality`,
    [workshopId, JSON.stringify(defects)],
  );
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

/** @returns their ids, in their order */
async function insert(db: Queryable, workshopId: string, boards: readonly BoardInput[]): Promise<string[]> {
  const { rows } = await db.query(
    `insert into board (workshop_id, ${COLUMNS})
     select $1, ${COLUMNS} from jsonb_populate_recordset(null::board, $2) returning id, tag`,
    [workshopId, JSON.stringify(boards.map(rowOf))],
  );
  const idOf = new Map<string, string>(rows.map(({ id, tag }: { id: string; tag: string }) => [tag, id]));
  const ids = boards.map((board) => idOf.get(board.tag) as string);
  await writeDefects(
    db,
    workshopId,
    boards.map(({ defects }, i) => ({ id: ids[i] as string, defects })),
  );
  return ids;
}

export async function addBoard(workshopId: string, board: BoardInput): Promise<BoardReply> {
  return refusingTakenTag(board.tag, () =>
    inTransaction(async (db) => {
      const [id = ''] = await insert(db, workshopId, [board]);
      return (await boardById(db, workshopId, id)) as BoardReply;
    }),
  );
}

export async function saveBoard(
  workshopId: string,
  id: string,
  board: BoardInput,
  revision: number,
): Promise<BoardReply> {
  return refusingTakenTag(board.tag, () =>
    inTransaction(async (db) => {
      const { rowCount } = await db.query(
        `update board set (${COLUMNS}) = (select ${COLUMNS} from jsonb_populate_record(null::board, $4)),
           revision = revision + 1
         where workshop_id = $1 and id = $2 and revision = $3 and deleted_at is null`,
        [workshopId, id, revision, JSON.stringify(rowOf(board))],
      );
      if (!rowCount) {
        const current = await boardById(db, workshopId, id);
        throw current && !current.binned ? staleWrite(`Board ${current.tag}`, current) : notFound('board', id);
      }
      await db.query('delete from board_defect where board_id = $1', [id]);
      await writeDefects(db, workshopId, [{ id, defects: board.defects }]);
      return (await boardById(db, workshopId, id)) as BoardReply;
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

export async function restoreBoard(workshopId: string, id: string): Promise<BoardReply> {
  const binned = await boardById(pool(), workshopId, id);
  if (!binned) throw notFound('board', id);
  await refusingTakenTag(binned.tag, () =>
    pool().query('update board set deleted_at = null where workshop_id = $1 and id = $2', [workshopId, id]),
  );
  return { ...binned, binned: false };
}

/** Those of the boards' tags that stand on the rack already. */
export async function takenTags(
  workshopId: string,
  boards: readonly Pick<BoardInput, 'tag'>[],
  db: Queryable = pool(),
): Promise<Set<string>> {
  const { rows } = await db.query(
    'select tag from board where workshop_id = $1 and deleted_at is null and tag = any($2)',
    [workshopId, boards.map((b) => b.tag)],
  );
  return new Set(rows.map((row: { tag: string }) => row.tag));
}

/** Boards that make the rack another one. */
const MANY = 200;

/** All of them or none; boards whose tag is on the rack already are refused together. */
export async function addBoards(workshopId: string, boards: readonly BoardInput[], db?: Queryable): Promise<number> {
  const work = async (client: Queryable) => {
    const taken = await takenTags(workshopId, boards, client);
    if (taken.size > 0) {
      throw new Refusal(
        409,
        [...taken].slice(0, 50).map((tag) => ({
          problem: `Board ${tag} is on the rack already.`,
          where: 'tag',
          wayOut: 'Take it out of the file, or give it another tag.',
        })),
      );
    }
    await insert(client, workshopId, boards);
    // Right after a large import the database would still plan its questions for a small rack.
    if (boards.length >= MANY) await client.query('analyze board, board_defect');
    return boards.length;
  };
  return db ? work(db) : inTransaction(work);
}
