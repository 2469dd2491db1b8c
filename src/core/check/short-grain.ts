import type { Joint } from '../joint/joint';
import { mm, percent, say } from '../measure/quantity';
import { taperOutline } from '../piece/legs/taper';
import { findPart, type Piece } from '../piece/piece';
import { gapBetween, reach } from '../solid/convex';
import { distance } from '../solid/distance';
import { fibresThrough } from '../solid/profile';
import { cross, dot, minus, norm, times, unit } from '../solid/vector';
import { type Check, type CheckContext, judge } from './check';

/** Of a tenon's fibres so many must run from its end into its part without being cut; common practice. */
const LEAST_THROUGH = 20;
const GOOD_THROUGH = 40;
/** A tenon that lies nearer than this to its part's length has its fibres whole, as a cosine. */
const ALONG = 0.999;

interface Slanted {
  joint: Joint;
  /** % of fibres that run through. */
  through: number;
  /** Degrees between the tenon and the fibres. */
  angle: number;
}

/**
 * Tenons that stand askew to the length of their part: over their length L fibres run out at their side by L·tan α, of the
 * width W that lies in that direction.
 */
export function slantedTenons({ piece }: CheckContext): Check[] {
  const all = piece.joints.flatMap((joint) => slanted(piece, joint));
  const worst = all.reduce<Slanted | null>((a, b) => (!a || b.through < a.through ? b : a), null);
  if (!worst) return [];
  const { joint, through, angle } = worst;
  const level = judge(through, LEAST_THROUGH, { sense: 'at-least', watchFrom: GOOD_THROUGH });
  return [
    {
      id: 'joints.short-grain',
      step: 'joints',
      level,
      sentence: say`${joint.name}: ${percent(through)} of the tenon’s fibres run through into its part; it stands ${{ amount: angle, unit: 'degrees' }} askew to the grain.`,
      value: percent(through),
      limit: percent(level === 'stop' ? LEAST_THROUGH : GOOD_THROUGH),
      where: [joint.from, joint.into],
      why: 'Short grain breaks like a biscuit: what holds is only the fibres that reach from the tenon’s end into the part.',
      school: 'common practice',
      figure: {
        id: 'short-grain',
        label: 'Fibres that run through the tenon',
        quantity: percent(through),
        formula: '1 − L·tan α ÷ W',
        inputs: [{ label: 'Angle to the grain α', quantity: { amount: angle, unit: 'degrees' } }],
        source: 'geometry',
      },
      wayOut: {
        say: say`Make the part wider or its tenon shorter, or take a loose tenon with straight grain`,
        changes: [],
      },
    },
  ];
}

function slanted(piece: Piece, joint: Joint): Slanted[] {
  const part = findPart(piece, joint.from);
  const [tenon] = joint.added;
  if (!part || !joint.along || !tenon || tenon.part !== part.id || joint.kind === 'loose-tenon') return [];
  const way = joint.along;
  const grain = part.frame.length;
  const cosine = Math.abs(dot(way, grain));
  if (cosine > ALONG) return [];
  // The direction across the tenon in which the fibres run out.
  const aside = unit(minus(grain, times(way, dot(grain, way))));
  if (norm(cross(way, aside)) < 1e-6) return [];
  const size = (axis: typeof way) => {
    const { from, to } = reach(tenon.solid, axis);
    return to - from;
  };
  const [long, wide] = [size(way), size(aside)];
  const out = (long * Math.sqrt(1 - cosine ** 2)) / Math.max(1e-9, cosine);
  return [
    { joint, through: 100 * Math.max(0, 1 - out / wide), angle: (Math.acos(Math.min(1, cosine)) * 180) / Math.PI },
  ];
}

