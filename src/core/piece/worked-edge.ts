import type { Edge } from '../decision/top-shapes';
import { type Convex, prism, stacked } from '../solid/convex';
import { type Flat, type Outline, polygonOf } from '../solid/outline';
import type { Vec } from '../solid/vector';

/** How far the straight lines that a solid is drawn with may lie beside a true arc, mm. */
export const COARSE = 0.5;

/**
 * A board as a solid in its own axes: its outline over its thickness, the edge worked as chosen. A rounding is drawn as
 * the chamfer of the same area. Outlines are without hollows, so that a worked edge is the outline set in at its height.
 *
 * @param square whether the straight side from one point to the next is left as it is
 */
export function solidWithEdge(
  outline: Outline,
  thickness: number,
  edge: Edge,
  square: (from: Flat, to: Flat) => boolean = () => false,
): Convex {
  const points = polygonOf(outline, COARSE);
  const half = thickness / 2;
  const levels = levelsOf(thickness, edge);
  const worked = points.map((p, i) => !square(p, points[(i + 1) % points.length] as Flat));
  const loops = levels.map(({ inset, z }) => ({
    z,
    loop: insetBy(
      points,
      worked.map((own) => (own ? inset : 0)),
    ),
  }));
  if (levels.length < 2 || loops.some(({ loop }) => loop === null)) return prism(points, -half, half);
  return stacked(loops.map(({ loop, z }) => (loop ?? points).map(([x, y]): Vec => [x, y, z])));
}

/** Straight lines that a quarter of an ellipse is drawn with. */
const ROUNDED = 8;

/** From below upward, how far the outline is set in at which height. */
function levelsOf(thickness: number, edge: Edge): { inset: number; z: number }[] {
  const half = thickness / 2;
  switch (edge.kind) {
    case 'square':
      return [];
    case 'under-bevelled': {
      const left = Math.min(edge.left, thickness - 0.5);
      return [
        { inset: edge.width, z: -half },
        { inset: 0, z: half - left },
        { inset: 0, z: half },
      ];
    }
    case 'thumbnail': {
      const depth = Math.min(edge.depth, thickness - 0.5);
      const curve = Array.from({ length: ROUNDED + 1 }, (_, i) => {
        const angle = (i * Math.PI) / 2 / ROUNDED;
        return { inset: edge.width * (1 - Math.cos(angle)), z: half - depth + depth * Math.sin(angle) };
      });
      return [{ inset: 0, z: -half }, ...curve];
    }
    default: {
      const size = edge.kind === 'chamfered' ? edge.width : edge.radius * ROUND_AS_CHAMFER;
      const cut = Math.min(size, half - 0.25);
      return [
        { inset: cut, z: -half },
        { inset: 0, z: -half + cut },
        { inset: 0, z: half - cut },
        { inset: cut, z: half },
      ];
    }
  }
}

/** An anticlockwise loop with each of its sides moved in by so much; null where a side would vanish. */
function insetBy(points: readonly Flat[], insets: readonly number[]): Flat[] | null {
  if (insets.every((inset) => inset === 0)) return [...points];
  const n = points.length;
  const moved = points.map((p, i) => {
    const before = points[(i + n - 1) % n] as Flat;
    const after = points[(i + 1) % n] as Flat;
    const [a, b] = [unitOf(before, p), unitOf(p, after)];
    const [ofA, ofB] = [insets[(i + n - 1) % n] as number, insets[i] as number];
    // Inward of an anticlockwise side is to the left of its way; both sides moved in meet on the line between them.
    const turn = a[0] * b[1] - a[1] * b[0];
    if (ofA === ofB) {
      const share = ofA / (1 + a[0] * b[0] + a[1] * b[1]);
      return [p[0] - share * (a[1] + b[1]), p[1] + share * (a[0] + b[0])] as Flat;
    }
    return [p[0] + (ofA * b[0] - ofB * a[0]) / turn, p[1] + (ofA * b[1] - ofB * a[1]) / turn] as Flat;
  });
  const kept = moved.every((p, i) => {
    const [q, from, to] = [moved[(i + 1) % n], points[i], points[(i + 1) % n]] as [Flat, Flat, Flat];
    return (q[0] - p[0]) * (to[0] - from[0]) + (q[1] - p[1]) * (to[1] - from[1]) > 0;
  });
  return kept ? moved : null;
}

function unitOf(from: Flat, to: Flat): Flat {
  const long = Math.hypot(to[0] - from[0], to[1] - from[1]);
  return [(to[0] - from[0]) / long, (to[1] - from[1]) / long];
}

/** A quarter round of radius r takes (1 − π/4)·r² off a corner; a chamfer of width c takes c²/2. */
const ROUND_AS_CHAMFER = Math.sqrt(2 * (1 - Math.PI / 4));

/** Thickness of a top so far in from its edge, mm. */
export function thicknessInside(thickness: number, edge: Edge, inside: number): number {
  if (edge.kind !== 'under-bevelled' || inside >= edge.width) return thickness;
  return edge.left + ((thickness - edge.left) * Math.max(0, inside)) / edge.width;
}
