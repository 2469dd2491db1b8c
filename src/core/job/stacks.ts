import type { Around, Neighbour } from '../check/check';
import type { Stacked } from '../drawing/drawing';
import type { WorkedPiece } from './piece-stages';

/** Id of the piece that one is to stand on; null where it stands on the floor or hangs. */
const lowerOf = ({ document: { form } }: WorkedPiece): string | null =>
  form.build === 'case' && form.stand.kind === 'on-case' ? form.stand.lower : null;

/** The one of those made alike that this instance stands on, or belongs to. */
const alike = (all: readonly WorkedPiece[], id: string, instance: number): WorkedPiece | undefined =>
  all.find((own) => own.pieceId === id && own.instance === instance) ?? all.find((own) => own.pieceId === id);

/** What a piece of a job stands on, or why it cannot; null where it stands on the floor or hangs. */
export function belowOf(own: WorkedPiece, all: readonly WorkedPiece[]): Around['below'] {
  const id = lowerOf(own);
  if (id === null) return null;
  if (id === '') return { problem: 'It is to stand on another case, and none is chosen.' };
  const lower = alike(all, id, own.instance);
  if (!lower) return { problem: 'The case that it is to stand on is not in this job any more.' };
  if (lower.pieceId === own.pieceId) return { problem: 'It cannot stand on itself.' };
  const { piece, title } = lower;
  if (piece.build !== 'case') return { problem: `It cannot stand on ${title}, which is no case.` };
  if (piece.opens === 'above') return { problem: `It cannot stand on ${title}, whose lid would not open.` };
  if (piece.hung) return { problem: `It cannot stand on ${title}, which hangs on a wall.` };
  if (piece.stacked) return { problem: `It cannot stand on ${title}, which stands on another itself.` };
  return lower;
}

/** What stands on a piece of a job. */
export const aboveOf = (own: WorkedPiece, all: readonly WorkedPiece[]): readonly WorkedPiece[] =>
  all.filter((upper) => {
    const id = lowerOf(upper);
    return id === own.pieceId && alike(all, id, upper.instance) === own;
  });

/** Id of the piece that one is bolted to at its left; null where it stands by itself. */
const leftId = ({ document: { form } }: WorkedPiece): string | null =>
  form.build === 'case' && form.opens === 'front' ? (form.beside?.piece ?? null) : null;

/** What a piece of a job is bolted to at its left, or why it cannot be; null where it stands by itself. */
export function leftOf(own: WorkedPiece, all: readonly WorkedPiece[]): Around['left'] {
  const id = leftId(own);
  if (id === null) return null;
  if (id === '') return { problem: 'It is to stand beside another case, and none is chosen.' };
  const left = alike(all, id, own.instance);
  if (!left) return { problem: 'The case at its left is not in this job any more.' };
  const { piece, title } = left;
  if (piece.build !== 'case' || piece.opens === 'above' || own.piece.build !== 'case')
    return { problem: `It cannot be bolted to ${title}, which is no case that opens to the front.` };
  if (piece.hung !== own.piece.hung)
    return { problem: `It cannot be bolted to ${title}: one of them hangs, and one stands.` };
  if (piece.stacked || own.piece.stacked)
    return { problem: `It cannot be bolted to ${title}: what stands on another case goes with that.` };
  return toItsLeft(own, all) === null ? { problem: 'Cases at each other’s left go round in a ring.' } : left;
}

/** All that is bolted to one at its left, the nearest first; null where they go round in a ring. */
function toItsLeft(own: WorkedPiece, all: readonly WorkedPiece[]): WorkedPiece[] | null {
  const found: WorkedPiece[] = [];
  const next = (one: WorkedPiece) => {
    const id = leftId(one);
    return id ? alike(all, id, one.instance) : undefined;
  };
  for (let one = next(own); one; one = next(one)) {
    if (one === own || found.includes(one)) return null;
    found.push(one);
  }
  return found;
}

/** A piece and all that is bolted to its left, mm. */
export const longOfRun = (own: WorkedPiece, all: readonly WorkedPiece[]): number =>
  [own, ...(toItsLeft(own, all) ?? [])].reduce((sum, { piece }) => sum + piece.overall.length, 0);

const NOTHING: readonly Stacked[] = [];

/** What is drawn with a piece: the case under it, those on it, and those beside it. */
export function stackedWith(own: WorkedPiece, all: readonly WorkedPiece[]): readonly Stacked[] {
  const is = <T extends object>(other: T | { problem: string } | null): T | null =>
    other && !('problem' in other) ? other : null;
  const [under, beside] = [is(belowOf(own, all)), is(leftOf(own, all))];
  const above = aboveOf(own, all);
  const right = all.filter((other) => leftOf(other, all) === own);
  // The same for all that stand alone: nothing is drawn anew.
  if (!under && !beside && above.length + right.length === 0) return NOTHING;
  const aside = ({ piece }: Neighbour) => (own.piece.overall.length + piece.overall.length) / 2;
  const inFront = ({ piece }: Neighbour) => (piece.overall.width - own.piece.overall.width) / 2;
  return [
    ...(under ? [{ piece: under.piece, up: -under.piece.overall.height, back: -behind(own, under) }] : []),
    ...above.map((upper) => ({
      ...{ piece: upper.piece, up: own.piece.overall.height, back: behind(upper, own) },
    })),
    ...(beside ? [{ piece: beside.piece, up: 0, back: inFront(beside), aside: -aside(beside) }] : []),
    ...right.map((other) => ({ piece: other.piece, up: 0, back: inFront(other), aside: aside(other) })),
  ];
}

/** How far the middle of the upper one stands behind that of the lower one, mm. */
function behind({ document: { form } }: Neighbour, lower: Neighbour): number {
  if (form.build !== 'case' || form.stand.kind !== 'on-case') return 0;
  return form.stand.setBack + (form.depth - lower.piece.overall.width) / 2;
}
