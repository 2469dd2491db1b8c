export type PieceAxis = 'x' | 'y' | 'z';
export type PartKind = 'top' | 'leg' | 'apron' | 'cross-rail';

/** mm; x along the table, y across it, z up from the floor; x and y are zero in the middle of the piece. */
export interface Place {
  x: number;
  y: number;
  z: number;
}

export interface Size {
  /** Along the grain. */
  length: number;
  /** Across the grain in the face. */
  width: number;
  thickness: number;
}

export interface Part {
  id: string;
  letter: string;
  name: string;
  kind: PartKind;
  /** How many of its faces are seen. */
  grade: 'all-faces' | 'one-face' | 'hidden';
  /** Finished; the length is overall, with the tenons. */
  size: Size;
  /** Between the shoulders; the same as the length where there are no tenons. */
  shoulderLength: number;
  /** Tenon grown from each end of the part, 0 where none. */
  tenon: { start: number; end: number; thickness: number; width: number; topSet: number };
  /** Middle of the part between its shoulders. */
  place: Place;
  /** Which axis of the piece each axis of the part lies along. */
  axes: { length: PieceAxis; width: PieceAxis; thickness: PieceAxis };
  /** Tapered legs: the foot's side, and the height below which the taper runs; outside faces stay straight. */
  taper?: { foot: number; from: number };
  /** The size the design asked for, before the part's real size was entered. */
  design: Size;
  locked: boolean;
  cut: boolean;
}

export interface Fastener {
  id: string;
  x: number;
  y: number;
  /** The part it sits on. */
  on: string;
  /** Where the top is held and does not move; the others slide. */
  holdsMiddle: boolean;
}

export interface Fitting {
  name: string;
  count: number;
  /** mm, as written on the list. */
  size: readonly number[];
}

/** The extent of a part between its shoulders along each axis of the piece. */
export function extent(part: Pick<Part, 'size' | 'shoulderLength' | 'axes'>): Place {
  const along: Record<PieceAxis, number> = { x: 0, y: 0, z: 0 };
  along[part.axes.length] = part.shoulderLength;
  along[part.axes.width] = part.size.width;
  along[part.axes.thickness] = part.size.thickness;
  return along;
}
