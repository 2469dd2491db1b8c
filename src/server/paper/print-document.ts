import pdfmake from 'pdfmake';
import type { Content, CustomTableLayout, TableCell, TDocumentDefinitions } from 'pdfmake/interfaces';
import { PAPERS, type Paper } from '@/core';
import type { FullSizeSheet } from '@/core/format/full-size-sheets';
import { drawn, PT_PER_MM } from './drawing';
import { type Face, FONTS, runsOf } from './fonts';

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

/** Words in the fonts of the interface, whatever their script. */
export const words = (text: string, style: { face?: Face; bold?: boolean; fontSize?: number; color?: string } = {}) => {
  const { face = 'plain', ...rest } = style;
  return { text: runsOf(text, face).map((run) => ({ ...run, ...rest })) };
};

/** Hairlines under rows, a stronger one under the headings. */
export const RULED: CustomTableLayout = {
  hLineWidth: (i, node) => (i === 0 ? 0 : i <= (node.table.headerRows ?? 0) ? 0.7 : 0.25),
  vLineWidth: () => 0,
  hLineColor: () => '#000000',
  paddingLeft: (i) => (i === 0 ? 0 : 4),
  paddingRight: () => 4,
  paddingTop: () => 1.6,
  paddingBottom: () => 1,
};

export interface Column {
  title: string;
  width: number | 'auto' | '*';
  right?: true;
  face?: Face;
}

/**
 * A table under its title. Title and headings are repeated on every page that it runs on to, a row is never parted.
 *
 * @param rows texts, or cells of the engine's own
 */
export function titledTable(
  title: string,
  note: string,
  columns: readonly Column[],
  rows: readonly (readonly (string | TableCell)[])[],
): Content {
  const across = (content: Content): TableCell[] => [
    { ...(content as object), colSpan: columns.length, border: [false, false, false, false] } as TableCell,
    ...columns.slice(1).map(() => ({ text: '' })),
  ];
  const head = [
    ...(title
      ? [
          across({
            stack: [
              { ...words(title, { bold: true, fontSize: 13 }) },
              ...(note
                ? [{ ...words(note), fontSize: 8, margin: [0, 1, 0, 0] as [number, number, number, number] }]
                : []),
            ],
            margin: [0, 0, 0, 3],
          }),
        ]
      : []),
    columns.map((column) => ({ ...words(column.title, { bold: true }), alignment: column.right ? 'right' : 'left' })),
  ] as TableCell[][];
  return {
    table: {
      headerRows: head.length,
      keepWithHeaderRows: 1,
      dontBreakRows: true,
      widths: columns.map((column) => column.width),
      body: [
        ...head,
        ...rows.map((row) =>
          columns.map((column, i): TableCell => {
            const cell = row[i] ?? '';
            return typeof cell === 'string'
              ? {
                  ...words(cell, { face: column.face ?? 'narrow' }),
                  noWrap: column.width === 'auto',
                  alignment: column.right ? 'right' : 'left',
                }
              : cell;
          }),
        ),
      ],
    },
    layout: RULED,
    margin: [0, 0, 0, 12],
  };
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
