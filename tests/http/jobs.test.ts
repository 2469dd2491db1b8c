import { getDocument } from 'pdfjs-dist/legacy/build/pdf.mjs';
import pg from 'pg';
import { beforeAll, describe, expect, it } from 'vitest';
import { type JobDocument, planLayout, readJobFile, withChanges } from '@/core';
import { derive, onlyPiece } from '../fixtures/demo';
import { base, call, type JobReply, newJob } from './api';

describe('the history of a job', () => {
  let job: JobReply;
  const put = async (length: number, from = job) =>
    call<JobReply>('PUT', `/api/jobs/${job.id}`, {
      revision: from.revision,
      document: withChanges(job.document, [{ path: 'pieces.p1.form.top.length', value: length }]),
    });
  const step = (verb: 'undo' | 'redo', from: JobReply) =>
    call<JobReply>('POST', `/api/jobs/${job.id}/${verb}`, { revision: from.revision });
  const length = (reply: { data: JobReply }) => onlyPiece(reply.data.document).form.top.length;
  beforeAll(async () => {
    job = await newJob('History');
  });

  it('goes back and forth through every accepted revision, and forgets what was undone once something new is decided', async () => {
    const start = onlyPiece(job.document).form.top.length;
    const a = await put(1700);
    const b = await put(1800, a.data);
    const c = await put(1900, b.data);
    expect([a, b, c].map((r) => r.data.revision)).toEqual([2, 3, 4]);
    const back = await step('undo', c.data);
    expect(length(back)).toBe(1800);
    const back2 = await step('undo', back.data);
    const back3 = await step('undo', back2.data);
    expect([length(back2), length(back3)]).toEqual([1700, start]);
    expect(back3.data).toMatchObject({ canUndo: false, canRedo: true });
    expect((await step('undo', back3.data)).status).toBe(409);
    const forth = await step('redo', back3.data);
    const forth2 = await step('redo', forth.data);
    expect([length(forth), length(forth2)]).toEqual([1700, 1800]);
    const undone = await step('undo', forth2.data);
    expect(length(undone)).toBe(1700);
    const other = await put(1650, undone.data);
    expect(other.data).toMatchObject({ canUndo: true, canRedo: false });
    expect((await step('redo', other.data)).status).toBe(409);
    expect(length(await step('undo', other.data))).toBe(1700);
  });

  it('tells the second writer, and hands over what stands', async () => {
    const now = (await call<JobReply>('GET', `/api/jobs/${job.id}`)).data;
    const first = await put(1500, now);
    const second = await call<{ problems: { problem: string }[]; current: JobReply }>('PUT', `/api/jobs/${job.id}`, {
      revision: now.revision,
      document: now.document,
    });
    expect(first.status).toBe(200);
    expect(second.status).toBe(409);
    expect(second.data.current.revision).toBe(first.data.revision);
    expect(onlyPiece(second.data.current.document).form.top.length).toBe(1500);
  });

  it('of twenty writers at once accepts one', async () => {
    const now = (await call<JobReply>('GET', `/api/jobs/${job.id}`)).data;
    const replies = await Promise.all(Array.from({ length: 20 }, (_, i) => put(1400 + i, now)));
    expect(replies.filter((r) => r.status === 200)).toHaveLength(1);
    expect(replies.filter((r) => r.status === 409)).toHaveLength(19);
  });

  it('refuses what cannot be, with the place, and keeps what was', async () => {
    const now = (await call<JobReply>('GET', `/api/jobs/${job.id}`)).data;
    const bad = withChanges(now.document, [
      { path: 'pieces.p1.form.top.thickness', value: -3 },
      { path: 'season.deliveredOn', value: '1999-01-01' },
    ]);
    const reply = await call<{ problems: { where: string }[] }>('PUT', `/api/jobs/${job.id}`, {
      revision: now.revision,
      document: bad,
    });
    expect(reply.status).toBe(422);
    expect(reply.data.problems.map((p) => p.where)).toContain('document.pieces.0.form.top.thickness');
    expect((await call<JobReply>('GET', `/api/jobs/${job.id}`)).data).toEqual(now);
  });

  it('goes to the bin and comes back', async () => {
    expect((await call('DELETE', `/api/jobs/${job.id}`)).status).toBe(200);
    expect((await call('GET', `/api/jobs/${job.id}`)).status).toBe(404);
    expect((await call('POST', `/api/jobs/${job.id}/restore`)).status).toBe(200);
    expect((await call('GET', `/api/jobs/${job.id}`)).status).toBe(200);
  });
});

