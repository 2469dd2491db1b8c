import { seatsOnBench } from '../decision/room-for-people';
import { USE_OF_PIECE } from '../decision/use';
import type { JobDocument, PieceDecisions } from './job-document';

const capacity = ({ form }: PieceDecisions): number => (form.build === 'table' ? seatsOnBench(form.top.length) : 0);

/**
 * How many of those that the brief seats one of a piece must seat. A dining table seats all of them; benches and stools
 * share them, where nobody brings a chair, and each is asked for what the others leave. Null: nothing is asked of it.
 */
export function seatsAsked(job: JobDocument, piece: PieceDecisions): number | null {
  const { sitting } = USE_OF_PIECE[piece.use];
  if (sitting === 'none') return null;
  if (sitting === 'at') return piece.use === 'dining' ? job.brief.seats : null;
  const others = job.pieces.filter((own) => own.id !== piece.id);
  if (job.brief.seating === 'chairs' && others.some(({ use }) => use === 'dining')) return null;
  const seated = others
    .filter(({ use }) => USE_OF_PIECE[use].sitting === 'on')
    .reduce((sum, own) => sum + own.count * capacity(own), 0);
  return Math.max(0, Math.ceil((job.brief.seats - seated) / piece.count));
}
