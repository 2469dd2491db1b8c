import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import type { JobReply } from '@/contract/replies';
import { planLayout } from '@/core';
import { boards, demoJob, derive, jobOf, places, shop, tableOf } from '../../../tests/fixtures/demo';
import { createJobStore } from './job-store';

/** A server of one job, as far as the store can tell: it accepts, refuses, is away, or was written to by another. */
function fakeServer() {
  let current: JobReply = {
    id: 'j',
    revision: 1,
    document: jobOf(demoJob('1-square-table')),
    canUndo: false,
    canRedo: false,
  };
  const history = [current.document];
  const sent: { method: string; path: string; body: { revision?: number; document?: JobReply['document'] } }[] = [];
  let mode: 'up' | 'away' | 'refuses' | 'fails' = 'up';
  let hold: Promise<void> | null = null;
  const answer = (status: number, body: unknown) => ({ ok: status < 400, status, json: async () => body });
  vi.stubGlobal('fetch', async (path: string, init: { method: string; body?: string }) => {
    if (hold) await hold;
    if (mode === 'away') throw new TypeError('fetch failed');
    const body = init.body ? JSON.parse(init.body) : {};
    sent.push({ method: init.method, path, body });
    if (mode === 'fails')
      return answer(503, { problems: [{ problem: 'The database does not answer.', where: '', wayOut: '' }] });
    if (mode === 'refuses') return answer(422, { problems: [{ problem: 'No.', where: 'x', wayOut: 'y' }] });
    if (path.endsWith('/layout')) return answer(200, { kept: true });
    if (body.revision !== current.revision)
      return answer(409, { problems: [{ problem: 'changed elsewhere', where: '', wayOut: '' }], current });
    if (path.endsWith('/undo')) history.pop();
    else history.push(body.document);
    current = { ...current, revision: current.revision + 1, document: history.at(-1)!, canUndo: history.length > 1 };
    return answer(200, current);
  });
  return {
    sent,
    job: () => current,
    is: (next: typeof mode) => {
      mode = next;
    },
    history,
    byAnother: (height: number, name?: string) => {
      const document = structuredClone(current.document);
      tableOf(document.pieces[0]!).base.height = height;
      if (name) document.name = name;
      history.push(document);
      current = { ...current, revision: current.revision + 1, document };
    },
    holdBack: () => {
      let release = () => {};
      hold = new Promise((resolve) => {
        release = resolve;
      });
      return () => {
        hold = null;
        release();
      };
    },
  };
}

const height = (value: number) => [{ path: 'pieces.p1.form.base.height', value }];
const seed = (job: JobReply) => ({ job, shop, places, boards, layouts: [] });

