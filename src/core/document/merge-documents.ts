import { read } from '../decision/issues';
import { type JobDocument, JobDocumentSchema, withChanges } from './job-document';

/** A decision that both made, each otherwise: its dotted path and both values; undefined where one has taken it away. */
export interface Conflict {
  path: string;
  mine: unknown;
  theirs: unknown;
}

export interface Merge {
  /** What both decided; where they differ, mine. */
  document: JobDocument;
  conflicts: readonly Conflict[];
}

type Plain = Record<string, unknown>;

/** Lists whose entries stand for themselves, in no order that matters, with what an entry is known by; `*` is any name. */
const ENTRIES: readonly (readonly [path: string, knownBy: (entry: never) => string])[] = [
  ['pieces.*.season.measured', ({ on, width }: { on: string; width: number }) => `${on} ${width}`],
  ['pieces.*.layout.oneBoard', String],
  ['pieces.*.layout.asDressed', String],
  ['pieces.*.plan.painted', String],
  ['pieces.*.benches.*.cut', String],
  ['layout.leaveOut', String],
  ['layout.pinned', String],
  ['layout.moved', ({ part, strip }: { part: string; strip: number | null }) => `${part} ${strip}`],
];

const knownBy = (path: string) => {
  const names = path.split('.');
  return ENTRIES.find(([own]) => {
    const pattern = own.split('.');
    return pattern.length === names.length && pattern.every((name, i) => name === '*' || name === names[i]);
  })?.[1];
};

/** Lists whose entries are decisions of their own, each with an id that lasts. */
const NAMED = ['pieces', 'woods'];
type Named = { id: string };
const byId = (value: unknown): Plain =>
  Array.isArray(value) ? Object.fromEntries(value.map((entry: Named) => [entry.id, entry])) : {};

const isRecord = (value: unknown): value is Plain =>
  typeof value === 'object' && value !== null && !Array.isArray(value);
const same = (a: unknown, b: unknown) => JSON.stringify(a) === JSON.stringify(b);

/**
 * Two sets of decisions made from one state of a job, put together: what only one of them touched is taken from it, list
 * entries by what they are known by. What both touched, each otherwise, is a conflict; so is everything in which they
 * differ when the whole would not be a sound document.
 *
 * @param base the state that both began from; null when nobody knows it any more
 */
export function mergeDocuments(base: JobDocument | null, mine: JobDocument, theirs: JobDocument): Merge {
  if (!base) return { document: mine, conflicts: differences(mine, theirs) };
  const conflicts: Conflict[] = [];
  const sound = read(JobDocumentSchema, merge(base, mine, theirs, '', conflicts), 'the job');
  return 'value' in sound
    ? { document: sound.value, conflicts }
    : { document: mine, conflicts: differences(mine, theirs) };
}

/** Every decision in which two documents differ; another kind of thing is one difference. */
export function differences(mine: unknown, theirs: unknown, path = ''): Conflict[] {
  if (same(mine, theirs)) return [];
  const [here, there] = NAMED.includes(path) ? [byId(mine), byId(theirs)] : [mine, theirs];
  if (!isRecord(here) || !isRecord(there) || here.kind !== there.kind) return [{ path, mine, theirs }];
  const keys = [...new Set([...Object.keys(here), ...Object.keys(there)])];
  return keys.flatMap((key) => differences(here[key], there[key], path ? `${path}.${key}` : key));
}

/** A merge with a word about each of its conflicts; those that nothing is said of stay mine. */
export function resolved(
  { document, conflicts }: Merge,
  keep: Readonly<Record<string, 'mine' | 'theirs'>>,
): JobDocument {
  const taken = conflicts.filter(({ path }) => keep[path] === 'theirs');
  const next = withChanges(
    document,
    taken.map(({ path, theirs }) => ({ path, value: theirs })),
  );
  return withoutNothing(next) as JobDocument;
}

/** An entry that one of them removed has no value: it is left out. */
const withoutNothing = (value: unknown): unknown =>
  isRecord(value)
    ? Object.fromEntries(
        Object.entries(value).flatMap(([key, own]) => (own === undefined ? [] : [[key, withoutNothing(own)]])),
      )
    : value;

function merge(base: unknown, mine: unknown, theirs: unknown, path: string, conflicts: Conflict[]): unknown {
  if (same(mine, theirs) || same(base, theirs)) return mine;
  if (same(base, mine)) return theirs;
  if (NAMED.includes(path)) return Object.values(mergedNames(byId(base), byId(mine), byId(theirs), path, conflicts));
  // Another kind of thing has other decisions: it is taken whole.
  if (isRecord(mine) && isRecord(theirs) && mine.kind === theirs.kind) {
    const before: Plain = isRecord(base) && base.kind === mine.kind ? base : {};
    return mergedNames(before, mine, theirs, path, conflicts);
  }
  const known = knownBy(path);
  if (known && Array.isArray(base) && Array.isArray(mine) && Array.isArray(theirs)) {
    const entries = mergedEntries(base, mine, theirs, known as (entry: unknown) => string);
    if (entries) return entries;
  }
  conflicts.push({ path, mine, theirs });
  return mine;
}

/** Decisions by their names; those without a value are left out. */
function mergedNames(base: Plain, mine: Plain, theirs: Plain, path: string, conflicts: Conflict[]): Plain {
  const keys = [...new Set([...Object.keys(theirs), ...Object.keys(mine)])];
  return Object.fromEntries(
    keys.flatMap((key) => {
      const value = merge(base[key], mine[key], theirs[key], path ? `${path}.${key}` : key, conflicts);
      return value === undefined ? [] : [[key, value]];
    }),
  );
}

/** Entries of a list put together in their order, mine that are new at the end; null where both changed one of them. */
function mergedEntries(
  base: unknown[],
  mine: unknown[],
  theirs: unknown[],
  known: (entry: unknown) => string,
): unknown[] | null {
  const of = (list: unknown[]) => new Map(list.map((entry) => [known(entry), entry]));
  const [before, here, there] = [of(base), of(mine), of(theirs)];
  const merged: unknown[] = [];
  for (const key of new Set([...there.keys(), ...here.keys()])) {
    const conflicts: Conflict[] = [];
    const entry = merge(before.get(key), here.get(key), there.get(key), key, conflicts);
    if (conflicts.length > 0) return null;
    if (entry !== undefined) merged.push(entry);
  }
  return merged;
}
