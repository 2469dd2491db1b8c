import { getDocument } from 'pdfjs-dist/legacy/build/pdf.mjs';
import type { Page } from 'puppeteer-core';
import { describe, expect, it } from 'vitest';
import { type Board, checkLayout, deriveJob, type JobDocument, type KeptLayout, type Place, type Shop } from '@/core';
import { tableOf } from '../fixtures/demo';
import type { JobReply } from '../http/api';
import {
  base,
  button,
  call,
  choose,
  fill,
  goTo,
  laidOut,
  link,
  newJob,
  openPage,
  radio,
  reads,
  saved,
  visit,
  withBrowser,
} from './desk';

withBrowser();

const stamp = `${Date.now()}`.slice(-5);
/** A wood that nothing else here is made of, and boards of it for a whole set of furniture. */
const WOOD = 'maple-sugar';
async function stock(tag: string, count: number, size: { length: number; width: number; thickness: number }) {
  for (let i = 1; i <= count; i += 1) {
    const board = {
      tag: `${tag}${stamp}-${i}`,
      species: WOOD,
      ...size,
      quarters: null,
      surface: 'rough',
      ringAngle: 20,
    };
    const reply = await call('POST', '/api/boards', {
      ...board,
      ...{ moisture: 9, moistureOn: '2027-03-01', lot: '', note: '', defects: [] },
    });
    if (reply.status !== 201) throw new Error(JSON.stringify(reply.data));
  }
}

const decisions = async (id: string): Promise<JobDocument> =>
  (await call<JobReply>('GET', `/api/jobs/${id}`)).data.document;
const chosen = (page: Page) => page.$eval('[aria-label="Pieces"] [aria-current="true"]', (e) => e.textContent);

/** Adds a piece in the dialog of the pieces, which stays open. */
async function add(page: Page, use: string) {
  await page.waitForSelector('[role="dialog"] li');
  const before = (await page.$$('[role="dialog"] li')).length;
  await page.waitForSelector(`[role="dialog"] input[value="${use}"]`);
  await page.$eval(`[role="dialog"] input[value="${use}"]`, (e) => (e as HTMLElement).click());
  await (await button(page, `Add the ${use}`)).click();
  await page.waitForFunction((n: number) => document.querySelectorAll('[role="dialog"] li').length > n, {}, before);
}

