import { mm, movement, say } from '../measure/quantity';
import { findPart } from '../piece/piece';
import { partWeight } from '../piece/weight';
import { bendingStress, cantileverSag, uniformSag } from './beam';
import { type Check, type CheckContext, judge } from './check';

/** 0.02 in per foot of span, the sag an eye accepts; common practice. */
export const SAG_PER_SPAN = 0.02 / 12;
/** Sag after years under load, times the sag at once; Wood Handbook ch. 5 gives 1.5–2. */
export const CREEP = 2;
/** Across the grain a board is some twentieth as stiff as along it (flat-sawn; Wood Handbook ch. 5, from memory). */
export const ACROSS_GRAIN_RATIO = 0.05;
/** Working stress is the modulus of rupture over this, for clear wood with a person's load. */
export const STRESS_FACTOR = 4;
const GRAVITY = 9.81;

const CAUTION = 'A design figure for clear, straight-grained wood; not a certification.';

/** Sag of the long aprons and of the top between and beyond them, after creep. */
export function sagging({ document, piece, species, season }: CheckContext): Check[] {
  const top = findPart(piece, 'top');
  const apron = findPart(piece, 'apron-front');
  if (!top || !apron) return [];
  const modulus = species.modulusOfElasticity;
  const topWeight = partWeight(top, species, season.glued.moisture) * GRAVITY;
  const load = topWeight + document.form.loads.spread;
  const source = `Roark, beam formulas with shear (G = E/16); ${species.commonName} from the species table; creep × ${CREEP}, Wood Handbook ch. 5`;

  const span = apron.shoulderLength;
  const section = { breadth: apron.size.thickness, depth: apron.size.width, modulus };
  const perMm = load / 2 / span;
  const apronSag = CREEP * uniformSag(section, span, perMm);
  const apronLimit = span * SAG_PER_SPAN;
  const stress = bendingStress(section, (perMm * span ** 2) / 8);
  const working = species.modulusOfRupture / STRESS_FACTOR;

  const across = piece.base.width - 2 * (document.form.base.apron.reveal + apron.size.thickness);
  const rails = piece.parts.filter((part) => part.kind === 'cross-rail').length;
  const along = (piece.base.length - 2 * document.form.base.apron.reveal) / (rails + 1);
  const perStrip = (load / (top.size.length * top.size.width)) * 1000;
  const strip = (ratio: number) => ({ breadth: 1000, depth: top.size.thickness, modulus: modulus * ratio });
  // Two crossing strips sink equally, so the load parts itself by their stiffness.
  const alone = {
    along: uniformSag(strip(1), along, perStrip),
    across: uniformSag(strip(ACROSS_GRAIN_RATIO), across, perStrip),
  };
  const acrossSag = (CREEP * alone.along * alone.across) / (alone.along + alone.across);
  const acrossLimit = Math.min(across, along) * SAG_PER_SPAN;

  const reach = Math.max(0, piece.overhang.end + document.form.base.apron.reveal);
  const whole = { breadth: Math.min(top.size.width, 600), depth: top.size.thickness, modulus };
  const endSag = cantileverSag(whole, reach, document.form.loads.edge);
  const endLimit = 3;

  const deeper = Math.ceil(apron.size.width * Math.cbrt(apronSag / apronLimit) + 1);
  const thickerFor = (sag: number, limit: number) => Math.ceil(top.size.thickness * Math.cbrt(sag / limit) + 0.5);
  const make = (
    id: string,
    where: string[],
    value: number,
    limit: number,
    words: string,
    label: string,
    formula: string,
    inputs: { label: string; quantity: ReturnType<typeof mm> }[],
    out: NonNullable<Check['wayOut']>,
  ): Check => {
    const level = judge(value, limit, { sense: 'at-most', watchFrom: limit * 0.7 });
    return {
      id,
      step: 'form',
      level,
      sentence: say`${words} ${movement(value)}; the eye, and a glass, accept ${movement(limit)}.`,
      value: movement(value),
      limit: movement(limit),
      where,
      why: `What sags at once sags more after years. ${CAUTION}`,
      figure: { id, label, quantity: movement(value), formula, inputs, source, limits: CAUTION },
      ...(level === 'good' ? {} : { wayOut: out }),
    };
  };
  return [
    make(
      'stiffness.apron-sag',
      ['apron-front', 'apron-back'],
      apronSag,
      apronLimit,
      'The long aprons sag, in time,',
      'Sag of a long apron, in time',
      `${CREEP} · (5wL⁴/384EI + wL²/8κGA)`,
      [
        { label: 'Span L', quantity: mm(span) },
        { label: 'Height', quantity: mm(apron.size.width) },
        { label: 'Thickness', quantity: mm(apron.size.thickness) },
        { label: 'Half the top and its load', quantity: { amount: load / 2, unit: 'newton' } },
        { label: 'E', quantity: { amount: modulus, unit: 'megapascal' } },
      ],
      { say: say`Make the aprons ${mm(deeper)} high`, changes: [{ path: 'form.base.apron.height', value: deeper }] },
    ),
    {
      id: 'strength.apron',
      step: 'form',
      level: judge(stress, working, { sense: 'at-most', watchFrom: working * 0.8 }),
      sentence: say`The long aprons are stressed to ${{ amount: stress, unit: 'megapascal' }} of ${{ amount: working, unit: 'megapascal' }}.`,
      value: { amount: stress, unit: 'megapascal' },
      limit: { amount: working, unit: 'megapascal' },
      where: ['apron-front', 'apron-back'],
      why: `The working stress is the breaking stress over ${STRESS_FACTOR}. ${CAUTION}`,
      wayOut: { say: say`Make the aprons higher, or add legs`, changes: [] },
    },
    make(
      'stiffness.top-sag',
      ['top'],
      acrossSag,
      acrossLimit,
      'Between aprons and rails the top sags, in time,',
      'Sag of the top between aprons and rails, in time',
      `${CREEP} · δ₁δ₂/(δ₁ + δ₂) of two crossing strips (Grashof), each 5wL⁴/384EI + wL²/8κGA; E across = ${ACROSS_GRAIN_RATIO}·E`,
      [
        { label: 'Clear width between aprons', quantity: mm(across) },
        { label: 'Between end aprons and cross rails', quantity: mm(along) },
        { label: 'Alone along the grain', quantity: movement(alone.along) },
        { label: 'Alone across the grain', quantity: movement(alone.across) },
        { label: 'Thickness', quantity: mm(top.size.thickness) },
        { label: 'Top and its load', quantity: { amount: load, unit: 'newton' } },
        { label: 'E along the grain', quantity: { amount: modulus, unit: 'megapascal' } },
      ],
      rails < 6
        ? { say: say`Add a cross rail`, changes: [{ path: 'form.base.crossRails', value: rails + 1 }] }
        : {
            say: say`Make the top ${mm(thickerFor(acrossSag, acrossLimit))} thick`,
            changes: [{ path: 'form.top.thickness', value: thickerFor(acrossSag, acrossLimit) }],
          },
    ),
    make(
      'stiffness.top-end',
      ['top'],
      endSag,
      endLimit,
      'With somebody leaning on it, the end of the top gives',
      'Give of the end under the edge load',
      'PL³/3EI + PL/κGA, at most 600 mm of the width taking part',
      [
        { label: 'Overhang L beyond the end apron', quantity: mm(reach) },
        { label: 'Thickness', quantity: mm(top.size.thickness) },
        { label: 'Edge load P', quantity: { amount: document.form.loads.edge, unit: 'newton' } },
        { label: 'E', quantity: { amount: modulus, unit: 'megapascal' } },
      ],
      {
        say: say`Make the top ${mm(thickerFor(endSag, endLimit))} thick`,
        changes: [{ path: 'form.top.thickness', value: thickerFor(endSag, endLimit) }],
      },
    ),
  ];
}
