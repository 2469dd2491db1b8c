import { mm, movement, say } from '../measure/quantity';
import { type BendingPart, findPart, leadingPart } from '../piece/piece';
import { topKind } from '../piece/table/form';
import { GRAVITY, weightOf } from '../piece/weight';
import { bendingStress, cantileverSag, cantileverUniformSag, uniformSag } from './beam';
import { type Check, judge, type TableContext, type WayOut, WORKING_STRESS_SCHOOL, weakestOf } from './check';

/** 0.02 in per foot of span, the sag an eye accepts; common practice. */
export const SAG_PER_SPAN = 0.02 / 12;
/** Sag after years under load, times the sag at once; Wood Handbook ch. 5 gives 1.5–2. */
export const CREEP = 2;
/** From this share of what is accepted on a sag is watched; what is offered as a way out comes below it. */
export const WATCHED = 0.7;
/** Across the grain a board is some twentieth as stiff as along it (flat-sawn; Wood Handbook ch. 5, from memory). */
export const ACROSS_GRAIN_RATIO = 0.05;
/** Working stress is the modulus of rupture over this, for clear wood with a person's load. */
export const STRESS_FACTOR = 4;

const CAUTION = 'A design figure for clear, straight-grained wood; not a certification.';

/** Sag of what carries the top, and of the top between and beyond what it rests on, after creep. */
export function sagging(context: TableContext): Check[] {
  const { document, piece, species, season } = context;
  const moisture = season.glued.moisture;
  const tops = piece.parts.filter((part) => piece.top.parts.includes(part.id));
  const topWeight = weightOf(tops, species, moisture) * GRAVITY;
  const load = topWeight + document.form.loads.spread;
  const woods = context.woods.length === 1 ? `${species.commonName} from the species table` : 'species table';
  const source = `Roark, beam formulas with shear (G = E/16); ${woods}; creep × ${CREEP}, Wood Handbook ch. 5`;
  const made = (check: Sag): Check => {
    const level = judge(check.value, check.limit, { sense: 'at-most', watchFrom: check.limit * WATCHED });
    return {
      id: check.id,
      step: 'form',
      level,
      sentence: say`${check.words} ${movement(check.value)}; the eye, and a glass, accept ${movement(check.limit)}.`,
      value: movement(check.value),
      limit: movement(check.limit),
      where: check.where,
      why: `What sags at once sags more after years. ${CAUTION}`,
      school: 'common practice',
      figure: {
        id: check.id,
        label: check.label,
        quantity: movement(check.value),
        formula: check.formula,
        inputs: check.atOnce
          ? check.inputs
          : [...check.inputs, { label: 'At once', quantity: movement(check.value / CREEP) }],
        source,
        limits: CAUTION,
      },
      wayOut: check.out,
      ...(check.others ? { otherWaysOut: check.others } : {}),
    };
  };
  return [
    ...piece.bending.flatMap((part) => bendingOf(part, context, load, made)),
    made(topBetween(context, load)),
    // A drawn-out end hangs on its slides and is reckoned with them.
    ...(topKind(document.form.top.kind).drawsOut ? [] : [made(topBeyond(context))]),
  ];
}

interface Sag {
  id: string;
  where: readonly string[];
  value: number;
  limit: number;
  /** The sentence up to its number. */
  words: string;
  label: string;
  formula: string;
  inputs: { label: string; quantity: ReturnType<typeof mm> }[];
  out: WayOut;
  /** What else helps. */
  others?: readonly WayOut[];
  /** Told without creep. */
  atOnce?: true;
}

/** Parts of the same kind carry alike; all of them are lit. */
const alike = (piece: TableContext['piece'], id: string) => {
  const part = findPart(piece, id);
  return piece.parts
    .filter((other) => other.kind === part?.kind && Math.abs(other.shoulderLength - part.shoulderLength) < 1)
    .map((other) => other.id);
};