describe('a job of several pieces', () => {
  it('a dining table, two benches and four stools: composed, laid out together from one rack, planned and printed', async () => {
    await stock('ZS', 14, { length: 3000, width: 260, thickness: 45 });
    await stock('ZL', 4, { length: 3000, width: 240, thickness: 80 });
    const { id } = await newJob('A table, two benches, four stools', WOOD);
    const page = await openPage(`/jobs/${id}/form`);
    await (await button(page, 'Pieces …')).click();
    await add(page, 'bench');
    await add(page, 'stool');
    for (const [name, count] of [
      ['Bench', '2'],
      ['Stool', '4'],
    ] as const) {
      const row = await page.waitForSelector(`::-p-xpath(//div[@role="dialog"]//li[.//input[@value="${name}"]])`);
      const many = await row!.waitForSelector('::-p-aria([name="How many"][role="textbox"])');
      await many!.click({ count: 3 });
      await page.keyboard.sendCharacter(count);
      await page.keyboard.press('Tab');
    }
    await page.keyboard.press('Escape');
    await saved(page);
    const decided = await decisions(id);
    expect(decided.pieces.map(({ use, count }) => [use, count])).toEqual([
      ['dining', 1],
      ['bench', 2],
      ['stool', 4],
    ]);
    await reads(page, '[aria-label="Pieces"]', /Bench\s*× 2[\s\S]*Stool\s*× 4/);

    // The steps are about the piece that is chosen, over the steps and over a reload.
    await (await link(page, 'Bench × 2')).click();
    await page.waitForFunction(() =>
      document.querySelector('[aria-label="Pieces"] [aria-current="true"]')?.textContent?.startsWith('Bench'),
    );
    await fill(page, 'Length', '1250');
    await saved(page);
    expect((await decisions(id)).pieces.map((own) => tableOf(own).top.length)[1]).toBe(1250);
    expect(tableOf((await decisions(id)).pieces[0]!).top.length).toBe(tableOf(decided.pieces[0]!).top.length);
    await goTo(page, 'joints');
    expect(await chosen(page)).toMatch(/^Bench/);

    await goTo(page, 'layout');
    await laidOut(page);
    await reads(page, 'main', /To buy\s+nothing/);
    const labels = await page.$$eval('figure[data-board]', (all) =>
      all.map((e) => e.getAttribute('aria-label') ?? '').join(' '),
    );
    for (const label of ['1A1', '2.1A1', '2.2A1', '3.1A1', '3.4A1']) expect(labels).toContain(label);

    // What is kept is a layout of all of them, and sound.
    const { data: shop } = await call<{ shop: Shop; places: Place[] }>('GET', '/api/shop');
    const { data: rack } = await call<Board[]>('GET', `/api/jobs/${id}/boards`);
    await (await radio(page, 'Compare')).click();
    await (await button(page, 'Put this layout aside')).click();
    const aside = async () => (await call<KeptLayout[]>('GET', `/api/jobs/${id}/kept-layouts`)).data;
    await expect.poll(async () => (await aside()).length).toBe(1);
    const [{ layout }] = (await aside()) as [KeptLayout];
    const now = await decisions(id);
    const job = deriveJob({ document: now, shop: shop.shop, places: shop.places, boards: rack, layouts: [layout] });
    if (!('pieces' in job)) throw new Error('nothing is derived');
    const [wood] = job.woods;
    expect(wood).toMatchObject({ layoutState: 'current', layoutComplete: true });
    expect(checkLayout(wood!.demand, wood!.boards, wood!.layoutOptions, layout)).toEqual([]);
    expect(new Set(layout.placements.map(({ part }) => part.split(':')[0])).size).toBe(7);

    await goTo(page, 'plan');
    await reads(page, 'main', /Stool × 4/);
    const csv = await (await fetch(`${base}/api/jobs/${id}/files/cut-list.csv`)).text();
    for (const name of ['Bench 2: ', 'Stool 4: ']) expect(csv).toContain(name);
    const sheet = await fetch(`${base}/api/jobs/${id}/files/sheet.pdf`);
    const pdf = await getDocument({ data: new Uint8Array(await sheet.arrayBuffer()) }).promise;
    const words: string[] = [];
    for (let n = 1; n <= pdf.numPages; n += 1) {
      const { items } = await (await pdf.getPage(n)).getTextContent();
      words.push(items.map((item) => ('str' in item ? item.str : '')).join(' '));
    }
    expect(words.join(' ')).toMatch(/Cut list · Stool 1 to 4/);
    expect(page.faults).toEqual([]);
  });

  it('a piece is copied, taken out, and comes back with undo; a short leg of the second stool is that stool’s', async () => {
    const { id } = await newJob('Pieces come and go');
    const page = await openPage(`/jobs/${id}/form`);
    await (await button(page, 'Pieces …')).click();
    await add(page, 'stool');
    await (await button(page, 'One more like it: Stool')).click();
    await reads(page, '[aria-label="Pieces"]', /Stool 2/);
    await saved(page);
    await (await button(page, 'Take it out: Stool 2')).click();
    await page.waitForFunction(
      () => !/Stool 2/.test(document.querySelector('[aria-label="Pieces"]')?.textContent ?? ''),
    );
    await page.keyboard.press('Escape');
    await saved(page);
    expect((await decisions(id)).pieces).toHaveLength(2);
    await (await button(page, 'Undo')).click();
    await expect.poll(async () => (await decisions(id)).pieces.map(({ name }) => name)).toContain('Stool 2');
    await reads(page, '[aria-label="Pieces"]', /Stool 2/);
    await (await link(page, 'Stool')).click();

    await expect.poll(() => chosen(page)).toMatch(/Stool/);
    // In the room it is moved by the arrows and by hand, and turned; undo takes it back.
    await goTo(page, 'brief');
    const stool = await page.waitForSelector('[aria-label^="Stool, "][data-spot]');
    const spot = async () => (await decisions(id)).pieces.find(({ name }) => name === 'Stool')!.spots[1];
    await stool!.evaluate((e) => (e as unknown as SVGElement).focus());
    await page.keyboard.press('ArrowDown');
    await saved(page);
    const first = (await spot())!;
    const box = (await stool!.boundingBox())!;
    await page.mouse.move(box.x + 8, box.y + 8);
    await page.mouse.down();
    await page.mouse.move(box.x + 40, box.y + 68, { steps: 4 });
    await page.mouse.up();
    await (await button(page, 'Turn Stool by a quarter')).click();
    await saved(page);
    const moved = (await spot())!;
    expect(moved.turn).toBe(90);
    expect(moved.x).toBeGreaterThan(first.x + 100);
    expect(moved.y).toBeLessThan(first.y - 200);
    await reads(page, '[aria-label^="Stool, "][data-spot]', /\S/);
    await (await button(page, 'Find it a place')).click();
    await saved(page);
    expect(await spot()).toBeNull();
    await goTo(page, 'form');

    await (await button(page, 'Pieces …')).click();
    const row = await page.waitForSelector('::-p-xpath(//div[@role="dialog"]//li[.//input[@value="Stool"]])');
    const many = await row!.waitForSelector('::-p-aria([name="How many"][role="textbox"])');
    await many!.click({ count: 3 });
    await page.keyboard.sendCharacter('3');
    await page.keyboard.press('Tab');
    await page.keyboard.press('Escape');
    await saved(page);
    await goTo(page, 'bench');
    await choose(page, 'Which of them', '2');
    await page.waitForFunction(() => location.search.includes('number=2'));
    const measure = 'tr[data-row="leg-front-left"] button[aria-label^="Real size of 2.2"]';
    await (await page.waitForSelector(measure))!.click();
    await page.waitForSelector('[role="dialog"]');
    await fill(page, 'Overall length', '418');
    await (await button(page, 'Lock it at this size')).click();
    await saved(page);
    const benches = (await decisions(id)).pieces.find(({ name }) => name === 'Stool')!.benches;
    expect(Object.keys(benches)).toEqual(['2']);
    expect(benches[2]!.locks['leg-front-left']!.length).toBe(418);
    expect(page.faults).toEqual([]);
  });
});

