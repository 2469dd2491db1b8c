import { type Board, type Defect, faceArea } from '../stock/board';
import { boardPrice } from '../stock/price';
import { spoils } from '../stock/spoils';
import { surfacedThickness } from '../stock/thickness';
import type { Demand } from './demand';
import type { LayoutOptions, Rectangle } from './layout';
import { leavesOf, stripBlank } from './matched-pairs';
import { layersOf } from './ready-boards';

/**
 * A cost that no layout can go below, without a solver: every piece is only an area that must come from boards thick
 * enough for it, at the least price of an area there. A used board loses its end trim and its defects whole, shared
 * here over its clear area. Eligibility is nested by thickness, so taking the thickest requirement first and the
 * cheapest board each time is exact for the relaxation; kerf and shapes are left out, which only makes it lower.
 */
export function leastCost(demand: Demand, boards: readonly Board[], options: LayoutOptions): number {
  const done = new Set((options.fixed ?? []).map((p) => p.part));
  const needs = [
    ...demand.parts.flatMap((part) => {
      if (done.has(part.id)) return [];
      const kind = { ...part.rough, thickness: part.finished.thickness, resawn: part.resawn ?? true };
      const layers = boards.map((b) => layersOf(kind, surfacedThickness(b, options.flattening), b, options));
      return [{ thickness: part.finished.thickness, area: (kind.length * kind.width) / Math.max(1, ...layers) }];
    }),
    ...demand.panels.flatMap((panel) =>
      done.has(panel.id)
        ? []
        : panel.bands.map((band) => {
            const strips = Math.ceil(band.width / panel.greatestStrip - 1e-9);
            const width = (band.width + strips * panel.jointing) / leavesOf(panel);
            return { thickness: stripBlank(panel, options), area: band.length * width };
          }),
    ),
  ].sort((a, b) => b.thickness - a.thickness);

  const { weights, endTrim, flattening, woodPrice } = options;
  const supplies = boards
    .map((board) => {
      const left = clearArea({ ...board, defects: board.defects.filter(spoilsAll) }, endTrim);
      const price = boardPrice(board, woodPrice);
      const begun = options.fixed?.some((p) => p.board === board.id) ?? false;
      return {
        thickness: surfacedThickness(board, flattening),
        left,
        // A board already begun costs only what would have come back of it.
        price: begun ? (weights.offcutWorth * price) / faceArea(board) : price / left,
      };
    })
    .filter((supply) => supply.left > 0)
    .sort((a, b) => a.price - b.price);

  let cost = 0;
  for (const need of needs) {
    let area = need.area;
    for (const supply of supplies) {
      if (area <= 0) break;
      if (supply.thickness < need.thickness - 1e-9 || supply.left <= 0) continue;
      const taken = Math.min(area, supply.left);
      supply.left -= taken;
      area -= taken;
      cost += taken * supply.price;
    }
  }
  return cost;
}

const spoilsAll = (defect: Defect) =>
  spoils(defect, { kind: 'strip', shows: 'none' }, 'tagged') &&
  spoils(defect, { kind: 'strip', shows: 'none' }, 'under');

/** mm² of a board inside its end trim and outside its defects (overlapping defects counted once). */
export function clearArea(
  board: Pick<Board, 'length' | 'width' | 'farWidth'> & { defects: readonly Rectangle[] },
  endTrim: number,
): number {
  const width = Math.max(board.width, board.farWidth ?? 0);
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
    width,
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
