import type { Joint } from '../joint/joint';
import type { CornerJoint } from '../joint/leg-corner';
import type { Bounds } from '../solid/convex';
import type { Flat } from '../solid/outline';
import type { PinRow, ShelfSpan } from './case/case-plan';
import type { CaseForm } from './case/form';
import type { Cell } from './case/inside/cells';
import type { Form } from './form';
import type { Fastener, Fitting, Part, Unreached } from './part';
import type { BasePlan, BendingPart, Leaned, Racking, TopPlan, TopSpan } from './plans';
import type { TableForm } from './table/form';
import type { Unbuildable } from './unbuildable';

export type { BendingPart, Hole, Leaned, Racking, Resistance, Rest, TopPlan, TopSize, TopSpan } from './plans';

/** What every piece has, however it is built. */
export interface AnyPiece {
  parts: readonly Part[];
  joints: readonly Joint[];
  /** What the fasteners of the top want cut into the parts they sit on. */
  seats: readonly Joint[];
  /** Fasteners that no hand or driver comes to. */
  unreached: readonly Unreached[];
  fasteners: readonly Fastener[];
  fittings: readonly Fitting[];
  /** Id of the part by whose width through the year the season of the piece is told. */
  leading: string;
  /** Ids of the parts that lie over all others: drawn over them from above, lifted first. */
  over: readonly string[];
  /** The box round all of its solids, tenons and feet beyond the top with them, mm. */
  envelope: Bounds;
  /** Over all, and its height, mm: what is set and said. */
  overall: { length: number; width: number; height: number };
  /** Over the legs or feet on the floor. */
  base: { length: number; width: number };
  feet: readonly Flat[];
  /** From the middle to where the outermost feet stand, mm; three legs do not stand alike on both sides. */
  ground: { left: number; right: number; low: number; high: number };
  problems: readonly Unbuildable[];
}

/** A top on a base. */
export interface TablePiece extends AnyPiece {
  build: 'table';
  kind: { top: TableForm['top']['kind']; base: TableForm['base']['kind'] };
  top: Omit<TopPlan, 'drafts' | 'joints' | 'cuts' | 'plates' | 'fittings' | 'problems'> & {
    parts: readonly string[];
    /** The outline as straight lines, mm. */
    polygon: readonly Flat[];
  };
  /** The joint in every corner of a base of legs and aprons. */
  corner: CornerJoint | null;
  overhang: { end: number; side: number };
  knees: BasePlan['knees'];
  span: TopSpan;
  bending: readonly BendingPart[];
  racking: readonly Racking[];
  leaned: readonly Leaned[];
}

/** A space of a case: what it is part of, what divides it, and its clear sizes in the axes of the piece, mm. */
export interface CaseSpace {
  id: string;
  of: string | null;
  divided: Cell['divided'];
  left: number;
  right: number;
  low: number;
  high: number;
}

/** A carcass with what is in it. */
export interface CasePiece extends AnyPiece {
  build: 'case';
  /** To the front, or above as a chest: then its spaces lie from front to back, and low and high are along its depth. */
  opens: CaseForm['opens'];
  /** Shelves, tops and bottoms that bend under what is on them. */
  spans: readonly ShelfSpan[];
  /** The alcove round it, seen from the front: its walls and floor as lines, and what must be kept clear. x and z, mm. */
  around: { walls: readonly Flat[]; clear: readonly (readonly Flat[])[] } | null;
  /** Legs that it stands on, pushed level at its upper edge. */
  racking: readonly Racking[];
  /** It hangs on a wall. */
  hung: boolean;
  /** It stands on another case of its job. */
  stacked: boolean;
  /** Ids of the parts that it stands on and that come off it. */
  stand: readonly string[];
  /** Bores for the pins of loose shelves. */
  pinRows: readonly PinRow[];
  /** Every space, what is divided before what it is divided into. */
  spaces: readonly CaseSpace[];
}

export type Piece = TablePiece | CasePiece;
/** The piece that a form gives. */
export type PieceOf<F extends Form> = F extends TableForm ? TablePiece : F extends CaseForm ? CasePiece : Piece;

export function findPart(piece: Pick<Piece, 'parts'>, id: string): Part | undefined {
  return piece.parts.find((part) => part.id === id);
}

/** What of the top is turned and carried as one. */
export function topLoads(piece: TablePiece): readonly (readonly Part[])[] {
  const tops = piece.parts.filter(({ id }) => piece.top.parts.includes(id));
  return piece.top.carriedApart ? tops.map((part) => [part]) : [tops];
}

/** What the part is called by which the season of a piece is told. */
export const leadingWord = (piece: Piece): string =>
  piece.build === 'table'
    ? 'top'
    : piece.opens === 'above'
      ? 'wall'
      : (LEADING_OF_CASE[leadingPart(piece).kind] ?? 'board over it');

const LEADING_OF_CASE: Partial<Record<Part['kind'], string>> = {
  side: 'side',
  panel: 'panel of the bottom',
  'case-post': 'post',
};

/** The same in a sentence, and what its breadth is called there: a side, deep. */
export function leadingInWords(piece: Piece): { part: string; across: string; size: string } {
  if (piece.build === 'table') return { part: 'the top', across: 'wide', size: 'Width' };
  const word = leadingWord(piece);
  const part = `${word === 'board over it' ? 'the' : 'a'} ${word}`;
  return piece.opens === 'above' ? { part, across: 'high', size: 'Height' } : { part, across: 'deep', size: 'Depth' };
}

/** The part that represents the piece through the year: the top, a slat, the side of a case. */
export function leadingPart(piece: Pick<Piece, 'parts' | 'leading'>): Part {
  const part = findPart(piece, piece.leading);
  if (!part) throw new Error(`a piece without its ${piece.leading}`);
  return part;
}

export const partsOfKind = (piece: Piece, kind: Part['kind']): readonly Part[] =>
  piece.parts.filter((part) => part.kind === kind);
