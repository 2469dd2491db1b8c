import { mm, say } from '../../../measure/quantity';
import type { Unbuildable } from '../../unbuildable';
import { type Cell, type Division, divideCell, growCells, partsOf, rootOf } from './cells';

/** The boards round a space, by their ids. */
export interface Walls {
  left: string;
  right: string;
  below: string;
  above: string;
}

/** A space within a case: clear, in the axes of the piece, mm. */
export interface Space {
  left: number;
  right: number;
  low: number;
  high: number;
  walls: Walls;
}

/** A space as it is drawn, and whether anything divides it. */
export interface PlacedCell {
  cell: Cell;
  space: Space;
  divided: Cell['divided'];
}

/** An upright or a shelf between two spaces, and the space that it divides. */
export interface Divider {
  id: string;
  name: string;
  upright: boolean;
  /** Not over the whole depth: in front and behind alone. */
  rail: boolean;
  /** Its left or lower face. */
  at: number;
  space: Space;
}

/** Less than this is no space, and more than that is not lost in making it, mm. */
const LEAST = 20;
const LEFT_OVER = 0.5;
/** What a space has where it is made anew, mm. */
const ROOMY = 60;

/**
 * Each space divided into the spaces that are part of it: those with a clear size of their own first, what is left by their
 * shares. Where the sum does not fit, a problem says so and nothing is drawn of it.
 */
export function placeSpaces(
  cells: readonly Cell[],
  inside: Space,
  thickness: number,
): { placed: PlacedCell[]; dividers: Divider[]; problems: Unbuildable[] } {
  const placed: PlacedCell[] = [];
  const dividers: Divider[] = [];
  const problems: Unbuildable[] = [];
  const counted = { upright: 0, shelf: 0, rail: 0 };
  place(rootOf(cells), inside);
  return { placed, dividers, problems };

  function place(cell: Cell, space: Space): void {
    const parts = partsOf(cells, cell.id);
    const { divided } = cell;
    const sizes = divided === 'not' || parts.length < 2 ? null : sizesOf(parts, space, divided);
    placed.push({ cell, space, divided: sizes ? divided : 'not' });
    if (!sizes) return;
    const upright = divided === 'uprights';
    const [from, to] = upright ? [space.left, space.right] : [space.low, space.high];
    let at = from;
    let before: string | null = null;
    parts.forEach((part, i) => {
      const last = i === parts.length - 1;
      // What is left over is drawn with the last of them.
      const end = last ? to : at + (sizes[i] ?? 0);
      const next = last ? null : divide(divided as Division, space, end);
      const walls: Walls = upright
        ? { ...space.walls, left: before ?? space.walls.left, right: next ?? space.walls.right }
        : { ...space.walls, below: before ?? space.walls.below, above: next ?? space.walls.above };
      place(part, upright ? { ...space, left: at, right: end, walls } : { ...space, low: at, high: end, walls });
      at = end + thickness;
      before = next;
    });
  }

  function sizesOf(parts: readonly Cell[], space: Space, divided: Division): number[] | null {
    const whole = divided === 'uprights' ? space.right - space.left : space.high - space.low;
    const free = whole - (parts.length - 1) * thickness;
    const asked = parts.reduce((sum, { clear }) => sum + (clear ?? 0), 0);
    const shares = parts.reduce((sum, { clear, share }) => sum + (clear === null ? share : 0), 0);
    const left = free - asked;
    const sizes = parts.map(({ clear, share }) => clear ?? (left * share) / shares);
    if (sizes.some((size) => size < LEAST - 1e-6) || left < -1e-6) {
      problems.push({
        problem: `The ${divided === 'uprights' ? 'bays' : divided} of a space ask for more than it is ${divided === 'uprights' ? 'wide' : 'high'}.`,
        where: 'form.inside.cells',
        wayOut: 'Let all of them follow, as many as have room.',
        mends: mended(cells, parts, divided, whole),
      });
      return null;
    }
    if (shares === 0 && left > LEFT_OVER)
      problems.push({
        problem: say`The clear sizes of a space leave ${mm(left)} of it over.`,
        where: 'form.inside.cells',
        wayOut: 'Let the last of them follow.',
        mends: cells.map((cell) => (cell.id === parts.at(-1)?.id ? { ...cell, clear: null, share: 1 } : cell)),
      });
    return sizes;
  }

  /** The same spaces, equal and no more than have room. */
  function mended(all: readonly Cell[], parts: readonly Cell[], divided: Division, whole: number): Cell[] {
    const most = Math.floor((whole + thickness) / (ROOMY + thickness));
    const of = parts[0]?.of ?? '';
    const fewer = parts.length > most ? divideCell(all, of, divided, most) : all;
    return growCells(fewer, of, 1);
  }

  function divide(by: Division, space: Space, at: number): string {
    const kind = WORD[by];
    counted[kind] += 1;
    const id = `${kind}-${counted[kind]}`;
    const name = `${kind.charAt(0).toUpperCase()}${kind.slice(1)} ${counted[kind]}`;
    dividers.push({ id, name, upright: by === 'uprights', rail: by === 'rails', at, space });
    const stoodOn =
      by === 'uprights' ? [space.walls.below, space.walls.above].find((wall) => wall.startsWith('rail-')) : undefined;
    if (stoodOn)
      problems.push({
        problem: 'An upright cannot stand on rails.',
        where: 'form.inside.cells',
        wayOut: 'Divide by shelves there.',
        mends: cells.map((cell) => (cell.divided === 'rails' ? { ...cell, divided: 'shelves' } : cell)),
      });
    return id;
  }
}

const WORD = { uprights: 'upright', shelves: 'shelf', rails: 'rail' } as const;