describe('a piece of two woods', () => {
  it('an oak top on a base of maple: chosen by kinds of parts, cut from boards of both, and said on the cut list', async () => {
    const { id } = await newJob('Oak on maple', 'oak-white');
    await stock('ZT', 3, { length: 3000, width: 260, thickness: 80 });
    await stock('ZB', 3, { length: 3000, width: 200, thickness: 45 });
    const page = await openPage(`/jobs/${id}/form`);
    await page.click('main summary');
    for (const kind of ['Legs', 'Aprons', 'Cross rails']) {
      await choose(page, kind, WOOD);
      await saved(page);
    }
    await reads(page, 'main', /White oak and Sugar/);
    const { woods, pieces } = await decisions(id);
    expect(woods.map(({ species }) => species)).toEqual(['oak-white', WOOD]);
    expect(Object.keys(pieces[0]!.woodOf).sort()).toEqual(['apron', 'cross-rail', 'leg']);

    await goTo(page, 'layout');
    await laidOut(page);
    await reads(page, 'main', /To buy\s+nothing/);
    expect(await page.$$('figure[data-board] [data-part="p1.1:top"]')).not.toHaveLength(0);
    expect(await page.$$('figure[data-board] [data-part^="p1.1:leg"]')).toHaveLength(0);
    // What else it is made of is searched after it, looked at or not.
    await choose(page, 'Boards of', WOOD);
    await laidOut(page);
    await page.waitForSelector('figure[data-board] [data-part^="p1.1:leg"]');
    await reads(page, 'main', /To buy\s+nothing/);

    await goTo(page, 'glue-up');
    await reads(page, 'main', /the strips of the layout/);
    await goTo(page, 'bench');
    await reads(page, 'tr[data-row="leg-front-left"]', /Sugar/);
    const csv = await (await fetch(`${base}/api/jobs/${id}/files/cut-list.csv`)).text();
    expect(csv.split('\n').filter((line) => /Sugar/.test(line)).length).toBeGreaterThanOrEqual(8);
    const svg = await (await fetch(`${base}/api/jobs/${id}/files/layout.svg`)).text();
    expect(svg).toMatch(/data-part="p1\.1:top"/);
    expect(svg).toMatch(/data-part="p1\.1:leg-front-left"/);
    expect(page.faults).toEqual([]);
  });
});

