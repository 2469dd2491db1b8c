import * as v from 'valibot';
import { AlcoveSchema } from '../../decision/alcove';
import { amount, length, whole } from '../../decision/fields';
import * as backs from './backs/kinds';
import * as corners from './corners/kinds';
import * as fronts from './fronts/kinds';
import { CellsSchema } from './inside/cells';
import { ClosingSchema, USUAL_CLOSING } from './inside/closed-spaces';
import * as fixings from './inside/fixings/kinds';
import { MouldingSchema } from './moulding';
import * as stands from './stands/kinds';
import * as tops from './tops/kinds';

const schemasOf = <K extends { schema: v.GenericSchema }>(kinds: Readonly<Record<string, K>>): K['schema'][] =>
  Object.values(kinds).map(({ schema }) => schema);

export const CornerSchema = v.variant('kind', schemasOf(corners) as (typeof corners)[keyof typeof corners]['schema'][]);
export const BackSchema = v.variant('kind', schemasOf(backs) as (typeof backs)[keyof typeof backs]['schema'][]);
export const StandSchema = v.variant('kind', schemasOf(stands) as (typeof stands)[keyof typeof stands]['schema'][]);
export const CaseTopSchema = v.variant('kind', schemasOf(tops) as (typeof tops)[keyof typeof tops]['schema'][]);
export const FrontSchema = v.variant('kind', schemasOf(fronts) as (typeof fronts)[keyof typeof fronts]['schema'][]);
export const FixingSchema = v.variant('kind', schemasOf(fixings) as (typeof fixings)[keyof typeof fixings]['schema'][]);

/** How a case is composed: a carcass, the spaces in it, its back, and what it stands on. */
export const CaseFormSchema = v.object({
  build: v.literal('case'),
  /** What was decided of kinds that are not chosen now: it is there again when they are. */
  aside: v.optional(
    v.object({
      corners: v.pipe(v.array(CornerSchema), v.maxLength(20)),
      backs: v.pipe(v.array(BackSchema), v.maxLength(20)),
      stands: v.pipe(v.array(StandSchema), v.maxLength(20)),
      tops: v.optional(v.pipe(v.array(CaseTopSchema), v.maxLength(20)), []),
      fixings: v.optional(v.pipe(v.array(FixingSchema), v.maxLength(20)), []),
      fronts: v.optional(v.pipe(v.array(FrontSchema), v.maxLength(20)), []),
    }),
    { corners: [], backs: [], stands: [], tops: [], fixings: [], fronts: [] },
  ),
  /** To the front, as a case does, or above, as a chest. */
  opens: v.optional(v.picklist(['front', 'above']), 'front'),
  /** The alcove it is fitted to, which then says how wide and deep it is. */
  alcove: v.optional(v.nullable(AlcoveSchema), null),
  /** Over all, with what it stands on. */
  width: length(150, 4000),
  height: length(120, 3200),
  depth: length(80, 1200),
  carcass: v.object({
    sides: length(9, 60),
    /** Top and bottom. */
    across: length(9, 60),
    corner: CornerSchema,
    /** Whether the grain runs on from one of them to the next. */
    grain: v.optional(v.picklist(['apart', 'over', 'round'])),
  }),
  inside: v.object({
    /** Uprights and shelves. */
    thickness: length(9, 60),
    cells: CellsSchema,
    /** A rail from its front to its back. */
    rail: v.optional(length(20, 200), 60),
    /** How they are held at their ends. */
    fixing: v.optional(FixingSchema, { kind: 'housed', stop: 12 }),
    /** Bores for the pins of loose shelves: how far from the edges and from one another; common practice. */
    pins: v.optional(
      v.object({ diameter: length(3, 12), deep: length(5, 30), fromEdge: length(15, 150), apart: length(10, 100) }),
      { diameter: 5, deep: 10, fromEdge: 37, apart: 32 },
    ),
    /** Before spaces that are closed. */
    closing: v.optional(ClosingSchema, USUAL_CLOSING),
    /** Glued under the front edge of every shelf; null where there is none. */
    lip: v.optional(v.nullable(v.object({ depth: length(15, 120), thickness: length(9, 60) })), null),
  }),
  back: BackSchema,
  /** What is on its front edges, or a chest's upper ones. */
  front: v.optional(FrontSchema, { kind: 'plain' }),
  /** What lies over the carcass. */
  top: v.optional(CaseTopSchema, { kind: 'none' }),
  /** Round its upper edge; null where there is none. */
  moulding: v.optional(v.nullable(MouldingSchema), null),
  stand: StandSchema,
  /** The case at its left that it is bolted to, by the id of that piece of the job; none where it stands by itself. */
  beside: v.optional(v.nullable(v.object({ piece: v.pipe(v.string(), v.maxLength(60)), bolts: whole(2, 16) }))),
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
