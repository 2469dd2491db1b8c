import { type ChildProcess, spawn } from 'node:child_process';
import { createServer } from 'node:net';
import pg from 'pg';
import type { Page } from 'puppeteer-core';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type { JobDocument, TableInJob } from '@/core';
import { base, fill, newJob, openPage, withBrowser } from '../browser/desk';
import { onlyPiece } from '../fixtures/demo';
import { dice } from '../fixtures/dice';

const ROUNDS = Number(process.env.TAB_ROUNDS ?? 15);

/** What is edited, between which figures, and where it is in a document. */
const FIELDS: { label: string; from: number; to: number; at: (own: TableInJob) => unknown }[] = [
  { label: 'Thickness', from: 280, to: 380, at: ({ form }) => form.top.thickness },
  { label: 'Table height', from: 7200, to: 7700, at: ({ form }) => (form.base as { height: number }).height },
  { label: 'Length', from: 15_000, to: 17_000, at: ({ form }) => form.top.length },
  { label: 'Width', from: 8600, to: 9400, at: ({ form }) => form.top.width },
];

withBrowser();

describe('two tabs at two servers of one workshop, on and off the network', () => {
  let beside: ChildProcess;
  let second: string;
  const database = new pg.Pool({ connectionString: process.env.DATABASE_URL });
  beforeAll(async () => {
    const port = await freePort();
    second = `http://127.0.0.1:${port}`;
    beside = spawn('node', ['bin/serve.mjs', String(port)], { cwd: process.env.TALLER_FOLDER, stdio: 'ignore' });
    for (let i = 0; i < 300; i += 1) {
      const stands = await fetch(`${second}/api/health`).then(
        ({ ok }) => ok,
        () => false,
      );
      if (stands) return;
      await new Promise((resolve) => setTimeout(resolve, 200));
    }
    throw new Error('the second server does not answer');
  });
  afterAll(async () => {
    beside.kill('SIGTERM');
    await database.end();
  });

  it(`${ROUNDS} rounds of edits: every figure typed is in the job or in its history, and both end at the same`, async () => {
    const thrown = dice(7);
    const { id } = await newJob('Two tabs, two servers');
    const pages = [await openPage(`/jobs/${id}/form`), await openPage('/jobs')];
    await pages[1]!.goto(`${second}/jobs/${id}/form`, { waitUntil: 'load' });
    await pages[1]!.waitForSelector('html[data-awake]:not([data-settling])');
    let asked = 0;
    for (let round = 0; round < ROUNDS; round += 1) {
      const typed: { label: string; value: number; tab: number }[] = [];
      for (const page of pages) if (thrown.next() < 0.5) await page.setOfflineMode(true);
      for (let i = 0; i < 4; i += 1) {
        const tab = thrown.whole(0, 1);
        const { label, from, to } = thrown.of(FIELDS);
        // Figures that are typed once only, so that each can be found again.
        const value = (thrown.whole(from, to - 100) + round) / 10 + 0.01 * (i + 1);
        if (await pages[tab]!.$('[role="dialog"]')) asked += await settle(pages[tab]!, thrown);
        await fill(pages[tab]!, label, String(value));
        await pages[tab]!.keyboard.press('Tab');
        const before = typed.findIndex((own) => own.label === label && own.tab === tab);
        if (before >= 0) typed.splice(before, 1);
        typed.push({ label, value, tab });
      }
      for (const page of pages) await page.setOfflineMode(false);
      for (const page of [...pages, ...pages]) asked += await settle(page, thrown);
      const kept = (await database.query('select document from job_revision where job_id = $1', [id])).rows as {
        document: JobDocument;
      }[];
      for (const { label, value } of typed) {
        const { at } = FIELDS.find((own) => own.label === label)!;
        const found = kept.some(({ document }) => Math.abs(Number(at(onlyPiece(document))) - value) < 1e-6);
        expect(found, `round ${round}: ${label} ${value} of ${JSON.stringify(typed)}`).toBe(true);
      }
    }
    console.log({ rounds: ROUNDS, asked });
    for (const page of pages) await page.reload({ waitUntil: 'load' });
    const shown = await Promise.all(
      pages.map((page) => page.$$eval('main input', (all) => all.map((e) => (e as HTMLInputElement).value))),
    );
    expect(shown[0]).toEqual(shown[1]);
    expect(pages.flatMap(({ faults }) => faults)).toEqual([]);
    expect(base).not.toBe(second);
  });
});

/** Waits until a tab has saved; where it is asked which of two figures counts, one is chosen. */
async function settle(page: Page, thrown: ReturnType<typeof dice>): Promise<number> {
  let asked = 0;
  await page.evaluate(() => (document.activeElement as HTMLElement | null)?.blur());
  const until = Date.now() + 90_000;
  while (Date.now() < until) {
    await new Promise((resolve) => setTimeout(resolve, 250));
    const dialog = await page.$('[role="dialog"]');
    if (!dialog) {
      if (await page.$('[data-saving="saved"]')) return asked;
      continue;
    }
    asked += 1;
    const radios = await dialog.$$('[role="radio"]');
    for (const radio of radios) if (thrown.next() < 0.5) await radio.click();
    await page.evaluate(() =>
      [...document.querySelectorAll<HTMLElement>('[role="dialog"] button')]
        .find((button) => button.textContent === 'Save what is chosen')
        ?.click(),
    );
    await new Promise((resolve) => setTimeout(resolve, 500));
  }
  throw new Error(`It does not save: ${await page.$eval('body', (e) => e.innerText.slice(0, 600))}`);
}

const freePort = () =>
  new Promise<number>((resolve) => {
    const server = createServer().listen(0, '127.0.0.1', () => {
      const { port } = server.address() as { port: number };
      server.close(() => resolve(port));
    });
  });
