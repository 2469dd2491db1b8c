import type { ShelfSpan } from '../piece/case/case-plan';
import { type BeamSection, secondMoment, uniformSag } from './beam';

type Board = Pick<ShelfSpan, 'span' | 'breadth' | 'thickness' | 'lip'>;

const sectionOf = ({ breadth, thickness }: Board, modulus: number): BeamSection => ({
  breadth,
  depth: thickness,
  modulus,
});

/** Second moment of a shelf with the lip that is glued under its edge, bent as one section, mm⁴: each about their common middle. */
export const shelfSecondMoment = (board: Board): number => asOneSection(board).moment;

/** What bends over how far its farther edge is from the middle, mm³. */
export function shelfModulus(board: Board): number {
  const { moment, farther } = asOneSection(board);
  return moment / farther;
}

function asOneSection(board: Board): { moment: number; farther: number } {
  const { breadth, thickness, lip } = board;
  const alone = secondMoment(sectionOf(board, 1));
  if (!lip) return { moment: alone, farther: thickness / 2 };
  const [upper, lower] = [breadth * thickness, lip.thickness * lip.depth];
  // From the lower edge of the lip.
  const [up, low] = [lip.depth + thickness / 2, lip.depth / 2];
  const middle = (upper * up + lower * low) / (upper + lower);
  const ofLip = secondMoment({ breadth: lip.thickness, depth: lip.depth, modulus: 1 });
  return {
    moment: alone + upper * (up - middle) ** 2 + ofLip + lower * (low - middle) ** 2,
    farther: Math.max(middle, lip.depth + thickness - middle),
  };
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
