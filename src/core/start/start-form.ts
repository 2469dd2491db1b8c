import * as v from 'valibot';
import type { Change } from '../decision/changes';
import type { AnyTop } from '../decision/top-shapes';
import {
  type Base,
  type BaseKindName,
  baseKind,
  type TableForm,
  type Top,
  type TopKindName,
  topKind,
} from '../piece/table/form';
import type { KindSchema } from '../piece/table/kind';
import { LARGE_TABLE, within } from '../piece/table/round-figure';

const SIZES = ['length', 'width', 'thickness', 'endOverhang', 'sideOverhang'] as const;

const sizesOf = (top: AnyTop) => Object.fromEntries(SIZES.map((size) => [size, top[size]]));

/**
 * What a new kind of top also has of what was decided of another: how its edges are worked, what is cut out of it. What was
 * never decided, and is as every top begins, gives way to the sound beginning of the new kind.
 */
function shared(schema: KindSchema, from: AnyTop): object {
  return Object.fromEntries(
    Object.entries(from).filter(([key, value]) => {
      const own = schema.entries[key] as { type: string; default?: unknown } | undefined;
      const decided = JSON.stringify(own?.default) !== JSON.stringify(value);
      return key !== 'kind' && own && decided && v.is(own as unknown as v.GenericSchema, value);
    }),
  );
}

/** A top of another kind in the sizes of the one that was there; what is its own is a sound beginning (common practice). */
export function startTop<Kind extends TopKindName>(kind: Kind, from: AnyTop): Extract<Top, { kind: Kind }> {
  const { schema, start } = topKind(kind);
  const top = { ...start(from), ...shared(schema, from), ...sizesOf(from), kind };
  return top as unknown as Extract<Top, { kind: Kind }>;
}

/** A base of another kind under a top, as high as the one that was there (common practice). */
export function startBase<Kind extends BaseKindName>(
  kind: Kind,
  top: AnyTop,
  height: number,
): Extract<Base, { kind: Kind }> {
  return { height, ...baseKind(kind).start(top, height), kind } as unknown as Extract<Base, { kind: Kind }>;
}

/** The list with one more in it, in the place of another of its kind. */
const put = <K extends { kind: string }>(list: readonly K[], own: K): K[] => [
  ...list.filter(({ kind }) => kind !== own.kind),
  own,
];

/** What changes when the top is made one of another kind: what was decided of the old one is put aside, and comes back. */
export function startTopChanges(kind: TopKindName, { top, aside }: TableForm): Change[] {
  if (kind === top.kind) return [];
  const before = aside.tops.find((own) => own.kind === kind);
  const next = before ? { ...before, ...sizesOf(top) } : startTop(kind, top);
  return [
    { path: 'form.top', value: next },
    { path: 'form.aside.tops', value: put(aside.tops, top) },
  ];
}

/**
 * What changes when another base is put under a top: feet that stand on lines of their own come farther in from the
 * ends, so that the top has less to span. What was decided of the old one is put aside, and comes back.
 */
export function startBaseChanges(kind: BaseKindName, form: TableForm): Change[] {
  const { top, base, aside } = form;
  if (kind === base.kind) return [];
  const [next, was] = [baseKind(kind), baseKind(base.kind)];
  const before = aside.bases.find((own) => own.kind === kind);
  const oldBase = { path: 'form.aside.bases', value: put(aside.bases, base) };
  const newBase = {
    path: 'form.base',
    value: before ? { ...before, height: base.height } : startBase(kind, top, base.height),
  };
  if (next.onlyUnder) {
    const under = top.kind === next.onlyUnder ? [] : startTopChanges(next.onlyUnder as TopKindName, form);
    return [
      newBase,
      oldBase,
      ...under,
      ...holdChanges(kind, form),
      { path: 'form.top.endOverhang', value: 0 },
      { path: 'form.top.sideOverhang', value: 0 },
    ];
  }
  const moved = Boolean(next.onFrames) !== Boolean(was.onFrames) && !next.standsByItself;
  const ends = next.onFrames ? Math.round(top.length / 60) * 10 : top.length > LARGE_TABLE ? 60 : 30;
  return [
    newBase,
    oldBase,
    ...holdChanges(kind, form),
    ...(moved ? [{ path: 'form.top.endOverhang', value: ends }] : []),
  ];
}

/** What the new base is held by; a rail of wood takes what held the top before, or buttons, where the old base had a hold of its own. */
function holdChanges(kind: BaseKindName, { base, hold, top, aside }: TableForm): Change[] {
  const [next, was] = [baseKind(kind), baseKind(base.kind)];
  if (next.heldBy && !next.heldBy.includes(hold.kind)) {
    const insert = within(Math.floor((top.thickness - 8) / 5) * 5, 5, 30);
    const [first = hold.kind] = next.heldBy;
    return [
      {
        path: 'form.hold',
        value: { kind: first, travel: Math.max(8, hold.travel), inward: null, screwLength: insert },
      },
      { path: 'form.aside.hold', value: hold },
    ];
  }
  if (next.heldBy || !was.heldBy || hold.kind !== was.heldBy[0]) return [];
  return [{ path: 'form.hold', value: aside.hold ?? { ...hold, kind: 'buttons' } }];
}
