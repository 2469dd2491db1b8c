import { createRequire } from 'node:module';
import { dirname, join } from 'node:path';
import { type Font, openSync } from 'fontkit';

const from = createRequire(join(process.cwd(), 'package.json'));
function fontFiles(name: string, normal: string, bold: string) {
  const folder = dirname(from.resolve(`${name}/package.json`));
  return { normal: join(folder, `${normal}.ttf`), bold: join(folder, `${bold}.ttf`) };
}

/** The fonts of the interface as whole files; what they lack is taken from a wider one. */
export const FONTS = {
  plain: fontFiles('@expo-google-fonts/archivo', '400Regular/Archivo_400Regular', '700Bold/Archivo_700Bold'),
  narrow: fontFiles(
    '@expo-google-fonts/archivo-narrow',
    '400Regular/ArchivoNarrow_400Regular',
    '700Bold/ArchivoNarrow_700Bold',
  ),
  other: fontFiles('dejavu-fonts-ttf', 'ttf/DejaVuSansCondensed', 'ttf/DejaVuSansCondensed-Bold'),
} as const;

export type FontName = keyof typeof FONTS;
export type Face = 'plain' | 'narrow';

const opened = new Map<FontName, Font>();
function has(name: FontName, code: number): boolean {
  let font = opened.get(name);
  if (!font) {
    font = openSync(FONTS[name].normal) as Font;
    opened.set(name, font);
  }
  return font.hasGlyphForCodePoint(code);
}

/** Marks and joiners that belong to the letter before them. */
const BOUND = /^(?:\p{M}|\u200d)$/u;

/** A text in runs of one font each: that of its face where it has the letter. */
export function runsOf(text: string, face: Face): { text: string; font: FontName }[] {
  const runs: { text: string; font: FontName }[] = [];
  for (const letter of text) {
    const last = runs.at(-1);
    const font = last && BOUND.test(letter) ? last.font : has(face, letter.codePointAt(0) ?? 32) ? face : 'other';
    if (last?.font === font) last.text += letter;
    else runs.push({ text: letter, font });
  }
  return runs;
}

/** Narrow spaces within figures, which few fonts have. */
const NARROW_SPACE = /[\u2009\u202f]/g;

/** A text for one font: that in which it can be written whole, with spaces that every font has. */
export function inOneFont(text: string, face: Face): { text: string; font: FontName } {
  const plain = text.replace(NARROW_SPACE, '\u00a0');
  const runs = runsOf(plain, face);
  return { text: plain, font: runs.length > 1 ? 'other' : (runs[0]?.font ?? face) };
}
