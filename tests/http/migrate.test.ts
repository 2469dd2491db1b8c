import { cpSync, mkdtempSync, readdirSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import pg from 'pg';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { MigrationRefused, migrate } from '@/server/migrate';

const url = process.env.DATABASE_URL;
const shipped = join(import.meta.dirname, '../../db/migrations');

describe.runIf(url)('migrations', () => {
  const name = `migrate_test_${Date.now()}`;
  const admin = new pg.Pool({ connectionString: url });
  let pool: pg.Pool;
  const folder = mkdtempSync(join(tmpdir(), 'taller-migrations-'));
  beforeAll(async () => {
    await admin.query(`create database ${name}`);
    const own = new URL(url!);
    own.pathname = `/${name}`;
    pool = new pg.Pool({ connectionString: own.href });
    cpSync(shipped, folder, { recursive: true });
  });
  afterAll(async () => {
    await pool.end();
    await admin.query(`drop database ${name}`);
    await admin.end();
    rmSync(folder, { recursive: true });
  });

  it('are applied once, also by several servers starting at the same moment', async () => {
    const applied = (await Promise.all([migrate(pool, folder), migrate(pool, folder), migrate(pool, folder)])).flat();
    expect(applied).toEqual(readdirSync(shipped).sort());
    expect(applied[0]).toBe('0001_workshop.sql');
    expect(await migrate(pool, folder)).toEqual([]);
  });

  it('keep what belongs to a board or a job in one workshop, and let go of a job that is deleted', async () => {
    const one = async (text: string, values: unknown[] = []) => (await pool.query(text, values)).rows[0].id as string;
    const workshop = () => one(`insert into workshop (settings) values ('{}') returning id`);
    const [own, other] = [await workshop(), await workshop()];
    const job = await one('insert into job (workshop_id, revision) values ($1, 1) returning id', [own]);
    const board = (of: string, tag: string, keptFor: string | null) =>
      one(
        `insert into board (workshop_id, tag, species, length, width, thickness, surface, ring_angle, reserved_for)
         values ($1, $2, 'oak-white', 2000, 200, 38, 'rough', 15, $3) returning id`,
        [of, tag, keptFor],
      );
    const kept = await board(own, 'A1', job);
    await expect(board(other, 'B1', job)).rejects.toThrow(/foreign key/);
    const defect = (of: string, kind: string, long: number) =>
      pool.query(
        'insert into board_defect (workshop_id, board_id, kind, x, y, length, width) values ($1, $2, $3, 0, 0, $4, 10)',
        [of, kept, kind, long],
      );
    await expect(defect(other, 'knot', 10)).rejects.toThrow(/foreign key/);
    await expect(defect(own, 'hole', 10)).rejects.toThrow(/check/);
    await expect(defect(own, 'knot', 0)).rejects.toThrow(/check/);
    await defect(own, 'knot', 10);
    const revision = (of: string) =>
      pool.query(`insert into job_revision (job_id, workshop_id, revision, document) values ($1, $2, 1, '{}')`, [
        job,
        of,
      ]);
    await expect(revision(other)).rejects.toThrow(/foreign key/);
    await revision(own);
    await pool.query('delete from job where id = $1', [job]);
    expect((await pool.query('select reserved_for from board where id = $1', [kept])).rows[0].reserved_for).toBeNull();
  });

  it('leave nothing behind when one fails', async () => {
    writeFileSync(join(folder, '9002_half.sql'), 'create table half (id int); select 1/0;');
    await expect(migrate(pool, folder)).rejects.toThrow(/division/);
    expect((await pool.query("select to_regclass('half') as t")).rows[0].t).toBeNull();
    rmSync(join(folder, '9002_half.sql'));
  });

  it('refuse an old file that was edited, and a database newer than the program', async () => {
    writeFileSync(join(folder, '0001_workshop.sql'), '-- edited');
    await expect(migrate(pool, folder)).rejects.toThrow(MigrationRefused);
    rmSync(join(folder, '0001_workshop.sql'));
    await expect(migrate(pool, folder)).rejects.toThrow(/older than its data/);
  });
});
