import type { Edge, TopOutline } from '../decision/job-document';
import { type Convex, clipAll, isEmpty, type Plane, planeThrough, prism } from '../solid/convex';
import {
  curvedOutline,
  type Flat,
  type Outline,
  ovalOutline,
  polygonOf,
  rectangleOutline,
  regularOutline,
} from '../solid/outline';
import type { TopSize } from './piece';

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
 * the chamfer of the same area.
 */
export function solidOfTop(outline: Outline, thickness: number, edge: Edge): Convex {
  const points = polygonOf(outline, COARSE);
  const block = prism(points, -thickness / 2, thickness / 2);
  const worked = clipAll(block, edgePlanes(points, thickness, edge));
  return isEmpty(worked) ? block : worked;
}

function edgePlanes(points: readonly Flat[], thickness: number, edge: Edge): Plane[] {
  if (edge.kind === 'square') return [];
  const half = thickness / 2;
  return points.flatMap(([x, y], i) => {
    const [nx, ny] = points[(i + 1) % points.length] as Flat;
    const long = Math.hypot(nx - x, ny - y);
    if (long < 1e-9) return [];
    const [ox, oy] = [(ny - y) / long, -(nx - x) / long];
    if (edge.kind === 'under-bevelled') {
      const rise = Math.min(thickness - 1, Math.max(0, thickness - edge.left));
      // Through the edge at the height that is left, and the underside so far in.
      return rise === 0 ? [] : [planeThrough([x, y, half - edge.left], [ox * rise, oy * rise, -edge.width])];
    }
    const size = edge.kind === 'chamfered' ? edge.width : edge.radius * ROUND_AS_CHAMFER;
    const cut = Math.min(size, half);
    return [1, -1].map((side) => planeThrough([x, y, side * (half - cut)], [ox, oy, side]));
  });
}

/** A quarter round of radius r takes (1 − π/4)·r² off a corner; a chamfer of width c takes c²/2. */
const ROUND_AS_CHAMFER = Math.sqrt(2 * (1 - Math.PI / 4));

/** Least thickness of a top at its edge, mm. */
export function thicknessAtEdge(thickness: number, edge: Edge): number {
  switch (edge.kind) {
    case 'square':
    case 'rounded':
      return thickness;
    case 'chamfered':
      return Math.max(0, thickness - 2 * edge.width);
    case 'under-bevelled':
      return Math.min(thickness, edge.left);
  }
}

/** Thickness of a top so far in from its edge, mm. */
export function thicknessInside(thickness: number, edge: Edge, inside: number): number {
  if (edge.kind !== 'under-bevelled' || inside >= edge.width) return thickness;
  return edge.left + ((thickness - edge.left) * Math.max(0, inside)) / edge.width;
}
