import { CORNERS, type CornerJoint } from '../../joint/leg-corner';
import type { Part } from '../part';
import type { Racking } from '../plans';
import { cornerResists } from './corner-holds';
import { legCompliance } from './taper';

/**
 * Two frames either way, each two legs and an apron, resting on the floor: of a push F each leg takes a quarter, so that at
 * its apron stands F/4 · h. Sway of such a frame: F/4E · (∫ s²/I_leg ds + h²L/6I_apron), with the leg's section where it is.
 */
export function legRacking(
  leg: { section: number; length: number; taper: NonNullable<Part['taper']> | null },
  apron: { height: number; thickness: number },
  shoulder: { long: number; short: number },
  corner: CornerJoint,
  whose = 'the aprons’',
): Racking[] {
  const height = leg.length - apron.height / 2;
  const resists = cornerResists(corner, apron.height);
  const ofApron = (apron.thickness * apron.height ** 3) / 12;
  const bends = legCompliance(leg.section, leg.taper, height);
  const ways = [
    ['along', shoulder.long, ['apron-front', 'apron-back']],
    ['across', shoulder.short, ['apron-left', 'apron-right']],
  ] as const;
  return ways.map(([way, span, parts]) => ({
    way,
    joint: `${whose} ${CORNERS[corner.kind].many}`,
    parts,
    lever: height / 4,
    resists,
    sway: (bends + (height ** 2 * (span + leg.section)) / (6 * ofApron)) / 4,
    formula: 'push ÷ 4 legs · height of the apron’s middle',
  }));
}
