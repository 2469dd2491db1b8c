import { cache } from 'react';
import type { JobReply } from '@/contract/replies';
import {
  type AirToday,
  type Board,
  DAYS_IN_YEAR,
  dayOfYear,
  type Layout,
  type Place,
  type Shop,
  yearOfAir,
} from '@/core';
import { boardCounts, boardsForJob } from './board-store';
import { findJob, layoutsOf } from './job-store';
import { asId, Refusal } from './refusal';
import { currentWorkshop, placesOf } from './workshop-store';

/** Today, by the server's clock: the only place where the time comes in. */
export const today = (): string => new Date().toLocaleDateString('sv-SE');

/** The shop's air today, for the strip; null where it is not known. */
export function airLine(places: readonly Place[]): AirToday | null {
  const shop = places.find((place) => place.kind === 'shop');
  if (!shop) return null;
  const year = yearOfAir(shop);
  const day = dayOfYear(today()) % DAYS_IN_YEAR;
  const at = (values: readonly number[]) => values[day] ?? 0;
  return {
    temperature: at(year.temperature),
    relativeHumidity: at(year.relativeHumidity),
    moisture: at(year.moisture),
  };
}

/** Boards that come with a job's page. */
const WITH_PAGE = 250;

export interface DeskData {
  job: JobReply;
  shop: Shop;
  places: Place[];
  /** Null where they are too many to come with the page: they are fetched then. */
  boards: Board[] | null;
  /** One a species at the most. */
  layouts: Layout[];
  air: AirToday | null;
}

/** Everything a job's desk is seeded with, read once for a page; undefined when there is no such job. */
export const deskData = cache(async (id: string): Promise<DeskData | undefined> => {
  try {
    const workshop = await currentWorkshop();
    const job = await findJob(workshop.id, asId(id, 'job'));
    const count = Object.values(await boardCounts(workshop.id)).reduce((sum, own) => sum + own, 0);
    const [boards, places, layouts] = await Promise.all([
      count <= WITH_PAGE ? boardsForJob(workshop.id, id) : null,
      placesOf(workshop.id),
      layoutsOf(workshop.id, id),
    ]);
    return { job, shop: workshop.settings, places, boards, layouts, air: airLine(places) };
  } catch (error) {
    if (error instanceof Refusal && error.status === 404) return undefined;
    throw error;
  }
});
