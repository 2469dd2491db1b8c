/** Reading and writing lengths the way makers say them. 1 in = 25.4 mm exactly. */

export const MM_PER_INCH = 25.4;

/** Steps that stops and fences are set to for rough cuts, mm: whole millimetres or sixteenths. Common practice. */
export const sawStep = (units: 'metric' | 'inch'): number => (units === 'inch' ? MM_PER_INCH / 16 : 1);

/** A size made larger to whole steps, mm. */
export const upToStep = (mm: number, step: number): number => Math.ceil(mm / step - 1e-6) * step;

export type UnitSystem = 'metric' | 'inch';
export type InchFraction = 8 | 16 | 32 | 64;

/** What stands before the decimals of a figure. */
export const DECIMAL_MARKS = ['point', 'comma'] as const;
export type DecimalMark = (typeof DECIMAL_MARKS)[number];

/** How lengths and figures are written; with a point, where no mark is chosen. */
export type LengthStyle = { decimal?: DecimalMark } & (
  | { system: 'metric'; decimals?: 0 | 1 | 2 }
  | { system: 'inch'; fraction?: InchFraction; feet?: boolean; mark?: boolean }
);

/** The chosen mark in a figure that is written with a point. */
export const withMark = (figure: string, decimal: DecimalMark | undefined): string =>
  decimal === 'comma' ? figure.replace('.', ',') : figure;

export type ParsedLength = { mm: number; quarters?: number } | { problem: string };

const VULGAR: Record<string, string> = {
  '½': '1/2',
  '⅓': '1/3',
  '⅔': '2/3',
  '¼': '1/4',
  '¾': '3/4',
  '⅕': '1/5',
  '⅖': '2/5',
  '⅗': '3/5',
  '⅘': '4/5',
  '⅙': '1/6',
  '⅚': '5/6',
  '⅛': '1/8',
  '⅜': '3/8',
  '⅝': '5/8',
  '⅞': '7/8',
};

const UNIT_MM: Record<string, number> = {
  mm: 1,
  millimetre: 1,
  millimetres: 1,
  cm: 10,
  dm: 100,
  m: 1000,
  '"': MM_PER_INCH,
  in: MM_PER_INCH,
  inch: MM_PER_INCH,
  inches: MM_PER_INCH,
  "'": 12 * MM_PER_INCH,
  ft: 12 * MM_PER_INCH,
  foot: 12 * MM_PER_INCH,
  feet: 12 * MM_PER_INCH,
};

