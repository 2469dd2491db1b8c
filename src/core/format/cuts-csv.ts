import type { CutStep } from '../layout/cut-steps';
import type { LabelOf } from '../layout/labels';
import { type CsvStyle, numberOf, unitOf, writeCsv } from './csv';
import { sayCut, sayFreed } from './say-cuts';

/** The cut sequence as CSV, one row a cut: what lies on the saw, how the saw is set, what comes free. */
export function writeCutsCsv(steps: readonly CutStep[], labelOf: LabelOf, style: CsvStyle): string {
  const unit = unitOf(style);
  const plain = (mm: number) => numberOf(mm, style);
  const heading = [
    'board',
    'cut',
    'kind',
    `set_${unit}`,
    `at_${unit}`,
    `in_hand_length_${unit}`,
    `in_hand_width_${unit}`,
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
    sayCut(step, style.length),
  ]);
  return writeCsv([heading, ...rows], style);
}
