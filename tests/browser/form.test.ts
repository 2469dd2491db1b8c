import type { Page } from 'puppeteer-core';
import { describe, expect, it } from 'vitest';
import type { BaseOf, JobDocument } from '@/core';
import { onlyPiece } from '../fixtures/demo';
import { button, call, choose, field, fill, newJob, openPage, radio, reads, saved, visit, withBrowser } from './desk';

withBrowser();

const formOf = async (id: string) =>
  onlyPiece((await call<{ document: JobDocument }>('GET', `/api/jobs/${id}`)).data.document).form;

const closed = (page: Page, id: string) =>
  page.$eval(`details[data-question="${id}"]`, (e) => !(e as HTMLDetailsElement).open);

describe('the form as questions', () => {
  it('a closed question says what is decided; opened, it lights its parts while one of its fields has the focus', async () => {
    const { id } = await newJob('Questions for a test');
    const page = await openPage(`/jobs/${id}/form`);
    expect(await closed(page, 'size')).toBe(false);
    expect(await closed(page, 'legs')).toBe(true);
    const said = await page.$eval('details[data-question="legs"] summary', (e) => e.textContent);
    expect(said).toMatch(/What are its legs like\?/);
    expect(said).toMatch(/\d+/);
    await page.click('details[data-question="legs"] summary');
    await (await field(page, 'Leg')).focus();
    const lit = await page.$$eval('polygon[data-part].fill-layout-tint', (all) =>
      all.map((e) => e.getAttribute('data-part')),
    );
    expect(lit.length).toBeGreaterThan(0);
    for (const part of lit) expect(part).toMatch(/leg/);
    // What is refused stays, with why and what may be there.
    await fill(page, 'Leg', '9999');
    await page.keyboard.press('Tab');
    await reads(page, 'details[data-question="legs"]', /Between \d+ and \d+/);
    await (await button(page, 'Open all questions')).click();
    expect(await page.$$('main details[data-question]:not([open])')).toHaveLength(0);
    expect(page.faults).toEqual([]);
  });

  it('another kind says first what it changes, is taken when that is wanted, and the old one comes back', async () => {
    const { id } = await newJob('Kinds for a test');
    const page = await openPage(`/jobs/${id}/form`);
    const before = await formOf(id);
    await page.click('details[data-question="base"] summary');
    const list = await field(page, 'Kind of base', 'combobox');
    await list.select('trestle');
    await reads(page, '[aria-label="What this changes"]', /Base: .* → /);
    await reads(page, '[aria-label="What this changes"]', /Overhang, ends: /);
    await page.waitForSelector('[aria-label="As it would be: trestle"] path');
    expect(await formOf(id)).toEqual(before);
    await (await button(page, 'Keep legs and aprons')).click();
    expect(await list.evaluate((e) => e.value)).toBe('leg-apron');
    await choose(page, 'Kind of base', 'trestle');
    await saved(page);
    expect((await formOf(id)).base.kind).toBe('trestle');
    await choose(page, 'Kind of base', 'leg-apron');
    await saved(page);
    expect((await formOf(id)).base).toEqual(before.base);
    expect(page.faults).toEqual([]);
  });

  it('length and height are dragged in the drawing, by hand and by arrow keys; Escape leaves them', async () => {
    const { id } = await newJob('Dragged for a test');
    const page = await openPage(`/jobs/${id}/form`);
    const before = await formOf(id);
    const grip = async (label: string) => {
      const found = await page.waitForSelector(`[data-grip="${label}"]`);
      const { x, y, width, height } = (await found!.boundingBox())!;
      return [x + width / 2, y + height / 2] as const;
    };
    const [x, y] = await grip('Length');
    await page.mouse.move(x, y);
    await page.mouse.down();
    await page.mouse.move(x - 60, y, { steps: 4 });
    await page.mouse.up();
    await saved(page);
    const shorter = await formOf(id);
    expect(shorter.top.length).toBeLessThan(before.top.length - 50);
    expect(shorter.top.length % 5).toBe(0);
    const [hx, hy] = await grip('Table height');
    await page.mouse.move(hx, hy);
    await page.mouse.down();
    await page.mouse.move(hx, hy + 40, { steps: 3 });
    await page.keyboard.press('Escape');
    await page.mouse.up();
    await page.$eval('[data-grip="Table height"]', (e) => (e as SVGElement).focus());
    await page.keyboard.press('ArrowDown');
    await saved(page);
    expect((await formOf(id)).base.height).toBe(Math.ceil(before.base.height / 5 - 1e-6) * 5 - 5);
    expect(page.faults).toEqual([]);
  });

  it('the foot of a tapered leg and the height of a shelf are dragged too', async () => {
    const { id } = await newJob('Taper and shelf for a test');
    const page = await openPage(`/jobs/${id}/form`);
    await (await radio(page, 'Tapered inside')).click();
    await (await radio(page, 'With a shelf')).click();
    await saved(page);
    const base = async () => (await formOf(id)).base as BaseOf<'leg-apron'>;
    const before = await base();
    const nudge = async (label: string) => {
      await page.waitForSelector(`[data-grip="${label}"]`);
      await page.$eval(`[data-grip="${label}"]`, (e) => (e as SVGElement).focus());
      await page.keyboard.press('ArrowUp');
      await saved(page);
    };
    await nudge('Foot');
    await (await radio(page, 'End')).click();
    await nudge('Stretchers, floor to their middle');
    const after = await base();
    const nextFive = (mm: number) => (Math.floor(mm / 5 + 1e-6) + 1) * 5;
    if (before.leg.taper.kind !== 'tapered' || after.leg.taper.kind !== 'tapered') throw new Error('not tapered');
    if (before.stretchers.kind !== 'shelf' || after.stretchers.kind !== 'shelf') throw new Error('no shelf');
    expect(after.leg.taper.foot).toBe(nextFive(before.leg.taper.foot));
    expect(after.stretchers.at).toBe(nextFive(before.stretchers.at));
    expect(page.faults).toEqual([]);
  });
});

describe('finding one’s way', () => {
  it('the words on a screen open to what they mean', async () => {
    const { id } = await newJob('Words for a test');
    const page = await openPage(`/jobs/${id}/joints`);
    await (await button(page, 'Words here …')).click();
    await reads(page, '[role="dialog"]', /mortise|tenon/);
    await page.keyboard.press('Escape');
    await visit(page, '/rack');
    await page.keyboard.press('w');
    await reads(page, '[role="dialog"]', /board/);
    expect(page.faults).toEqual([]);
  });

  it('a first walk goes through a job in five steps, and can be left at any time', async () => {
    const page = await openPage('/jobs');
    await (await button(page, 'A first walk, in five steps')).click();
    for (const step of ['brief', 'form', 'season', 'layout', 'bench']) {
      await page.waitForFunction((s: string) => location.pathname.endsWith(`/${s}`), {}, step);
      await reads(page, '[aria-label="A first walk"]', /of 5/);
      if (step !== 'bench') await page.click('[aria-label="A first walk"] button');
    }
    await (await button(page, 'Done')).click();
    await page.waitForFunction(() => !document.querySelector('[aria-label="A first walk"]'));
    await visit(page, '/jobs');
    await (await button(page, 'A first walk, in five steps')).click();
    await (await button(page, 'Leave the walk')).click();
    await page.waitForFunction(() => !document.querySelector('[aria-label="A first walk"]'));
    expect(page.faults).toEqual([]);
  });
});
