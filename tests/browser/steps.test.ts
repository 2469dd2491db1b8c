import DxfParser from 'dxf-parser';
import type { Page } from 'puppeteer-core';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { onlyPiece } from '../fixtures/demo';
import type { JobReply } from '../http/api';
import {
  base,
  button,
  call,
  choose,
  downloadsOf,
  field,
  fill,
  goTo,
  laidOut,
  newJob,
  openPage,
  radio,
  reads,
  saved,
  withBrowser,
} from './desk';

withBrowser();

describe('each step of the work', () => {
  let id: string;
  const decisions = async () => onlyPiece((await call<JobReply>('GET', `/api/jobs/${id}`)).data.document);
  const dimension = (page: Page, name: string) =>
    page.$eval(`[data-dimension="${name}"] text`, (e) => e.textContent?.replace(/\s/g, ''));
  const figure = (page: Page, label: string) =>
    page.$$eval(
      'main div',
      (all, l) =>
        all.find((e) => e.children.length === 2 && e.children[0]?.textContent === l)?.children[1]?.textContent ?? '',
      label,
    );
  beforeAll(async () => {
    id = (await newJob('Steps')).id;
  });
  afterAll(async () => {
    await call('DELETE', `/api/jobs/${id}`);
  });

  it('brief: the room is drawn with what a chair wants, more people make the top longer by one button', async () => {
    const page = await openPage(`/jobs/${id}/brief`);
    await fill(page, 'Seats', '8');
    await page.waitForSelector('[data-check="people.seats"][data-level="stop"]');
    await fill(page, 'Room, long', '7 m');
    await reads(page, 'main', /Make the top/);
    await (await page.waitForSelector('main button ::-p-text(Make the top)'))!.click();
    await page.waitForFunction(() => !document.querySelector('[data-check="people.seats"][data-level="stop"]'));
    await saved(page);
    expect((await decisions()).form.top.length).toBeGreaterThanOrEqual(1830);
    await fill(page, 'Seats', '6');
    await saved(page);
  });

  it('form: every decision redraws the piece', async () => {
    const page = await openPage(`/jobs/${id}/form`);
    await fill(page, 'Length', '1650');
    await page.waitForFunction(
      () => document.querySelector('[data-dimension="across"] text')?.textContent?.replace(/\s/g, '') === '1650',
    );
    await fill(page, 'Table height', '29 1/2');
    await page.waitForFunction(() => document.querySelector('[data-dimension="height"] text')?.textContent === '749.5');
    const corners = () =>
      page.$eval('polygon[data-part="leg-front-left"]', (e) => e.getAttribute('points')!.split(' ').length);
    expect(await corners()).toBe(5);
    await (await radio(page, 'Straight')).click();
    await page.waitForFunction(
      () =>
        document.querySelector('polygon[data-part="leg-front-left"]')?.getAttribute('points')?.split(' ').length === 4,
    );
    await (await radio(page, 'Tapered inside')).click();
    await (await radio(page, 'Plan')).click();
    await page.waitForSelector('[data-part="cross-rail-1"]');
    await fill(page, 'Cross rails', '0');
    await page.waitForFunction(() => !document.querySelector('[data-part="cross-rail-1"]'));
    await fill(page, 'Overhang, sides', '20');
    await page.waitForFunction(
      () => document.querySelector('[data-dimension="base-width"] text')?.textContent === '860',
    );
    await fill(page, 'Cross rails', '1');
    await saved(page);
    expect(await decisions()).toMatchObject({
      form: { top: { length: 1650, sideOverhang: 20 }, base: { crossRails: 1 } },
    });
    expect(page.faults).toEqual([]);
  });

  it('season: another home, other sawing and drawn movement change what they should and nothing else', async () => {
    const page = await openPage(`/jobs/${id}/season`);
    const swing = () => figure(page, 'Between driest and wettest').then((t) => Number.parseFloat(t ?? ''));
    const flat = await swing();
    await (await radio(page, 'Quarter')).click();
    await expect.poll(swing).toBeLessThan(flat);
    await (await radio(page, 'Flat')).click();
    await expect.poll(swing).toBe(flat);
    const homes = await page.$$eval('main select', (all) => all[1]!.id);
    expect(homes).toBeTruthy();
    const heightOf = () =>
      page.$eval('polygon[data-part="top"]', (e) => e.getBoundingClientRect().height / e.getBoundingClientRect().width);
    const trueShape = await heightOf();
    const written = await dimension(page, 'width');
    await page.select('label select', '20');
    await expect.poll(heightOf).toBeGreaterThan(trueShape * 1.05);
    expect(await dimension(page, 'width')).toBe(written);
    await (await radio(page, 'Through the year')).click();
    await page.waitForSelector('.recharts-line path');
    const travel = () => figure(page, 'Travel needed each way');
    const asGlued = await travel();
    await fill(page, 'Moisture when glued %', '12');
    await expect.poll(travel).not.toBe(asGlued);
    await fill(page, 'Moisture when glued %', '99');
    await reads(page, '[role="alert"]', /Between 2 and 30/);
    await saved(page);
    expect((await decisions()).season.moistureAtGluing).toBe(12);
  });

  it('joints: loose tenons cut the aprons to their shoulders; tenons asked too long collide and are seen to', async () => {
    const page = await openPage(`/jobs/${id}/joints`);
    const shoulder = await figure(page, 'Long apron, between its shoulders');
    expect(await figure(page, 'Long apron, overall')).not.toBe(shoulder);
    await choose(page, 'Leg and apron', 'loose-tenon');
    await expect.poll(() => figure(page, 'Long apron, overall')).toBe(shoulder);
    await choose(page, 'Leg and apron', 'mortise-tenon');
    await (await radio(page, 'Shortened')).click();
    await fill(page, 'Tenon length', '52');
    await page.waitForSelector('[data-check="joints.tenons-meet"][data-level="stop"]');
    await page.waitForSelector('svg .fill-stop-tint');
    await (await page.waitForSelector('[data-check="joints.tenons-meet"] button[data-way-out]'))!.click();
    await page.waitForFunction(() => !document.querySelector('[data-check="joints.tenons-meet"][data-level="stop"]'));
    await expect.poll(async () => (await decisions()).joints).toMatchObject({ meeting: 'auto', tenonLength: null });
  });

  it('layout: a pinned board keeps its pieces while another aim is searched for; its cuts go out as shown', async () => {
    const page = await openPage(`/jobs/${id}/layout`);
    await laidOut(page);
    const board = await page.$eval('figure[data-board]', (e) => (e as HTMLElement).dataset.board!);
    const pieces = () =>
      page.$eval(`figure[data-board="${board}"]`, (e) => e.getAttribute('aria-label')!.replace(/^.*: /, ''));
    const before = await pieces();
    await (await button(page, `Pin ${board}`)).click();
    await button(page, `Unpin ${board}`);
    await (await field(page, 'Aim', 'combobox')).select('fewest-boards');
    await reads(page, 'main', /Searching/);
    await laidOut(page);
    expect((await pieces()).split(', ').length).toBeGreaterThanOrEqual(before.split(', ').length);
    await expect.poll(async () => (await decisions()).layout).toMatchObject({ pinned: [board], aim: 'fewest-boards' });
    await saved(page);

    await (await radio(page, 'Cuts')).click();
    const shown = await page.$$eval('main table tbody tr', (all) => all.length);
    const cuts = await call<string>('GET', `/api/jobs/${id}/files/cuts.csv`);
    expect(cuts.data.trim().split('\n')).toHaveLength(shown + 1);
    const drawing = new DxfParser().parseSync((await call<string>('GET', `/api/jobs/${id}/files/layout.dxf`)).data)!;
    const parts = drawing.entities.filter((entity) => entity.layer === 'PARTS');
    const svg = (await call<string>('GET', `/api/jobs/${id}/files/layout.svg`)).data;
    expect(parts).toHaveLength(svg.match(/data-part=/g)!.length);
    await (await radio(page, 'Boards')).click();
    await (await button(page, `Unpin ${board}`)).click();
    await (await field(page, 'Aim', 'combobox')).select('save-wood');
    await saved(page);
    expect(page.faults).toEqual([]);
  });

  it('layout: aprons from one board come in their order round the table, and say at how many corners the grain runs on', async () => {
    const page = await openPage(`/jobs/${id}/layout`);
    await reads(page, 'main', /Searching|changes tried/);
    await (await page.waitForSelector('label ::-p-text(The aprons)'))!.click();
    await reads(page, 'main', /lie in this order along one board: the grain runs on at [1-3] of 4 corners/);
    // The letters that it names stand in that order on one board.
    const letters = (await page.$eval('main', (e) => (e as HTMLElement).innerText)).match(
      /([A-Z](?: [A-Z])+)[^.]* lie in this order/,
    )![1]!;
    const along = await page.$$eval('figure[data-board]', (all) => all.map((e) => e.getAttribute('aria-label')!));
    expect(along.some((label) => letters.split(' ').every((letter) => new RegExp(`\\b${letter}\\b`).test(label)))).toBe(
      true,
    );
    await expect.poll(async () => (await decisions()).layout.oneBoard).toEqual(['apron']);
    await saved(page);
    await (await page.waitForSelector('label ::-p-text(The aprons)'))!.click();
    await expect.poll(async () => (await decisions()).layout.oneBoard).toEqual([]);
    await saved(page);
    expect(page.faults).toEqual([]);
  });

  it('layout: boards left out are not used, and what is missing is asked for in board feet', async () => {
    const page = await openPage(`/jobs/${id}/layout`);
    await laidOut(page);
    const used = () => page.$$eval('figure[data-board]', (all) => all.map((e) => (e as HTMLElement).dataset.board!));
    const first = await used();
    await fill(page, 'Leave these boards out', first[0]!);
    await page.waitForFunction((tag: string) => !document.querySelector(`figure[data-board="${tag}"]`), {}, first[0]!);
    expect(await used()).not.toContain(first[0]);
    const ash = (await call<{ tag: string; species: string }[]>('GET', '/api/boards')).data
      .filter((b) => b.species === 'ash-white')
      .map((b) => b.tag);
    await fill(page, 'Leave these boards out', ash.slice(1).join(' '));
    await reads(page, 'main', /to buy/);
    await page.waitForSelector('[data-check="layout.shortfall"][data-level="stop"]');
    await reads(page, 'main', /6\/4 rough/);
    await fill(page, 'Leave these boards out', ' ');
    await reads(page, 'main', /To buy\s+nothing/);
    await (await radio(page, 'Pieces')).click();
    expect((await page.$$('main table tbody tr')).length).toBeGreaterThan(10);
    expect(page.faults).toEqual([]);
  });

  it('glue-up and plan: the school changes the goes, quick glue warns, no finish saves its coats', async () => {
    const page = await openPage(`/jobs/${id}/form`);
    await fill(page, 'Length', '2210');
    await saved(page);
    await goTo(page, 'glue-up');
    const goes = () => page.$$eval('[data-stage]', (all) => all.length);
    const byPlaner = await goes();
    await (await radio(page, 'At once')).click();
    await expect.poll(goes).toBe(1);
    await choose(page, 'Glue', 'pva');
    await page.waitForSelector('[data-check="glue-up.panel.time"]');
    await (await radio(page, 'By planer')).click();
    await expect.poll(goes).toBe(byPlaner);
    await goTo(page, 'plan');
    const operations = () => page.$$eval('main ol > li', (all) => all.length);
    const before = await operations();
    const finish = await page.$$eval('main select', (all) => all[0]!.id);
    expect(await page.$$eval('main select option', (all) => all.map((e) => e.textContent))).toEqual([
      ...['Oil and wax', 'Varnish', 'Shellac', 'Lacquer', 'Epoxy sealer', 'Paste wax', 'None'],
    ]);
    await page.select(`[id="${finish}"]`, 'none');
    await expect.poll(operations).toBe(before - 3);
    await (await page.$('main summary'))!.click();
    await reads(page, 'main', /Guards on/);
    await saved(page);
  });

  it('the units change in every step at once', async () => {
    const page = await openPage(`/jobs/${id}/form`);
    await (await button(page, 'in')).click();
    for (const step of ['brief', 'form', 'season', 'joints', 'layout', 'glue-up', 'bench']) {
      await goTo(page, step);
      await page.waitForFunction(
        () =>
          /\d\/\d+"/.test(document.querySelector('main')?.innerText ?? '') ||
          /\d"/.test(document.querySelector('main')?.textContent ?? ''),
      );
      const text = await page.$eval('main', (e) => (e as HTMLElement).innerText);
      expect(text, step).not.toMatch(/\d mm\b/);
    }
    // The next page comes from the server in inches already.
    const html = await (await fetch(`${base}/jobs/${id}/form`, { headers: { cookie: 'taller-units=inch' } })).text();
    expect(html).toMatch(/\d\/\d+&quot;|\d\/\d+"/);
  });

  it('a decimal comma, once it is chosen, is in every figure of every step, in what the server renders and on paper', async () => {
    const page = await openPage('/shop');
    await (await radio(page, '12,5')).click();
    for (const step of ['form', 'season', 'joints', 'layout', 'glue-up', 'plan', 'bench']) {
      await page.goto(`${base}/jobs/${id}/${step}`);
      await reads(page, 'main', /\d/);
      const text = await page.$eval('main', (e) => (e as HTMLElement).innerText);
      expect(text.match(/.*\d\.\d.*/g) ?? [], step).toEqual([]);
      if (step === 'season') expect(text).toMatch(/\d,\d %/);
    }
    const list = await (await fetch(`${base}/api/jobs/${id}/files/cut-list.csv?decimal=comma`)).text();
    expect(list).not.toMatch(/\d\.\d/);
    expect(page.faults).toEqual([]);
  });

  it('the dialog of sheets and files saves every one of them, after a search that can be stopped, or says why not', async () => {
    const fresh = (await newJob('Files for a test')).id;
    const page = await openPage(`/jobs/${fresh}/plan`);
    const saves = await downloadsOf(page);
    await page.keyboard.press('p');
    await page.waitForSelector('[role="dialog"]');
    await (await radio(page, 'Letter')).click();
    // No layout is there yet: it is searched, told, and stopped.
    await (await button(page, 'Save Sheet, PDF')).click();
    await page.waitForSelector('[role="dialog"] [role="progressbar"]');
    await (await button(page, 'Stop Sheet, PDF')).click();
    await page.waitForFunction(() => !document.querySelector('[role="dialog"] [role="progressbar"]'));
    expect(saves.names()).toEqual([]);
    await (await button(page, 'Save Sheet, PDF')).click();
    expect((await saves.file(/sheet\.pdf$/)).subarray(0, 5).toString()).toBe('%PDF-');
    const rest = [
      ['Boards, PDF', /boards\.pdf$/],
      ['Full size, PDF', /full-size\.pdf$/],
      ['Full size, DXF', /full-size\.dxf$/],
      ['Cut list, CSV', /cut-list\.csv$/],
      ['Layout, SVG', /layout\.svg$/],
      ['Layout, DXF', /layout\.dxf$/],
      ['Cuts, CSV', /cuts\.csv$/],
      ['Piece, glTF', /\.glb$/],
      ['Job file', /\.taller\.json$/],
    ] as const;
    for (const [name, called] of rest) {
      await (await button(page, `Save ${name}`)).click();
      expect((await saves.file(called)).byteLength, name).toBeGreaterThan(300);
      await button(page, `Save ${name}`);
    }
    expect(saves.names()).toHaveLength(1 + rest.length);
    await page.setOfflineMode(true);
    await (await button(page, 'Save Job file')).click();
    await reads(page, '[role="dialog"] [role="alert"]', /The server does not answer/);
    await page.setOfflineMode(false);
    expect(page.faults).toEqual([]);
  });

  it('a file takes the best layout that is found by now, and no other search is begun for it', async () => {
    const fresh = (await newJob('Best so far for a test')).id;
    const page = await openPage(`/jobs/${fresh}/form`);
    const saves = await downloadsOf(page);
    await page.keyboard.press('p');
    await page.waitForSelector('[role="dialog"]');
    await page.evaluate(() => {
      const kept = window as unknown as { begun: number };
      kept.begun = 0;
      new MutationObserver((all) => {
        for (const node of all.flatMap(({ addedNodes }) => [...addedNodes]))
          if (node instanceof Element && node.querySelector('[aria-label="Search for a layout"]')) kept.begun += 1;
      }).observe(document.body, { childList: true, subtree: true });
    });
    await (await button(page, 'Save Boards, PDF')).click();
    await (await button(page, 'Take the best so far')).click();
    expect((await saves.file(/boards\.pdf$/)).subarray(0, 5).toString()).toBe('%PDF-');
    expect(await page.evaluate(() => (window as unknown as { begun: number }).begun)).toBe(1);
    expect(page.faults).toEqual([]);
  });
});
