import { kilogram, mm, newton, say } from '../measure/quantity';
import { partWeight } from '../piece/weight';
import { type Check, type CheckContext, judge } from './check';

const GRAVITY = 9.81;
/** Load constant for one person under ideal conditions, kg (NIOSH revised lifting equation; from memory). */
export const LIFT_CONSTANT = 23;

/** Weight of the piece, kg. */
export function pieceWeight({ piece, species, season }: Pick<CheckContext, 'piece' | 'species' | 'season'>): number {
  return piece.parts.reduce((sum, part) => sum + partWeight(part, species, season.glued.moisture), 0);
}

/** Moments about the line of the feet: the load at the very edge of the top that lifts the other side. */
export function tipping(context: CheckContext): Check[] {
  const { document, piece } = context;
  const weight = pieceWeight(context) * GRAVITY;
  const design = document.form.loads.edge;
  const sides = [
    { id: 'end', overhang: piece.overhang.end, base: piece.base.length, path: 'form.top.endOverhang', name: 'end' },
    {
      id: 'side',
      overhang: piece.overhang.side,
      base: piece.base.width,
      path: 'form.top.sideOverhang',
      name: 'long side',
    },
  ];
  return sides.map(({ id, overhang, base, path, name }) => {
    if (overhang <= 0) {
      return {
        id: `stability.${id}`,
        step: 'form',
        level: 'good',
        sentence: say`A load on the ${name} stands over the feet: it cannot tip the table.`,
        value: newton(design),
        limit: newton(design),
        where: ['top'],
        why: 'Nothing overhangs the line of the feet there.',
      } satisfies Check;
    }
    const tips = (weight * base) / 2 / overhang;
    const level = judge(tips, design, { sense: 'at-least', watchFrom: design * 1.25 });
    const total = base + 2 * overhang;
    // weight·(total − 2a)/2 = design·a, solved for the overhang a, with a tenth in hand.
    const safe = Math.floor((weight * total) / 2 / (design * 1.1 + weight));
    return {
      id: `stability.${id}`,
      step: 'form',
      level,
      sentence: say`${newton(tips)} at the edge of the ${name} would tip the table; the design load is ${newton(design)}.`,
      value: newton(tips),
      limit: newton(design),
      where: ['top'],
      why: 'Somebody sits or leans on the edge. A design load of your own choosing, not a compliance with any standard.',
      figure: {
        id: `tipping-${id}`,
        label: `Load that tips it over the ${name}`,
        quantity: newton(tips),
        formula: 'weight · (base ÷ 2) ÷ overhang, about the line of the feet',
        inputs: [
          { label: 'Weight of the piece', quantity: kilogram(weight / GRAVITY) },
          { label: 'Base over the feet', quantity: mm(base) },
          { label: 'Overhang', quantity: mm(overhang) },
        ],
        source: 'Statics; load cases of the kind used in EN 1730, the design load editable',
        limits: 'A table standing level on hard floor, nothing on it.',
      },
      ...(level === 'good'
        ? {}
        : {
            wayOut: { say: say`Let the ${name} overhang ${mm(safe)}`, changes: [{ path, value: safe }] },
          }),
    } satisfies Check;
  });
}

/** Whether one person can turn and carry it. */
export function lifting(context: CheckContext): Check[] {
  const weight = pieceWeight(context);
  const top = context.piece.parts.find((part) => part.kind === 'top');
  const topWeight = top ? partWeight(top, context.species, context.season.glued.moisture) : 0;
  const limit = Math.min(context.shop.tools.lift, LIFT_CONSTANT);
  const level = topWeight > limit ? 'watch' : 'good';
  return [
    {
      id: 'stability.lifting',
      step: 'form',
      level,
      sentence: say`The top weighs ${kilogram(topWeight)}, the whole table ${kilogram(weight)}; one person lifts ${kilogram(limit)}.`,
      value: kilogram(topWeight),
      limit: kilogram(limit),
      where: ['top'],
      why: 'A top is turned over many times while it is made. Two people carry twice what one does, and no more.',
      figure: {
        id: 'weight-top',
        label: 'Weight of the top',
        quantity: kilogram(topWeight),
        formula: 'volume · 1000 · G₁₂ · (1 + M/100)',
        inputs: [
          { label: 'Specific gravity at 12 %', quantity: { amount: context.species.specificGravity, unit: 'ratio' } },
          { label: 'Moisture', quantity: { amount: context.season.glued.moisture, unit: 'percent-moisture' } },
        ],
        source: 'Wood Handbook ch. 4; NIOSH revised lifting equation, 23 kg under ideal conditions',
      },
      ...(level === 'watch'
        ? {
            wayOut: {
              say: say`Plan ${Math.ceil(topWeight / limit).toFixed(0)} people for turning the top`,
              changes: [],
            },
          }
        : {}),
    },
  ];
}
