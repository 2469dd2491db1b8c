import type { Content, CustomTableLayout, TableCell } from 'pdfmake/interfaces';
import { formatLength, type LengthStyle } from '@/core';
import { type Face, runsOf } from './fonts';

/** Left, above, right, below; points. */
export type Margins = [number, number, number, number];

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

/** A title of its own, kept by what it is put on top of. */
export const titleLine = (text: string): Content => ({
  ...words(text, { bold: true, fontSize: 13 }),
  margin: [0, 0, 0, 4],
});

export const sayIn = (style: LengthStyle) => (mm: number) => formatLength(mm, style);

/** In what the figures of a table are. */
export const unitsNote = (style: LengthStyle): string =>
  style.system === 'metric' ? 'Millimetres.' : `Inches, to 1/${style.fraction ?? 16}.`;
