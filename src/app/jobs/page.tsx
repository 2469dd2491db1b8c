import type { Metadata } from 'next';
import { PlaceFrame } from '@/features/job/place-frame';
import { JobsPage } from '@/features/jobs/jobs-page';
import { airLine } from '@/server/desk-data';
import { exampleNames } from '@/server/examples';
import { drawnJobPage, jobQueryOf } from '@/server/job-list';
import { currentWorkshop, placesOf } from '@/server/workshop-store';

export const metadata: Metadata = { title: 'Jobs' };

/** Jobs drawn on a page. */
const SHOWN = 24;

export default async function Page({ searchParams }: { searchParams: Promise<Record<string, string | string[]>> }) {
  const workshop = await currentWorkshop();
  const given = Object.entries(await searchParams).map(([key, value]) => [key, [value].flat()[0] ?? '']);
  const { bin, find, order, after, ...query } = jobQueryOf(new URLSearchParams(given));
  const [page, places] = await Promise.all([
    drawnJobPage(workshop.id, { ...query, bin, find, order, after, count: Math.min(query.count, SHOWN) }),
    placesOf(workshop.id),
  ]);
  const empty = page.jobs.length === 0 && !bin && !find;
  return (
    <PlaceFrame title="Jobs" air={airLine(places)}>
      <JobsPage
        page={page}
        place={{ bin, find, order, paged: after !== null }}
        examples={empty ? await exampleNames() : []}
      />
    </PlaceFrame>
  );
}
