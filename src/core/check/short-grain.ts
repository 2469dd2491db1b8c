import type { Joint } from '../joint/joint';
import { percent, say } from '../measure/quantity';
import { findPart, type Piece } from '../piece/piece';
import { reach } from '../solid/convex';
import { cross, dot, minus, norm, times, unit } from '../solid/vector';
import { type Check, type CheckContext, judge } from './check';

/** Of a tenon's fibres so many must run from its end into its part without being cut; common practice. */
const LEAST_THROUGH = 20;
const GOOD_THROUGH = 40;
/** A tenon that lies nearer than this to its part's length has its fibres whole, as a cosine. */
const ALONG = 0.999;

interface Slanted {
  joint: Joint;
  /** % of fibres that run through. */
  through: number;
  /** Degrees between the tenon and the fibres. */
  angle: number;
}

/**
 * Tenons that stand askew to the length of their part: over their length L fibres run out at their side by L·tan α, of the
 * width W that lies in that direction.
 */
export function slantedTenons({ piece }: CheckContext): Check[] {
  const all = piece.joints.flatMap((joint) => slanted(piece, joint));
  const worst = all.reduce<Slanted | null>((a, b) => (!a || b.through < a.through ? b : a), null);
  if (!worst) return [];
  const { joint, through, angle } = worst;
  const level = judge(through, LEAST_THROUGH, { sense: 'at-least', watchFrom: GOOD_THROUGH });
  return [
    {
      id: 'joints.short-grain',
      step: 'joints',
      level,
      sentence: say`${joint.name}: ${percent(through)} of the tenon’s fibres run through into its part; it stands ${{ amount: angle, unit: 'degrees' }} askew to the grain.`,
      value: percent(through),
      limit: percent(level === 'stop' ? LEAST_THROUGH : GOOD_THROUGH),
      where: [joint.from, joint.into],
      why: 'Short grain breaks like a biscuit: what holds is only the fibres that reach from the tenon’s end into the part.',
      school: 'common practice',
      figure: {
        id: 'short-grain',
        label: 'Fibres that run through the tenon',
        quantity: percent(through),
        formula: '1 − L·tan α ÷ W',
        inputs: [{ label: 'Angle to the grain α', quantity: { amount: angle, unit: 'degrees' } }],
        source: 'geometry',
      },
      wayOut: {
        say: say`Make the part wider or its tenon shorter, or take a loose tenon with straight grain`,
        changes: [],
      },
    },
  ];
}

function slanted(piece: Piece, joint: Joint): Slanted[] {
  const part = findPart(piece, joint.from);
  const [tenon] = joint.added;
  if (!part || !joint.along || !tenon || tenon.part !== part.id || joint.kind === 'loose-tenon') return [];
  const way = joint.along;
  const grain = part.frame.length;
  const cosine = Math.abs(dot(way, grain));
  if (cosine > ALONG) return [];
  // The direction across the tenon in which the fibres run out.
  const aside = unit(minus(grain, times(way, dot(grain, way))));
  if (norm(cross(way, aside)) < 1e-6) return [];
  const size = (axis: typeof way) => {
    const { from, to } = reach(tenon.solid, axis);
    return to - from;
  };
  const [long, wide] = [size(way), size(aside)];
  const out = (long * Math.sqrt(1 - cosine ** 2)) / Math.max(1e-9, cosine);
  return [
    { joint, through: 100 * Math.max(0, 1 - out / wide), angle: (Math.acos(Math.min(1, cosine)) * 180) / Math.PI },
  ];
}