describe('what is decided at the desk', () => {
  let server: ReturnType<typeof fakeServer>;
  let kept: Map<string, string>;
  const open = () => createJobStore(seed(server.job()));
  const pending = () => {
    const [own] = [...kept].filter(([key]) => key.startsWith('taller-pending-j'));
    return JSON.parse(own?.[1] ?? 'null');
  };
  const pass = (ms: number) => vi.advanceTimersByTimeAsync(ms);

  beforeEach(() => {
    vi.useFakeTimers();
    kept = new Map();
    vi.stubGlobal('localStorage', {
      getItem: (key: string) => kept.get(key) ?? null,
      setItem: (key: string, value: string) => void kept.set(key, value),
      removeItem: (key: string) => void kept.delete(key),
      key: (i: number) => [...kept.keys()][i] ?? null,
      get length() {
        return kept.size;
      },
    });
    server = fakeServer();
  });
  afterEach(() => {
    vi.useRealTimers();
    vi.unstubAllGlobals();
  });

  it('stands at once, is kept in the browser, and is sent after a pause', async () => {
    const store = open();
    expect(store.getState().change(height(740))).toBeUndefined();
    expect(tableOf(store.getState().document.pieces[0]!).base.height).toBe(740);
    expect(store.getState().saving).toBe('saving');
    expect(pending()).toMatchObject({ revision: 1, document: { pieces: [{ form: { base: { height: 740 } } }] } });
    expect(server.sent).toHaveLength(0);
    await pass(400);
    expect(server.sent).toHaveLength(1);
    expect(store.getState()).toMatchObject({ saving: 'saved', revision: 2, canUndo: true });
    expect(pending()).toBeNull();
  });

  it('in quick succession is sent as one', async () => {
    const store = open();
    for (let h = 730; h <= 739; h += 1) {
      store.getState().change(height(h));
      await pass(50);
    }
    await pass(400);
    expect(server.sent).toHaveLength(1);
    expect(tableOf(server.job().document.pieces[0]!).base.height).toBe(739);
  });

  it('that cannot be is refused with its place, and changes nothing', async () => {
    const store = open();
    expect(store.getState().change(height(-4))?.[0]).toMatchObject({ where: 'pieces.0.form.base.height' });
    expect(store.getState().change([{ path: 'season.deliveredOn', value: '2020-01-01' }])?.[0]?.problem).toMatch(
      /before it is glued/,
    );
    await pass(1000);
    expect(server.sent).toHaveLength(0);
    expect(tableOf(store.getState().document.pieces[0]!).base.height).toBe(745);
  });

  it('while another is on its way is sent after it, from the revision that came back', async () => {
    const store = open();
    const release = server.holdBack();
    store.getState().change(height(740));
    await pass(400);
    store.getState().change(height(741));
    await pass(400);
    release();
    await pass(1000);
    expect(
      server.sent.map((s) => [s.body.revision, s.body.document && tableOf(s.body.document.pieces[0]!).base.height]),
    ).toEqual([
      [1, 740],
      [2, 741],
    ]);
    expect(store.getState().saving).toBe('saved');
  });

  it('with the server away is kept, tried again, and arrives', async () => {
    const store = open();
    server.is('away');
    store.getState().change(height(740));
    await pass(400);
    expect(store.getState().saving).toBe('unreachable');
    store.getState().change(height(742));
    await pass(6000);
    expect(tableOf(pending().document.pieces[0]!).base.height).toBe(742);
    server.is('fails');
    await pass(3000);
    expect(store.getState().saving).toBe('unreachable');
    server.is('up');
    await pass(3000);
    expect(tableOf(server.job().document.pieces[0]!).base.height).toBe(742);
    expect(store.getState().saving).toBe('saved');
    expect(pending()).toBeNull();
  });

  it('and not sent when the page was closed, is found again and sent', async () => {
    const first = open();
    server.is('away');
    first.getState().change(height(740));
    await pass(400);
    server.is('up');
    const second = open();
    await second.getState().wake();
    expect(tableOf(second.getState().document.pieces[0]!).base.height).toBe(740);
    expect(tableOf(server.job().document.pieces[0]!).base.height).toBe(740);
  });

  it('and kept from an older revision than now stands, is shown beside it and not sent over it', async () => {
    const first = open();
    server.is('away');
    first.getState().change(height(740));
    await pass(400);
    server.is('up');
    server.byAnother(760);
    vi.clearAllTimers();
    const second = open();
    await second.getState().wake();
    await pass(1000);
    expect(second.getState().conflict?.merge.conflicts).toEqual([
      { path: 'pieces.p1.form.base.height', mine: 740, theirs: 760 },
    ]);
    expect(tableOf(server.job().document.pieces[0]!).base.height).toBe(760);
    expect(pending()).not.toBeNull();
    await second.getState().settle({ 'pieces.p1.form.base.height': 'mine' });
    expect(tableOf(server.job().document.pieces[0]!).base.height).toBe(740);
    expect(pending()).toBeNull();
  });

  it('in two tabs that were both away loses nothing: different decisions are put together', async () => {
    const [one, two] = [open(), open()];
    server.is('away');
    one.getState().change(height(740));
    two.getState().change([{ path: 'name', value: 'Renamed' }]);
    await pass(400);
    expect([...kept.keys()].filter((key) => key.startsWith('taller-pending-j'))).toHaveLength(2);
    server.is('up');
    await pass(3000);
    expect(server.job().document).toMatchObject({ name: 'Renamed', pieces: [{ form: { base: { height: 740 } } }] });
    expect([one.getState().saving, two.getState().saving]).toEqual(['saved', 'saved']);
    expect(pending()).toBeNull();
  });

  it('in two tabs that were both closed while away is found by the next, all of it', async () => {
    const [one, two] = [open(), open()];
    server.is('away');
    one.getState().change(height(740));
    two.getState().change([{ path: 'name', value: 'Renamed' }]);
    await pass(400);
    vi.clearAllTimers();
    server.is('up');
    server.byAnother(745, 'Long table');
    server.byAnother(745);
    const next = open();
    await next.getState().wake();
    expect(next.getState().conflict?.merge.conflicts.map(({ path }) => path)).toEqual(['name']);
    await next.getState().settle({ name: 'theirs' });
    expect(server.job().document).toMatchObject({ name: 'Long table', pieces: [{ form: { base: { height: 740 } } }] });
    expect(pending()).toBeNull();
  });

  it('as what a Taller of before kept, without the state it was made from', async () => {
    const document = structuredClone(server.job().document);
    tableOf(document.pieces[0]!).base.height = 741;
    kept.set('taller-pending-j', JSON.stringify({ revision: 1, document }));
    await open().getState().wake();
    expect(tableOf(server.job().document.pieces[0]!).base.height).toBe(741);
    expect(pending()).toBeNull();
  });

  it.each([
    ['mine', 740, [745, 760, 740]],
    // What is not taken was saved too: undo comes to it.
    ['theirs', 760, [745, 760, 740, 760]],
  ] as const)(
    'against another writer waits for a choice; %s leaves %i, and both are in the history',
    async (whose, left, history) => {
      const store = open();
      server.byAnother(760, 'By another');
      store.getState().change(height(740));
      await pass(400);
      expect(store.getState().conflict?.merge.conflicts).toEqual([
        { path: 'pieces.p1.form.base.height', mine: 740, theirs: 760 },
      ]);
      expect(tableOf(server.job().document.pieces[0]!).base.height).toBe(760);
      await store.getState().settle({ 'pieces.p1.form.base.height': whose });
      expect(server.job().document).toMatchObject({
        name: 'By another',
        pieces: [{ form: { base: { height: left } } }],
      });
      expect(server.history.map((document) => tableOf(document.pieces[0]!).base.height)).toEqual(history);
      expect(store.getState()).toMatchObject({ conflict: null, saving: 'saved', revision: server.job().revision });
      expect(tableOf(store.getState().document.pieces[0]!).base.height).toBe(left);
    },
  );

  it('and a layout that was found are sent with the same patience, over a closed page too', async () => {
    const store = open();
    server.is('away');
    const found = derive(demoJob('1-square-table'));
    const layout = planLayout(found.demand, found.boards, { ...found.layoutOptions, effort: 1 });
    store.getState().setLayout(layout);
    await pass(400);
    expect(store.getState().saving).toBe('unreachable');
    vi.clearAllTimers();
    server.is('fails');
    const next = open();
    await next.getState().wake();
    expect(next.getState().layouts.map(({ key }) => key)).toEqual([layout.key]);
    server.is('up');
    await pass(3000);
    expect(next.getState().saving).toBe('saved');
    expect(server.sent.at(-1)).toMatchObject({ method: 'PUT', path: '/api/jobs/j/layout', body: { key: layout.key } });
    expect(kept.size).toBe(0);
  });

  it('that the server refuses stays on the desk, with the reason', async () => {
    const store = open();
    server.is('refuses');
    store.getState().change(height(740));
    await pass(400);
    expect(store.getState()).toMatchObject({ saving: 'refused', refusal: [{ problem: 'No.' }] });
    expect(tableOf(store.getState().document.pieces[0]!).base.height).toBe(740);
    expect(pending()).not.toBeNull();
  });

  it('is undone step by step though the keys come quicker than the answers', async () => {
    const store = open();
    for (const value of [740, 745]) {
      store.getState().change(height(value));
      await pass(1000);
    }
    const release = server.holdBack();
    const both = [store.getState().undo(), store.getState().undo()];
    await pass(100);
    release();
    await Promise.all(both);
    expect(server.sent.slice(-2).map((s) => [s.path.split('/').at(-1), s.body.revision])).toEqual([
      ['undo', 3],
      ['undo', 4],
    ]);
    expect(store.getState().conflict).toBeNull();
    expect(tableOf(store.getState().document.pieces[0]!).base.height).toBe(demoJob('1-square-table').form.base.height);
  });

  it('is undone from the server’s history, what is not yet sent being sent first', async () => {
    const store = open();
    store.getState().change(height(740));
    await store.getState().undo();
    expect(server.sent.map((s) => s.path.split('/').at(-1))).toEqual(['j', 'undo']);
    expect(tableOf(store.getState().document.pieces[0]!).base.height).toBe(745);
    expect(store.getState().revision).toBe(3);
  });
});
