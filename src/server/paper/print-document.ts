import pdfmake from 'pdfmake';
import type { Content, TDocumentDefinitions } from 'pdfmake/interfaces';
import { PAPERS, type Paper } from '@/core';
import type { FullSizeSheet } from '@/core/format/full-size-sheets';
import { RULED, words } from './blocks';
import { drawn, PT_PER_MM } from './drawing';
import { FONTS } from './fonts';

/** Round every page, mm; the heading is printed in the upper margin. */
const MARGIN = { side: 15, above: 22, below: 14 };
const HEADING = 10;

/** What a page offers to what is set on it, mm. */
export function pageRoom(paper: Paper, lying = false): { width: number; height: number } {
  const { width, height } = PAPERS[paper];
  const [across, down] = lying ? [height, width] : [width, height];
  return { width: across - 2 * MARGIN.side, height: down - MARGIN.above - MARGIN.below };
}

/** A document that is laid out by the engine: it wraps, breaks pages, repeats the headings of tables. */
export interface PaperDocument {
  title: string;
  /** On every page, beside the number of the page. */
  heading: string;
  paper: Paper;
  lying?: boolean;
  content: Content[];
  /** Pages of true millimetres that follow, each whole. */
  sheets?: readonly FullSizeSheet[];
}

pdfmake.setFonts(
  Object.fromEntries(
    Object.entries(FONTS).map(([name, { normal, bold }]) => [
      name,
      { normal, bold, italics: normal, bolditalics: bold },
    ]),
  ),
);
// Nothing is fetched: a document is made of what is given, and of the fonts that ship with Taller.
pdfmake.setUrlAccessPolicy(() => false);
pdfmake.setLocalAccessPolicy((path) => Object.values(FONTS).some((font) => Object.values(font).includes(path)));

const wholePage = (sheet: FullSizeSheet): Content[] => [
  {
    ...(drawn(sheet) as object),
    absolutePosition: { x: 0, y: 0 },
    pageBreak: 'before',
    pageOrientation: sheet.width > sheet.height ? 'landscape' : 'portrait',
  } as Content,
  {
    ...words(sheet.foot, { face: 'narrow' }),
    fontSize: 8,
    absolutePosition: { x: MARGIN.side * PT_PER_MM, y: sheet.footAt * PT_PER_MM },
  },
];

/** Above and below what is written on a page, points. */
export const MARGINS = { above: MARGIN.above * PT_PER_MM, below: MARGIN.below * PT_PER_MM };

/** Prints a document as a PDF. Fonts are embedded, so that fractions and any script print. */
export async function printDocument({
  title,
  heading,
  paper,
  lying = false,
  content,
  sheets = [],
}: PaperDocument): Promise<Uint8Array<ArrayBuffer>> {
  const size = PAPERS[paper];
  const [width, height] = lying ? [size.height, size.width] : [size.width, size.height];
  const pt = (mm: number) => mm * PT_PER_MM;
  const definition: TDocumentDefinitions = {
    info: { title, creator: 'Taller' },
    pageSize: { width: pt(width), height: pt(height) },
    pageMargins: [pt(MARGIN.side), pt(MARGIN.above), pt(MARGIN.side), pt(MARGIN.below)],
    header: (page, all) => {
      const pages = all - sheets.length;
      if (page > pages) return null;
      return {
        margin: [pt(MARGIN.side), pt(HEADING), pt(MARGIN.side), 0],
        table: {
          widths: ['*', 'auto'],
          body: [
            [
              { ...words(heading), fontSize: 8, noWrap: true },
              { ...words(`${page} of ${pages}`), fontSize: 8 },
            ],
          ],
        },
        layout: { ...RULED, hLineWidth: (i) => (i === 1 ? 0.4 : 0) },
      };
    },
    defaultStyle: { font: 'plain', fontSize: 9, lineHeight: 1.05 },
    content: [...content, ...sheets.flatMap(wholePage)],
  };
  return Uint8Array.from(await pdfmake.createPdf(definition).getBuffer());
}
