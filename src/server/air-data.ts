import type { Place, Shop } from '@/core';
import { today } from './desk-data';
import { type Device, devicesOf } from './device-store';
import { type AirOfPlace, airOfPlace, boardsChanged } from './reading-store';
import { currentWorkshop, placesOf } from './workshop-store';

/** How far back the Air page looks. */
const DAYS = 30;

export interface AirData {
  today: string;
  place: Place | null;
  air: AirOfPlace;
  devices: Device[];
  /** Reads otherwise when a board or a reading of one has come or changed: then they are worth fetching anew. */
  boardsChanged: string;
  shop: Shop;
  shopRevision: number;
}

export async function airData(): Promise<AirData> {
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
