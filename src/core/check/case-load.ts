import type { ShelfSpan } from '../piece/case/case-plan';
import type { CaseForm } from '../piece/case/form';
import type { CasePiece } from '../piece/piece';

/** Its shelves, without what its bottom is made of. */
export const shelvesIn = ({ spans }: Pick<CasePiece, 'spans'>): readonly ShelfSpan[] =>
  spans.filter(({ thick }) => thick === 'form.inside.thickness');

/** What stands on its shelves, and on its bottom between its sides, N. */
export function loadInCase(piece: Pick<CasePiece, 'spans'>, { loads, width, carcass }: CaseForm) {
  const shelves = shelvesIn(piece).reduce((sum, { load, span }) => sum + (load * span) / 1000, 0);
  return { shelves, bottom: (loads.shelf * (width - 2 * carcass.sides)) / 1000 };
}
