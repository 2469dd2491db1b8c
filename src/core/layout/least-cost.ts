import { type Board, type Defect, faceArea } from '../stock/board';
import { boardPrice } from '../stock/price';
import { spoils } from '../stock/spoils';
import { resawableThickness } from '../stock/thickness';
import { clearArea } from './clear-area';
import type { Demand } from './demand';
import type { LayoutOptions } from './layout';
import { kindsOf, type ReadyBoard, readyBoards, stripsFrom } from './ready-boards';
import { resawnFrom } from './resawing';

/**
 * A cost that no layout can go below, without a solver: every piece is only an area that must come from boards thick
 * enough for it, at the least price of an area there. A used board loses its end trim and its defects whole, shared
 * here over its clear area. Eligibility is nested by thickness, so taking the thickest requirement first and the
 * cheapest board each time is exact for the relaxation; kerf and shapes are left out, which only makes it lower.
 */
export function leastCost(demand: Demand, boards: readonly Board[], options: LayoutOptions): number {
  const kinds = kindsOf(demand, options, boards);
  const ready = readyBoards(boards, options, kinds);
  const most = (of: (board: ReadyBoard) => number) => Math.max(1, ...ready.map(of));
  const needs = [
    ...kinds.parts.map((kind, i) => {
      const width = Math.min(kind.width, ...ready.map(({ widths }) => widths[i]!));
      const area = (kind.ids.length * kind.length * width) / most(({ layers }) => layers[i]!);
      // Dressed stock may be as much thinner as it is measured.
      return { thickness: kind.asDressed || kind.sheet ? 0 : kind.thickness, area };
    }),
    ...kinds.bands.map((band) => {
      const strips = Math.ceil(band.width / band.greatest - 1e-9);
      const width = (band.width + strips * band.jointing) / most((board) => stripsFrom(board, band).copies);
      const thickness = band.pairs ? resawnFrom(band.thickness, 2, options.resaw) : band.thickness;
      return { thickness, area: band.length * width };
    }),
  ].sort((a, b) => b.thickness - a.thickness);

  const { weights, endTrim, woodPrice } = options;
  const supplies = boards
    .map((board) => {
      const left = clearArea({ ...board, defects: board.defects.filter(spoilsAll) }, endTrim);
      const price = boardPrice(board, woodPrice);
      const begun = options.fixed?.some((p) => p.board === board.id) ?? false;
      return {
        // What is resawn is not surfaced first.
        thickness: resawableThickness({ ...board, crook: null }, options, board),
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
