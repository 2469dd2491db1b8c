import type { Board } from '../stock/board';
import type { DerivedJob, DerivedPiece, DerivedWood } from './derive-job';

/**
 * A derived job as it is sent from a worker to its page: what the page has from before is left out, and boards are named by
 * their places on the rack that both know.
 */
export interface Parcel extends Omit<DerivedJob, 'pieces' | 'woods'> {
  /** Null: as it was in the job before, at the same place. */
  pieces: readonly (DerivedPiece | null)[];
  woods: readonly SentWood[];
}

interface SentWood extends Omit<DerivedWood, 'boards'> {
  /** Places on the rack. */
  boards: readonly number[];
}

type Rack = readonly Board[] | null;

/** @param before what the page has been sent last; null where it has nothing */
export function packed(job: DerivedJob, rack: Rack, before: DerivedJob | null): Parcel {
  const places = new Map(rack?.map((board, i) => [board, i]));
  return {
    ...job,
    pieces: job.pieces.map((own, i) => (own === before?.pieces[i] ? null : own)),
    woods: job.woods.map((own) => ({ ...own, boards: own.boards.map((board) => places.get(board) as number) })),
  };
}

/** The job again, of a parcel and of what was unpacked before it. */
export const unpacked = (parcel: Parcel, rack: Rack, before: DerivedJob | null): DerivedJob => ({
  ...parcel,
  pieces: parcel.pieces.map((own, i) => own ?? (before?.pieces[i] as DerivedPiece)),
  woods: parcel.woods.map((own) => ({ ...own, boards: own.boards.map((place) => rack?.[place] as Board) })),
});
