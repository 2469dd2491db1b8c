import type { Metadata } from 'next';
import { PlaceFrame } from '@/features/job/place-frame';
import { NewJobPage } from '@/features/jobs/new-job-page';
import { boardCounts } from '@/server/board-store';
import { airLine, today } from '@/server/desk-data';
import { startsDrawn } from '@/server/drawn-starts';
import { currentWorkshop, placesOf } from '@/server/workshop-store';

export const metadata: Metadata = { title: 'New job' };

export default async function Page() {
  const workshop = await currentWorkshop();
  const [boards, places, starts] = await Promise.all([boardCounts(workshop.id), placesOf(workshop.id), startsDrawn()]);
  const homes = places.filter((place) => place.kind === 'home').map(({ id, name }) => ({ id, name }));
  return (
    <PlaceFrame title="New job" air={airLine(places)}>
      <NewJobPage counts={boards} homes={homes} today={today()} starts={starts} />
    </PlaceFrame>
  );
}
