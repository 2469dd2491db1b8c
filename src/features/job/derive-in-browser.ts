import type { JobInputs } from '@/core';
import type { Derived } from './derived-store';

/** In a browser nothing is derived at once: a worker derives it, and the page waits for it with what the server rendered. */
export const derivedAtOnce = (_: JobInputs): Derived | null => null;
