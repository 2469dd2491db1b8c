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

/**
 * The thickness a board can be counted on to give, mm: a rough board bought in quarters gives the trade's surfaced
 * thickness, or what is left after `flattening` where that is less; any other board gives what is left.
 */
export function surfacedThickness(
  board: Pick<Board, 'thickness' | 'quarters' | 'surface'>,
  flattening: number,
): number {
  const left = Math.max(0, board.thickness - flattening);
  const trade = board.quarters !== null && board.surface === 'rough' ? SURFACED_INCHES[board.quarters] : undefined;
  return trade === undefined ? left : Math.min(left, trade * MM_PER_INCH);
}

/**
 * What a piece of a board can be counted on to plane to, mm: as {@link surfacedThickness} has it, or less where the board
 * was measured and is more crooked over that piece than is usual.
 */
export function planedThickness(
  board: Pick<Board, 'length' | 'width' | 'crook' | 'thickness' | 'quarters' | 'surface'>,
  flattening: number,
  piece: { length: number; width: number },
): number {
  const { crook } = board;
  return surfacedThickness(board, crook ? Math.max(flattening, lostToCrook({ ...board, crook }, piece)) : flattening);
}

/** The least rough quarters whose surfaced thickness reaches `finished` mm; undefined when none is sold. */
export function quartersFor(finished: number): number | undefined {
  return Object.keys(SURFACED_INCHES)
    .map(Number)
    .sort((a, b) => a - b)
    .find((quarters) => (SURFACED_INCHES[quarters] ?? 0) * MM_PER_INCH >= finished - 1e-9);
}
