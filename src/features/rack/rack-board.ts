import type { Board } from '@/core';

/** A board with the revision a write to it must match. */
export interface RackBoard extends Board {
  revision: number;
}

/** Which boards are looked at: those on the rack, those used up, those in the bin. */
export type Shelf = 'rack' | 'used' | 'bin';

export interface JobName {
  id: string;
  name: string;
}
