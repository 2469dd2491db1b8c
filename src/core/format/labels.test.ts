import jsQR from 'jsqr';
import { describe, expect, it } from 'vitest';
import { aBoard } from '../../../tests/fixtures/layout-parts';
import { composeLabels } from './labels';
import type { Page } from './page';

const given = {
  paper: 'a4' as const,
  style: { system: 'metric' as const },
  woodOf: () => 'White oak',
  address: (board: { id: string }) => `http://127.0.0.1:3000/rack?board=${board.id}`,
};

/** The filled marks of a page as a printer at 8 dots to the millimetre would put them down. */
function printed(page: Page, window: { x: number; y: number; side: number }) {
  const dots = 8;
  const side = window.side * dots;
  const pixels = new Uint8ClampedArray(side * side * 4).fill(255);
  for (const mark of page.marks) {
    if (mark.kind !== 'line' || !mark.fill) continue;
    const [xs, ys] = [mark.points.map((p) => p[0]), mark.points.map((p) => p[1])];
    const from = (values: number[], start: number) => Math.max(0, Math.round((Math.min(...values) - start) * dots));
    const to = (values: number[], start: number) => Math.min(side, Math.round((Math.max(...values) - start) * dots));
    for (let y = from(ys, window.y); y < to(ys, window.y); y += 1) {
      for (let x = from(xs, window.x); x < to(xs, window.x); x += 1)
        pixels.fill(0, 4 * (y * side + x), 4 * (y * side + x) + 3);
    }
  }
  return { pixels, side };
}

describe('the labels of boards', () => {
  const boards = Array.from({ length: 17 }, (_, i) => aBoard(`K${i + 1}`, 2400, 180, { quarters: 6, lot: 'log-1' }));
  const pages = [...composeLabels(boards, given)];

  it('fill pages of fourteen, each inside its paper', () => {
    expect(pages).toHaveLength(2);
    for (const page of pages) {
      const points = page.marks.flatMap((mark) => (mark.kind === 'line' ? mark.points : [[mark.x, mark.y] as const]));
      expect(points.every(([x, y]) => x >= 0 && y >= 0 && x <= page.width && y <= page.height)).toBe(true);
    }
    const texts = pages.flatMap((page) => page.marks.flatMap((mark) => (mark.kind === 'text' ? mark.text : [])));
    for (const board of boards) expect(texts).toContain(board.tag);
    expect(texts).toContain('2 400 × 180 × 6/4'.replace(' ', '\u202f'));
  });

  it('carry a code that an independent reader reads as the board’s address', () => {
    const [page] = pages;
    const label = { x: 10, y: 10, side: 40 };
    const { pixels, side } = printed(page!, label);
    expect(jsQR(pixels, side, side)?.data).toBe('http://127.0.0.1:3000/rack?board=K1');
  });
});
