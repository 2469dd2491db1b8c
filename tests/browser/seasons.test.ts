import { execFile } from 'node:child_process';
import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { promisify } from 'node:util';
import type { Page } from 'puppeteer-core';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { onlyPiece } from '../fixtures/demo';
import type { JobReply } from '../http/api';
import {
  again,
  base,
  button,
  call,
  field,
  fill,
  goTo,
  newJob,
  openPage,
  radio,
  reads,
  saved,
  widthShown,
  withBrowser,
} from './desk';

withBrowser();

const figures = (page: Page) =>
  page.$$eval('main div', (all) =>
    Object.fromEntries(
      all
        .filter((e) => e.children.length === 2 && e.querySelector('button[title="How this was reckoned"]'))
        .map((e) => [e.children[0]?.textContent ?? '', Number.parseFloat(e.children[1]?.textContent ?? '')]),
    ),
  );

describe('the season of a job', () => {
  let id: string;
  const decisions = async () => onlyPiece((await call<JobReply>('GET', `/api/jobs/${id}`)).data.document);
  beforeAll(async () => {
    id = (await newJob('Seasons', 'oak-white')).id;
  });
  afterAll(async () => {
    await call('DELETE', `/api/jobs/${id}`);
  });

  it('the year folds to a line with its day, and the drawing takes the room', async () => {
    const page = await openPage(`/jobs/${id}/form`);
    const high = () => page.$eval('section[aria-label="Drawing"]', (e) => e.getBoundingClientRect().height);
    const before = await high();
    const day = await page.$eval('[role="slider"][data-day]', (e) => e.getAttribute('aria-valuetext')!.split(',')[0]!);
    await (await button(page, 'Fold the year')).click();
    await page.waitForFunction(() => !document.querySelector('[role="slider"][data-day]'));
    await expect.poll(high).toBeGreaterThan(before + 60);
    await reads(page, 'main', new RegExp(day.split(' ').slice(0, 2).join(' ')));
    // It stays so from step to step; a month on moves the day all the same.
    await goTo(page, 'season');
    await page.keyboard.press(']');
    await (await button(page, 'Show the year')).click();
    const later = await page.$eval('[role="slider"][data-day]', (e) => e.getAttribute('aria-valuetext')!);
    expect(later.startsWith(day)).toBe(false);
    expect(page.faults).toEqual([]);
  });

  it('through the year: both lines, and the band drawn in a worker while the page still answers', async () => {
    const page = await openPage(`/jobs/${id}/season`);
    await (await radio(page, 'Through the year')).click();
    await page.waitForSelector('[role="progressbar"]');
    // The day handle moves while the draws are made.
    const slider = () => page.$eval('[role="slider"]', (e) => e.getAttribute('data-day'));
    const before = await slider();
    await page.$eval('[role="slider"]', (e) => (e as SVGElement).focus());
    await page.keyboard.press('PageDown');
    expect(await slider()).not.toBe(before);
    await page.waitForSelector('[data-band="drawn"]', { timeout: 60_000 });
    await reads(page, 'main', /nine in ten of 500 draws/);
    expect((await page.$$('.recharts-line path.recharts-curve')).length).toBe(2);
    expect(await page.$('.recharts-area path')).not.toBeNull();
    expect(page.faults).toEqual([]);
  });

  it('ties: every fastener’s need and room, and a stop with its way out when the room is too small', async () => {
    const page = await openPage(`/jobs/${id}/season`);
    await (await radio(page, 'Ties')).click();
    await reads(page, 'main', /Every joint and fastener lets the wood go/);
    expect((await page.$$('tr[data-tie]')).length).toBeGreaterThanOrEqual(2);
    await fill(page, 'Travel outward', '1');
    await reads(page, 'main', /too short/);
    await page.waitForSelector('[data-check="season.top-travel"][data-level="stop"]');
    await (await page.waitForSelector('[data-check="season.top-travel"] button[data-way-out]'))!.click();
    await page.waitForFunction(() => !document.querySelector('[data-check="season.top-travel"][data-level="stop"]'));
    expect(await page.$eval('main', (e) => e.textContent)).not.toMatch(/too short/);
    await saved(page);
  });

  it('shape: three ways of laying the strips, each with its height, one of them in force', async () => {
    const page = await openPage(`/jobs/${id}/season`);
    await (await radio(page, 'Shape')).click();
    const heights = await page.$$eval('[data-school]', (all) =>
      all.map((e) => Number.parseFloat(e.querySelector('b')!.textContent!)),
    );
    expect(heights).toHaveLength(3);
    for (const height of heights) expect(height).toBeGreaterThan(0);
    expect(heights[0]).toBeLessThan(Math.max(...heights));
    await (await button(page, 'All one way')).click();
    await saved(page);
    expect((await decisions()).season.ringSchool).toBe('all-one-way');
  });

  it('schools and reckoning: what each says is shown, the one in force moves the figures', async () => {
    const page = await openPage(`/jobs/${id}/season`);
    const swing = async () => (await figures(page))['Between driest and wettest']!;
    const at = await figures(page);
    expect(at['Coefficients, in force']).toBeCloseTo(await swing(), 1);
    expect(at['Rule of thumb']).toBeGreaterThan(0);
    await (await radio(page, 'Swelling')).click();
    await expect.poll(swing).toBeCloseTo(at.Swelling!, 1);
    await (await radio(page, 'As simulated')).click();
    await expect.poll(swing).toBeLessThan(at.Swelling! - 0.1);
    await reads(page, 'main', /as moisture gets in and out/);
    await saved(page);
    expect((await decisions()).season).toMatchObject({ school: 'swelling', reckoning: 'simulated' });
    await (await radio(page, 'Coefficients')).click();
    await (await radio(page, 'The air at once')).click();
    await saved(page);
  });

  it('a width measured in August changes the forecast, and taking it away brings the old one back', async () => {
    const page = await openPage(`/jobs/${id}/season`);
    const swing = async () => (await figures(page))['Between driest and wettest']!;
    const before = await swing();
    await reads(page, 'main', /Each width measured corrects/);
    const width = Number.parseFloat((await widthShown(page))!.replace(/\s/g, ''));
    await fill(page, 'Width of the top', String(width - 5));
    await (await button(page, 'Enter it')).click();
    await page.waitForSelector('[data-measured]');
    await reads(page, '[data-learned]', /times what the table says/);
    await expect.poll(swing).not.toBe(before);
    expect(Number.parseFloat((await widthShown(page))!.replace(/\s/g, ''))).toBeLessThan(width - 2);
    await saved(page);
    expect((await decisions()).season.measured).toHaveLength(1);
    await page.click('[data-measured] button');
    await expect.poll(swing).toBe(before);
    // A reveal says the same: the base keeps its width, and the top is that and its overhang twice.
    await (await radio(page, 'Its overhang')).click();
    await fill(page, 'Overhang at a side', '38');
    await (await button(page, 'Enter it')).click();
    await page.waitForSelector('[data-measured]');
    await saved(page);
    const { form, season } = await decisions();
    expect(season.measured[0]!.width).toBeCloseTo(form.top.width - 2 * form.top.sideOverhang + 76, 6);
    expect(season.measured[0]!.note).toMatch(/overhang of 38/);
  });
});

