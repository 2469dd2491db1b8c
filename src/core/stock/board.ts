import * as v from 'valibot';
import { amount, day, length, line } from '../decision/fields';
import type { Rings } from '../wood/rings';

export const DEFECT_KINDS = ['knot', 'check', 'split', 'wane', 'sapwood', 'stain'] as const;

/** A rectangle of the board that is cut around; x along the length from the tagged end, y across from the near edge. */
export const DefectSchema = v.object({
  kind: v.picklist(DEFECT_KINDS),
  x: length(0, 20000),
  y: length(0, 5000),
  length: length(1, 20000),
  width: length(1, 5000),
});

export const BoardSchema = v.pipe(
  v.object({
    tag: v.pipe(line(40), v.nonEmpty('a board needs a tag'), v.regex(/^[^,"]*$/, 'a tag has no commas or quotes')),
    species: v.pipe(line(80), v.nonEmpty('a board needs a species')),
    length: length(100, 12000),
    width: length(20, 2000),
    /** As it lies: the rough thickness of a rough board, the planed one of a dressed board. */
    thickness: length(5, 300),
    /** Rough thickness in quarter inches as it was bought, if it was. */
    quarters: v.nullable(v.pipe(v.number(), v.integer(), v.minValue(2), v.maxValue(32))),
    surface: v.picklist(['rough', 'dressed']),
    /** Ring tangent to face: 0 flat, 90 quarter. */
    ringAngle: amount(0, 90),
    /** Where the pith lies, which says more: mm below the middle of the thickness, and to the side of that of the width. */
    ringCentre: v.optional(v.nullable(v.object({ distance: amount(0, 3000), offset: amount(-3000, 3000) })), null),
    /** %, as last read; null if never. */
    moisture: v.nullable(amount(2, 100)),
    moistureOn: v.nullable(day),
    lot: line(40),
    note: line(1000),
    defects: v.pipe(v.array(DefectSchema), v.maxLength(200, 'at most 200 defects on one board')),
  }),
  v.forward(
    v.partialCheck(
      [['defects'], ['length'], ['width']],
      (b) => b.defects.every((d) => d.x < b.length && d.y < b.width),
      'a defect lies outside the board',
    ),
    ['defects'],
  ),
);

export type BoardInput = v.InferOutput<typeof BoardSchema>;
export type Defect = v.InferOutput<typeof DefectSchema>;

export interface Board extends BoardInput {
  id: string;
}

/** Rings of a piece of the board whose middle lies `across` mm from the board's near edge. */
export function ringsAt(board: Pick<Board, 'ringAngle' | 'ringCentre' | 'width'>, across: number): Rings {
  const centre = board.ringCentre;
  return centre ? { ...centre, offset: centre.offset - (across - board.width / 2) } : board.ringAngle;
}

/** m³ of the board as it lies. */
export function boardVolume(board: Pick<Board, 'length' | 'width' | 'thickness'>): number {
  return board.length * board.width * board.thickness * 1e-9;
}
