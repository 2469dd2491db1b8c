import * as v from 'valibot';
import { FlatSchema, HoldSchema, JoinedSchema, LoadsSchema } from '../../decision/hold';
import * as bases from './bases/kinds';
import type { BaseKind, KindSchema, TopKind } from './kind';
import * as tops from './tops/kinds';

type AnyTopKind = (typeof tops)[keyof typeof tops];
type AnyBaseKind = (typeof bases)[keyof typeof bases];

interface SaysItsKind {
  schema: { entries: { kind: { literal: string } } };
}

const kindOf = ({ schema }: SaysItsKind): string => schema.entries.kind.literal;
/** Bundlers list what a module exports in orders of their own; this is the same everywhere. */
const inOrder = <K extends SaysItsKind>(kinds: readonly K[]): readonly K[] =>
  [...kinds].sort((a, b) => (kindOf(a) < kindOf(b) ? -1 : 1));

const TOPS: readonly AnyTopKind[] = inOrder(Object.values(tops));
const BASES: readonly AnyBaseKind[] = inOrder(Object.values(bases));

export const TopSchema = v.variant(
  'kind',
  TOPS.map(({ schema }) => schema),
);
export const BaseSchema = v.variant(
  'kind',
  BASES.map(({ schema }) => schema),
);

/** How a table is composed: a top on a base, and what holds them together. */
export const TableFormSchema = v.object({
  build: v.optional(v.literal('table'), 'table'),
  top: TopSchema,
  base: BaseSchema,
  hold: HoldSchema,
  flat: v.optional(FlatSchema, { kind: 'none' }),
  /** Null where it stands alone. */
  joined: v.optional(v.nullable(JoinedSchema), null),
  loads: LoadsSchema,
  /** What was decided of kinds that are not chosen now; it comes back with them. */
  aside: v.optional(
    v.object({
      tops: v.pipe(v.array(TopSchema), v.maxLength(40)),
      bases: v.pipe(v.array(BaseSchema), v.maxLength(40)),
      hold: v.nullable(HoldSchema),
    }),
    { tops: [], bases: [], hold: null },
  ),
});

export type TableForm = v.InferOutput<typeof TableFormSchema>;
export type Top = TableForm['top'];
export type Base = TableForm['base'];
export type TopKindName = Top['kind'];
export type BaseKindName = Base['kind'];
/** The decisions of one kind of base, and of one kind of top. */
export type BaseOf<Kind extends BaseKindName> = Extract<Base, { kind: Kind }>;
export type TopOf<Kind extends TopKindName> = Extract<Top, { kind: Kind }>;

/** Whether people sit all round a top, whose edge has no sides: round, oval or of many sides. */
export const isSatAllRound = (top: Top): boolean =>
  top.kind === 'glued-panel' && ['round', 'oval', 'polygon'].includes(top.outline.kind);

const byName = <K extends SaysItsKind>(kinds: readonly K[]) => new Map(kinds.map((kind) => [kindOf(kind), kind]));

const TOP_OF = byName(TOPS);
const BASE_OF = byName(BASES);

/** A kind that says what its own decisions are: whoever asks has them from a form, where they are of that kind. */
function known<K>(table: ReadonlyMap<string, unknown>, name: string): K {
  const kind = table.get(name);
  if (!kind) throw new Error(`no kind is called ${name}`);
  return kind as K;
}

export const topKind = (name: string): TopKind<KindSchema> => known(TOP_OF, name);
export const baseKind = (name: string): BaseKind<KindSchema> => known(BASE_OF, name);

interface Named<Name extends string> {
  kind: Name;
  name: string;
  reason: string;
}

const named = <Name extends string>(kinds: readonly { name: string; reason: string; schema: KindSchema }[]) =>
  kinds
    .map(({ name, reason, schema }): Named<Name> => ({ kind: schema.entries.kind.literal as Name, name, reason }))
    .sort((a, b) => a.name.localeCompare(b.name));

/** What there is to choose from, by name. */
export const TOP_KINDS: readonly Named<TopKindName>[] = named(TOPS as unknown as readonly TopKind<KindSchema>[]);
export const BASE_KINDS: readonly Named<BaseKindName>[] = named(BASES as unknown as readonly BaseKind<KindSchema>[]);
