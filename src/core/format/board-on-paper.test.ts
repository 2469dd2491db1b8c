import { describe, expect, it } from 'vitest';
import { demoJob, derive } from '../../../tests/fixtures/demo';
import { blanksOf } from '../layout/blanks';
import { blankLabel, labelsOfPiece } from '../layout/labels';
import { planLayout } from '../layout/plan-layout';
import { formatLength } from '../measure/length';
import { boardOnPaper, READABLE } from './board-on-paper';

const job = derive(demoJob('2-long-table'));
const layout = planLayout(job.demand, job.boards, { ...job.layoutOptions, effort: 200 });
const labelOf = labelsOfPiece(job.piece);
const used = job.boards.filter(({ id }) => layout.boards.includes(id));
const say = (mm: number) => formatLength(mm, { system: 'metric' });
/** The longest board across a sheet of 267 mm. */
const scale = 267 / Math.max(...used.map(({ length }) => length));

describe('a board on paper', () => {
  const drawings = used.map((board) => ({
    board,
    drawing: boardOnPaper(board, { layout, labelOf, scale, say, ruler: true }),
  }));

  it('is true to scale, with a rectangle for every piece that is sawn from it', () => {
    for (const { board, drawing } of drawings) {
      expect(drawing.width).toBeCloseTo(board.length * scale, 6);
      for (const blank of blanksOf(layout.placements.filter((p) => p.board === board.id))) {
        const corner = [blank.x * scale, blank.y * scale];
        const [x, y] = [(blank.x + blank.length) * scale, (blank.y + blank.width) * scale];
        const found = drawing.marks.some(
          (mark) =>
            mark.kind === 'line' &&
            mark.points.some((p) => Math.hypot(p[0] - corner[0]!, p[1] - corner[1]!) < 1e-6) &&
            mark.points.some((p) => Math.hypot(p[0] - x, p[1] - y) < 1e-6),
        );
        expect(found).toBe(true);
      }
    }
  });

  it('can be read standing at the saw: places and the letters of all but slivers in ten points or more', () => {
    const wide = blanksOf(layout.placements).filter((blank) => blank.width >= 60);
    const letters = new Set(wide.map((blank) => blankLabel(labelOf, blank)));
    const marks = drawings.flatMap(({ drawing }) => drawing.marks);
    const said = marks.flatMap((mark) => (mark.kind === 'text' && letters.has(mark.text) ? mark : []));
    expect(new Set(said.map(({ text }) => text))).toEqual(letters);
    for (const { size } of said) expect(size).toBeGreaterThanOrEqual(READABLE);
  });

  it('says under the board where its crosscuts lie, and how long it is', () => {
    for (const { board, drawing } of drawings) {
      const figures = drawing.marks.flatMap((mark) =>
        mark.kind === 'text' && mark.align === 'centre' ? mark.text : [],
      );
      expect(figures).toContain(say(board.length));
    }
  });
});
