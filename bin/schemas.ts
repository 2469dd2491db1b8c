import { writeFile } from 'node:fs/promises';
import { join } from 'node:path';
import { jobFileJsonSchema } from '../tests/fixtures/json-schema';

/** Writes docs/job-file.schema.json from the schemas themselves: `npm run schemas`. */
await writeFile(
  join(import.meta.dirname, '../docs/job-file.schema.json'),
  `${JSON.stringify(jobFileJsonSchema(), null, 2)}\n`,
);
