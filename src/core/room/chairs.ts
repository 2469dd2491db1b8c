import { EDGE_ON_BENCH, EDGE_PER_CHAIR } from '../decision/room-for-people';
import type { PieceInJob } from '../document/piece-in-job';
import type { Piece } from '../piece/piece';
import { isSatAllRound } from '../piece/table/form';
import type { Flat } from '../solid/outline';

/** Of a chair that is drawn up, wide and deep, mm; common practice. */
export const CHAIR = 430;
/** From the edge of the top to the middle of a chair that is drawn up, mm; common practice. */
const DRAWN_UP = 200;

/** Middles of the chairs that a piece is asked to seat, from the middle of its top, mm: no more than its edge has places for. */
export function chairsOf(piece: Piece, { brief, form, seatsAsked }: PieceInJob): Flat[] {
  const { length, width } = piece.overall;
  const count = seatsAsked ?? 0;
  if (form.build === 'table' && isSatAllRound(form.top)) return chairsRound(count, length, width);
  return chairsAlong(count, length, width, brief.seating === 'benches' ? EDGE_ON_BENCH : EDGE_PER_CHAIR);
}

/** Along both sides, and one at each end where it is wide enough. */
function chairsAlong(count: number, length: number, width: number, each: number): Flat[] {
  const atEnds = width >= EDGE_PER_CHAIR ? 2 : 0;
  const side = Math.min(Math.floor((length + 1e-6) / each), Math.ceil(Math.max(0, count - atEnds) / 2));
  const ends = Math.min(atEnds, Math.max(0, count - 2 * side));
  const along = (y: number): Flat[] =>
    Array.from({ length: side }, (_, i) => [(length * (i + 0.5)) / side - length / 2, y]);
  const endSeats: Flat[] = [
    [-length / 2 - DRAWN_UP, 0],
    [length / 2 + DRAWN_UP, 0],
  ];
  return [...along(-width / 2 - DRAWN_UP), ...along(width / 2 + DRAWN_UP), ...endSeats.slice(0, ends)];
}

/** Even round an edge that has no sides. */
const chairsRound = (count: number, length: number, width: number): Flat[] =>
  Array.from({ length: count }, (_, i) => {
    const angle = (2 * Math.PI * (i + 0.5)) / count;
    return [(length / 2 + DRAWN_UP) * Math.cos(angle), (width / 2 + DRAWN_UP) * Math.sin(angle)];
  });
