import type { Edge } from '../decision/top-shapes';

/** A step at an outline or an edge, its hours and its caution. */
interface Shaping {
  id: string;
  name: string;
  /** By the area of the board, m². */
  hours: (area: number) => number;
  caution: string;
}

/** Of a board whose outline is curved. */
export const OUTLINE_WORK: Shaping = {
  id: 'top-outline',
  name: 'Cut the outline to its template',
  hours: (area) => 0.6 + 0.5 * area,
  caution:
    'With the grain, from the widest place toward the ends: against it the cutter tears out. Small passes on end grain.',
};

export const EDGE_WORK: Record<Exclude<Edge['kind'], 'square'>, string> = {
  rounded: 'Round the edges over',
  chamfered: 'Chamfer the edges',
  thumbnail: 'Mould the upper edges, end grain first',
  'under-bevelled': 'Bevel the edges from below',
};

/** Of a board whose edges are worked; null where they are left square. */
export const edgeWork = ({ kind }: Edge): Shaping | null =>
  kind === 'square'
    ? null
    : {
        id: 'top-edge',
        name: EDGE_WORK[kind],
        hours: (area) => 0.8 + 0.3 * area,
        caution: 'End grain first, long grain after it.',
      };
