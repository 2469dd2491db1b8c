import { mm, movement, say } from '../measure/quantity';
import type { Racking } from '../piece/piece';
import { type Check, type CheckContext, judge } from './check';
import { STRESS_FACTOR } from './stiffness';

/** A table that goes sideways by more than a hundredth of its height under a push is felt to be loose; common practice. */
const SWAY = 1 / 100;

const WAYS = { along: 'along the table', across: 'across the table' } as const;

/** A level push at the top: what it does to the joint that keeps the base upright, and how far the top goes. */
export function racked(context: CheckContext): Check[] {
  return context.piece.racking.flatMap((racking) => [strength(context, racking), sway(context, racking)]);
}

function strength({ document, species }: CheckContext, racking: Racking): Check {
  const { way, joint, parts, lever, modulus, formula } = racking;
  const { push } = document.form.loads;
  const stress = (push * lever) / modulus;
  const working = species.modulusOfRupture / STRESS_FACTOR;
  const inMegapascal = (amount: number) => ({ amount, unit: 'megapascal' as const });
  return {
    id: `strength.racking-${way}`,
    step: 'joints',
    level: judge(stress, working, { sense: 'at-most', watchFrom: working * 0.8 }),
    sentence: say`Pushed ${WAYS[way]} with ${{ amount: push, unit: 'newton' }}, ${joint} are stressed to ${inMegapascal(stress)} of ${inMegapascal(working)}.`,
    value: inMegapascal(stress),
    limit: inMegapascal(working),
    where: parts,
    why: `Tables are dragged, and leaned on from the end. The working stress is the breaking stress over ${STRESS_FACTOR}; a design figure, not a certification.`,
    figure: {
      id: `racking-${way}`,
      label: `Stress in ${joint}, pushed ${WAYS[way]}`,
      quantity: inMegapascal(stress),
      formula: `M ÷ W; M = ${formula}`,
      inputs: [
        { label: 'Push', quantity: { amount: push, unit: 'newton' } },
        { label: 'Moment over push', quantity: mm(lever) },
        { label: 'Section modulus W, cm³', quantity: { amount: modulus / 1000, unit: 'ratio' } },
        { label: 'Breaking stress', quantity: inMegapascal(species.modulusOfRupture) },
      ],
      source: 'Statics of frames that rest on the floor; species table',
      limits: 'Glue line and fit as strong as the wood; the top itself and its fasteners not counted.',
    },
    wayOut: { say: say`Make that part higher, its tenon thicker, or give it a second one`, changes: [] },
  };
}

function sway({ document, piece, species }: CheckContext, racking: Racking): Check {
  const { way, parts } = racking;
  const { push } = document.form.loads;
  const value = (push * racking.sway) / species.modulusOfElasticity;
  const limit = piece.overall.height * SWAY;
  return {
    id: `stiffness.sway-${way}`,
    step: 'form',
    level: judge(value, limit, { sense: 'at-most' }) === 'good' ? 'good' : 'watch',
    sentence: say`Pushed ${WAYS[way]}, the top goes ${movement(value)} sideways; a hundredth of its height is ${movement(limit)}.`,
    value: movement(value),
    limit: movement(limit),
    where: parts,
    why: 'What sways works its joints loose. Real joints give a little more than stiff ones.',
    school: 'A hundredth of the height, common practice',
    figure: {
      id: `sway-${way}`,
      label: `Sway, pushed ${WAYS[way]}`,
      quantity: movement(value),
      formula: 'bending of the uprights and of what holds them upright, joints stiff, feet resting on the floor',
      inputs: [
        { label: 'Push', quantity: { amount: push, unit: 'newton' } },
        { label: 'E', quantity: { amount: species.modulusOfElasticity, unit: 'megapascal' } },
        { label: 'Height', quantity: mm(piece.overall.height) },
      ],
      source: 'Beam formulas (Roark) put together to frames; checked by finite elements, see Methods',
    },
    wayOut: { say: say`Make the uprights thicker or what holds them upright deeper`, changes: [] },
  };
}
