import type { Place, Shop, WaitingBoard } from '@/core';

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

/** A board with its moisture, and what a meter last said of it. */
export interface BoardLine extends WaitingBoard {
  tag: string;
  moistureOn: string | null;
  last: { reading: number; woodTemperature: number } | null;
}

/** What the server hands out for the Air page. */
export interface AirReply {
  today: string;
  place: Place | null;
  air: { readings: Reading[]; latest: Reading | null };
  devices: DeviceLine[];
  /** Reads otherwise when the boards are worth fetching anew. */
  boardsChanged: string;
  shop: Shop;
  shopRevision: number;
}
