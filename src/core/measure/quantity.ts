/** What a number means, so that whoever shows it can show it in the workshop's own units. */
export type Unit =
  | 'mm' // a length, shown in the workshop's units
  | 'mm-movement' // a length where a tenth of a millimetre is the matter
  | 'percent'
  | 'percent-moisture'
  | 'degrees'
  | 'celsius'
  | 'newton'
  | 'newton-metre'
  | 'megapascal'
  | 'kilogram'
  | 'gram'
  | 'hours'
  | 'minutes'
  | 'days'
  | 'cubic-metre'
  | 'square-metre'
  | 'board-foot' // rough wood as it is bought
  | 'count'
  | 'ratio'
  | 'coefficient'; // fraction of the dimension per % of moisture

export interface Quantity {
  amount: number;
  unit: Unit;
}

/** A sentence of plain words and quantities: data, so that it survives a worker and follows the unit switch. */
export type Phrase = readonly (string | Quantity)[];

export const mm = (amount: number): Quantity => ({ amount, unit: 'mm' });
export const movement = (amount: number): Quantity => ({ amount, unit: 'mm-movement' });
export const percent = (amount: number): Quantity => ({ amount, unit: 'percent' });
export const moisture = (amount: number): Quantity => ({ amount, unit: 'percent-moisture' });
export const kilogram = (amount: number): Quantity => ({ amount, unit: 'kilogram' });
export const newton = (amount: number): Quantity => ({ amount, unit: 'newton' });
export const count = (amount: number): Quantity => ({ amount, unit: 'count' });
export const minutes = (amount: number): Quantity => ({ amount, unit: 'minutes' });

/** Writes a phrase: say`the top grows ${movement(4.7)} each way`. */
export function say(words: TemplateStringsArray, ...values: (string | Quantity)[]): Phrase {
  const phrase: (string | Quantity)[] = [];
  words.forEach((word, i) => {
    if (word) phrase.push(word);
    const value = values[i];
    if (value !== undefined) phrase.push(value);
  });
  return phrase;
}
