import type { Metadata } from 'next';
import { PlaceFrame } from '@/features/job/place-frame';
import { RackPage } from '@/features/rack/rack-page';
import { longestBoard } from '@/server/board-store';
import { airLine, today } from '@/server/desk-data';
import { rackOf } from '@/server/rack';
import { currentWorkshop, placesOf } from '@/server/workshop-store';

export const metadata: Metadata = { title: 'Rack' };

export default async function Page({ searchParams }: { searchParams: Promise<{ bin?: string; find?: string }> }) {
  const workshop = await currentWorkshop();
  const query = await searchParams;
  const bin = query.bin !== undefined;
  const [first, longest, places] = await Promise.all([
    rackOf(new URLSearchParams({ find: query.find ?? '', ...(bin ? { bin: '' } : {}) })),
    longestBoard(workshop.id),
    placesOf(workshop.id),
  ]);
  return (
    <PlaceFrame title="Rack" air={airLine(places)}>
      <RackPage
        first={first}
        longest={longest}
        bin={bin}
        find={query.find ?? ''}
        today={today()}
        shop={workshop.settings}
        key={`${bin}${query.find ?? ''}`}
      />
    </PlaceFrame>
  );
}
