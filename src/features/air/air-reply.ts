import type { Board, Place, Shop } from '@/core';

export interface Reading {
  /** ISO time */
  at: string;
  temperature: number;
  relativeHumidity: number;
}

export interface DeviceLine {
  id: string;
  name: string;
  kind: 'hygrometer' | 'moisture-meter';
  placeId: string | null;
  lastSeenAt: string | null;
}

/** What the server hands out for the Air page. */
export interface AirReply {
  today: string;
  place: Place | null;
  air: { readings: Reading[]; latest: Reading | null };
  devices: DeviceLine[];
  boards: (Board & { revision: number })[];
  boardReadings: Record<string, { at: string; reading: number; woodTemperature: number; moisture: number }>;
  shop: Shop;
  shopRevision: number;
}
