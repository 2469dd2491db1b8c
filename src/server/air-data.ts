import type { AirReply } from '@/contract/replies';
import { today } from './desk-data';
import { devicesOf } from './device-store';
import { airOfPlace, boardsChanged } from './reading-store';
import { currentWorkshop, placesOf } from './workshop-store';

/** How far back the Air page looks. */
const DAYS = 30;

export async function airData(): Promise<AirReply> {
  const workshop = await currentWorkshop();
  const places = await placesOf(workshop.id);
  const place = places.find((p) => p.kind === 'shop') ?? null;
  const [air, devices, changed] = await Promise.all([
    place ? airOfPlace(workshop.id, place.id, DAYS) : { readings: [], latest: null },
    devicesOf(workshop.id),
    boardsChanged(workshop.id),
  ]);
  return {
    today: today(),
    place,
    air,
    devices,
    boardsChanged: changed,
    shop: workshop.settings,
    shopRevision: workshop.revision,
  };
}
