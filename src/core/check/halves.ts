import { boltsFor } from '../joint/draw-bolts';
import { count, say } from '../measure/quantity';
import { type Check, judge, type TableContext } from './check';

/** Bolts along the seam of a top in two halves. */
export function boltedHalves({ document, piece }: TableContext): Check[] {
  const { top } = document.form;
  if (top.kind !== 'halves') return [];
  const asked = boltsFor(piece.top.size.length);
  return [
    {
      id: 'halves.bolts',
      step: 'form',
      level: judge(top.bolts, asked, { sense: 'at-least' }) === 'good' ? 'good' : 'watch',
      sentence: say`${count(top.bolts)} bolts draw the seam together; ${count(asked)} are wanted over its length.`,
      value: count(top.bolts),
      limit: count(asked),
      where: piece.top.parts,
      why: 'Between two bolts too far apart the seam opens in the dry season, and the faces come out of level.',
      school: 'At most 450 mm apart, common practice',
      wayOut: { say: say`Take ${count(asked)} bolts`, changes: [{ path: 'form.top.bolts', value: asked }] },
    },
  ];
}
