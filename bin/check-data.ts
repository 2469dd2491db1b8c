import { boardsOf } from '../src/server/board-store';
import { findJob } from '../src/server/job-store';
import { pool } from '../src/server/pool';
import { currentWorkshop, placesOf } from '../src/server/workshop-store';

// Reads all that the database of DATABASE_URL keeps as Taller would, every revision of every job, and says how much it is.
try {
  const { id } = await currentWorkshop();
  const { rows: jobs } = await pool().query('select id, deleted_at from job where workshop_id = $1', [id]);
  for (const job of jobs) if (job.deleted_at === null) await findJob(id, job.id);
  const { rows: lost } = await pool().query(
    `select j.id from job j where not exists (select 1 from job_revision r where r.job_id = j.id and r.revision = j.revision)`,
  );
  if (lost.length > 0) throw new Error(`of ${lost.length} jobs the present revision is missing`);
  const boards = [...(await boardsOf(id)), ...(await boardsOf(id, 'used')), ...(await boardsOf(id, 'bin'))];
  const places = await placesOf(id);
  const { rows } = await pool().query('select count(*)::int as count from job_revision');
  console.log(
    `${jobs.length} jobs in ${rows[0].count} revisions, ${boards.length} boards and ${places.length} places, bins included.`,
  );
} catch (error) {
  console.error((error as Error).message);
  process.exitCode = 1;
} finally {
  await pool().end();
}