describe('a painted base with a shelf of plywood', () => {
  it('oak above, maple under paint, plywood between: chosen, stocked as a sheet on the rack, laid out and printed', async () => {
    const { id } = await newJob('Painted base', 'oak-white');
    await stock('ZQ', 3, { length: 3000, width: 260, thickness: 80 });
    const page = await openPage('/rack');
    await (await button(page, 'Add a board')).click();
    const wood = await page.waitForSelector(
      '::-p-xpath(//div[@role="dialog"]//select[option[contains(., "Birch plywood")]])',
    );
    await wood!.select('plywood-birch');
    await fill(page, 'Tag', `ZP${stamp}`);
    await reads(page, '[role="dialog"]', /along the face grain/);
    await (await button(page, 'Add it to the rack')).click();
    await page.waitForFunction(() => !document.querySelector('[role="dialog"]'));

    await visit(page, `/jobs/${id}/form`);
    await (await radio(page, 'With a shelf')).click();
    await fill(page, 'Boards of the shelf', '1');
    await fill(page, 'Shelf, thick', '18');
    await page.click('main summary');
    for (const kind of ['Legs', 'Aprons', 'Cross rails', 'Stretcher']) {
      await choose(page, kind, WOOD);
      await saved(page);
    }
    await choose(page, 'Shelf boards', 'plywood-birch');
    await saved(page);
    await reads(page, 'main', /White oak, Sugar \(hard\) maple and Birch plywood/);
    // One leg by hand, of oak among those of maple; and back as the others.
    await choose(page, 'One part by itself', 'leg-front-left');
    await saved(page);
    const byHand = await page.$eval('main details select:last-of-type', (_) =>
      [...document.querySelectorAll('main details label')]
        .map((label) => label.textContent ?? '')
        .find((text) => /, Leg, front left/.test(text)),
    );
    await choose(page, byHand as string, 'oak-white');
    await saved(page);
    const woodOfLeg = async () => (await decisions(id)).pieces[0]!.woodOf['leg-front-left'];
    expect(await woodOfLeg()).toBe((await decisions(id)).woods.find(({ species }) => species === 'oak-white')!.id);
    await choose(page, byHand as string, '');
    await saved(page);
    expect(await woodOfLeg()).toBeUndefined();
    await goTo(page, 'plan');
    for (const kind of ['legs', 'aprons', 'cross rails', 'stretcher']) {
      const box = await page.waitForSelector(`::-p-xpath(//label[contains(., "The ${kind}")]/input)`);
      await box!.click();
      await saved(page);
    }
    await reads(page, 'main', /Seal knots, prime what is painted/);
    await goTo(page, 'layout');
    await laidOut(page);
    await choose(page, 'Boards of', 'plywood-birch');
    await laidOut(page);
    await reads(page, 'figure[data-board]', new RegExp(`ZP${stamp}`));
    await reads(page, 'main', /To buy\s+nothing/);
    const csv = await (await fetch(`${base}/api/jobs/${id}/files/cut-list.csv`)).text();
    expect(csv).toMatch(/Shelf.*Birch plywood,,$/m);
    expect(csv).toMatch(/Leg.*maple,yes,$/m);
    const rack = await (await fetch(`${base}/api/boards/export`)).text();
    expect(rack).toMatch(new RegExp(`ZP${stamp}.*(plywood-birch|Birch plywood)`));
    expect(page.faults).toEqual([]);
  });
});

describe('a desk of stripes', () => {
  it('walnut and maple by turns, a walnut block at a corner, on bought-in legs: drawn, laid out of both, glued strip by strip', async () => {
    await stock('ZD', 4, { length: 2600, width: 220, thickness: 45 });
    const { id } = await newJob('Striped desk', 'walnut-black');
    const page = await openPage(`/jobs/${id}/form`);
    await fill(page, 'Length', '1400');
    await fill(page, 'Width', '700');
    await fill(page, 'Thickness', '22');
    await (await radio(page, 'Designed')).click();
    await fill(page, 'Strips in the width', '10');
    await choose(page, 'Other strips of the top', WOOD);
    await (await radio(page, 'One')).click();
    await fill(page, 'Block, along the table', '300');
    await choose(page, 'Kind of base', 'steel');
    await saved(page);
    await (await radio(page, 'Plan')).click();
    await page.waitForSelector('[data-strip]:nth-of-type(11)');
    const tones = await page.$$eval('[data-strip]', (strips) => strips.map((own) => own.getAttribute('data-strip')));
    expect(tones.slice(0, 10)).toEqual(['3', '0', '3', '0', '3', '0', '3', '0', '3', '0']);
    await reads(page, 'main', /Black walnut and Sugar/);

    await goTo(page, 'layout');
    await laidOut(page);
    await reads(page, 'main', /To buy\s+nothing/);
    await choose(page, 'Boards of', WOOD);
    await laidOut(page);
    await reads(page, 'main', /To buy\s+nothing/);
    await reads(page, 'figure[data-board]', /A\.s2/);
    const { woods, pieces } = await decisions(id);
    expect(woods.map(({ species }) => species)).toEqual(['walnut-black', WOOD]);
    expect(pieces[0]!.woodOf).toHaveProperty('top/stripes');

    await goTo(page, 'glue-up');
    await reads(page, 'main', /A\.s1.*A\.s2.*A\.s3/s);
    const csv = await (await fetch(`${base}/api/jobs/${id}/files/cut-list.csv`)).text();
    expect(csv.split('\n').filter((line) => /^A\.s\d+,/.test(line))).toHaveLength(10);
    expect(csv).toMatch(/^A\.b1,Top: block 1 of 2,/m);
    expect(page.faults).toEqual([]);
  });
});
