import type { JobDocument } from '../document/job-document';
import type { Layout } from '../layout/layout';
import { planLayout } from '../layout/plan-layout';
import { deriveJob } from './derive-job';
import type { JobInputs } from './inputs';

type Workshop = Omit<JobInputs, 'document' | 'layouts'>;

/** Changes tried where a first answer falls short; as many as are made while somebody waits. */
const EFFORT = 300;

/** A layout of every wood of a job by so many changes; null where nothing can be derived. */
function layoutsBy(effort: readonly number[], document: JobDocument, workshop: Workshop): Layout[] | null {
  const job = deriveJob({ ...workshop, document, layouts: [] });
  if (!('pieces' in job)) return null;
  return job.woods.map(({ demand, boards, layoutOptions }) => {
    const [first = 0, ...more] = effort;
    let layout = planLayout(demand, boards, { ...layoutOptions, effort: first });
    for (const next of more) {
      if (layout.shortfall.length > 0) layout = planLayout(demand, boards, { ...layoutOptions, effort: next });
    }
    return layout;
  });
}

/** A layout of every wood of a job, quickly found: longer looked for only where the first falls short. */
export const quickLayouts = (document: JobDocument, workshop: Workshop): Layout[] | null =>
  layoutsBy([0, EFFORT], document, workshop);

/**
 * Finds the wood that a whole job can be cut of from the rack: of those that it can, the one with most boards; where there
 * is none, the one with most boards of all.
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
    layoutsBy([effort], documentOf(species), workshop)?.every(({ shortfall }) => shortfall.length === 0) ?? false;
  // What is found at a glance is not looked for any longer.
  return onRack.find(gives(0)) ?? onRack.find(gives(EFFORT)) ?? onRack[0] ?? null;
}
