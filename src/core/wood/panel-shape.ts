import { cuppedSection, type SectionPoint } from './cup';
import type { Rings } from './rings';
import type { Species } from './species';

export type RingSchool = 'alternate' | 'best-face' | 'all-one-way';

export const RING_SCHOOLS: Record<RingSchool, { name: string; reason: string }> = {
  alternate: {
    name: 'Alternate',
    reason:
      'Heart side up, heart side down in turn: each strip cups against its neighbour, and the whole stays near flat, in ripples.',
  },
  'best-face': {
    name: 'Best face',
    reason: 'The better face shows, whatever the rings; the base keeps it flat.',
  },
  'all-one-way': {
    name: 'All one way',
    reason: 'One sweep over the ripples: a bow that the base can hold down.',
  },
};

export interface PanelStrip {
  /** mm */
  width: number;
  species: Species;
  rings: Rings;
  /** % when glued. */
  moisture: number;
  heartUp: boolean;
}

export interface PanelShape {
  /** One cross-section a strip, in the panel's own axes, mm. */
  strips: { upper: SectionPoint[]; lower: SectionPoint[] }[];
  /** Between the highest and the lowest point of the mid-line when the panel lies on its two edges, mm. */
  height: number;
  /** mm, measured across, edge to edge. */
  width: number;
}

/**
 * The cross-section of a glued panel left to itself: each strip takes its free shape, and each joint stays closed, so that the next
 * strip starts where and at the angle at which the last one ends. (The edges turn much less than the middle line does, so a
 * panel bows far less than one board of its width.) Without the base's hold, without bending stiffness
 * against the neighbours and without creep: the most it would do, and a fair comparison of three ways of laying the strips.
 *
 * @param moisture % the whole panel has come to
 * @param slope % per mm of thickness, the upper face wetter positive
 */
export function panelShape(strips: readonly PanelStrip[], thickness: number, moisture: number, slope = 0): PanelShape {
  let [y, z, angle] = [0, 0, 0];
  const placed = strips.map((strip) => {
    const section = cuppedSection({
      ...strip,
      thickness,
      fromMoisture: strip.moisture,
      toMoisture: moisture,
      moistureSlope: slope,
    });
    const edge = (i: number) => {
      const [u, l] = [section.upper.at(i) ?? [0, 0], section.lower.at(i) ?? [0, 0]];
      return Math.atan2(u[0] - l[0], u[1] - l[1]);
    };
    const from = section.middle[0] ?? [0, 0];
    const to = section.middle.at(-1) ?? [0, 0];
    const turn = angle + edge(0);
    const move = ([a, b]: SectionPoint): SectionPoint => {
      const [u, w] = [a - from[0], b - from[1]];
      return [y + u * Math.cos(turn) - w * Math.sin(turn), z + u * Math.sin(turn) + w * Math.cos(turn)];
    };
    const upper = section.upper.map(move);
    const lower = section.lower.map(move);
    const middle = section.middle.map(move);
    [y, z] = move(to);
    angle = turn - edge(-1);
    return { upper, lower, middle };
  });

  const last = placed.at(-1)?.middle.at(-1) ?? [1, 0];
  const tilt = Math.atan2(last[1], last[0]);
  const [cos, sin] = [Math.cos(-tilt), Math.sin(-tilt)];
  const level = ([a, b]: SectionPoint): SectionPoint => [a * cos - b * sin, a * sin + b * cos];
  const heights = placed.flatMap((strip) => strip.middle.map((point) => level(point)[1]));
  return {
    strips: placed.map((strip) => ({ upper: strip.upper.map(level), lower: strip.lower.map(level) })),
    height: heights.length > 0 ? Math.max(...heights) - Math.min(...heights) : 0,
    width: Math.hypot(last[0], last[1]),
  };
}

/** Which strips have the heart side up, by school. The best face is whatever `bestFace` says of the strip. */
export function heartSides(count: number, school: RingSchool, bestFace: (i: number) => boolean): boolean[] {
  return Array.from({ length: count }, (_, i) =>
    school === 'alternate' ? i % 2 === 1 : school === 'all-one-way' ? true : bestFace(i),
  );
}
