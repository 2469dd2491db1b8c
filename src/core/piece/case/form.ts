import * as v from 'valibot';
import { amount, length, whole } from '../../decision/fields';
import * as backs from './backs/kinds';
import * as corners from './corners/kinds';
import * as stands from './stands/kinds';

const schemasOf = <K extends { schema: v.GenericSchema }>(kinds: Readonly<Record<string, K>>): K['schema'][] =>
  Object.values(kinds).map(({ schema }) => schema);

export const CornerSchema = v.variant('kind', schemasOf(corners) as (typeof corners)[keyof typeof corners]['schema'][]);
export const BackSchema = v.variant('kind', schemasOf(backs) as (typeof backs)[keyof typeof backs]['schema'][]);
export const StandSchema = v.variant('kind', schemasOf(stands) as (typeof stands)[keyof typeof stands]['schema'][]);

const cellId = v.pipe(v.string(), v.regex(/^[a-z0-9-]{1,40}$/, 'small letters, digits and hyphens only'));

/** One space within a case. Those of one parent lie beside or over one another in the order of the list, from the left or from below. */
export const CellSchema = v.object({
  id: cellId,
  /** Id of the space it is part of; null for all of the inside. */
  of: v.nullable(cellId),
  /** What divides it into spaces of its own. */
  divided: v.picklist(['not', 'uprights', 'shelves']),
  /** Clear along the way its parent is divided; null: its share of what is left. */
  clear: v.nullable(length(20, 3000)),
  /** Of what is left, against those beside it. */
  share: v.optional(amount(0.05, 20), 1),
  /** Loose shelves on pins, spread over its height. */
  loose: v.optional(whole(0, 20), 0),
});
export type Cell = v.InferOutput<typeof CellSchema>;

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

/** How a case is composed: a carcass, the spaces in it, its back, and what it stands on. */
export const CaseFormSchema = v.object({
  build: v.literal('case'),
  /** Over all, with what it stands on. */
  width: length(150, 4000),
  height: length(120, 3200),
  depth: length(80, 1200),
  carcass: v.object({
    sides: length(9, 60),
    /** Top and bottom. */
    across: length(9, 60),
    corner: CornerSchema,
  }),
  inside: v.object({
    /** Uprights and shelves. */
    thickness: length(9, 60),
    cells: v.pipe(
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
    ),
    /** Glued under the front edge of every shelf; null where there is none. */
    lip: v.optional(v.nullable(v.object({ depth: length(15, 120), thickness: length(9, 60) })), null),
  }),
  back: BackSchema,
  stand: StandSchema,
  loads: v.object({
    /** N on a metre of shelf: a row of books 300 to 450, china 200 to 250, linen 100 to 150; common practice. */
    shelf: amount(0, 3000, 'N'),
    /** N, level, at its upper edge. */
    push: amount(0, 2000, 'N'),
  }),
});
export type CaseForm = v.InferOutput<typeof CaseFormSchema>;
export type CornerOf<Kind extends CaseForm['carcass']['corner']['kind']> = Extract<
  CaseForm['carcass']['corner'],
  { kind: Kind }
>;
