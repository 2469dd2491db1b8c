import { MM_PER_INCH } from '../measure/length';
import type { Board } from './board';
import { lostToCrook } from './crook';

/**
 * Hardwood, rough quarters → surfaced two sides, inches. NHLA, Rules for the Measurement and Inspection of Hardwood
 * and Cypress, standard thickness for surfaced lumber; values from memory.
 */
export const SURFACED_INCHES: Readonly<Record<number, number>> = {
  4: 13 / 16,
  5: 1 + 1 / 16,
  6: 1 + 5 / 16,
  8: 1 + 3 / 4,
  10: 2 + 1 / 4,
  12: 2 + 3 / 4,
  16: 3 + 3 / 4,
};

/** Construction lumber, nominal inches → dressed inches (ALSC PS 20, dry; values from memory). */
export const DRESSED_INCHES = {
  thickness: { 1: 3 / 4, 2: 1 + 1 / 2, 4: 3 + 1 / 2 } as Readonly<Record<number, number>>,
  width: { 4: 3.5, 6: 5.5, 8: 7.25, 10: 9.25, 12: 11.25 } as Readonly<Record<number, number>>,
};

/** What boards lose of their thickness when they are made flat, mm. */
export interface Surfacing {
  /** A rough board. */
  flattening: number;
  /** A dressed board: what the shop takes off it all the same; 0 where it is used as it is. */
  skim: number;
}

type Bought = Pick<Board, 'thickness' | 'quarters' | 'surface'>;
type Measured = Bought & Pick<Board, 'length' | 'width' | 'crook'>;

/**
 * The thickness a board can be counted on to give, mm: a rough board bought in quarters gives the trade's surfaced
 * thickness, or what is left after flattening where that is less; any other board gives what is left.
 */
export function surfacedThickness(board: Bought, surfacing: Surfacing): number {
  return least(board, usual(board, surfacing));
}

/**
 * What a piece of a board can be counted on to plane to, mm: as {@link surfacedThickness} has it, or less where the board
 * was measured and is more crooked over that piece than is usual.
 */
export function planedThickness(
  board: Measured,
  surfacing: Surfacing,
  piece: { length: number; width: number },
): number {
  return least(board, lost(board, surfacing, piece));
}

/**
 * How thick a blank for resawing can be, mm: flat and parallel, but not yet surfaced as the trade does it, for what its
 * leaves are sawn over-thick cleans its faces as well.
 */
export function resawableThickness(
  board: Measured,
  surfacing: Surfacing,
  piece: { length: number; width: number },
): number {
  return Math.max(0, board.thickness - lost(board, surfacing, piece));
}

const usual = ({ surface }: Bought, { flattening, skim }: Surfacing) => (surface === 'dressed' ? skim : flattening);

function lost(board: Measured, surfacing: Surfacing, piece: { length: number; width: number }): number {
  const { crook } = board;
  return crook ? Math.max(usual(board, surfacing), lostToCrook({ ...board, crook }, piece)) : usual(board, surfacing);
}

function least(board: Bought, lostToPlaning: number): number {
  const left = Math.max(0, board.thickness - lostToPlaning);
  const trade = board.quarters !== null && board.surface === 'rough' ? SURFACED_INCHES[board.quarters] : undefined;
  return trade === undefined ? left : Math.min(left, trade * MM_PER_INCH);
}

/** The least rough quarters whose surfaced thickness reaches `finished` mm; undefined when none is sold. */
export function quartersFor(finished: number): number | undefined {
  return Object.keys(SURFACED_INCHES)
    .map(Number)
    .sort((a, b) => a - b)
    .find((quarters) => (SURFACED_INCHES[quarters] ?? 0) * MM_PER_INCH >= finished - 1e-9);
}
