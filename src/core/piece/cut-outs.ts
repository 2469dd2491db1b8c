import type { CutOut } from '../decision/job-document';
import type { Cut } from '../joint/joint';
import { box } from '../solid/convex';
import type { Hole, TopSize } from './piece';

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
