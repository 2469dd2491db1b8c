import * as v from 'valibot';
import { amount, length, whole } from '../../../decision/fields';

const cellId = v.pipe(v.string(), v.regex(/^[a-z0-9-]{1,40}$/, 'small letters, digits and hyphens only'));

/** One space within a case. Those of one parent lie beside or over one another in the order of the list, from the left or from below. */
export const CellSchema = v.object({
  id: cellId,
  /** Id of the space it is part of; null for all of the inside. */
  of: v.nullable(cellId),
  /** What divides it into spaces of its own. */
  divided: v.picklist(['not', 'uprights', 'shelves', 'rails']),
  /** Clear along the way its parent is divided; null: its share of what is left. */
  clear: v.nullable(length(20, 3000)),
  /** Of what is left, against those beside it. */
  share: v.optional(amount(0.05, 20), 1),
  /** Loose shelves on pins, spread over its height. */
  loose: v.optional(whole(0, 20), 0),
  /** A frame with panels before it, for good. */
  closed: v.optional(v.boolean()),
});
export type Cell = v.InferOutput<typeof CellSchema>;
/** What divides a space: boards that stand, boards that lie over its whole depth, or a rail in front and one behind. */
export type Division = Exclude<Cell['divided'], 'not'>;

export const CellsSchema = v.pipe(
  v.array(CellSchema),
  v.minLength(1),
  v.maxLength(200),
  v.check((cells) => new Set(cells.map(({ id }) => id)).size === cells.length, 'two spaces have one id'),
  v.check(
    (cells) => cells.filter(({ of }) => of === null).length === 1,
    'one space, and only one, is all of the inside',
  ),
  v.check(
    (cells) => cells.every((cell) => reachesRoot(cell, cells)),
    'a space must be part of another that is there, and not of itself',
  ),
);

/** Up from a space through those that it is part of, one comes to all of the inside. */
function reachesRoot(cell: Cell, cells: readonly Cell[]): boolean {
  let at: Cell | undefined = cell;
  for (let steps = 0; at && steps <= cells.length; steps += 1) {
    const { of }: Cell = at;
    if (of === null) return true;
    at = cells.find(({ id }) => id === of);
  }
  return false;
}

/** All of the inside, not divided. */
export const WHOLE: Cell = { id: 'all', of: null, divided: 'not', clear: null, share: 1, loose: 0 };

export const rootOf = (cells: readonly Cell[]): Cell => cells.find(({ of }) => of === null) ?? WHOLE;

/** The spaces that one is divided into, from the left or from below. */
export const partsOf = (cells: readonly Cell[], id: string): readonly Cell[] => cells.filter(({ of }) => of === id);

/** Whether it is divided as it is drawn: into two at least. */
export const isDivided = (cells: readonly Cell[], { id, divided }: Cell): boolean =>
  divided !== 'not' && partsOf(cells, id).length > 1;

/** What a maker calls a space: bay 2, or the second space of bay 2 from below. */
export function nameOfCell(cells: readonly Cell[], id: string): string {
  const cell = cells.find((own) => own.id === id);
  const parent = cell && cells.find((own) => own.id === cell.of);
  if (!cell || !parent) return 'All of the inside';
  const place = partsOf(cells, parent.id).findIndex((own) => own.id === id) + 1;
  const own = parent.divided === 'uprights' ? `Bay ${place}` : `Space ${place}`;
  return parent.of === null ? own : `${nameOfCell(cells, parent.id)}, ${own.toLowerCase()}`;
}

/** All spaces within one, and within those. */
function within(cells: readonly Cell[], id: string): ReadonlySet<string> {
  const found = new Set<string>();
  const add = (of: string): void => {
    for (const { id: own } of partsOf(cells, of)) {
      if (found.has(own)) continue;
      found.add(own);
      add(own);
    }
  };
  add(id);
  return found;
}

/** A space divided into so many; those that are there already stay as they are, as far as there are so many. */
export function divideCell(cells: readonly Cell[], id: string, by: Division, count: number): Cell[] {
  const own = cells.find((cell) => cell.id === id);
  if (!own || count < 2) return joinCell(cells, id);
  // Divided the other way, nothing of what was there fits.
  const sameWay = own.divided !== 'not' && (own.divided === 'uprights') === (by === 'uprights');
  const start = sameWay ? cells : joinCell(cells, id);
  const parts = partsOf(start, id);
  const gone = new Set(parts.slice(count).flatMap((part) => [part.id, ...within(start, part.id)]));
  const kept = start
    .filter((cell) => !gone.has(cell.id))
    .map((cell) => (cell.id === id ? { ...withoutFront(cell), divided: by, loose: 0 } : cell));
  const added = freeIds(kept, Math.max(0, count - parts.length)).map((own): Cell => ({ ...WHOLE, id: own, of: id }));
  return followed([...kept, ...added], id);
}

/** What is before a space closes no other that it is divided into. */
function withoutFront({ closed, ...cell }: Cell): Cell {
  return cell;
}

/** So many ids that no space has. */
function freeIds(cells: readonly Cell[], count: number): string[] {
  const taken = new Set(cells.map(({ id }) => id));
  return Array.from({ length: cells.length + count }, (_, i) => `c${i + 1}`)
    .filter((id) => !taken.has(id))
    .slice(0, count);
}

/** A space with nothing in it that divides it. */
export function joinCell(cells: readonly Cell[], id: string): Cell[] {
  const gone = within(cells, id);
  return cells
    .filter((cell) => !gone.has(cell.id))
    .map((cell) => (cell.id === id ? { ...cell, divided: 'not' as const } : cell));
}

/** A space with a clear size of its own, or none: one beside it follows, so that together they are as large as what they are part of. */
export function resizeCell(cells: readonly Cell[], id: string, clear: number | null): Cell[] {
  const own = cells.find((cell) => cell.id === id);
  const changed = cells.map((cell) => (cell.id === id ? { ...cell, clear } : cell));
  if (!own?.of) return changed;
  const beside = partsOf(changed, own.of);
  if (beside.some((cell) => cell.clear === null)) return changed;
  const at = beside.findIndex((cell) => cell.id === id);
  // The one after it, else the one before.
  const next = beside[at + 1] ?? beside[at - 1];
  return changed.map((cell) => (cell.id === next?.id ? { ...cell, clear: null, share: 1 } : cell));
}

/** The spaces of one, each so many times as large as the one before; 1 makes them equal. */
export function growCells(cells: readonly Cell[], id: string, ratio: number): Cell[] {
  const parts = partsOf(cells, id).map((cell) => cell.id);
  return cells.map((cell) => {
    const at = parts.indexOf(cell.id);
    if (at < 0) return cell;
    // Shares about one, so that many spaces stay within what a share may be.
    const share = ratio ** (at - (parts.length - 1) / 2);
    return { ...cell, clear: null, share: Math.min(20, Math.max(0.05, share)) };
  });
}

/** One space at least of those within another follows. */
function followed(cells: Cell[], of: string): Cell[] {
  const parts = partsOf(cells, of);
  const last = parts.at(-1);
  if (!last || parts.some(({ clear }) => clear === null)) return cells;
  return cells.map((cell) => (cell.id === last.id ? { ...cell, clear: null, share: 1 } : cell));
}
