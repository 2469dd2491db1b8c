import type { Joint } from '../joint/joint';
import type { CornerJoint } from '../joint/leg-corner';
import type { Bounds } from '../solid/convex';
import type { Flat } from '../solid/outline';
import type { Fastener, Fitting, Part, Unreached } from './part';
import type { BasePlan, BendingPart, Leaned, Racking, TopPlan, TopSpan } from './plans';
import type { Form } from './table/form';
import type { Unbuildable } from './unbuildable';

export type { BendingPart, Hole, Leaned, Racking, Resistance, Rest, TopPlan, TopSize, TopSpan } from './plans';

export interface Piece {
  kind: { top: Form['top']['kind']; base: Form['base']['kind'] };
  parts: readonly Part[];
  joints: readonly Joint[];
  /** What the fasteners of the top want cut into the parts they sit on. */
  seats: readonly Joint[];
  /** Fasteners that no hand or driver comes to. */
  unreached: readonly Unreached[];
  top: Omit<TopPlan, 'drafts' | 'joints' | 'cuts' | 'plates' | 'fittings' | 'problems'> & {
    parts: readonly string[];
    /** The outline as straight lines, mm. */
    polygon: readonly Flat[];
  };
  /** The joint in every corner of a base of legs and aprons. */
  corner: CornerJoint | null;
  fasteners: readonly Fastener[];
  fittings: readonly Fitting[];
  /** The box round all of its solids, tenons and feet beyond the top with them, mm. */
  envelope: Bounds;
  /** Over the top, and its height, mm: what is sat at, set and said. */
  overall: { length: number; width: number; height: number };
  /** Over the legs or feet on the floor. */
  base: { length: number; width: number };
  feet: readonly Flat[];
  /** From the middle to where the outermost feet stand, mm; three legs do not stand alike on both sides. */
  ground: { left: number; right: number; low: number; high: number };
  overhang: { end: number; side: number };
  knees: BasePlan['knees'];
  span: TopSpan;
  bending: readonly BendingPart[];
  racking: readonly Racking[];
  leaned: readonly Leaned[];
  problems: readonly Unbuildable[];
}

export function findPart(piece: Piece, id: string): Part | undefined {
  return piece.parts.find((part) => part.id === id);
}

/** What of the top is turned and carried as one. */
export function topLoads(piece: Piece): readonly (readonly Part[])[] {
  const tops = piece.parts.filter(({ id }) => piece.top.parts.includes(id));
  return piece.top.carriedApart ? tops.map((part) => [part]) : [tops];
}

/** The part that represents the top: the panel, or a slat. */
export function leadingPart(piece: Piece): Part {
  const part = findPart(piece, piece.top.leading);
  if (!part) throw new Error(`a top without its ${piece.top.leading}`);
  return part;
}

export const partsOfKind = (piece: Piece, kind: Part['kind']): readonly Part[] =>
  piece.parts.filter((part) => part.kind === kind);
