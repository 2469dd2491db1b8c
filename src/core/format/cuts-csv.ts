import Papa from 'papaparse';
import { blanksOf } from '../layout/blanks';
import type { CutStep } from '../layout/cut-steps';
import { blankLabel, type LabelOf } from '../layout/labels';
import { formatLength, type LengthStyle } from '../measure/length';

/** A cut in a sawyer's words: "crosscut at 1 310", "rip 148 from the straight edge", "rip 56 from the other edge", "resaw 11 from the flat face". */
export function sayCut(cut: CutStep, style: LengthStyle): string {
  const set = formatLength(cut.set, style);
  if (cut.kind === 'resaw') {
    const times = cut.frees.placements.length - 1;
    return `resaw ${set} from the flat face${times > 1 ? `, ${times} times` : ''}`;
  }
  if (cut.side === 'far')
    return cut.kind === 'crosscut' ? `crosscut at ${set} from the other end` : `rip ${set} from the other edge`;
  if (cut.kind === 'crosscut') return cut.trims ? `crosscut, trim at ${set}` : `crosscut at ${set}`;
  return cut.trims ? `rip, trim at ${set} from the straight edge` : `rip ${set} from the straight edge`;
}

/** What a cut sets free: the letters that are written on the pieces, those of a blank that is resawn later together. */
export function sayFreed(cut: CutStep, labelOf: LabelOf): string {
  const { placements } = cut.frees;
  const letters =
    cut.kind === 'resaw'
      ? placements.map((placement) => labelOf(placement))
      : blanksOf(placements).map((blank) => blankLabel(labelOf, blank));
  return [...letters, ...(cut.frees.offcut ? ['offcut'] : [])].join(', ');
}

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
