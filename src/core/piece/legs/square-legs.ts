import type { Joints } from '../../decision/joints';
import type { Joint } from '../../joint/joint';
import type { CornerJoint } from '../../joint/leg-corner';
import { squareFrame } from '../../solid/frame';
import type { Flat } from '../../solid/outline';
import { hollowedOutline } from '../../solid/profile';
import type { Draft, Part } from '../part';
import { legCorners } from './corners';
import { taperedLeg } from './taper';

export interface SquareGiven {
  /** Over the legs' outsides. mm */
  base: { length: number; width: number };
  /** Floor to the upper edges of the aprons. */
  underside: number;
  apron: { height: number; thickness: number; reveal: number; arch: number };
  legs: readonly { id: string; name: string; sx: 1 | -1; sy: 1 | -1 }[];
  /** Aprons along and across, each on its side. */
  long: readonly { id: string; name: string; side: 1 | -1 }[];
  short: readonly { id: string; name: string; side: 1 | -1 }[];
  leg: { section: number; length: number };
  taper: Part['taper'] | null;
  corner: CornerJoint;
  choice: Joints;
  /** From an apron's shoulder to where its hollow begins. */
  hollowFrom: (long: number, height: number) => number;
}

/** Four upright legs between aprons, and every apron's end in its leg. */
export function squareLegs(given: SquareGiven): { legs: Draft[]; aprons: Draft[]; joints: Joint[]; feet: Flat[] } {
  const { base, leg, apron, taper, corner, underside } = given;
  const legs = given.legs.map(
    ({ id, name, sx, sy }): Draft => ({
      id,
      name,
      kind: 'leg',
      grade: 'all-faces',
      size: { length: leg.length, width: leg.section, thickness: leg.section },
      frame: squareFrame(
        [(sx * (base.length - leg.section)) / 2, (sy * (base.width - leg.section)) / 2, leg.length / 2],
        { length: 'z', width: 'x', thickness: 'y' },
      ),
      ...(taper ? { taper, body: taperedLeg(leg, taper, [-sx, -sy]) } : {}),
    }),
  );
  const inset = apron.reveal + apron.thickness / 2;
  const z = underside - apron.height / 2;
  const each = corner.kind === 'mortise-tenon' ? corner.tenon.length : 0;
  const between = (own: { id: string; name: string }, long: number, frame: Draft['frame']): Draft => ({
    ...own,
    kind: 'apron',
    grade: 'one-face',
    size: { length: long + 2 * each, width: apron.height, thickness: apron.thickness },
    beyond: { start: each, end: each },
    frame,
    ...(apron.arch > 0
      ? { profile: hollowedOutline(long, apron.height, apron.arch, given.hollowFrom(long, apron.height)) }
      : {}),
  });
  const aprons = [
    ...given.long.map(({ id, name, side }) =>
      between(
        { id, name },
        base.length - 2 * leg.section,
        squareFrame([0, side * (base.width / 2 - inset), z], { length: 'x', width: 'z', thickness: 'y' }),
      ),
    ),
    ...given.short.map(({ id, name, side }) =>
      between(
        { id, name },
        base.width - 2 * leg.section,
        squareFrame([side * (base.length / 2 - inset), 0, z], { length: 'y', width: 'z', thickness: 'x' }),
      ),
    ),
  ];
  // Tapered all round a leg stands on less than it is above.
  const footIn = taper?.faces === 'all' ? (leg.section - taper.foot) / 2 : 0;
  return {
    legs,
    aprons,
    joints: legCorners(legs, aprons, corner, given.choice),
    feet: given.legs.map(({ sx, sy }): Flat => [sx * (base.length / 2 - footIn), sy * (base.width / 2 - footIn)]),
  };
}
