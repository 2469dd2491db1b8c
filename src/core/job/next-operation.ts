import { type PieceInJob, partInJob } from '../document/piece-in-job';
import { madeParts } from '../piece/material';
import type { DerivedJob } from './derive-job';

/**
 * What is to be done next, in the plan's words: the first operation with a part that is not cut yet. Once all are cut, nobody
 * has said how far the work is; null then, and where nothing is planned.
 */
export function nextOperation({ pieces, schedule }: DerivedJob): string | null {
  // Operations of a piece that is alone name its parts as it does itself.
  const named = (document: PieceInJob, id: string) => (pieces.length === 1 ? id : partInJob(document, id));
  const uncut = new Set(
    pieces.flatMap(({ document, piece }) =>
      madeParts(piece).flatMap(({ id, cut }) => (cut ? [] : named(document, id))),
    ),
  );
  const next = schedule.dated.find(({ operation }) => operation.parts.some((part) => uncut.has(part)));
  if (!next) return null;
  const { name, of } = next.operation;
  return of ? `${name}, ${of}` : name;
}
