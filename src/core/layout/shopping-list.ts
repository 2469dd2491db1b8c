import type { Shortfall } from './layout';

/** Pieces of one size to be bought together. mm */
export interface ShoppingLine
  extends Pick<Shortfall, 'quarters' | 'thickness' | 'length' | 'width' | 'dressed' | 'live' | 'noBoard'> {
  /** What they are for, each name once. */
  names: readonly string[];
  count: number;
  boardFeet: number;
}

/** What is to be bought, pieces of one thickness and size in one line, the longest first. */
export function shoppingList(shortfall: readonly Shortfall[]): ShoppingLine[] {
  const lines = new Map<string, ShoppingLine>();
  for (const { name, quarters, thickness, count, length, width, boardFeet, dressed, live, noBoard } of shortfall) {
    const key = JSON.stringify([quarters, thickness, length, width, dressed, live, noBoard]);
    const line = lines.get(key);
    lines.set(key, {
      quarters,
      thickness,
      length,
      width,
      dressed,
      live,
      noBoard,
      names: [...new Set([...(line?.names ?? []), name])],
      count: (line?.count ?? 0) + count,
      boardFeet: (line?.boardFeet ?? 0) + boardFeet,
    });
  }
  return [...lines.values()].sort((a, b) => b.length - a.length || b.width - a.width);
}

/** Said wherever a layout is shown that lacks something. */
export const PROPOSAL = 'A proposal until what is to buy is on the rack: cut nothing to its widths before';

/** Why a line is on the list, in words. */
export const whyToBuy = ({
  noBoard,
  dressed,
  live,
  count,
}: Pick<ShoppingLine, 'noBoard' | 'dressed' | 'live' | 'count'>): string =>
  noBoard
    ? dressed
      ? 'no dressed board on the rack has this section and is long enough'
      : `no board on the rack ${live ? 'with a live edge ' : ''}is thick, long and wide enough`
    : `no place was found for ${count > 1 ? 'them' : 'it'}; whether another layout has one is not known`;