describe('the quick season', () => {
  it('answers at once, without a job: wood, width, rings and airs each change the figure', async () => {
    const page = await openPage('/quick-season');
    const swing = () => page.$eval('[data-result="swing"] button', (e) => Number.parseFloat(e.textContent!));
    const first = await swing();
    expect(first).toBeGreaterThan(1);
    await fill(page, 'Width', '450');
    await expect.poll(swing).toBeCloseTo(first / 2, 0);
    await (await radio(page, 'Quarter')).click();
    await expect.poll(swing).toBeLessThan(0.6 * (first / 2));
    await (await radio(page, 'two moistures')).click();
    await fill(page, 'Dry, moisture %', '8');
    await fill(page, 'Wet, moisture %', '12');
    // White oak, quarter-sawn: 450 · 0.00194 · 4.
    await expect.poll(swing).toBeCloseTo(3.5, 1);
    await page.click('[data-result="swing"] button');
    await reads(page, '[role="dialog"]', /0\.00194 per %/);
    await page.keyboard.press('Escape');
    await fill(page, 'Width', 'wide');
    await reads(page, '[role="alert"]', /does not read as a length/);
    expect(await swing()).toBeCloseTo(3.5, 1);
    expect(page.faults).toEqual([]);
  });
});

describe('places', () => {
  it('a room takes the air outdoors in, by a kind of climate, and a logger’s file stands before its months', async () => {
    const page = await openPage('/shop');
    await (await button(page, 'Add a place')).click();
    await page.waitForSelector('[role="dialog"]');
    await fill(page, 'Name', 'Cottage, tested');
    await (await radio(page, 'The air outdoors')).click();
    const climate = await page.$$eval('[role="dialog"] select', (all) => all[0]!.id);
    await page.select(`[id="${climate}"]`, 'cold-continental');
    expect(await (await field(page, 'Jan, temperature °C')).evaluate((e) => e.value)).toBe('-11');
    // A frosty month heated to 20 °C: the air indoors is very dry.
    await reads(page, '[role="dialog"]', /indoors 20\.0 °C [5-9] %, wood comes to [12]\.\d %/);
    await fill(page, 'A humidifier keeps at least %', '35');
    await reads(page, '[role="dialog"]', /indoors 20\.0 °C 35 %/);
    const file = join(mkdtempSync(join(tmpdir(), 'taller-log-')), 'log.csv');
    const lines = Array.from({ length: 7 * 24 }, (_, i) => {
      const at = new Date(Date.UTC(2026, 5, 1, i));
      return `${61 + (i % 24) / 6},${at.toISOString().slice(0, 16).replace('T', ' ')},${(68 + (i % 24) / 4).toFixed(1)}`;
    });
    writeFileSync(file, ['RH %,Time,Temp °F', ...lines, 'broken,yesterday,hot'].join('\n'));
    const input = await page.$('[role="dialog"] input[type="file"]');
    await (input as unknown as { uploadFile: (path: string) => Promise<void> }).uploadFile(file);
    await reads(page, '[role="dialog"]', /168 readings on 7 days, 1 Jun 2026 to 7 Jun 2026/);
    await reads(page, '[role="dialog"]', /read as °F/);
    await reads(page, '[role="dialog"]', /line 170/);
    await (await button(page, 'Take these days in')).click();
    await reads(page, '[role="dialog"]', /7 days are from a logger/);
    await (await button(page, 'Save the place')).click();
    await page.waitForFunction(() => !document.querySelector('[role="dialog"]'));
    await reads(page, 'main', /Cottage, tested/);
    await reads(page, 'main', /from the air outdoors, 7 days from a logger/);
    const { data } = await call<{ places: { id: string; name: string; logged: { temperature: number }[] }[] }>(
      'GET',
      '/api/shop',
    );
    const kept = data.places.find((p) => p.name === 'Cottage, tested')!;
    expect(kept.logged).toHaveLength(7);
    expect(kept.logged[0]!.temperature).toBeCloseTo(21.6, 1);
    await call('DELETE', `/api/places/${kept.id}`);
  });
});

