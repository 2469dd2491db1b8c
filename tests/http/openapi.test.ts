import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import Ajv, { type AnySchema } from 'ajv';
import { afterAll, describe, expect, it } from 'vitest';
import { CONTRACT } from '@/contract/routes';
import { type Board, deriveJob, type Place, planLayout, type Shop, shownPiece, writeJobFile } from '@/core';
import { openApi } from '../fixtures/openapi';
import { ROUTES } from '../fixtures/routes';
import { base, brief, type JobReply } from './api';

const written = JSON.parse(readFileSync(join(import.meta.dirname, '../../docs/openapi.json'), 'utf8'));

/** A schema that takes no entry it does not name: what is answered and not described is found. */
function closed(schema: unknown): unknown {
  if (Array.isArray(schema)) return schema.map(closed);
  if (schema === null || typeof schema !== 'object') return schema;
  const own = Object.fromEntries(Object.entries(schema).map(([key, value]) => [key, closed(value)]));
  return own.type === 'object' && own.properties && own.additionalProperties === undefined
    ? { ...own, additionalProperties: false }
    : own;
}

const ajv = new Ajv({ strict: false, validateFormats: false, allErrors: true });
ajv.addSchema({ $id: 'taller', ...(closed({ components: written.components }) as object) });
const answerOf = (name: string): AnySchema => {
  const [method = '', path = ''] = name.split(' ');
  const operation = written.paths[path.replace(/\[(\w+)\]/g, '{$1}')][method.toLowerCase()];
  const { schema } = operation.responses[CONTRACT[name]!.status].content['application/json'];
  return JSON.parse(JSON.stringify(closed(schema)).replaceAll('#/components', 'taller#/components'));
};

const answered = new Set<string>();

/** Asks the server as the contract says, and holds the answer against it. */
async function ask<T = Record<string, unknown>>(
  name: string,
  {
    ids = [],
    query = '',
    body,
    headers = {},
  }: { ids?: string[]; query?: string; body?: unknown; headers?: object } = {},
): Promise<T> {
  const [method = '', path = ''] = name.split(' ');
  const left = [...ids];
  const address = path.replace(/\[\w+\]/g, () => left.shift() ?? '');
  const sent = body === undefined ? {} : { body: typeof body === 'string' ? body : JSON.stringify(body) };
  const response = await fetch(`${base}${address}${query}`, {
    method,
    ...sent,
    headers: { ...(typeof body === 'object' ? { 'content-type': 'application/json' } : {}), ...headers },
  });
  const text = await response.text();
  expect(response.status, `${name}: ${text.slice(0, 300)}`).toBe(CONTRACT[name]!.status);
  answered.add(name);
  const told = CONTRACT[name]!.answers;
  if (typeof told === 'string') {
    if (told !== 'application/octet-stream') expect(response.headers.get('content-type')).toContain(told);
    return text as T;
  }
  const data = JSON.parse(text);
  const validate = ajv.compile(answerOf(name));
  validate(data);
  expect(validate.errors, name).toBeNull();
  return data;
}

const stamp = `${Date.now()}`.slice(-6);
const board = (tag: string) => ({
  tag,
  species: 'oak-white',
  length: 2400,
  width: 200,
  thickness: 38.1,
  quarters: 6,
  surface: 'rough',
  ringAngle: 15,
  moisture: 9,
  moistureOn: '2027-03-01',
  lot: '',
  note: '',
  defects: [{ kind: 'knot', x: 10, y: 10, length: 30, width: 20, face: 'through' }],
});

describe('the contract', () => {
  it('names every route there is, and no other', () => {
    expect(Object.keys(CONTRACT).sort()).toEqual(ROUTES.map(([method, path]) => `${method} ${path}`).sort());
  });

  it('is what docs/openapi.json says; `npm run schemas` writes it', () => {
    expect(written).toEqual(JSON.parse(JSON.stringify(openApi())));
  });
});

