/** Figures that a proposal is rounded to, and kept between; mm. */
export const to5 = (mm: number): number => Math.round(mm / 5) * 5;
export const within = (mm: number, least: number, most: number): number => Math.min(most, Math.max(least, mm));

/** A top longer than this wants the larger sections, mm (common practice). */
export const LARGE_TABLE = 1300;
