import { deriveJob, type JobInputs } from '@/core';

type Derived = ReturnType<typeof deriveJob>;

/** Jobs the server has rendered last, by all that they are derived from. */
const rendered = new Map<string, Derived>();
const KEPT = 16;

/**
 * Derives a job for a page. The server renders the same job step after step and tab after tab: what it derived last is kept
 * there, so that each page costs its own markup only. In the browser the page itself remembers.
 */
export function deriveOnce(inputs: JobInputs): Derived {
  if (typeof window !== 'undefined') return deriveJob(inputs);
  const key = JSON.stringify(inputs);
  const before = rendered.get(key);
  const derived = before ?? deriveJob(inputs);
  rendered.delete(key);
  rendered.set(key, derived);
  for (const oldest of rendered.keys()) if (rendered.size > KEPT) rendered.delete(oldest);
  return derived;
}
