import type { Metadata } from 'next';
import { AirPage } from '@/features/air/air-page';
import { PlaceFrame } from '@/features/job/place-frame';
import { airData } from '@/server/air-data';
import { airLine } from '@/server/desk-data';

export const metadata: Metadata = { title: 'Air' };

export default async function Page() {
  const data = await airData();
  return (
    <PlaceFrame title="Air" air={airLine(data.place ? [data.place] : [])} whole>
      <AirPage first={data} />
    </PlaceFrame>
  );
}
