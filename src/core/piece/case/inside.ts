import { HOUSING_STOP, housing, housingDepth } from '../../joint/housing';
import type { Joint } from '../../joint/joint';
import { mm, say } from '../../measure/quantity';
import { fixed } from '../../restraint/tie';
import { squareFrame } from '../../solid/frame';
import type { Draft, Fitting } from '../part';
import type { Unbuildable } from '../unbuildable';
import type { ShelfSpan } from './case-plan';
import type { CaseForm, Cell } from './form';

/** What a space lies between: the ids of the boards round it. */
interface Walls {
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

interface BoardThat {
  id: string;
  thickness: number;
}

export interface InsidePlan {
  drafts: readonly Draft[];
  joints: readonly Joint[];
  spans: readonly ShelfSpan[];
  fittings: readonly Fitting[];
  problems: readonly Unbuildable[];
  /** Every space that is not divided further, by its id. */
  spaces: ReadonlyMap<string, Space>;
}

/** Less than this is no space, and more than that is not lost in making it, mm. */
const LEAST = 20;
const LEFT_OVER = 0.5;
/** Loose shelves are so much shorter than their space at both ends together, and so much shallower behind. mm */
const LOOSE = { ends: 2, behind: 2 };

/**
 * The uprights and shelves of a case: each space is divided into the spaces that are part of it, those with a clear size of
 * their own first, what is left by their shares. Where the sum does not fit, a problem says so and nothing is drawn of it.
 */
export function planInside(given: {
  form: CaseForm;
  space: Space;
  /** From the front edge to the face of the back. */
  y: readonly [front: number, back: number];
  boards: readonly BoardThat[];
}): InsidePlan {
  const { form, y } = given;
  const { cells, thickness, lip } = form.inside;
  const drafts: Draft[] = [];
  const joints: Joint[] = [];
  const spans: ShelfSpan[] = [];
  const problems: Unbuildable[] = [];
  const spaces = new Map<string, Space>();
  const thicknessOf = new Map(given.boards.map((board) => [board.id, board.thickness]));
  const counted = { upright: 0, shelf: 0 };
  let pins = 0;

  const root = cells.find(({ of }) => of === null);
  if (root) divide(root, given.space, new Set());
  return {
    drafts,
    joints,
    spans,
    problems,
    spaces,
    fittings: pins > 0 ? [{ name: 'Shelf pins', count: pins, size: [5] }] : [],
  };

  function divide(cell: Cell, space: Space, above: ReadonlySet<string>): void {
    const parts = cells.filter(({ of }) => of === cell.id);
    const upright = cell.divided === 'uprights';
    if (cell.divided === 'not' || parts.length < 2 || above.has(cell.id)) {
      spaces.set(cell.id, space);
      looseShelves(cell, space);
      return;
    }
    const [from, to] = upright ? [space.left, space.right] : [space.low, space.high];
    const free = to - from - (parts.length - 1) * thickness;
    const asked = parts.reduce((sum, { clear }) => sum + (clear ?? 0), 0);
    const shares = parts.reduce((sum, { clear, share }) => sum + (clear === null ? share : 0), 0);
    const left = free - asked;
    if (left < LEAST * parts.filter(({ clear }) => clear === null).length - 1e-6 || free <= 0) {
      problems.push({
        problem: `The ${upright ? 'bays' : 'shelves'} of a space ask for more than it is ${upright ? 'wide' : 'high'}.`,
        where: 'form.inside.cells',
        wayOut: 'Leave one of their clear sizes to follow, or make them smaller.',
      });
      spaces.set(cell.id, space);
      return;
    }
    if (shares === 0 && left > LEFT_OVER) {
      problems.push({
        problem: say`The clear sizes of a space leave ${mm(left)} of it over.`,
        where: 'form.inside.cells',
        wayOut: 'Leave one of them to follow, or make them larger.',
      });
    }
    let at = from;
    let before: string | null = null;
    const within = new Set([...above, cell.id]);
    parts.forEach((part, i) => {
      // What is left over is drawn with the last of them.
      const size = part.clear ?? (left * part.share) / shares;
      const end = i === parts.length - 1 ? to : at + size;
      const next = i === parts.length - 1 ? null : board(upright, space, end);
      const walls: Walls = upright
        ? { ...space.walls, left: before ?? space.walls.left, right: next ?? space.walls.right }
        : { ...space.walls, below: before ?? space.walls.below, above: next ?? space.walls.above };
      const own: Space = upright ? { ...space, left: at, right: end, walls } : { ...space, low: at, high: end, walls };
      divide(part, own, within);
      at = end + thickness;
      before = next;
    });
  }

  /** A board between two spaces, and its housings in what it stands between. */
  function board(upright: boolean, space: Space, at: number): string {
    counted[upright ? 'upright' : 'shelf'] += 1;
    const number = counted[upright ? 'upright' : 'shelf'];
    const id = `${upright ? 'upright' : 'shelf'}-${number}`;
    const name = `${upright ? 'Upright' : 'Shelf'} ${number}`;
    const [from, to] = upright ? [space.low, space.high] : [space.left, space.right];
    const ends = upright
      ? ([space.walls.below, space.walls.above] as const)
      : ([space.walls.left, space.walls.right] as const);
    const depths = ends.map((wall) => depthIn(thicknessOf.get(wall) ?? thickness)) as [number, number];
    const middle = at + thickness / 2;
    const deep = y[1] - y[0];
    const my = (y[0] + y[1]) / 2;
    thicknessOf.set(id, thickness);
    drafts.push({
      id,
      name,
      kind: upright ? 'upright' : 'case-shelf',
      grade: 'all-faces',
      size: { length: to - from + depths[0] + depths[1], width: deep, thickness },
      beyond: { start: depths[0], end: depths[1] },
      frame: squareFrame(upright ? [middle, my, (from + to) / 2] : [(from + to) / 2, my, middle], {
        length: upright ? 'z' : 'x',
        width: 'y',
        thickness: upright ? 'x' : 'z',
      }),
    });
    ends.forEach((wall, i) => {
      const end = i === 0 ? from : to;
      const toward = i === 0 ? -1 : 1;
      joints.push(
        housing({
          id: `${wall}/${id}${i === 0 ? '' : '+'}`,
          name: `${name} in ${wall.replace('-', ' ')}`,
          into: wall,
          from: id,
          at: upright ? [middle, 0, end] : [end, 0, middle],
          along: upright ? [0, 0, toward] : [toward, 0, 0],
          y,
          stop: HOUSING_STOP,
          thickness,
          depth: depths[i] ?? 0,
        }),
      );
    });
    if (!upright) {
      bends(id, `${name}, fixed`, to - from, deep);
      lipUnder(id, name, { left: from, right: to, under: at });
    }
    return id;
  }

  /** Both faces of an upright may be housed at one place: what is left between them is a third of it. */
  function depthIn(wall: number): number {
    return Math.min(housingDepth(wall), Math.floor(wall / 3));
  }

  function looseShelves({ id, loose = 0 }: Cell, space: Space): void {
    const [wide, deep] = [space.right - space.left - LOOSE.ends, y[1] - y[0] - LOOSE.behind];
    for (let i = 1; i <= loose; i += 1) {
      const own = `loose-${id}-${i}`;
      const name = `Loose shelf ${drafts.filter(({ kind }) => kind === 'case-shelf').length + 1}`;
      const z = space.low + ((space.high - space.low) * i) / (loose + 1);
      drafts.push({
        id: own,
        name,
        kind: 'case-shelf',
        grade: 'all-faces',
        size: { length: wide, width: deep, thickness },
        frame: squareFrame([(space.left + space.right) / 2, y[0] + deep / 2, z], {
          length: 'x',
          width: 'y',
          thickness: 'z',
        }),
      });
      pins += 4;
      bends(own, `${name}, on pins`, wide, deep);
      const middle = (space.left + space.right) / 2;
      lipUnder(own, name, { left: middle - wide / 2, right: middle + wide / 2, under: z - thickness / 2 });
    }
  }

  /** Glued under the front edge of a shelf, between its ends. */
  function lipUnder(shelf: string, name: string, at: { left: number; right: number; under: number }): void {
    if (!lip) return;
    const id = `lip-${shelf}`;
    const middle = { x: (at.left + at.right) / 2, y: y[0] + lip.thickness / 2, z: at.under - lip.depth / 2 };
    drafts.push({
      id,
      name: `Lip of ${name.toLowerCase()}`,
      kind: 'lip',
      grade: 'one-face',
      size: { length: at.right - at.left, width: lip.depth, thickness: lip.thickness },
      frame: squareFrame([middle.x, middle.y, middle.z], { length: 'x', width: 'z', thickness: 'y' }),
    });
    const joint = { id: `${shelf}/${id}`, name: `Lip under ${name.toLowerCase()}` };
    joints.push({
      ...joint,
      kind: 'glued-edge',
      into: shelf,
      from: id,
      removed: [],
      added: [],
      ties: [fixed({ ...joint, a: shelf, b: id, at: { ...middle, z: at.under } })],
    });
  }

  function bends(part: string, words: string, span: number, breadth: number): void {
    spans.push({ id: part, part, words, span, breadth, thickness, lip, load: form.loads.shelf });
  }
}
