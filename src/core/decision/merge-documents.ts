import { read } from './issues';
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

/** Lists whose entries stand for themselves, in no order that matters, with what an entry is known by. */
const ENTRIES: Readonly<Record<string, (entry: never) => string>> = {
  'season.measured': ({ on, width }: { on: string; width: number }) => `${on} ${width}`,
  'layout.oneBoard': String,
  'layout.asDressed': String,
  'layout.leaveOut': String,
  'layout.pinned': String,
  'layout.moved': ({ part, strip }: { part: string; strip: number | null }) => `${part} ${strip}`,
  'bench.cut': String,
};

type Plain = Record<string, unknown>;
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
  if (!isRecord(mine) || !isRecord(theirs) || mine.kind !== theirs.kind) return [{ path, mine, theirs }];
  const keys = [...new Set([...Object.keys(mine), ...Object.keys(theirs)])];
  return keys.flatMap((key) => differences(mine[key], theirs[key], path ? `${path}.${key}` : key));
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
  // Another kind of thing has other decisions: it is taken whole.
  if (isRecord(mine) && isRecord(theirs) && mine.kind === theirs.kind) {
    const before: Plain = isRecord(base) && base.kind === mine.kind ? base : {};
    const keys = [...new Set([...Object.keys(theirs), ...Object.keys(mine)])];
    return Object.fromEntries(
      keys.flatMap((key) => {
        const value = merge(before[key], mine[key], theirs[key], path ? `${path}.${key}` : key, conflicts);
        return value === undefined ? [] : [[key, value]];
      }),
    );
  }
  const known = ENTRIES[path];
  if (known && Array.isArray(base) && Array.isArray(mine) && Array.isArray(theirs)) {
    const entries = mergedEntries(base, mine, theirs, known as (entry: unknown) => string);
    if (entries) return entries;
  }
  conflicts.push({ path, mine, theirs });
  return mine;
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
