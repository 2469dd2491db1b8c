import { shearAlongGrain } from '../joint/hold-strength';
import {
  BOLT_STEEL,
  embedment,
  lateralYield,
  SCREW_STEEL,
  STEEL_EMBEDMENT,
  yieldFactor,
} from '../joint/lateral-strength';
import { mm, say } from '../measure/quantity';
import type { Leaned } from '../piece/piece';
import { type Check, judge, type TableContext, WORKING_STRESS_SCHOOL, weakestOf } from './check';
import { STRESS_FACTOR } from './stiffness';

const megapascal = (amount: number) => ({ amount, unit: 'megapascal' as const });
const newton = (amount: number) => ({ amount, unit: 'newton' as const });
const WHY = `Somebody sits down on the edge, or leans on it with both hands, just where a joint is alone with it. Allowed is the breaking stress over ${STRESS_FACTOR}; a design figure, not a certification.`;

/** The edge load right over a joint: what bends it, and what shears it. */
export function leanedOn(context: TableContext): Check[] {
  return context.piece.leaned.flatMap((own) => [
    ...(own.lever > 0 && own.modulus !== null ? [bent(context, own, own.modulus)] : []),
    ...(own.area === null ? [] : [sheared(context, own, own.area)]),
    ...(own.pins ? [pinned(context, own, own.pins)] : []),
  ]);
}

function bent(context: TableContext, { id, joint, parts, lever, formula }: Leaned, modulus: number): Check {
  const { document } = context;
  const species = weakestOf(context, parts);
  const { edge } = document.form.loads;
  const stress = (edge * lever) / modulus;
  const working = species.modulusOfRupture / STRESS_FACTOR;
  return {
    id: `strength.lean-${id}`,
    step: 'joints',
    level: judge(stress, working, { sense: 'at-most', watchFrom: working * 0.8 }),
    sentence: say`Leaned on with ${newton(edge)}, ${joint} are bent to ${megapascal(stress)} of ${megapascal(working)}.`,
    value: megapascal(stress),
    limit: megapascal(working),
    where: parts,
    why: WHY,
    school: WORKING_STRESS_SCHOOL,
    figure: {
      id: `lean-${id}`,
      label: `Bending of ${joint}, leaned on`,
      quantity: megapascal(stress),
      formula: `M ÷ W; M = ${formula}`,
      inputs: [
        { label: 'Edge load', quantity: newton(edge) },
        { label: 'Moment over load', quantity: mm(lever) },
        { label: 'Section modulus W, cm³', quantity: { amount: modulus / 1000, unit: 'ratio' } },
        { label: 'Breaking stress', quantity: megapascal(species.modulusOfRupture) },
      ],
      source: 'Statics; species table',
      limits: 'One frame or leg takes all of it; the weight of the piece is left out.',
    },
    wayOut: { say: say`Make that part wider, its tenons higher, or bring the base farther out`, changes: [] },
  };
}

function sheared(context: TableContext, { id, joint, parts }: Leaned, area: number): Check {
  const { document } = context;
  const species = weakestOf(context, parts);
  const { edge } = document.form.loads;
  // Of a rectangle the middle is sheared half as much again as all of it on average.
  const stress = (1.5 * edge) / area;
  const breaking = shearAlongGrain(species.specificGravity, species.kind);
  const working = breaking / STRESS_FACTOR;
  return {
    id: `strength.shear-${id}`,
    step: 'joints',
    level: judge(stress, working, { sense: 'at-most', watchFrom: working * 0.8 }),
    sentence: say`Leaned on with ${newton(edge)} right beside it, ${joint} are sheared to ${megapascal(stress)} of ${megapascal(working)}.`,
    value: megapascal(stress),
    limit: megapascal(working),
    where: parts,
    why: WHY,
    school: WORKING_STRESS_SCHOOL,
    figure: {
      id: `shear-${id}`,
      label: `Shear in ${joint}, leaned on`,
      quantity: megapascal(stress),
      formula: '3/2 · load ÷ tenons of one end',
      inputs: [
        { label: 'Edge load', quantity: newton(edge) },
        { label: 'Tenons of one end, cm²', quantity: { amount: area / 100, unit: 'ratio' } },
        { label: 'Shear along the grain, breaking', quantity: megapascal(breaking) },
      ],
      source: 'Wood Handbook ch. 5, value from memory',
      limits: 'Shear along the grain is taken, the weaker way: on the safe side.',
    },
    wayOut: { say: say`Make the tenons thicker or higher`, changes: [] },
  };
}

/** Of a thread, root over outside; common practice. */
const ROOT = 0.8;

/** Screws or bolts square to their length, the wood on both sides of them pressing back. */
function pinned(
  context: TableContext,
  { id, joint, parts }: Leaned,
  { what, count, diameter, main, side }: NonNullable<Leaned['pins']>,
): Check {
  const { document } = context;
  const species = weakestOf(context, parts);
  const { edge } = document.form.loads;
  // The thread is cut into it: what bends and bears is its root.
  const root = ROOT * diameter;
  const wood = embedment(species.specificGravity, root);
  const bolts = what === 'bolts';
  const yields = lateralYield(
    root,
    { deep: Math.max(1, main), embedment: wood },
    { deep: side, embedment: bolts ? STEEL_EMBEDMENT : wood },
    bolts ? BOLT_STEEL : SCREW_STEEL,
  );
  const each = edge / count;
  const allowed = yields / yieldFactor(root);
  return {
    id: `strength.shear-${id}`,
    step: 'joints',
    level: judge(each, allowed, { sense: 'at-most', watchFrom: allowed * 0.8 }),
    sentence: say`Leaned on with ${newton(edge)} right beside it, each of ${joint} takes ${newton(each)} across of ${newton(allowed)}.`,
    value: newton(each),
    limit: newton(allowed),
    where: parts,
    why: 'Somebody sits down on the edge right over one corner: the wood beside the metal is crushed, or the metal bends. A design figure, not a certification.',
    school: WORKING_STRESS_SCHOOL,
    figure: {
      id: `shear-${id}`,
      label: `Across each of ${joint}, leaned on`,
      quantity: newton(each),
      formula: 'load ÷ those of one end; allowed: the least of six yield limits ÷ factor',
      inputs: [
        { label: 'Edge load', quantity: newton(edge) },
        { label: 'Of one end', quantity: { amount: count, unit: 'count' } },
        { label: 'Thick, at the root of its thread', quantity: mm(root) },
        { label: 'In the leg', quantity: mm(main) },
        { label: bolts ? 'Plate, thick' : 'In the apron', quantity: mm(side) },
        { label: 'Wood presses back with', quantity: megapascal(wood) },
        { label: 'Yields at', quantity: newton(yields) },
        { label: 'Factor', quantity: { amount: yieldFactor(root), unit: 'ratio' } },
      ],
      source: 'Yield limits of dowel-type fasteners, National Design Specification for Wood Construction, from memory',
      limits: 'Glue, blocks and the friction of what is drawn together are left out.',
    },
    wayOut: {
      say: say`Take more or thicker ones, or tenons instead`,
      changes: [{ path: 'joints.corner', value: 'mortise-tenon' }],
    },
  };
}
