import { describe, expect, it } from 'vitest';
import { withChanges } from '@/core';
import { derive, onlyPiece } from '../fixtures/demo';
import { base, call, newJob } from './api';

interface Line {
  id: string;
  name: string;
  dueOn: string;
  summary: { stops: number; parts: number; cut: number; length: number } | null;
}
interface List {
  jobs: Line[];
  more: string | null;
}
const list = async (query: Record<string, string>) =>
  (await call<List>('GET', `/api/jobs?${new URLSearchParams(query)}`)).data;
const lineOf = async (id: string, name: string) =>
  (await list({ find: name })).jobs.find((line) => line.id === id) as Line;

describe('the list of jobs', () => {
  const stamp = `Listed ${Date.now() % 1e6}`;

  it('says of each what is computed of its decisions, and anew when they change', async () => {
    const job = await newJob(`${stamp} one`);
    const said = async () => (await lineOf(job.id, stamp)).summary;
    const expected = (document = onlyPiece(job.document)) => {
      const own = derive(document, { boards: null });
      return {
        length: document.form.top.kind === 'glued-panel' ? document.form.top.length : undefined,
        parts: own.piece.parts.filter(({ material }) => !material).length,
        stops: own.checks.filter(({ level }) => level === 'stop').length,
      };
    };
    await expect.poll(said, { timeout: 20_000 }).toMatchObject({ parts: expected().parts, length: expected().length });
    const thin = withChanges(job.document, [
      { path: 'pieces.p1.form.base.height', value: 400 },
      { path: 'pieces.p1.form.top.length', value: 2900 },
      { path: 'pieces.p1.benches.1', value: { cut: ['top'], locks: {} } },
    ]);
    expect((await call('PUT', `/api/jobs/${job.id}`, { revision: 1, document: thin })).status).toBe(200);
    await expect.poll(said, { timeout: 20_000 }).toMatchObject({ length: 2900, cut: 1 });
    expect((await said())!.stops).toBeGreaterThan(0);
  });

  it('comes in pages, those changed last first, each job once', async () => {
    for (const n of [2, 3, 4, 5]) await newJob(`${stamp} ${n}`);
    const seen: string[] = [];
    let after: string | null = '';
    let pages = 0;
    do {
      const page: List = await list({ find: stamp.toUpperCase(), count: '2', ...(after ? { after } : {}) });
      expect(page.jobs.length).toBeLessThanOrEqual(2);
      seen.push(...page.jobs.map(({ name }) => name));
      after = page.more;
      pages += 1;
    } while (after && pages < 9);
    expect(seen.map((name) => name.replace(stamp, '').trim())).toEqual(['5', '4', '3', '2', 'one']);
    expect((await list({ find: '50% \\_' })).jobs).toEqual([]);
    for (const nonsense of [
      'x',
      "2027-01-01 00:00/1' or 1=1",
      '9999-99-99 99:99:99/00000000-0000-4000-8000-000000000000',
    ])
      expect((await fetch(`${base}/api/jobs?after=${encodeURIComponent(nonsense)}`)).status, nonsense).toBeLessThan(
        500,
      );
  });
});

