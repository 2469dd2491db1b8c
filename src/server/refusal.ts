import type { Problem } from '@/core';

/** A request that cannot be done as asked: answered with its status and all its problems, never with a 500. */
export class Refusal extends Error {
  constructor(
    readonly status: number,
    readonly problems: readonly Problem[],
    /** What the browser needs to mend it, such as the version that is kept. */
    readonly current?: unknown,
  ) {
    super(problems[0]?.problem ?? 'refused');
  }
}

export const notFound = (what: string, where: string) =>
  new Refusal(404, [
    {
      problem: `There is no such ${what}.`,
      where,
      wayOut: `It may be in the bin, or was never here. Go back to the list.`,
    },
  ]);

export const UUID = /^[0-9a-f]{8}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{12}$/i;

/** Ids are UUIDs; anything else names nothing. */
export function asId(text: string, what: string): string {
  if (!UUID.test(text)) throw notFound(what, text.slice(0, 60));
  return text;
}
