import * as v from 'valibot';
import { type KeptLayout, KeptLayoutSchema } from '@/core';
import { findJob } from './job-store';
import { pool } from './pool';
import { notFound, Refusal } from './refusal';

/** Layouts a job may put aside. */
const MOST = 12;

export interface StoredKeptLayout extends KeptLayout {
  id: string;
  keptAt: string;
}

/** In the order in which they were put aside; those of an earlier Taller that no longer read are left out. */
export async function keptLayoutsOf(workshopId: string, jobId: string): Promise<StoredKeptLayout[]> {
  await findJob(workshopId, jobId);
  const { rows } = await pool().query(
    `select id, name, choice, layout, kept_at from job_layout_kept where workshop_id = $1 and job_id = $2
     order by kept_at, id`,
    [workshopId, jobId],
  );
  return rows.flatMap(({ id, kept_at, ...row }) => {
    const kept = v.safeParse(KeptLayoutSchema, row);
    return kept.success ? [{ ...kept.output, id, keptAt: kept_at.toISOString() }] : [];
  });
}

export async function addKeptLayout(workshopId: string, jobId: string, kept: KeptLayout): Promise<StoredKeptLayout> {
  const before = await keptLayoutsOf(workshopId, jobId);
  if (before.length >= MOST) {
    throw new Refusal(409, [
      { problem: `${MOST} layouts are put aside already.`, where: 'the layouts', wayOut: 'Forget one of them first.' },
    ]);
  }
  const { rows } = await pool().query(
    `insert into job_layout_kept (job_id, workshop_id, name, choice, layout) values ($1, $2, $3, $4, $5)
     returning id, kept_at`,
    [jobId, workshopId, kept.name, kept.choice, kept.layout],
  );
  return { ...kept, id: rows[0].id, keptAt: rows[0].kept_at.toISOString() };
}

export async function forgetKeptLayout(workshopId: string, jobId: string, id: string): Promise<void> {
  const { rowCount } = await pool().query(
    'delete from job_layout_kept where workshop_id = $1 and job_id = $2 and id = $3',
    [workshopId, jobId, id],
  );
  if (!rowCount) throw notFound('layout', id);
}