/** Parts that curve: of where one is narrowest, the fibres that run through it from end to end. */
export function curvedParts({ piece }: CheckContext): Check[] {
  const curved = piece.parts.flatMap((part) => {
    const { taper, size, material } = part;
    // Only wood has fibres.
    if (material) return [];
    const outline =
      part.profile ?? (taper?.hollow ? taperOutline({ section: size.width, length: size.length }, taper) : null);
    if (!outline) return [];
    const { narrowest, band } = fibresThrough(outline);
    return [{ part, narrowest, band, through: (100 * band) / Math.max(1e-9, narrowest) }];
  });
  const worst = curved.reduce<(typeof curved)[number] | null>((a, b) => (!a || b.through < a.through ? b : a), null);
  if (!worst) return [];
  const { part, narrowest, band, through } = worst;
  const level = judge(through, LEAST_THROUGH, { sense: 'at-least', watchFrom: GOOD_THROUGH });
  return [
    {
      id: 'form.short-grain',
      step: 'form',
      level,
      sentence: say`${part.name}: where it curves, ${percent(through)} of its fibres run through from end to end.`,
      value: percent(through),
      limit: percent(level === 'stop' ? LEAST_THROUGH : GOOD_THROUGH),
      where: [part.id],
      why: 'Where fibres run out at the edge a curved part breaks along them, however thick it looks.',
      school: 'common practice',
      figure: {
        id: 'curve-fibres',
        label: `Fibres that run through ${part.name.toLowerCase()}`,
        quantity: percent(through),
        formula: 'band that is inside it from end to end ÷ where it is narrowest',
        inputs: [
          { label: 'Band', quantity: mm(band) },
          { label: 'Narrowest', quantity: mm(narrowest) },
        ],
        source: 'geometry of its outline',
      },
      wayOut: {
        say: say`Let it curve less, or make it wider; or bend and laminate it from thin strips`,
        changes: [],
      },
    },
  ];
}

/** Cuts against the hollow side of a curved part: what of it is left between them. */
export function cutsBesideHollows({ piece }: CheckContext): Check[] {
  const pairs = piece.parts.flatMap((part) => {
    const hollows = part.removed.filter((cut) => cut.what === 'hollow');
    if (hollows.length === 0) return [];
    return piece.joints.flatMap((joint) =>
      joint.removed
        .filter((cut) => cut.part === part.id && !cut.late)
        .flatMap((cut) =>
          hollows.map((hollow) => ({
            part,
            joint,
            cut,
            hollow,
            gap: gapBetween(hollow.solid.bounds, cut.solid.bounds),
          })),
        ),
    );
  });
  pairs.sort((p, q) => p.gap - q.gap);
  let worst: ((typeof pairs)[number] & { left: number }) | null = null;
  for (const pair of pairs) {
    // Nearest boxes first: what follows lies farther away than the nearest found.
    if (worst && pair.gap > worst.left) break;
    const left = distance(pair.hollow.solid, pair.cut.solid);
    if (!worst || left < worst.left) worst = { ...pair, left };
  }
  if (!worst) return [];
  const { part, joint, cut, left } = worst;
  const level = judge(left, 0, { sense: 'at-least', watchFrom: LEAST_TO_HOLLOW });
  return [
    {
      id: 'joints.hollow',
      step: 'joints',
      level,
      sentence:
        level === 'stop'
          ? say`In ${part.name.toLowerCase()} the ${cut.what} for ${joint.name.toLowerCase()} comes ${mm(-left)} out in the hollow.`
          : say`Between a cut and the hollow of its part at least ${mm(left)} are left, in ${part.name.toLowerCase()}.`,
      value: mm(left),
      limit: mm(level === 'stop' ? 0 : LEAST_TO_HOLLOW),
      where: [part.id, joint.from],
      why: 'A mortise laid out on the square blank opens into the curve that is sawn later.',
      school: 'Wood left beside a cut, common practice',
      wayOut: { say: say`Hollow it less, or make the part higher`, changes: [] },
    },
  ];
}

/** Wood between a cut and a hollow that is sawn after it, mm; common practice. */
const LEAST_TO_HOLLOW = 5;
