import Papa from 'papaparse';
import { formatLength, type LengthStyle } from '../measure/length';
import type { CutListRow } from './cut-list';

/** The cut list as CSV: lengths in mm as plain numbers, and once more as the shop reads them. */
export function writeCutListCsv(rows: readonly CutListRow[], style: LengthStyle): string {
  const heading = [
    'letter',
    'part',
    'count',
    'overall_length_mm',
    'shoulder_length_mm',
    'width_mm',
    'thickness_mm',
    'rough_length_mm',
    'rough_width_mm',
    'grade',
    'start_mitre_deg',
    'start_bevel_deg',
    'end_mitre_deg',
    'end_bevel_deg',
    'state',
    'as_read',
    'other_wood',
    'painted',
  ];
  const plain = (mm: number) => Number(mm.toFixed(2));
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
      ? [row.ends.start.mitre, row.ends.start.bevel, row.ends.end.mitre, row.ends.end.bevel].map(plain)
      : ['', '', '', '']),
    row.state,
    [row.length, row.width, row.thickness].map((mm) => formatLength(mm, style)).join(' x '),
    row.wood ?? '',
    row.painted ? 'yes' : '',
  ]);
  return `${Papa.unparse([heading, ...body], { escapeFormulae: true, newline: '\n' })}\n`;
}
