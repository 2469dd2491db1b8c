import { getDocument } from 'pdfjs-dist/legacy/build/pdf.mjs';
import { beforeAll, describe, expect, it } from 'vitest';
import {
  type Board,
  type DerivedWood,
  deriveJob,
  type Layout,
  type Place,
  planLayout,
  type Shop,
  shownPiece,
} from '@/core';
import { misprints, readPaper } from '../fixtures/read-paper';
import { base, call, type JobReply, newJob } from './api';

/** A wood that nothing else here is made of. */
const WOOD = 'birch-yellow';
const stamp = `${Date.now()}`.slice(-6);

interface Problems {
  problems: { problem: string }[];
}

let job: JobReply;
let derived: DerivedWood;
let layout: Layout;

const rack = async () => (await call<Board[]>('GET', '/api/boards')).data.filter((b) => b.species === WOOD);
async function deskOf(one: JobReply, kept: Layout | null, boards: Board[]): Promise<DerivedWood> {
  const { data } = await call<{ shop: Shop; places: Place[] }>('GET', '/api/shop');
  const own = deriveJob({
    document: one.document,
    shop: data.shop,
    places: data.places,
    boards,
    layouts: kept ? [kept] : [],
  });
  if (!('pieces' in own)) throw new Error(JSON.stringify(own.problems));
  return shownPiece(own).wood;
}

beforeAll(async () => {
  for (let i = 1; i <= 7; i += 1) {
    await call('POST', '/api/boards', {
      tag: `Y${stamp}-${i}`,
      species: WOOD,
      length: 2600,
      width: 260,
      thickness: i > 5 ? 76.2 : 38.1,
      quarters: i > 5 ? 12 : 6,
      surface: 'rough',
      ringAngle: 20,
      moisture: 9,
      moistureOn: '2027-03-01',
      lot: 'log-7',
      note: '',
      defects: [],
    });
  }
  job = await newJob('Used boards', WOOD);
  const first = await deskOf(job, null, await rack());
  layout = planLayout(first.demand, first.boards, { ...first.layoutOptions, effort: 60 });
  expect((await call('PUT', `/api/jobs/${job.id}/layout`, layout)).status).toBe(200);
  derived = await deskOf(job, layout, await rack());
  expect(derived.layoutState).toBe('current');
});

describe('boards kept for a job', () => {
  it('are left alone by other jobs, and refused to them, until they are let go', async () => {
    const other = await newJob('Another of the same wood', WOOD);
    const kept = await call<Board[]>('PUT', `/api/jobs/${job.id}/reserved`, { boards: layout.boards });
    expect(kept.data.filter((b) => b.reservedFor === job.id)).toHaveLength(layout.boards.length);
    const refused = await call<Problems>('PUT', `/api/jobs/${other.id}/reserved`, {
      boards: layout.boards.slice(0, 1),
    });
    expect(refused.status).toBe(409);
    expect(refused.data.problems[0]!.problem).toMatch(/Another job has Y/);
    // What the other job can have is what is left.
    const left = await call<Board[]>('PUT', `/api/jobs/${other.id}/reserved`, { boards: [] });
    const ids = left.data.map((b) => b.id);
    expect(layout.boards.some((id) => ids.includes(id))).toBe(false);
    await call('PUT', `/api/jobs/${job.id}/reserved`, { boards: [] });
    expect((await rack()).every((b) => b.reservedFor === null)).toBe(true);
    const [one = ''] = layout.boards;
    expect((await call('PUT', `/api/boards/${one}/reserved`, { job: other.id })).status).toBe(200);
    expect((await rack()).find((b) => b.id === one)?.reservedFor).toBe(other.id);
    await call('PUT', `/api/boards/${one}/reserved`, { job: null });
    expect((await call('PUT', `/api/boards/${one}/reserved`, { job: 'nobody' })).status).toBe(422);
    const nobody = '/api/jobs/00000000-0000-4000-8000-000000000000/reserved';
    expect((await call('PUT', nobody, { boards: layout.boards })).status).toBe(404);
  });

  it('are anybody’s again when their job goes to the bin', async () => {
    const other = await newJob('Goes to the bin', WOOD);
    const [one = ''] = layout.boards;
    await call('PUT', `/api/jobs/${other.id}/reserved`, { boards: [one] });
    expect((await rack()).find((b) => b.id === one)?.reservedFor).toBe(other.id);
    await call('DELETE', `/api/jobs/${other.id}`);
    expect((await rack()).find((b) => b.id === one)?.reservedFor).toBeNull();
  });
});

