import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { ElementHandle } from 'puppeteer-core';
import { describe, expect, it } from 'vitest';
import { base, button, call, field, fill, link, newJob, openPage, reads, visit, withBrowser } from './desk';

withBrowser();
const folder = mkdtempSync(join(tmpdir(), 'taller-files-'));
const fileOf = (name: string, text: string) => {
  const path = join(folder, name);
  writeFileSync(path, text);
  return path;
};

/** Whatever is kept with a revision. */
type Rev = { id: string; revision: number };

describe('the rack', () => {
  it('takes a board in, changes it, bins and restores it', async () => {
    const page = await openPage('/rack');
    const tag = `Z${Date.now() % 100000}`;
    await (await button(page, 'Add a board')).click();
    await fill(page, 'Tag', tag);
    await fill(page, 'Length', '8\' 2"');
    await fill(page, 'Width', '7 1/2');
    await (await button(page, 'Add it to the rack')).click();
    // Of a long rack only what is in sight is drawn.
    await (await field(page, 'Search the rack', 'searchbox')).type(tag);
    await page.waitForSelector(`tr[data-tag="${tag}"]`);
    await reads(page, `tr[data-tag="${tag}"]`, /2.489[\s\S]*190\.5/);

    await page.waitForFunction(() => document.querySelectorAll('tr[data-tag]').length === 1);
    await (await button(page, `Edit ${tag}`)).click();
    await fill(page, 'Width', '180');
    await (await button(page, 'Save the board')).click();
    await reads(page, `tr[data-tag="${tag}"]`, /180/);

    // The same in the table: a figure that does not read stays there with its reason, one that does is taken.
    await (await button(page, 'Edit in the table')).click();
    await fill(page, `Width of ${tag}`, 'wide');
    await page.keyboard.press('Enter');
    await reads(page, '[role="alert"]', /“wide” does not read as a length/);
    await fill(page, `Width of ${tag}`, '175');
    await page.keyboard.press('Enter');
    await page.waitForFunction(() => !document.querySelector('main [role="alert"]'));
    await fill(page, `Thickness of ${tag}`, '8/4');
    await page.keyboard.press('Enter');
    await (await button(page, 'Done')).click();
    await reads(page, `tr[data-tag="${tag}"]`, /175[\s\S]*8\/4/);
    // Heights that were measured stay with the board; a figure that cannot be says why, and stays until it is mended.
    await (await button(page, `Mill ${tag}`)).click();
    await fill(page, 'Height, other end, far edge', '900');
    await page.keyboard.press('Tab');
    await reads(page, '[role="dialog"] [role="alert"]', /Between 0 and 200/);
    await fill(page, 'Height, other end, far edge', '6');
    await page.keyboard.press('Tab');
    await (await button(page, 'Keep with the board')).click();
    await page.waitForFunction(() => !document.querySelector('[role="dialog"]'));
    const kept = (await call<{ tag: string; heights: number[][]; crook: { twist: number } }[]>('GET', '/api/boards'))
      .data;
    expect(kept.find((board) => board.tag === tag)).toMatchObject({
      heights: [
        [0, 0, 0],
        [0, 0, 0],
        [0, 0, 6],
      ],
      crook: { twist: 6 },
    });
    await (await button(page, `Mill ${tag}`)).click();
    const height = await field(page, 'Height, other end, far edge');
    expect(await height.evaluate((e) => e.value)).toBe('6');
    await page.keyboard.press('Escape');
    // Whatever opened a dialog has the focus again when it closes.
    await page.waitForFunction(
      (label: string) => document.activeElement?.getAttribute('aria-label') === label,
      {},
      `Mill ${tag}`,
    );
    await (await button(page, `Move ${tag} to the bin`)).click();
    await page.waitForFunction(() => document.querySelectorAll('tr[data-tag]').length === 0);
    await visit(page, `/rack?bin`);
    await (await button(page, `Restore ${tag}`)).click();
    await page.waitForFunction((t: string) => !document.querySelector(`tr[data-tag="${t}"]`), {}, tag);
    await visit(page, `/rack?find=${tag}`);
    await page.waitForSelector(`tr[data-tag="${tag}"]`);
    expect(page.faults).toEqual([]);
  });

  it('says what is wrong with a board and keeps what was typed', async () => {
    const page = await openPage('/rack');
    await (await button(page, 'Add a board')).click();
    await fill(page, 'Tag', 'A01');
    // As long as a field is refused, nothing is taken over: the field is shown.
    await fill(page, 'Width', 'wide');
    await (await button(page, 'Add it to the rack')).click();
    await page.waitForFunction(() => document.activeElement?.getAttribute('aria-invalid') === 'true');
    await fill(page, 'Width', '200');
    await (await button(page, 'Add it to the rack')).click();
    await reads(page, '[role="alert"]', /Another board on the rack has the tag A01[\s\S]*another tag/);
    expect(await (await field(page, 'Tag')).evaluate((e) => (e as HTMLInputElement).value)).toBe('A01');
  });

  it('imports a file after showing what is in it, faulty lines by line and column', async () => {
    const page = await openPage('/rack');
    const tag = `Y${Date.now() % 100000}`;
    const input = (await page.$('input[type="file"]')) as ElementHandle<HTMLInputElement>;
    await input.uploadFile(
      fileOf(
        'rack.csv',
        `tag,species,length_mm,width_mm,thickness_mm\n${tag},oak-white,2000,200,38\nbad,oak-white,long,200,38\nA01,oak-white,2000,200,38\n`,
      ),
    );
    await reads(page, '[role="dialog"]', /1\s+board can be added[\s\S]*line 3, length[\s\S]*line 4, tag/);
    await (await button(page, 'Add 1 board')).click();
    await page.waitForFunction(() => !document.querySelector('[role="dialog"]'));
    expect((await call<{ tag: string }[]>('GET', '/api/boards')).data.map((board) => board.tag)).toContain(tag);
    await input.uploadFile(fileOf('foreign.csv', 'this is no rack'));
    await reads(page, '[role="dialog"] [role="alert"]', /does not read as a table of boards/);
    await (await button(page, 'Close')).click();

    // Another's headings: taken for what they most likely are, and mended by hand.
    const other = `X${Date.now() % 100000}`;
    await input.uploadFile(
      fileOf('other.csv', `Board,Timber,Len (mm),W (mm),Thk,Remarks,Bin\n${other},White oak,2400,180,38,fine,bay 7\n`),
    );
    await (await field(page, 'Column Bin holds', 'combobox')).select('stored_at');
    await (await field(page, 'Column Remarks holds', 'combobox')).select('');
    await (await button(page, 'Add 1 board')).click();
    await page.waitForFunction(() => !document.querySelector('[role="dialog"]'));

    // The code on its label opens it; a knot is put where it is, and the board is kept for a job.
    const { data } = await call<{ id: string; tag: string }[]>('GET', '/api/boards');
    const made = data.find((b) => b.tag === other)!;
    await visit(page, `/rack?board=${made.id}`);
    expect(await (await field(page, 'Lies at')).evaluate((e) => (e as HTMLInputElement).value)).toBe('bay 7');
    await (await button(page, 'Add a defect')).click();
    const drawn = (await page.waitForSelector('[data-defect="0"]'))!;
    await drawn.evaluate((e) => e.scrollIntoView({ block: 'center' }));
    const knot = (await drawn.boundingBox())!;
    await page.mouse.move(knot.x + 4, knot.y + 3);
    await page.mouse.down();
    await page.mouse.move(knot.x + 104, knot.y + 23, { steps: 4 });
    // 700 px for 2 400 mm: a hundred of them are 343 mm.
    await page.waitForFunction(() => Number(document.querySelector('[data-defect="0"]')!.getAttribute('x')) > 98);
    await page.mouse.up();
    // By arrows to the millimetre: ten along, nine back, and longer by its corner.
    const at = () => page.$eval('[data-defect="0"]', (e) => e.getAttribute('aria-label')!);
    const before = Number((await at()).match(/ at ([\d\s]+),/)![1]!.replace(/\D/g, ''));
    await page.$eval('[data-defect="0"]', (e) => (e as SVGElement).focus());
    await page.keyboard.press('ArrowRight');
    await page.keyboard.down('Shift');
    for (let i = 0; i < 9; i += 1) await page.keyboard.press('ArrowLeft');
    await page.keyboard.up('Shift');
    await expect
      .poll(async () => Number((await at()).match(/ at ([\d\s]+),/)![1]!.replace(/\D/g, '')))
      .toBe(before + 1);
    await page.$eval('[aria-label^="Size of defect 1"]', (e) => (e as SVGElement).focus());
    await page.keyboard.press('ArrowRight');
    const job = await newJob('Keeps a board');
    await (await button(page, 'Save the board')).click();
    await page.waitForSelector('[role="dialog"]', { hidden: true });
    await visit(page, `/rack?board=${made.id}`);
    await (await field(page, 'Kept for', 'combobox')).select(job.id);
    await (await button(page, 'Save the board')).click();
    await page.waitForSelector('[role="dialog"]', { hidden: true });
    await visit(page, `/rack?find=${other}`);
    await reads(page, `tr[data-tag="${other}"]`, /kept for Keeps a board/);
    const kept = (
      await call<{ tag: string; defects: { x: number; y: number; length: number }[] }[]>('GET', '/api/boards')
    ).data;
    const [defect] = kept.find((b) => b.tag === other)!.defects;
    expect(defect!.x).toBeGreaterThan(330);
    expect(defect!.x).toBeLessThan(358);
    expect(defect!.x).toBe(before + 1);
    expect(defect!.y).toBeGreaterThan(50);
    expect(page.faults).toEqual([]);
  });
});

