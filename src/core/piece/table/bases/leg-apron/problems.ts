import type { Joints } from '../../../../decision/joints';
import { type CornerJoint, LEAST_BACK_WALL } from '../../../../joint/leg-corner';
import { mostBelly } from '../../../legs/taper';
import type { BuildDecisions } from '../../../plans';
import type { settleLegApron } from '../../../settle-locks';
import { atFigure, type Unbuildable } from '../../../unbuildable';
import type { LegApron } from './decisions';

/** What a curved leg keeps in its middle at the least, mm; common practice. */
const LEAST_WAIST = 14;

/** An apron's hollow begins so far from its shoulder: six tenths of its height, so that the joint keeps all of it; common practice. */
const BEFORE_HOLLOW = 0.6;

export const hollowFrom = (long: number, height: number) => Math.min(height * BEFORE_HOLLOW, long / 4);

/** What cannot be built of legs and aprons as they are drawn. mm */
export function legApronProblems(
  form: LegApron,
  settled: ReturnType<typeof settleLegApron>,
  corner: CornerJoint,
  whole: BuildDecisions['form'],
  /** How the aprons are wanted to stand in legs that lean. */
  leaning: Joints | null,
): Unbuildable[] {
  const problems: Unbuildable[] = [];
  if (form.cornerBlocks && corner.kind === 'corner-plate') {
    problems.push({
      problem: 'A corner block and a corner plate want the same corner.',
      where: 'form.base.cornerBlocks',
      wayOut: 'Leave the blocks away: the plate does their work.',
    });
  }
  const { base, leg, apron } = settled;
  if (base.length < 2 * leg.section + 50 || base.width < 2 * leg.section + 50) {
    const across = base.width < 2 * leg.section + 50;
    problems.push({
      problem: 'The legs would stand in each other: too little is left between them.',
      where: across ? 'form.top.sideOverhang' : 'form.top.endOverhang',
      wayOut: 'Make the top larger, the overhang smaller or the legs thinner.',
    });
  }
  const { arch } = form.apron;
  const behind = leg.section - form.apron.reveal - apron.thickness;
  if (form.midLegs > 0 && behind < leg.section / 2) {
    problems.push({
      problem: 'Behind the apron too little of a middle leg is left.',
      where: 'form.base.leg.section',
      ...atFigure(
        'Make the legs at least',
        Math.ceil(2 * (form.apron.reveal + apron.thickness)),
        ', or the aprons thinner.',
      ),
    });
  }
  if (form.midLegs > 0 && arch > 0) {
    problems.push({
      problem: 'Aprons hollowed in their middle leave a middle leg nothing to stand behind.',
      where: 'form.base.apron.arch',
      wayOut: 'Leave the hollow away, or the middle legs.',
    });
  }
  const shorter = Math.min(base.length, base.width) - 2 * leg.section;
  // Beyond a half circle a hollow is none.
  const most = Math.floor(Math.min(apron.height - 25, (shorter - 2 * hollowFrom(shorter, apron.height)) / 2));
  if (arch > 0 && arch > most) {
    problems.push({
      problem: 'The hollow in the aprons leaves too little of them.',
      where: 'form.base.apron.arch',
      ...atFigure('Hollow them by at most', Math.max(0, most), ', or make them higher.'),
    });
  }
  const back = form.apron.reveal + apron.thickness;
  if (back > leg.section - LEAST_BACK_WALL) {
    problems.push({
      problem: 'The apron is set so far back, or is so thick, that its tenon misses the leg.',
      where: 'form.base.apron.reveal',
      wayOut: 'Make the reveal or the apron smaller, or the leg thicker.',
    });
  }
  if (leaning) problems.push(...againstLeaning(form, leaning));
  if (form.leg.through && !('cutOuts' in whole.top)) {
    problems.push({
      problem: 'Slats, slabs with a channel and leaves are not notched round legs.',
      where: 'form.base.leg.through',
      wayOut: 'Let the legs end under the top, or take a panel.',
    });
  }
  if (leg.length <= apron.height + 20) {
    problems.push({
      problem: 'The apron reaches the floor.',
      where: 'form.base.apron.height',
      wayOut: 'Make the apron lower or the table higher.',
    });
  }
  const { taper: tapered } = form.leg;
  if (leaning && tapered.kind === 'tapered' && tapered.hollow !== 0) {
    problems.push({
      problem: 'Legs that lean are tapered straight here.',
      where: 'form.base.leg.taper.hollow',
      wayOut: 'Leave the curve away, or set the legs upright.',
    });
  } else if (tapered.kind === 'tapered' && tapered.hollow < 0) {
    const most = Math.floor(mostBelly(leg.section, { ...tapered, from: 0 }) * 10) / 10;
    if (-tapered.hollow > most) {
      problems.push({
        problem: 'The belly stands out of the leg’s blank.',
        where: 'form.base.leg.taper.hollow',
        ...atFigure('Let it swell by at most', most, ', or make the foot smaller.'),
        mends: -most,
      });
    }
  } else if (tapered.kind === 'tapered' && tapered.hollow > 0) {
    const sides = tapered.faces === 'all' ? 2 : 1;
    const middle = (leg.section + tapered.foot) / 2 - sides * tapered.hollow;
    if (middle < Math.max(LEAST_WAIST, leg.section / 4)) {
      problems.push({
        problem: 'The hollow leaves next to nothing in the middle of the legs.',
        where: 'form.base.leg.taper.hollow',
        ...atFigure(
          'Hollow them by at most',
          Math.max(0, Math.floor(((leg.section + tapered.foot) / 2 - Math.max(LEAST_WAIST, leg.section / 4)) / sides)),
        ),
      });
    }
  }
  if (form.leg.taper.kind === 'tapered' && form.leg.taper.foot > leg.section) {
    problems.push({
      problem: 'The foot of the leg is thicker than its top.',
      where: 'form.base.leg.taper.foot',
      wayOut: 'A taper ends thinner than it starts: make the foot smaller.',
    });
  }
  return problems;
}

/** What is not reckoned for legs that lean. */
function againstLeaning(form: LegApron, { corner, pegs }: Joints): Unbuildable[] {
  const upright = 'Let the legs stand upright, or leave it away.';
  const wrong = (problem: string, where: string): Unbuildable => ({ problem, where, wayOut: upright });
  return [
    ...(corner === 'mortise-tenon'
      ? []
      : [
          {
            problem: 'Legs that lean are reckoned with mortise and tenon only.',
            where: 'joints.corner',
            wayOut: 'Take mortise and tenon, or let the legs stand upright.',
          },
        ]),
    ...(pegs === 'none' ? [] : [wrong('Pegs in legs that lean are not reckoned.', 'joints.pegs')]),
    ...(form.leg.through ? [wrong('Legs that lean are not let through the top.', 'form.base.leg.through')] : []),
    ...(form.stretchers.kind === 'none'
      ? []
      : [wrong('Low stretchers between legs that lean are not reckoned.', 'form.base.stretchers')]),
    ...(form.midLegs > 0 ? [wrong('Middle legs between legs that lean are not reckoned.', 'form.base.midLegs')] : []),
    ...(form.cornerBlocks
      ? [wrong('Corner blocks between legs that lean are not reckoned.', 'form.base.cornerBlocks')]
      : []),
    ...(form.apron.arch > 0
      ? [wrong('Hollowed aprons between legs that lean are not reckoned.', 'form.base.apron.arch')]
      : []),
    ...(form.leg.making.kind === 'solid' || form.leg.making.kind === 'staves'
      ? []
      : [wrong('The ends of legs that lean are cut through their facing.', 'form.base.leg.making')]),
  ];
}
