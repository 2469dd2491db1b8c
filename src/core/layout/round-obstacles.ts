import type { ClearCutting } from './clear-cutting';
import type { SawingField } from './sawing-field';

/** Rectangles round defects that are looked at on one board, at most. */
const MOST_VISITS = 1500;

type InWay = SawingField['obstacles'];

/** A rectangle round defects: cut in two, or cut as if it were clear by those that bear what is in the way. */
export interface Cell {
  worth: number;
  length: number;
  width: number;
  cut: 'across' | 'along' | null;
  /** Where the cut is; steps. */
  at: number;
  first: Cell | null;
  second: Cell | null;
  table: ClearCutting | null;
}

/**
 * `level`: 0 the whole width of the board, 1 a section of it, 2 a lane, 3 what is left round a defect. Sections and
 * lanes are set off where a piece ends; everything may be cut where a defect begins or ends.
 */
export function roundObstacles(
  field: SawingField,
  given: {
    whole: ClearCutting;
    lengths: readonly number[];
    widths: readonly number[];
    cutPrice: number;
    /** How those kinds are cut that bear what is in the way. */
    tolerant: (inWay: InWay) => ClearCutting | null;
  },
): Cell {
  const { whole, lengths, widths, cutPrice, tolerant } = given;
  const known = new Map<string, Cell>();
  let visits = 0;
  const asClear = (table: ClearCutting | null, length: number, width: number): Cell => ({
    worth: table?.worth(length, width) ?? 0,
    length,
    width,
    cut: null,
    at: 0,
    first: null,
    second: null,
    table,
  });
  const visit = (ax: number, bx: number, ay: number, by: number, level: number): Cell => {
    const [length, width] = [bx - ax, by - ay];
    if (length < whole.shortest || width < whole.narrowest) return asClear(null, length, width);
    const inWay = field.obstacles.filter((o) => o.x0 < bx && ax < o.x1 && o.y0 < by && ay < o.y1);
    if (inWay.length === 0) return asClear(whole, length, width);
    const key = `${ax} ${bx} ${ay} ${by} ${level}`;
    const before = known.get(key);
    if (before) return before;
    let found = asClear(tolerant(inWay), length, width);
    visits += 1;
    if (visits > MOST_VISITS) return found;
    const take = (cut: 'across' | 'along', at: number, first: Cell, second: Cell) => {
      const worth = first.worth + second.worth - cutPrice;
      if (worth > found.worth + 1e-9) found = { worth, length, width, cut, at, first, second, table: null };
    };
    // Not looked into where it would not be worth more even if it were clear.
    const promises = (first: number, second: number) => first + second - cutPrice > found.worth + 1e-9;
    const across = (x: number, left: number, right: number) => {
      if (x <= ax || x >= bx) return;
      const [clearLeft, clearRight] = [whole.worth(x - ax, width), whole.worth(bx - x, width)];
      if (!promises(clearLeft, clearRight)) return;
      const first = visit(ax, x, ay, by, left);
      if (promises(first.worth, clearRight)) take('across', x - ax, first, visit(x, bx, ay, by, right));
    };
    const along = (y: number, below: number, above: number) => {
      if (y <= ay || y >= by) return;
      const [clearBelow, clearAbove] = [whole.worth(length, y - ay), whole.worth(length, by - y)];
      if (!promises(clearBelow, clearAbove)) return;
      const first = visit(ax, bx, ay, y, below);
      if (promises(first.worth, clearAbove)) take('along', y - ay, first, visit(ax, bx, y, by, above));
    };
    for (const o of inWay) {
      for (const x of [o.x0, o.x1]) across(x, level, level);
      const inner = level === 0 ? 2 : 3;
      for (const y of [o.y0, o.y1]) along(y, inner, inner);
    }
    if (level === 0 || level === 2) {
      for (const one of lengths) {
        across(ax + one, level + 1, level);
        across(bx - one, level, level + 1);
      }
    }
    if (level === 1) {
      for (const one of widths) {
        along(ay + one, 3, 1);
        along(by - one, 1, 3);
      }
    }
    known.set(key, found);
    return found;
  };
  return visit(0, field.length, 0, field.width, 0);
}