describe('what somebody else changed meanwhile', () => {
  it('is offered beside mine: a board, a place', async () => {
    const { data: boards } = await call<Rev[]>('GET', '/api/boards');
    const tag = `W${Date.now() % 100000}`;
    const given = { ...boards[0]!, tag, lot: 'as it was' };
    const { data: board } = await call<Rev>('POST', '/api/boards', given);
    const page = await openPage(`/rack?board=${board.id}`);
    await fill(page, 'Lot', 'mine');
    await call('PUT', `/api/boards/${board.id}`, { revision: board.revision, board: { ...given, lot: 'theirs' } });
    await (await button(page, 'Save the board')).click();
    await reads(page, '[role="dialog"] [role="alert"]', /was changed elsewhere in the meantime/);
    await (await button(page, 'Keep my version')).click();
    await (await button(page, 'Save the board')).click();
    await page.waitForSelector('[role="dialog"]', { hidden: true });
    const lotNow = async () =>
      (await call<(Rev & { lot: string })[]>('GET', '/api/boards')).data.find(({ id }) => id === board.id)?.lot;
    expect(await lotNow()).toBe('mine');

    const name = `Attic ${tag}`;
    const { data: shop } = await call<{ places: (Rev & Record<string, unknown>)[] }>('GET', '/api/shop');
    const { id: _, revision: __, ...like } = shop.places[0]!;
    const { data: place } = await call<Rev>('POST', '/api/places', { ...like, name });
    await visit(page, '/shop');
    await (await button(page, `Edit ${name}`)).click();
    await fill(page, 'Name', `${name}, mine`);
    await call('PUT', `/api/places/${place.id}`, {
      revision: place.revision,
      place: { ...like, name: `${name}, theirs` },
    });
    const dialog = '[role="dialog"]';
    await (await button(page, 'Save the place')).click();
    await reads(page, `${dialog} [role="alert"]`, /This place was changed elsewhere/);
    await (await button(page, `Take the other: ${name}, theirs`)).click();
    expect(await (await field(page, 'Name')).evaluate((e) => (e as HTMLInputElement).value)).toBe(`${name}, theirs`);
    await fill(page, 'Name', `${name}, both`);
    await (await button(page, 'Save the place')).click();
    await page.waitForSelector(dialog, { hidden: true });
    const after = await call<{ places: { name: string }[] }>('GET', '/api/shop');
    expect(after.data.places.map((own) => own.name)).toContain(`${name}, both`);
    await call('DELETE', `/api/places/${place.id}`);
    await call('DELETE', `/api/boards/${board.id}`);
    expect(page.faults).toEqual([]);
  });

  it('and what two changed of the shop', async () => {
    const { data } = await call<{ revision: number; shop: { name: string } }>('GET', '/api/shop');
    const page = await openPage('/shop');
    await call('PUT', '/api/shop', { revision: data.revision, shop: { ...data.shop, name: 'Theirs' } });
    const rename = async (name: string) => {
      await fill(page, 'Name', name);
      await page.keyboard.press('Enter');
    };
    await rename('Mine');
    await reads(page, '[role="alert"]', /The shop was changed elsewhere/);
    await (await button(page, 'Take the other version')).click();
    expect(await (await field(page, 'Name')).evaluate((e) => (e as HTMLInputElement).value)).toBe('Theirs');
    await rename(data.shop.name);
    await reads(page, 'h1', /saved/);
    await expect
      .poll(async () => (await call<{ shop: { name: string } }>('GET', '/api/shop')).data.shop.name)
      .toBe(data.shop.name);
    expect(page.faults).toEqual([]);
  });
});

