import { mkdtempSync, readdirSync, readFileSync, statSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import puppeteer, { type Browser, type BrowserContext, type ElementHandle, type Page } from 'puppeteer-core';
import { afterAll, afterEach, beforeAll, beforeEach, expect, inject } from 'vitest';
import { base } from '../http/api';

export { base, call, newJob } from '../http/api';

/** How long anything on a page may take to come, ms. */
const PATIENCE = 90_000;

/** The page answers, and what was decided shows. */
const AWAKE = 'html[data-awake]:not([data-settling])';

let browser: Browser;
const contexts: BrowserContext[] = [];

/** Connects a test file to the one browser, and closes the pages it opened: what goes on in them takes time from the next. */
export function withBrowser() {
  let before = 0;
  beforeAll(async () => {
    browser = await puppeteer.connect({
      browserWSEndpoint: inject('browser'),
      defaultViewport: { width: 1280, height: 800 },
    });
  });
  beforeEach(() => {
    before = contexts.length;
  });
  afterEach(() => Promise.all(contexts.splice(before).map((context) => context.close())));
  afterAll(async () => {
    await Promise.all(contexts.splice(0).map((context) => context.close()));
    await browser.disconnect();
  });
}

/** A page of its own, with nothing remembered; what goes wrong in it fails the test that looks at `faults`. */
export async function openPage(path: string, context?: BrowserContext): Promise<Page & { faults: string[] }> {
  const own = context ?? (await browser.createBrowserContext());
  if (!context) contexts.push(own);
  const page = Object.assign(await own.newPage(), { faults: [] as string[] });
  // A busy machine takes its time; what never comes is still told before the test is over.
  page.setDefaultTimeout(PATIENCE);
  // Pages of several files are open side by side; each behaves as the one that is looked at.
  const devtools = await page.createCDPSession();
  await devtools.send('Emulation.setFocusEmulationEnabled', { enabled: true });
  lookByTheClock(page);
  page.on('pageerror', (error) => page.faults.push(String((error as Error).message ?? error)));
  await visit(page, path);
  return page;
}

/** Waits look ten times a second; puppeteer's own look when a frame is drawn, and a page behind another may draw none. */
function lookByTheClock(page: Page) {
  const polling = 100;
  const { waitForFunction, waitForSelector } = page;
  Object.assign(page, {
    waitForFunction: (what: string, options: object = {}, ...more: unknown[]) =>
      waitForFunction.call(page, what, { polling, ...options }, ...more),
    waitForSelector: (selector: string, options: object = {}) =>
      waitForSelector.call(page, selector, { polling, ...options } as object),
  });
}

/** Goes to a page of Taller, and waits until it answers. */
export async function visit(page: Page, path: string) {
  await page.goto(base + path, { waitUntil: 'load' });
  await page.waitForSelector(AWAKE);
}

/** Loads the page anew. */
export async function again(page: Page) {
  await page.reload({ waitUntil: 'load' });
  await page.waitForSelector(AWAKE);
}

/** Opens what is asked in Form, so that every field can be come to. */
export const openQuestions = (page: Page) =>
  page.evaluate(() => {
    for (const question of document.querySelectorAll<HTMLDetailsElement>('main details[data-question]:not([open])'))
      question.open = true;
  });

/** A field by its label; a unit at its end stands behind a space that does not break. */
export const field = async (page: Page, label: string, role = 'textbox') => {
  await openQuestions(page);
  return page.waitForSelector(
    `::-p-aria([name="${label.replace(/ (?=(%|N|kg|°C|°)$)/, '\u00a0')}"][role="${role}"])`,
  ) as Promise<ElementHandle<HTMLInputElement>>;
};
export const button = (page: Page, name: string) =>
  page.waitForSelector(`::-p-aria([name="${name}"][role="button"])`) as Promise<ElementHandle<HTMLElement>>;
export const link = (page: Page, name: string) =>
  page.waitForSelector(`::-p-aria([name="${name}"][role="link"])`) as Promise<ElementHandle<HTMLElement>>;
export const radio = async (page: Page, name: string) => {
  await openQuestions(page);
  return page.waitForSelector(`::-p-aria([name="${name}"][role="radio"])`) as Promise<ElementHandle<HTMLElement>>;
};

/** Chooses by the label of a list; another kind is taken once it is said what that changes. */
export async function choose(page: Page, label: string, value: string) {
  await openQuestions(page);
  const list = await page.waitForSelector(`::-p-aria([name="${label}"][role="combobox"])`);
  const before = await list!.evaluate((e) => (e as HTMLSelectElement).value);
  await list!.select(value);
  if (/^Kind of (top|base)$/.test(label) && before !== value) await (await button(page, 'Change it')).click();
}

/** Writes over what a field holds, all of it at once: how long pauses between letters are is the machine's affair. */
export async function fill(page: Page, label: string, text: string) {
  const input = await field(page, label);
  await input.click({ count: 3 });
  if (text === '') await page.keyboard.press('Backspace');
  else await page.keyboard.sendCharacter(text);
}

/** Waits until a part of the page reads like that. */
export async function reads(page: Page, selector: string, pattern: RegExp) {
  try {
    await page.waitForFunction(
      (s: string, source: string, flags: string) =>
        [...document.querySelectorAll(s)].some((e) =>
          new RegExp(source, flags).test((e as HTMLElement).innerText ?? e.textContent ?? ''),
        ),
      { timeout: PATIENCE },
      selector,
      pattern.source,
      pattern.flags,
    );
  } catch {
    const text = await page.$$eval(selector, (all) =>
      all.map((e) => (e as HTMLElement).innerText ?? e.textContent).join('\n---\n'),
    );
    expect.fail(`${selector} never reads ${pattern}; it reads:\n${text.slice(0, 1500)}`);
  }
}

/** Leaves the field, so that what is typed is taken over, and waits until the server has it. */
export async function saved(page: Page) {
  await page.evaluate(() => {
    (document.activeElement as HTMLElement | null)?.blur();
    // What is typed is taken over when the browser comes round to it.
    return new Promise((taken) => setTimeout(taken, 40));
  });
  await page.waitForSelector('html:not([data-settling]) [data-saving="saved"]');
}

/** A step of the job by its name in the spine. */
export async function goTo(page: Page, step: string) {
  await page.click(`nav a[href$="/${step}"], nav a[href*="/${step}?"]`);
  await page.waitForFunction((s: string) => location.pathname.endsWith(`/${s}`), {}, step);
  await page.waitForSelector('h1');
}

/** Changes after which a layout is complete, though not the best. */
const ENOUGH = 200;

/** Waits for a layout, ends the search there, and waits until the server has it. */
export async function laidOut(page: Page) {
  await page.waitForFunction(
    (enough: number) => {
      const said = document.querySelector('main')?.textContent ?? '';
      if (/changes tried/.test(said)) return true;
      if (Number(/Searching, ([\d,]+) tried/.exec(said)?.[1]?.replaceAll(',', '') ?? 0) < enough) return false;
      const stop = [...document.querySelectorAll('main button')].find((button) => button.textContent === 'Stop');
      (stop as HTMLButtonElement | undefined)?.click();
      return stop !== undefined;
    },
    {},
    ENOUGH,
  );
  await reads(page, 'main', /changes tried/);
  await saved(page);
}

/** Where a page puts what it saves; what is there is the file, whole, under its own name. */
export async function downloadsOf(
  page: Page,
): Promise<{ file: (name: RegExp) => Promise<Buffer>; names: () => string[] }> {
  const folder = mkdtempSync(join(tmpdir(), 'taller-saved-'));
  const devtools = await page.createCDPSession();
  await devtools.send('Browser.setDownloadBehavior', {
    behavior: 'allow',
    downloadPath: folder,
    ...(page.browserContext().id ? { browserContextId: page.browserContext().id as string } : {}),
  });
  // Chromium holds the name of what it saves with an empty file, and moves the whole file there at the end.
  const names = () =>
    readdirSync(folder).filter((name) => !name.endsWith('.crdownload') && statSync(join(folder, name)).size > 0);
  return {
    names,
    file: async (name) => {
      await expect.poll(() => names().filter((own) => name.test(own)).length, { timeout: 60_000 }).toBe(1);
      return readFileSync(join(folder, names().find((own) => name.test(own)) as string));
    },
  };
}

export const widthShown = (page: Page) => page.$eval('[data-dimension="width"] text', (e) => e.textContent);
