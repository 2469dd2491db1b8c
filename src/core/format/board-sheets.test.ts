import { describe, expect, it } from 'vitest';
import { demoJob, derive } from '../../../tests/fixtures/demo';
import { blanksOf } from '../layout/blanks';
import { cutSteps } from '../layout/cut-steps';
import { blankLabel, labelsOfPiece } from '../layout/labels';
import { planLayout } from '../layout/plan-layout';
import { composeBoardSheets } from './board-sheets';

const job = derive(demoJob('2-long-table'));
const layout = planLayout(job.demand, job.boards, { ...job.layoutOptions, effort: 200 });
const { demand, layoutOptions: options } = job;

describe.each(['a4', 'letter'] as const)('the boards for the saw on %s', (paper) => {
  const style = { system: 'metric' as const };
  const { boards } = job;
  const labelOf = labelsOfPiece(job.piece);
  const pages = composeBoardSheets({ name: 'Table', labelOf, layout, boards, demand, options, style, paper });
  const texts = pages.flatMap((page) => page.marks.flatMap((mark) => (mark.kind === 'text' ? mark : [])));

  it('lie across, with nothing beyond the paper', () => {
    for (const { width, height, marks } of pages) {
      expect(width).toBeGreaterThan(height);
      for (const mark of marks) {
        const points = mark.kind === 'line' ? mark.points : [[mark.x, mark.y] as const];
        for (const [x, y] of points) {
          expect(x).toBeGreaterThanOrEqual(0);
          expect(x).toBeLessThanOrEqual(width);
          expect(y).toBeGreaterThanOrEqual(0);
          expect(y).toBeLessThanOrEqual(height);
        }
      }
    }
  });

  it('have a strip for every board, each piece by its letter and each cut in its order', () => {
    const said = texts.map((mark) => mark.text);
    for (const id of layout.boards) expect(said).toContain(job.boards.find((b) => b.id === id)!.tag);
    for (const blank of blanksOf(layout.placements)) expect(said).toContain(blankLabel(labelOf, blank));
    const cuts = said.filter((text) => /^(crosscut|rip|resaw)/.test(text));
    expect(cuts).toHaveLength(cutSteps(layout, job.boards, demand, options).length);
  });

  it('can be read standing at the saw: cuts, places and the letters of all but slivers in ten points or more', () => {
    const tall = blanksOf(layout.placements).filter((blank) => blank.width >= 60);
    const letters = new Set(tall.map((blank) => blankLabel(labelOf, blank)));
    for (const mark of texts) {
      if (letters.has(mark.text) || /^(crosscut|rip|resaw)/.test(mark.text))
        expect(mark.size).toBeGreaterThanOrEqual(10);
    }
  });

  it('keep a board on one page', () => {
    for (const id of layout.boards) {
      const tag = job.boards.find((b) => b.id === id)!.tag;
      expect(pages.filter((page) => page.marks.some((m) => m.kind === 'text' && m.text === tag))).toHaveLength(1);
    }
  });
});

it('set stop and fence by the rule of the sheet: a layout of millimetres is sawn to sixteenths', () => {
  const { demand, layoutOptions: options, piece, boards: rack } = job;
  const pages = composeBoardSheets({
    name: 'x',
    labelOf: labelsOfPiece(piece),
    layout,
    boards: rack,
    demand,
    options,
    style: { system: 'inch', fraction: 32 },
    paper: 'a4',
  });
  const cuts = pages
    .flatMap(({ marks }) => marks)
    .flatMap((mark) => (mark.kind === 'text' && /^(crosscut|rip)/.test(mark.text) ? [mark.text] : []));
  expect(cuts.length).toBeGreaterThan(10);
  const whole = cuts.filter((text) => !/\/32|[+−]/.test(text));
  // But where a piece has neither room nor allowance.
  expect(whole.length / cuts.length).toBeGreaterThan(0.9);
});
