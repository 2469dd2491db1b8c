import { writeFile } from 'node:fs/promises';
import { join } from 'node:path';
import { jobFileJsonSchema } from '../tests/fixtures/json-schema';
import { openApi } from '../tests/fixtures/openapi';

/** Writes docs/job-file.schema.json and docs/openapi.json from the schemas themselves: `npm run schemas`. */
const written = { 'job-file.schema.json': jobFileJsonSchema(), 'openapi.json': openApi() };
for (const [file, content] of Object.entries(written))
  await writeFile(join(import.meta.dirname, '../docs', file), `${JSON.stringify(content, null, 2)}\n`);
