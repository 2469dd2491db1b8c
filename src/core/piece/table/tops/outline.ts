import type { Edge, TopOutline } from '../../../decision/top-shapes';
import { type Convex, prism, stacked } from '../../../solid/convex';
import {
  curvedOutline,
  type Flat,
  type Outline,
  ovalOutline,
  polygonOf,
  rectangleOutline,
  regularOutline,
} from '../../../solid/outline';
import type { Vec } from '../../../solid/vector';
import type { TopSize } from '../../plans';

/** The outline of a top of a size, its middle over the middle of the piece. */
export function outlineOfTop(
  kind: TopOutline,
  { length, width }: Pick<TopSize, 'length' | 'width'>,
  smooth?: number,
): Outline {
  switch (kind.kind) {
    case 'rectangle':
      return rectangleOutline(length, width);
    case 'curved':
      return curvedOutline(length, width, Math.min(kind.side, width / 2 - 1), Math.min(kind.end, length / 2 - 1));
    case 'round':
    case 'oval':
      return ovalOutline(length, width, smooth);
    case 'polygon':
      return stretched(regularOutline(kind.sides, width), length);
  }
}

/** A regular outline whose length was cut other than it was drawn. */
function stretched(outline: Outline, length: number): Outline {
  const reach = Math.max(...outline.map(({ at }) => at[0]));
  const ratio = length / 2 / reach;
  return outline.map((corner) => ({ ...corner, at: [corner.at[0] * ratio, corner.at[1]] }));
}

/** How far the straight lines that a solid is drawn with may lie beside a true arc, mm. */
export const COARSE = 0.5;

/**
 * The top as a solid in its own axes: its outline over its thickness, the edge worked as chosen. A rounding is drawn as
 * the chamfer of the same area. Outlines are without hollows, so that a worked edge is the outline set in at its height.
 */
export function solidOfTop(outline: Outline, thickness: number, edge: Edge): Convex {
  const points = polygonOf(outline, COARSE);
  const half = thickness / 2;
  const levels = levelsOf(thickness, edge);
  const loops = levels.map(({ inset, z }) => ({ z, loop: insetBy(points, inset) }));
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

/** An anticlockwise loop with every side moved in by so much; null where a side would vanish. */
function insetBy(points: readonly Flat[], inset: number): Flat[] | null {
  if (inset === 0) return [...points];
  const n = points.length;
  const moved = points.map((p, i) => {
    const before = points[(i + n - 1) % n] as Flat;
    const after = points[(i + 1) % n] as Flat;
    const [a, b] = [unitOf(before, p), unitOf(p, after)];
    // Inward of an anticlockwise side is to the left of its way; both sides moved in meet on the line between them.
    const [nx, ny] = [-a[1] - b[1], a[0] + b[0]];
    const share = 1 + a[0] * b[0] + a[1] * b[1];
    return [p[0] + (inset * nx) / share, p[1] + (inset * ny) / share] as Flat;
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