function bendingOf(bending: BendingPart, context: TableContext, load: number, made: (sag: Sag) => Check): Check[] {
  const { span, breadth, depth, how, words, share, path } = bending;
  // Where nothing is left of it, it cannot be built, and that is reported.
  if (span <= 0 || depth <= 0) return [];
  const { piece } = context;
  const species = weakestOf(context, [bending.part]);
  const section = { breadth, depth, modulus: species.modulusOfElasticity };
  const perMm = (load * share) / span;
  const held = how === 'cantilever';
  const sag = CREEP * (held ? cantileverUniformSag(section, span, perMm) : uniformSag(section, span, perMm));
  // Beyond its hold a beam of a length looks as sloping as one of twice that sags.
  const limit = (held ? 2 : 1) * span * SAG_PER_SPAN;
  const stress = bendingStress(section, (perMm * span ** 2) / (held ? 2 : 8));
  const working = species.modulusOfRupture / STRESS_FACTOR;
  const ways = (ratio: { depth: number; breadth: number }): WayOut[] => {
    const deeper = Math.ceil(depth * ratio.depth + 1) + (bending.hollowed ?? 0);
    const thicker = Math.ceil(breadth * ratio.breadth + 1);
    const { breadthPath, legsBetween } = bending;
    return [
      { say: say`Make them ${mm(deeper)} high`, changes: [{ path, value: deeper }] },
      ...(breadthPath
        ? [{ say: say`Make them ${mm(thicker)} thick`, changes: [{ path: breadthPath, value: thicker }] }]
        : []),
      ...(legsBetween
        ? [
            {
              say: legsBetween.pairs > 1 ? say`Set one more pair of legs between` : say`Set a pair of legs between`,
              changes: [{ path: legsBetween.path, value: legsBetween.pairs }],
            },
          ]
        : []),
    ];
  };
  const [deeperForSag, ...othersForSag] = ways({
    depth: Math.cbrt(sag / (WATCHED * limit)),
    breadth: sag / (WATCHED * limit),
  });
  const [deeperForStress, ...othersForStress] = ways({
    depth: Math.sqrt(stress / (0.8 * working)),
    breadth: stress / (0.8 * working),
  });
  const where = alike(piece, bending.part);
  const name = words.replace(/,.*$/, '').replace(/^The /, '');
  return [
    made({
      id: `stiffness.${bending.id}-sag`,
      where,
      value: sag,
      limit,
      words: `${words} ${held ? 'give' : 'sag'}, in time,`,
      label: `${held ? 'Give' : 'Sag'} of ${name.toLowerCase()}, in time`,
      formula: held ? `${CREEP} · (wL⁴/8EI + wL²/2κGA)` : `${CREEP} · (5wL⁴/384EI + wL²/8κGA)`,
      inputs: [
        { label: held ? 'Beyond its hold L' : 'Span L', quantity: mm(span) },
        { label: 'Height', quantity: mm(depth) },
        { label: 'Thickness', quantity: mm(breadth) },
        { label: 'Its share of the top and its load', quantity: { amount: load * share, unit: 'newton' } },
        { label: 'E', quantity: { amount: species.modulusOfElasticity, unit: 'megapascal' } },
      ],
      out: deeperForSag as WayOut,
      others: othersForSag,
    }),
    {
      id: `strength.${bending.id}`,
      step: 'form',
      level: judge(stress, working, { sense: 'at-most', watchFrom: working * 0.8 }),
      sentence: say`${words} are stressed to ${{ amount: stress, unit: 'megapascal' }} of ${{ amount: working, unit: 'megapascal' }}.`,
      value: { amount: stress, unit: 'megapascal' },
      limit: { amount: working, unit: 'megapascal' },
      where,
      why: `The working stress is the breaking stress over ${STRESS_FACTOR}. ${CAUTION}`,
      school: WORKING_STRESS_SCHOOL,
      wayOut: deeperForStress as WayOut,
      otherWaysOut: othersForStress,
    },
  ];
}

const thickerFor = (thickness: number, sag: number, limit: number) =>
  Math.ceil(thickness * Math.cbrt(sag / (WATCHED * limit)) + 0.5);

/** Wood of the top across its width: slats have gaps between them, slabs a channel. mm */
const sideBySide = ({ parts }: TableContext['piece']) => parts.some(({ kind }) => kind === 'slat' || kind === 'slab');
const woodAcross = (piece: TableContext['piece']) =>
  !sideBySide(piece)
    ? piece.top.size.width
    : piece.parts
        .filter((part) => part.kind === 'slat' || part.kind === 'slab')
        .reduce((sum, part) => sum + part.size.width, 0);

