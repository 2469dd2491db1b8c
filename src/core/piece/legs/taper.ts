import { type Convex, stacked } from '../../solid/convex';
import { type Flat, type Outline, polygonOf } from '../../solid/outline';
import type { Vec } from '../../solid/vector';
import type { Part } from '../part';

type Taper = NonNullable<Part['taper']>;

/** How far the solids of a curved taper may lie beside its arc, mm. */
const COARSE = 0.2;

/** Never thinner than this, so that there is a solid to tell of, mm. */
const LEAST_LEFT = 2;

/** How far a tapered face has come in at the floor. mm */
const fullInset = (section: number, taper: Taper): number => (section - taper.foot) / (taper.faces === 'all' ? 2 : 1);

/** A belly deeper than a quarter of what the taper takes would stand out of the blank above. mm */
export const mostBelly = (section: number, taper: Taper): number => Math.max(0, fullInset(section, taper)) / 4;

/** How far the middle lies behind the chord: as decided, a belly no deeper than the blank has room for. mm */
const hollowOf = (section: number, taper: Taper): number => Math.max(taper.hollow ?? 0, -mostBelly(section, taper));

/** Places up a tapered face, from the floor to where it begins, with how far it has come in there. mm */
function insets(section: number, taper: Taper): Flat[] {
  const full = fullInset(section, taper);
  const { from } = taper;
  const hollow = hollowOf(section, taper);
  const arc = polygonOf([{ at: [0, full], sagitta: -hollow }, { at: [from, 0] }], COARSE);
  const end = arc.findIndex(([height]) => height > from - 1e-6);
  // However deep it is drawn, something is left of the leg.
  const most = (section - LEAST_LEFT) / (taper.faces === 'all' ? 2 : 1);
  return arc
    .slice(0, end < 0 ? arc.length : end + 1)
    .map(([height, inset]) => [height, Math.min(most, Math.max(0, inset))]);
}

/** How far in a tapered face is at a height above the floor, and how steeply it comes out there: mm, and mm per mm. */
export function taperAt(section: number, taper: Taper, height: number): { inset: number; slope: number } {
  if (height >= taper.from) return { inset: 0, slope: 0 };
  const places = insets(section, taper);
  const i = Math.max(
    1,
    places.findIndex(([h]) => h > height),
  );
  const [[h0, in0], [h1, in1]] = [places[i - 1] as Flat, places[i] as Flat];
  const slope = (in0 - in1) / (h1 - h0);
  return { inset: in0 - slope * (height - h0), slope };
}

/** Parts that a leg is cut into when it is summed up along its length; even, for Simpson's rule. */
const SUMMED = 64;

/**
 * How far a leg bends at its foot when it is held at a height above the floor and pushed level there: ∫ s²/I(s) ds from the
 * floor up, in 1/mm, to be multiplied by the push and divided by the modulus of elasticity. A straight leg gives h³/3I; one
 * that tapers or is hollowed is summed up over its sections (unit load method; Simpson's rule on either side of where the
 * taper begins).
 *
 * @param section the side of the square leg where it is not tapered, mm
 * @param held    height above the floor at which it is held, mm
 */
export function legCompliance(section: number, taper: Taper | null, held: number): number {
  const sides = taper?.faces === 'all' ? 2 : 1;
  const over = (height: number) => {
    const side = taper ? section - sides * taperAt(section, taper, height).inset : section;
    return height ** 2 / (side ** 4 / 12);
  };
  const simpson = (from: number, to: number) => {
    if (to <= from) return 0;
    const step = (to - from) / SUMMED;
    let sum = over(from) + over(to);
    for (let i = 1; i < SUMMED; i += 1) sum += (i % 2 ? 4 : 2) * over(from + i * step);
    return (sum * step) / 3;
  };
  const begins = Math.min(held, Math.max(0, taper?.from ?? 0));
  return simpson(0, begins) + simpson(begins, held);
}

/**
 * A leg whose faces run in to its foot, straight or on an arc, the two inside ones or all, in its own axes, its foot at the
 * start; `inward` tells where inside is along its width and its thickness, 0 where neither side is. One solid where the
 * taper is straight, else a row of them from the foot up. mm
 */
export function taperedLeg(
  leg: { section: number; length: number },
  taper: Taper,
  inward: readonly [number, number],
): Convex[] {
  const [half, floor] = [leg.section / 2, -leg.length / 2];
  /** Its section at a height, seen from above. */
  const loop = ([height, inset]: Flat): Vec[] => {
    const ends = (side: number): Flat =>
      taper.faces === 'all'
        ? [-half + inset, half - inset]
        : [-half + (side < 0 ? inset : 0), half - (side > 0 ? inset : 0)];
    const [[w0, w1], [t0, t1]] = [ends(inward[0]), ends(inward[1])];
    const l = floor + height;
    return [
      [l, w0, t0],
      [l, w1, t0],
      [l, w1, t1],
      [l, w0, t1],
    ];
  };
  const loops = [...insets(leg.section, taper), [leg.length, 0] as const].map(loop);
  return taper.hollow ? loops.slice(1).map((upper, i) => stacked([loops[i] ?? upper, upper])) : [stacked(loops)];
}

/** The face of a leg with a curved taper, in its axes of length and width, the outer side below: for templates. mm */
export function taperOutline(leg: { section: number; length: number }, taper: Taper): Outline {
  const [l, half] = [leg.length / 2, leg.section / 2];
  const full = fullInset(leg.section, taper);
  const bend = -l + taper.from;
  const { faces } = taper;
  const hollow = hollowOf(leg.section, taper);
  const lower: Outline =
    faces === 'all' ? [{ at: [-l, full - half], sagitta: -hollow }, { at: [bend, -half] }] : [{ at: [-l, -half] }];
  return [
    ...lower,
    { at: [l, -half] },
    { at: [l, half] },
    { at: [bend, half], sagitta: -hollow },
    { at: [-l, half - full] },
  ];
}
