import type { CutOut } from '../../../decision/top-shapes';
import type { Cut, Joint } from '../../../joint/joint';
import { box } from '../../../solid/convex';
import type { Vec } from '../../../solid/vector';
import type { Draft } from '../../part';
import type { BasePlan, Hole, TopSize } from '../../plans';

/** Where a cut-out lies. mm */
export const placeOfCutOut = (own: CutOut, size: Pick<TopSize, 'length' | 'width'>): Hole => {
  const x = own.fromEnd - size.length / 2;
  const y = own.fromFront - size.width / 2;
  return { left: x - own.length / 2, right: x + own.length / 2, low: y - own.width / 2, high: y + own.width / 2 };
};

/** Holes through the top, one after the other. */
export const cutOutsIn = (
  part: string,
  list: readonly CutOut[],
  size: TopSize,
  underside: number,
): { holes: Hole[]; cuts: Cut[] } => {
  const holes = list.map((own) => placeOfCutOut(own, size));
  const cuts = holes.map(({ left, right, low, high }): Cut => {
    return {
      part,
      what: 'cut-out',
      solid: box([left, low, underside], [right, high, underside + size.thickness]),
      open: [
        [0, 0, 1],
        [0, 0, -1],
      ],
    };
  });
  return { holes, cuts };
};

/** Along the grain a notch is larger than its leg by so much at both ends, mm: it goes over it and no more. */
const ALONG = 0.5;

/** What runs up through the top: its notch, cut to the top's edge where it comes that near. */
export function notchesIn(
  panel: string,
  through: NonNullable<BasePlan['through']>,
  drafts: readonly Draft[],
  size: TopSize,
  underside: number,
): { holes: Hole[]; joints: Joint[] } {
  const [l, w] = [size.length / 2, size.width / 2];
  const made = drafts
    .filter(({ id }) => through.legs.includes(id))
    .map((leg) => {
      const [x, y] = leg.frame.at;
      const [dx, dy] = [leg.size.width / 2 + ALONG, leg.size.thickness / 2 + through.room];
      const hole: Hole = {
        left: Math.max(-l, x - dx),
        right: Math.min(l, x + dx),
        low: Math.max(-w, y - dy),
        high: Math.min(w, y + dy),
      };
      const open: Vec[] = [
        [0, 0, -1],
        [0, 0, 1],
        ...(hole.left === -l ? [[-1, 0, 0] as const] : []),
        ...(hole.right === l ? [[1, 0, 0] as const] : []),
        ...(hole.low === -w ? [[0, -1, 0] as const] : []),
        ...(hole.high === w ? [[0, 1, 0] as const] : []),
      ];
      const joint: Joint = {
        id: `${panel}/${leg.id}`,
        kind: 'notch',
        name: `${leg.name} through the top`,
        into: panel,
        from: leg.id,
        removed: [
          {
            part: panel,
            what: 'notch',
            solid: box([hole.left, hole.low, underside], [hole.right, hole.high, underside + size.thickness]),
            open,
          },
        ],
        added: [],
        ties: [],
      };
      return { hole, joint };
    });
  return { holes: made.map(({ hole }) => hole), joints: made.map(({ joint }) => joint) };
}
