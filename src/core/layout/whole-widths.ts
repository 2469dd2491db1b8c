import type { Board } from '../stock/board';
import { blanksOf } from './blanks';
import { checkBoard } from './check-layout';
import type { Demand } from './demand';
import type { Layout, LayoutOptions, Placement } from './layout';

/**
 * Strips with their sawn widths at whole steps of the saw: each a little narrower, and those wider again that their
 * board has room for, until the panel is as wide as it was. A band of which not enough can be is left as it was.
 */
export function wholeWidths(
  demand: Demand,
  boards: readonly Board[],
  options: LayoutOptions,
  laid: Pick<Layout, 'placements' | 'offcuts'>,
): Placement[] {
  const { step } = options;
  const fixed = new Set(options.fixed ?? []);
  const down = (width: number) => Math.floor(width / step + 1e-6) * step;
  let placements = [...laid.placements];
  for (const panel of demand.panels) {
    panel.bands.forEach(({ width: wanted }, band) => {
      const own = placements.filter((p) => p.part === panel.id && (p.band ?? 0) === band);
      const total = (list: readonly Placement[]) => list.reduce((sum, p) => sum + p.width - panel.jointing, 0);
      const need = Math.min(wanted, total(own));
      const free = own.filter((p) => !fixed.has(p));
      const narrower = free.map((p) => {
        const width = down(p.width);
        return width - panel.jointing < panel.leastStrip - 1e-6 ? p : { ...p, width };
      });
      let tried = placements.map((p) => narrower[free.indexOf(p)] ?? p);
      const strips = () => tried.filter((p) => p.part === panel.id && (p.band ?? 0) === band);
      // Steps are given back one by one, to each blank that has room, until the panel is as wide as before.
      let given = true;
      while (given && total(strips()) < need - 1e-6) {
        given = false;
        for (const blank of blanksOf(strips().filter((p) => !fixed.has(p)))) {
          if (total(strips()) >= need - 1e-6) break;
          const width = down(blank.width) + step;
          if (width - panel.jointing > panel.greatestStrip + 1e-6) continue;
          const wider = tried.map((p) => (blank.placements.includes(p) ? { ...p, width } : p));
          if (!fits(demand, boards, options, { placements: wider, offcuts: laid.offcuts }, blank.board)) continue;
          [tried, given] = [wider, true];
        }
      }
      if (total(strips()) >= need - 1e-6) placements = tried;
    });
  }
  return placements;
}

function fits(
  demand: Demand,
  boards: readonly Board[],
  options: LayoutOptions,
  { placements, offcuts }: Pick<Layout, 'placements' | 'offcuts'>,
  id: string,
): boolean {
  const board = boards.find((own) => own.id === id);
  return board !== undefined && checkBoard(board, demand, options, { placements, offcuts, shortfall: [] }).length === 0;
}
