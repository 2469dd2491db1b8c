import type { Board } from '../stock/board';
import { surfacedThickness } from '../stock/thickness';
import type { Demand, LayoutOptions } from './layout';

/**
 * A volume (m³) that no layout can go below: the linear relaxation in which every piece is only an area that must come
 * from boards thick enough for it. A used board loses its end trim and its defects whole (they never go back to the
 * rack), shared here over its clear area. Eligibility is nested by thickness, so taking the thickest requirement
 * first and the cheapest board each time is exact for the relaxation; kerf and shapes are left out, which only makes
 * the bound lower.
 */
export function leastConsumption(demand: Demand, boards: readonly Board[], options: LayoutOptions): number {
  const needs = [
    ...demand.parts.map((part) => ({ thickness: part.finished.thickness, area: part.rough.length * part.rough.width })),
    ...demand.panels.map((panel) => {
      const strips = Math.ceil(panel.rough.width / panel.greatestStrip - 1e-9);
      return {
        thickness: panel.finished.thickness,
        area: panel.rough.length * (panel.rough.width + strips * panel.jointing),
      };
    }),
  ].sort((a, b) => b.thickness - a.thickness);

  const supplies = boards
    .map((board) => {
      const total = board.length * board.width;
      const clear = clearArea(board, options.endTrim);
      return {
        thickness: surfacedThickness(board, options.flattening),
        left: clear,
        price: clear > 0 ? board.thickness * (total / clear) : Number.POSITIVE_INFINITY,
      };
    })
    .filter((supply) => supply.left > 0)
    .sort((a, b) => a.price - b.price);

  let volume = 0;
  for (const need of needs) {
    let area = need.area;
    for (const supply of supplies) {
      if (area <= 0) break;
      if (supply.thickness < need.thickness - 1e-9 || supply.left <= 0) continue;
      const taken = Math.min(area, supply.left);
      supply.left -= taken;
      area -= taken;
      volume += taken * supply.price;
    }
  }
  return volume * 1e-9;
}

/** mm² of a board inside its end trim and outside its defects (overlapping defects counted once). */
export function clearArea(board: Pick<Board, 'length' | 'width' | 'defects'>, endTrim: number): number {
  const right = board.length - endTrim;
  const cuts = (from: number, to: number, ends: number[]) =>
    [...new Set([from, to, ...ends.filter((end) => end > from && end < to)])].sort((a, b) => a - b);
  const xs = cuts(
    endTrim,
    right,
    board.defects.flatMap((d) => [d.x, d.x + d.length]),
  );
  const ys = cuts(
    0,
    board.width,
    board.defects.flatMap((d) => [d.y, d.y + d.width]),
  );
  let area = 0;
  for (let i = 0; i + 1 < xs.length; i += 1) {
    for (let j = 0; j + 1 < ys.length; j += 1) {
      const [x0, x1, y0, y1] = [xs[i] ?? 0, xs[i + 1] ?? 0, ys[j] ?? 0, ys[j + 1] ?? 0];
      const [cx, cy] = [(x0 + x1) / 2, (y0 + y1) / 2];
      const spoiled = board.defects.some((d) => cx > d.x && cx < d.x + d.length && cy > d.y && cy < d.y + d.width);
      if (!spoiled) area += (x1 - x0) * (y1 - y0);
    }
  }
  return right > endTrim ? area : 0;
}
