import type { Shop } from '../decision/shop';
import type { JobDocument } from '../document/job-document';
import { sawStep } from '../measure/length';
import type { LayoutOptions, LayoutWeights } from './layout';

type Choice = JobDocument['layout'];

/**
 * What counts besides the wood for each aim: offcuts in % of their price, the rest in minutes of work. Common
 * practice; the maker sees them and may set others.
 */
export const LAYOUT_AIMS: Readonly<Record<Exclude<Choice['aim'], 'own'>, Choice['weights']>> = {
  /** Wood is dear, time is not. */
  'save-wood': { offcutWorth: 70, board: 12, cut: 0.2, joint: 2, lot: 0, ring: 0 },
  /** Every board is fetched, flattened and edged before it gives anything. */
  'fewest-boards': { offcutWorth: 40, board: 60, cut: 0.5, joint: 4, lot: 0, ring: 0 },
  /** Few joint lines, one log, one kind of ring. */
  'best-match': { offcutWorth: 60, board: 12, cut: 0.5, joint: 10, lot: 45, ring: 30 },
};

export function layoutWeights(choice: Choice, hour: number): LayoutWeights {
  const { offcutWorth, ...minutes } = choice.aim === 'own' ? choice.weights : LAYOUT_AIMS[choice.aim];
  const money = (of: keyof typeof minutes) => (minutes[of] / 60) * hour;
  return {
    offcutWorth: offcutWorth / 100,
    board: money('board'),
    cut: money('cut'),
    joint: money('joint'),
    lot: money('lot'),
    ring: money('ring'),
  };
}

/** The shop and the job's choices as the search takes them. */
export function layoutOptionsOf(
  shop: Shop,
  choice: Choice,
  /** Whether strips in pairs are asked for, which are resawn in any case. */
  paired: boolean,
  search: Pick<LayoutOptions, 'seed' | 'effort' | 'fixed'>,
): LayoutOptions {
  const { tools, allowances, prices, usefulOffcut } = shop;
  return {
    kerf: tools.kerf,
    endTrim: allowances.endTrim,
    flattening: allowances.flattening,
    skim: allowances.skim,
    step: sawStep(shop.units),
    usefulOffcut,
    resaw: {
      height: choice.resaw || paired ? tools.resawHeight : 0,
      kerf: tools.resawKerf,
      allowance: allowances.resaw,
    },
    woodPrice: prices.wood,
    weights: layoutWeights(choice, prices.hour),
    ...search,
  };
}
