import type { CsvStyle, LengthStyle, Paper, Shop } from '@/core';
import { Refusal } from './refusal';

/** How lengths are written in this shop, or in the units that are asked for (?units=). */
export function styleOf(shop: Shop, query: URLSearchParams = new URLSearchParams()): LengthStyle {
  const units = oneOf(query, 'units', ['metric', 'inch']) ?? shop.units;
  return units === 'metric' ? { system: 'metric' } : { system: 'inch', fraction: shop.fraction };
}

/** How a table is written: its lengths, and its figures with a point or a comma (?decimal=). */
export const csvStyleOf = (shop: Shop, query: URLSearchParams): CsvStyle => ({
  length: styleOf(shop, query),
  decimal: oneOf(query, 'decimal', ['point', 'comma']) ?? 'point',
});

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
