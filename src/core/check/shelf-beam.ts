import type { ShelfSpan } from '../piece/case/case-plan';
import { type BeamSection, secondMoment, uniformSag } from './beam';

type Board = Pick<ShelfSpan, 'span' | 'breadth' | 'thickness' | 'lip'>;

const sectionOf = ({ breadth, thickness }: Board, modulus: number): BeamSection => ({
  breadth,
  depth: thickness,
  modulus,
});

/** Second moment of a shelf with the lip that is glued under its edge, bent as one section, mm⁴: each about their common middle. */
export function shelfSecondMoment(board: Board): number {
  const { breadth, thickness, lip } = board;
  const alone = secondMoment(sectionOf(board, 1));
  if (!lip) return alone;
  const [upper, lower] = [breadth * thickness, lip.thickness * lip.depth];
  // From the lower edge of the lip.
  const [up, low] = [lip.depth + thickness / 2, lip.depth / 2];
  const middle = (upper * up + lower * low) / (upper + lower);
  return (
    alone +
    upper * (up - middle) ** 2 +
    secondMoment({ breadth: lip.thickness, depth: lip.depth, modulus: 1 }) +
    lower * (low - middle) ** 2
  );
}

/**
 * What a shelf sags at once under a load spread along it, its ends resting, mm; the lip shares the bending.
 *
 * @param perMm all that is on it and its own weight, N/mm
 * @param modulus of the wood along its grain, MPa
 */
export function shelfSag(board: Board, modulus: number, perMm: number): number {
  const section = sectionOf(board, modulus);
  const whole = uniformSag(section, board.span, perMm);
  const bending = uniformSag(section, board.span, perMm, false);
  return whole - bending + bending * (secondMoment(section) / shelfSecondMoment(board));
}
