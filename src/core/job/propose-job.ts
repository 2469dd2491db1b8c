import { type JobDocument, type PieceDecisions, sharing, withChanges } from '../document/job-document';
import type { UnitSystem } from '../measure/length';
import { newJob } from '../start/new-job';
import { newPiece } from '../start/pieces';
import { inRoundInches, roundChoices } from '../start/round-inches';
import type { Start } from '../start/starts';
import { deriveJob } from './derive-job';
import type { JobInputs } from './inputs';
import { type OwnedCheck, ownedChecks, ownerOfPiece } from './shown-piece';
import { searchWayOut } from './ways-out';

/** What is mended of a first proposal before anybody sees it: all that stops, and where it would not please. */
const PLEASES = /^(people|stiffness|strength|season|fasteners)\./;
const RANK = { stop: 0, watch: 1, good: 2 } as const;
/** So many things are mended at the most. */
const ROUNDS = 20;

type Workshop = Omit<JobInputs, 'document' | 'layouts'>;

/**
 * The first document of a job, made to pass its own checks: a sound beginning for the brief, and then one way out after the
 * other, each tried on the whole job. In inches its sizes are round ones of those. What cannot be mended, such as a room too small for its seats, stays and is told.
 */
export function proposeJob(
  { units = 'metric', ...wish }: Parameters<typeof newJob>[0] & { units?: UnitSystem },
  workshop: Workshop,
): JobDocument {
  return sound(newJob(wish), workshop, { units, asked: () => true });
}

export interface PieceWish {
  start: Start;
  id: string;
  units?: UnitSystem;
}

/** One more piece for a job, made to pass its own checks in the same way; the others stay as they are. */
export function proposePiece(
  job: JobDocument,
  { start, id, units = 'metric' }: PieceWish,
  workshop: Workshop,
): PieceDecisions {
  const piece = newPiece(job, start, id);
  const owner = ownerOfPiece({ pieceId: id, instance: 1 });
  const withIt = { ...job, pieces: [...job.pieces, piece] };
  const proposed = sound(withIt, workshop, { units, asked: (own) => own.owner === owner, only: id });
  return proposed.pieces.find((own) => own.id === id) ?? piece;
}

interface How {
  units: UnitSystem;
  asked: (own: OwnedCheck) => boolean;
  /** The piece whose sizes are rounded; all of them where none is named. */
  only?: string;
}

/** A document mended, in round figures of the reader. */
function sound(plain: JobDocument, workshop: Workshop, { units, asked, only }: How): JobDocument {
  if (units === 'metric') return mended(plain, workshop, asked);
  let round = mended(inRoundInches(plain, only), workshop, asked);
  // What was mended may not be round any more: each is rounded up or down where that costs nothing.
  for (const choices of roundChoices(round, only)) {
    const better = choices.map((changes) => withChanges(round, changes)).find((own) => asGood(own, round, workshop));
    round = better ?? round;
  }
  return round;
}

/** Whether a document has no more that stops or is to be watched than another. */
function asGood(document: JobDocument, other: JobDocument, workshop: Workshop): boolean {
  const [own, before] = [document, other].map((given) => {
    const job = deriveJob({ ...workshop, document: given, layouts: [] });
    const checks = 'pieces' in job ? ownedChecks(job) : [];
    const built = 'pieces' in job && job.pieces.every(({ piece }) => piece.problems.length === 0);
    const at = (level: string) => checks.filter(({ check }) => check.level === level).length;
    return built ? [at('stop'), at('watch')] : [Number.POSITIVE_INFINITY, 0];
  }) as [number[], number[]];
  return (own[0] ?? 0) <= (before[0] ?? 0) && (own[1] ?? 0) <= (before[1] ?? 0);
}

/** A document whose checks are mended one after the other, as far as they are asked for and only their piece is changed. */
function mended(first: JobDocument, workshop: Workshop, asked: (own: OwnedCheck) => boolean): JobDocument {
  let document = first;
  const left = new Set<string>();
  for (let round = 0; round < ROUNDS; round += 1) {
    const inputs: JobInputs = { ...workshop, document, layouts: [] };
    const job = deriveJob(inputs);
    if (!('pieces' in job)) return document;
    const inOrder = [...ownedChecks(job)].sort((a, b) => RANK[a.check.level] - RANK[b.check.level]);
    const next = inOrder.find(
      (own) =>
        asked(own) &&
        own.check.wayOut &&
        !left.has(own.check.id) &&
        (own.check.level === 'stop' || (own.check.level === 'watch' && PLEASES.test(own.check.id))),
    );
    if (!next) return document;
    const search = searchWayOut(inputs, job, next);
    let step = search.next();
    while (!step.done) step = search.next();
    if (step.value.changes.length === 0) {
      left.add(next.check.id);
      continue;
    }
    document = sharing(document, withChanges(document, step.value.changes));
    // What could not be mended before may be mended now.
    left.clear();
  }
  return document;
}
