import type { CheckContext } from '../check/check';
import type { Stacked } from '../drawing/drawing';
import type { WorkedPiece } from './piece-stages';

/** Id of the piece that one is to stand on; null where it stands on the floor or hangs. */
const lowerOf = ({ document: { form } }: WorkedPiece): string | null =>
  form.build === 'case' && form.stand.kind === 'on-case' ? form.stand.lower : null;

/** The one of those made alike that this instance stands on, or belongs to. */
const alike = (all: readonly WorkedPiece[], id: string, instance: number): WorkedPiece | undefined =>
  all.find((own) => own.pieceId === id && own.instance === instance) ?? all.find((own) => own.pieceId === id);

/** What a piece of a job stands on, or why it cannot; null where it stands on the floor or hangs. */
export function belowOf(own: WorkedPiece, all: readonly WorkedPiece[]): CheckContext['below'] {
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

const NOTHING: readonly Stacked[] = [];

/** What is drawn with a piece: the case under it, and those on it. */
export function stackedWith(own: WorkedPiece, all: readonly WorkedPiece[]): readonly Stacked[] {
  const below = all.find((other) => other !== own && aboveOf(other, all).includes(own));
  const above = aboveOf(own, all);
  // The same for all that stand alone: nothing is drawn anew.
  if (!below && above.length === 0) return NOTHING;
  return [
    ...(below ? [{ piece: below.piece, up: -below.piece.overall.height, back: -behind(own, below) }] : []),
    ...above.map((upper) => ({
      ...{ piece: upper.piece, up: own.piece.overall.height, back: behind(upper, own) },
    })),
  ];
}

/** How far the middle of the upper one stands behind that of the lower one, mm. */
function behind({ document: { form } }: WorkedPiece, lower: WorkedPiece): number {
  if (form.build !== 'case' || form.stand.kind !== 'on-case') return 0;
  return form.stand.setBack + (form.depth - lower.piece.overall.width) / 2;
}
