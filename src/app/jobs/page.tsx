import type { Metadata } from 'next';
import { PlaceFrame } from '@/features/job/place-frame';
import { JobsPage } from '@/features/jobs/jobs-page';
import { airLine } from '@/server/desk-data';
import { jobPage, jobQueryOf } from '@/server/job-list';
import { currentWorkshop, placesOf } from '@/server/workshop-store';

export const metadata: Metadata = { title: 'Jobs' };

export default async function Page({ searchParams }: { searchParams: Promise<Record<string, string | string[]>> }) {
  const workshop = await currentWorkshop();
  const given = Object.entries(await searchParams).map(([key, value]) => [key, [value].flat()[0] ?? '']);
  const query = jobQueryOf(new URLSearchParams(given));
  const [page, places] = await Promise.all([jobPage(workshop.id, query), placesOf(workshop.id)]);
  return (
    <PlaceFrame title="Jobs" air={airLine(places)}>
      <JobsPage page={page} bin={query.bin} find={query.find} paged={query.after !== null} />
    </PlaceFrame>
  );
}
