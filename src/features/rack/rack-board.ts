import type { BoardReply } from '@/contract/replies';

/** A board with the revision a write to it must match. */
export type RackBoard = BoardReply;

/** Which boards are looked at: those on the rack, those used up, those in the bin. */
export type Shelf = 'rack' | 'used' | 'bin';

export interface JobName {
  id: string;
  name: string;
}
