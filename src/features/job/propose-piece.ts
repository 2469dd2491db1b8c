import { type JobInputs, newPiece, type PieceDecisions, type PieceWish } from '@/core';
import { startWorker } from '@/ui/worker';
import type { WaysOutSearch } from '@/workers/ways-out.worker';

/** One more piece for a job, made in a worker to pass its own checks; without a worker, the plain beginning of it. */
export async function proposedPiece(inputs: Omit<JobInputs, 'layouts'>, wish: PieceWish): Promise<PieceDecisions> {
  const { remote, failed, end } = startWorker<WaysOutSearch>(
    () => new Worker(new URL('../../workers/ways-out.worker.ts', import.meta.url), { type: 'module' }),
    'a piece could not be proposed',
  );
  try {
    return await Promise.race([remote.proposePiece(inputs, wish), failed]);
  } catch {
    return newPiece(inputs.document, wish.start, wish.id);
  } finally {
    end();
  }
}
