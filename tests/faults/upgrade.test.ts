import { execFileSync, spawnSync } from 'node:child_process';
import { writeFileSync } from 'node:fs';
import { join } from 'node:path';
import pg from 'pg';
import { afterEach, describe, expect, it } from 'vitest';
import { Checkout } from './checkout';

const here = join(import.meta.dirname, '../..');
/** The versions that added these to the database, each with its own packages, build and demo. */
const OLDER = ['0003_board_rings.sql', '0006_board_looks.sql', '0008_used_boards.sql'];

const git = (...words: string[]) =>
  execFileSync('git', words, { cwd: here, encoding: 'utf8', maxBuffer: 1 << 30 }).trim();
const commitOf = (migration: string) =>
  git('log', '--format=%H', '--diff-filter=A', '--', `db/migrations/${migration}`).split('\n')[0]!;
const inGit = spawnSync('git', ['rev-parse'], { cwd: here }).status === 0;

describe.runIf(inGit)('upgrades', () => {
  let checkout: Checkout | undefined;
  afterEach(() => checkout?.remove());

  it.each(OLDER)('from the version of %s: everything is there', async (migration) => {
    checkout = new Checkout();
    const archive = execFileSync('git', ['archive', commitOf(migration)], { cwd: here, maxBuffer: 1 << 30 });
    execFileSync('tar', ['x', '-C', checkout.folder], { input: archive });
    const old = await checkout.start();
    expect(old.stands, old.said).toBe(true);
    // The older version's own client makes a job, and another with several revisions.
    writeFileSync(
      join(checkout.folder, 'write.ts'),
      `import { call, newJob } from './tests/http/api';
       for (const name of ['Before', 'Changed before']) {
         const job = await newJob(name);
         let { revision } = job;
         for (let i = 0; i < (name === 'Before' ? 0 : 5); i += 1) {
           const document = { ...job.document, brief: { ...job.document.brief, note: 'turn ' + i } };
           const reply = await call<{ revision: number }>('PUT', '/api/jobs/' + job.id, { revision, document });
           if (reply.status !== 200) throw new Error(JSON.stringify(reply.data));
           revision = reply.data.revision;
         }
       }`,
    );
    const wrote = spawnSync('npx', ['tsx', 'write.ts'], {
      cwd: checkout.folder,
      env: { ...process.env, TALLER_URL: checkout.url, TALLER_URLS: checkout.url },
      encoding: 'utf8',
    });
    expect(wrote.status, wrote.stderr).toBe(0);
    const before = await contents(checkout.databaseUrl);
    await checkout.stop();

    checkout.takeOver();
    const now = await checkout.start();
    expect(now.stands, now.said).toBe(true);
    expect(await contents(checkout.databaseUrl)).toEqual(before);
    const jobs = before.jobs.map(({ id }) => id);
    expect(jobs.length).toBeGreaterThan(2);
    for (const id of jobs) {
      const job = await fetch(`${checkout.url}/api/jobs/${id}`);
      expect(job.status).toBe(200);
      const { revision, document } = (await job.json()) as { revision: number; document: unknown };
      for (const step of ['brief', 'form', 'season', 'joints', 'layout', 'glue-up', 'plan', 'bench'])
        expect((await fetch(`${checkout.url}/jobs/${id}/${step}`)).status, `${id} ${step}`).toBe(200);
      const saved = await fetch(`${checkout.url}/api/jobs/${id}`, {
        method: 'PUT',
        headers: { 'content-type': 'application/json' },
        body: JSON.stringify({ revision, document }),
      });
      expect(saved.status, await saved.clone().text()).toBe(200);
    }
  });
});

/** What of a workshop no upgrade may lose. */
async function contents(databaseUrl: string) {
  const client = new pg.Client({ connectionString: databaseUrl });
  await client.connect();
  const rows = async (sql: string) => (await client.query(sql)).rows;
  const found = {
    jobs: (await rows('select id, revision from job where deleted_at is null order by id')) as { id: string }[],
    revisions: await rows(
      `select job_id, revision, document->>'name' as name, document->'brief'->>'note' as note
         from job_revision order by job_id, revision`,
    ),
    boards: await rows('select tag, species, length, width, thickness, note from board order by tag, id'),
    defects: await rows('select count(*) from board_defect'),
    places: await rows('select name, kind from place order by name'),
    readings: await rows('select count(*) from air_reading'),
  };
  await client.end();
  return found;
}
