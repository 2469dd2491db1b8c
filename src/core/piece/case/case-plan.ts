/** A board of a case that bends between what it rests on under what stands on it. mm */
export interface ShelfSpan {
  /** Names it among the checks. */
  id: string;
  part: string;
  /** It lies loose on pins. */
  onPins?: true;
  /** In a sentence: “The shelf in the middle bay”. */
  words: string;
  /** Clear between its ends. */
  span: number;
  breadth: number;
  thickness: number;
  /** Where in the decisions its thickness is. */
  thick: 'form.inside.thickness' | 'form.carcass.across' | 'form.carcass.corner.floor.thickness';
  /** Depth and thickness of a lip glued under its front edge; null where there is none. */
  lip: { depth: number; thickness: number } | null;
  /** How many alike there are, and where that is decided: of more, each is shorter. */
  oneOf?: { path: string; count: number };
  /** What stands on it, N/m. */
  load: number;
}

/** A row of bores for shelf pins, one over the other, in the face of a board; mm, in the axes of the piece. */
export interface PinRow {
  /** Id of the board it is bored into, and of the space it serves. */
  wall: string;
  space: string;
  /** The face, and the way into it: −1 to the left. */
  x: number;
  into: -1 | 1;
  y: number;
  /** Middle of the lowest, from one to the next, and how many. */
  from: number;
  apart: number;
  count: number;
  diameter: number;
  deep: number;
}
