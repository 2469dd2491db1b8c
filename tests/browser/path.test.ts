import type { Page } from 'puppeteer-core';
import { describe, expect, it } from 'vitest';
import {
  button,
  downloadsOf,
  field,
  fill,
  goTo,
  laidOut,
  link,
  openPage,
  radio,
  reads,
  saved,
  withBrowser,
} from './desk';

withBrowser();

const press = async (page: Page, ...keys: string[]) => {
  for (const key of keys) await page.keyboard.press(key as 'Tab');
};

/** Goes on by Tab until the focus stands on something whose label reads so. */
async function tabTo(page: Page, name: string | RegExp, most = 90) {
  for (let i = 0; i < most; i += 1) {
    await page.keyboard.press('Tab');
    const at = await page.evaluate(() => {
      const e = document.activeElement as HTMLInputElement | null;
      return e ? (e.getAttribute('aria-label') ?? e.labels?.[0]?.innerText ?? e.innerText ?? '').trim() : '';
    });
    if (typeof name === 'string' ? at === name : name.test(at)) {
      // Whoever works by keyboard must see where the focus is.
      const outline = await page.evaluate(() => getComputedStyle(document.activeElement as Element).outlineStyle);
      expect(outline, `focus on ${at}`).not.toBe('none');
      return;
    }
  }
  expect.fail(`Tab never came to ${name}`);
}

