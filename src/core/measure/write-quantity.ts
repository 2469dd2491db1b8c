import { BOARD_FOOT, CUSTOMARY } from './customary';
import { formatLength, type InchFraction, type LengthStyle, MM_PER_INCH, withMark } from './length';
import type { Phrase, Quantity } from './quantity';

/** A length as the shop reads it: half millimetres or its fraction; `fine` where a tenth of a millimetre matters. */
export function writeLength(mm: number, style: LengthStyle, fine = false): string {
  // Less than a step of the rule is never written as nothing, nor as much more than it is.
  if (style.system === 'metric') {
    const shown = fine || Math.abs(mm) < 0.25 ? mm : Math.round(mm * 2) / 2;
    return formatLength(shown, { ...style, decimals: Math.abs(shown) < 0.05 ? 2 : 1 });
  }
  const fraction = style.fraction ?? 16;
  const usual = fine ? (Math.max(fraction, 32) as InchFraction) : fraction;
  if (mm === 0 || Math.abs(mm) >= MM_PER_INCH / usual) return formatLength(mm, { ...style, fraction: usual });
  const steps = ([16, 32, 64] as const).filter((own) => own >= usual);
  const near = steps.find((own) => Math.abs(toStep(mm, own) - mm) <= OFF * Math.abs(mm));
  return near ? formatLength(mm, { ...style, fraction: near }) : thousandths(mm, style);
}

/** How far a small length may be written off, as a share of it. */
const OFF = 0.25;

const toStep = (mm: number, fraction: InchFraction) =>
  (Math.round((mm / MM_PER_INCH) * fraction) / fraction) * MM_PER_INCH;

const thousandths = (mm: number, style: LengthStyle) =>
  Math.abs(mm) < MM_PER_INCH / 2000 ? '0"' : `${writeNumber(mm / MM_PER_INCH, 3, style)}"`;

/** A rule of thumb with its unit, as a reader of these units says it: to 5 mm, or to half an inch. */
export const writeRule = (mm: number, { system }: LengthStyle): string =>
  system === 'metric'
    ? `${formatLength(Math.round(mm / 5) * 5, { system })} mm`
    : formatLength(mm, { system, fraction: 8 });

/** A number with its unit, as the reader of these units reads it; never more digits than can be measured, but those that are asked for. */
export function writeQuantity({ amount, unit }: Quantity, style: LengthStyle, more = 0): string {
  const suffix = style.system === 'metric' ? ' mm' : '';
  const to = (digits: number) => writeNumber(amount, digits + more, style);
  switch (unit) {
    case 'mm':
      return `${writeLength(amount, style)}${suffix}`;
    case 'mm-movement':
      return `${writeLength(amount, style, true)}${suffix}`;
    case 'percent':
    case 'percent-moisture':
      return `${to(1)} %`;
    case 'degrees':
      return `${to(0)}°`;
    case 'hours':
      return `${to(1)} h`;
    case 'minutes':
      return `${to(0)} min`;
    case 'days':
      return `${to(0)} days`;
    case 'board-foot':
      return style.system === 'metric' ? writeVolume(amount * BOARD_FOOT, more, style) : `${to(1)} board feet`;
    case 'count':
      return to(0);
    case 'ratio':
      return to(2);
    case 'coefficient':
      return `${to(5)} per %`;
    default:
      return style.system === 'metric'
        ? writeMetric(amount, unit, more, style)
        : writeCustomary(amount, unit, more, style);
  }
}

/** A number with so many decimals, with the reader's mark before them. */
export const writeNumber = (amount: number, digits: number, { decimal }: Pick<LengthStyle, 'decimal'>): string =>
  withMark(amount.toFixed(digits).replace('-', '−'), decimal);

/** Units that another reader reads otherwise. */
type Converted = keyof typeof CUSTOMARY;

function writeMetric(amount: number, unit: Converted, more: number, style: LengthStyle): string {
  const to = (digits: number) => writeNumber(amount, digits + more, style);
  switch (unit) {
    case 'celsius':
      return `${to(1)} °C`;
    case 'newton':
      return `${to(0)} N`;
    case 'newton-metre':
      return `${to(1)} N·m`;
    case 'megapascal':
      return `${to(amount < 100 ? 1 : 0)} MPa`;
    case 'kilogram':
      return `${to(1)} kg`;
    case 'gram':
      return `${to(0)} g`;
    case 'cubic-metre':
      return `${to(4)} m³`;
    case 'square-metre':
      return `${to(2)} m²`;
  }
}

/** Rough wood as it is bought: cubic metres, and cubic decimetres where it is little. */
const writeVolume = (m3: number, more: number, style: LengthStyle) =>
  m3 < 0.01 ? `${writeNumber(m3 * 1000, 2 + more, style)} dm³` : `${writeNumber(m3, 3 + more, style)} m³`;

function writeCustomary(amount: number, unit: Converted, more: number, style: LengthStyle): string {
  const { name, digits, of } = CUSTOMARY[unit];
  const read = of(amount);
  // Of what is stiff, psi has more figures than anybody reads.
  if (unit === 'megapascal' && Math.abs(read) >= 1e5) return `${writeNumber(read / 1e6, 2 + more, style)} million psi`;
  return `${writeNumber(read, digits + more, style)} ${name}`;
}

/** Of a phrase, each part as it is written; two figures that differ are never written alike beside each other. */
export function writtenParts(phrase: Phrase, style: LengthStyle): string[] {
  const written = phrase.map((part) => (typeof part === 'string' ? part : writeQuantity(part, style)));
  return written.map((text, i) => {
    const own = phrase[i];
    if (own === undefined || typeof own === 'string') return text;
    const alike = phrase.flatMap((other, j) => {
      if (j === i || typeof other === 'string' || other.unit !== own.unit || written[j] !== text) return [];
      return Math.abs(other.amount - own.amount) > 1e-6 ? other.amount : [];
    });
    return alike.length > 0 ? writeFinely(own, alike, style) : text;
  });
}

/** So finely that it is not written like the others: finer than is read off a rule where that must be. */
function writeFinely(own: Quantity, others: readonly number[], style: LengthStyle): string {
  const { amount, unit } = own;
  if (unit !== 'mm' && unit !== 'mm-movement') return writeQuantity(own, style, 1);
  if (style.system === 'metric') return `${writeNumber(amount, 2, style)} mm`;
  const apart = ([32, 64] as const).find((fraction) =>
    others.every(
      (other) => formatLength(other, { ...style, fraction }) !== formatLength(amount, { ...style, fraction }),
    ),
  );
  return apart ? formatLength(amount, { ...style, fraction: apart }) : thousandths(amount, style);
}

/** A phrase as plain text. */
export const writePhrase = (phrase: Phrase, style: LengthStyle): string => writtenParts(phrase, style).join('');
