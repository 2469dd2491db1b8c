import type { Metadata } from 'next';
import { PlaceFrame } from '@/features/job/place-frame';
import { ShopPage } from '@/features/shop/shop-page';
import { airLine } from '@/server/desk-data';
import { currentWorkshop, placesOf } from '@/server/workshop-store';

export const metadata: Metadata = { title: 'Shop' };

export default async function Page() {
  const { id, revision, settings } = await currentWorkshop();
  const places = await placesOf(id);
  return (
    <PlaceFrame title="Shop" air={airLine(places)}>
      <ShopPage stored={{ revision, shop: settings }} places={places} />
    </PlaceFrame>
  );
}
