import type { BaseKindName } from '../document/job-document';
import { mm, movement, say } from '../measure/quantity';
import { type Part, woodOf } from '../piece/part';
import { partsOfKind, type TablePiece } from '../piece/piece';
import { GRAVITY, weightOf } from '../piece/weight';
import { fibresThrough } from '../solid/profile';
import { bendingStress, centreSag, uniformSag } from './beam';
import { type Check, judge, type TableContext } from './check';
import { CREEP, STRESS_FACTOR } from './stiffness';

/** A bar that feet rest on may give so much of its span; common practice. */
const GIVES = 1 / 200;

/** Where its height is decided. */
const PATHS: Partial<Record<BaseKindName, string>> = {
  'leg-apron': 'form.base.stretchers.height',
  'post-brace': 'form.base.stringer.height',
  box: 'form.base.rail.height',
};
const pathFor = (base: BaseKindName): string => PATHS[base] ?? 'form.base.stretcher.height';

interface Stood {
  part: Part;
  span: number;
  depth: number;
  /** Under its own weight in time, and with a foot on it at once. mm */
  own: number;
  once: number;
  stress: number;
}

function stoodOn(part: Part, context: TableContext): Stood {
  const { document, season } = context;
  const species = woodOf(part, context.species);
  const span = part.shoulderLength;
  // Of one that is arched, where it is lowest.
  const depth = part.profile ? fibresThrough(part.profile).narrowest : part.size.width;
  const section = { breadth: part.size.thickness, depth, modulus: species.modulusOfElasticity };
  const { edge } = document.form.loads;
  const weight = weightOf([part], species, season.glued.moisture) * GRAVITY;
  return {
    part,
    span,
    depth,
    own: CREEP * uniformSag(section, span, weight / span),
    once: centreSag(section, span, edge),
    stress: bendingStress(section, (edge * span) / 4 + (weight * span) / 8),
  };
}

const worstOf = (piece: TablePiece, context: TableContext): Stood | null =>
  partsOfKind(piece, 'stretcher')
    .map((part) => stoodOn(part, context))
    .reduce<Stood | null>((a, b) => (!a || (b.own + b.once) / b.span > (a.own + a.once) / a.span ? b : a), null);

/** Stretchers, stringers and low rails with somebody's foot on their middle. */
export function stretchersStoodOn(context: TableContext): Check[] {
  const { document, piece } = context;
  const worst = worstOf(piece, context);
  if (!worst) return [];
  const species = woodOf(worst.part, context.species);
  const { part, span, depth, own, once, stress } = worst;
  const value = own + once;
  const limit = span * GIVES;
  const higher = Math.ceil(part.size.width + depth * (Math.cbrt(value / limit) - 1) + 1);
  const working = species.modulusOfRupture / STRESS_FACTOR;
  const newton = { amount: document.form.loads.edge, unit: 'newton' } as const;
  const megapascal = (amount: number) => ({ amount, unit: 'megapascal' as const });
  return [
    {
      id: 'stiffness.stretcher',
      step: 'form',
      // It gives and comes back: a nuisance, and no break.
      level: judge(value, limit, { sense: 'at-most' }) === 'good' ? 'good' : 'watch',
      sentence: say`${part.name}: a foot on its middle with ${newton} bends it by ${movement(once)}, its own weight in time by ${movement(own)}; feet accept ${movement(limit)}.`,
      value: movement(value),
      limit: movement(limit),
      where: [part.id],
      why: 'Whoever sits at a table rests a foot on its stretcher, and whoever cleans the lamp stands on it. A design figure, not a certification.',
      school: 'A two-hundredth of its span, common practice',
      figure: {
        id: 'stretcher-stood-on',
        label: `Give of ${part.name.toLowerCase()}`,
        quantity: movement(value),
        formula: `PL³/48EI + PL/4κGA at once, and ${CREEP} · (5wL⁴/384EI + wL²/8κGA)`,
        inputs: [
          { label: 'Foot P', quantity: newton },
          { label: 'Span L', quantity: mm(span) },
          { label: 'Height', quantity: mm(depth) },
          { label: 'Thickness', quantity: mm(part.size.thickness) },
          { label: 'At once', quantity: movement(once) },
          { label: 'Own weight, in time', quantity: movement(own) },
          { label: 'E', quantity: megapascal(species.modulusOfElasticity) },
        ],
        source: `Roark, beam formulas with shear (G = E/16); species table; creep × ${CREEP}, Wood Handbook ch. 5`,
        limits: 'Its ends are taken to rest, not to be held: on the safe side.',
      },
      wayOut: {
        say: say`Make it ${mm(higher)} high`,
        changes: [{ path: pathFor(piece.kind.base), value: higher }],
      },
    },
    {
      id: 'strength.stretcher',
      step: 'form',
      level: judge(stress, working, { sense: 'at-most', watchFrom: working * 0.8 }),
      sentence: say`${part.name} is stressed to ${megapascal(stress)} of ${megapascal(working)} by a foot on its middle.`,
      value: megapascal(stress),
      limit: megapascal(working),
      where: [part.id],
      why: `The working stress is the breaking stress over ${STRESS_FACTOR}. A design figure, not a certification.`,
      school: 'Statics; species table',
      wayOut: {
        say: say`Make it higher or thicker, or give it a shorter span`,
        changes: [],
      },
    },
  ];
}
