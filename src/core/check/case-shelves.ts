import { mm, movement, say } from '../measure/quantity';
import type { ShelfSpan } from '../piece/case/case-plan';
import { woodOf } from '../piece/part';
import { findPart } from '../piece/piece';
import { GRAVITY, weightOf } from '../piece/weight';
import { type CaseContext, type Check, judge, WORKING_STRESS_SCHOOL } from './check';
import { shelfModulus, shelfSag } from './shelf-beam';
import { CREEP, SAG_PER_SPAN, STRESS_FACTOR, WATCHED } from './stiffness';

const CAUTION = 'A design figure for clear, straight-grained wood; not a certification.';
/** A lip that is tried where a shelf sags, mm; common practice. */
const USUAL_LIP = { depth: 38, thickness: 20 };

const THICK: Readonly<Record<ShelfSpan['thick'], string>> = {
  'form.inside.thickness': 'shelves and uprights',
  'form.carcass.across': 'top and bottom',
  'form.carcass.corner.floor.thickness': 'its panels',
};

/** As many as are short enough: what it sags against its length grows with the cube of that. */
function ofMore({ oneOf }: ShelfSpan, over: number) {
  if (!oneOf) return null;
  const count = Math.ceil(oneOf.count * Math.cbrt(over) * MORE);
  return {
    say: say`Divide it into ${count.toFixed(0)} panels`,
    changes: [{ path: oneOf.path, value: count }],
  };
}
/** The bars between them take of it too. */
const MORE = 1.05;

/** What the shelves of a case sag in time under what stands on them, and how far they are stressed; those alike once. */
export function shelvesOfCase(context: CaseContext): Check[] {
  const { piece, document } = context;
  const alike = new Map<string, (typeof piece.spans)[number][]>();
  for (const span of piece.spans) {
    const sizes = [span.span, span.breadth, span.thickness, span.load].map((n) => n.toFixed(1));
    const key = [...sizes, span.thick, JSON.stringify(span.lip)].join();
    alike.set(key, [...(alike.get(key) ?? []), span]);
  }
  return [...alike.values()].flatMap((spans, i) => {
    const [span] = spans;
    const part = span && findPart(piece, span.part);
    if (!span || !part) return [];
    const wood = woodOf(part, context.species);
    const own = (weightOf([part], wood, context.season.glued.moisture) * GRAVITY) / span.span;
    const perMm = span.load / 1000 + own;
    const once = shelfSag(span, wood.modulusOfElasticity, perMm);
    const sag = CREEP * once;
    const limit = span.span * SAG_PER_SPAN;
    const thicker = Math.ceil(span.thickness * Math.cbrt(sag / (WATCHED * limit)) + 1);
    const moment = (perMm * span.span ** 2) / 8;
    const stress = moment / shelfModulus(span);
    const working = wood.modulusOfRupture / STRESS_FACTOR;
    const where = spans.map(({ part: id }) => id);
    const words = spans.length === 1 ? span.words : `${span.words}, and ${spans.length - 1} like it`;
    const newton = (amount: number) => ({ amount, unit: 'newton' as const });
    const megapascal = (amount: number) => ({ amount, unit: 'megapascal' as const });
    const place = i === 0 ? '' : `-${i + 1}`;
    const lipped = {
      say: say`Glue a lip ${mm(USUAL_LIP.depth)} deep under the front edge of every shelf`,
      changes: [{ path: 'form.inside.lip', value: USUAL_LIP }],
    };
    const isShelf = span.thick === 'form.inside.thickness';
    const thick = {
      say: say`Make ${THICK[span.thick]} ${mm(thicker)} thick`,
      changes: [{ path: span.thick, value: thicker }],
    };
    const shorter = isShelf && !document.form.inside.lip ? lipped : ofMore(span, sag / (WATCHED * limit));
    const ways = shorter ? { wayOut: shorter, otherWaysOut: [thick] } : { wayOut: thick };
    return [
      {
        id: `stiffness.case-shelf${place}`,
        step: 'form' as const,
        level: judge(sag, limit, { sense: 'at-most', watchFrom: limit * WATCHED }),
        sentence: say`${words}: under ${newton(span.load)} on a metre it sags, in time, ${movement(sag)}; the eye accepts ${movement(limit)}.`,
        value: movement(sag),
        limit: movement(limit),
        where,
        why: `What sags at once sags more after years. ${CAUTION}`,
        school: 'Elastic bending, its ends resting; the limit is common practice',
        figure: {
          id: `stiffness.case-shelf${place}`,
          label: 'Sag of the shelf, in time',
          quantity: movement(sag),
          formula: `${CREEP} · (5wL⁴/384EI + wL²/8κGA)`,
          inputs: [
            { label: 'Clear between its ends L', quantity: mm(span.span) },
            { label: 'Wide', quantity: mm(span.breadth) },
            { label: 'Thick', quantity: mm(span.thickness) },
            ...(span.lip ? [{ label: 'Lip, deep', quantity: mm(span.lip.depth) }] : []),
            { label: 'On a metre of it', quantity: newton(span.load) },
            { label: 'E', quantity: megapascal(wood.modulusOfElasticity) },
            { label: 'At once', quantity: movement(once) },
          ],
          source: `Roark, beam formulas with shear (G = E/16); species table; creep × ${CREEP}, Wood Handbook ch. 5`,
          limits: span.lip ? `A lip at one edge lets the shelf twist a little, which is left out. ${CAUTION}` : CAUTION,
        },
        ...ways,
      },
      {
        id: `strength.case-shelf${place}`,
        step: 'form' as const,
        level: judge(stress, working, { sense: 'at-most', watchFrom: working * 0.8 }),
        sentence: say`${words}: it is stressed to ${megapascal(stress)} of ${megapascal(working)}.`,
        value: megapascal(stress),
        limit: megapascal(working),
        where,
        why: `The working stress is the breaking stress over ${STRESS_FACTOR}. ${CAUTION}`,
        school: WORKING_STRESS_SCHOOL,
        wayOut: thick,
      },
    ];
  });
}
