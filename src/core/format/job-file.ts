import * as v from 'valibot';
import { PlaceSchema } from '../climate/place';
import { read } from '../decision/issues';
import { type JobDocument, JobDocumentSchema, WrittenJobSchema } from '../document/job-document';
import type { Problem } from '../measure/problem';
import { type OwnSpecies, OwnSpeciesSchema } from '../wood/species';

/** The parts of a job file beside the job. */
const fileEntries = {
  places: v.pipe(v.array(PlaceSchema), v.maxLength(20)),
  /** The woods that are the workshop's own. */
  species: v.optional(v.pipe(v.array(OwnSpeciesSchema), v.maxLength(20)), []),
};

/** A job file as it is written now: what `docs/job-file.schema.json` says. */
export const WrittenJobFileSchema = v.object({
  file: v.literal('taller-job-file'),
  version: v.literal(2),
  ...fileEntries,
  job: WrittenJobSchema,
});

/** A job file: the decisions, and the air of its two places so that it means the same in another shop. */
export const JobFileSchema = v.object({
  file: v.literal('taller-job-file', 'this is not a Taller job file: “file” must be “taller-job-file”'),
  version: v.picklist([1, 2], 'this job file is of another version; this Taller reads versions 1 and 2'),
  ...fileEntries,
  job: JobDocumentSchema,
});

export type JobFile = v.InferOutput<typeof JobFileSchema>;

export function writeJobFile(job: JobDocument, places: JobFile['places'], own: readonly OwnSpecies[] = []): string {
  const species = own.filter((s) => job.woods.some((wood) => wood.species === s.id));
  const used = places.filter((p) => p.id === job.season.shopPlaceId || p.id === job.season.homePlaceId);
  return `${JSON.stringify({ file: 'taller-job-file', version: 2, places: used, species, job }, null, 2)}\n`;
}

/** Reads a job file, or tells everything that is wrong with it and where. */
export function readJobFile(text: string): { value: JobFile } | { problems: Problem[] } {
  let data: unknown;
  try {
    data = JSON.parse(text.replace(/^\uFEFF/, ''));
  } catch (error) {
    return {
      problems: [
        {
          problem: 'The file is damaged: it does not read as JSON.',
          where: placeOf(error, text),
          wayOut: 'Export the job again, or mend the file in a text editor at that place.',
        },
      ],
    };
  }
  return read(JobFileSchema, data, 'the file');
}

function placeOf(error: unknown, text: string): string {
  const at = /position (\d+)/.exec(error instanceof Error ? error.message : '');
  if (!at) return 'the end of the file';
  const before = text.slice(0, Number(at[1])).split('\n');
  return `line ${before.length}, column ${(before.at(-1)?.length ?? 0) + 1}`;
}
