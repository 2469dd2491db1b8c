import { releaseProxy, wrap } from 'comlink';
import { type JobInputs, newPiece, type PieceDecisions, type UseOfPiece } from '@/core';
import type { WaysOutSearch } from '@/workers/ways-out.worker';

/** One more piece for a job, made in a worker to pass its own checks; without a worker, the plain beginning of it. */
export async function proposedPiece(
  inputs: Omit<JobInputs, 'layouts'>,
  use: UseOfPiece,
  id: string,
): Promise<PieceDecisions> {
  const worker = new Worker(new URL('../../workers/ways-out.worker.ts', import.meta.url), { type: 'module' });
  const search = wrap<WaysOutSearch>(worker);
  const plain = () => newPiece(inputs.document, use, id);
  const failed = new Promise<PieceDecisions>((resolve) => {
    worker.onerror = () => resolve(plain());
  });
  try {
    return await Promise.race([search.proposePiece(inputs, use, id), failed]);
  } catch {
    return plain();
  } finally {
    search[releaseProxy]();
    worker.terminate();
  }
}