describe('jobs', () => {
  it('a job file comes in again; a damaged one is refused with its place', async () => {
    const job = await newJob('To be exported');
    const text = await (await fetch(`${base}/api/jobs/${job.id}/files/job.taller.json`)).text();
    const page = await openPage('/jobs');
    const input = (await page.$('input[type="file"]')) as ElementHandle<HTMLInputElement>;
    await input.uploadFile(fileOf('broken.taller.json', text.slice(0, 400)));
    await reads(page, '[role="alert"]', /damaged[\s\S]*(line \d+|end of the file)/);
    await input.uploadFile(fileOf('foreign.json', '{"hello":1}'));
    await reads(page, '[role="alert"]', /missing[\s\S]*file/i);
    await input.uploadFile(fileOf('good.taller.json', text));
    await page.waitForFunction(() => location.pathname.endsWith('/brief'));
    await reads(page, 'header', /To be exported/);
    expect(page.url()).not.toContain(job.id);
  });

  it('go to the bin and come back', async () => {
    const name = `Binned ${Date.now()}`;
    await newJob(name);
    const page = await openPage('/jobs');
    const bin = async () => {
      await (await button(page, `Move ${name} to the bin`)).click();
      await page.waitForFunction(
        (n: string) => ![...document.querySelectorAll('main h2')].some((e) => e.textContent === n),
        {},
        name,
      );
    };
    await bin();
    await reads(page, '[role="status"]', new RegExp(`“${name}” is in the bin`));
    await (await button(page, 'Undo')).click();
    await bin();
    await visit(page, `/jobs?bin`);
    await (await button(page, `Restore ${name}`)).click();
    await page.waitForFunction((n: string) => !document.body.innerText.includes(n), {}, name);
    await visit(page, `/jobs`);
    await reads(page, 'main h2', new RegExp(name));
  });

  it('are drawn, ordered, copied, and an empty workshop offers an example', async () => {
    const name = `Drawn ${Date.now()}`;
    const { id } = await newJob(name);
    const page = await openPage('/jobs');
    await page.waitForSelector(`[data-job="${id}"] svg path`);
    await (await link(page, 'By name')).click();
    await page.waitForFunction(() => location.search.includes('order=name'));
    await page.waitForSelector('a[aria-current="true"]');
    const names = await page.$$eval('main h2', (all) => all.map((e) => e.textContent!.toLowerCase()));
    expect(names).toEqual([...names].sort());
    await visit(page, `/jobs?find=${encodeURIComponent(name)}`);
    await (await button(page, `Copy ${name}`)).click();
    await page.waitForFunction(
      (own: string) => /jobs\/.*\/brief/.test(location.pathname) && !location.pathname.includes(own),
      {},
      id,
    );
    await reads(page, 'header', new RegExp(`${name} 2`));
    expect(page.faults).toEqual([]);
  });

  it('find tells what a term means, and leads to a field, a check and a file of the job', async () => {
    const { id } = await newJob('Found in it');
    const page = await openPage('/jobs');
    await page.keyboard.press('/');
    await page.keyboard.type('breadb');
    await reads(page, '[role="option"]', /breadboard end[\s\S]*moves behind it in slots/);
    await page.keyboard.press('Enter');
    await page.waitForFunction(() => location.pathname === '/terms' && location.hash === '#breadboard-end');
    await reads(page, 'main', /A hole, and the tongue of the other part/);

    await visit(page, `/jobs/${id}/brief`);
    await page.keyboard.press('/');
    await page.keyboard.type('thickn');
    await reads(page, '[role="option"]', /in Form/);
    await page.evaluate(() =>
      [...document.querySelectorAll<HTMLElement>('[role="option"]')].find((e) => /in Form/.test(e.innerText))?.click(),
    );
    await page.waitForFunction(() => location.pathname.endsWith('/form'));
    await page.waitForFunction(() =>
      /thick/i.test((document.activeElement as HTMLInputElement | null)?.labels?.[0]?.textContent ?? ''),
    );
    await fill(page, 'Thickness', '12');
    await page.waitForSelector('html:not([data-settling]) [data-saving="saved"]');
    await page.evaluate(() => (document.activeElement as HTMLElement | null)?.blur());
    await page.keyboard.press('/');
    await page.keyboard.type('stop, form');
    await reads(page, '[role="option"]', /stop, Form/);
    await page.keyboard.press('Escape');
    await page.keyboard.press('/');
    await page.keyboard.type('cut list');
    await reads(page, '[role="option"]', /file of this job/);
    await page.keyboard.press('Enter');
    await reads(page, '[role="dialog"]', /Cut list, CSV/);
    expect(page.faults).toEqual([]);
  });

  it('find leads to a board, a job or a page by a few letters', async () => {
    const page = await openPage('/jobs');
    await page.keyboard.press('/');
    await page.keyboard.type('K03');
    await reads(page, '[role="option"]', /K03/);
    await page.keyboard.press('Enter');
    await page.waitForFunction(() => location.pathname === '/rack');
    await page.waitForSelector('tr[data-tag="K03"]');
  });
});

