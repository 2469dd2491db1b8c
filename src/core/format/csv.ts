import Papa from 'papaparse';
import { type LengthStyle, MM_PER_INCH } from '../measure/length';

/** How a table is written: its lengths in the reader's units, its figures with a point or a comma. */
export interface CsvStyle {
  length: LengthStyle;
  decimal: 'point' | 'comma';
}

/** Of the reader's unit, behind the name of a column. */
export const unitOf = ({ length }: CsvStyle): 'mm' | 'in' => (length.system === 'metric' ? 'mm' : 'in');

/** A length as a plain number of the reader's unit: to a hundredth of a millimetre, to a thousandth of an inch. */
export const numberOf = (mm: number, { length }: CsvStyle): number =>
  length.system === 'metric' ? Number(mm.toFixed(2)) : Number((mm / MM_PER_INCH).toFixed(3));

/** What a spreadsheet would take for a formula; a figure below nought is none. */
const FORMULA = /^(?!-[\d,]+$)[=+\-@\t\r]/;

/** A table as CSV (RFC 4180). With a decimal comma its columns are parted by semicolons, as spreadsheets there read it. */
export function writeCsv(rows: readonly (readonly (string | number)[])[], { decimal }: CsvStyle): string {
  const comma = decimal === 'comma';
  const written = comma
    ? rows.map((row) => row.map((cell) => (typeof cell === 'number' ? String(cell).replace('.', ',') : cell)))
    : rows.map((row) => [...row]);
  return `${Papa.unparse(written, { escapeFormulae: FORMULA, newline: '\n', delimiter: comma ? ';' : ',' })}\n`;
}
