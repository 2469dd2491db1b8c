import type { Joint } from '../../../../joint/joint';
import { glued } from '../../../../restraint/tie';
import { box } from '../../../../solid/convex';
import { squareFrame } from '../../../../solid/frame';
import type { Flat } from '../../../../solid/outline';
import { taperedLeg } from '../../../legs/taper';
import type { Draft, Part } from '../../../part';
import type { LegApron } from './decisions';

/**
 * Pairs of legs between the corners of a long table or bench: the aprons run through, and each leg is lapped behind its
 * apron, which stands on the shoulder of the lap.
 */
export function midLegs(given: {
  form: LegApron;
  base: { length: number; width: number };
  leg: { section: number };
  apron: { height: number; thickness: number };
  underside: number;
  taper: Part['taper'] | null;
  /** The long aprons, the front one first. */
  aprons: readonly Draft[];
}): { drafts: Draft[]; joints: Joint[]; feet: Flat[] } {
  const { form, base, leg, apron, underside, taper, aprons } = given;
  const drafts: Draft[] = [];
  const joints: Joint[] = [];
  const half = leg.section / 2;
  const lower = underside - apron.height;
  for (let i = 1; i <= form.midLegs; i += 1) {
    const x = -base.length / 2 + (base.length * i) / (form.midLegs + 1);
    for (const [k, rail] of aprons.entries()) {
      const side = k === 0 ? -1 : 1;
      const word = side < 0 ? 'front' : 'back';
      const y = side * (base.width / 2 - half);
      const id = `mid-leg-${word}-${i}`;
      const size = { section: leg.section, length: underside };
      drafts.push({
        id,
        name: form.midLegs === 1 ? `Middle leg, ${word}` : `Middle leg, ${word} ${i}`,
        kind: 'leg',
        grade: 'all-faces',
        size: { length: underside, width: leg.section, thickness: leg.section },
        frame: squareFrame([x, y, underside / 2], { length: 'z', width: 'x', thickness: 'y' }),
        ...(taper ? { taper, body: taperedLeg(size, taper, [0, -side]) } : {}),
      });
      const inner = side * (base.width / 2 - form.apron.reveal - apron.thickness);
      const outer = side * (base.width / 2);
      const between = { id: `${id}/${rail.id}`, name: `${word} middle leg behind the apron`, a: id, b: rail.id };
      joints.push({
        id: between.id,
        kind: 'leg-lap',
        name: `Lap of the middle leg, ${word}`,
        into: id,
        from: rail.id,
        removed: [
          {
            part: id,
            what: 'lap',
            solid: box([x - half, Math.min(inner, outer), lower], [x + half, Math.max(inner, outer), underside]),
            open: [
              [0, side, 0],
              [0, 0, 1],
              [1, 0, 0],
              [-1, 0, 0],
            ],
          },
        ],
        added: [],
        ties: glued({ ...between, at: { x, y: inner, z: (lower + underside) / 2 } }, { z: apron.height }),
      });
    }
  }
  const foot = taper?.faces === 'all' ? (leg.section - taper.foot) / 2 : 0;
  return {
    drafts,
    joints,
    feet: drafts.map(({ frame }): Flat => [frame.at[0], Math.sign(frame.at[1]) * (base.width / 2 - foot)]),
  };
}
