import { existsSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { loadDemoOnce } from '../src/server/demo';
import { standIns } from '../src/server/device-store';
import { MigrationRefused, migrate } from '../src/server/migrate';
import { pool } from '../src/server/pool';

// Brings the database of DATABASE_URL up to date and loads the demo into an empty one. Run by bin/start and bin/test.
const root = join(import.meta.dirname, '..');
try {
  const applied = await migrate(pool(), join(root, 'db/migrations'));
  if (applied.length > 0) console.log(`Migrated: ${applied.join(', ')}`);
  if (await loadDemoOnce(join(root, 'demo'))) console.log('Loaded the demo workshop.');
  // bin/start names a file for the tokens of the simulated devices; they are made once, and never where others exist.
  const tokens = process.env.TALLER_STAND_INS;
  if (tokens && !existsSync(tokens)) {
    const made = await standIns();
    if (made)
      writeFileSync(tokens, `hygrometer ${made.hygrometer}\nmoisture-meter ${made['moisture-meter']}\n`, {
        mode: 0o600,
      });
  }
} catch (error) {
  const { code, message } = error as { code?: string; message?: string };
  if (error instanceof MigrationRefused) console.error(error.message);
  else if (/^(ECONNREFUSED|ENOTFOUND|ETIMEDOUT|28P01|28000|3D000)$/.test(code ?? '')) {
    console.error(
      `The database of DATABASE_URL does not let Taller in (${code}: ${message || 'no answer'}). Is it running, and are name and password right?`,
    );
  } else if (code === '53100')
    console.error('The disk of the database is full. Make room, then start again; nothing was lost.');
  else console.error(error);
  process.exitCode = 1;
} finally {
  await pool().end();
}