const NUMBER = /^(?:(\d+)\s*\/\s*(\d+)|(\d+(?:\.\d+)?|\.\d+)(?:(?:\s+|\s*-\s*)(\d+)\s*\/\s*(\d+))?)/;
const SUFFIX = /^\s*(mm|millimetres?|cm|dm|m(?![a-z])|"|inches|inch|in(?![a-z])|'|feet|foot|ft)/i;
const EXAMPLES = 'Write it like 750, 75 cm, 29 1/2, 29-1/2" or 2\' 5 1/2".';

/**
 * Reads one length. A bare number is in the workshop's own unit (mm or inches); a fraction without a unit is in
 * inches in either, so `8/4` is two inches, and `quarters` says that it was spoken as a rough thickness.
 * A trailing + or − (the remainder mark of {@link formatLength}) is accepted and ignored.
 *
 * @example parseLength("2' 5 1/2\"", 'metric') // { mm: 749.3 }
 */
export function parseLength(text: string, system: UnitSystem, options: { allowNegative?: boolean } = {}): ParsedLength {
  let rest = tidy(text);
  if (rest === '') return { problem: `Nothing is written here. ${EXAMPLES}` };

  let sign = 1;
  if (rest.startsWith('-')) {
    if (!options.allowNegative)
      return { problem: 'This length cannot be less than nothing. Leave out the minus sign.' };
    sign = -1;
    rest = rest.slice(1).trim();
  } else if (rest.startsWith('+')) rest = rest.slice(1).trim();

  rest = rest.replace(/\s*[+-]$/, '');
  const thousands = /^(\d{1,3})'(\d{3})(?!\d)/.exec(rest);
  if (thousands) {
    const [, left, right] = thousands;
    return {
      problem: `“${text.trim()}” could be ${left}${right} or ${left} ft ${right} in. Write one of these, without the mark between.`,
    };
  }
  const spaced = /^(\d{1,3}(?: \d{3})+)[ -](\d+\s*\/\s*\d+)\s*$/.exec(rest);
  if (spaced) return { problem: halfOfWhat(text, (spaced[1] ?? '').replace(/ /g, ''), spaced[2] ?? '') };
  const marks = settleMarks(rest);
  if ('problem' in marks) return marks;
  rest = marks.text;

  const quarters = /^(\d+)\s*\/\s*4$/.exec(rest);
  let total = 0;
  let lastUnit = Number.POSITIVE_INFINITY;
  while (rest !== '') {
    const number = NUMBER.exec(rest);
    if (!number) return { problem: `“${text.trim()}” does not read as a length at “${rest}”. ${EXAMPLES}` };
    const [whole, overAlone, underAlone, wholePart, overMixed, underMixed] = number;
    const over = overAlone ?? overMixed;
    const under = underAlone ?? underMixed;
    if (under !== undefined && Number(under) === 0) {
      return { problem: 'A fraction cannot be over zero. Write 1/2, 3/8 or the like.' };
    }
    const value = Number(wholePart ?? 0) + (over !== undefined ? Number(over) / Number(under) : 0);
    rest = rest.slice(whole.length);

    const suffix = SUFFIX.exec(rest);
    let unit: number;
    if (suffix) {
      rest = rest.slice(suffix[0].length).replace(/^[\s,-]+/, '');
      unit = UNIT_MM[(suffix[1] ?? '').toLowerCase()] ?? 1;
    } else {
      if (rest.trim() !== '') {
        return { problem: `“${text.trim()}” does not read as a length at “${rest.trim()}”. ${EXAMPLES}` };
      }
      rest = '';
      const afterFeet = lastUnit === UNIT_MM.ft;
      if (system === 'metric' && !afterFeet && over !== undefined && Number(wholePart ?? 0) >= MOST_INCHES) {
        return { problem: halfOfWhat(text, wholePart ?? '', `${over}/${under}`) };
      }
      unit = over !== undefined || afterFeet || system === 'inch' ? MM_PER_INCH : 1;
    }
    if (lastUnit === UNIT_MM.ft && unit === MM_PER_INCH && value >= 12) {
      return {
        problem: `“${text.trim()}” has ${Number(value.toFixed(4))} inches after its feet; after feet come less than 12. Write it in inches alone.`,
      };
    }
    if (unit >= lastUnit) {
      return { problem: `“${text.trim()}” goes from a small unit to a larger one. Write feet before inches.` };
    }
    lastUnit = unit;
    total += value * unit;
  }
  if (!Number.isFinite(total) || total > 1e6)
    return { problem: 'That is more than a kilometre of wood. Check the unit.' };
  const mm = total === 0 ? 0 : sign * total;
  return quarters && sign > 0 ? { mm, quarters: Number(quarters[1]) } : { mm };
}

/** A fraction without a unit is in inches; after more whole ones than this nobody in a metric shop means inches. */
const MOST_INCHES = 240;

const halfOfWhat = (text: string, whole: string, fraction: string) =>
  `“${text.trim()}” could be ${whole} ${fraction} in, or millimetres and a part of one. Write ${whole} ${fraction} in, or ${whole}.5 and the like.`;

/** Primes, quotes, vulgar fractions, fraction slashes and odd spaces as plain characters. */
function tidy(text: string): string {
  const plain = text
    .replace(/[½⅓⅔¼¾⅕⅖⅗⅘⅙⅚⅛⅜⅝⅞]/g, (glyph) => ` ${VULGAR[glyph]}`)
    .replace(/⁄/g, '/')
    .replace(/[″”“]/g, '"')
    .replace(/[′’‘]/g, "'")
    .replace(/''/g, '"');
  return plain
    .replace(/[\s\u00a0\u2007\u2009\u202f]+/g, ' ')
    .replace(/[−–]/g, '-')
    .trim();
}

const SPACED_THOUSANDS = /(^|[^\d.,])(\d{1,3})((?: \d{3})+)(?![\d/]|\s*\/)/g;

/** Settles thousands spaces and the decimal comma; a comma that could be either is asked back. */
function settleMarks(input: string): { text: string } | { problem: string } {
  const text = input.replace(SPACED_THOUSANDS, (_, before, first, groups) => before + first + groups.replace(/ /g, ''));
  const both = /^\d{1,3}(?:,\d{3})+(?=\.\d)/.exec(text);
  if (both) return { text: both[0].replace(/,/g, '') + text.slice(both[0].length) };
  const ambiguous = /(?:^|[^\d,.])([1-9]\d{0,2}),(\d{3})(?!\d)/.exec(text);
  if (ambiguous) {
    const [, left, right] = ambiguous;
    return { problem: `“${left},${right}” could be ${left}${right} or ${left}.${right}. Write one of these.` };
  }
  return { text: text.replace(/(\d),(\d)/g, '$1.$2').replace(/(^|[^\d]),(\d)/g, '$1.$2') };
}

/**
 * Writes a length. Metric is millimetres with thin-space thousands; inches go to the nearest `fraction`.
 */
export function formatLength(mm: number, style: LengthStyle): string {
  if (!Number.isFinite(mm)) return '–';
  return style.system === 'metric'
    ? withMark(formatMillimetres(mm, style.decimals ?? 1), style.decimal)
    : formatInches(mm, style);
}

function formatMillimetres(mm: number, decimals: number): string {
  const rounded = Math.abs(mm).toFixed(decimals);
  const [whole = '0', part = ''] = rounded.split('.');
  const grouped = whole.replace(/\B(?=(\d{3})+(?!\d))/g, '\u202f');
  const kept = part.replace(/0+$/, '');
  const sign = mm < 0 && Number(rounded) !== 0 ? '−' : '';
  return `${sign}${grouped}${kept ? `.${kept}` : ''}`;
}

function formatInches(mm: number, style: { fraction?: InchFraction; feet?: boolean; mark?: boolean }): string {
  const denominator = style.fraction ?? 16;
  const parts = Math.round((Math.abs(mm) / MM_PER_INCH) * denominator);
  const sign = mm < 0 && parts > 0 ? '−' : '';
  const mark = style.mark === false ? '' : '"';

  const feet = style.feet ? Math.floor(parts / (12 * denominator)) : 0;
  const left = parts - feet * 12 * denominator;
  const inches = Math.floor(left / denominator);
  const over = left - inches * denominator;
  const divisor = greatestCommonDivisor(over, denominator);
  const fraction = over > 0 ? `${over / divisor}/${denominator / divisor}` : '';
  const inchText = [inches > 0 || !fraction ? String(inches) : '', fraction].filter(Boolean).join(' ');
  return `${sign}${feet > 0 ? `${feet}' ` : ''}${inchText}${mark}`;
}

function greatestCommonDivisor(a: number, b: number): number {
  return b === 0 ? a : greatestCommonDivisor(b, a % b);
}
