import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import type { Page } from 'puppeteer-core';
import { describe, expect, it } from 'vitest';
import { type JobDocument, readRackCsv, writeRackCsv } from '@/core';
import { onlyPiece } from '../fixtures/demo';
import { button, call, field, fill, laidOut, openPage, radio, reads, saved, visit, withBrowser } from './desk';

withBrowser();

const demo = (name: string) => readFileSync(join(import.meta.dirname, '../../demo', name), 'utf8');
/** A job of the demo and its boards, as another wood that nothing else here touches. */
const inWood = async (
  name: string,
  wood: [from: string, to: string],
  letter: [from: string, to: string],
  more = {},
) => {
  const boards = readRackCsv(demo('rack.csv'), 'metric').rows.flatMap(({ board }) =>
    board?.species === wood[0] ? [{ ...board, species: wood[1], tag: board.tag.replace(...letter) }] : [],
  );
  await call('POST', '/api/boards/import', writeRackCsv(boards));
  const file = JSON.parse(demo(`jobs/${name}.taller.json`));
  file.job.form.species = wood[1];
  Object.assign(file.job.layout, more);
  return (await call<{ id: string }>('POST', '/api/jobs/import', file)).data.id;
};
const longTable = () => inWood('2-long-table', ['oak-white', 'beech-american'], ['K', 'B']);
const decisions = async (id: string) =>
  onlyPiece((await call<{ document: JobDocument }>('GET', `/api/jobs/${id}`)).data.document).layout;

const boxOf = async (page: Page, selector: string) => {
  const handle = await page.waitForSelector(selector);
  const box = await handle!.boundingBox();
  return box!;
};

/** Takes something by its left end and holds it over a point. */
async function hold(page: Page, selector: string, to: { x: number; y: number }) {
  const from = await boxOf(page, selector);
  await page.mouse.move(from.x + 8, from.y + from.height / 2);
  await page.mouse.down();
  await page.mouse.move(from.x + 20, from.y + from.height / 2, { steps: 3 });
  await page.mouse.move(to.x + 8, to.y + from.height / 2, { steps: 6 });
}

/** Drags a strip to the place of another, and lets it go when it is told to lie there. */
async function dragStrip(page: Page, strip: string, to: string) {
  await hold(page, `[data-strip="${strip}"]`, await boxOf(page, `[data-strip="${to}"]`));
  await reads(page, '[role="status"]', new RegExp(`${strip} was moved over droppable area ${to}`));
  await page.mouse.up();
}

