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
