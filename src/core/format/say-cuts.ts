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
