import type { Page } from 'puppeteer-core';
import { describe, expect, it } from 'vitest';
import { misprints, readPaper } from '../fixtures/read-paper';
import { downloadsOf, openPage, withBrowser } from './desk';
import { Stranger } from './stranger';

withBrowser();

/** Every run goes each way once; `JOURNEYS=all` goes each of them by both hands and in both units. */
const all = process.env.JOURNEYS === 'all';

const PIECES = [
  {
    piece: 'a table for six',
    most: 12,
    async decide(stranger: Stranger) {
      await stranger.write('Seats', '6');
      await stranger.press('Start the job');
    },
    printed: [/Apron/, /Leg/, /Top/],
  },
  {
    piece: 'a coffee table with a shelf',
    most: 18,
    async decide(stranger: Stranger, page: Page) {
      await stranger.press('Coffee table', 'radio');
      await stranger.press('Start the job');
      await page.waitForFunction(() => location.pathname.endsWith('/brief'));
      await stranger.press('Form', 'link');
      await stranger.press('What ties it below?', 'question');
      await stranger.press('With a shelf', 'radio');
      await stranger.settled();
    },
    printed: [/Shelf/, /Leg/, /Stretcher|End stretcher/],
  },
  {
    piece: 'a bench',
    most: 18,
    async decide(stranger: Stranger) {
      await stranger.press('Bench', 'radio');
      await stranger.press('Start the job');
    },
    printed: [/Seat|Top/, /Leg/, /Apron/],
  },
] as const;

const WAYS = (['mouse', 'keyboard'] as const).flatMap((by) =>
  (['mm', 'in'] as const).map((units) => [by, units] as const),
);

describe('from the first page to a printed cut list, without a dead end', () => {
  const journeys = PIECES.flatMap((own, i) =>
    WAYS.filter((_, k) => all || k === (3 * i) % WAYS.length).map(
      ([by, units]) => [own.piece, by, units, own] as const,
    ),
  );
  it.each(journeys)('%s, by %s, in %s', async (piece, by, units, { most, decide, printed }) => {
    const page = await openPage('/jobs');
    const saves = await downloadsOf(page);
    const stranger = new Stranger(page, by);
    if (units === 'in') await stranger.press('in');
    await stranger.press('New job', 'link');
    await page.waitForFunction(() => location.pathname.endsWith('/new'));
    await stranger.write('Name of the job', `Of a stranger: ${piece}, ${by}, ${units}`);
    await decide(stranger, page);
    await page.waitForFunction(() => /\/(brief|form)$/.test(location.pathname));
    await stranger.settled();
    // What stops is cured by what is offered there.
    for (let i = 0; i < 3; i += 1) {
      const stops = await page.$$('[data-check="stop"] button, [data-level="stop"] button');
      if (stops.length === 0) break;
      stranger.actions += 1;
      await stops[0]!.click();
      await stranger.settled();
    }
    await stranger.press('Sheets and files …');
    await stranger.press('Save Sheet, PDF');
    // Who does not want to wait takes what is found by now.
    await stranger.press('Take the best so far');
    const pages = await readPaper(await saves.file(/sheet\.pdf$/));
    const words = pages.flatMap(({ boxes }) => boxes.map(({ text }) => text)).join(' ');
    expect(pages.flatMap(misprints)).toEqual([]);
    for (const name of [/Cut list/, ...printed]) expect(words).toMatch(name);
    expect(words).toMatch(units === 'mm' ? /Millimetres\./ : /Inches, to/);
    expect(words).not.toMatch(/Stop:/);
    expect(stranger.actions, 'actions').toBeLessThanOrEqual(most);
    expect(page.faults).toEqual([]);
    if (all) console.info(`${piece}, ${by}, ${units}: ${stranger.actions} actions`);
  });
});