describe('a running server answers as the contract says', () => {
  afterAll(() => {
    const json = Object.entries(CONTRACT).filter(([, { answers }]) => typeof answers !== 'string');
    expect(json.map(([name]) => name).filter((name) => !answered.has(name))).toEqual([]);
  });

  it('of its health, its files, and what it refuses', async () => {
    await ask('GET /api/health');
    for (const name of ['job-file.schema.json', 'highs.wasm', 'manifold.wasm']) await ask(`GET /api/${name}`);
    const refused = await fetch(`${base}/api/jobs`, {
      method: 'POST',
      body: '{}',
      headers: { 'content-type': 'application/json' },
    });
    const validate = ajv.compile({ $ref: 'taller#/components/responses/Refused/content/application~1json/schema' });
    validate(await refused.json());
    expect([refused.status, validate.errors]).toEqual([422, null]);
  });

  it('of jobs', async () => {
    const shop = await ask<{ shop: Shop; places: Place[]; revision: number }>('GET /api/shop');
    const homePlaceId = shop.places.find(({ kind }) => kind === 'home')!.id;
    const start = { name: 'Contract', client: '', brief, species: 'oak-white', homePlaceId, startOn: '2027-03-08' };
    await ask('GET /api/starts');
    await ask('GET /api/terms');
    await ask('POST /api/jobs/proposal', { body: { ...start, start: 'stool', count: 4, units: 'inch' } });
    const job = await ask<JobReply>('POST /api/jobs', { body: start });
    const { id } = job;
    await ask('GET /api/jobs', { query: '?find=Contract&count=2' });
    await ask('GET /api/jobs/[id]', { ids: [id] });
    const renamed = { revision: job.revision, document: { ...job.document, client: 'Nobody' } };
    const saved = await ask<JobReply>('PUT /api/jobs/[id]', { ids: [id], body: renamed });
    const undone = await ask<JobReply>('POST /api/jobs/[id]/undo', { ids: [id], body: { revision: saved.revision } });
    await ask('POST /api/jobs/[id]/redo', { ids: [id], body: { revision: undone.revision } });
    const copy = await ask<JobReply>('POST /api/jobs/[id]/copy', { ids: [id] });
    const example = await ask<JobReply>('POST /api/jobs/example', { body: { example: 'Window bench' } });
    for (const own of [copy, example]) await ask('DELETE /api/jobs/[id]', { ids: [own.id] });
    await ask('POST /api/jobs/import', { body: writeJobFile(job.document, shop.places) });
    const boards = await ask<Board[]>('GET /api/jobs/[id]/boards', { ids: [id] });
    const derived = deriveJob({ document: job.document, shop: shop.shop, places: shop.places, boards, layouts: [] });
    if (!('pieces' in derived)) throw new Error('nothing is derived');
    const shown = shownPiece(derived);
    const wood = derived.woods[0]!;
    const layout = planLayout(wood.demand, wood.boards, { ...wood.layoutOptions, effort: 20 });
    expect(shown.piece.parts.length).toBeGreaterThan(0);
    await ask('PUT /api/jobs/[id]/layout', { ids: [id], body: layout });
    const choice = { job: job.document.layout, pieces: {} };
    const kept = await ask<{ id: string }>('POST /api/jobs/[id]/kept-layouts', {
      ids: [id],
      body: { name: 'First', choice, layout },
    });
    await ask('GET /api/jobs/[id]/kept-layouts', { ids: [id] });
    await ask('DELETE /api/jobs/[id]/kept-layouts/[layout]', { ids: [id, kept.id] });
    await ask('GET /api/jobs/[id]/files/[file]', { ids: [id, 'cut-list.csv'] });

    await ask('POST /api/jobs/[id]/taken', { ids: [id], body: { boards: layout.boards, offcuts: [] } });
    await ask('GET /api/rack', { query: '?used' });
    for (const used of layout.boards) await ask('POST /api/boards/[id]/put-back', { ids: [used] });
    const one = await ask<{ id: string }>('POST /api/boards', { body: board(`CT${stamp}`) });
    await ask('PUT /api/jobs/[id]/reserved', { ids: [id], body: { boards: [one.id] } });
    await ask('PUT /api/boards/[id]/reserved', { ids: [one.id], body: { job: null } });
    await ask('DELETE /api/jobs/[id]', { ids: [id] });
    await ask('GET /api/jobs', { query: '?bin' });
    await ask('POST /api/jobs/[id]/restore', { ids: [id] });
  });

  it('of the rack', async () => {
    const own = await ask<{ id: string; revision: number }>('POST /api/boards', { body: board(`CB${stamp}`) });
    const { id } = own;
    const next = { revision: own.revision, board: { ...board(`CB${stamp}`), note: 'turned' } };
    await ask('PUT /api/boards/[id]', { ids: [id], body: next });
    const reading = { at: new Date().toISOString(), reading: 9.5, woodTemperature: 18 };
    await ask('POST /api/boards/[id]/readings', { ids: [id], body: reading });
    await ask('GET /api/rack', { query: `?find=CB${stamp}&sort=length` });
    await ask('GET /api/air/boards');
    await ask('DELETE /api/boards/[id]', { ids: [id] });
    await ask('GET /api/boards', { query: '?bin' });
    await ask('POST /api/boards/[id]/restore', { ids: [id] });
    await ask('GET /api/boards');
    const csv = await ask<string>('GET /api/boards/export');
    await ask('POST /api/boards/import', { query: '?try', body: csv });
    await ask('GET /api/boards/labels.pdf', { query: `?board=${id}` });
    await ask('GET /api/boards/list.pdf');
  });

  it('of the shop, its places and its devices', async () => {
    const { shop, revision } = await ask<{ shop: Shop; revision: number }>('GET /api/shop');
    await ask('PUT /api/shop', { body: { shop, revision } });
    const { places } = await ask<{ places: (Place & { revision: number })[] }>('GET /api/shop');
    const { id: _, revision: __, ...like } = places.find(({ kind }) => kind === 'home')!;
    const place = await ask<Place & { revision: number }>('POST /api/places', {
      body: { ...like, name: 'Contract place' },
    });
    const change = { revision: place.revision, place: { ...like, name: 'Contract place', note: 'dry' } };
    await ask('PUT /api/places/[id]', { ids: [place.id], body: change });
    const device = await ask<{ id: string; token: string }>('POST /api/devices', {
      body: { name: 'Contract hygrometer', kind: 'hygrometer', placeId: place.id },
    });
    await ask('GET /api/devices');
    await ask('POST /api/readings', {
      body: { readings: [{ at: new Date().toISOString(), temperature: 18, relativeHumidity: 50 }] },
      headers: { authorization: `Bearer ${device.token}` },
    });
    await ask('GET /api/air');
    await ask('DELETE /api/devices/[id]', { ids: [device.id] });
    await ask('DELETE /api/places/[id]', { ids: [place.id] });
  });
});
