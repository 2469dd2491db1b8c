import { expose } from 'comlink';
import {
  deriveJob,
  type JobInputs,
  ownedChecks,
  ownerOfPiece,
  type PieceDecisions,
  type PieceWish,
  type ProvenWayOut,
  proposePiece,
  shownPiece,
  speciesOfDemand,
  waysOut,
} from '@/core';
import { inSlices } from './in-slices';

/** The search that is wanted; an earlier one ends at its next slice. */
let wanted = 0;

const search = {
  /** Tries what the checks of a piece, of its boards and of the job propose, in slices; what is found is reported as it comes, stopped it is all there is. */
  async waysOut(
    inputs: JobInputs,
    piece: { pieceId: string; instance: number },
    onFound: (found: ProvenWayOut[]) => void,
  ): Promise<ProvenWayOut[]> {
    wanted += 1;
    const mine = wanted;
    const job = deriveJob(inputs);
    if (!('pieces' in job)) return [];
    const shown = shownPiece(job, piece.pieceId, piece.instance);
    const asked = [ownerOfPiece(shown), ...speciesOfDemand(shown.demand), 'job'];
    const checks = ownedChecks(job).filter(({ owner }) => asked.includes(owner));
    const outcome = await inSlices(waysOut(inputs, job, checks), onFound, () => wanted !== mine);
    return 'result' in outcome ? outcome.result : outcome.stoppedAt;
  },
  /** One more piece for a job, made to pass its own checks. */
  proposePiece({ document, ...workshop }: Omit<JobInputs, 'layouts'>, wish: PieceWish): PieceDecisions {
    return proposePiece(document, wish, workshop);
  },
  stop() {
    wanted += 1;
  },
};

export type WaysOutSearch = typeof search;
expose(search);
