import type { Board } from '@/core';

/** A board with the revision a write to it must match. */
export interface RackBoard extends Board {
  revision: number;
}
