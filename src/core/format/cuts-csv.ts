import Papa from 'papaparse';
import type { CutStep } from '../layout/cut-steps';
import type { LabelOf } from '../layout/labels';
import type { LengthStyle } from '../measure/length';
import { sayCut, sayFreed } from './say-cuts';

/** The cut sequence as CSV, one row a cut: what lies on the saw, how the saw is set, what comes free. Lengths in mm. */
export function writeCutsCsv(steps: readonly CutStep[], labelOf: LabelOf, style: LengthStyle): string {
  const plain = (mm: number) => Number(mm.toFixed(2));
  const heading = [
    'board',
    'cut',
    'kind',
    'set_mm',
    'at_mm',
    'in_hand_length_mm',
    'in_hand_width_mm',
    'frees',
    'as_read',
  ];
  const rows = steps.map((step) => [
    step.tag,
    step.number,
    step.kind,
    plain(step.set),
    plain(step.at),
    plain(step.from.length),
    plain(step.from.width),
    sayFreed(step, labelOf),
    sayCut(step, style),
  ]);
  return `${Papa.unparse([heading, ...rows], { escapeFormulae: true, newline: '\n' })}\n`;
}
