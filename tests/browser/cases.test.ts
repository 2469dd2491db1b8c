import type { Page } from 'puppeteer-core';
import { describe, expect, it } from 'vitest';
import type { CaseForm, JobDocument } from '@/core';
import { misprints, readPaper } from '../fixtures/read-paper';
import {
  button,
  call,
  choose,
  downloadsOf,
  fill,
  goTo,
  newJob,
  openPage,
  openQuestions,
  reads,
  saved,
  withBrowser,
} from './desk';
import { Stranger } from './stranger';

withBrowser();

/** Every run goes each way once; `JOURNEYS=all` goes each of them by both hands. */
const all = process.env.JOURNEYS === 'all';

/** A figure in the drawing dragged by the mouse, or moved by the arrows. */
async function pull(page: Page, by: 'mouse' | 'keyboard', grip: string, up: boolean) {
  const at = `[data-grip="${grip}"]`;
  await page.waitForSelector(at);
  if (by === 'keyboard') {
    await page.$eval(at, (e) => (e as SVGElement).focus());
    for (let i = 0; i < 4; i += 1) await page.keyboard.press(up ? 'ArrowUp' : 'ArrowDown');
    return;
  }
  const [x, y] = await page.$eval(at, (e) => {
    const { left, top, width, height } = e.getBoundingClientRect();
    return [left + width / 2, top + height / 2];
  });
  await page.mouse.move(x ?? 0, y ?? 0);
  await page.mouse.down();
  await page.mouse.move(x ?? 0, (y ?? 0) + (up ? -30 : 30), { steps: 6 });
  await page.mouse.up();
}

const CASES = [
  {
    piece: 'a bookcase with adjustable shelves',
    start: 'Bookcase',
    async compose(stranger: Stranger, page: Page, by: 'mouse' | 'keyboard') {
      await stranger.press('What is inside?', 'question');
      await stranger.choose('Space', 'Space 1');
      await stranger.write('Loose shelves in it', '3');
      await stranger.settled();
      const before = await page.$eval('[data-dimension="high-c1"]', (e) => e.textContent);
      await pull(page, by, 'Space 1, clear', true);
      await page.waitForFunction(
        (was) => document.querySelector('[data-dimension="high-c1"]')?.textContent !== was,
        {},
        before,
      );
      // Too thin for what stands on it.
      await stranger.press('Nothing', 'radio');
      await stranger.write('Shelves and uprights, thick', '12');
    },
    printed: [/Loose shelf/, /Side/, /Carcass/, /Shelf pins/],
  },
  {
    piece: 'a bookcase in an alcove',
    start: 'Fitted bookcase',
    async compose(stranger: Stranger) {
      await stranger.press('Does it stand in an alcove?', 'question');
      await stranger.write('Wide at the head', '800');
      await stranger.write('Left wall leans in', '8');
      await stranger.write('Floor rises to the right', '6');
      // It would stand, but cannot be stood up.
      await stranger.write('Ceiling over the floor', '1840');
    },
    printed: [/Scribe strip/, /Plinth/, /Side/],
  },
  {
    piece: 'a blanket chest',
    start: 'Blanket chest',
    async compose(stranger: Stranger) {
      await stranger.press('What lies over it?', 'question');
      // Battens screwed tight across the lid.
      await stranger.write('Slots, travel each way', '0');
      await stranger.settled();
      await stranger.press('Season', 'link');
    },
    printed: [/Lid/, /Batten/, /Front wall|wall/, /Hinges for the lid/],
  },
] as const;

const WAYS = (['mouse', 'keyboard'] as const).flatMap((by) => CASES.map((own, i) => [own.piece, by, own, i] as const));

