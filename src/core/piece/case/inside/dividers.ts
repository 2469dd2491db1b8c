import { squareFrame } from '../../../solid/frame';
import type { Vec } from '../../../solid/vector';
import type { Draft } from '../../part';
import type { KindSchema } from '../kind';
import type { FixingKind, HeldEnd } from './fixings/fixing';
import type { Divider } from './spaces';

/** An upright or a shelf between two spaces, fixed in what it ends at. */
export function dividerBoard(
  { id, name, upright, rail, at, space }: Divider,
  given: {
    thickness: number;
    y: readonly [front: number, back: number];
    thicknessOf: (board: string) => number;
    fixing: FixingKind<KindSchema>;
    /** What was decided of that fixing. */
    decided: { kind: string };
  },
): { draft: Draft; ends: HeldEnd[] } {
  const { thickness, y, thicknessOf, fixing, decided } = given;
  const { walls } = space;
  const [from, to] = upright ? [space.low, space.high] : [space.left, space.right];
  const ends = upright ? [walls.below, walls.above] : [walls.left, walls.right];
  const [start = 0, end = 0] = ends.map((wall) => fixing.depth(thicknessOf(wall), !upright, y[1] - y[0]));
  const across = at + thickness / 2;
  const [along, deep] = [(from + to) / 2, (y[0] + y[1]) / 2];
  return {
    draft: {
      id,
      name,
      kind: upright ? 'upright' : rail ? 'case-rail' : 'case-shelf',

      grade: rail ? 'one-face' : 'all-faces',
      size: { length: to - from + start + end, width: y[1] - y[0], thickness },
      beyond: { start, end },
      frame: squareFrame(upright ? [across, deep, along] : [along, deep, across], {
        length: upright ? 'z' : 'x',
        width: 'y',
        thickness: upright ? 'x' : 'z',
      }),
    },
    ends: ends.map((wall, i) => {
      const [face, toward] = i === 0 ? [from, -1] : [to, 1];
      const way: Vec = upright ? [0, 0, toward] : [toward, 0, 0];
      return fixing.hold(decided, {
        id: `${wall}/${id}${i === 0 ? '' : '+'}`,
        name: `${name} in ${wordsFor(wall)}`,
        into: wall,
        from: id,
        at: upright ? [across, 0, face] : [face, 0, across],
        along: way,
        y,
        thickness,
        wall: thicknessOf(wall),
        level: !upright,
        depth: i === 0 ? start : end,
      });
    }),
  };
}

/** Where a divider is not over the whole depth: the rail in front and the one behind, each so wide. mm */
export function railPair(
  divider: Divider,
  y: readonly [front: number, back: number],
  wide: number,
): { divider: Divider; y: readonly [front: number, back: number] }[] {
  const each = Math.min(wide, (y[1] - y[0]) / 2 - 5);
  const { id, name } = divider;
  return [
    { divider: { ...divider, name: `${name}, front` }, y: [y[0], y[0] + each] },
    { divider: { ...divider, id: `${id}-back`, name: `${name}, back` }, y: [y[1] - each, y[1]] },
  ];
}

/** What it ends at, in a sentence: left side, upright 2. */
const wordsFor = (wall: string): string => wall.replace(/^side-(.*)$/, '$1 side').replace('-', ' ');
