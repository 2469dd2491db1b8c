/**
 * Characters that no name and no note needs and that do harm: controls, and those that turn the direction of what
 * follows, so that a text reads as another one (Unicode Technical Report 36, bidirectional spoofing).
 */
// biome-ignore lint/suspicious/noControlCharactersInRegex: it is controls that are looked for
const HARMFUL = /[\u0000-\u0008\u000b-\u001f\u007f-\u009f\u202a-\u202e\u2066-\u2069\ufeff]/g;

/** A text that can be stored, shown and printed anywhere: whole characters only, lines ending alike, nothing unseen. */
export const plainText = (text: string): string =>
  text
    .toWellFormed()
    .replace(/\r\n?|\u2028|\u2029/g, '\n')
    .replace(HARMFUL, '');

/** Nothing that is read here is nested so deep. */
const DEEPEST = 64;

/** Plain data with every text in it made plain, names of entries too. */
export function plainData(data: unknown, depth = 0): unknown {
  if (typeof data === 'string') return plainText(data);
  if (data === null || typeof data !== 'object' || depth > DEEPEST) return data;
  if (Array.isArray(data)) return data.map((own) => plainData(own, depth + 1));
  return Object.fromEntries(Object.entries(data).map(([key, own]) => [plainText(key), plainData(own, depth + 1)]));
}
