/** One change of a decision: where in the document, and the new value. */
export interface Change {
  path: string;
  value: unknown;
}

/**
 * A new document with the changes made. Paths are dotted; an entry of a list is named by its `id`, or by its place where
 * entries have none; one that is not there is put at the end, and one that is set to `undefined` is taken out. What is not
 * touched is shared.
 */
export function withChanges<T>(document: T, changes: readonly Change[]): T {
  return changes.reduce<unknown>((next, { path, value }) => setAt(next, path.split('.'), value), document) as T;
}

/** What stands at a dotted path; undefined where there is nothing. */
export const valueAt = (document: unknown, path: string): unknown => path.split('.').reduce<unknown>(entryAt, document);

function entryAt(node: unknown, key: string): unknown {
  if (node === null || node === undefined) return undefined;
  if (Array.isArray(node)) return node[placeOf(node, key)];
  return (node as Record<string, unknown>)[key];
}

/** Where in a list the entry of an id is, else the place that the key counts. */
function placeOf(list: readonly unknown[], key: string): number {
  const named = list.findIndex((entry) => (entry as { id?: unknown } | null)?.id === key);
  return named >= 0 ? named : Number(key);
}

function setAt(node: unknown, path: readonly string[], value: unknown): unknown {
  const [key, ...rest] = path;
  if (key === undefined) return value;
  if (Array.isArray(node)) {
    const place = placeOf(node, key);
    if (rest.length > 0) return node.map((own, i) => (i === place ? setAt(own, rest, value) : own));
    const known = place >= 0 && place < node.length;
    if (value === undefined) return node.filter((_, i) => i !== place);
    return known ? node.map((own, i) => (i === place ? value : own)) : [...node, value];
  }
  const record = (node ?? {}) as Record<string, unknown>;
  return { ...record, [key]: setAt(record[key], rest, value) };
}

/**
 * The same value as `next`, made of what `before` has wherever they are alike: what was computed from an unchanged part is
 * then known by its identity.
 */
export function sharing<T>(before: unknown, next: T): T {
  if (Object.is(before, next)) return next;
  if (typeof next !== 'object' || next === null || typeof before !== 'object' || before === null) return next;
  if (Array.isArray(next) !== Array.isArray(before)) return next;
  const [was, is] = [before as Record<string, unknown>, next as Record<string, unknown>];
  const keys = Object.keys(is);
  const own = keys.map((key) => sharing(was[key], is[key]));
  const alike = keys.length === Object.keys(was).length && keys.every((key, i) => key in was && own[i] === was[key]);
  if (alike) return before as T;
  return (Array.isArray(next) ? own : Object.fromEntries(keys.map((key, i) => [key, own[i]]))) as T;
}
