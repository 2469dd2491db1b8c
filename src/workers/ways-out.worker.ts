import { expose } from 'comlink';
import { deriveJob, type JobInputs, type ProvenWayOut, waysOut } from '@/core';
import { inSlices } from './in-slices';

/** The search that is wanted; an earlier one ends at its next slice. */
let wanted = 0;

const search = {
  /** Tries what the checks propose, in slices; what is found is reported as it comes, stopped it is all there is. */
  async waysOut(inputs: JobInputs, onFound: (found: ProvenWayOut[]) => void): Promise<ProvenWayOut[]> {
    wanted += 1;
    const mine = wanted;
    const job = deriveJob(inputs);
    if (!('piece' in job)) return [];
    const outcome = await inSlices(waysOut(inputs, job), onFound, () => wanted !== mine);
    return 'result' in outcome ? outcome.result : outcome.stoppedAt;
  },
  stop() {
    wanted += 1;
  },
};

export type WaysOutSearch = typeof search;
expose(search);