describe('woods of the workshop’s own', () => {
  it('own values for a wood of the table change what the quick season says, until they are taken away', async () => {
    const quick = await openPage('/quick-season');
    const swing = (page: Page) => page.$eval('[data-result="swing"] button', (e) => Number.parseFloat(e.textContent!));
    const before = await swing(quick);
    const page = await openPage('/shop');
    await (await button(page, 'Add a wood')).click();
    await page.waitForSelector('[role="dialog"] select');
    const from = await page.$$eval('[role="dialog"] select', (all) => all[0]!.id);
    await page.select(`[id="${from}"]`, 'oak-white');
    expect(await (await field(page, 'Wood')).evaluate((e) => e.value)).toBe('White oak');
    await (await button(page, 'Save the wood')).click();
    await reads(page, '[role="dialog"] [role="alert"]', /where the values come from/);
    await fill(page, 'Source of these values', 'our own sticks');
    await fill(page, 'Coefficient, tangential', '0.0075');
    await (await button(page, 'Save the wood')).click();
    await reads(page, '[data-wood="oak-white"]', /in place of the table’s; our own sticks/);
    await reads(page, 'h1', /saved/);
    await again(quick);
    expect((await swing(quick)) / before).toBeCloseTo(0.0075 / 0.00376, 1);
    await (await button(page, 'Take away White oak')).click();
    await page.waitForFunction(() => !document.querySelector('[data-wood]'));
    await reads(page, 'h1', /saved/);
    await again(quick);
    expect(await swing(quick)).toBe(before);
  });
});

