import * as v from 'valibot';
import { amount, day, length, line } from '../decision/fields';
import type { Rings } from '../wood/rings';

export const DEFECT_KINDS = ['knot', 'check', 'split', 'wane', 'bow', 'sapwood', 'stain'] as const;

/** Which face shows a defect: both, only the one that carries the tag, or only the one under it. */
export const DEFECT_FACES = ['through', 'tagged', 'under'] as const;

/** Toward which end the tagged face planes without tearing: that away from the tag, or the tagged one. */
export const PLANES_TOWARD = ['far-end', 'tagged-end'] as const;

/** How light or dark a board is, pale 1 to dark 5. */
export const TONES = [1, 2, 3, 4, 5] as const;

export const PRICE_UNITS = ['board-foot', 'm3', 'm2', 'metre', 'piece'] as const;

/** A rectangle of the board to be kept out of some uses; x along the length from the tagged end, y across from the near edge. */
export const DefectSchema = v.object({
  kind: v.picklist(DEFECT_KINDS),
  x: length(0, 20000),
  y: length(0, 5000),
  length: length(1, 20000),
  width: length(1, 5000),
  face: v.optional(v.picklist(DEFECT_FACES), 'through'),
});

const threeHeights = v.tuple([length(0, 500), length(0, 500), length(0, 500)], 'three heights across the board');
const heights = v.tuple([threeHeights, threeHeights, threeHeights], 'three heights along the board');

export const BoardSchema = v.pipe(
  v.object({
    tag: v.pipe(line(40), v.nonEmpty('a board needs a tag'), v.regex(/^[^,"]*$/, 'a tag has no commas or quotes')),
    species: v.pipe(line(80), v.nonEmpty('a board needs a species')),
    length: length(100, 12000),
    /** At the tagged end. */
    width: length(20, 2000),
    /** At the other end, where the board tapers; the near edge is the straight one. Null: the same. */
    farWidth: v.optional(v.nullable(length(20, 2000)), null),
    /** How deep a live edge must be ripped to come to full thickness, at the near and the far edge; 0 where sawn. */
    liveEdges: v.optional(v.object({ near: length(0, 500), far: length(0, 500) }), { near: 0, far: 0 }),
    /** Measured over the whole board: out of wind at one corner, hollow along it, hollow across it. Null: not measured. */
    crook: v.optional(v.nullable(v.object({ twist: length(0, 200), bow: length(0, 500), cup: length(0, 100) })), null),
    /**
     * Heights of its upper face as it lies, three along from the tagged end by three across from the near edge, mm over a
     * flat bench. Null: not measured point by point.
     */
    heights: v.optional(v.nullable(heights), null),
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
    /** Boards from one log carry one lot. */
    lot: line(40),
    price: v.optional(v.nullable(v.object({ amount: amount(0, 1_000_000), per: v.picklist(PRICE_UNITS) })), null),
    /** Null: not looked at. */
    tone: v.optional(v.nullable(v.picklist(TONES)), null),
    planes: v.optional(v.nullable(v.picklist(PLANES_TOWARD)), null),
    /** Where in the shop it lies. */
    storedAt: v.optional(line(60), ''),
    note: line(1000),
    defects: v.pipe(v.array(DefectSchema), v.maxLength(200, 'at most 200 defects on one board')),
  }),
  v.forward(
    v.partialCheck(
      [['defects'], ['length'], ['width'], ['farWidth']],
      (b) => b.defects.every((d) => d.x < b.length && d.y < Math.max(b.width, b.farWidth ?? 0)),
      'a defect lies outside the board',
    ),
    ['defects'],
  ),
  v.forward(
    v.partialCheck(
      [['width'], ['farWidth'], ['liveEdges']],
      (b) => b.liveEdges.near + b.liveEdges.far < Math.min(b.width, b.farWidth ?? b.width),
      'nothing is left between the live edges',
    ),
    ['liveEdges'],
  ),
);

export type BoardInput = v.InferOutput<typeof BoardSchema>;
export type Defect = v.InferOutput<typeof DefectSchema>;

export interface Board extends BoardInput {
  id: string;
  /** Id of the job it is kept for; other jobs leave it alone. */
  reservedFor?: string | null;
  /** Id of the job that has used it up, and the day: what it gives to that job stays, and nothing more is cut from it. */
  takenFor?: string | null;
  takenOn?: string | null;
}

/** Rings of a piece of the board whose middle lies `across` mm from the board's near edge. */
export function ringsAt(board: Pick<Board, 'ringAngle' | 'ringCentre' | 'width'>, across: number): Rings {
  const centre = board.ringCentre;
  return centre ? { ...centre, offset: centre.offset - (across - board.width / 2) } : board.ringAngle;
}

/** The board's face, mm²: a tapered one by its mean width. */
export function faceArea(board: Pick<Board, 'length' | 'width' | 'farWidth'>): number {
  return (board.length * (board.width + (board.farWidth ?? board.width))) / 2;
}

/** m³ of the board as it lies. */
export function boardVolume(board: Pick<Board, 'length' | 'width' | 'farWidth' | 'thickness'>): number {
  return faceArea(board) * board.thickness * 1e-9;
}
