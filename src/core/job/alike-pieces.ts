import type { DerivedPiece } from './derive-job';

/** Instances of one piece that are cut alike; never empty. */
export type AlikePieces<P> = readonly [P, ...P[]];

type Compared = Pick<DerivedPiece, 'pieceId' | 'instance' | 'title' | 'piece'>;

/** Groups instances that are alike in the sizes and the state of all their parts, in the order of the first of each. */
export function alikePieces<P extends Compared>(pieces: readonly P[]): AlikePieces<P>[] {
  const groups = new Map<string, [P, ...P[]]>();
  for (const own of pieces) {
    const parts = own.piece.parts.map(({ size, cut, locked }) => [size, cut, locked]);
    const key = JSON.stringify([own.pieceId, parts]);
    const known = groups.get(key);
    if (known) known.push(own);
    else groups.set(key, [own]);
  }
  return [...groups.values()];
}

/** Names a group: Stool 1 to 4; Stool 1, 2, 4 where the third is cut otherwise; its title alone where there is one. */
export function titleOfAlike([first, ...others]: AlikePieces<Compared>): string {
  const last = others.at(-1);
  if (!last) return first.title;
  const unbroken = last.instance - first.instance === others.length;
  return unbroken
    ? `${first.title} to ${last.instance}`
    : [first.title, ...others.map(({ instance }) => instance)].join(', ');
}
