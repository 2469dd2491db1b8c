import type { PinRow } from '../case-plan';
import type { CaseForm } from '../form';
import type { PlacedCell } from './spaces';

/** Above and below the rows nothing is bored: no shelf is set so near a board. mm; common practice. */
const CLEAR = 100;

/** The four rows of a space with loose shelves: two in each of the boards at its sides, in pairs at one height. */
export function pinRowsOf(
  { cell, space }: PlacedCell,
  pins: CaseForm['inside']['pins'],
  y: readonly [front: number, back: number],
): PinRow[] {
  const high = space.high - space.low;
  const clear = Math.min(CLEAR, high / 4);
  const count = Math.max(1, Math.floor((high - 2 * clear) / pins.apart) + 1);
  // What is left over is shared above and below.
  const from = space.low + (high - (count - 1) * pins.apart) / 2;
  const depths = [y[0] + pins.fromEdge, y[1] - pins.fromEdge];
  const sides = [
    { wall: space.walls.left, x: space.left, into: -1 },
    { wall: space.walls.right, x: space.right, into: 1 },
  ] as const;
  return sides.flatMap((side) =>
    depths.map((at) => ({
      ...side,
      ...{ space: cell.id, y: at, from, apart: pins.apart, count, diameter: pins.diameter, deep: pins.deep },
    })),
  );
}

/** The height at which a shelf lies on the pins nearest to a wished one: over the middle of a bore by half a pin. */
export function onPins(row: PinRow, wished: number): number {
  const bore = Math.round((wished - row.diameter / 2 - row.from) / row.apart);
  const at = Math.min(row.count - 1, Math.max(0, bore));
  return row.from + at * row.apart + row.diameter / 2;
}