describe('the Air page', () => {
  it('a device is added, a stand-in posts with its token, and its readings arrive on the open page', async () => {
    const page = await openPage('/air');
    await fill(page, 'Device', 'Hygrometer, tested');
    await (await button(page, 'Add it')).click();
    const token = await page.waitForSelector('[data-token]').then((e) => e!.evaluate((code) => code.textContent!));
    await reads(page, '[data-device="Hygrometer, tested"]', /not heard of yet/);
    await promisify(execFile)('node', [join(import.meta.dirname, '../../bin/stand-in.mjs'), 'hygrometer'], {
      env: { ...process.env, TOKEN: token, TALLER_URL: base, ONCE: '1', PAST: '7' },
    });
    await reads(page, '[data-device="Hygrometer, tested"]', /last heard/);
    await page.waitForSelector('.recharts-line path.recharts-curve');
    await reads(page, '[data-air-now]', /read \d{4}-\d\d-\d\d \d\d:\d\d UTC/);
    await (await radio(page, 'Against the year')).click();
    await page.waitForSelector('figure[aria-label="The air of the year"]');
    await (await button(page, 'Take away Hygrometer, tested')).click();
    await page.waitForFunction(() => !document.querySelector('[data-device="Hygrometer, tested"]'));
    expect(page.faults).toEqual([]);
  });

  it('a reading entered by hand is corrected, and says how long the board must wait', async () => {
    const page = await openPage('/air');
    const row = '[data-board="K04"]';
    const was = (await call<{ id: string; tag: string; moisture: number }[]>('GET', '/api/boards')).data.find(
      (b) => b.tag === 'K04',
    )!;
    // The rows find their places when every wait is known.
    await page.waitForFunction(
      () => /may be milled/.test(document.body.innerText) && !/computing, /.test(document.body.innerText),
    );
    await (await button(page, 'Read K04')).click();
    await reads(page, '[role="dialog"]', /K04/);
    await fill(page, 'The meter shows %', '16');
    await fill(page, 'The wood is at °C', '8');
    await reads(page, '[role="dialog"]', /That is 1[78]\.\d %/);
    await (await button(page, 'Enter the reading')).click();
    await reads(page, row, /1[78]\.\d %/);
    await reads(page, row, /\d+ days?/);
    await fill(page, 'Boards should come to %', '17');
    await reads(page, row, /now/);
    expect(was.moisture).toBeLessThan(12);
    await call('POST', `/api/boards/${was.id}/readings`, {
      at: new Date().toISOString(),
      reading: was.moisture,
      woodTemperature: 20,
    });
  });
});
