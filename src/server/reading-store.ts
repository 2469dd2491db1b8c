import type { AirOfPlace, BoardInAir, Device, TakenReadings } from '@/contract/replies';
import { type AirReading, type BoardReading, correctPinReading, doubtOf, type Problem, type Shop } from '@/core';
import { inTransaction, pool, type Queryable } from './pool';
import { Refusal } from './refusal';
import { currentWorkshop } from './workshop-store';

type Sender = Device & { workshopId: string };
/** A board that is locked for the rest of the transaction, as it is now. */
interface LockedBoard {
  id: string;
  tag: string;
  species: string;
}

/** Takes in what a device sent; every sound reading counts, whatever is wrong with the others. */
export async function takeReadings(
  device: Sender,
  readings: readonly (AirReading | BoardReading)[],
  now: Date,
): Promise<TakenReadings> {
  const { settings } = await currentWorkshop();
  return inTransaction(async (db) => {
    const result: TakenReadings = { taken: 0, duplicates: 0, refused: [] };
    const boards = await lockBoards(
      db,
      device.workshopId,
      readings.flatMap((reading) => ('board' in reading ? reading.board : [])),
    );
    for (const [i, reading] of readings.entries()) {
      const where = `readings.${i}`;
      const doubt = doubtOf(reading, now);
      const fault = doubt ? { ...doubt, where } : misplaced(device, reading, where, boards);
      if (fault) {
        result.refused.push(fault);
        continue;
      }
      const added =
        'board' in reading
          ? await keepBoardReading(db, device, boards.get(reading.board) as LockedBoard, reading, settings)
          : await keepAirReading(db, device, reading);
      if (added) result.taken += 1;
      else result.duplicates += 1;
    }
    await db.query('update device set last_seen_at = now() where id = $1', [device.id]);
    return { ...result, refused: result.refused.slice(0, 50) };
  });
}

/** Boards by their tags, always locked in one order, so that two meters never wait for one another. */
async function lockBoards(
  db: Queryable,
  workshopId: string,
  tags: readonly string[],
): Promise<Map<string, LockedBoard>> {
  const { rows } = await db.query(
    `select id, tag, species from board where workshop_id = $1 and tag = any($2) and deleted_at is null
     order by id for update`,
    [workshopId, [...new Set(tags)]],
  );
  return new Map(rows.map((board) => [board.tag, board]));
}

function misplaced(
  device: Sender,
  reading: AirReading | BoardReading,
  where: string,
  boards: ReadonlyMap<string, LockedBoard>,
): Problem | undefined {
  if ('board' in reading) {
    if (device.kind !== 'moisture-meter')
      return { problem: 'A hygrometer does not read boards.', where, wayOut: 'Add it as a moisture meter.' };
    return boards.has(reading.board)
      ? undefined
      : { problem: `No board on the rack has the tag ${reading.board}.`, where, wayOut: 'Look at the tag.' };
  }
  return device.kind === 'hygrometer' && device.placeId
    ? undefined
    : { problem: 'This device hangs nowhere, so its air is of no place.', where, wayOut: 'Add it as a hygrometer.' };
}

async function keepAirReading(db: Queryable, device: Sender, r: AirReading): Promise<boolean> {
  const { rowCount } = await db.query(
    `insert into air_reading (device_id, workshop_id, place_id, read_at, temperature, relative_humidity)
     values ($1, $2, $3, $4, $5, $6) on conflict do nothing`,
    [device.id, device.workshopId, device.placeId, r.at, r.temperature, r.relativeHumidity],
  );
  return (rowCount ?? 0) > 0;
}

