import { readFileSync } from 'node:fs';
import { request } from 'node:http';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { type Dice, dice } from '../fixtures/dice';
import { ROUTES } from '../fixtures/routes';
import { Checkout } from './checkout';
import { hostileValue, spoiled } from './spoiled';

const COUNT = Number(process.env.MALFORMED ?? 20_000);
const AT_ONCE = 8;
const METHODS = ['GET', 'HEAD', 'POST', 'PUT', 'DELETE', 'PATCH', 'OPTIONS', 'TRACE', 'PROPFIND'];
const TYPES = [
  'application/json',
  'application/json',
  'application/json',
  'text/plain',
  'text/csv',
  'multipart/form-data',
  '',
];
/** A server that runs for days must not grow by what it refuses, MB. */
const MOST_MEMORY = 900;

describe('malformed requests', () => {
  const checkout = Checkout.ofThis();
  beforeAll(async () => {
    const { stands, said } = await checkout.start();
    expect(stands, said).toBe(true);
  });
  afterAll(() => checkout.remove());

  const get = async <T>(path: string) => (await (await fetch(checkout.url + path)).json()) as T;

  it(`${COUNT} over every route and method: each is answered, none with a failure`, async () => {
    const thrown = dice(20261130);
    const { jobs } = await get<{ jobs: { id: string }[] }>('/api/jobs');
    const job = await get<{ revision: number; document: unknown }>(`/api/jobs/${jobs[0]!.id}`);
    const { revision, shop, places } = await get<{ revision: number; shop: unknown; places: { id: string }[] }>(
      '/api/shop',
    );
    const { boards } = await get<{ boards: { id: string; tag: string }[] }>('/api/rack');
    const ids = [...jobs, ...boards.slice(0, 5), ...places].map(({ id }) => id);
    const sound = [
      { revision: job.revision, document: job.document },
      { revision, shop },
      { revision: 1, place: places[0] },
      { revision: 1, board: boards[0] },
      boards[0],
      { readings: [{ at: '2026-11-01T00:00:00Z', board: boards[0]!.tag, reading: 9, woodTemperature: 20 }] },
      { boards: [boards[0]!.id] },
      { name: 'x', kind: 'hygrometer', placeId: places[0]!.id },
      { text: readFileSync(`${checkout.folder}/demo/rack.csv`, 'utf8').slice(0, 800), fields: {} },
    ];
    const answers = new Map<string, number>();
    const failures: string[] = [];
    const cut: string[] = [];
    const one = async () => {
      const [method, pattern] = thrown.of(ROUTES);
      const path = pattern
        .replace('[id]', () => (thrown.next() < 0.6 ? thrown.of(ids) : inAddress(thrown)))
        .replace(/\[\w+\]/, () =>
          thrown.of(['cut-list.csv', 'layout.svg', 'job.json', '..%2f..%2fetc', '%00', 'x'.repeat(300)]),
        );
      const query =
        thrown.next() < 0.3
          ? `?${thrown.of(['page', 'search', 'ids', 'try', 'find', 'bin'])}=${inAddress(thrown)}`
          : '';
      const whole = JSON.stringify(spoiled(thrown, thrown.of(sound)));
      const body = thrown.next() < 0.15 ? whole.slice(0, Math.floor(thrown.next() * whole.length)) : whole;
      const asked = thrown.next() < 0.85 ? method : thrown.of(METHODS);
      const type = thrown.of(TYPES);
      const wire = await send(checkout.url, asked, path + query, type, body, thrown.next() < 0.02);
      const line = `${asked} ${(path + query).slice(0, 120)} ${type}: ${wire.status} ${wire.text.slice(0, 200)}`;
      if (wire.status === 0) cut.push(line);
      if (wire.status >= 500) failures.push(`${line}\n  ${body.slice(0, 400)}`);
      const kind = `${asked} ${Math.floor(wire.status / 100)}xx`;
      answers.set(kind, (answers.get(kind) ?? 0) + 1);
    };
    let left = COUNT;
    await Promise.all(
      Array.from({ length: AT_ONCE }, async () => {
        while (left > 0) {
          left -= 1;
          await one();
        }
      }),
    );
    console.log(Object.fromEntries(answers), { cut: cut.length, memory: checkout.serverMemory() });
    expect(failures.slice(0, 10)).toEqual([]);
    // Only those whose own connection was broken on purpose are without an answer.
    expect(cut.length).toBeLessThan(COUNT * 0.04);
    expect(checkout.serverMemory()).toBeLessThan(MOST_MEMORY);
    for (const path of ['/api/health', '/jobs', '/rack', '/shop', '/air', '/methods'])
      expect((await fetch(checkout.url + path)).status, path).toBe(200);
  });
});

/** Something for an address: mostly encoded as it should be, sometimes not. */
function inAddress(thrown: Dice): string {
  const hostile = hostileValue(thrown);
  const value = (typeof hostile === 'string' ? hostile : JSON.stringify(hostile)).slice(0, 900);
  // Half a character has no code of its own; some clients send its bytes.
  return thrown.next() < 0.1
    ? thrown.of(['%', '%zz', '%ed%a0%bd', '%00', '%c0%ae'])
    : encodeURIComponent(Buffer.from(value).toString());
}

/** One request as it is, whatever fetch would make of it; its status is 0 where the connection was broken. */
function send(
  url: string,
  method: string,
  path: string,
  type: string,
  body: string,
  breakOff: boolean,
): Promise<{ status: number; text: string }> {
  return new Promise((resolve) => {
    const { hostname, port } = new URL(url);
    const bare = method === 'GET' || method === 'HEAD' || method === 'TRACE';
    const headers = {
      ...(type ? { 'content-type': type } : {}),
      ...(bare ? {} : { 'content-length': Buffer.byteLength(body) + (breakOff ? 100 : 0) }),
    };
    let asked: ReturnType<typeof request>;
    try {
      asked = request({ hostname, port, method, path, headers, timeout: 120_000 });
    } catch {
      // No client can send such a path.
      resolve({ status: 400, text: '' });
      return;
    }
    asked.on('response', (response) => {
      let text = '';
      response.setEncoding('utf8');
      response.on('data', (chunk: string) => {
        if (text.length < 2000) text += chunk;
      });
      response.on('close', () => resolve({ status: response.statusCode ?? 0, text }));
    });
    asked.on('error', () => resolve({ status: 0, text: 'broken' }));
    asked.on('timeout', () => resolve({ status: 599, text: 'no answer within two minutes' }));
    if (!bare) asked.write(body);
    if (breakOff) setTimeout(() => asked.destroy(), 30);
    else asked.end();
  });
}
