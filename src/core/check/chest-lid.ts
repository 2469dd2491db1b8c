import type { Quantity } from '../measure/quantity';
import { mm, say } from '../measure/quantity';
import { findPart } from '../piece/piece';
import { GRAVITY, partWeight, weightOf } from '../piece/weight';
import { boundsOf, volumeOf } from '../solid/convex';
import { type CaseContext, type Check, judge } from './check';

const newtonMetre = (amount: number): Quantity => ({ amount, unit: 'newton-metre' });

/** A chest that a child can get into, litres. */
const HOLDS_A_CHILD = 30;
/** Two openings of a square inch each that nothing can shut: ASTM F963 for toy chests; from memory. mm² */
const AIR = 650;

/** What a lid asks of its stay, and whether a closed chest lets a child breathe. */
export function chestLid(context: CaseContext): Check[] {
  const { top, opens } = context.document.form;
  if (opens !== 'above' || !('air' in top)) return [];
  return [stay(context), ...air(context, top.air)];
}

/** Weight of the walls above the cut of a sawn-off lid, kg. */
function sawnOff({ piece, species, season, document: { form } }: CaseContext): number {
  const { top } = form;
  if (top.kind !== 'sawn-off') return 0;
  const cut = piece.overall.height - top.lid;
  return piece.parts
    .filter(({ kind }) => ['side', 'case-top', 'case-bottom'].includes(kind))
    .reduce((sum, part) => {
      const over = part.placed.filter((solid) => solid.bounds.from[2] > cut - 1);
      return sum + (partWeight(part, species, season.glued.moisture) * volumeOf(over)) / volumeOf(part.placed);
    }, 0);
}

function stay(context: CaseContext): Check {
  const { piece, species, season } = context;
  const moving = piece.parts.filter(({ id, kind }) => id === 'lid' || id.startsWith('lid-') || kind === 'batten');
  const lid = findPart(piece, 'lid');
  const sawn = sawnOff(context);
  const weight = weightOf(moving, species, season.glued.moisture) + sawn;
  const deep = sawn > 0 ? piece.overall.width : (lid?.size.width ?? 0);
  const moment = (weight * GRAVITY * deep) / 2000;
  return {
    id: 'safety.lid-stay',
    step: 'form',
    level: 'watch',
    sentence: say`The lid turns with ${newtonMetre(moment)} about its hinges: take a stay, or two, that hold so much in any place.`,
    value: newtonMetre(moment),
    limit: newtonMetre(moment),
    where: ['lid'],
    why: 'A lid that falls breaks fingers, and has killed children whose necks lay on the edge. The stay’s maker says what it holds.',
    school: 'Statics',
    figure: {
      id: 'safety.lid-stay',
      label: 'Moment of the lid about its hinges',
      quantity: newtonMetre(moment),
      formula: 'm · g · depth ÷ 2, the lid level',
      inputs: [
        { label: 'Lid with its battens', quantity: { amount: weight, unit: 'kilogram' } },
        { label: 'Deep', quantity: mm(deep) },
      ],
      source: 'statics',
    },
    wayOut: { say: say`Write the stay’s own figure beside it when it is bought`, changes: [] },
  };
}

function air({ piece }: CaseContext, own: { width: number; height: number }): Check[] {
  const walls = piece.parts.filter(({ kind }) => ['side', 'case-top', 'case-bottom'].includes(kind));
  const { from, to } = boundsOf(walls.flatMap(({ placed }) => placed));
  const litres = ((to[0] - from[0]) * (to[1] - from[1]) * (to[2] - from[2])) / 1e6;
  if (litres < HOLDS_A_CHILD) return [];
  const opening = own.width * own.height;
  const wide = Math.max(own.width, 60);
  const height = Math.ceil(AIR / wide);
  return [
    {
      id: 'safety.air',
      step: 'form',
      level: judge(opening, AIR, { sense: 'at-least', watchFrom: AIR }),
      sentence:
        opening >= AIR
          ? say`Air comes in at both ends while it is closed, through ${mm(own.width)} × ${mm(own.height)} each.`
          : say`Closed, it shuts out the air: somebody inside could not breathe. Its gaps are ${mm(own.width)} × ${mm(own.height)}.`,
      value: mm(own.height),
      limit: mm(Math.ceil(AIR / Math.max(1, own.width))),
      where: ['side-left', 'side-right'],
      why: 'Children hide in chests. Two openings of a square inch each that nothing stands before, and no lock or latch that shuts by itself; a design check, not a test by the standard.',
      school: 'ASTM F963, toy chests; from memory',
      wayOut: {
        say: say`Cut a gap of ${mm(wide)} × ${mm(height)} in each end`,
        changes: [
          { path: 'form.top.air.width', value: wide },
          { path: 'form.top.air.height', value: height },
        ],
      },
    },
  ];
}