describe('the list in other orders, copies and examples', () => {
  const stamp = `Ordered ${Date.now() % 1e6}`;
  const all = async (order: string) => {
    const seen: Line[] = [];
    let after: string | null = '';
    do {
      const page: List = await list({ find: stamp, order, count: '2', ...(after ? { after } : {}) });
      seen.push(...page.jobs);
      after = page.more;
    } while (after && seen.length < 20);
    return seen.map(({ name }) => name.replace(stamp, '').trim());
  };

  it('by due date and by name, each job once over all pages', async () => {
    // A name may have what a place in the list is written with.
    const days = { b: '2027-03-01', A: '2027-05-01', 'd/e': '2027-01-10', c: '2027-03-01', f: '2027-02-02' };
    for (const [name, dueOn] of Object.entries(days)) {
      const { id, document } = await newJob(`${stamp} ${name}`);
      const due = withChanges(document, [{ path: 'brief.dueOn', value: dueOn }]);
      expect((await call('PUT', `/api/jobs/${id}`, { revision: 1, document: due })).status).toBe(200);
    }
    expect(await all('name')).toEqual(['A', 'b', 'c', 'd/e', 'f']);
    const due = await all('due');
    expect([due[0], due[1], due[4]]).toEqual(['d/e', 'f', 'A']);
    expect(due.slice(2, 4).sort()).toEqual(['b', 'c']);
    // An order that is none is the usual one.
    expect(await all('backwards')).toEqual(['f', 'c', 'd/e', 'A', 'b']);
  });

  it('says what is next and until when it is planned', async () => {
    const { id, document } = await newJob(`${stamp} next`);
    const said = async () => (await lineOf(id, `${stamp} next`)).summary;
    await expect.poll(said, { timeout: 20_000 }).toMatchObject({
      next: expect.stringMatching(/[Cc]rosscut/),
      finishedOn: expect.stringMatching(/^\d{4}-\d\d-\d\d$/),
    });
    const parts = derive(onlyPiece(document), { boards: null }).piece.parts.map((part) => part.id);
    const cut = withChanges(document, [{ path: 'pieces.p1.benches.1', value: { cut: parts, locks: {} } }]);
    await call('PUT', `/api/jobs/${id}`, { revision: 1, document: cut });
    await expect.poll(said, { timeout: 20_000 }).toMatchObject({ next: null });
  });

  it('a copy has the decisions, another name, and nothing of it cut or measured', async () => {
    const { id, document } = await newJob(`${stamp} copied`);
    const cut = withChanges(document, [
      { path: 'pieces.p1.benches.1', value: { cut: ['top'], locks: {} } },
      { path: 'pieces.p1.form.top.length', value: 1777 },
    ]);
    await call('PUT', `/api/jobs/${id}`, { revision: 1, document: cut });
    const copy = await call<{ id: string; document: typeof document }>('POST', `/api/jobs/${id}/copy`);
    expect(copy.status).toBe(201);
    expect(copy.data.id).not.toBe(id);
    expect(copy.data.document).toMatchObject({ name: `${stamp} copied 2`, pieces: [{ benches: {} }] });
    expect(onlyPiece(copy.data.document).form.top).toMatchObject({ length: 1777 });
    const again = await call<{ document: typeof document }>('POST', `/api/jobs/${copy.data.id}/copy`);
    expect(again.data.document.name).toBe(`${stamp} copied 3`);
    expect((await call('POST', `/api/jobs/${crypto.randomUUID()}/copy`)).status).toBe(404);
  });

  it('an example is a job of this workshop; one that is not there is refused', async () => {
    const opened = await call<{ id: string; document: { season: { homePlaceId: string } } }>(
      'POST',
      '/api/jobs/example',
      { example: 'Window bench' },
    );
    expect(opened.status).toBe(201);
    const { data } = await call<{ places: { id: string }[] }>('GET', '/api/shop');
    expect(data.places.map(({ id }) => id)).toContain(opened.data.document.season.homePlaceId);
    await call('DELETE', `/api/jobs/${opened.data.id}`);
    expect((await call('POST', '/api/jobs/example', { example: 'A throne' })).status).toBe(404);
  });
});

describe('what takes long', () => {
  it('is done beside: others are answered meanwhile, and a file nobody waits for any more makes way', async () => {
    const job = await newJob('Long work');
    const file = (signal?: AbortSignal) =>
      fetch(`${base}/api/jobs/${job.id}/files/piece.glb`, signal ? { signal } : {});
    let made = false;
    const whole = file().then(async (response) => {
      await response.arrayBuffer();
      made = true;
      return response.status;
    });
    let answered = 0;
    while (!made && answered < 20) {
      expect((await call('GET', '/api/health')).status).toBe(200);
      answered += 1;
    }
    // Health answers several times before the file is there: it does not wait behind it.
    expect(answered).toBeGreaterThan(2);
    const gone = new AbortController();
    const dropped = file(gone.signal).then(
      () => 'answered',
      () => 'dropped',
    );
    gone.abort();
    expect(await dropped).toBe('dropped');
    expect(await whole).toBe(200);
    // Whoever only reads has changed nothing: no layout is kept.
    const job2 = await call<{ revision: number }>('GET', `/api/jobs/${job.id}`);
    expect(job2.data.revision).toBe(1);
  });
});
