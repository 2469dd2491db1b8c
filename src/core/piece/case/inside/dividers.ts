import { HOUSING_STOP, housing, housingDepth } from '../../../joint/housing';
import type { Joint } from '../../../joint/joint';
import { squareFrame } from '../../../solid/frame';
import type { Draft } from '../../part';
import type { Divider } from './spaces';

/** Both faces of an upright may be housed at one place: what is left between them is a third of it. */
const depthIn = (wall: number): number => Math.min(housingDepth(wall), Math.floor(wall / 3));

/** An upright or a shelf between two spaces, housed in what it ends at. */
export function dividerBoard(
  { id, name, upright, at, space }: Divider,
  given: {
    thickness: number;
    y: readonly [front: number, back: number];
    thicknessOf: (board: string) => number;
  },
): { draft: Draft; joints: Joint[] } {
  const { thickness, y, thicknessOf } = given;
  const { walls } = space;
  const [from, to] = upright ? [space.low, space.high] : [space.left, space.right];
  const ends = upright ? [walls.below, walls.above] : [walls.left, walls.right];
  const [start = 0, end = 0] = ends.map((wall) => depthIn(thicknessOf(wall)));
  const across = at + thickness / 2;
  const [along, deep] = [(from + to) / 2, (y[0] + y[1]) / 2];
  return {
    draft: {
      id,
      name,
      kind: upright ? 'upright' : 'case-shelf',
      grade: 'all-faces',
      size: { length: to - from + start + end, width: y[1] - y[0], thickness },
      beyond: { start, end },
      frame: squareFrame(upright ? [across, deep, along] : [along, deep, across], {
        length: upright ? 'z' : 'x',
        width: 'y',
        thickness: upright ? 'x' : 'z',
      }),
    },
    joints: ends.map((wall, i) => {
      const [face, toward] = i === 0 ? [from, -1] : [to, 1];
      return housing({
        id: `${wall}/${id}${i === 0 ? '' : '+'}`,
        name: `${name} in ${wall.replace('-', ' ')}`,
        into: wall,
        from: id,
        at: upright ? [across, 0, face] : [face, 0, across],
        along: upright ? [0, 0, toward] : [toward, 0, 0],
        y,
        stop: HOUSING_STOP,
        thickness,
        depth: i === 0 ? start : end,
      });
    }),
  };
}
