import { execFile } from 'node:child_process';
import { join } from 'node:path';
import { promisify } from 'node:util';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { base, call } from './api';

interface Device {
  id: string;
  token: string;
  lastSeenAt: string | null;
}
interface Reply {
  taken: number;
  duplicates: number;
  refused: { problem: string; where: string; wayOut: string }[];
}
interface Air {
  air: { readings: { at: string; temperature: number; relativeHumidity: number }[]; latest: { at: string } | null };
  devices: { id: string; lastSeenAt: string | null }[];
  boardsChanged: string;
}
interface BoardLine {
  id: string;
  moisture: number;
  last: { reading: number } | null;
}

const ago = (hours: number) => new Date(Date.now() - hours * 3_600_000).toISOString();

describe('readings from devices', () => {
  let hygrometer: Device;
  let meter: Device;
  let board: { id: string; tag: string };
  const send = async (
    device: { token: string } | null,
    readings: unknown,
  ): Promise<{ status: number; data: Reply }> => {
    const response = await fetch(`${base}/api/readings`, {
      method: 'POST',
      headers: {
        'content-type': 'application/json',
        ...(device ? { authorization: `Bearer ${device.token}` } : {}),
      },
      body: JSON.stringify({ readings }),
    });
    return { status: response.status, data: (await response.json()) as Reply };
  };
  const air = async () => (await call<Air>('GET', '/api/air')).data;
  const lineOf = async (id: string) =>
    (await call<BoardLine[]>('GET', '/api/air/boards')).data.find((own) => own.id === id)!;

  beforeAll(async () => {
    const { data: shop } = await call<{ places: { id: string; kind: string }[] }>('GET', '/api/shop');
    const placeId = shop.places.find((place) => place.kind === 'shop')!.id;
    const device = (body: object) => call<Device>('POST', '/api/devices', body).then((reply) => reply.data);
    hygrometer = await device({ name: 'Test hygrometer', kind: 'hygrometer', placeId });
    meter = await device({ name: 'Test meter', kind: 'moisture-meter', placeId: null });
    const added = await call<{ id: string; tag: string }>('POST', '/api/boards', {
      ...{ tag: 'READ-1', species: 'oak-white', length: 2000, width: 200, thickness: 30, quarters: null },
      ...{ surface: 'rough', ringAngle: 20, moisture: 9, moistureOn: '2026-01-01', lot: '', note: '', defects: [] },
    });
    board = added.data;
  });
  afterAll(async () => {
    for (const { id } of [hygrometer, meter]) await call('DELETE', `/api/devices/${id}`);
    await call('DELETE', `/api/boards/${board.id}`);
  });

  it('want a token that is known, and tell nothing without one', async () => {
    const reading = [{ at: ago(1), temperature: 18, relativeHumidity: 50 }];
    for (const device of [null, { token: 'made-up' }, { token: '' }]) {
      expect((await send(device, reading)).status).toBe(401);
    }
  });

  it('arrive, and the place’s air shows them', async () => {
    const at = ago(2);
    const { status, data } = await send(hygrometer, [
      { at, temperature: 17.5, relativeHumidity: 46 },
      { at: ago(1), temperature: 18, relativeHumidity: 48 },
    ]);
    expect(status).toBe(200);
    expect(data).toMatchObject({ taken: 2, duplicates: 0, refused: [] });
    const now = await air();
    expect(now.air.readings.length).toBeGreaterThanOrEqual(2);
    expect(now.devices.find((d) => d.id === hygrometer.id)!.lastSeenAt).not.toBeNull();
  });

  it('sent twice count once; late ones are kept; absurd ones are told and do not spoil the rest', async () => {
    const reading = { at: ago(30), temperature: 16, relativeHumidity: 52 };
    expect((await send(hygrometer, [reading])).data).toMatchObject({ taken: 1, duplicates: 0 });
    expect((await send(hygrometer, [reading, reading])).data).toMatchObject({ taken: 0, duplicates: 2 });
    const mixed = await send(hygrometer, [
      { at: ago(200), temperature: 15, relativeHumidity: 55 },
      { at: ago(3), temperature: 400, relativeHumidity: 50 },
      { at: ago(4), temperature: 18, relativeHumidity: 130 },
      { at: ago(5), temperature: 18, relativeHumidity: 0 },
      { at: ago(-5), temperature: 18, relativeHumidity: 50 },
      { at: ago(24 * 500), temperature: 18, relativeHumidity: 50 },
    ]);
    expect(mixed.status).toBe(200);
    expect(mixed.data.taken).toBe(1);
    expect(mixed.data.refused.map((r) => r.where)).toEqual([1, 2, 3, 4, 5].map((i) => `readings.${i}`));
    for (const fault of mixed.data.refused) expect(fault.wayOut.length).toBeGreaterThan(5);
    expect((await send(hygrometer, [{ at: ago(-5), temperature: 18, relativeHumidity: 50 }])).status).toBe(422);
  });

  it('of a board correct its moisture; a late one does not stand before a newer', async () => {
    const before = (await air()).boardsChanged;
    expect((await send(meter, [{ at: ago(1), board: 'READ-1', reading: 12, woodTemperature: 30 }])).data.taken).toBe(1);
    expect((await air()).boardsChanged).not.toBe(before);
    const shown = await lineOf(board.id);
    // Warm wood conducts better, so a meter reads too much on it (Pfaff and Garrahan).
    expect(shown.moisture).toBeGreaterThan(10.5);
    expect(shown.moisture).toBeLessThan(12);
    expect(shown.last!.reading).toBe(12);
    expect((await send(meter, [{ at: ago(50), board: 'READ-1', reading: 25, woodTemperature: 20 }])).data.taken).toBe(
      1,
    );
    expect((await lineOf(board.id)).moisture).toBe(shown.moisture);
  });

  it('go where they belong: no air from a meter, no boards from a hygrometer, no board that is not there', async () => {
    const refused = async (device: Device, reading: object) =>
      (await send(device, [{ at: ago(1), ...reading }])).status;
    expect(await refused(meter, { temperature: 18, relativeHumidity: 50 })).toBe(422);
    expect(await refused(hygrometer, { board: 'READ-1', reading: 10 })).toBe(422);
    expect(await refused(meter, { board: 'NO-SUCH', reading: 10 })).toBe(422);
  });

  it('by hand: the board’s moisture follows, nonsense is refused', async () => {
    const enter = (reading: number) =>
      call<Reply>('POST', `/api/boards/${board.id}/readings`, { at: ago(0), reading, woodTemperature: 20 });
    expect((await enter(10.5)).status).toBe(201);
    expect((await lineOf(board.id)).moisture).toBeCloseTo(10.5, 1);
    expect((await enter(1)).status).toBe(422);
  });

  it('a stand-in sends a week of air, and sending it again changes nothing', async () => {
    const run = (token: string) =>
      promisify(execFile)('node', [join(import.meta.dirname, '../../bin/stand-in.mjs'), 'hygrometer'], {
        env: { ...process.env, TOKEN: token, TALLER_URL: base, ONCE: '1', PAST: '7' },
      });
    await run(hygrometer.token);
    const first = (await air()).air.readings.length;
    expect(first).toBeGreaterThan(160);
    await run(hygrometer.token);
    expect((await air()).air.readings.length - first).toBeLessThanOrEqual(1);
    await expect(run('wrong')).rejects.toThrow(/not known/);
  });

  it('of many boards from several meters at once: each taken, whatever their order, and none on another board', async () => {
    const row = { species: 'oak-white', length: 2000, width: 200, thickness: 30, quarters: null, surface: 'rough' };
    const rest = { ringAngle: 20, moisture: null, moistureOn: null, lot: '', note: '', defects: [] };
    const tags = Array.from({ length: 12 }, (_, i) => `MANY-${i}`);
    type Kept = { id: string; tag: string; revision: number };
    const boards: Kept[] = [];
    for (const tag of tags) boards.push((await call<Kept>('POST', '/api/boards', { tag, ...row, ...rest })).data);
    const meters = await Promise.all(
      [1, 2].map((n) =>
        call<Device>('POST', '/api/devices', { name: `Meter ${n}`, kind: 'moisture-meter', placeId: null }),
      ),
    );
    // One of them is given another tag, and that tag to nobody, while they are read.
    const renamed = boards[5] as Kept;
    const posts = Array.from({ length: 32 }, (_, i) => {
      const order = i % 2 === 0 ? tags : [...tags].reverse();
      return send(
        meters[i % 2]!.data,
        order.map((tag, k) => ({ at: ago(40 + i + k / 100), board: tag, reading: 8 + i / 10, woodTemperature: 20 })),
      );
    });
    const rename = async () => {
      for (let status = 409; status === 409; ) {
        const { revision } = (await call<Kept[]>('GET', '/api/boards')).data.find(({ id }) => id === renamed.id)!;
        const board = { tag: 'MANY-NEW', ...row, ...rest };
        status = (await call('PUT', `/api/boards/${renamed.id}`, { revision, board })).status;
      }
    };
    const [replies] = await Promise.all([Promise.all(posts), rename()]);
    for (const { status, data } of replies) {
      expect(status).toBe(200);
      expect(data.taken + data.refused.length).toBe(12);
      for (const { problem } of data.refused) expect(problem).toBe(`No board on the rack has the tag ${renamed.tag}.`);
    }
    for (const { id } of boards) await call('DELETE', `/api/boards/${id}`);
    for (const { data } of meters) await call('DELETE', `/api/devices/${data.id}`);
  });

  it('a device taken away is not listened to any more', async () => {
    const { data: gone } = await call<Device>('POST', '/api/devices', {
      name: 'Gone',
      kind: 'moisture-meter',
      placeId: null,
    });
    await call('DELETE', `/api/devices/${gone.id}`);
    expect((await send(gone, [{ at: ago(1), board: 'READ-1', reading: 10 }])).status).toBe(401);
  });
});

describe('places with a room and a logger', () => {
  it('are kept as they were sent, and refused with the place of the fault', async () => {
    const months = Array.from({ length: 12 }, () => ({ temperature: 5, relativeHumidity: 80 }));
    const room = {
      setPoints: Array.from({ length: 12 }, (_, i) => (i < 4 ? 20 : null)),
      unheatedAbove: 2,
      leastHumidity: null,
      greatestHumidity: null,
      altitude: 0,
    };
    const place = {
      name: 'Tested room',
      kind: 'home',
      months,
      room,
      logged: [{ day: 3, temperature: 20, relativeHumidity: 30 }],
      note: '',
    };
    const added = await call<{ id: string; room: typeof room; logged: unknown[] }>('POST', '/api/places', place);
    expect(added.status).toBe(201);
    expect(added.data).toMatchObject({ room, logged: place.logged });
    const bad = await call<{ problems: { where: string }[] }>('POST', '/api/places', {
      ...place,
      room: { ...room, setPoints: [20] },
    });
    expect(bad.status).toBe(422);
    expect(bad.data.problems[0]!.where).toBe('room.setPoints');
    await call('DELETE', `/api/places/${added.data.id}`);
  });
});