describe('the shop', () => {
  it('saves as one types, refuses nonsense, and keeps units and tools', async () => {
    const page = await openPage('/shop');
    const kerf = async () =>
      (await call<{ shop: { tools: { kerf: number } } }>('GET', '/api/shop')).data.shop.tools.kerf;
    const before = await kerf();
    await fill(page, 'Saw kerf', '2.8');
    await expect.poll(kerf).toBe(2.8);
    await fill(page, 'Saw kerf', '900');
    await reads(page, '[role="alert"]', /Between/);
    expect(await kerf()).toBe(2.8);
    await page.keyboard.press('Tab');
    await fill(page, 'Saw kerf', String(before));
    await expect.poll(kerf).toBe(before);
  });

  it('takes a place in, with the moisture wood comes to in each month', async () => {
    const page = await openPage('/shop');
    await (await button(page, 'Add a place')).click();
    await page.waitForSelector('[role="dialog"]');
    await fill(page, 'Name', 'A barn');
    await fill(page, 'Jan, humidity %', '80');
    await reads(page, '[role="dialog"]', /wood comes to 1[56]\.\d %/);
    await (await button(page, 'Save the place')).click();
    await reads(page, 'main', /A barn/);
    await (await button(page, 'Move A barn to the bin')).click();
    await page.waitForFunction(() => !document.body.innerText.includes('A barn'));
  });
});
