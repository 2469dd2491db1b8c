import { formatLength } from '../measure/length';
import { type CsvStyle, numberOf, unitOf, writeCsv } from './csv';
import type { CutListRow } from './cut-list';

/** The cut list as CSV: lengths as plain numbers, and once more as they are read off a rule. */
export function writeCutListCsv(rows: readonly CutListRow[], style: CsvStyle): string {
  const unit = unitOf(style);
  const heading = [
    'letter',
    'part',
    'count',
    `overall_length_${unit}`,
    `shoulder_length_${unit}`,
    `width_${unit}`,
    `thickness_${unit}`,
    `rough_length_${unit}`,
    `rough_width_${unit}`,
    'grade',
    'start_mitre_deg',
    'start_bevel_deg',
    'end_mitre_deg',
    'end_bevel_deg',
    'state',
    'as_read',
    'other_wood',
    'painted',
    `lipped_${unit}`,
  ];
  const plain = (mm: number) => numberOf(mm, style);
  const degrees = (angle: number) => Number(angle.toFixed(2));
  const body = rows.map((row) => [
    row.letter,
    row.name,
    row.count,
    plain(row.length),
    plain(row.shoulder),
    plain(row.width),
    plain(row.thickness),
    row.rough ? plain(row.rough.length) : '',
    row.rough ? plain(row.rough.width) : '',
    row.grade,
    ...(row.ends
      ? [row.ends.start.mitre, row.ends.start.bevel, row.ends.end.mitre, row.ends.end.bevel].map(degrees)
      : ['', '', '', '']),
    row.state,
    [row.length, row.width, row.thickness].map((mm) => formatLength(mm, style.length)).join(' x '),
    row.wood ?? '',
    row.painted ? 'yes' : '',
    row.lipped === null ? '' : plain(row.lipped),
  ]);
  return writeCsv([heading, ...body], style);
}
