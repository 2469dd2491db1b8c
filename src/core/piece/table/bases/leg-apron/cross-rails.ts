import { dovetailLength, dovetailRail } from '../../../../joint/dovetail-rail';
import type { Joint } from '../../../../joint/joint';
import { stubTenonLength, stubTies } from '../../../../joint/stub-tenon';
import { tenonJoint } from '../../../../joint/tenon';
import { squareFrame } from '../../../../solid/frame';
import type { Vec } from '../../../../solid/vector';
import { type Draft, forJoint } from '../../../part';
import type { LegApron } from './decisions';

type RailJoint = LegApron['railJoint'];

/** A rail's shoulder above and below its stub, mm; common practice. */
const RAIL_SET = 6;

/** Rails across under the top, between the long aprons or the middle legs there. */
export function crossRails(given: {
  count: number;
  base: { length: number; width: number };
  apronInset: number;
  apron: { height: number; thickness: number };
  legLength: number;
  arch: number;
  /** Of the apron's height. */
  share: number;
  mids: readonly Draft[];
  joint: RailJoint;
}): Draft[] {
  const { count, base, apronInset, apron, legLength, arch, share, mids } = given;
  const stub = stubTenonLength(apron.thickness);
  const between = base.width - 2 * apronInset - apron.thickness;
  // Where the aprons are hollowed there is less of them to stand in.
  const room = apron.height - (arch > 0 ? arch + RAIL_SET : 0);
  const height = Math.max(20, Math.round(Math.min(room, Math.max(40, apron.height * share))));
  return Array.from({ length: count }, (_, i) => {
    const x = -base.length / 2 + (base.length * (i + 1)) / (count + 1);
    const [leg] = besideLegs(x, mids);
    const clear = leg ? base.width - 2 * leg.size.thickness : between;
    // Between middle legs there are stubs: their end grain holds no dovetail.
    const each = leg || given.joint === 'stub' ? stub : dovetailLength(apron.thickness);
    return {
      id: `cross-rail-${i + 1}`,
      name: `Cross rail ${i + 1}`,
      kind: 'cross-rail' as const,
      grade: 'hidden' as const,
      size: { length: clear + 2 * each, width: height, thickness: apron.thickness },
      beyond: { start: each, end: each },
      frame: squareFrame([leg?.frame.at[0] ?? x, 0, legLength - height / 2], {
        length: 'y',
        width: 'z',
        thickness: 'x',
      }),
    };
  });
}

/** Middle legs that a rail there would stand beside: it stands between them instead. */
const besideLegs = (x: number, mids: readonly Draft[]): readonly Draft[] =>
  mids.filter((leg) => Math.abs(leg.frame.at[0] - x) < leg.size.width + 20);

/** Their stubs or dovetails, in whatever they stand between. */
export function railJoints(
  aprons: readonly Draft[],
  mids: readonly Draft[],
  rails: readonly Draft[],
  kind: RailJoint,
): Joint[] {
  return rails.flatMap((rail) => {
    const legs = mids.filter((leg) => Math.abs(leg.frame.at[0] - rail.frame.at[0]) < 1);
    return (legs.length > 0 ? legs : aprons.filter((apron) => apron.frame.length[0] === 1)).map((into) => {
      const side = Math.sign(into.frame.at[1]);
      const inner = into.frame.at[1] - (side * into.size.thickness) / 2;
      if (kind === 'dovetail' && legs.length === 0) {
        return dovetailRail({
          id: `${into.id}/${rail.id}`,
          into: forJoint(into),
          from: forJoint(rail),
          at: [rail.frame.at[0], inner, rail.frame.at[2] + rail.size.width / 2],
          along: [0, side, 0],
          length: rail.beyond?.end ?? 0,
          rail: { thickness: rail.size.thickness, height: rail.size.width },
        });
      }
      const size = {
        length: rail.beyond?.end ?? 0,
        width: rail.size.width - 2 * RAIL_SET,
        thickness: Math.round(rail.size.thickness / 3),
      };
      const at: Vec = [rail.frame.at[0], inner, rail.frame.at[2]];
      return tenonJoint({
        id: `${into.id}/${rail.id}`,
        kind: 'stub-tenon',
        into: forJoint(into),
        from: forJoint(rail),
        at,
        along: [0, side, 0],
        wide: [0, 0, 1],
        size,
        ties: stubTies({
          apron: into,
          rail,
          at: { x: at[0], y: into.frame.at[1], z: at[2] },
          tenonWidth: size.width,
        }),
      });
    });
  });
}
