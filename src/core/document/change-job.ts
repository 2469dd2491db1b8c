import { read } from '../decision/issues';
import { schemaAt } from '../decision/schema-at';
import type { Problem } from '../measure/problem';
import {
  type Change,
  type JobDocument,
  JobDocumentSchema,
  sharing,
  WrittenJobSchema,
  withChanges,
} from './job-document';

/** Paths among some changes that no job has, whatever is in it. */
export function unknownPaths(job: JobDocument, changes: readonly Change[]): string[] {
  let document = job;
  return changes.flatMap((change) => {
    const known = schemaAt(WrittenJobSchema, document, change.path.split('.'));
    if (!known) return [change.path];
    document = withChanges(document, [change]);
    return [];
  });
}

/**
 * A job with some decisions made others, judged as a whole; what is not touched is shared with the job before.
 *
 * @throws where a path is none of a job: whoever made the change is wrong, not the maker
 */
export function changedJob(
  job: JobDocument,
  changes: readonly Change[],
): { value: JobDocument } | { problems: Problem[] } {
  const unknown = unknownPaths(job, changes);
  if (unknown.length > 0) throw new Error(`a job has nothing at ${unknown.join(', ')}`);
  const next = read(JobDocumentSchema, withChanges(job, changes), 'the job');
  return 'problems' in next ? next : { value: sharing(job, next.value) };
}
