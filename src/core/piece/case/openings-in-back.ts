import type { Cut } from '../../joint/joint';
import { clipAll, isEmpty, type Plane } from '../../solid/convex';
import { solidInPiece } from '../../solid/frame';
import { boundsOfFlat, type Flat } from '../../solid/outline';
import type { Vec } from '../../solid/vector';
import { bodyOf, type Draft, type PartKind } from '../part';

/** What of a back is sawn through for what must be reached; bars of a frame are not. */
const SAWN: ReadonlySet<PartKind> = new Set(['back', 'back-panel', 'sheet', 'panel']);

const isSawn = ({ id, kind }: Draft): boolean => SAWN.has(kind) && (id === 'back' || id.startsWith('back-'));

/**
 * Openings in a back, for sockets and pipes on the wall behind it: of every board or panel what lies before them.
 *
 * @param clear what must be kept clear, seen from the front: x and z, mm
 */
export function openingsInBack(drafts: readonly Draft[], clear: readonly (readonly Flat[])[]): Cut[] {
  const backs = drafts.filter(isSawn);
  return clear.flatMap((outline) => {
    const { left, right, low, high } = boundsOfFlat(outline);
    const edges: readonly (Plane & { axis: 0 | 2 })[] = [
      { axis: 0, normal: [1, 0, 0], offset: right },
      { axis: 0, normal: [-1, 0, 0], offset: -left },
      { axis: 2, normal: [0, 0, 1], offset: high },
      { axis: 2, normal: [0, 0, -1], offset: -low },
    ];
    return backs.flatMap((draft) =>
      bodyOf(draft).flatMap((body): Cut[] => {
        const solid = clipAll(solidInPiece(draft.frame, body), edges);
        if (isEmpty(solid)) return [];
        const beyond = edges.filter(({ axis, normal, offset }) => {
          const reaches = normal[axis] > 0 ? solid.bounds.to[axis] : -solid.bounds.from[axis];
          return reaches < offset - 1e-6;
        });
        const open: readonly Vec[] = [THROUGH, [0, -1, 0], ...beyond.map(({ normal }) => normal)];
        return [{ part: draft.id, what: 'opening', solid, open }];
      }),
    );
  });
}

const THROUGH: Vec = [0, 1, 0];
