import { type Flat, hullOf } from '../../../../solid/outline';
import type { TablePiece } from '../../../piece';

/** Something cut into a leg or grown into it, seen from above. mm from the leg's outer corner, along both aprons. */
export interface CutFromAbove {
  key: string;
  /** The apron it belongs to. */
  part: string;
  loop: readonly Flat[];
  /** It stands under what comes from the other apron. */
  lower: boolean;
}

/** Everything that joints cut and put into the first leg and its aprons, seen from above. */
export function cornerFromAbove({ base, joints, corner }: TablePiece): CutFromAbove[] {
  const staggered = corner !== null && 'meeting' in corner && corner.meeting === 'staggered';
  return joints
    .filter((joint) => joint.into === 'leg-front-left' && joint.kind !== 'corner-block')
    .flatMap((joint) =>
      [...joint.removed, ...joint.added].map(({ solid }, i) => ({
        key: `${joint.id} ${i}`,
        part: joint.from,
        loop: hullOf(solid.corners.map(([x, y]): Flat => [x + base.length / 2, y + base.width / 2])),
        lower: staggered && joint.from === 'apron-left',
      })),
    );
}
