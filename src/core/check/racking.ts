import type { PieceInJob } from '../document/piece-in-job';
import { dowelWithdrawal, lagWithdrawal, screwWithdrawal } from '../joint/hold-strength';
import { mm, movement, say } from '../measure/quantity';
import type { Racking, Resistance } from '../piece/piece';
import type { Species } from '../wood/species';
import { type CaseContext, type Check, judge, softestOf, type TableContext, weakestOf } from './check';
import { STRESS_FACTOR } from './stiffness';

/** A table that goes sideways by more than a hundredth of its height under a push is felt to be loose; common practice. */
const SWAY = 1 / 100;

const WAYS = {
  table: { along: 'along the table', across: 'across the table' },
  case: { along: 'sideways', across: 'from the front' },
} as const;
const pushed = ({ piece }: TableContext | CaseContext, way: Racking['way']): string => WAYS[piece.build][way];

const placeOf = ({ way, of }: Racking): string => (of ? `${way}-${of}` : way);

/** A level push at the top: what it does to the joint that keeps the base upright, and how far the top goes. */
export function racked(context: TableContext | CaseContext): Check[] {
  return context.piece.racking.flatMap((racking) => [
    strength(context, racking),
    ...(racking.sway === undefined ? [] : [sway(context, racking, racking.sway)]),
  ]);
}

function strength(context: TableContext | CaseContext, racking: Racking): Check {
  return racking.resists.kind === 'bent'
    ? bent(context, racking, racking.resists)
    : drawn(context, racking, racking.resists);
}

/** Bent across its grain, wood breaks at so much of what it bears along it: its strength in tension across the grain, Wood Handbook ch. 5, from memory. */
const ACROSS = 1 / 20;

const WHY = `Tables are dragged, and leaned on from the end. What is allowed is the breaking figure over ${STRESS_FACTOR}; a design figure, not a certification.`;
const newton = (amount: number) => ({ amount, unit: 'newton' as const });

function bent(
  context: TableContext | CaseContext,
  racking: Racking,
  { modulus, across }: Extract<Resistance, { kind: 'bent' }>,
): Check {
  const { way, joint, parts, lever, formula } = racking;
  const { document } = context;
  const species = weakestOf(context, parts);
  const { push } = document.form.loads;
  const stress = (push * lever) / modulus;
  const rupture = species.modulusOfRupture * (across ? ACROSS : 1);
  const working = rupture / STRESS_FACTOR;
  const inMegapascal = (amount: number) => ({ amount, unit: 'megapascal' as const });
  return {
    id: `strength.racking-${placeOf(racking)}`,
    step: 'joints',
    level: judge(stress, working, { sense: 'at-most', watchFrom: working * 0.8 }),
    sentence: say`Pushed ${pushed(context, way)} with ${newton(push)}, ${joint} are stressed to ${inMegapascal(stress)} of ${inMegapascal(working)}.`,
    value: inMegapascal(stress),
    limit: inMegapascal(working),
    where: parts,
    why: WHY,
    school: 'Loads on the edge as in tests of furniture; the limit is common practice',
    figure: {
      id: `racking-${placeOf(racking)}`,
      label: `Stress in ${joint}, pushed ${pushed(context, way)}`,
      quantity: inMegapascal(stress),
      formula: `M ÷ W; M = ${formula}`,
      inputs: [
        { label: 'Push', quantity: newton(push) },
        { label: 'Moment over push', quantity: mm(lever) },
        { label: 'Section modulus W, cm³', quantity: { amount: modulus / 1000, unit: 'ratio' } },
        { label: 'Breaking stress', quantity: inMegapascal(rupture) },
      ],
      source: across
        ? 'Statics; across the grain a twentieth of the breaking stress, Wood Handbook ch. 5, from memory'
        : 'Statics of frames that rest on the floor; species table',
      limits: 'Glue line and fit as strong as the wood; the top itself and its fasteners not counted.',
    },
    ...deeper(racking, stress / working, `Make that part higher, its tenon thicker, or give it a second one`),
  };
}

const WITHDRAWAL = {
  dowel: {
    force: (wood: Species, diameter: number, bite: number) =>
      dowelWithdrawal(wood.specificGravity, wood.kind, diameter, bite),
    source:
      'half of the shear strength along the grain over the dowel’s surface; Wood Handbook ch. 5, value from memory',
  },
  screw: {
    force: (wood: Species, diameter: number, bite: number) => screwWithdrawal(wood.specificGravity, diameter, bite),
    source: '108.25·G²·D·L; Wood Handbook ch. 8, value from memory',
  },
  bolt: {
    force: (wood: Species, diameter: number, bite: number) => lagWithdrawal(wood.specificGravity, diameter, bite),
    source: '125.4·G^1.5·D^0.75·L; Wood Handbook ch. 8, value from memory',
  },
} as const;

