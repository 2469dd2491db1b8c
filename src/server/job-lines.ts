import { deriveJob, drawnSize, madeParts } from '@/core';
import { boardsOfJobs, usableFor } from './board-store';
import { jobsOf } from './job-store';
import { placesOf, type Workshop } from './workshop-store';

/** A job in the list: what it is and how far it has come. */
export interface JobSummary {
  id: string;
  name: string;
  client: string;
  species: string;
  length: number;
  width: number;
  dueOn: string;
  cut: number;
  parts: number;
  stops: number;
}

export async function jobLines(workshop: Workshop, bin: boolean): Promise<JobSummary[]> {
  const [jobs, boards, places] = await Promise.all([
    jobsOf(workshop.id, bin),
    boardsOfJobs(workshop.id),
    placesOf(workshop.id),
  ]);
  return jobs.map(({ id, document, layout }) => {
    const derived = deriveJob({ document, shop: workshop.settings, places, boards: usableFor(boards, id), layout });
    const whole = 'piece' in derived ? derived : null;
    return {
      id,
      name: document.name,
      client: document.client,
      species: whole?.species.commonName ?? document.form.species,
      ...drawnSize(document.form.top),
      dueOn: document.brief.dueOn,
      cut: whole ? madeParts(whole.piece).filter((part) => part.cut).length : 0,
      parts: whole ? madeParts(whole.piece).length : 0,
      stops: whole?.checks.filter((check) => check.level === 'stop').length ?? 0,
    };
  });
}
