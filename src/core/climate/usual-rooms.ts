import type { Room } from './indoor';

/** A lived-in room, heated from October to April; common practice. */
export const HEATED_ROOM: Room = {
  setPoints: Array.from({ length: 12 }, (_, month) => (month < 4 || month > 8 ? 20 : null)),
  unheatedAbove: 2,
  leastHumidity: null,
  greatestHumidity: null,
  altitude: 0,
};

/** A room that nobody heats, a little warmer than outdoors; common practice. */
export const UNHEATED_ROOM: Room = { ...HEATED_ROOM, setPoints: HEATED_ROOM.setPoints.map(() => null) };
