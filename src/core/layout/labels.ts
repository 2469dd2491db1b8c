import type { Piece } from '../piece/piece';
import { ownerOf } from '../piece/table/bases/leg-apron/making';
import type { Blank } from './blanks';

/** What is written on a piece of a board: the part's letter, with the strip's number in a panel or the blank's of a leg. */
export type LabelOf = (placement: { part: string; strip?: number | undefined }) => string;

/** Labels by the letters of parts. */
export const labelsBy =
  (letters: Readonly<Record<string, string>>): LabelOf =>
  ({ part, strip }) => {
    const owner = ownerOf(part);
    const letter = letters[owner] ?? owner;
    if (owner !== part) return `${letter}.${part.slice(owner.length + 1)}`;
    return strip === undefined ? letter : `${letter}${strip + 1}`;
  };

/** Labels of a piece by itself. */
export const labelsOfPiece = ({ parts }: Pick<Piece, 'parts'>): LabelOf =>
  labelsBy(Object.fromEntries(parts.map(({ id, letter }) => [id, letter])));

/** What is written on a blank: the letters of all that is resawn from it. */
export const blankLabel = (labelOf: LabelOf, blank: Pick<Blank, 'placements'>): string =>
  blank.placements.map((placement) => labelOf(placement)).join('+');
