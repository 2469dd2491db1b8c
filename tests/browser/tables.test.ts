import DxfParser from 'dxf-parser';
import { getDocument, OPS } from 'pdfjs-dist/legacy/build/pdf.mjs';
import type { Page } from 'puppeteer-core';
import { describe, expect, it } from 'vitest';
import type { JobDocument } from '@/core';
import { onlyPiece } from '../fixtures/demo';
import {
  again,
  base,
  button,
  call,
  choose,
  fill,
  goTo,
  laidOut,
  newJob,
  openPage,
  openQuestions,
  radio,
  reads,
  saved,
  visit,
  withBrowser,
} from './desk';

withBrowser();

async function start(name: string): Promise<{ page: Page & { faults: string[] }; id: string }> {
  const { id } = await newJob(name);
  return { page: await openPage(`/jobs/${id}/form`), id };
}

const stops = (page: Page) => page.$$eval('[data-level="stop"]', (all) => all.map((e) => e.textContent ?? ''));

/** Presses the way out of a stop whose sentence reads like that, until it is gone; few steps are ever needed. */
async function wayOut(page: Page, sentence: RegExp) {
  for (let i = 0; i < 4; i += 1) {
    await reads(page, 'main', /^(?![\s\S]*Looking for a way out)/);
    const found = await page.evaluate((source: string) => {
      const stop = [...document.querySelectorAll('[data-level="stop"]')].find((e) =>
        new RegExp(source).test(e.textContent ?? ''),
      );
      const out = stop?.querySelector('button[data-way-out]') as HTMLButtonElement | null;
      out?.click();
      return { stop: Boolean(stop), out: Boolean(out) };
    }, sentence.source);
    if (!found.stop) return;
    expect(found.out, `a way out of ${sentence}`).toBe(true);
    await saved(page);
  }
  expect((await stops(page)).filter((text) => sentence.test(text))).toEqual([]);
}

/** The places offered for the home, by what they are called. */
const homes = async (page: Page) => {
  const list = await page.waitForSelector('::-p-aria([name="Home air"][role="combobox"])');
  return list!.evaluate((e) => [...(e as HTMLSelectElement).options].map(({ value, text }) => ({ value, name: text })));
};

