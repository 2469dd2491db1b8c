/**
 * Units that are read where lengths are in inches. Factors are exact by definition, or to all digits of NIST Special
 * Publication 811, appendix B; a board foot is 144 in³ (NHLA).
 */
export interface ReaderUnit {
  name: string;
  /** Behind the point, as it is written. */
  digits: number;
  /** From the unit it is kept in, and back to it. */
  of: (kept: number) => number;
  back: (read: number) => number;
}

const times = (name: string, digits: number, factor: number): ReaderUnit => ({
  name,
  digits,
  of: (kept) => kept / factor,
  back: (read) => read * factor,
});

/** m³ of a board foot. */
export const BOARD_FOOT = 144 * 0.0254 ** 3;

/** What a cubic metre costs, by the board foot. */
export const PER_BOARD_FOOT: ReaderUnit = {
  name: '/board foot',
  digits: 2,
  of: (kept) => kept * BOARD_FOOT,
  back: (read) => read / BOARD_FOOT,
};

export const CUSTOMARY = {
  celsius: { name: '°F', digits: 0, of: (c) => (c * 9) / 5 + 32, back: (f) => ((f - 32) * 5) / 9 },
  newton: times('lbf', 0, 4.4482216152605),
  'newton-metre': times('lbf·ft', 1, 1.3558179483314),
  megapascal: times('psi', 0, 0.0068947572931684),
  kilogram: times('lb', 1, 0.45359237),
  gram: times('oz', 1, 28.349523125),
  'cubic-metre': times('board feet', 2, BOARD_FOOT),
  'square-metre': times('ft²', 1, 0.3048 ** 2),
} as const satisfies Record<string, ReaderUnit>;

/** What is read instead of the units that figures of decisions are kept in. */
export const READ_OTHERWISE: Readonly<Record<string, ReaderUnit>> = {
  N: CUSTOMARY.newton,
  kg: CUSTOMARY.kilogram,
  '°C': CUSTOMARY.celsius,
  '/m³': PER_BOARD_FOOT,
};
