import type { Joint } from '../../joint/joint';
import { fixed } from '../../restraint/tie';
import { squareFrame } from '../../solid/frame';
import type { Draft } from '../part';
import type { Stretchers } from './decisions';

type Shelf = Extract<Stretchers, { kind: 'shelf' }>;

/** Free between the outer boards and the legs, mm; common practice. */
const BESIDE_LEGS = 3;

/** How wide each of the boards is between legs so far apart, as it is made. mm */
export const shelfBoardWidth = ({ boards, gap }: Pick<Shelf, 'boards' | 'gap'>, between: number): number =>
  (between - 2 * BESIDE_LEGS - (boards - 1) * gap) / boards;

/**
 * A shelf of boards along the table that lie on the end stretchers, flush with their outer faces, each screwed from below
 * in its middle: every board moves by itself.
 */
export function lowShelf(given: {
  form: Shelf;
  /** Between the legs across the table, and from the middle to the middle of an end stretcher. mm */
  between: number;
  x: number;
  ends: readonly Draft[];
}): { drafts: Draft[]; joints: Joint[] } {
  const { form, between, x, ends } = given;
  const width = Math.max(1, shelfBoardWidth(form, between));
  const level = form.at + form.height / 2;
  const drafts = Array.from({ length: form.boards }, (_, i): Draft => {
    const y = -between / 2 + BESIDE_LEGS + width / 2 + i * (width + form.gap);
    return {
      id: `shelf-${i + 1}`,
      name: form.boards === 1 ? 'Shelf' : `Shelf board ${i + 1}`,
      kind: 'shelf',
      grade: 'one-face',
      size: { length: 2 * x + form.thickness, width, thickness: form.boardThickness },
      frame: squareFrame([0, y, level + form.boardThickness / 2], { length: 'x', width: 'y', thickness: 'z' }),
    };
  });
  const joints = drafts.flatMap((board) =>
    ends.map((end): Joint => {
      const id = `${end.id}/${board.id}`;
      const name = `${board.name} on ${end.name.toLowerCase()}`;
      const at = { x: end.frame.at[0], y: board.frame.at[1], z: level };
      return {
        id,
        kind: 'shelf-board',
        name,
        into: end.id,
        from: board.id,
        removed: [],
        added: [],
        ties: [fixed({ id, name, a: end.id, b: board.id, at })],
      };
    }),
  );
  return { drafts, joints };
}