/** Keeps a reading beside what it means, and lets the board show its latest. */
async function keepBoardReading(
  db: Queryable,
  { workshopId, id: deviceId }: { workshopId: string; id: string | null },
  board: LockedBoard,
  reading: Omit<BoardReading, 'board'>,
  shop: Shop,
): Promise<boolean> {
  const moisture = correctPinReading({
    reading: reading.reading,
    woodTemperature: reading.woodTemperature,
    speciesCorrection: shop.meterCorrections[board.species] ?? 0,
  });
  const kept = await db.query(
    `insert into board_reading (workshop_id, board_id, device_id, read_at, reading, wood_temperature, method, moisture)
     select $1::uuid, $2::uuid, $3::uuid, $4::timestamptz, $5::float8, $6::float8, 'pin', $7::float8
     where not exists (select 1 from board_reading
                       where board_id = $2::uuid and device_id is not distinct from $3::uuid and read_at = $4::timestamptz)`,
    [workshopId, board.id, deviceId, reading.at, reading.reading, reading.woodTemperature, moisture],
  );
  if (!kept.rowCount) return false;
  // A late reading is kept, but does not stand before a newer one.
  await db.query(
    `update board set moisture = round($2::numeric, 1), moisture_on = $3::timestamptz::date, revision = revision + 1
     where id = $1 and not exists (select 1 from board_reading where board_id = $1 and read_at > $3::timestamptz)`,
    [board.id, moisture, reading.at],
  );
  return true;
}

/** A reading entered by hand. */
export async function enterBoardReading(
  workshopId: string,
  id: string,
  reading: Omit<BoardReading, 'board'>,
  now: Date,
) {
  const { settings } = await currentWorkshop();
  const kept = await inTransaction(async (db) => {
    const { rows } = await db.query(
      'select id, tag, species from board where workshop_id = $1 and id = $2 and deleted_at is null for update',
      [workshopId, id],
    );
    const board: LockedBoard | undefined = rows[0];
    if (!board)
      throw new Refusal(404, [{ problem: 'There is no such board.', where: id, wayOut: 'Look for it in the bin.' }]);
    const doubt = doubtOf({ ...reading, board: board.tag }, now);
    if (doubt) throw new Refusal(422, [{ ...doubt, where: 'reading' }]);
    return keepBoardReading(db, { workshopId, id: null }, board, reading, settings);
  });
  return { taken: kept ? 1 : 0, duplicates: kept ? 0 : 1 };
}

/** The last days' readings of a place, by the hour. */
export async function airOfPlace(workshopId: string, placeId: string, days: number): Promise<AirOfPlace> {
  const [hours, last] = await Promise.all([
    pool().query(
      `select date_trunc('hour', read_at) as at, avg(temperature) as temperature, avg(relative_humidity) as rh
       from air_reading where workshop_id = $1 and place_id = $2 and read_at > now() - make_interval(days => $3)
       group by 1 order by 1`,
      [workshopId, placeId, days],
    ),
    pool().query(
      `select read_at as at, temperature, relative_humidity as rh from air_reading
       where workshop_id = $1 and place_id = $2 order by read_at desc limit 1`,
      [workshopId, placeId],
    ),
  ]);
  const of = (row: { at: Date; temperature: number; rh: number }) => ({
    at: row.at.toISOString(),
    temperature: row.temperature,
    relativeHumidity: row.rh,
  });
  return { readings: hours.rows.map(of), latest: last.rows[0] ? of(last.rows[0]) : null };
}

export async function boardsInAir(workshopId: string): Promise<BoardInAir[]> {
  const { rows } = await pool().query(
    `select b.id, b.tag, b.species, b.thickness, b.moisture, b.moisture_on::text as "moistureOn",
            case when r.reading is not null
                 then json_build_object('reading', r.reading, 'woodTemperature', r.wood_temperature) end as last
     from board b
       left join (select distinct on (board_id) board_id, reading, wood_temperature
                  from board_reading where workshop_id = $1 order by board_id, read_at desc) r on r.board_id = b.id
     where b.workshop_id = $1 and b.deleted_at is null and b.taken_for is null order by b.tag`,
    [workshopId],
  );
  return rows;
}

/** Reads otherwise when a board on the rack or a reading of one has come, gone or changed. */
export async function boardsChanged(workshopId: string): Promise<string> {
  const { rows } = await pool().query(
    `select (select coalesce(sum(hashtextextended(id::text || ' ' || revision, 0)::numeric), 0) from board
                where workshop_id = $1 and deleted_at is null and taken_for is null)
            || ' ' || (select coalesce(max(id), 0) from board_reading where workshop_id = $1) as stamp`,
    [workshopId],
  );
  return rows[0].stamp;
}
