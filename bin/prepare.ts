import { join } from 'node:path';
import { loadDemoOnce } from '../src/server/demo';
import { MigrationRefused, migrate } from '../src/server/migrate';
import { pool } from '../src/server/pool';

// Brings the database of DATABASE_URL up to date and loads the demo into an empty one. Run by bin/start and bin/test.
const root = join(import.meta.dirname, '..');
try {
  const applied = await migrate(pool(), join(root, 'db/migrations'));
  if (applied.length > 0) console.log(`Migrated: ${applied.join(', ')}`);
  if (await loadDemoOnce(join(root, 'demo'))) console.log('Loaded the demo workshop.');
} catch (error) {
  console.error(error instanceof MigrationRefused ? error.message : error);
  process.exitCode = 1;
} finally {
  await pool().end();
}
