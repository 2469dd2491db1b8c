import type { Check, Level } from './check';

const RANK: Record<Level, number> = { stop: 0, watch: 1, good: 2 };

/** What stops the work first; a way out only where something is to be done. */
export function inOrder(checks: readonly Check[]): Check[] {
  return checks
    .map(({ wayOut, otherWaysOut, ...check }) =>
      check.level === 'good' || !wayOut ? check : { ...check, wayOut, ...(otherWaysOut ? { otherWaysOut } : {}) },
    )
    .sort((a, b) => RANK[a.level] - RANK[b.level]);
}