describe('boards and strips by hand', () => {
  it('a leg is dragged to another board, the checker answering; it is placed by figures, swapped and let go', async () => {
    const id = await longTable();
    // A thick board too dear for the search to take: there is room on it.
    const spare = readRackCsv(demo('rack.csv'), 'metric').rows.find(({ board }) => board?.tag === 'K12')!.board!;
    const dear = { amount: 900, per: 'piece' as const };
    await call(
      'POST',
      '/api/boards/import',
      writeRackCsv([{ ...spare, species: 'beech-american', tag: 'B20', price: dear, defects: [] }]),
    );
    const page = await openPage(`/jobs/${id}/layout`);
    await page.setViewport({ width: 1280, height: 1500 });
    await laidOut(page);
    await page.click('main button[aria-expanded="false"]');
    const leg = '[aria-label="B 750 × 70"]';
    const home = await page.$eval(leg, (e) => e.closest<HTMLElement>('figure[data-board]')!.dataset.board!);
    const thick = await boxOf(page, 'figure[data-board="B20"] polygon');
    const thin = await boxOf(page, 'figure[data-board="B09"] polygon');

    await hold(page, leg, { x: thin.x + 200, y: thin.y + 4 });
    await reads(page, 'figure[data-board="B09"] [role="status"]', /B09 is too thin for B/);
    await page.mouse.up();
    expect(await page.$(`figure[data-board="${home}"] ${leg}`)).not.toBeNull();

    await hold(page, leg, { x: thick.x + 9, y: thick.y + 3 });
    await reads(
      page,
      'figure[data-board="B20"] [role="status"]',
      /B fits, 25 from the tagged end, 0 from the near edge/,
    );
    await page.mouse.up();
    await page.waitForSelector(`figure[data-board="B20"] ${leg}`);
    await saved(page);
    expect((await decisions(id)).moved).toEqual([
      { part: 'p1.1:leg-front-left', strip: null, board: 'B20', x: 25, y: 0, turned: false },
    ]);

    await fill(page, 'From the tagged end', '900');
    await saved(page);
    expect((await decisions(id)).moved[0]).toMatchObject({ x: 900, y: 0 });
    await fill(page, 'From the tagged end', '1600');
    await reads(page, '[role="alert"]', /B lies outside B20/);
    await fill(page, 'From the tagged end', '40');
    await page.keyboard.press('Tab');
    await saved(page);
    expect((await decisions(id)).moved[0]).toMatchObject({ x: 40, y: 0 });
    const swap = await page.waitForSelector('::-p-aria([name="Change places with"][role="combobox"])');
    await (swap as unknown as { select: (value: string) => Promise<unknown> }).select('C');
    await page.waitForSelector('figure[data-board="B20"] [aria-label="C 750 × 70"]');
    await page.waitForSelector(`figure[data-board="${home}"] ${leg}`);
    // A figure that is refused, its words under it: they go at the press, and the button does not slip away with them.
    await fill(page, 'From the tagged end', '1600');
    await reads(page, '[role="alert"]', new RegExp(`B lies .* ${home}`));
    await (await button(page, 'Let it go')).click();
    await expect.poll(async () => (await decisions(id)).moved.map((m) => m.part)).toEqual(['p1.1:leg-front-right']);

    const before = (await boxOf(page, leg)).width;
    await (await button(page, 'Larger')).click();
    expect((await boxOf(page, leg)).width / before).toBeCloseTo(1.5, 1);
    await (await button(page, '150 %, back to the whole across')).click();

    // Put aside, another aim, side by side, and back to the first.
    await (await radio(page, 'Compare')).click();
    await (await button(page, 'Put this layout aside')).click();
    await reads(page, 'main', /A, save wood/);
    await (await radio(page, 'Boards')).click();
    await (await field(page, 'Aim', 'combobox')).select('fewest-boards');
    await reads(page, 'main', /Searching/);
    await reads(page, 'main', /changes tried/);
    await (await radio(page, 'Compare')).click();
    await page.waitForSelector('[data-merit="counts"]');
    const counts = await page.$$eval('[data-merit="counts"] td', (all) => all.map((e) => parseFloat(e.textContent!)));
    expect(counts[0]).toBeLessThanOrEqual(counts[1]! + 0.01);
    await (await button(page, 'Take this one')).click();
    await saved(page);
    expect(await decisions(id)).toMatchObject({ aim: 'save-wood', moved: [{ part: 'p1.1:leg-front-right' }] });
    await reads(page, 'main', /changes tried/);

    // The strips of the top: dragged to another place, and on from there by the keyboard.
    await (await radio(page, 'Panel')).click();
    await page.waitForSelector('[data-strip]');
    const strips = () => page.$$eval('[data-strip]', (all) => all.map((e) => (e as HTMLElement).dataset.strip!));
    const [first = '', second = '', third = ''] = await strips();
    await dragStrip(page, first, third);
    await expect.poll(async () => (await strips()).slice(0, 3)).toEqual([second, third, first]);
    await page.focus(`[data-strip="${first}"]`);
    await page.keyboard.press('t');
    await reads(page, 'main', /heart (up|down)/);
    await saved(page);
    const laid = (await decisions(id)).laid;
    expect(laid[2]!.heartUp).not.toBeNull();

    // A board that is sawn leaves the rack, and its offcut comes back to it.
    await (await radio(page, 'Boards')).click();
    await (await button(page, 'Take what is sawn …')).click();
    await page.waitForSelector('[role="dialog"] li');
    let [board, offcuts]: [string, string[]] = ['', []];
    for (const row of await page.$$('[role="dialog"] li')) {
      await (await row.$('input[type="checkbox"]'))!.click();
      board = await row.$eval('b', (e) => e.textContent!);
      offcuts = await row.$$eval('input:not([type="checkbox"])', (all) =>
        all.map((e) => (e as HTMLInputElement).value).filter((value) => value !== ''),
      );
      if (offcuts.length > 0) break;
      await (await row.$('input[type="checkbox"]'))!.click();
    }
    const [offcut = ''] = offcuts;
    expect(offcut).toMatch(new RegExp(`^${board}-\\d+$`));
    const many = `${offcuts.length} ${offcuts.length === 1 ? 'offcut' : 'offcuts'}`;
    await (await button(page, `Take 1 board, give back ${many}`)).click();
    await reads(page, `figure[data-board="${board}"] figcaption`, /used up/);
    await visit(page, `/rack?find=${board}`);
    await page.waitForSelector(`tr[data-tag="${offcut}"]`);
    expect(await page.$(`tr[data-tag="${board}"]`)).toBeNull();
    await visit(page, `/rack?used&find=${board}`);
    await reads(page, `tr[data-tag="${board}"]`, /for Long table/);
    await (await button(page, `Put ${board} back`)).click();
    await page.waitForFunction((tag) => !document.querySelector(`tr[data-tag="${tag}"]`), {}, board);
    const tags = (await call<{ tag: string }[]>('GET', '/api/boards')).data.map((b) => b.tag);
    expect(tags).toContain(board);
    expect(tags).not.toContain(offcut);
    expect(page.faults).toEqual([]);
  });

  it('legs are taken as dressed, from stock of their section, and made as it is by a press', async () => {
    const id = await inWood('1-square-table', ['ash-white', 'cherry-black'], ['A', 'C']);
    const [one] = readRackCsv(demo('rack.csv'), 'metric').rows.flatMap(({ board }) => board ?? []);
    const square = { width: 88.9, farWidth: null, thickness: 88.9, quarters: null, surface: 'dressed' as const };
    const posts = ['Z1', 'Z2'].map((tag) => ({
      ...one!,
      ...square,
      species: 'cherry-black',
      tag,
      length: 2438,
      defects: [],
    }));
    await call('POST', '/api/boards/import', writeRackCsv(posts));
    const page = await openPage(`/jobs/${id}/layout`);
    await laidOut(page);
    const box = await page.waitForSelector('::-p-aria([name="The legs, as dressed"][role="checkbox"])');
    await box!.click();
    await reads(page, 'main', /No dressed board on the rack is 55\smm × 55\smm/);
    const press = await page.waitForSelector('button[data-way-out]::-p-text(as the stock is)');
    await press!.click();
    await reads(page, 'main', /Z[12][\s\S]*750 × 8[89][\s\S]*changes tried/);
    await saved(page);
    expect((await decisions(id)).asDressed).toEqual(['leg']);
    expect(page.faults).toEqual([]);
  });

  it('a top comes in pairs out of thick boards, its leaves kept together, and is told how to resaw', async () => {
    const wide = { greatestStrip: 190 };
    const id = await inWood('3-small-table', ['walnut-black', 'mahogany-true'], ['W', 'M'], wide);
    const page = await openPage(`/jobs/${id}/layout`);
    await laidOut(page);
    await (await radio(page, 'Like a book')).click();
    await reads(page, 'main', /Two leaves from a flat blank of\s*57/);
    await reads(page, 'main', /A1\+A2/);
    await reads(page, 'main', /changes tried/);
    await saved(page);
    expect((await decisions(id)).pairs).toBe('book');

    await (await radio(page, 'Panel')).click();
    await page.waitForSelector('[data-strip]');
    const strips = () => page.$$eval('[data-strip]', (all) => all.map((e) => (e as HTMLElement).dataset.strip!));
    await expect.poll(strips).toEqual(['A1', 'A2', 'A3', 'A4']);
    await page.waitForSelector('[aria-label^="A1 to A2: a pair"]');
    await dragStrip(page, 'A1', 'A4');
    await expect.poll(strips).toEqual(['A3', 'A4', 'A1', 'A2']);
    await page.focus('[data-strip="A1"]');
    await reads(page, 'main', /Pair A1 and A2, from M1/);
    await (await button(page, 'Join at the other edge')).click();
    await expect.poll(strips).toEqual(['A3', 'A4', 'A2', 'A1']);
    // Turned over, both of them.
    const hearts = () =>
      page.$$eval('[data-strip]', (all) => all.map((e) => /heart (up|down)/.exec(e.getAttribute('aria-label')!)![1]!));
    expect(await hearts()).toEqual(['up', 'down', 'down', 'up']);
    await page.focus('[data-strip="A1"]');
    await page.keyboard.press('t');
    await expect.poll(hearts).toEqual(['up', 'down', 'up', 'down']);

    await (await radio(page, 'Cuts')).click();
    await reads(page, 'main', /resaw 28 from the flat face/);
    await saved(page);
    expect((await decisions(id)).laid.map(({ layer }) => layer)).toEqual([0, 1, 1, 0]);
    expect(page.faults).toEqual([]);
  });
});
