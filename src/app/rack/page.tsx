import type { Metadata } from 'next';
import { PlaceFrame } from '@/features/job/place-frame';
import { RackPage } from '@/features/rack/rack-page';
import { boardsOf } from '@/server/board-store';
import { airLine, today } from '@/server/desk-data';
import { currentWorkshop, placesOf } from '@/server/workshop-store';

export const metadata: Metadata = { title: 'Rack' };

export default async function Page({ searchParams }: { searchParams: Promise<{ bin?: string; find?: string }> }) {
  const workshop = await currentWorkshop();
  const query = await searchParams;
  const bin = query.bin !== undefined;
  const [boards, places] = await Promise.all([boardsOf(workshop.id, bin), placesOf(workshop.id)]);
  return (
    <PlaceFrame title="Rack" air={airLine(places)}>
      <RackPage
        boards={boards}
        bin={bin}
        find={query.find ?? ''}
        today={today()}
        shop={workshop.settings}
        key={`${bin}${query.find ?? ''}`}
      />
    </PlaceFrame>
  );
}
