import * as v from 'valibot';
import type { JobReply } from '@/contract/replies';
import { type JobDocument, JobDocumentSchema, type Layout, LayoutSchema, read } from '@/core';
import { inTransaction, pool, type Queryable } from './pool';
import { notFound, Refusal } from './refusal';
import { staleWrite } from './workshop-store';

interface RevisionRow {
  revision: number;
  document: unknown;
  undo_to: number | null;
  redo_to: number | null;
}

/** A kept document as it is read now: what an earlier Taller did not ask has its usual answer. */
export function asRead(id: string, document: unknown): JobDocument {
  const sound = read(JobDocumentSchema, document, 'the job');
  if ('problems' in sound)
    throw new Error(`stored job ${id} does not fit its schema: ${JSON.stringify(sound.problems)}`);
  return sound.value;
}

function stored(id: string, row: RevisionRow): JobReply {
  return {
    id,
    revision: row.revision,
    document: asRead(id, row.document),
    canUndo: row.undo_to !== null,
    canRedo: row.redo_to !== null,
  };
}

/** What the list of jobs is searched by. */
const listed = ({ name, client, brief }: JobDocument) => [name, client, brief.dueOn];

/** The jobs that are not in the bin, by name. */
export async function jobNames(workshopId: string): Promise<{ id: string; name: string }[]> {
  const { rows } = await pool().query(
    'select id, name from job where workshop_id = $1 and deleted_at is null order by name, id',
    [workshopId],
  );
  return rows;
}

async function currentRow(db: Queryable, workshopId: string, id: string, lock = false): Promise<RevisionRow> {
  // The lock comes in a statement of its own: a joined one that has waited would look for the revision as it was before.
  const { rows } = await db.query(
    `select revision from job where workshop_id = $1 and id = $2 and deleted_at is null${lock ? ' for update' : ''}`,
    [workshopId, id],
  );
  if (!rows[0]) throw notFound('job', id);
  return revisionRow(db, id, rows[0].revision);
}

async function revisionRow(db: Queryable, id: string, revision: number): Promise<RevisionRow> {
  const { rows } = await db.query(
    'select revision, document, undo_to, redo_to from job_revision where job_id = $1 and revision = $2',
    [id, revision],
  );
  return rows[0];
}

export async function findJob(workshopId: string, id: string): Promise<JobReply> {
  return stored(id, await currentRow(pool(), workshopId, id));
}

export async function addJob(workshopId: string, document: JobDocument, db?: Queryable): Promise<JobReply> {
  const work = async (client: Queryable) => {
    const { rows } = await client.query(
      'insert into job (workshop_id, revision, name, client, due_on) values ($1, 1, $2, $3, $4) returning id',
      [workshopId, ...listed(document)],
    );
    await client.query('insert into job_revision (job_id, workshop_id, revision, document) values ($1, $2, 1, $3)', [
      rows[0].id,
      workshopId,
      document,
    ]);
    return { id: rows[0].id as string, revision: 1, document, canUndo: false, canRedo: false };
  };
  return db ? work(db) : inTransaction(work);
}

/** Writes the next revision when `expected` is still the current one; otherwise returns the revision that is kept. */
async function advance(
  workshopId: string,
  id: string,
  expected: number,
  next: (db: Queryable, current: RevisionRow) => Promise<Pick<RevisionRow, 'document' | 'undo_to' | 'redo_to'>>,
): Promise<JobReply> {
  return inTransaction(async (db) => {
    const current = await currentRow(db, workshopId, id, true);
    if (current.revision !== expected) throw staleWrite('This job', stored(id, current));
    const row = { revision: current.revision + 1, ...(await next(db, current)) };
    await db.query(
      'insert into job_revision (job_id, workshop_id, revision, document, undo_to, redo_to) values ($1, $2, $3, $4, $5, $6)',
      [id, workshopId, row.revision, row.document, row.undo_to, row.redo_to],
    );
    const written = stored(id, row);
    await db.query(
      'update job set revision = $2, changed_at = now(), name = $3, client = $4, due_on = $5 where id = $1',
      [id, row.revision, ...listed(written.document)],
    );
    return written;
  });
}

export function saveJob(workshopId: string, id: string, document: JobDocument, expected: number): Promise<JobReply> {
  return advance(workshopId, id, expected, async (_, current) => ({
    document,
    undo_to: current.revision,
    redo_to: null,
  }));
}

const nothingTo = (what: string) =>
  new Refusal(409, [
    {
      problem: `There is nothing to ${what}.`,
      where: 'history',
      wayOut: 'Every decision since the job began is kept; this is the end of it.',
    },
  ]);

export function undoJob(workshopId: string, id: string, expected: number): Promise<JobReply> {
  return advance(workshopId, id, expected, async (db, current) => {
    if (current.undo_to === null) throw nothingTo('undo');
    const target = await revisionRow(db, id, current.undo_to);
    return { document: target.document, undo_to: target.undo_to, redo_to: current.revision };
  });
}

export function redoJob(workshopId: string, id: string, expected: number): Promise<JobReply> {
  return advance(workshopId, id, expected, async (db, current) => {
    if (current.redo_to === null) throw nothingTo('redo');
    const target = await revisionRow(db, id, current.redo_to);
    return { document: target.document, undo_to: current.revision, redo_to: target.redo_to };
  });
}

/** Into the bin; the boards that were kept for it are anybody's again. */
export async function binJob(workshopId: string, id: string): Promise<void> {
  await inTransaction(async (db) => {
    const { rowCount } = await db.query(
      'update job set deleted_at = now() where workshop_id = $1 and id = $2 and deleted_at is null',
      [workshopId, id],
    );
    if (!rowCount) throw notFound('job', id);
    await db.query('update board set reserved_for = null where workshop_id = $1 and reserved_for = $2', [
      workshopId,
      id,
    ]);
  });
}

export async function restoreJob(workshopId: string, id: string): Promise<void> {
  const { rowCount } = await pool().query(
    'update job set deleted_at = null where workshop_id = $1 and id = $2 and deleted_at is not null',
    [workshopId, id],
  );
  if (!rowCount) throw notFound('job', id);
}

/** The layouts kept with a job, one a species; those of an earlier Taller that no longer read are searched again. */
export async function layoutsOf(workshopId: string, id: string): Promise<Layout[]> {
  const { rows } = await pool().query(
    'select species, layout from job_layout where workshop_id = $1 and job_id = $2 order by species',
    [workshopId, id],
  );
  return rows.flatMap(({ species, layout }) => {
    const kept = v.safeParse(LayoutSchema, layout);
    return kept.success ? [{ ...kept.output, species }] : [];
  });
}

/** Keeps a layout in the place of the one of its species. */
export async function keepLayout(workshopId: string, id: string, layout: Layout): Promise<void> {
  const { document } = await findJob(workshopId, id);
  const species = layout.species || (document.woods[0]?.species ?? '');
  await pool().query(
    `insert into job_layout (job_id, workshop_id, species, layout) values ($1, $2, $3, $4)
     on conflict (job_id, species) do update set layout = excluded.layout, found_at = now()`,
    [id, workshopId, species, { ...layout, species }],
  );
}
