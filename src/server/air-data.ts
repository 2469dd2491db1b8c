import type { Place, Shop } from '@/core';
import { boardsOf, type StoredBoard } from './board-store';
import { today } from './desk-data';
import { type Device, devicesOf } from './device-store';
import { type AirOfPlace, airOfPlace, latestBoardReadings } from './reading-store';
import { currentWorkshop, placesOf } from './workshop-store';

/** How far back the Air page looks. */
const DAYS = 30;

export interface AirData {
  today: string;
  place: Place | null;
  air: AirOfPlace;
  devices: Device[];
  boards: StoredBoard[];
  boardReadings: Awaited<ReturnType<typeof latestBoardReadings>>;
  shop: Shop;
  shopRevision: number;
}

export async function airData(): Promise<AirData> {
  const workshop = await currentWorkshop();
  const places = await placesOf(workshop.id);
  const place = places.find((p) => p.kind === 'shop') ?? null;
  const [air, devices, boards, boardReadings] = await Promise.all([
    place ? airOfPlace(workshop.id, place.id, DAYS) : { readings: [], latest: null },
    devicesOf(workshop.id),
    boardsOf(workshop.id),
    latestBoardReadings(workshop.id),
  ]);
  return {
    today: today(),
    place,
    air,
    devices,
    boards,
    boardReadings,
    shop: workshop.settings,
    shopRevision: workshop.revision,
  };
}
