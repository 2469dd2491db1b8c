import type { JobDocument } from './decision/job-document';
import { withChanges } from './decision/job-document';
import { deriveJob, type JobInputs } from './job';
import { newJob } from './start/new-job';
import { searchWayOut } from './ways-out';

/** What is mended of a first proposal before anybody sees it: all that stops, and where it would not please. */
const PLEASES = /^(people|stiffness|strength|season|fasteners)\./;
/** So many things are mended at the most. */
const ROUNDS = 20;

/**
 * The first document of a job, made to pass its own checks: a sound beginning for the brief, and then one way out after the
 * other, each tried on the whole job. What cannot be mended, such as a room too small for its seats, stays and is told.
 */
export function proposeJob(
  wish: Parameters<typeof newJob>[0],
  workshop: Omit<JobInputs, 'document' | 'layout'>,
): JobDocument {
  let document = newJob(wish);
  const left = new Set<string>();
  for (let round = 0; round < ROUNDS; round += 1) {
    const inputs: JobInputs = { ...workshop, document, layout: null };
    const job = deriveJob(inputs);
    if (!('piece' in job)) return document;
    const next = job.checks.find(
      ({ id, level, wayOut }) =>
        wayOut && !left.has(id) && (level === 'stop' || (level === 'watch' && PLEASES.test(id))),
    );
    if (!next) return document;
    const search = searchWayOut(inputs, job, next);
    let step = search.next();
    while (!step.done) step = search.next();
    if (step.value.changes.length === 0) {
      left.add(next.id);
      continue;
    }
    document = withChanges(document, step.value.changes);
    // What could not be mended before may be mended now.
    left.clear();
  }
  return document;
}
