import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { onlyPiece } from '../fixtures/demo';
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
  visit,
  widthShown,
  withBrowser,
} from './desk';

withBrowser();

describe('at the desk', () => {
  let id: string;
  const decisions = async () =>
    onlyPiece((await call<import('../http/api').JobReply>('GET', `/api/jobs/${id}`)).data.document);
  beforeAll(async () => {
    id = (await newJob('Desk table')).id;
  });

  it('scrubbing the year redraws the piece at its size of the day', async () => {
    const page = await openPage(`/jobs/${id}/season`);
    await page.$eval('[role="slider"]', (e) => (e as SVGElement).focus());
    await page.keyboard.press('Home');
    const dry = await widthShown(page);
    for (let i = 0; i < 7; i += 1) await page.keyboard.press('PageUp');
    await page.waitForFunction(
      (was: string | null) => document.querySelector('[data-dimension="width"] text')?.textContent !== was,
      {},
      dry,
    );
    const wet = await widthShown(page);
    expect(Number(wet)).toBeGreaterThan(Number(dry) + 2);
    // Dragging with the mouse does the same.
    const box = (await (await page.$('svg:has([role="slider"])'))!.boundingBox())!;
    await page.mouse.move(box.x + box.width * 0.5, box.y + 60);
    await page.mouse.down();
    await page.mouse.move(box.x + box.width * 0.12, box.y + 60, { steps: 4 });
    await page.mouse.up();
    await page.waitForFunction(
      (was: string | null) => document.querySelector('[data-dimension="width"] text')?.textContent !== was,
      {},
      wet,
    );
    expect(page.faults).toEqual([]);
  });

  it('a part under the pointer is lit in drawing and list alike', async () => {
    const page = await openPage(`/jobs/${id}/bench`);
    await page.hover('tr[data-row="top"]');
    await page.waitForSelector('tr[data-row="top"].bg-layout-tint');
    await goTo(page, 'form');
    await page.hover('svg polygon[data-part="apron-front"]');
    await page.waitForSelector('svg polygon[data-part="apron-front"].stroke-layout');
  });

  it('a figure opens to its formula, its inputs and its source', async () => {
    const page = await openPage(`/jobs/${id}/season`);
    const opened = await page.$$('button[title="How this was reckoned"]');
    expect(opened.length).toBeGreaterThan(4);
    await opened[0]!.click();
    await reads(page, '[role="dialog"]', /D·C·\(M₂ − M₁\)[\s\S]*Moisture then[\s\S]*Source: Wood Handbook/);
  });

  it('a stop names its number and its limit, and its way out is a button that leads out', async () => {
    const page = await openPage(`/jobs/${id}/season`);
    await fill(page, 'Travel outward', '2');
    await page.waitForSelector('[data-check="season.top-travel"][data-level="stop"]');
    await reads(page, '[data-check="season.top-travel"]', /moves .* mm .*they let it go 2 mm/);
    await page.hover('[data-check="season.top-travel"]');
    await (await page.waitForSelector('[data-check="season.top-travel"] button[data-way-out]'))!.click();
    await page.waitForFunction(() => !document.querySelector('[data-check="season.top-travel"][data-level="stop"]'));
    await saved(page);
    const { travel, inward } = (await decisions()).form.hold;
    expect(Math.max(travel, inward ?? travel)).toBeGreaterThan(2);
  });

  it('bad input says what and how, changes nothing, and stays with its reason until it is mended or taken back', async () => {
    const page = await openPage(`/jobs/${id}/form`);
    const before = (await decisions()).form.top.length;
    for (const [text, said] of [
      ['wide', /does not read as a length/],
      ['-5', /less than nothing/],
      ['1', /Between/],
      ['99999999', /kilometre|Between/],
      ['1,200', /could be/],
    ] as const) {
      await fill(page, 'Length', text);
      await reads(page, '[role="alert"]', said);
    }
    await page.keyboard.press('Tab');
    const input = await field(page, 'Length');
    const shown = () => input.evaluate((e) => [e.value, e.getAttribute('aria-invalid')]);
    await reads(page, '[role="alert"]', /could be/);
    expect(await shown()).toEqual(['1,200', 'true']);
    await saved(page);
    expect((await decisions()).form.top.length).toBe(before);
    await input.focus();
    await page.keyboard.press('Escape');
    await page.waitForFunction(() => !document.querySelector('main [role="alert"]'));
    expect((await shown())[1]).toBeNull();
    // Mended, it is taken; undone by the usual keys, a field in hand or not.
    await fill(page, 'Length', `${before + 10}`);
    await saved(page);
    expect((await decisions()).form.top.length).toBe(before + 10);
    await page.keyboard.down('Control');
    await page.keyboard.press('z');
    await page.keyboard.up('Control');
    await expect.poll(async () => (await decisions()).form.top.length).toBe(before);
  });

  it('the arrow keys step a length, ten times with Alt; undo and redo go through the stored revisions', async () => {
    const page = await openPage(`/jobs/${id}/form`);
    const was = (await decisions()).form.top.width;
    const input = await field(page, 'Width');
    await input.focus();
    await page.keyboard.press('ArrowUp');
    await expect.poll(async () => (await decisions()).form.top.width).toBe(was + 1);
    await page.keyboard.down('Alt');
    await page.keyboard.press('ArrowUp');
    await page.keyboard.up('Alt');
    await expect.poll(async () => (await decisions()).form.top.width).toBe(was + 11);
    await saved(page);
    await page.evaluate(() => (document.activeElement as HTMLElement).blur());
    await page.keyboard.press('z');
    await expect.poll(async () => (await decisions()).form.top.width).toBe(was + 1);
    await page.keyboard.press('z');
    await expect.poll(async () => (await decisions()).form.top.width).toBe(was);
    await page.keyboard.down('Shift');
    await page.keyboard.press('Z');
    await page.keyboard.up('Shift');
    await expect.poll(async () => (await decisions()).form.top.width).toBe(was + 1);
    await again(page);
    await (await button(page, 'Redo')).click();
    await expect.poll(async () => (await decisions()).form.top.width).toBe(was + 11);
  });

  it('two tabs on one job: different decisions are put together, the same one is asked for, line by line', async () => {
    const one = await openPage(`/jobs/${id}/form`);
    const two = await openPage(`/jobs/${id}/form`);
    await fill(one, 'Table height', '740');
    await expect.poll(async () => (await decisions()).form.base.height).toBe(740);
    await fill(two, 'Thickness', '31');
    await saved(two);
    expect(await decisions()).toMatchObject({ form: { base: { height: 740 }, top: { thickness: 31 } } });
    await two.waitForFunction(() => [...document.querySelectorAll('input')].some((e) => e.value === '740'));
    // The first tab has not seen that yet, and decides one of the same things.
    await fill(two, 'Table height', '750');
    await saved(two);
    await fill(one, 'Table height', '760');
    await reads(one, '[role="dialog"]', /changed elsewhere[\s\S]*form, base, height\s+760\s+750/);
    expect((await decisions()).form.base.height).toBe(750);
    await (await button(one, 'Save what is chosen')).click();
    await expect.poll(async () => (await decisions()).form.base.height).toBe(760);
    await fill(two, 'Table height', '730');
    await reads(two, '[role="dialog"]', /730\s+760/);
    await (await radio(two, 'form, base, height: the other, 760')).click();
    await (await button(two, 'Save what is chosen')).click();
    await saved(two);
    await two.waitForFunction(() => [...document.querySelectorAll('input')].some((e) => e.value === '760'));
    expect(await decisions()).toMatchObject({ form: { base: { height: 760 }, top: { thickness: 31 } } });
    // What was not taken is one step back.
    await (await button(two, 'Undo')).click();
    await expect.poll(async () => (await decisions()).form.base.height).toBe(730);
    await (await button(two, 'Redo')).click();
    await expect.poll(async () => (await decisions()).form.base.height).toBe(760);
  });

  it('two tabs without the network, both edited, both back: nothing is lost', async () => {
    const one = await openPage(`/jobs/${id}/form`);
    const two = await openPage(`/jobs/${id}/form`, one.browserContext());
    for (const page of [one, two]) await page.setOfflineMode(true);
    await fill(one, 'Thickness', '33');
    await fill(two, 'Table height', '765');
    for (const page of [one, two]) await page.waitForSelector('[data-saving="unreachable"]');
    for (const page of [one, two]) await page.setOfflineMode(false);
    await expect
      .poll(decisions, { timeout: 15_000 })
      .toMatchObject({ form: { base: { height: 765 }, top: { thickness: 33 } } });
    for (const page of [one, two]) await saved(page);
    await again(one);
    await fill(one, 'Table height', '760');
    await saved(one);
    expect((await decisions()).form.base.height).toBe(760);
    expect([...one.faults, ...two.faults]).toEqual([]);
  });

  it('with the server out of reach the change is kept, over a reload too, and sent when it is back', async () => {
    const page = await openPage(`/jobs/${id}/form`);
    await page.setOfflineMode(true);
    await fill(page, 'Table height', '735');
    await page.waitForSelector('[data-saving="unreachable"]');
    await reads(page, '[role="status"]', /kept here and sent when it is back/);
    expect((await decisions()).form.base.height).toBe(760);
    // The browser remembers it, also when the page is closed before the server is back.
    const kept = await page.evaluate(
      (start: string) => Object.entries(localStorage).find(([key]) => key.startsWith(start))?.[1] as string,
      `taller-pending-${id}`,
    );
    expect(JSON.parse(kept).document.pieces[0].form.base.height).toBe(735);
    await page.setRequestInterception(true);
    const refuse = (request: import('puppeteer-core').HTTPRequest) =>
      request.method() === 'PUT' ? request.abort() : request.continue();
    page.on('request', refuse);
    await page.setOfflineMode(false);
    await page.reload({ waitUntil: 'networkidle2' });
    await page.waitForSelector('[data-saving="unreachable"]');
    await page.waitForFunction(() => [...document.querySelectorAll('input')].some((e) => e.value === '735'));
    page.off('request', refuse);
    await page.setRequestInterception(false);
    await expect.poll(async () => (await decisions()).form.base.height, { timeout: 10_000 }).toBe(735);
    await saved(page);
  });

  it('the layout search shows progress, can be stopped, and what it found is kept', async () => {
    const fresh = await newJob('Stopped search', 'oak-white');
    const page = await openPage(`/jobs/${fresh.id}/layout`);
    await reads(page, 'main', /Searching/);
    // It goes on while another step is looked at, and what it finds is kept from there.
    const kept = page.waitForRequest(
      (request) => request.method() === 'PUT' && request.url().endsWith(`${fresh.id}/layout`),
      { timeout: 60_000 },
    );
    await goTo(page, 'plan');
    await kept;
    expect(new URL(page.url()).pathname).toMatch(/plan$/);
    await goTo(page, 'layout');
    await reads(page, 'main', /changes tried/);
    // Another job, stopped in its first search: pressed within the page, for a driver may come when all is tried already.
    const other = await newJob('Stopped at once', 'oak-white');
    await page.evaluateOnNewDocument(() => {
      setInterval(() => {
        const progress = Number(document.querySelector('[role="progressbar"]')?.getAttribute('aria-valuenow'));
        const stop = [...document.querySelectorAll('button')].find((e) => e.textContent?.trim() === 'Stop');
        if (progress > 2) stop?.click();
      }, 20);
    });
    await page.goto(`${base}/jobs/${other.id}/layout`, { waitUntil: 'networkidle2' });
    await reads(page, 'main', /changes tried/);
    const tried = await page.$eval('main', (e) =>
      Number(/([\d,]+) changes tried/.exec(e.textContent ?? '')?.[1]?.replaceAll(',', '')),
    );
    expect(tried).toBeGreaterThan(0);
    expect(tried).toBeLessThan(1_600);
    await goTo(page, 'glue-up');
    await reads(page, 'main', /the strips of the layout/);
    expect(page.faults).toEqual([]);
  });

  it('where ways out cannot be tried, what is proposed is told in words without a button', async () => {
    const { id } = await newJob('No worker for a test');
    const page = await openPage(`/jobs/${id}/brief`);
    await page.setRequestInterception(true);
    page.on('request', (request) =>
      /worker/.test(request.url()) && request.resourceType() !== 'document'
        ? void request.abort()
        : void request.continue(),
    );
    await goTo(page, 'form');
    await fill(page, 'Thickness', '12');
    await saved(page);
    await reads(page, '[data-level="stop"]', /\(not tried on this job\)/);
    expect(await page.$$('button[data-way-out]')).toHaveLength(0);
  });

  it('a day is chosen from a month by the keys, written in several ways, and refused where it could be two', async () => {
    const { id } = await newJob('A day for a test');
    const page = await openPage(`/jobs/${id}/brief`);
    const due = async () =>
      (await call<import('../http/api').JobReply>('GET', `/api/jobs/${id}`)).data.document.brief.dueOn;
    await (await button(page, 'Choose the day: Due')).click();
    await page.waitForSelector('[role="grid"] button[tabindex="0"]');
    await page.waitForFunction(() => document.activeElement?.closest('[role="grid"]'));
    await page.keyboard.press('ArrowRight');
    await page.keyboard.press('Enter');
    await expect.poll(due).toBe('2027-06-02');
    expect(await (await field(page, 'Due')).evaluate((e) => e.value)).toBe('2 Jun 2027');
    await fill(page, 'Due', '4/5/2027');
    await reads(page, '[role="alert"]', /could be two days/);
    await fill(page, 'Due', '24.5.2027');
    await saved(page);
    expect(await due()).toBe('2027-05-24');
    expect(page.faults).toEqual([]);
  });

  it('where no worker starts, the page derives the job itself', async () => {
    const { id } = await newJob('No worker at all for a test');
    const page = await openPage('/methods');
    await page.setRequestInterception(true);
    page.on('request', (request) => (/worker/.test(request.url()) ? void request.abort() : void request.continue()));
    await visit(page, `/jobs/${id}/form`);
    await fill(page, 'Thickness', '12');
    await saved(page);
    await reads(page, '[data-level="stop"]', /\(not tried on this job\)/);
    expect(page.faults).toEqual([]);
  });

  it('at the bench: a top that came out 9 mm narrow is locked, and overhang, fasteners and season follow', async () => {
    const page = await openPage(`/jobs/${id}/bench`);
    const width = (await decisions()).form.top.width;
    const number = (label: string) =>
      page.$$eval(
        'main div',
        (all, l) => {
          const row = all.find((e) => e.children.length === 2 && e.children[0]?.textContent === l);
          return row?.children[1]?.textContent ?? '';
        },
        label,
      );
    const before = { overhang: await number('Overhang, sides'), swing: await number('Top, driest to wettest') };
    await (await button(page, 'Real size of A, Top')).click();
    await page.waitForSelector('[role="dialog"]');
    await fill(page, 'Width', String(width - 9));
    await (await button(page, 'Lock it at this size')).click();
    await page.waitForFunction(() => !document.querySelector('[role="dialog"]'));
    await reads(page, 'tr[data-row="top"]', new RegExp(`${width - 9}[\\s\\S]*drawn ${width}`));
    await expect.poll(() => number('Overhang, sides')).toBe(`${Number.parseFloat(before.overhang) - 4.5} mm`);
    expect(await number('Top, driest to wettest')).not.toBe(before.swing);
    await saved(page);
    expect((await decisions()).bench.locks.top?.width).toBe(width - 9);
    await goTo(page, 'season');
    await reads(page, 'main', /The top was measured at/);
  });

  afterAll(async () => {
    await call('DELETE', `/api/jobs/${id}`);
  });
});
