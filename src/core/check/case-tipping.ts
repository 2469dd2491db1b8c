import { count, kilogram, mm, newton, say } from '../measure/quantity';
import { GRAVITY, partWeight } from '../piece/weight';
import { middleOf } from '../solid/convex';
import type { CaseContext, Check, Neighbour } from './check';

/** What a floor may slope, and a carpet give at its edge: so much in a hundred; a design figure, common practice. */
export const SLOPE = 0.05;
export const FIX =
  'Fix it to the wall, by who knows the wall; where children are, always. A design check, not a test by a standard.';

/** What a piece weighs and where its middle is, in its own axes; kg, mm. */
export function momentsOf({ piece, season, species }: Pick<Neighbour, 'piece' | 'season' | 'species'>) {
  let [mass, y, z] = [0, 0, 0];
  for (const part of piece.parts) {
    const own = partWeight(part, species, season.glued.moisture);
    const middle = middleOf(part.placed);
    mass += own;
    y += own * middle[1];
    z += own * middle[2];
  }
  return mass > 0 ? { mass, y: y / mass, z: z / mass } : { mass: 0, y: 0, z: 0 };
}

/** The level push at a height that tips what stands on a ground, N; a floor that slopes takes its share of the reach before anybody pushes. */
export function pushThatTips(
  { mass, y, z }: ReturnType<typeof momentsOf>,
  ground: { low: number; high: number },
  height: number,
) {
  // To the side that it stands nearer over.
  const reach = Math.min(y - ground.low, ground.high - y);
  const push = (mass * GRAVITY * Math.max(0, reach - SLOPE * z)) / height;
  return { push, reach, falls: reach <= SLOPE * z };
}

/**
 * How a case stands empty, to the front and to the back: the push at its upper edge that tips it, and on a floor that slopes
 * that way. What stands on another is judged with that.
 */
export function tippingOfCase(context: CaseContext): Check[] {
  const { document, piece } = context;
  if (piece.hung || piece.stacked) return [];
  const balance = momentsOf(context);
  const { mass, z: high } = balance;
  if (mass <= 0) return [];
  const { height } = piece.overall;
  const { push, reach, falls } = pushThatTips(balance, piece.ground, height);
  const asked = document.form.loads.push;
  // What stands, but less firmly than it is asked to, is fixed to the wall: nothing of its form alone needs to change.
  const level = falls ? 'stop' : push < asked ? 'watch' : 'good';
  return [
    {
      id: 'stability.case-tips',
      step: 'form',
      level,
      sentence: falls
        ? say`Empty, on a floor that slopes 5 in 100, it falls by itself.`
        : say`Empty, on a floor that slopes 5 in 100, ${newton(push)} at its upper edge tip it; it is asked to stand ${newton(asked)}.`,
      value: newton(push),
      limit: newton(asked),
      where: piece.over,
      why: `Cases are climbed and leaned on, and a child hangs on a shelf. ${FIX}`,
      school: 'Statics; ASTM F2057 and EN 14749 test clothing storage units',
      figure: {
        id: 'stability.case-tips',
        label: 'Push that tips it, empty',
        quantity: newton(push),
        formula: 'm · g · (reach − slope · height of its middle) ÷ height',
        inputs: [
          { label: 'Weight', quantity: kilogram(mass) },
          { label: 'Its middle to the edge it stands on', quantity: mm(reach) },
          { label: 'Its middle over the floor', quantity: mm(high) },
          { label: 'Height', quantity: mm(height) },
          { label: 'Slope in a hundred', quantity: count(SLOPE * 100) },
        ],
        source: 'statics',
        limits: FIX,
      },
      wayOut: { say: say`Fix it to the wall, or make it deeper or lower`, changes: [] },
    },
  ];
}
