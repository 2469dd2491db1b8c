import type { PlaceReply, ShopReply } from '@/contract/replies';
import { type Place, read, type Shop, ShopSchema } from '@/core';
import { pool, type Queryable } from './pool';
import { notFound, Refusal } from './refusal';

export interface Workshop {
  id: string;
  revision: number;
  settings: Shop;
}

/** The workshop of this installation; the first one made. */
export async function currentWorkshop(db: Queryable = pool()): Promise<Workshop> {
  const { rows } = await db.query('select id, revision, settings from workshop order by created_at limit 1');
  const row = rows[0];
  if (!row)
    throw new Refusal(503, [
      {
        problem: 'There is no workshop yet.',
        where: 'the database',
        wayOut: 'Start Taller with bin/start, which loads one.',
      },
    ]);
  const settings = read(ShopSchema, row.settings, 'the shop');
  if ('problems' in settings)
    throw new Error(`stored shop does not fit its schema: ${JSON.stringify(settings.problems)}`);
  return { id: row.id, revision: row.revision, settings: settings.value };
}

export async function saveShop(workshop: Workshop, settings: Shop, revision: number): Promise<ShopReply> {
  const { rows } = await pool().query(
    'update workshop set settings = $3, revision = revision + 1 where id = $1 and revision = $2 returning revision',
    [workshop.id, revision, settings],
  );
  if (rows[0]) return { revision: rows[0].revision, shop: settings };
  const current = await currentWorkshop();
  throw staleWrite('The shop', { revision: current.revision, shop: current.settings } satisfies ShopReply);
}

/** Adds woods to the shop's own, whatever else of the shop is being written. */
export async function addWoods(workshop: Workshop, woods: Shop['species'], db: Queryable): Promise<void> {
  await db.query(
    `update workshop set revision = revision + 1,
       settings = jsonb_set(settings, '{species}', coalesce(settings->'species', '[]') || $2::jsonb) where id = $1`,
    [workshop.id, JSON.stringify(woods)],
  );
}

export function staleWrite(what: string, current: unknown): Refusal {
  return new Refusal(
    409,
    [
      {
        problem: `${what} was changed elsewhere in the meantime.`,
        where: 'revision',
        wayOut: 'Look at both versions and choose one.',
      },
    ],
    current,
  );
}

const PLACE_COLUMNS = 'id, name, kind, months, room, logged, note, revision';

const placeValues = (place: Omit<Place, 'id'>) => [
  place.name,
  place.kind,
  JSON.stringify(place.months),
  place.room === null ? null : JSON.stringify(place.room),
  JSON.stringify(place.logged),
  place.note,
];

export async function placesOf(workshopId: string, db: Queryable = pool()): Promise<PlaceReply[]> {
  const { rows } = await db.query(
    `select ${PLACE_COLUMNS} from place where workshop_id = $1 and deleted_at is null order by kind desc, name, id`,
    [workshopId],
  );
  return rows;
}

export async function addPlace(
  workshopId: string,
  place: Omit<Place, 'id'>,
  db: Queryable = pool(),
): Promise<PlaceReply> {
  const { rows } = await db.query(
    `insert into place (workshop_id, name, kind, months, room, logged, note)
     values ($1, $2, $3, $4, $5, $6, $7) returning ${PLACE_COLUMNS}`,
    [workshopId, ...placeValues(place)],
  );
  return rows[0];
}

export async function savePlace(
  workshopId: string,
  id: string,
  place: Omit<Place, 'id'>,
  revision: number,
): Promise<PlaceReply> {
  const { rows } = await pool().query(
    `update place set name = $4, kind = $5, months = $6, room = $7, logged = $8, note = $9, revision = revision + 1
     where workshop_id = $1 and id = $2 and revision = $3 and deleted_at is null returning ${PLACE_COLUMNS}`,
    [workshopId, id, revision, ...placeValues(place)],
  );
  if (rows[0]) return rows[0];
  const current = (await placesOf(workshopId)).find((p) => p.id === id);
  throw current ? staleWrite('This place', current) : notFound('place', id);
}

/** Into the bin, unless a job still uses it. */
export async function binPlace(workshopId: string, id: string): Promise<void> {
  const used = await pool().query(
    `select r.document->>'name' as name from job j join job_revision r on r.job_id = j.id and r.revision = j.revision
     where j.workshop_id = $1 and j.deleted_at is null
       and $2 in (r.document->'season'->>'homePlaceId', r.document->'season'->>'shopPlaceId') limit 3`,
    [workshopId, id],
  );
  if (used.rows.length > 0) {
    throw new Refusal(409, [
      {
        problem: `This place is the air of ${used.rows.map((row) => row.name).join(', ')}.`,
        where: 'place',
        wayOut: 'Give those jobs another place first.',
      },
    ]);
  }
  const { rowCount } = await pool().query(
    'update place set deleted_at = now() where workshop_id = $1 and id = $2 and deleted_at is null',
    [workshopId, id],
  );
  if (!rowCount) throw notFound('place', id);
}
