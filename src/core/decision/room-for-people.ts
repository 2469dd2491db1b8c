import { MM_PER_INCH } from '../measure/length';

/* Room that people take at a table, mm; common practice, said in inches. One table for proposals, checks and drawings. */

/** Edge a chair, and the least that still does; edge a person on a bench. */
export const EDGE_PER_CHAIR = 24 * MM_PER_INCH;
export const EDGE_PER_CHAIR_TIGHT = 22 * MM_PER_INCH;
export const EDGE_ON_BENCH = 18 * MM_PER_INCH;
export const edgePerPerson = (seating: 'chairs' | 'benches'): number =>
  seating === 'benches' ? EDGE_ON_BENCH : EDGE_PER_CHAIR;
/** Under the apron: the least, and what is better. */
export const KNEE_HEIGHT = 24 * MM_PER_INCH;
export const KNEE_HEIGHT_GOOD = 25 * MM_PER_INCH;
/** Behind a chair: 36 in to a wall, 44 in where people pass. */
export const BEHIND_CHAIR = { wall: 36 * MM_PER_INCH, passing: 44 * MM_PER_INCH } as const;

/** How many sit at a table: along both sides, and one at each end where it is wide enough for a chair. */
export function seatsAt(
  top: { length: number; width: number },
  seating: 'chairs' | 'benches',
  edge = edgePerPerson(seating),
): number {
  const atEnd = top.width >= (seating === 'benches' && edge === EDGE_ON_BENCH ? EDGE_PER_CHAIR : edge) - 1e-9 ? 2 : 0;
  return 2 * Math.floor((top.length + 1e-6) / edge) + atEnd;
}

/** How many sit on a bench or a stool: one at the least. */
export const seatsOnBench = (length: number): number => Math.max(1, Math.floor((length + 1e-6) / EDGE_ON_BENCH));
