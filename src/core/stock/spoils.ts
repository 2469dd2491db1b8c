import type { Board, Defect } from './board';

/** What a piece of a board is for: a part with joints in it or a strip of a panel, and how many of its faces are seen. */
export interface Use {
  kind: 'part' | 'strip';
  shows: 'all' | 'face' | 'none';
}

/** Which face of the piece is the show face: that with the tag, or the one under it. */
export type Lie = 'tagged' | 'under';

/**
 * Whether a defect may not be in a piece of this use that shows its `lie` face. Checks, splits, wane and bow are cut
 * away from everything. A knot is kept out of every part, for its tenons and mortises; a strip may have it on its
 * hidden face where it does not go through. Sapwood and stain only matter where they are seen. Common practice.
 */
export function spoils(defect: Pick<Defect, 'kind' | 'face'>, use: Use, lie: Lie): boolean {
  switch (defect.kind) {
    case 'check':
    case 'split':
    case 'wane':
    case 'bow':
      return true;
    case 'knot':
      return use.kind === 'part' || seen(defect.face, use, lie);
    case 'sapwood':
    case 'stain':
      return seen(defect.face, use, lie);
  }
}

function seen(face: Defect['face'], use: Use, lie: Lie): boolean {
  if (use.shows === 'none') return false;
  return use.shows === 'all' || face === 'through' || face === lie;
}

/** Whether it matters for this use which way up the board lies. */
export function liesMatter(board: Pick<Board, 'defects'>, use: Use): boolean {
  return board.defects.some((defect) => spoils(defect, use, 'tagged') !== spoils(defect, use, 'under'));
}
