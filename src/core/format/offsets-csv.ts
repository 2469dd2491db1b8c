import { formatLength } from '../measure/length';
import { type CsvStyle, numberOf, unitOf, writeCsv } from './csv';
import type { CurveTable } from './curve-tables';

/** Offsets of curves as CSV: lengths as plain numbers, and once more as they are read off a rule. */
export function writeOffsetsCsv(tables: readonly CurveTable[], style: CsvStyle): string {
  const unit = unitOf(style);
  const heading = [
    'curve',
    `chord_${unit}`,
    `sagitta_${unit}`,
    `radius_${unit}`,
    `along_${unit}`,
    `off_${unit}`,
    'as_read',
  ];
  const plain = (mm: number) => (Number.isFinite(mm) ? numberOf(mm, style) : '');
  const rows = tables.flatMap(({ name, chord, sagitta, radius, offsets }) =>
    offsets.map(({ along, off }) => [
      name,
      plain(chord),
      plain(sagitta),
      plain(radius),
      plain(along),
      plain(off),
      `${formatLength(along, style.length)}: ${formatLength(off, style.length)}`,
    ]),
  );
  return writeCsv([heading, ...rows], style);
}
