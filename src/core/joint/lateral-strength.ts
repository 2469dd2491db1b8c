/**
 * What a screw or a bolt takes square to its length before the wood round it gives or it bends: the yield limits of a
 * dowel-type fastener in single shear (K. W. Johansen 1949; National Design Specification for Wood Construction, chapter on
 * dowel-type fasteners). Coefficients from memory; mm, N, MPa.
 */

/** What the wood presses back with before it gives, MPa: 16 600·G^1.84 psi under a quarter inch, 6 100·G^1.45/√D across the grain above. */
export const embedment = (gravity: number, diameter: number): number =>
  diameter < 6.35 ? 16600 * gravity ** 1.84 * PSI : (6100 * gravity ** 1.45 * PSI) / Math.sqrt(diameter / INCH);

const PSI = 0.00689476;
const INCH = 25.4;
/** A steel plate's, and how far a screw's or a bolt's steel bends before it stays bent, MPa. */
export const STEEL_EMBEDMENT = 600;
export const SCREW_STEEL = 620;
export const BOLT_STEEL = 310;

export interface Member {
  /** How far the fastener goes in it. */
  deep: number;
  embedment: number;
}

/** The least of the six yield limits, N: `main` has the fastener's end, `side` its head. */
export function lateralYield(diameter: number, main: Member, side: Member, steel: number): number {
  const [d, lm, ls] = [diameter, main.deep, side.deep];
  const re = main.embedment / side.embedment;
  const rt = lm / ls;
  const [fm, fs] = [main.embedment, side.embedment];
  const k1 = (Math.sqrt(re + 2 * re ** 2 * (1 + rt + rt ** 2) + rt ** 2 * re ** 3) - re * (1 + rt)) / (1 + re);
  const bends = (2 * steel * d ** 2) / (3 * fm);
  const k2 = -1 + Math.sqrt(2 * (1 + re) + (bends * (1 + 2 * re)) / lm ** 2);
  const k3 = -1 + Math.sqrt((2 * (1 + re)) / re + (bends * (2 + re)) / ls ** 2);
  return Math.min(
    d * lm * fm,
    d * ls * fs,
    k1 * d * ls * fs,
    (k2 * d * lm * fm) / (1 + 2 * re),
    (k3 * d * ls * fm) / (2 + re),
    d ** 2 * Math.sqrt((2 * fm * steel) / (3 * (1 + re))),
  );
}

/** What a yield limit is divided by for a load that comes and goes: 2.2 for thin screws, 10·D + 0.5 in inches to a quarter inch, 4 above. */
export function yieldFactor(diameter: number): number {
  const inches = diameter / INCH;
  if (inches <= 0.17) return 2.2;
  return inches <= 0.25 ? 10 * inches + 0.5 : 4;
}
