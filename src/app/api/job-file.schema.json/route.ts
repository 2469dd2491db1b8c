import { readFile } from 'node:fs/promises';
import { join } from 'node:path';
import { answer } from '@/server/http';

export const GET = () =>
  answer(async () => {
    const schema = await readFile(join(process.cwd(), 'docs/job-file.schema.json'), 'utf8');
    return new Response(schema, { headers: { 'content-type': 'application/schema+json' } });
  });
