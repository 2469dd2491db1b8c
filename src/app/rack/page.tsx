import type { Metadata } from 'next';
import { PlaceFrame } from '@/features/job/place-frame';
import { RackPage } from '@/features/rack/rack-page';
import { longestBoard, openedBoard } from '@/server/board-store';
import { airLine, today } from '@/server/desk-data';
import { jobNames } from '@/server/job-store';
import { rackOf } from '@/server/rack';
import { currentWorkshop, placesOf } from '@/server/workshop-store';

export const metadata: Metadata = { title: 'Rack' };

type Query = { bin?: string; used?: string; find?: string; board?: string };

export default async function Page({ searchParams }: { searchParams: Promise<Query> }) {
  const workshop = await currentWorkshop();
  const query = await searchParams;
  const shelf = query.bin !== undefined ? 'bin' : query.used !== undefined ? 'used' : 'rack';
  const asked = new URLSearchParams({ find: query.find ?? '', ...(shelf === 'rack' ? {} : { [shelf]: '' }) });
  const [first, longest, places, jobs, opened] = await Promise.all([
    rackOf(asked),
    longestBoard(workshop.id),
    placesOf(workshop.id),
    jobNames(workshop.id),
    query.board === undefined
      ? null
      : openedBoard(workshop.id, query.board).then((board) => board ?? ('gone' as const)),
  ]);
  return (
    <PlaceFrame title="Rack" air={airLine(places)}>
      <RackPage
        first={first}
        longest={longest}
        shelf={shelf}
        find={query.find ?? ''}
        today={today()}
        shop={workshop.settings}
        jobs={jobs}
        opened={opened}
        key={`${shelf}${query.find ?? ''}${query.board ?? ''}`}
      />
    </PlaceFrame>
  );
}
