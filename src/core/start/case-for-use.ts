import { USE_OF_PIECE, type Use } from '../decision/use';
import { startAlcove } from '../piece/case/alcove';
import type { CaseForm } from '../piece/case/form';
import { type Cell, divideCell, WHOLE } from '../piece/case/inside/cells';
import { USUAL_CLOSING } from '../piece/case/inside/closed-spaces';
import type { Outside } from '../piece/case/kind';
import { startBack, startCaseTop, startCorner, startStand } from './start-case';

/** A bay is no wider than a shelf bears books over; shelves lie about so far over one another. mm; common practice. */
const WIDEST_BAY = 850;
const BOOKS_HIGH = 330;
/** Higher than this it stands on its own sides with shelves over one another; lower, on a plinth with bays beside one another. mm */
const HIGH = 1000;

/**
 * A sound first case for a use, mm; common practice.
 *
 * @param where standing free, into an alcove about as wide and deep as the size says, or on a wall
 */
export function caseForUse(
  use: Use,
  size: { length: number; width: number; height: number },
  where: 'free' | 'fitted' | 'hung',
): CaseForm {
  const [fitted, hung] = [where === 'fitted', where === 'hung'];
  const { start, loads } = USE_OF_PIECE[use];
  const thickness = start?.thickness ?? 22;
  const outside: Outside = { width: size.length, height: size.height, depth: size.width };
  const isHigh = size.height > HIGH;
  const stand = startStand(hung ? 'wall' : isHigh && !fitted ? 'sides' : 'plinth', outside);
  const high =
    size.height - 2 * thickness - (stand.kind === 'sides' ? stand.lift : 'height' in stand ? stand.height : 0);
  const wide = size.length - 2 * thickness;
  return {
    build: 'case',
    aside: { corners: [], backs: [], stands: [], tops: [], fixings: [], fronts: [] },
    opens: 'front',
    alcove: fitted ? startAlcove(outside) : null,
    ...outside,
    carcass: {
      sides: thickness,
      across: thickness,
      corner: startCorner('dovetails', { ...outside, sides: thickness, across: thickness }),
    },
    inside: {
      thickness,
      cells: hung ? shelvesEven(high) : isHigh ? tiers(wide, high) : bays(wide, high),
      lip: null,
      rail: 60,
      fixing: { kind: 'housed', stop: 12 },
      pins: { diameter: 5, deep: 10, fromEdge: 37, apart: 32 },
      closing: USUAL_CLOSING,
    },
    back: startBack(isHigh || hung ? 'sheet' : 'boards', outside),
    front: { kind: 'plain' },
    top: { kind: 'none' },
    moulding: null,
    stand,
    loads: { shelf: loads.spread, push: loads.push },
  };
}

/** Smaller than this it is a box: its lid needs no battens, and it stands on its own walls. mm; common practice */
const BOX = 450;

/** A sound first chest, or box: four walls in dovetails round a sheet, a lid on hinges. mm; common practice. */
export function chestForUse(use: Use, size: { length: number; width: number; height: number }): CaseForm {
  const form = caseForUse(use, size, 'free');
  const outside: Outside = { width: size.length, height: size.height, depth: size.width };
  const isBox = Math.max(size.length, size.width) <= BOX;
  const { sides } = form.carcass;
  const top = startCaseTop('lid', outside);
  const stand = startStand(isBox ? 'sides' : 'feet', outside);
  const walls = size.height - 100;
  return {
    ...form,
    opens: 'above',
    carcass: {
      ...form.carcass,
      corner: startCorner('dovetails', { width: size.length, depth: walls, sides, across: sides }),
    },
    inside: { ...form.inside, thickness: Math.min(form.inside.thickness, sides), cells: [WHOLE] },
    back: { kind: 'sheet', thickness: isBox ? 4 : 9 },
    top:
      isBox && top.kind === 'lid'
        ? {
            ...top,
            thickness: sides,
            front: 0,
            ends: 0,
            battens: { ...top.battens, count: 0 },
            air: { width: 0, height: 0 },
          }
        : top,
    stand: stand.kind === 'sides' ? { ...stand, lift: 0 } : stand,
  };
}

/** So many bays as shelves need, each with a fixed shelf that keeps its sides apart and loose ones over and under it. */
function tiers(wide: number, high: number): Cell[] {
  const across = Math.ceil(wide / WIDEST_BAY);
  const whole: Cell[] = across > 1 ? divideCell([WHOLE], WHOLE.id, 'uprights', across) : [WHOLE];
  const leaves = whole.filter(({ id, of }) => (across > 1 ? of === WHOLE.id : id === WHOLE.id));
  const spaces = Math.max(2, Math.round(high / BOOKS_HIGH));
  const over = Math.floor(spaces / 2);
  return leaves.reduce<Cell[]>((cells, { id }) => {
    const divided = divideCell(cells, id, 'shelves', 2);
    const [low, up] = divided.filter(({ of }) => of === id);
    return divided.map((cell) => {
      if (cell === low) return { ...cell, share: spaces - over, loose: spaces - over - 1 };
      return cell === up ? { ...cell, share: over, loose: over - 1 } : cell;
    });
  }, whole);
}

/** Fixed shelves over one another. */
const shelvesEven = (high: number): Cell[] =>
  divideCell([WHOLE], WHOLE.id, 'shelves', Math.max(2, Math.round(high / BOOKS_HIGH)));

/** Bays beside one another, each with a loose shelf where there is height for two. */
function bays(wide: number, high: number): Cell[] {
  const across = Math.max(1, Math.round(wide / (WIDEST_BAY * BAY)));
  const cells: Cell[] = across > 1 ? divideCell([WHOLE], WHOLE.id, 'uprights', across) : [WHOLE];
  const loose = high > BOOKS_HIGH ? Math.max(1, Math.round(high / BOOKS_HIGH) - 1) : 0;
  return cells.map((cell) => (cell.divided === 'not' ? { ...cell, loose } : cell));
}

/** The usual bay of a low case, as a share of the widest. */
const BAY = 0.55;