describe('what goes out', () => {
  let job: JobReply;
  beforeAll(async () => {
    job = await newJob('Table, río “6”');
  });
  const file = (name: string) => fetch(`${base}/api/jobs/${job.id}/files/${name}`);

  it.each([
    ['sheet.pdf', 210, 297, ['Cut list', 'Apron', 'Hardware', 'Boards', 'Glue-up', 'Joints', 'Order of work']],
    [
      'sheet.pdf?paper=letter',
      215.9,
      279.4,
      ['Cut list', 'Apron', 'Hardware', 'Boards', 'Glue-up', 'Joints', 'Order of work'],
    ],
    ['boards.pdf', 297, 210, ['at the saw', 'crosscut', 'A1', 'from the straight edge']],
    ['boards.pdf?paper=letter', 279.4, 215.9, ['at the saw', 'crosscut', 'A1', 'from the straight edge']],
  ] as const)('%s is a PDF of true size that an independent reader reads', async (name, width, height, says) => {
    const response = await file(name);
    const own = `table-rio-6-${name.replace(/\.pdf.*/, '')}.pdf`;
    expect(response.headers.get('content-disposition')).toContain(own);
    const pdf = await getDocument({ data: new Uint8Array(await response.arrayBuffer()), verbosity: 0 }).promise;
    const words: string[] = [];
    for (let n = 1; n <= pdf.numPages; n += 1) {
      const page = await pdf.getPage(n);
      const [, , w, h] = page.view;
      expect((w! / 72) * 25.4).toBeCloseTo(width, 1);
      expect((h! / 72) * 25.4).toBeCloseTo(height, 1);
      const content = await page.getTextContent();
      words.push(...content.items.flatMap((item) => ('str' in item ? [item.str] : [])));
    }
    const text = words.join(' ');
    for (const expected of ['Table, río “6”', ...says]) expect(text).toContain(expected);
  });

  it('a file comes in the units and with the decimal mark that are asked for; others are refused', async () => {
    const inches = await (await file('cut-list.csv?units=inch&decimal=comma')).text();
    expect(inches).toMatch(/;width_in;/);
    expect(inches).toMatch(/;\d+,\d+;/);
    const metric = await (await file('cut-list.csv?units=metric')).text();
    expect(metric).toMatch(/,width_mm,/);
    const refused = await file('sheet.pdf?units=ells');
    expect(refused.status).toBe(422);
    expect((await refused.json()).problems[0]).toMatchObject({ where: 'units', wayOut: 'Write metric or inch.' });
    expect((await file('sheet.pdf?paper=a3')).status).toBe(422);
  });

  it('the layout is an SVG and the cut list a CSV with every part', async () => {
    const svg = await (await file('layout.svg')).text();
    expect(svg.match(/data-part="p1\.1:leg-/g)).toHaveLength(4);
    const csv = await (await file('cut-list.csv')).text();
    expect(csv.trim().split('\n')).toHaveLength(1 + (svg.includes('cross-rail-1') ? 10 : 9));
  });

  it('the job file goes out and comes in again as another job with the same decisions', async () => {
    const text = await (await file('job.taller.json')).text();
    expect(readJobFile(text)).toHaveProperty('value');
    const reply = await call<JobReply>('POST', '/api/jobs/import', text);
    expect(reply.status).toBe(201);
    expect(reply.data.id).not.toBe(job.id);
    expect(reply.data.document).toEqual(job.document);
  });

  it('a job file from a shop with other places brings their air along, once', async () => {
    const data = JSON.parse(await (await file('job.taller.json')).text()) as {
      places: { id: string; name: string; kind: string }[];
      job: JobDocument;
    };
    const home = data.places.find((p) => p.kind === 'home')!;
    const id = '11111111-1111-4111-8111-111111111111';
    data.job.season.homePlaceId = id;
    Object.assign(home, { id, name: `Elsewhere ${Date.now()}` });
    const places = async () =>
      (await call<{ places: { name: string }[] }>('GET', '/api/shop')).data.places.filter((p) => p.name === home.name)
        .length;
    expect(await places()).toBe(0);
    for (let i = 0; i < 2; i += 1) expect((await call('POST', '/api/jobs/import', data)).status).toBe(201);
    expect(await places()).toBe(1);
  });

  it.runIf(process.env.DATABASE_URL)('kept by an earlier Taller is read with the usual answers', async () => {
    const old = await newJob('Kept by an earlier Taller');
    const db = new pg.Client({ connectionString: process.env.DATABASE_URL });
    await db.connect();
    await db.query(
      `update job_revision set document = document #- '{pieces,0,form,base,leg,making}' #- '{layout,moved}' #- '{layout,laid}'
       where job_id = $1`,
      [old.id],
    );
    await db.end();
    const page = await (await fetch(`${base}/jobs`)).text();
    expect(page).toContain('Kept by an earlier Taller');
    const { data } = await call<JobReply>('GET', `/api/jobs/${old.id}`);
    expect(onlyPiece(data.document).form.base).toMatchObject({ leg: { making: { kind: 'solid' } } });
    expect(data.document.layout.moved).toEqual([]);
  });

  it('layouts are put aside with what was asked for, listed in order, and forgotten', async () => {
    const path = `/api/jobs/${job.id}/kept-layouts`;
    const derived = derive(onlyPiece(job.document));
    const layout = planLayout(derived.demand, derived.boards, { ...derived.layoutOptions, effort: 20 });
    const kept = { name: 'A, save wood', choice: { job: job.document.layout, pieces: {} }, layout };
    const first = await call<{ id: string }>('POST', path, kept);
    expect(first.status).toBe(201);
    await call('POST', path, { ...kept, name: 'B' });
    const listed = await call<{ id: string; name: string; layout: unknown }[]>('GET', path);
    expect(listed.data.map((one) => one.name)).toEqual(['A, save wood', 'B']);
    expect(listed.data[0]!.layout).toMatchObject({ key: layout.key, cost: layout.cost });
    expect((await call('POST', path, { name: '', choice: {}, layout })).status).toBe(422);
    expect((await call('DELETE', `${path}/${first.data.id}`)).status).toBe(200);
    expect((await call('DELETE', `${path}/${first.data.id}`)).status).toBe(404);
    expect((await call<unknown[]>('GET', path)).data).toHaveLength(1);
    expect((await call('GET', '/api/jobs/00000000-0000-4000-8000-000000000000/kept-layouts')).status).toBe(404);
  });

  it('a kept layout is used as long as it fits', async () => {
    const first = await (await file('layout.svg')).text();
    expect(await (await file('layout.svg')).text()).toBe(first);
    expect((await call('PUT', `/api/jobs/${job.id}/layout`, { key: 'x' })).status).toBe(422);
  });
});