describe('boards that a job uses up', () => {
  it('leave the rack, and their offcuts come back as boards with tags of their own; all or nothing', async () => {
    const offcut = layout.offcuts[0]!;
    const board = derived.boards.find((b) => b.id === offcut.board)!;
    const give = { board: board.id, x: offcut.x, y: offcut.y, tag: `${board.tag}-1`, storedAt: 'bay 9' };
    const taken = derived.boards.find((b) => b.id !== board.id)!.tag;
    const clash = await call<Problems>('POST', `/api/jobs/${job.id}/taken`, {
      boards: [board.id],
      offcuts: [{ ...give, tag: taken }],
    });
    expect(clash.status).toBe(409);
    expect(clash.data.problems[0]!.problem).toContain(taken);
    expect((await rack()).some((b) => b.id === board.id)).toBe(true);
    const wrong = { boards: [board.id], offcuts: [{ ...give, x: offcut.x + 500 }] };
    expect((await call('POST', `/api/jobs/${job.id}/taken`, wrong)).status).toBe(409);

    const after = await call<Board[]>('POST', `/api/jobs/${job.id}/taken`, { boards: [board.id], offcuts: [give] });
    expect(after.status).toBe(200);
    expect(after.data.find((b) => b.id === board.id)?.takenFor).toBe(job.id);
    const back = (await rack()).find((b) => b.tag === give.tag)!;
    expect(back).toMatchObject({
      width: offcut.width,
      length: offcut.length,
      lot: 'log-7',
      storedAt: 'bay 9',
      moisture: 9,
    });
    expect((await rack()).some((b) => b.id === board.id)).toBe(false);
    const used = await call<{ boards: Board[] }>('GET', `/api/rack?used&find=${stamp}`);
    expect(used.data.boards.map((b) => b.tag)).toEqual([board.tag]);
    expect((await call('POST', `/api/jobs/${job.id}/taken`, { boards: [board.id], offcuts: [] })).status).toBe(409);

    // What was sawn from it stays, and nothing more is looked for in it.
    const boards = after.data.filter((b) => b.species === WOOD);
    const next = await deskOf(job, layout, boards);
    const sawn = layout.placements.filter((p) => p.board === board.id);
    expect(sawn.length).toBeGreaterThan(0);
    for (const placement of sawn) expect(next.layoutOptions.fixed).toContainEqual(placement);
    const again = planLayout(next.demand, next.boards, { ...next.layoutOptions, effort: 60 });
    expect(again.placements.filter((p) => p.board === board.id)).toEqual(sawn);
    expect(again.offcuts).toContainEqual(offcut);
    expect(again.cost.total).toBeGreaterThanOrEqual((again.bound ?? 0) - 1e-6);

    // And back, as it was; the offcut goes into the bin.
    expect((await call('POST', `/api/boards/${board.id}/put-back`)).status).toBe(200);
    const restored = await rack();
    expect(restored.some((b) => b.id === board.id)).toBe(true);
    expect(restored.some((b) => b.tag === give.tag)).toBe(false);
    expect((await call('POST', `/api/boards/${board.id}/put-back`)).status).toBe(404);
  });
});

it('the rack goes out as a list on paper, as it is searched and in the reader’s units', async () => {
  const response = await fetch(`${base}/api/boards/list.pdf?units=inch&paper=letter`);
  expect(response.headers.get('content-type')).toBe('application/pdf');
  const pages = await readPaper(new Uint8Array(await response.arrayBuffer()));
  expect(pages.flatMap(misprints)).toEqual([]);
  expect(pages.flatMap(({ boxes }) => boxes.map(({ text }) => text)).join(' ')).toMatch(/\d+ boards?\b/);
  expect((await fetch(`${base}/api/boards/list.pdf?find=nothing-is-called-so`)).status).toBe(404);
});

describe('labels', () => {
  it('are printed for what the rack shows, and for one board', async () => {
    const response = await fetch(`${base}/api/boards/labels.pdf?find=${stamp}`);
    expect(response.headers.get('content-type')).toBe('application/pdf');
    const pdf = await getDocument({ data: new Uint8Array(await response.arrayBuffer()) }).promise;
    expect(pdf.numPages).toBe(1);
    const text = await (await pdf.getPage(1)).getTextContent();
    const said = text.items.map((item) => ('str' in item ? item.str : '')).join('\n');
    for (let i = 1; i <= 7; i += 1) expect(said).toContain(`Y${stamp}-${i}`);
    expect(said).toContain('Yellow birch');
    const [one] = await rack();
    expect((await fetch(`${base}/api/boards/labels.pdf?board=${one!.id}`)).status).toBe(200);
    expect((await fetch(`${base}/api/boards/labels.pdf?find=nothing-is-called-so`)).status).toBe(404);
  });
});