describe('from a room to a cut board', () => {
  it('with the mouse: a table for six in a 4.2 × 3.4 m room, through every step to a layout, a glue-up card and a PDF', async () => {
    const page = await openPage('/jobs');
    await (await link(page, 'New job')).click();
    await page.waitForSelector('form');
    await fill(page, 'Name of the job', 'Mouse table');
    await fill(page, 'Seats', '6');
    await fill(page, 'Room, long', '4.2 m');
    await fill(page, 'Room, wide', '340 cm');
    await page.select(await selectId(page, 'Wood'), 'walnut-black');
    await (await button(page, 'Start the job')).click();
    await page.waitForFunction(() => location.pathname.endsWith('/brief'));
    await reads(page, 'nav', /6 seats/);

    await goTo(page, 'form');
    await fill(page, 'Thickness', '30');
    await reads(page, 'h1', /^Form$/);
    await saved(page);
    expect(await page.$$('svg [data-part="top"]')).not.toHaveLength(0);

    await goTo(page, 'season');
    await reads(page, 'main', /between\s+[89]\d\d/);
    await goTo(page, 'joints');
    await reads(page, 'main', /into the leg/);
    await goTo(page, 'layout');
    await laidOut(page);
    await page.waitForSelector('figure[data-board]');
    await reads(page, 'main', /To buy\s+nothing/);
    expect((await page.$$('figure[data-board] [data-part="p1.1:top"]')).length).toBeGreaterThan(4);

    await goTo(page, 'glue-up');
    await reads(page, 'main', /the strips of the layout/);
    await reads(page, 'main', /Clamps of at least/);
    await goTo(page, 'plan');
    await reads(page, 'main', /Crosscut the boards/);
    await goTo(page, 'bench');
    await reads(page, 'caption', /Cut list/);
    expect((await page.$$('tr[data-row]')).length).toBeGreaterThanOrEqual(9);

    await (await button(page, 'Sheets and files …')).click();
    const saves = await downloadsOf(page);
    await (await button(page, 'Save Sheet, PDF')).click();
    expect((await saves.file(/sheet\.pdf$/)).subarray(0, 5).toString()).toBe('%PDF-');
    expect(page.faults).toEqual([]);
  });

  it('with the keyboard only: the same path', async () => {
    const page = await openPage('/jobs');
    await tabTo(page, 'New job');
    await press(page, 'Enter');
    await page.waitForSelector('form');
    await tabTo(page, 'Name of the job');
    await page.keyboard.down('Control');
    await press(page, 'a');
    await page.keyboard.up('Control');
    await page.keyboard.type('Keyboard table');
    await tabTo(page, 'Seats');
    await page.keyboard.type('6');
    await tabTo(page, 'Room, long');
    await page.keyboard.type('4200');
    await tabTo(page, 'Room, wide');
    await page.keyboard.type('3400');
    await press(page, 'Enter');
    // Of the wood that the rack has enough of for a table of this size.
    await tabTo(page, 'Wood');
    await page.keyboard.type('Black walnut');
    await tabTo(page, 'Start the job');
    await press(page, 'Enter');
    await page.waitForFunction(() => location.pathname.endsWith('/brief'));
    await page.waitForSelector('h1');
    await reads(page, 'nav', /6 seats/);

    const step = async (key: string, name: string) => {
      await page.evaluate(() => (document.activeElement as HTMLElement | null)?.blur());
      await press(page, key);
      await page.waitForFunction((s: string) => location.pathname.endsWith(`/${s}`), {}, name);
      await page.waitForSelector('h1');
    };
    await step('2', 'form');
    await tabTo(page, 'Thickness');
    await page.keyboard.type('30');
    await saved(page);
    await step('3', 'season');
    await tabTo(page, /^Day shown/);
    const before = await page.$eval('[role="slider"]', (e) => e.getAttribute('data-day'));
    await press(page, 'ArrowRight', 'PageUp');
    expect(await page.$eval('[role="slider"]', (e) => e.getAttribute('data-day'))).not.toBe(before);
    await step('4', 'joints');
    await step('5', 'layout');
    await tabTo(page, 'Stop');
    await press(page, 'Enter');
    await reads(page, 'main', /changes tried/);
    await reads(page, 'main', /To buy\s+nothing/);
    await step('6', 'glue-up');
    await reads(page, 'main', /the strips of the layout/);
    await step('7', 'plan');
    await step('8', 'bench');
    await tabTo(page, /A, Top, is cut/);
    await press(page, 'Space');
    await reads(page, 'main', /1\s+of \d+ parts cut/);
    await saved(page);
    await page.evaluate(() => (document.activeElement as HTMLElement | null)?.blur());
    await press(page, 'z');
    await reads(page, 'main', /0\s+of \d+ parts cut/);
    await press(page, 'p');
    const saves = await downloadsOf(page);
    await tabTo(page, 'Save Sheet, PDF');
    await press(page, 'Enter');
    expect((await saves.file(/sheet\.pdf$/)).subarray(0, 5).toString()).toBe('%PDF-');
    expect(page.faults).toEqual([]);
  });

  it('the keys are listed by ?, u changes the units everywhere, and none of them acts while one types', async () => {
    const page = await openPage('/jobs/new');
    await (await field(page, 'Name of the job')).click({ count: 3 });
    await page.keyboard.type('u?g');
    expect(await (await field(page, 'Name of the job')).evaluate((e) => (e as HTMLInputElement).value)).toBe('u?g');
    expect(await page.$('[role="dialog"]')).toBeNull();
    await page.evaluate(() => (document.activeElement as HTMLElement | null)?.blur());
    await press(page, '?');
    await reads(page, '[role="dialog"]', /Millimetres or inches/);
    await press(page, 'Escape');
    expect(await (await field(page, 'Room, long')).evaluate((e) => (e as HTMLInputElement).value)).toBe('4\u202f500');
    await press(page, 'u');
    expect(await (await field(page, 'Room, long')).evaluate((e) => (e as HTMLInputElement).value)).toMatch(
      /^177 5\/32"/,
    );
    await (await radio(page, 'Benches')).click();
  });
});

async function selectId(page: Page, label: string): Promise<string> {
  const id = await page.$$eval(
    'label',
    (labels, text) => labels.find((l) => l.textContent?.trim() === text)?.htmlFor,
    label,
  );
  return `[id="${id}"]`;
}
