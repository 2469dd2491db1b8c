import { mm, type Phrase, say } from '../measure/quantity';

/** What cannot be built as it is drawn: what, where in the decisions, and the way out. */
export interface Unbuildable {
  problem: string | Phrase;
  where: string;
  wayOut: string | Phrase;
  /** What, put there, mends it: a figure, or all that stands there. */
  mends?: unknown;
}

type WayOut = Pick<Unbuildable, 'wayOut' | 'mends'>;

/** A way out that is one figure, put where the problem is: “Hollow them by at most 24 mm.” */
export const atFigure = (before: string, figure: number, after = '.'): WayOut => ({
  wayOut: say`${before} ${mm(figure)}${after}`,
  mends: figure,
});

/** The same up to a figure; where that is less than makes sense another way is told. */
export const upTo = (least: number, before: string, figure: number, otherwise: string, after = '.'): WayOut =>
  figure >= least ? atFigure(before, figure, after) : { wayOut: otherwise };

/** A way out between two figures; the nearer to what was asked mends it. */
export const between = (before: string, least: number, most: number, asked: number, after = '.'): WayOut => ({
  wayOut: say`${before} ${mm(least)} and ${mm(most)}${after}`,
  ...(least <= most ? { mends: asked < least ? least : most } : {}),
});
