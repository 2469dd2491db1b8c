import { formatLength, type InchFraction, type LengthStyle, MM_PER_INCH } from './length';
import type { Phrase, Quantity } from './quantity';

/** A length as the shop reads it: half millimetres or its fraction; `fine` where a tenth of a millimetre matters. */
export function writeLength(mm: number, style: LengthStyle, fine = false): string {
  if (style.system === 'metric')
    return formatLength(fine ? mm : Math.round(mm * 2) / 2, { system: 'metric', decimals: 1 });
  const fraction = style.fraction ?? 16;
  return formatLength(mm, { ...style, fraction: fine ? (Math.max(fraction, 32) as InchFraction) : fraction });
}

/** A rule of thumb with its unit, as a reader of these units says it: to 5 mm, or to half an inch. */
export const writeRule = (mm: number, { system }: LengthStyle): string =>
  system === 'metric'
    ? `${formatLength(Math.round(mm / 5) * 5, { system })} mm`
    : formatLength(mm, { system, fraction: 8 });

/** A number with its unit, in the workshop's way; never more digits than can be measured. */
export function writeQuantity({ amount, unit }: Quantity, style: LengthStyle): string {
  const suffix = style.system === 'metric' ? ' mm' : '';
  const to = (digits: number) => amount.toFixed(digits).replace('-', '−');
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
    case 'hours':
      return `${to(1)} h`;
    case 'minutes':
      return `${to(0)} min`;
    case 'days':
      return `${to(0)} days`;
    case 'cubic-metre':
      return `${to(4)} m³`;
    case 'square-metre':
      return `${to(2)} m²`;
    case 'count':
      return to(0);
    case 'ratio':
      return to(2);
    case 'coefficient':
      return `${to(5)} per %`;
  }
}

/** Of a phrase, each part as it is written; two figures that differ are never written alike beside each other. */
export function writtenParts(phrase: Phrase, style: LengthStyle): string[] {
  const written = phrase.map((part) => (typeof part === 'string' ? part : writeQuantity(part, style)));
  const alike = (i: number) =>
    phrase.some((other, j) => {
      const own = phrase[i];
      if (typeof other === 'string' || own === undefined || typeof own === 'string') return false;
      const apart = other.unit === own.unit && Math.abs(other.amount - own.amount) > 1e-6;
      return j !== i && apart && written[i] === written[j];
    });
  return written.map((text, i) => {
    const own = phrase[i];
    return own !== undefined && typeof own !== 'string' && alike(i) ? writeFinely(own, style, text) : text;
  });
}

/** With more digits than are read off a rule. */
function writeFinely({ amount, unit }: Quantity, style: LengthStyle, plain: string): string {
  const minus = (text: string) => text.replace('-', '−');
  if (unit === 'mm' || unit === 'mm-movement')
    return minus(style.system === 'metric' ? `${amount.toFixed(2)} mm` : `${(amount / MM_PER_INCH).toFixed(3)}"`);
  const [, figure = ''] = /^−?([\d.]+)/.exec(plain) ?? [];
  const digits = (figure.split('.')[1] ?? '').length;
  return figure ? plain.replace(/^−?[\d.]+/, minus(amount.toFixed(digits + 1))) : plain;
}

/** A phrase as plain text. */
export const writePhrase = (phrase: Phrase, style: LengthStyle): string => writtenParts(phrase, style).join('');