/** Fasteners that a moment draws out of the part they stand in. */
function drawn(
  context: TableContext | CaseContext,
  racking: Racking,
  { what, reach, diameter, bite }: Extract<Resistance, { kind: 'drawn' }>,
): Check {
  const { way, joint, parts, lever, formula } = racking;
  const { document } = context;
  const species = weakestOf(context, parts);
  const { push } = document.form.loads;
  const pull = (push * lever) / Math.max(1e-9, reach);
  const { force, source } = WITHDRAWAL[what];
  const breaking = force(species, diameter, bite);
  const working = breaking / STRESS_FACTOR;
  return {
    id: `strength.racking-${placeOf(racking)}`,
    step: 'joints',
    level: judge(pull, working, { sense: 'at-most', watchFrom: working * 0.8 }),
    sentence: say`Pushed ${pushed(context, way)} with ${newton(push)}, the outermost of ${joint} is drawn with ${newton(pull)} of ${newton(working)}.`,
    value: newton(pull),
    limit: newton(working),
    where: parts,
    why: WHY,
    school: 'Loads on the edge as in tests of furniture; the limit is common practice',
    figure: {
      id: `racking-${placeOf(racking)}`,
      label: `Pull on the outermost of ${joint}, pushed ${pushed(context, way)}`,
      quantity: newton(pull),
      formula: `M ÷ reach; M = ${formula}; reach = Σ d² ÷ d_max from the edge they turn about`,
      inputs: [
        { label: 'Push', quantity: newton(push) },
        { label: 'Moment over push', quantity: mm(lever) },
        { label: 'Reach', quantity: mm(reach) },
        { label: 'Thick', quantity: mm(diameter) },
        { label: 'In the leg', quantity: mm(bite) },
        { label: 'Holds, breaking', quantity: newton(breaking) },
      ],
      source,
      limits: 'Glue on end grain counts for nothing; the top itself and its fasteners not counted.',
    },
    ...(racking.deepens ? deeper(racking, pull / working, '') : waysToHold(document, pull / working)),
  };
}

/** Beyond this ratio of required to allowed no height helps. */
const MOST_TIMES = 100;

/**
 * The height at which what carries the moment is strong enough, where that is one figure: its modulus grows with the square of it.
 *
 * @param over how many times more is asked than is allowed
 */
function deeper({ deepens }: Racking, over: number, otherwise: string): Pick<Check, 'wayOut' | 'otherWaysOut'> {
  if (!deepens) return { wayOut: { say: say`${otherwise}`, changes: [] } };
  const { now, joint, words: { of, how } = { of: 'the rails', how: 'high' } } = deepens;
  // Joints of which nothing is left bear nothing.
  const times = Number.isFinite(over) ? Math.min(MOST_TIMES, Math.max(1, over)) : MOST_TIMES;
  const higher = Math.ceil(now * Math.sqrt(times * 1.3));
  const changes = [{ path: deepens.height, value: higher }];
  const tenons = joint ? [{ path: joint.path, value: joint.strongest }] : [];
  return {
    wayOut: { say: say`Make ${of} ${mm(higher)} ${how}`, changes },
    otherWaysOut: [
      ...(joint
        ? [
            { say: say`Take mortise and tenon`, changes: tenons },
            {
              say: say`Take mortise and tenon, and make the rails ${mm(higher)} high`,
              changes: [...tenons, ...changes],
            },
          ]
        : []),
      ...deepens.thicker.map((own) => ({ say: say`Make legs and rails thicker`, changes: own })),
    ],
  };
}

/** @param over how many times more is asked than is allowed */
function waysToHold({ form }: PieceInJob, over: number): Pick<Check, 'wayOut' | 'otherWaysOut'> {
  const advice = { say: say`Take larger plates, or longer inserts in a thicker top`, changes: [] };
  if (form.build === 'case' || form.base.kind !== 'leg-apron') return { wayOut: advice };
  const { base } = form;
  const higher = Math.ceil(base.apron.height * Math.sqrt(Math.min(16, Math.max(1, over)) * 1.25));
  const tenons = { path: 'joints.corner', value: 'mortise-tenon' };
  const height = { path: 'form.base.apron.height', value: higher };
  return {
    wayOut: { say: say`Take mortise and tenon`, changes: [tenons] },
    otherWaysOut: [
      { say: say`Make the aprons ${mm(higher)} high`, changes: [height] },
      { say: say`Take mortise and tenon, and make the aprons ${mm(higher)} high`, changes: [tenons, height] },
    ],
  };
}

function sway(context: TableContext | CaseContext, racking: Racking, each: number): Check {
  const { document, piece } = context;
  const { way, parts } = racking;
  const { push } = document.form.loads;
  const modulus = racking.modulus ?? softestOf(context, parts).modulusOfElasticity;
  const value = (push * each) / modulus;
  const limit = piece.overall.height * SWAY;
  return {
    id: `stiffness.sway-${placeOf(racking)}`,
    step: 'form',
    level: judge(value, limit, { sense: 'at-most' }) === 'good' ? 'good' : 'watch',
    sentence: say`Pushed ${pushed(context, way)}, the top goes ${movement(value)} sideways; a hundredth of its height is ${movement(limit)}.`,
    value: movement(value),
    limit: movement(limit),
    where: parts,
    why: 'What sways works its joints loose. Real joints give a little more than stiff ones.',
    school: 'A hundredth of the height, common practice',
    figure: {
      id: `sway-${placeOf(racking)}`,
      label: `Sway, pushed ${pushed(context, way)}`,
      quantity: movement(value),
      formula: 'bending of the uprights and of what holds them upright, joints stiff, feet resting on the floor',
      inputs: [
        { label: 'Push', quantity: { amount: push, unit: 'newton' } },
        { label: 'E', quantity: { amount: modulus, unit: 'megapascal' } },
        { label: 'Height', quantity: mm(piece.overall.height) },
      ],
      source: 'Beam formulas (Roark) put together to frames; checked by finite elements, see Methods',
    },
    wayOut: { say: say`Make the uprights thicker or what holds them upright deeper`, changes: [] },
  };
}