describe('a case from an empty job to its cut list and its stick', () => {
  it.each(WAYS.filter(([, by, , i]) => all || (by === 'mouse') === (i % 2 === 0)))(
    '%s, by %s',
    async (piece, by, { start, compose, printed }) => {
      const page = await openPage('/jobs/new');
      const saves = await downloadsOf(page);
      const stranger = new Stranger(page, by);
      await stranger.press(start, 'radio');
      await stranger.write('Name of the job', `Of a maker: ${piece}, ${by}`);
      await stranger.press('Start the job');
      await page.waitForFunction(() => location.pathname.endsWith('/brief'));
      await stranger.press('Form', 'link');
      await page.waitForFunction(() => location.pathname.endsWith('/form'));
      await compose(stranger, page, by);
      await stranger.settled();
      // The stop that was called for is met, and what is offered there cures it.
      await page.waitForSelector('[data-check="stop"], nav [data-state="open"], [data-level="stop"]', {
        timeout: 8000,
      });
      const WAY = '[data-check="stop"] button, [data-level="stop"] button';
      // Ways out are tried before they are offered.
      await page.waitForSelector(WAY);
      const stops = () => page.$$(WAY);
      const met = (await stops()).length;
      expect(met, 'ways out of a stop').toBeGreaterThan(0);
      for (let i = 0; i < 4; i += 1) {
        const [way] = await stops();
        if (!way) break;
        await way.click();
        await stranger.settled();
      }
      expect(await stops()).toEqual([]);
      const read = async (button: string, file: RegExp) => {
        await stranger.press('Sheets and files …');
        await stranger.press(button);
        if (button.includes('Sheet')) await stranger.press('Take the best so far');
        const pages = await readPaper(await saves.file(file));
        expect(pages.flatMap(misprints)).toEqual([]);
        await page.keyboard.press('Escape');
        return pages.flatMap(({ boxes }) => boxes.map(({ text }) => text)).join(' ');
      };
      const sheet = await read('Save Sheet, PDF', /sheet\.pdf$/);
      for (const name of [/Cut list/, ...printed]) expect(sheet).toMatch(name);
      expect(sheet).not.toMatch(/Stop:/);
      expect(await read('Save Full size, PDF', /full-size.*\.pdf$/)).toMatch(/Story stick of the case/);
      expect(page.faults).toEqual([]);
    },
  );
});

it('a case is set on another: stopped until one is chosen, then drawn, placed and judged with it', async () => {
  const { id } = await newJob('A dresser for a test', 'ash-white', 'sideboard');
  const page = await openPage(`/jobs/${id}/form`);
  await (await button(page, 'Pieces …')).click();
  await page.waitForSelector('[role="dialog"] input[value="bookcase"]');
  await page.$eval('[role="dialog"] input[value="bookcase"]', (e) => (e as HTMLElement).click());
  await (await button(page, 'Add the bookcase')).click();
  await reads(page, '[aria-label="Pieces"] [aria-current="true"]', /Bookcase/);
  await page.keyboard.press('Escape');
  await choose(page, 'Stands on', 'on-case');
  await (await button(page, 'Change it')).click();
  await reads(page, 'main', /It is to stand on another case, and none is chosen/);
  await fill(page, 'Height, over all', '1000');
  await openQuestions(page);
  await choose(page, 'The case below', 'p1');
  await reads(page, 'main', /On Sideboard, empty, on a floor that slopes/);
  // Their backs are in one plane; the lower one is drawn under it.
  await saved(page);
  const { pieces } = (await call<{ document: JobDocument }>('GET', `/api/jobs/${id}`)).data.document;
  const [lower, upper] = pieces.map(({ form }) => form as CaseForm);
  expect(upper?.stand).toMatchObject({
    kind: 'on-case',
    lower: pieces[0]?.id,
    setBack: (lower?.depth ?? 0) - (upper?.depth ?? 0),
  });
  expect(await page.$$eval('svg polyline[pointer-events="none"]', (all) => all.length)).toBeGreaterThan(6);
  await goTo(page, 'brief');
  await reads(page, 'main', /It moves with the case below/);
  expect(page.faults).toEqual([]);
});
