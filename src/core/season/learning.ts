/** A width measured on a day, with what the forecast knew of that day. */
export interface MeasuredWidth {
  /** mm */
  width: number;
  /** % forecast without correction. */
  moisture: number;
  /** How much of 1 % more moisture in the home's air has reached the wood by then, 0–1. */
  response: number;
}

/** What the measured widths say about this piece: movement times `factor`, moisture plus `offset` % where the home's air has reached it. */
export interface Correction {
  factor: number;
  offset: number;
  /** How unsure either still is, one standard deviation. */
  spread: { factor: number; offset: number };
}

/**
 * How sure the forecast is of itself before anything is measured (one standard deviation): the wood's coefficient within
 * 15 %, the home's air within 1 % of wood moisture; a tape reads to 0.5 mm. Common practice.
 */
export const PRIOR = { factor: 0.15, offset: 1, reading: 0.5 } as const;

export const NO_CORRECTION: Correction = {
  factor: 1,
  offset: 0,
  spread: { factor: PRIOR.factor, offset: PRIOR.offset },
};

/**
 * Corrects a piece's forecast by the widths measured on it: least squares on an effective coefficient and an offset of the home's air, with
 * what was believed before as two more observations, so that one reading moves the forecast part of the way and no more.
 * Gauss–Newton; the width is all but linear in both.
 *
 * @param widthAt the forecast's width, mm, at a moisture (%) and a factor on movement
 */
export function learnFrom(
  measured: readonly MeasuredWidth[],
  widthAt: (moisture: number, factor: number) => number,
): Correction {
  if (measured.length === 0) return NO_CORRECTION;
  let { factor, offset, spread } = NO_CORRECTION;
  for (let round = 0; round < 8; round += 1) {
    // Normal equations of the residuals, the prior's first.
    let [ff, fo, oo] = [1 / PRIOR.factor ** 2, 0, 1 / PRIOR.offset ** 2];
    let [f, o] = [(1 - factor) / PRIOR.factor ** 2, -offset / PRIOR.offset ** 2];
    for (const { width, moisture, response } of measured) {
      const at = (k: number, by: number) => widthAt(moisture + by * response, k);
      const now = at(factor, offset);
      const byFactor = (at(factor + 1e-4, offset) - now) / 1e-4;
      const byOffset = (at(factor, offset + 1e-3) - now) / 1e-3;
      const weight = 1 / PRIOR.reading ** 2;
      ff += weight * byFactor ** 2;
      fo += weight * byFactor * byOffset;
      oo += weight * byOffset ** 2;
      f += weight * byFactor * (width - now);
      o += weight * byOffset * (width - now);
    }
    const determinant = ff * oo - fo * fo;
    const [stepF, stepO] = [(f * oo - o * fo) / determinant, (o * ff - f * fo) / determinant];
    spread = { factor: Math.sqrt(oo / determinant), offset: Math.sqrt(ff / determinant) };
    factor += stepF;
    offset += stepO;
    if (Math.abs(stepF) < 1e-9 && Math.abs(stepO) < 1e-9) break;
  }
  return { factor, offset, spread };
}
