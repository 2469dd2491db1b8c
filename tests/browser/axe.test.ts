import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import type axe from 'axe-core';
import type { Page } from 'puppeteer-core';
import { beforeAll, describe, expect, it } from 'vitest';
import { again, button, laidOut, newJob, openPage, radio, reads, saved, visit, withBrowser } from './desk';

withBrowser();
const source = readFileSync(createRequire(import.meta.url).resolve('axe-core/axe.min.js'), 'utf8');

const ALL = ['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa'];
/** What a screen of other colours and larger targets may change. */
const LOOKS = ['color-contrast', 'target-size'];

async function violations(page: Page, only: readonly string[] = ALL): Promise<string[]> {
  await page.evaluate(source);
  const found = (await page.evaluate(
    `axe.run(document, { resultTypes: ["violations"], runOnly: ${JSON.stringify(only)} })`,
  )) as axe.AxeResults;
  return found.violations
    .filter((v) => v.impact === 'serious' || v.impact === 'critical')
    .map(
      (v) =>
        `${v.id}: ${v.help}: ${v.nodes
          .slice(0, 4)
          .map((n) => `${n.target.join(' ')} (${n.failureSummary?.split('\n')[1]?.trim()})`)
          .join(' | ')}`,
    );
}

describe('axe-core finds no serious or critical violation, and every screen fits a tablet', () => {
  let id: string;
  beforeAll(async () => {
    id = (await newJob('Seen by axe')).id;
  });
  const screens = [
    '/jobs',
    '/jobs?bin',
    '/jobs/new',
    '/rack',
    '/rack?bin',
    '/shop',
    '/quick-season',
    '/air',
    '/methods',
    ...['brief', 'form', 'season', 'joints', 'layout', 'glue-up', 'plan', 'bench'].map((s) => `JOB/${s}`),
  ];

  it.each(screens)('on %s', async (screen) => {
    const page = await openPage(screen.replace('JOB', `/jobs/${id}`));
    if (screen.endsWith('/layout')) await laidOut(page);
    expect(await violations(page)).toEqual([]);
    // A job opened once more, with whatever was kept meanwhile: the server's page and the browser's are the same.
    if (screen.startsWith('JOB')) await again(page);
    expect(page.faults).toEqual([]);
    // Nothing is wider than a tablet held upright.
    await page.setViewport({ width: 768, height: 1024 });
    await page.evaluate(() => new Promise((laidOut) => setTimeout(laidOut, 60)));
    expect(await page.evaluate(() => document.documentElement.scrollWidth - innerWidth)).toBeLessThanOrEqual(0);
    await page.close();
  });

  it.each(['dark', 'bench'])('on the %s screen', async (screen) => {
    const page = await openPage('/jobs');
    await page.setCookie({ name: 'taller-board', value: screen, url: page.url() });
    for (const path of [`/jobs/${id}/season`, `/jobs/${id}/bench`, '/rack', '/shop']) {
      await visit(page, path);
      expect(await page.$eval('html', (e) => e.dataset.screen)).toBe(screen);
      expect(await violations(page, LOOKS), path).toEqual([]);
      // The server's page and the browser's are the same.
      expect(page.faults, path).toEqual([]);
    }
  });

  it('on the dialogs', async () => {
    const rack = await openPage('/rack');
    await (await button(rack, 'Add a board')).click();
    await rack.waitForSelector('[role="dialog"]');
    expect(await violations(rack)).toEqual([]);
    // A sheet is described by other fields.
    const wood = await rack.waitForSelector('[role="dialog"] select:has(option[value="plywood-birch"])');
    await wood!.select('plywood-birch');
    await reads(rack, '[role="dialog"]', /along the face grain/);
    expect(await violations(rack)).toEqual([]);
    const bench = await openPage(`/jobs/${id}/bench`);
    await (await button(bench, 'Real size of A, Top')).click();
    await bench.waitForSelector('[role="dialog"]');
    expect(await violations(bench)).toEqual([]);
    const form = await openPage(`/jobs/${id}/form`);
    await (await button(form, 'Pieces …')).click();
    await form.waitForSelector('[role="dialog"]');
    expect(await violations(form)).toEqual([]);
    await form.keyboard.press('Escape');
    await form.waitForSelector('[role="dialog"]', { hidden: true });
    // Designed strips, and woods by parts.
    await (await radio(form, 'Designed')).click();
    await saved(form);
    await form.click('main summary');
    expect(await violations(form)).toEqual([]);
    const season = await openPage(`/jobs/${id}/season`);
    await (await season.$$('button[title="How this was reckoned"]'))[0]!.click();
    await season.waitForSelector('[role="dialog"]');
    expect(await violations(season)).toEqual([]);
  });
});
