import { partInJob } from '../document/piece-in-job';
import type { Operation } from '../plan/operation';
import type { WorkedPiece } from './piece-stages';

/**
 * The operations of all pieces of a job. Pieces that are made alike are worked through each operation together: its hours
 * add up, and while one is in clamps the next one waits for them (common practice).
 */
export function batched(worked: readonly WorkedPiece[]): Operation[] {
  if (worked.length === 1) return [...(worked[0] as WorkedPiece).operations];
  const pieces = new Map<string, WorkedPiece[]>();
  for (const own of worked) pieces.set(own.pieceId, [...(pieces.get(own.pieceId) ?? []), own]);
  return [...pieces.values()].flatMap(ofAlike);
}

/** Of the instances of one piece; what they have in the job's names. */
function ofAlike(alike: readonly WorkedPiece[]): Operation[] {
  const [first] = alike;
  if (!first) return [];
  const { pieceId, document } = first;
  const name = (id: string) => `${pieceId}:${id}`;
  const byId = new Map<string, { operation: Operation; work: number; wait: number; times: number }>();
  for (const { operations } of alike) {
    for (const operation of operations) {
      const known = byId.get(operation.id);
      const { work, wait } = operation;
      if (!known) byId.set(operation.id, { operation, work, wait, times: 1 });
      else {
        known.work += work;
        known.wait = Math.max(known.wait, wait);
        known.times += 1;
      }
    }
  }
  return [...byId.values()].map(({ operation, work, wait, times }) => {
    const clamped = wait > 0 && (operation.group === 'Top' || operation.group === 'Base');
    return {
      ...operation,
      id: name(operation.id),
      of: `${document.pieceName}${times > 1 ? ` × ${times}` : ''}`,
      work,
      wait: clamped ? wait + ((times - 1) * first.glue.clampFor) / 60 : wait,
      after: operation.after.map(name),
      parts: operation.parts.map((part) => partInJob(document, part)),
    };
  });
}
