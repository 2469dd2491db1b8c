import { describe, expect, it } from 'vitest';
import { readRackCsv } from '@/core';
import { call } from './api';

interface Stored {
  id: string;
  tag: string;
  revision: number;
  defects: unknown[];
  length: number;
}
const board = (tag: string) => ({
  tag,
  species: 'oak-white',
  length: 2000,
  width: 200,
  thickness: 38.1,
  quarters: 6,
  surface: 'rough',
  ringAngle: 10,
  moisture: 9,
  moistureOn: '2027-03-01',
  lot: '',
  note: '',
  defects: [{ kind: 'knot', x: 100, y: 20, length: 40, width: 30 }],
});
const tag = (name: string) => `${name}-${Date.now()}`;

describe('the rack', () => {
  it('keeps a board with its defects, and a write that matches its revision', async () => {
    const made = await call<Stored>('POST', '/api/boards', board(tag('T')));
    expect(made.status).toBe(201);
    expect(made.data.defects).toHaveLength(1);
    const { id, revision, ...rest } = made.data;
    const saved = await call<Stored>('PUT', `/api/boards/${id}`, {
      revision,
      board: { ...board(rest.tag), length: 1950, defects: [] },
    });
    expect(saved.data).toMatchObject({ length: 1950, revision: revision + 1, defects: [] });
    const late = await call<{ current: Stored }>('PUT', `/api/boards/${id}`, { revision, board: board(rest.tag) });
    expect(late.status).toBe(409);
    expect(late.data.current.length).toBe(1950);
  });

  it('refuses a second board with the same tag, also when one comes back from the bin', async () => {
    const name = tag('TWICE');
    const first = await call<Stored>('POST', '/api/boards', board(name));
    expect((await call('POST', '/api/boards', board(name))).status).toBe(409);
    expect((await call('DELETE', `/api/boards/${first.data.id}`)).status).toBe(200);
    expect((await call('POST', '/api/boards', board(name))).status).toBe(201);
    expect((await call('POST', `/api/boards/${first.data.id}/restore`)).status).toBe(409);
  });

  it('refuses a defect outside the board, with its place', async () => {
    const reply = await call<{ problems: { where: string }[] }>('POST', '/api/boards', {
      ...board(tag('OUT')),
      defects: [{ kind: 'knot', x: 5000, y: 0, length: 10, width: 10 }],
    });
    expect(reply.status).toBe(422);
    expect(reply.data.problems[0]!.where).toBe('defects');
  });

  it('looks at a file first, then takes in its sound rows; what is there already is left out', async () => {
    const name = tag('IMP');
    const csv = `tag,species,length_mm,width_mm,thickness_mm\n${name},oak-white,2000,200,38\n${name}b,oak-white,2000,wide,38\n`;
    const looked = await call<{ sound: number; added: number; problems: unknown[] }>(
      'POST',
      '/api/boards/import?try',
      csv,
    );
    expect(looked.data).toMatchObject({ sound: 1, added: 0 });
    expect(looked.data.problems).toHaveLength(1);
    expect((await call<{ added: number }>('POST', '/api/boards/import', csv)).data.added).toBe(1);
    expect((await call<{ added: number }>('POST', '/api/boards/import', csv)).data.added).toBe(0);
  });

  it('goes out as a file that comes in again', async () => {
    const { data } = await call<string>('GET', '/api/boards/export');
    const { rows, problems } = readRackCsv(data, 'metric');
    expect(problems).toEqual([]);
    expect(rows.every((row) => row.board)).toBe(true);
    expect(rows.length).toBeGreaterThanOrEqual(40);
  });
});

describe('the shop and its places', () => {
  it('is written only from the revision it was read at', async () => {
    const { data } = await call<{ revision: number; shop: { tools: { kerf: number } } }>('GET', '/api/shop');
    const saved = await call<{ revision: number }>('PUT', '/api/shop', { revision: data.revision, shop: data.shop });
    expect(saved.data.revision).toBe(data.revision + 1);
    expect((await call('PUT', '/api/shop', { revision: data.revision, shop: data.shop })).status).toBe(409);
  });

  it('does not let a place go that is the air of a job', async () => {
    const { data } = await call<{ places: { id: string; kind: string }[] }>('GET', '/api/shop');
    const reply = await call<{ problems: { problem: string }[] }>(
      'DELETE',
      `/api/places/${data.places.find((p) => p.kind === 'shop')!.id}`,
    );
    expect(reply.status).toBe(409);
    expect(reply.data.problems[0]!.problem).toMatch(/is the air of/);
  });
});

describe('boards as they are', () => {
  it('keeps a board as it is: taper, live edges, crook, price, place, and defects of one face', async () => {
    const real = {
      ...board(tag('REAL')),
      farWidth: 180,
      liveEdges: { near: 0, far: 12 },
      crook: { twist: 4, bow: 2, cup: 1 },
      heights: [
        [0, 1, 0],
        [2, 1, 2],
        [4, 3, 4],
      ],
      price: { amount: 9.5, per: 'board-foot' },
      tone: null,
      planes: null,
      storedAt: 'bay 3',
      defects: [{ kind: 'stain', x: 100, y: 20, length: 40, width: 30, face: 'under' }],
    };
    const made = await call<Stored>('POST', '/api/boards', real);
    expect(made.data).toMatchObject(real);
    const file = await call<string>('GET', '/api/boards/export');
    const row = readRackCsv(file.data, 'metric').rows.find((r) => r.board?.tag === real.tag);
    expect(row?.board).toMatchObject(real);
    const open = await call<{ problems: { problem: string }[] }>('POST', '/api/boards', {
      ...real,
      tag: tag('EDGES'),
      liveEdges: { near: 100, far: 90 },
    });
    expect(open.status).toBe(422);
    expect(open.data.problems[0]!.problem).toMatch(/Nothing is left between the live edges/);
  });

  it('is asked for in parts, searched by words and sorted as people count', async () => {
    const lot = tag('lot');
    for (const name of ['N2', 'N10', 'N1']) {
      await call('POST', '/api/boards', { ...board(tag(name)), lot, note: name === 'N10' ? '50%_odd' : '' });
    }
    const part = async (query: string) =>
      (await call<{ total: number; boards: Stored[] }>('GET', `/api/rack?${query}`)).data;
    const all = await part(`find=${lot}`);
    expect(all.total).toBe(3);
    expect(all.boards.map((b) => b.tag.split('-')[0])).toEqual(['N1', 'N2', 'N10']);
    expect((await part(`find=${lot} oak knot`)).total).toBe(3);
    expect((await part(`find=${lot} walnut`)).total).toBe(0);
    // What stands for anything in a search of the database stands for itself here.
    expect((await part(`find=${lot} ${encodeURIComponent('50%_odd')}`)).total).toBe(1);
    expect((await part(`find=${lot} ${encodeURIComponent('5__odd')}`)).total).toBe(0);
    const second = await part(`find=${lot}&from=1&count=1`);
    expect(second.boards.map((b) => b.tag.split('-')[0])).toEqual(['N2']);
    expect(second.total).toBe(3);
  });
});
