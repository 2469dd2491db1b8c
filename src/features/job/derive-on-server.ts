import { deriveJob, type JobInputs } from '@/core';
import type { Derived } from './derived-store';

/** Jobs rendered last, by all that they are derived from. */
const rendered = new Map<string, Derived>();
const KEPT = 16;

/**
 * Derives a job for a page that is rendered on the server. It renders the same job step after step and tab after tab: what
 * was derived last is kept, so that each page costs its own markup only.
 */
export function derivedAtOnce(inputs: JobInputs): Derived | null {
  const key = JSON.stringify(inputs);
  const before = rendered.get(key);
  const derived = before ?? deriveJob(inputs);
  rendered.delete(key);
  rendered.set(key, derived);
  for (const oldest of rendered.keys()) if (rendered.size > KEPT) rendered.delete(oldest);
  return derived;
}
