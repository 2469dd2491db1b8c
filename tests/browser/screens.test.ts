import type { Page } from 'puppeteer-core';
import { beforeAll, describe, expect, it } from 'vitest';
import { misprints, readPaper } from '../fixtures/read-paper';
import { button, newJob, openPage, visit, withBrowser } from './desk';

withBrowser();

const STEPS = ['brief', 'form', 'season', 'joints', 'layout', 'glue-up', 'plan', 'bench'];
const PLACES = ['/jobs', '/jobs/new', '/rack', '/quick-season', '/air', '/shop', '/methods'];
/** What is pressed on a touch screen is at least so high, px. */
const TOUCHED = 44;

/** What is wider than the page, what of controls is cut off, and what is too low to be touched. */
const measured = (page: Page) =>
  page.evaluate(() => {
    const wide = document.documentElement.clientWidth;
    const named = (e: Element) =>
      `${e.tagName.toLowerCase()} ${(e.getAttribute('aria-label') ?? e.textContent ?? '').trim().slice(0, 30)}`;
    const controls = [
      ...document.querySelectorAll('button, input:not([type=hidden]), select, textarea, summary, a.target'),
    ].filter((e) => {
      const { width, height } = e.getBoundingClientRect();
      // What is read out only is a dot; its label is what is touched.
      return width > 1 && height > 1 && getComputedStyle(e).visibility !== 'hidden';
    });
    const scrolls = (e: Element): boolean => {
      for (let p = e.parentElement; p; p = p.parentElement)
        if (['auto', 'scroll'].includes(getComputedStyle(p).overflowX) && p.scrollWidth > p.clientWidth + 1)
          return true;
      return false;
    };
    const cut = controls.filter((e) => {
      const { left, right } = e.getBoundingClientRect();
      return (right > wide + 1 || left < -1) && !scrolls(e);
    });
    const low = controls.filter((e) => e.getBoundingClientRect().height < 43.5);
    const bar = document
      .querySelector('nav[aria-label="Steps and places"] a[aria-current="page"]')
      ?.getBoundingClientRect();
    return {
      here: bar === undefined || (bar.left >= -1 && bar.right <= wide + 1),
      over: document.documentElement.scrollWidth - wide,
      cut: cut.map(named),
      low: low.map((e) => `${named(e)} ${Math.round(e.getBoundingClientRect().height)}`),
    };
  });

/** What can be read on a page, choices of lists and what explains itself aside. */
const words = (page: Page) =>
  page.evaluate(() => {
    const copy = document.querySelector('main')!.cloneNode(true) as HTMLElement;
    for (const list of copy.querySelectorAll('select, script, style')) list.remove();
    const typed = [...document.querySelectorAll<HTMLInputElement>('main input')].map(
      (e) => `${e.value} ${e.placeholder}`,
    );
    const said = [...document.querySelectorAll('main [title]')].map((e) => e.getAttribute('title'));
    return `${copy.textContent}\n${typed.join('\n')}\n${said.join('\n')}`;
  });

describe('every screen, in the units of the reader', () => {
  it('no inch is read where millimetres are, and no length in inches has a remainder', async () => {
    const { id } = await newJob('Units for a test');
    const page = await openPage('/jobs');
    // Methods say what was published, in the units it was published in.
    const paths = [...PLACES.filter((path) => path !== '/methods'), ...STEPS.map((step) => `/jobs/${id}/${step}`)];
    const wrong: string[] = [];
    await page.setCookie({ name: 'taller-units', value: 'metric', url: page.url() });
    const look = async (path: string, pattern: RegExp) => {
      for (const [found] of (await words(page)).matchAll(pattern)) wrong.push(`${path}: …${found}…`);
    };
    for (const path of paths) {
      await visit(page, path);
      await look(path, /.{0,30}\d\s?(?:in|inch|inches|")(?=[\s.,;:)]|$).{0,10}/gm);
      await (await button(page, 'in')).click();
      await page.waitForSelector('html:not([data-settling])');
      await look(path, /.{0,30}\d" [+−](?!\s?\d).{0,10}/gm);
      await (await button(page, 'mm')).click();
    }
    expect(wrong).toEqual([]);
  });
});

describe('every screen, as wide as it may be', () => {
  let paths: string[];
  beforeAll(async () => {
    const { id } = await newJob('Screens for a test');
    paths = [...PLACES, ...STEPS.map((step) => `/jobs/${id}/${step}`)];
  });

  it.each([
    {
      held: 'on a desk',
      touch: false,
      sizes: [
        [1280, 800],
        [1024, 768],
      ],
    },
    {
      held: 'in the hand',
      touch: true,
      sizes: [
        [820, 1180],
        [390, 844],
      ],
    },
  ])('$held: nothing leaves the page, no control is cut off', async ({ touch, sizes }) => {
    const page = await openPage('/methods');
    const wrong: string[] = [];
    const sized = async ([width = 0, height = 0]: readonly number[]) => {
      await page.setViewport({ width, height, hasTouch: touch, isMobile: touch });
      await page.evaluate(() => new Promise((drawn) => setTimeout(drawn, 60)));
    };
    for (const path of paths) {
      for (const [i, size] of sizes.entries()) {
        await sized(size);
        // A window is drawn larger and smaller; what is held in the hand is as large as it is.
        if (touch || i === 0) await visit(page, path);
        const at = `${path} at ${size.join(' × ')}`;
        const { over, cut, low, here } = await measured(page);
        if (!here) wrong.push(`${at}: the bar does not show where one is`);
        if (over > 0) wrong.push(`${at} is ${over} px too wide`);
        wrong.push(...cut.map((own) => `${at}: ${own} is cut off`));
        if (touch) wrong.push(...low.map((own) => `${at}: ${own} is lower than ${TOUCHED}`));
      }
    }
    expect(wrong).toEqual([]);
    expect(page.faults).toEqual([]);
  });
});

describe('on paper from the browser', () => {
  const printed = async (path: string) => {
    const page = await openPage(path);
    await page.waitForFunction(() => !document.documentElement.hasAttribute('data-settling'));
    const pages = await readPaper(await page.pdf({ format: 'A4', printBackground: true }));
    const words = pages.flatMap(({ boxes }) => boxes.map(({ text }) => text)).join(' ');
    return { page, pages, words };
  };

  it('the bench and the plan: every part and operation, the job’s name, nothing to press, nothing on anything else', async () => {
    const { id } = await newJob('Printed for a test');
    const bench = await printed(`/jobs/${id}/bench`);
    expect(bench.pages.flatMap(misprints)).toEqual([]);
    expect(bench.words).toContain('Printed for a test');
    const rows = await bench.page.$$eval('tr[data-row]', (all) => all.length);
    expect(rows).toBeGreaterThan(8);
    expect(bench.words.match(/\bApron\b/g)?.length).toBe(4);
    expect(bench.words).not.toMatch(/Real size|Sheets and files|Jobs|Undo/);

    const plan = await printed(`/jobs/${id}/plan`);
    expect(plan.pages.flatMap(misprints)).toEqual([]);
    const count = await plan.page.$$eval('main ol > li', (all) => all.length);
    expect(plan.words.match(/\d+\.\d h\b/g)!.length).toBeGreaterThanOrEqual(count);
  });

  it('the rack: what is shown of it, and nothing to press', async () => {
    const { pages, words } = await printed('/rack');
    expect(pages.flatMap(misprints)).toEqual([]);
    expect(words).toMatch(/K03/);
    expect(words).not.toMatch(/Import CSV|Labels/);
  });
});
