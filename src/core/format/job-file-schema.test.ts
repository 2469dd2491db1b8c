import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import Ajv from 'ajv';
import { describe, expect, it } from 'vitest';
import { CONSTRUCTIONS } from '../../../tests/fixtures/constructions';
import { demoJobs, jobOf, places } from '../../../tests/fixtures/demo';
import { jobFileJsonSchema } from '../../../tests/fixtures/json-schema';
import { withChanges } from '../document/job-document';
import { readJobFile, writeJobFile } from './job-file';

const written = JSON.parse(readFileSync(join(import.meta.dirname, '../../../docs/job-file.schema.json'), 'utf8'));
const validate = new Ajv({ strict: false, validateFormats: false }).compile(written);
const fileOf = (job: Parameters<typeof writeJobFile>[0]) => JSON.parse(writeJobFile(job, places));

describe('the JSON Schema of the job file', () => {
  it('in docs is that of the schemas; `npm run schemas` writes it', () => {
    expect(written).toEqual(JSON.parse(JSON.stringify(jobFileJsonSchema())));
  });

  it('takes every job that is written here, as another’s validator reads it', () => {
    for (const job of [...demoJobs(), ...CONSTRUCTIONS.map(({ document }) => jobOf(document))]) {
      validate(fileOf(job));
      expect(validate.errors, job.name).toBeNull();
    }
  });

  it('refuses what is refused here for its kind or its bounds', () => {
    const [job] = demoJobs();
    const odd: [string, unknown][] = [
      ['pieces.p1.form.top.thickness', -3],
      ['pieces.p1.form.top.kind', 'marble'],
      ['pieces.p1.use', 'throne'],
      ['pieces.p1.count', 0],
      ['brief.seats', 'four'],
      ['woods', []],
      ['version', 1],
    ];
    for (const [path, value] of odd) {
      const file = fileOf(withChanges(job!, [{ path, value }]));
      expect(validate(file), path).toBe(false);
      if (path !== 'version') expect('problems' in readJobFile(JSON.stringify(file)), path).toBe(true);
    }
  });
});