describe('tables composed from an empty job', () => {
  it('a breadboarded trestle table: a thin top stops the work, its way out leads out, its story stick prints at full size', async () => {
    const { page, id } = await start('Trestle for a test');
    await choose(page, 'Kind of top', 'breadboard');
    await choose(page, 'Kind of base', 'trestle');
    await saved(page);
    await openQuestions(page);
    await reads(page, 'main', /Tongue with tenons/);
    expect(await page.$$('svg [data-part="stretcher"]')).not.toHaveLength(0);
    await fill(page, 'Thickness', '16');
    await saved(page);
    await reads(page, 'main', /top sags, in time/);
    await wayOut(page, /top sags, in time/);

    await goTo(page, 'joints');
    await reads(page, 'main', /Breadboard end, 2 times/);
    await (await radio(page, 'Full size')).click();
    await reads(page, 'nav[aria-label="Drawings at full size"]', /Story sticks[\s\S]*Stretcher/);
    const chosen = await page.evaluateHandle(() =>
      [...document.querySelectorAll('nav[aria-label="Drawings at full size"] button')].find((b) =>
        /Stretcher/.test(b.textContent ?? ''),
      ),
    );
    await (chosen as unknown as { click: () => Promise<void> }).click();
    await reads(page, 'figcaption', /Story stick .*Stretcher/);
    const href = await page.$eval('figure a[href*="full-size.pdf"]', (a) => (a as HTMLAnchorElement).href);
    const pdf = await getDocument({ data: new Uint8Array(await (await fetch(href)).arrayBuffer()) }).promise;
    // The square of the first sheet, as an independent reader finds it: 100 mm is 283.46 points.
    const list = await (await pdf.getPage(1)).getOperatorList();
    const scales = [1];
    const sides = list.fnArray.flatMap((fn, i) => {
      const args = list.argsArray[i];
      if (fn === OPS.save) scales.push(scales.at(-1)!);
      if (fn === OPS.restore) scales.pop();
      if (fn === OPS.transform) scales.push(scales.pop()! * Math.abs(args[0]));
      const box = fn === OPS.constructPath ? (args[2] as ArrayLike<number> | null) : null;
      if (!box) return [];
      const [left = 0, top = 0, right = 0, bottom = 0] = Array.from(box);
      return [[(right - left) * scales.at(-1)!, (bottom - top) * scales.at(-1)!]];
    });
    const square = sides.find(([w, h]) => Math.abs(w! - 283.465) < 0.15 && Math.abs(h! - 283.465) < 0.15);
    expect(square).toBeDefined();
    // The stick goes over as many sheets as it is long; every one says which it is.
    const { data } = await call<{ document: JobDocument }>('GET', `/api/jobs/${id}`);
    expect(pdf.numPages).toBeGreaterThanOrEqual(Math.floor(onlyPiece(data.document).form.top.length / 300));
    const words = (await (await pdf.getPage(2)).getTextContent()).items
      .map((item) => ('str' in item ? item.str : ''))
      .join(' ');
    expect(words).toMatch(/sheet A1 of/);
    expect(page.faults).toEqual([]);
  });

  it('a round table on three splayed legs: what tips stops the work, and its legs go out', async () => {
    const { page, id } = await start('Round for a test');
    await choose(page, 'Seen from above', 'round');
    await choose(page, 'Kind of base', 'splayed');
    await saved(page);
    await fill(page, 'Diameter', '760');
    await fill(page, 'Legs', '3');
    await fill(page, 'Middle to the legs’ outside', '180');
    await saved(page);
    await reads(page, '[data-level="stop"]', /would tip the table/);
    // Three legs under a light top never stand a heavy lean: the maker says how much is leaned on it, and the legs go out.
    await fill(page, 'Leaning on the edge N', '120');
    await saved(page);
    await wayOut(page, /would tip the table/);
    expect((await stops(page)).filter((text) => /tip/.test(text))).toEqual([]);
    await goTo(page, 'layout');
    await laidOut(page);
    // Strips of more than one length: a round top is stepped.
    const svg = await (await fetch(`${base}/api/jobs/${id}/files/layout.svg`)).text();
    const lengths = new Set(
      [...svg.matchAll(/width="([\d.]+)"[^>]*data-part="p1\.1:top"/g)].map(([, length]) => Number(length)),
    );
    expect(lengths.size).toBeGreaterThan(1);
    // Server and browser take the layout kept for that of the same piece: what is loaded reads alike in both.
    await again(page);
    await reads(page, 'main', /at most from the best possible/);
    expect(page.faults).toEqual([]);
  });

  it('a slatted terrace table on crossed legs: a gap too small stops it in the season, and the way out opens it', async () => {
    const { page } = await start('Slats for a test');
    await choose(page, 'Kind of top', 'slatted');
    await choose(page, 'Kind of base', 'x-frame');
    await fill(page, 'Overhang, sides', '25');
    await saved(page);
    await fill(page, 'Slats', '3');
    await fill(page, 'Gap between slats', '1');
    await saved(page);
    await goTo(page, 'season');
    await reads(page, 'main', /leaving gaps of/);
    await reads(page, '[data-level="stop"]', /slats meet and press/);
    await wayOut(page, /slats meet and press/);
    expect((await stops(page)).filter((text) => /slats/.test(text))).toEqual([]);
    expect(page.faults).toEqual([]);
  });

  it('dowels, a bit that is not there and its way out; splayed legs whose angles stand on the cut list; a top kept level', async () => {
    const { page, id } = await start('Corners for a test');
    const decisions = async () =>
      onlyPiece((await call<{ document: JobDocument }>('GET', `/api/jobs/${id}`)).data.document);
    await goTo(page, 'joints');
    await choose(page, 'Leg and apron', 'dowels');
    await reads(page, 'main', /From dowel to dowel/);
    await fill(page, 'Dowel, thick', '9');
    await saved(page);
    await reads(page, '[data-check="machines.dowel-bit"]', /No bit of the shop bores for 9/);
    await (await page.waitForSelector('[data-check="machines.dowel-bit"] button[data-way-out]'))!.click();
    await saved(page);
    // Of those there is a bit for, the one that also carries.
    expect((await decisions()).joints.corner).toBe('dowels');
    expect([8, 10]).toContain((await decisions()).joints.tenonThickness);
    await choose(page, 'Leg and apron', 'mortise-tenon');
    await (await radio(page, 'Draw-bored')).click();
    await reads(page, 'main', /Tenon beyond its pegs/);

    await goTo(page, 'form');
    await fill(page, 'Splayed along the table °', '6');
    await fill(page, 'Splayed across it °', '6');
    await fill(page, 'Overhang, ends', '90');
    await fill(page, 'Overhang, sides', '90');
    await saved(page);
    await goTo(page, 'bench');
    await reads(page, 'tr[data-row="leg-front-left"]', /both ends mitre 6\.0°, bevel 6\.0°/);

    await goTo(page, 'glue-up');
    await choose(page, 'Boards kept level by', 'biscuits');
    await reads(page, 'main', /In \d+ joints/);
    await saved(page);
    expect((await decisions()).glueUp.level).toBe('biscuits');
    expect(page.faults).toEqual([]);
  });

  it('bought-in steel with a cut-out: what stands in its way stops the work; the steel is not on the cut list', async () => {
    const { page, id } = await start('Steel for a test');
    await choose(page, 'Kind of base', 'steel');
    await saved(page);
    await (await button(page, 'Add a cut-out'))!.click();
    await page.waitForSelector('svg [data-part^="steel-frame"]');
    await fill(page, 'From the left end', '60');
    await saved(page);
    await reads(page, '[data-check="form.cut-out-edge"][data-level="stop"]', /to the edge/);
    const { data } = await call<{ document: JobDocument }>('GET', `/api/jobs/${id}`);
    expect(onlyPiece(data.document).form.hold.kind).toBe('inserts');
    const { length, endOverhang } = onlyPiece(data.document).form.top;
    await fill(page, 'From the left end', `${endOverhang + 25}`);
    await saved(page);
    await reads(page, '[data-check="form.cut-out-under"][data-level="stop"]', /stands in the way/);
    await fill(page, 'From the left end', `${length / 2}`);
    await saved(page);
    await page.waitForFunction(() => !document.querySelector('[data-check^="form.cut-out"][data-level="stop"]'));
    await goTo(page, 'bench');
    await reads(page, 'main', /0\s*of 1 parts cut/);
    expect(await page.$$('tr[data-row^="steel"]')).toHaveLength(0);
    expect(page.faults).toEqual([]);
  });

  it('leaves on slides: runners drawn too far and screws that no driver comes to stop it; both panels are laid out', async () => {
    const { page, id } = await start('Leaves for a test');
    await choose(page, 'Kind of top', 'extending');
    await saved(page);
    await fill(page, 'Leaves', '3');
    await fill(page, 'Each leaf, along the table', '850');
    await saved(page);
    await reads(page, '[data-level="stop"]', /stay in its guide/);
    await wayOut(page, /stay in its guide/);
    await fill(page, 'Leaves', '1');
    await fill(page, 'Each leaf, along the table', '400');
    await saved(page);
    expect((await stops(page)).filter((text) => /guide|runner/.test(text))).toEqual([]);
    // Drawn out it is longer by its leaf.
    const { data } = await call<{ document: JobDocument }>('GET', `/api/jobs/${id}`);
    const written = (mm: number) => new RegExp(`${mm}`.replace(/(\d)(\d{3})$/, '$1\\s?$2'));
    await reads(page, '[data-dimension="across"]', written(onlyPiece(data.document).form.top.length + 400));
    await goTo(page, 'joints');
    await wayOut(page, /cannot be reached/);
    await reads(page, 'main', /bolt|insert/i);
    await goTo(page, 'layout');
    await laidOut(page);
    const svg = await (await fetch(`${base}/api/jobs/${id}/files/layout.svg`)).text();
    expect(svg).toMatch(/data-part="p1\.1:half-left"/);
    expect(svg).toMatch(/data-part="p1\.1:leaf-1"/);
    expect(page.faults).toEqual([]);
  });

  it('two slabs with glass: fitted tight it stops the work in a damp house, and the glazier’s template goes out in true size', async () => {
    const { page, id } = await start('Glass for a test');
    await choose(page, 'Kind of top', 'channel');
    await choose(page, 'Kind of base', 'trestle');
    await saved(page);
    await fill(page, 'Room all round', '0.5');
    await fill(page, 'Lies on each slab', '30');
    await saved(page);
    await goTo(page, 'season');
    await choose(page, 'Home air', (await homes(page)).find(({ name }) => /river room/i.test(name))!.value);
    await saved(page);
    await wayOut(page, /press on the glass/);
    await goTo(page, 'joints');
    await (await radio(page, 'Full size')).click();
    await reads(page, 'nav[aria-label="Drawings at full size"]', /Templates[\s\S]*glass/i);
    const dxf = await (await fetch(`${base}/api/jobs/${id}/files/full-size.dxf?drawing=template-glass-width`)).text();
    const entities = new DxfParser().parseSync(dxf)!.entities as {
      layer: string;
      vertices?: { x: number; y: number }[];
    }[];
    const outline = entities.find(({ layer, vertices }) => layer === 'OUTLINE' && vertices)!;
    const xs = outline.vertices!.map(({ x }) => x);
    const { data } = await call<{ document: JobDocument }>('GET', `/api/jobs/${id}`);
    expect(Math.max(...xs) - Math.min(...xs)).toBeCloseTo(onlyPiece(data.document).form.top.length, 1);
    expect(page.faults).toEqual([]);
  });

  it('a stool folded of one board: nothing is asked of screws, and a rounded edge is kept off its mitres', async () => {
    const { page } = await start('Stool for a test');
    await choose(page, 'Kind of base', 'box');
    await fill(page, 'Length', '420');
    await fill(page, 'Width', '320');
    await saved(page);
    await choose(page, 'Edges', 'rounded');
    await saved(page);
    await reads(page, '[data-level="stop"]', /would run into the mitres/);
    await choose(page, 'Edges', 'square');
    await saved(page);
    expect((await stops(page)).filter((text) => /mitre/.test(text))).toEqual([]);
    await goTo(page, 'joints');
    await reads(page, 'main', /Mitre with a spline, 2 times/);
    expect(await page.$eval('main', (e) => e.textContent)).not.toMatch(/Screws into the top/);
    expect(page.faults).toEqual([]);
  });

  it('fields end to end on posts and braces: over trestles their seam stops it, posts and braces carry it, and curved legs go out', async () => {
    const { page, id } = await start('Fields for a test');
    await choose(page, 'Kind of top', 'pieced');
    await choose(page, 'Kind of base', 'trestle');
    await fill(page, 'Stripe, wide', '0');
    await fill(page, 'Length', '2400');
    await fill(page, 'Thickness', '18');
    await saved(page);
    await reads(page, '[data-level="stop"]', /Under a seam there is no rail/);
    // On posts and braces the top rails run along under it.
    await choose(page, 'Kind of base', 'post-brace');
    await saved(page);
    expect((await stops(page)).filter((text) => /seam/.test(text))).toEqual([]);
    await (await radio(page, 'Glue alone')).click();
    await saved(page);
    await wayOut(page, /only glued end grain to end grain/);
    // Its braces to the rails: askew both ways, each with a template.
    await (await radio(page, 'To the top rails')).click();
    await saved(page);
    await goTo(page, 'joints');
    await (await radio(page, 'Full size')).click();
    await reads(page, 'nav[aria-label="Drawings at full size"]', /Templates[\s\S]*Brace/);
    await goTo(page, 'form');
    await choose(page, 'Kind of base', 'leg-apron');
    await saved(page);
    expect((await stops(page)).filter((text) => /seam/.test(text))).toEqual([]);
    await fill(page, 'Taper, hollowed by', '60');
    await saved(page);
    await reads(page, '[data-level="stop"]', /next to nothing in the middle of the legs/);
    await fill(page, 'Taper, hollowed by', '7');
    await saved(page);
    expect((await stops(page)).filter((text) => /middle of the legs/.test(text))).toEqual([]);
    const dxf = await (
      await fetch(`${base}/api/jobs/${id}/files/full-size.dxf?drawing=template-leg-front-left-width`)
    ).text();
    const entities = new DxfParser().parseSync(dxf)!.entities as {
      layer: string;
      vertices?: { x: number; y: number; bulge?: number }[];
    }[];
    const { vertices } = entities.find((e) => e.layer === 'OUTLINE' && e.vertices)!;
    // A bulge is the tangent of a quarter of its arc's angle: sagitta = bulge · chord ÷ 2.
    const sagittas = vertices!.flatMap((v, k) => {
      const to = vertices![(k + 1) % vertices!.length]!;
      return v.bulge ? [Math.abs(v.bulge * Math.hypot(to.x - v.x, to.y - v.y)) / 2] : [];
    });
    expect(sagittas).toEqual([expect.closeTo(7, 2)]);
    expect(page.faults).toEqual([]);
  });

  it('taken apart is drawn flat where a browser shows no solids', async () => {
    const { page, id } = await start('Flat for a test');
    await page.evaluateOnNewDocument(() => {
      HTMLCanvasElement.prototype.getContext = (() => null) as typeof HTMLCanvasElement.prototype.getContext;
    });
    await visit(page, `/jobs/${id}/form`);
    await (await radio(page, 'Taken apart')).click();
    await page.waitForSelector('[data-scene="drawn"] svg [data-part="top"]');
    await reads(page, '[data-scene]', /shows no solids/);
    expect(page.faults).toEqual([]);
  });

  it('taken apart is made of solids with their joints cut, in code that no other screen loads', async () => {
    const { page } = await start('Solids for a test');
    const scripts = () =>
      page.evaluate(() =>
        performance
          .getEntriesByType('resource')
          .filter((e) => e.name.endsWith('.js'))
          .map((e) => e.name),
      );
    const sized = async (names: string[]) => {
      const texts = await Promise.all(names.map(async (name) => (await fetch(name)).text()));
      return texts.some((text) => text.includes('WebGLRenderer'));
    };
    const before = await scripts();
    expect(await sized(before)).toBe(false);
    await (await radio(page, 'Taken apart')).click();
    await page.waitForSelector('[data-scene="made"] canvas', { timeout: 30_000 });
    const after = (await scripts()).filter((name) => !before.includes(name));
    expect(await sized(after)).toBe(true);
    const glb = await fetch(`${base}/api/jobs/${page.url().split('/')[4]}/files/piece.glb`);
    expect(
      Buffer.from(await glb.arrayBuffer())
        .subarray(0, 4)
        .toString(),
    ).toBe('glTF');
    expect(page.faults).toEqual([]);
  });
});
