import Papa from 'papaparse';
import { formatLength, type LengthStyle } from '../measure/length';
import type { CurveTable } from './curve-tables';

/** Offsets of curves as CSV: mm as plain numbers, and once more as the shop reads them. */
export function writeOffsetsCsv(tables: readonly CurveTable[], style: LengthStyle): string {
  const heading = ['curve', 'chord_mm', 'sagitta_mm', 'radius_mm', 'along_mm', 'off_mm', 'as_read'];
  const plain = (mm: number) => (Number.isFinite(mm) ? Number(mm.toFixed(2)) : '');
  const rows = tables.flatMap(({ name, chord, sagitta, radius, offsets }) =>
    offsets.map(({ along, off }) => [
      name,
      plain(chord),
      plain(sagitta),
      plain(radius),
      plain(along),
      plain(off),
      `${formatLength(along, style)}: ${formatLength(off, style)}`,
    ]),
  );
  return `${Papa.unparse([heading, ...rows], { escapeFormulae: true, newline: '\n' })}\n`;
}
