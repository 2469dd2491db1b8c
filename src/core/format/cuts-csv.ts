import Papa from 'papaparse';
import type { CutStep } from '../layout/cut-steps';
import { formatLength, type LengthStyle } from '../measure/length';
import type { Piece } from '../piece/piece';
import { pieceLabel } from './layout-svg';

/** A cut in a sawyer's words: "crosscut at 1 310", "rip 148 from the straight edge". */
export function sayCut(cut: CutStep, style: LengthStyle): string {
  const set = formatLength(cut.set, style);
  if (cut.kind === 'crosscut') return cut.trims ? `crosscut, trim at ${set}` : `crosscut at ${set}`;
  return cut.trims ? `rip, trim at ${set} from the straight edge` : `rip ${set} from the straight edge`;
}

/** What a cut sets free: the letters that are written on the pieces. */
export function sayFreed(cut: CutStep, piece: Piece): string {
  const letters = cut.frees.placements.map((placement) => pieceLabel(piece, placement));
  return [...letters, ...(cut.frees.offcut ? ['offcut'] : [])].join(', ');
}

/** The cut sequence as CSV, one row a cut: what lies on the saw, how the saw is set, what comes free. Lengths in mm. */
export function writeCutsCsv(steps: readonly CutStep[], piece: Piece, style: LengthStyle): string {
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
    sayFreed(step, piece),
    sayCut(step, style),
  ]);
  return `${Papa.unparse([heading, ...rows], { escapeFormulae: true, newline: '\n' })}\n`;
}
