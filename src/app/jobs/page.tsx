import type { Metadata } from 'next';
import { PlaceFrame } from '@/features/job/place-frame';
import { JobsPage } from '@/features/jobs/jobs-page';
import { airLine } from '@/server/desk-data';
import { jobLines } from '@/server/job-lines';
import { currentWorkshop, placesOf } from '@/server/workshop-store';

export const metadata: Metadata = { title: 'Jobs' };

export default async function Page({ searchParams }: { searchParams: Promise<{ bin?: string }> }) {
  const workshop = await currentWorkshop();
  const bin = (await searchParams).bin !== undefined;
  const [jobs, places] = await Promise.all([jobLines(workshop, bin), placesOf(workshop.id)]);
  return (
    <PlaceFrame title="Jobs" air={airLine(places)}>
      <JobsPage jobs={jobs} bin={bin} />
    </PlaceFrame>
  );
}
