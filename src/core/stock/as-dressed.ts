import type { Board } from './board';

/** A part that is taken as dressed is of its stock's section to this, mm; common practice for measuring dressed stock. */
const SECTION = 0.5;

type Section = {
  /** Taken as dressed stock of its own section. */
  asDressed?: boolean;
  finished: { width: number; thickness: number };
  rough: { width: number };
};

/** Whether a board's edges are as straight and square as its faces: dressed, and alike from end to end. */
export const hasDressedEdges = ({ surface, farWidth, width, liveEdges }: Board): boolean =>
  surface === 'dressed' && (farWidth ?? width) === width && liveEdges.near + liveEdges.far === 0;

/** Whether a dressed board has a part's very section, whichever face of it is up. */
export function hasSectionOf({ finished }: Section, board: Board): boolean {
  const near = (a: number, b: number) => Math.abs(a - b) <= SECTION;
  const is = (width: number, thickness: number) => near(width, board.width) && near(thickness, board.thickness);
  return hasDressedEdges(board) && (is(finished.width, finished.thickness) || is(finished.thickness, finished.width));
}

/**
 * How wide a part is sawn from a board, mm: its finished width and the shop's allowance; or the whole width of a dressed
 * board that has no room for that but gives the finished width once it is skimmed, its edges staying as they are.
 */
export function widthFrom(part: Section, board: Board, skim: number): number {
  if (part.asDressed) return hasSectionOf(part, board) ? board.width : part.rough.width;
  const gives = hasDressedEdges(board) && board.width < part.rough.width;
  return gives && board.width - skim >= part.finished.width - 1e-6 ? board.width : part.rough.width;
}

/** Sheets sold as of one thickness differ by so much, mm; common practice. */
const SHEET_TOLERANCE = 0.6;

/** Whether a sheet is as thick as what is cut from it: nothing is planed off a sheet. mm */
export const isSheetOf = (thickness: number, sheet: Pick<Board, 'thickness'>): boolean =>
  Math.abs(sheet.thickness - thickness) <= SHEET_TOLERANCE;
