import { createHash } from 'node:crypto';
import { readdir, readFile } from 'node:fs/promises';
import { join } from 'node:path';
import type { Pool } from 'pg';

// Any number will do, as long as every Taller uses the same.
const MIGRATION_LOCK = 7_240_113;

export class MigrationRefused extends Error {}

/**
 * Brings a database up to date: files named 0001_name.sql applied in order, all in one transaction under an advisory
 * lock. A file whose text changed after it was applied, or that is missing, is refused.
 *
 * @returns names of the files applied now
 */
export async function migrate(pool: Pool, folder: string): Promise<string[]> {
  const names = (await readdir(folder)).filter((name) => /^\d{4}_\w+\.sql$/.test(name)).sort();
  const files = await Promise.all(
    names.map(async (name) => {
      const sql = await readFile(join(folder, name), 'utf8');
      return { name, sql, checksum: createHash('sha256').update(sql.replace(/\r\n/g, '\n')).digest('hex') };
    }),
  );

  const client = await pool.connect();
  try {
    await client.query('begin');
    await client.query('select pg_advisory_xact_lock($1)', [MIGRATION_LOCK]);
    await client.query(
      'create table if not exists migration (name text primary key, checksum text not null, applied_at timestamptz not null default now())',
    );
    const { rows } = await client.query<{ name: string; checksum: string }>(
      'select name, checksum from migration order by name',
    );
    const applied = new Map(rows.map((row) => [row.name, row.checksum]));
    for (const { name, checksum } of rows) {
      const file = files.find((f) => f.name === name);
      if (!file)
        throw new MigrationRefused(
          `Migration ${name} was applied to this database but is not in ${folder}: this Taller is older than its data. Use the newer one.`,
        );
      if (file.checksum !== checksum)
        throw new MigrationRefused(
          `Migration ${name} was changed after it had been applied. Restore the file and put the change into a new one.`,
        );
    }
    const fresh = files.filter((file) => !applied.has(file.name));
    for (const file of fresh) {
      await client.query(file.sql);
      await client.query('insert into migration (name, checksum) values ($1, $2)', [file.name, file.checksum]);
    }
    await client.query('commit');
    return fresh.map((file) => file.name);
  } catch (error) {
    await client.query('rollback').catch(() => {});
    throw error;
  } finally {
    client.release();
  }
}
