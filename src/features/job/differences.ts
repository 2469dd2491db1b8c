export interface Difference {
  path: string;
  mine: string;
  theirs: string;
}

/** Every decision in which two versions differ, by its path. */
export function differences(mine: unknown, theirs: unknown, path = ''): Difference[] {
  if (JSON.stringify(mine) === JSON.stringify(theirs)) return [];
  const isRecord = (value: unknown): value is Record<string, unknown> =>
    typeof value === 'object' && value !== null && !Array.isArray(value);
  if (isRecord(mine) && isRecord(theirs)) {
    const keys = [...new Set([...Object.keys(mine), ...Object.keys(theirs)])];
    return keys.flatMap((key) => differences(mine[key], theirs[key], path ? `${path}.${key}` : key));
  }
  const write = (value: unknown) => (value === undefined ? 'nothing' : JSON.stringify(value));
  return [{ path, mine: write(mine), theirs: write(theirs) }];
}
