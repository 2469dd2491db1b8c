import { formatLength, type InchFraction, type LengthStyle } from './length';
import type { Phrase, Quantity } from './quantity';

/** A length as the shop reads it: half millimetres or its fraction; `fine` where a tenth of a millimetre matters. */
export function writeLength(mm: number, style: LengthStyle, fine = false): string {
  if (style.system === 'metric')
    return formatLength(fine ? mm : Math.round(mm * 2) / 2, { system: 'metric', decimals: 1 });
  const fraction = style.fraction ?? 16;
  return formatLength(mm, { ...style, fraction: fine ? (Math.max(fraction, 32) as InchFraction) : fraction });
}

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

/** A phrase as plain text. */
export const writePhrase = (phrase: Phrase, style: LengthStyle): string =>
  phrase.map((part) => (typeof part === 'string' ? part : writeQuantity(part, style))).join('');
