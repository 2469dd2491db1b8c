import { type CsvStyle, DECIMAL_MARKS, type LengthStyle, type Paper, type Shop } from '@/core';
import { Refusal } from './refusal';

/** How lengths and figures are written in this shop, or in the units (?units=) and with the mark (?decimal=) asked for. */
export function styleOf(shop: Shop, query: URLSearchParams = new URLSearchParams()): LengthStyle {
  const units = oneOf(query, 'units', ['metric', 'inch']) ?? shop.units;
  const decimal = decimalOf(query);
  return units === 'metric' ? { system: 'metric', decimal } : { system: 'inch', fraction: shop.fraction, decimal };
}

/** How a table is written. */
export const csvStyleOf = (shop: Shop, query: URLSearchParams): CsvStyle => ({
  length: styleOf(shop, query),
  decimal: decimalOf(query),
});

const decimalOf = (query: URLSearchParams) => oneOf(query, 'decimal', DECIMAL_MARKS) ?? 'point';

/** On what paper (?paper=). */
export const paperOf = (query: URLSearchParams): Paper => oneOf(query, 'paper', ['a4', 'letter']) ?? 'a4';

/** What is asked for by a word, or nothing. @throws Refusal 422 for another word */
function oneOf<T extends string>(query: URLSearchParams, name: string, words: readonly T[]): T | null {
  const asked = query.get(name);
  if (asked === null) return null;
  const found = words.find((word) => word === asked);
  if (found) return found;
  throw new Refusal(422, [
    { problem: `“${asked.slice(0, 40)}” is not known here.`, where: name, wayOut: `Write ${words.join(' or ')}.` },
  ]);
}
