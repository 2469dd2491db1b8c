import type { JobDocument } from '../document/job-document';
import type { Layout } from '../layout/layout';
import { planLayout } from '../layout/plan-layout';
import { deriveJob } from './derive-job';
import type { JobInputs } from './inputs';

type Workshop = Omit<JobInputs, 'document' | 'layouts'>;

/** Changes tried where a first answer falls short; as many as are made while somebody waits. */
const EFFORT = 300;

/** A layout of every wood of a job, quickly found; null where nothing can be derived. */
export function quickLayouts(document: JobDocument, workshop: Workshop, effort = EFFORT): Layout[] | null {
  const job = deriveJob({ ...workshop, document, layouts: [] });
  if (!('pieces' in job)) return null;
  return job.woods.map(({ demand, boards, layoutOptions }) => planLayout(demand, boards, { ...layoutOptions, effort }));
}

/**
 * The wood that the rack gives a whole job of, of those the one that there are most boards of; where none does, the one
 * with most boards.
 *
 * @param documentOf the job in a wood
 * @param woods species that it may be of, by id
 * @returns null where the rack has no board of any
 */
export function woodForJob(
  documentOf: (species: string) => JobDocument,
  woods: readonly string[],
  workshop: Workshop,
): string | null {
  const counts = new Map<string, number>();
  for (const { species } of workshop.boards ?? []) counts.set(species, (counts.get(species) ?? 0) + 1);
  const onRack = woods
    .filter((id) => counts.has(id))
    .sort((a, b) => (counts.get(b) ?? 0) - (counts.get(a) ?? 0) || a.localeCompare(b));
  const gives = (effort: number) => (species: string) =>
    quickLayouts(documentOf(species), workshop, effort)?.every(({ shortfall }) => shortfall.length === 0) ?? false;
  // What is given at a glance is not looked for any longer.
  return onRack.find(gives(0)) ?? onRack.find(gives(EFFORT)) ?? onRack[0] ?? null;
}
