import { createHash, randomBytes } from 'node:crypto';
import type { Device } from '@/contract/replies';
import { inTransaction, pool, type Queryable } from './pool';
import { notFound, Refusal } from './refusal';

const COLUMNS = 'id, name, kind, place_id as "placeId", last_seen_at as "lastSeenAt"';
const hashOf = (token: string) => createHash('sha256').update(token).digest('hex');

export async function devicesOf(workshopId: string): Promise<Device[]> {
  const { rows } = await pool().query(
    `select ${COLUMNS} from device where workshop_id = $1 and deleted_at is null order by kind, name, id`,
    [workshopId],
  );
  return rows.map((row) => ({ ...row, lastSeenAt: row.lastSeenAt?.toISOString() ?? null }));
}

/** The token is told this once; the database keeps its hash. */
export async function addDevice(
  workshopId: string,
  device: Pick<Device, 'name' | 'kind' | 'placeId'>,
  db: Queryable = pool(),
): Promise<Device & { token: string }> {
  if (device.placeId) {
    const { rows } = await db.query('select 1 from place where workshop_id = $1 and id = $2 and deleted_at is null', [
      workshopId,
      device.placeId,
    ]);
    if (!rows[0]) throw notFound('place', 'placeId');
  }
  const token = randomBytes(24).toString('base64url');
  const { rows } = await db.query(
    `insert into device (workshop_id, name, kind, place_id, token_hash) values ($1, $2, $3, $4, $5) returning ${COLUMNS}`,
    [workshopId, device.name, device.kind, device.placeId, hashOf(token)],
  );
  return { ...rows[0], token };
}

export async function binDevice(workshopId: string, id: string): Promise<void> {
  const { rowCount } = await pool().query(
    'update device set deleted_at = now() where workshop_id = $1 and id = $2 and deleted_at is null',
    [workshopId, id],
  );
  if (!rowCount) throw notFound('device', id);
}

/** The device a request comes from, by its bearer token. */
export async function deviceOf(request: Request): Promise<Device & { workshopId: string }> {
  const token = /^Bearer\s+(\S+)$/i.exec(request.headers.get('authorization') ?? '')?.[1];
  const found = token
    ? await pool().query(
        `select ${COLUMNS}, workshop_id as "workshopId" from device where token_hash = $1 and deleted_at is null`,
        [hashOf(token)],
      )
    : undefined;
  const device = found?.rows[0];
  if (!device) {
    throw new Refusal(401, [
      {
        problem: 'This device is not known here.',
        where: 'the Authorization header',
        wayOut: 'Send “Bearer” and the token that the Air page showed when the device was added.',
      },
    ]);
  }
  return device;
}

/** The two simulated devices of the demo, made once for a workshop that has none; null when there are some. */
export async function standIns(): Promise<{ hygrometer: string; 'moisture-meter': string } | null> {
  return inTransaction(async (db) => {
    const workshop = (await db.query('select id from workshop order by created_at limit 1')).rows[0];
    if (!workshop) return null;
    const { rows } = await db.query('select 1 from device where workshop_id = $1 limit 1', [workshop.id]);
    const place = (
      await db.query(
        `select id from place where workshop_id = $1 and kind = 'shop' and deleted_at is null order by created_at limit 1`,
        [workshop.id],
      )
    ).rows[0];
    if (rows[0] || !place) return null;
    const air = await addDevice(
      workshop.id,
      { name: 'Hygrometer by the bench, simulated', kind: 'hygrometer', placeId: place.id },
      db,
    );
    const meter = await addDevice(
      workshop.id,
      { name: 'Pin meter, simulated', kind: 'moisture-meter', placeId: null },
      db,
    );
    return { hygrometer: air.token, 'moisture-meter': meter.token };
  });
}