function topBetween(context: TableContext, load: number): Sag {
  const { document, piece } = context;
  const species = weakestOf(context, piece.top.parts);
  const modulus = species.modulusOfElasticity;
  const { along } = piece.span;
  // Parts side by side help each other nothing across.
  const across = sideBySide(piece) ? null : piece.span.across;
  const { length, thickness } = piece.top.size;
  const perStrip = (load / (length * woodAcross(piece))) * 1000;
  const strip = (ratio: number) => ({ breadth: 1000, depth: thickness, modulus: modulus * ratio });
  const alone = {
    along: uniformSag(strip(1), along, perStrip),
    across: across === null ? null : uniformSag(strip(ACROSS_GRAIN_RATIO), across, perStrip),
  };
  // Two crossing strips sink equally, so the load parts itself by their stiffness.
  const once = alone.across === null ? alone.along : (alone.along * alone.across) / (alone.along + alone.across);
  const value = CREEP * once;
  const limit = Math.min(across ?? along, along) * SAG_PER_SPAN;
  const { base } = document.form;
  const thicker = thickerFor(thickness, value, limit);
  return {
    id: 'stiffness.top-sag',
    where: piece.top.parts,
    value,
    limit,
    words:
      across === null
        ? 'Between what carries it the top sags, in time,'
        : 'Between aprons and rails the top sags, in time,',
    label: 'Sag of the top between what carries it, in time',
    formula:
      across === null
        ? `${CREEP} · (5wL⁴/384EI + wL²/8κGA)`
        : `${CREEP} · δ₁δ₂/(δ₁ + δ₂) of two crossing strips (Grashof), each 5wL⁴/384EI + wL²/8κGA; E across = ${ACROSS_GRAIN_RATIO}·E`,
    inputs: [
      ...(across === null ? [] : [{ label: 'Clear width between aprons', quantity: mm(across) }]),
      {
        label: across === null ? 'Clear between its bearers L' : 'Between end aprons and cross rails',
        quantity: mm(along),
      },
      { label: 'Alone along the grain', quantity: movement(alone.along) },
      ...(alone.across === null ? [] : [{ label: 'Alone across the grain', quantity: movement(alone.across) }]),
      { label: 'Thickness', quantity: mm(thickness) },
      { label: 'Top and its load', quantity: { amount: load, unit: 'newton' } },
      { label: 'E along the grain', quantity: { amount: modulus, unit: 'megapascal' } },
    ],
    out:
      base.kind === 'leg-apron' && base.crossRails < 6
        ? { say: say`Add a cross rail`, changes: [{ path: 'form.base.crossRails', value: base.crossRails + 1 }] }
        : { say: say`Make the top ${mm(thicker)} thick`, changes: [{ path: 'form.top.thickness', value: thicker }] },
  };
}

function topBeyond(context: TableContext): Sag {
  const { document, piece } = context;
  const species = weakestOf(context, piece.top.parts);
  const { edge } = document.form.loads;
  const { width, thickness } = piece.top.size;
  const reach = piece.span.beyond;
  const leads = sideBySide(piece) ? piece.top.leads : undefined;
  const leading = leadingPart(piece);
  // A slat or a slab has nobody beside it to help.
  const breadth = leads === undefined ? Math.min(width, 600) : (leading?.size.width ?? width);
  const value = cantileverSag({ breadth, depth: thickness, modulus: species.modulusOfElasticity }, reach, edge);
  const limit = 3;
  const thicker = thickerFor(thickness, value, limit);
  return {
    id: 'stiffness.top-end',
    atOnce: true,
    where: piece.top.parts,
    value,
    limit,
    words: `With somebody leaning on it, the end of ${leads ?? 'the top'} gives`,
    label: 'Give of the end under the edge load',
    formula:
      leads === undefined
        ? 'PL³/3EI + PL/κGA, at most 600 mm of the width taking part'
        : `PL³/3EI + PL/κGA of ${leads}`,
    inputs: [
      { label: 'Overhang L beyond what carries it', quantity: mm(reach) },
      { label: 'Width taking part', quantity: mm(breadth) },
      { label: 'Thickness', quantity: mm(thickness) },
      { label: 'Edge load P', quantity: { amount: edge, unit: 'newton' } },
      { label: 'E', quantity: { amount: species.modulusOfElasticity, unit: 'megapascal' } },
    ],
    out: { say: say`Make the top ${mm(thicker)} thick`, changes: [{ path: 'form.top.thickness', value: thicker }] },
  };
}
