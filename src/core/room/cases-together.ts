import type { InRoom, OtherPiece } from './in-room';

/** Another piece of the job, or why it cannot be that one; null where none is asked for. */
export type Found<P> = P | { problem: string } | null;

/** What is found, where it can be. */
export const foundOrNull = <P extends InRoom>(found: Found<P>): P | null =>
  found && !('problem' in found) ? found : null;

/** Id of the piece that one is to stand on; null where it stands on the floor or hangs. */
const lowerId = ({ document: { form } }: InRoom): string | null =>
  form.build === 'case' && form.stand.kind === 'on-case' ? form.stand.lower : null;

/** Id of the piece that one is bolted to at its left; null where it stands by itself. */
const leftId = ({ document: { form } }: InRoom): string | null =>
  form.build === 'case' && form.opens === 'front' ? (form.beside?.piece ?? null) : null;

/** Of pieces made alike, the one of the same number; the first where there are fewer. */
const alike = <P extends InRoom>(all: readonly P[], id: string, instance: number): P | undefined =>
  all.find((own) => own.pieceId === id && own.instance === instance) ?? all.find((own) => own.pieceId === id);

/** What a piece of a job stands on. */
export function belowOf<P extends InRoom>(own: P, all: readonly P[]): Found<P> {
  const id = lowerId(own);
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
export const aboveOf = <P extends InRoom>(own: P, all: readonly P[]): readonly P[] =>
  all.filter((upper) => lowerId(upper) === own.pieceId && belowOf(upper, all) === own);

/** What a piece of a job is bolted to at its left. */
export function leftOf<P extends InRoom>(own: P, all: readonly P[]): Found<P> {
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
    return { problem: `It cannot be bolted to ${title}: a case on another moves with that.` };
  return toItsLeft(own, all) === null ? { problem: 'Cases at each other’s left form a ring.' } : left;
}

/** All that is bolted to one at its left, the nearest first; null where they form a ring. */
function toItsLeft<P extends InRoom>(own: P, all: readonly P[]): P[] | null {
  const found: P[] = [];
  const next = (one: P) => {
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
export const longOfRun = <P extends InRoom>(own: P, all: readonly P[]): number =>
  [own, ...(toItsLeft(own, all) ?? [])].reduce((sum, { piece }) => sum + piece.overall.length, 0);

/** How far the middle of an upper case lies behind that of the one below it, mm. */
export function behindBelow({ document: { form }, piece }: InRoom, lower: InRoom): number {
  const setBack = form.build === 'case' && form.stand.kind === 'on-case' ? form.stand.setBack : 0;
  return setBack + (piece.overall.width - lower.piece.overall.width) / 2;
}

/** How far the middle of a case lies from that of the one at its left, fronts in one plane: to the right, and back. mm */
export const besideLeft = ({ piece }: InRoom, left: InRoom): readonly [right: number, back: number] => [
  (piece.overall.length + left.piece.overall.length) / 2,
  (piece.overall.width - left.piece.overall.width) / 2,
];

const NONE: readonly OtherPiece[] = [];

/** What is drawn with a piece: the case under it, those on it, and those beside it. */
export function drawnWith<P extends InRoom>(own: P, all: readonly P[]): readonly OtherPiece[] {
  const [under, left] = [foundOrNull(belowOf(own, all)), foundOrNull(leftOf(own, all))];
  const above = aboveOf(own, all);
  const right = all.filter((other) => leftId(other) === own.pieceId && leftOf(other, all) === own);
  // The same for all that stand alone: nothing is drawn anew.
  if (!under && !left && above.length + right.length === 0) return NONE;
  const { height } = own.piece.overall;
  const beside = (other: P, [aside, back]: readonly [number, number], way: 1 | -1): OtherPiece => ({
    ...{ piece: other.piece, up: 0, back: way * back, aside: way * aside },
  });
  return [
    ...(under
      ? [{ piece: under.piece, up: -under.piece.overall.height, back: -behindBelow(own, under), aside: 0 }]
      : []),
    ...above.map((upper) => ({ piece: upper.piece, up: height, back: behindBelow(upper, own), aside: 0 })),
    ...(left ? [beside(left, besideLeft(own, left), -1)] : []),
    ...right.map((other) => beside(other, besideLeft(other, own), 1)),
  ];
}
