import { execFile } from 'node:child_process';
import {
  cpSync,
  mkdtempSync,
  readdirSync,
  readFileSync,
  rmSync,
  symlinkSync,
  truncateSync,
  writeFileSync,
} from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { promisify } from 'node:util';
import pg from 'pg';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { migrate } from '@/server/migrate';
import { demoJob, shop } from '../fixtures/demo';
import { newJob } from './api';

const url = process.env.DATABASE_URL;
const root = join(import.meta.dirname, '../..');
const run = promisify(execFile);

interface Ended {
  code: number;
  said: string;
}

describe.runIf(url)('backup and restore', () => {
  /** Another checkout, with a database of its own still to be made. */
  let folder: string;
  const file = (name: string) => join(folder, name);
  const script = async (name: 'backup' | 'restore', path: string, own = true): Promise<Ended> => {
    const env = { ...process.env, ...(own ? { DATABASE_URL: '' } : {}) };
    const at = own ? folder : root;
    return run(join(at, 'bin', name), [path], { env, cwd: at }).then(
      ({ stdout, stderr }) => ({ code: 0, said: stdout + stderr }),
      (error) => ({ code: error.code, said: `${error.stdout}${error.stderr}` }),
    );
  };
  const counts = ({ said }: Ended) => /\d+ jobs in \d+ revisions, \d+ boards and \d+ places/.exec(said)?.[0];

  beforeAll(() => {
    folder = mkdtempSync(join(tmpdir(), 'taller-backup-'));
    for (const name of ['bin', 'db', 'demo', 'src', 'docs', 'package.json', 'package-lock.json', 'tsconfig.json'])
      cpSync(join(root, name), join(folder, name), { recursive: true });
    symlinkSync(join(root, 'node_modules'), join(folder, 'node_modules'));
  });
  afterAll(async () => {
    // The cluster may belong to another user.
    rmSync(folder, { recursive: true, force: true });
  });

  it('all of it, while it runs, into a fresh place; a damaged file and a strange one change nothing', async () => {
    await newJob('In the backup');
    const whole = await script('backup', file('whole.taller-backup'), false);
    expect(whole, whole.said).toMatchObject({ code: 0 });
    expect(counts(whole)).toBeDefined();
    expect((await script('backup', file('whole.taller-backup'), false)).said).toMatch(/is there already/);

    const restored = await script('restore', file('whole.taller-backup'));
    expect(restored, restored.said).toMatchObject({ code: 0 });
    expect(counts(restored)).toBe(counts(whole));

    cpSync(file('whole.taller-backup'), file('half.taller-backup'));
    truncateSync(file('half.taller-backup'), Math.floor(readFileSync(file('half.taller-backup')).length / 2));
    writeFileSync(file('strange.taller-backup'), 'no backup at all');
    for (const name of ['half', 'strange']) {
      const refused = await script('restore', file(`${name}.taller-backup`));
      expect(refused.code, name).not.toBe(0);
      expect(refused.said).toMatch(/is no backup of Taller, or it is damaged/);
    }
  }, 120_000);

  // It makes two more clusters: the command that looks for faults takes the time.
  it.runIf(process.env.TALLER_FAULTS)(
    'of an older Taller is brought up to date; of a newer one is refused, and what was here is back',
    async () => {
      const admin = new pg.Pool({ connectionString: url });
      const name = `older_${Date.now()}`;
      await admin.query(`create database ${name}`);
      const own = new URL(url!);
      own.pathname = `/${name}`;
      const pool = new pg.Pool({ connectionString: own.href });
      const env = {
        ...process.env,
        PGHOST: own.hostname,
        PGPORT: own.port,
        PGUSER: own.username,
        PGPASSWORD: own.password,
      };
      const dump = (path: string) =>
        run('sh', ['-c', `$(ls /usr/lib/postgresql/*/bin/pg_dump | tail -1) -Fc -O -x -f ${path} ${name}`], { env });
      try {
        const older = mkdtempSync(join(tmpdir(), 'taller-older-'));
        const files = readdirSync(join(root, 'db/migrations')).sort();
        for (const one of files.slice(0, 4)) cpSync(join(root, 'db/migrations', one), join(older, one));
        await migrate(pool, older);
        rmSync(older, { recursive: true });
        const made = await pool.query('insert into workshop (settings) values ($1) returning id', [shop]);
        const job = await pool.query('insert into job (workshop_id, revision) values ($1, 1) returning id', [
          made.rows[0].id,
        ]);
        await pool.query('insert into job_revision (job_id, workshop_id, revision, document) values ($1, $2, 1, $3)', [
          job.rows[0].id,
          made.rows[0].id,
          demoJob('1-square-table'),
        ]);
        await dump(file('older.taller-backup'));
        const restored = await script('restore', file('older.taller-backup'));
        expect(restored, restored.said).toMatchObject({ code: 0 });
        expect(counts(restored)).toBe('1 jobs in 1 revisions, 0 boards and 0 places');
        expect(restored.said).toContain(files.at(-1));

        await pool.query("insert into migration (name, checksum) values ('9999_of_the_future.sql', 'x')");
        await dump(file('newer.taller-backup'));
        const refused = await script('restore', file('newer.taller-backup'));
        expect(refused.code).not.toBe(0);
        expect(refused.said).toMatch(/this Taller is older than its data[\s\S]*stays as it was/);
        const still = await script('backup', file('still.taller-backup'));
        expect(counts(still)).toBe('1 jobs in 1 revisions, 0 boards and 0 places');
      } finally {
        await pool.end();
        await admin.query(`drop database ${name}`);
        await admin.end();
      }
    },
    120_000,
  );
});
