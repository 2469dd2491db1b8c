import { squareFrame } from '../../../solid/frame';
import type { Draft } from '../../part';
import type { PinRow } from '../case-plan';
import { onPins } from './pin-rows';
import type { PlacedCell } from './spaces';

/** They are so much shorter than their space at both ends together, and so much shallower behind. mm */
const SHORTER = { ends: 2, behind: 2 };

/** The loose shelves of a space, spread over its height, each on the pins nearest to its even share. */
export function looseShelves(
  { cell, space }: PlacedCell,
  given: { thickness: number; y: readonly [front: number, back: number]; from: number; row: PinRow | undefined },
): { draft: Draft; span: number; underside: number; middle: number }[] {
  const { thickness, y, from, row } = given;
  const { left, right, low, high } = space;
  const [wide, deep] = [right - left - SHORTER.ends, y[1] - y[0] - SHORTER.behind];
  const middle = (left + right) / 2;
  return Array.from({ length: cell.loose ?? 0 }, (_, i) => {
    const even = low + ((high - low) * (i + 1)) / ((cell.loose ?? 0) + 1) - thickness / 2;
    const underside = row ? onPins(row, even) : even;
    const z = underside + thickness / 2;
    return {
      span: wide,
      underside,
      middle,
      draft: {
        id: `loose-${cell.id}-${i + 1}`,
        name: `Loose shelf ${from + i}`,
        kind: 'case-shelf',
        grade: 'all-faces',
        size: { length: wide, width: deep, thickness },
        frame: squareFrame([middle, y[0] + deep / 2, z], { length: 'x', width: 'y', thickness: 'z' }),
      },
    };
  });
}
