import { describe, expect, it } from 'vitest';
import { cutSteps, formatLength, type LengthStyle, sawStep, writeLength } from '@/core';
import { COMBINATIONS, JOBS, laidOut, papersOf } from '../../../tests/fixtures/paper-of';
import { filled, misprints, type ReadPage, readPaper } from '../../../tests/fixtures/read-paper';
import { MARGINS, printDocument } from './print-document';

/** Every run prints every piece once, on one paper in one unit; `PAPERS=all` on all of them. */
const all = process.env.PAPERS === 'all';

const sparse = (pages: readonly ReadPage[]) =>
  pages.slice(0, -1).flatMap((page, i) => (filled(page, MARGINS) < 1 / 3 ? [`page ${i + 1}`] : []));

describe('on paper nothing lies on anything else, nothing runs off, no page is nearly empty', () => {
  const cases = JOBS.flatMap(({ name, given }, i) =>
    COMBINATIONS.filter((_, k) => all || k === i % COMBINATIONS.length).map(
      (combination) => [name, combination.paper, combination.style.system, { given, combination }] as const,
    ),
  );
  it.each(cases)('%s, %s, %s', async (_name, _paper, _system, { given, combination }) => {
    const papers = papersOf(given, laidOut(given), combination);
    for (const [which, document] of Object.entries(papers)) {
      const pages = await readPaper(await printDocument(document));
      const wrong = pages.flatMap((page, i) => misprints(page).map((words) => `${which}, page ${i + 1}: ${words}`));
      expect(wrong).toEqual([]);
      // Sheets at full size take the room they take.
      const sheets = document.sheets?.length ?? 0;
      expect(sparse(pages.slice(0, pages.length - sheets)), which).toEqual([]);
    }
  });
});

describe('the boards for the saw', () => {
  const { given } = JOBS.find(({ name }) => name.startsWith('Long table'))!;
  const derived = laidOut(given);
  const [wood] = derived.woods;
  const layout = wood!.layout!;
  const step = (style: LengthStyle) =>
    cutSteps(layout, given.boards ?? [], wood!.demand, { ...wood!.layoutOptions, step: sawStep(style.system) });
  const printed = async (style: LengthStyle) =>
    readPaper(await printDocument(papersOf(given, derived, { paper: 'a4', style }).boards));

  it('have each board on one page, with every cut in its order', async () => {
    const style: LengthStyle = { system: 'metric' };
    const pages = await printed(style);
    const texts = pages.map((page) =>
      page.boxes
        .map(({ text }) => text)
        .join(' ')
        .replace(/\s+/g, ' '),
    );
    for (const id of layout.boards) {
      const { tag } = (given.boards ?? []).find((board) => board.id === id)!;
      expect(texts.filter((text) => text.includes(tag))).toHaveLength(1);
    }
    const cuts = texts.join(' ').match(/\b(crosscut|rip|resaw)\b/g) ?? [];
    expect(cuts).toHaveLength(step(style).length);
  });

  it('set stop and fence by the rule of the reader: a layout of millimetres is sawn to sixteenths', async () => {
    const pages = await printed({ system: 'inch', fraction: 32 });
    const words = pages.flatMap((page) => page.boxes.map(({ text }) => text)).join(' ');
    const set = words.match(/(?:crosscut at|trim at|rip) [\d/ ]+"/g) ?? [];
    expect(set.length).toBeGreaterThan(10);
    // But where a piece has neither room nor allowance.
    expect(set.filter((text) => !text.includes('/32')).length / set.length).toBeGreaterThan(0.9);
  });
});

it('names in any script are printed as they are written', async () => {
  const { given } = JOBS[0]!;
  const name = 'Mesa río, Łódź стол ⅜ → ☐';
  const document = { ...given.document, name };
  const sheet = papersOf({ ...given, document }, laidOut(given), COMBINATIONS[0]!).sheet;
  const [first] = await readPaper(await printDocument(sheet));
  const plain = (text: string) => text.replace(/\s/g, '');
  expect(plain(first!.boxes.map(({ text }) => text).join(''))).toContain(plain(name));
});

it('of pieces alike each has its own glue-up, and the width of the top is that of the driest and the wettest of them', async () => {
  const { given } = JOBS[0]!;
  const document = structuredClone(given.document);
  document.pieces[0]!.count = 3;
  const derived = laidOut({ ...given, document });
  const pages = await readPaper(await printDocument(papersOf({ ...given, document }, derived, COMBINATIONS[0]!).sheet));
  const words = pages
    .flatMap(({ boxes }) => boxes.map(({ text }) => text))
    .join(' ')
    .replace(/\s+/g, ' ');
  for (const { title, glueUps } of derived.pieces) {
    expect(words).toContain(`Glue-up · ${title},`);
    for (const { width } of glueUps.flatMap(({ stages }) => stages))
      expect(words).toContain(formatLength(width, { system: 'metric' }).replace('\u202f', ' '));
  }
  const driest = Math.min(...derived.pieces.map(({ season }) => season.leadingWidth.driest));
  expect(words).toContain(`top ${writeLength(driest, { system: 'metric' }, true)} wide`);
});
